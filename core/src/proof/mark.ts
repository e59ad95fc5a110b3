import type { StyleDocument } from '../system/document.ts';
import { element, type ProofElement } from './node.ts';

type Mark = StyleDocument['content']['mark'];
type Logo = StyleDocument['layout']['logo'];

const WAVE = 'q4.75 -6 9.5 0 t9.5 0 t9.5 0 v3.5 q-4.75 -6 -9.5 0 t-9.5 0 t-9.5 0 z';

/** Drawings on a field of 32 by 32; the classes take the link and the action color. */
const SHAPES: Readonly<Record<Mark, readonly { readonly d: string; readonly part: 'a' | 'b' }[]>> =
  {
    tide: [
      { d: `M1.75 9 ${WAVE}`, part: 'a' },
      { d: `M1.75 20 ${WAVE}`, part: 'b' },
    ],
    dome: [
      { d: 'M3 24 a13 13 0 0 1 26 0 z M3 26 h26 v2 h-26 z', part: 'a' },
      { d: 'M16 3 l1.4 3 3 1.4 -3 1.4 -1.4 3 -1.4 -3 -3 -1.4 3 -1.4 z', part: 'b' },
    ],
    flame: [
      { d: 'M12 16 h8 v13 h-8 z', part: 'a' },
      { d: 'M16 2 c4 5 5 7 5 9 a5 4.6 0 0 1 -10 0 c0 -2 1 -4 5 -9 z', part: 'b' },
    ],
    plain: [
      { d: 'M4 4 h24 v24 h-24 z', part: 'a' },
      { d: 'M16 4 h12 v24 h-12 z', part: 'b' },
    ],
  };

const markOf = (mark: Mark): ProofElement =>
  element(
    'svg',
    { class: 'mark', viewBox: '0 0 32 32', 'aria-hidden': 'true' },
    ...SHAPES[mark].map(({ d, part }) => element('path', { class: `mark-${part}`, d })),
  );

/** The mark as a file of its own, in two colors. */
export const markSvg = (mark: Mark, colors: Readonly<Record<'a' | 'b', string>>): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 32 32" width="32" height="32">${SHAPES[mark]
    .map(({ d, part }) => `<path fill="${colors[part]}" d="${d}"/>`)
    .join('')}</svg>`;

const drawn = (svg: string, className: string): ProofElement => ({
  ...element('span', { class: className, 'aria-hidden': 'true' }),
  svg,
});

/** The logo in the color of the text around it; nothing where there is no such version. */
export const oneColorLogo = ({ one }: Logo): readonly ProofElement[] =>
  one === undefined ? [] : [{ ...drawn(one, 'logo'), decision: '/layout/logo' }];

/** The site's logo, or the mark that stands for one; another for the dark theme where there is one. */
export function logoOf(mark: Mark, { light, dark }: Logo): readonly ProofElement[] {
  if (light === undefined) return [element('span', { class: 'logo' }, markOf(mark))];
  return dark === undefined
    ? [drawn(light, 'logo')]
    : [drawn(light, 'logo logo-light'), drawn(dark, 'logo logo-dark')];
}
