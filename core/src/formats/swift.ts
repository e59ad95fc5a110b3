import type { Derived } from '../derive/derived.ts';
import type { StyleDocument } from '../system/document.ts';
import { argb, constants, inQuotes, noteOf, type Constant } from './app-constants.ts';

const swiftText = (text: string): string => inQuotes(text).replaceAll(String.raw`\$`, '$');

const swift: Constant = (name, [value, other = value]) => {
  if (!value || !other) return undefined;
  const let1 = `  public static let ${name}`;
  switch (value.kind) {
    case 'color':
      return `${let1} = TokenColor(${argb(value)}, ${argb(other.kind === 'color' ? other : value)})`;
    case 'length':
      return `${let1}: Double = ${value.px}${noteOf(value)}`;
    case 'em':
    case 'number':
      return `${let1}: Double = ${value.value}${noteOf(value)}`;
    case 'duration':
      return `${let1}: Double = ${value.ms / 1000} // seconds`;
    case 'text':
      return `${let1} = ${swiftText(value.value)}`;
  }
};

/** The tokens as constants of Swift: colors as 0xAARRGGBB in each theme, lengths in points, durations in seconds. */
export function writeSwift(document: StyleDocument, derived: Derived): string {
  const { head, lines, modes } = constants(document, derived, swift);
  const [first, second = first] = modes;
  return [
    ...head,
    '',
    `/// A color as 0xAARRGGBB, in ${first}${second === first ? '' : ` and in ${second}`}.`,
    'public struct TokenColor {',
    `  public let ${first}: UInt32`,
    ...(second === first ? [] : [`  public let ${second}: UInt32`]),
    `  init(_ one: UInt32, _ other: UInt32) {`,
    `    ${first} = one`,
    ...(second === first ? [] : [`    ${second} = other`]),
    '  }',
    '}',
    '',
    'public enum Tokens {',
    ...lines,
    '}',
    '',
  ].join('\n');
}
