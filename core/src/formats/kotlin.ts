import type { Derived } from '../derive/derived.ts';
import type { StyleDocument } from '../system/document.ts';
import { argb, constants, inQuotes, noteOf, type Constant } from './app-constants.ts';

/** Kotlin takes a number without a point for a whole one. */
const decimal = (value: number): string => (Number.isInteger(value) ? `${value}.0` : String(value));

const kotlin: Constant = (name, [value, other = value]) => {
  if (!value || !other) return undefined;
  switch (value.kind) {
    case 'color':
      return `  val ${name} = TokenColor(${argb(value)}, ${argb(other.kind === 'color' ? other : value)})`;
    case 'length':
      return `  const val ${name}: Double = ${decimal(value.px)}${noteOf(value)}`;
    case 'em':
    case 'number':
      return `  const val ${name}: Double = ${decimal(value.value)}${noteOf(value)}`;
    case 'duration':
      return `  const val ${name}: Long = ${Math.round(value.ms)} // milliseconds`;
    case 'text':
      return `  const val ${name}: String = ${inQuotes(value.value)}`;
  }
};

/** The tokens as constants of Kotlin: colors as 0xAARRGGBB in each theme, lengths in dp, durations in ms. */
export function writeKotlin(document: StyleDocument, derived: Derived): string {
  const { head, lines, modes } = constants(document, derived, kotlin);
  const [first, second = first] = modes;
  return [
    ...head,
    '',
    `/** A color as 0xAARRGGBB, in ${first}${second === first ? '' : ` and in ${second}`}. */`,
    `class TokenColor(val ${first}: Long, val ${second === first ? 'same' : second}: Long)`,
    '',
    'object Tokens {',
    ...lines,
    '}',
    '',
  ].join('\n');
}
