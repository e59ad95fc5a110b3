import type { Derived } from '../derive/derived.ts';
import { modesOf } from '../system/themes.ts';
import type { Token } from '../tokens/token.ts';
import { propertyOf } from '../tokens/token.ts';
import { nowhere, shownValues } from '../verify/shown.ts';
import { namedProperty, type Naming } from './naming.ts';

/** The syntax of each type that gains by one: it can be animated, and what is none of it is refused. Source: CSS Properties and Values 1. */
const SYNTAX: ReadonlyMap<string, string> = new Map([
  ['color', '<color>'],
  ['dimension', '<length-percentage>'],
  ['duration', '<time>'],
  ['number', '<number>'],
  ['fontWeight', '<number>'],
]);

/** Lengths that depend on where they stand: registered, they would be computed on the root once and for all. */
const PLACED = /[\d.](?:em|ex|ch|cap|ic|lh|%|cq\w+)\b|[\d.]%/;

/** What a property is where nobody declares it: a value that depends on nothing, as the standard asks. */
function initialOf(type: string, css: string): string {
  switch (type) {
    case 'color':
      return css.includes('var(') ? 'transparent' : css;
    case 'dimension':
      return /^-?[\d.]+px$/.test(css) ? css : '0px';
    case 'duration':
      return /^[\d.]+m?s$/.test(css) ? css : '0s';
    default:
      return /^-?[\d.]+$/.test(css) ? css : '0';
  }
}

/** A token with the syntax that it is registered with; nothing for one that gains nothing, or would be changed by it. */
export function registrationOf(
  { type }: Pick<Token, 'type'>,
  values: readonly string[],
): { readonly syntax: string; readonly initial: string } | undefined {
  const syntax = SYNTAX.get(type);
  const [first = ''] = values;
  const isPlaced = type === 'dimension' && values.some((value) => PLACED.test(value));
  // A ratio is written as two numbers, which no syntax of one allows; something unresolved may be anything.
  const isOther = values.some(
    (value) => value.includes('var(') || (type === 'number' && value.includes('/')),
  );
  return syntax === undefined || isPlaced || isOther
    ? undefined
    : { syntax, initial: initialOf(type, first) };
}

/** Registrations of custom properties with their types, as the sheet has them before everything else. */
export function registrationsCss(
  derived: Pick<Derived, 'tokens' | 'rules' | 'themes'>,
  naming: Naming,
): string {
  const shown = modesOf(derived.themes).map((mode) => shownValues(derived, mode, nowhere));
  return derived.tokens
    .flatMap((token) => {
      const values = shown.flatMap((one) => one.get(token.id) ?? []);
      const registration = values.length === 0 ? undefined : registrationOf(token, values);
      return registration
        ? [
            `@property ${namedProperty(propertyOf(token), naming)} {\n  syntax: "${registration.syntax}";\n  inherits: true;\n  initial-value: ${registration.initial};\n}\n`,
          ]
        : [];
    })
    .join('');
}
