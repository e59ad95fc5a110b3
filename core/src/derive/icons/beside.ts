import { stemAt } from '../../fonts/family.ts';
import type { FaceBeside } from '../../icons/alike.ts';
import { ROOT_PX } from '../../type/fluid.ts';
import type { Derived } from '../derived.ts';

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
