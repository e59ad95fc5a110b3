import type { Rule } from '../../derive/derived.ts';
import { propertyOf, type Token } from '../../tokens/token.ts';

/** The ways in which a specimen shows a token: the property that takes its value. */
const MANNERS = {
  fill: 'background-color',
  ink: 'color',
  image: 'background-image',
  face: 'font-family',
  weight: 'font-weight',
  size: 'font-size',
  leading: 'line-height',
  tracking: 'letter-spacing',
  long: 'inline-size',
  square: 'block-size',
  inset: 'padding',
  beside: 'padding-inline',
  below: 'padding-block',
  pull: 'margin-inline-start',
  gap: 'column-gap',
  round: 'border-radius',
  thick: 'border-block-start-width',
  edge: 'border',
  stroke: 'border-style',
  raised: 'box-shadow',
  cut: 'aspect-ratio',
  veiled: 'opacity',
  above: 'z-index',
  lasts: 'transition-duration',
  eases: 'transition-timing-function',
  moves: 'transition',
  counted: 'column-count',
  grown: 'flex-grow',
} as const;

export type Manner = keyof typeof MANNERS;

const START = 'sheet-shows-';
const SHOWN = new RegExp(`^${START}([a-z]+)-(.+)$`);

/** The class of what shows a token in a manner. */
export const showing = (manner: Manner, token: Pick<Token, 'path'>): string =>
  `${START}${manner}-${propertyOf(token).slice(2)}`;

/** The custom property that a class shows, and where it goes; nothing for any other class. */
function shownBy(name: string): { readonly property: string; readonly takes: string } | undefined {
  const [, manner = '', property] = SHOWN.exec(name) ?? [];
  return property !== undefined && Object.hasOwn(MANNERS, manner)
    ? { property: `--${property}`, takes: MANNERS[manner as Manner] }
    : undefined;
}

/** The custom property of the token that classes show; nothing where they show none. */
export const propertyShownBy = (classes: Iterable<string>): string | undefined => {
  for (const name of classes) {
    const shown = shownBy(name);
    if (shown) return shown.property;
  }
  return undefined;
};

/** The rules of the specimens among these classes, each once. */
export const specimenRules = (classes: Iterable<string>): readonly Rule[] =>
  [...new Set(classes)].flatMap((name): Rule[] => {
    const shown = shownBy(name);
    return shown
      ? [{ selector: `.${name}`, declarations: [[shown.takes, `var(${shown.property})`]] }]
      : [];
  });
