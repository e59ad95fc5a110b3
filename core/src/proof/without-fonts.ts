import type { DeliveredFace } from '../derive/derived.ts';
import type { StyleDocument } from '../system/document.ts';
import { chosenFaces } from '../system/faces.ts';
import { standInName } from '../fonts/family.ts';

/** What a reader sees before the fonts have come: the fitted stand-in, or the bare local font. */
export const BEFORE_FONTS = ['stand-in', 'unfitted'] as const;
export type BeforeFonts = (typeof BEFORE_FONTS)[number];

/** A sheet that shows the page as it is before its fonts have come. It is never exported. */
export function withoutFonts(
  fonts: StyleDocument['fonts'],
  faces: readonly DeliveredFace[],
  before: BeforeFonts,
): string {
  const lines = (onNarrow: boolean): string =>
    chosenFaces(fonts)
      .filter(({ narrow }) => narrow === onNarrow)
      .flatMap(({ face, choice: { family } }) => {
        const delivered = faces.find((one) => one.family.id === family.id);
        if (!delivered || family.stack !== undefined) return [];
        const local = before === 'stand-in' ? standInName(family) : delivered.standIn.font.name;
        return [`--face-${face}: "${local}";`];
      })
      .join(' ');
  const usual = `:root:root { ${lines(false)} }`;
  return fonts.narrow
    ? `${usual}\n@media (width < ${fonts.narrow.below}px) { :root:root { ${lines(true)} } }`
    : usual;
}
