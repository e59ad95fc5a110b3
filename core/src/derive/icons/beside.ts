import { stemAt } from '../../fonts/family.ts';
import type { FaceBeside } from '../../icons/alike.ts';
import type { Icons } from '../../system/icon-schema.ts';
import { ROOT_PX } from '../../type/fluid.ts';
import type { Derived } from '../derived.ts';

/** What each measure is of the size of text, about: capitals and lines differ from face to face. Common practice. */
const SHARE = { text: 1, capitals: 0.7, line: 1.5 } as const;

/** How large an icon of a further size is beside text, in px; a step that is gone counts as the text. */
export function sizePx(
  { of, times, step }: Icons['sizes']['items'][string],
  textPx: number,
  steps: ReadonlyMap<string, { readonly px: number }>,
): number {
  const own = step === undefined ? undefined : steps.get(step);
  if (of === 'step') return times * (own?.px ?? textPx);
  return times * textPx * SHARE[of];
}

export interface Beside extends FaceBeside {
  /** The face, its weight, and the size of the words in px. */
  readonly face: string;
  readonly weight: number;
  readonly textPx: number;
}

/** The words that icons stand beside: labels at their smallest, with the stems of their face; undefined without any. */
export function besideLabels(
  { styles }: Pick<Derived, 'styles'>,
  sizeEm: number,
): Beside | undefined {
  const style = styles.get('label') ?? styles.get('body');
  if (!style) return undefined;
  const textPx = style.size.minRem * ROOT_PX;
  return {
    face: style.family.name,
    weight: style.weight,
    textPx,
    stemPx: stemAt(style.family, style.weight) * textPx,
    iconPx: sizeEm * textPx,
  };
}
