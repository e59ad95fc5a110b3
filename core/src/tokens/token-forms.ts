import { parseTransparentColor } from '../color/parse-color.ts';
import { rgbOf } from '../color/srgb.ts';
import { wideJson } from '../color/wide.ts';
import type { TokenJson } from './token.ts';

/** A value as the open format writes it, or why it is none. */
export type Form =
  | { readonly ok: true; readonly value: TokenJson; readonly extension?: TokenJson }
  | { readonly ok: false; readonly reason: string };

const taken = (value: TokenJson): Form => ({ ok: true, value });
const refused = (reason: string): Form => ({ ok: false, reason });

const isRecord = (value: TokenJson): value is { readonly [key: string]: TokenJson } =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isList = (value: TokenJson): value is readonly TokenJson[] => Array.isArray(value);

/** A number and its unit, as CSS writes them. */
const QUANTITY = /^([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)\s*([a-z]+|%)?$/i;

function quantityOf(
  value: TokenJson,
): { readonly number: number; readonly unit: string } | undefined {
  const match = typeof value === 'string' ? QUANTITY.exec(value.trim().slice(0, 60)) : null;
  return match ? { number: Number(match[1]), unit: (match[2] ?? '').toLowerCase() } : undefined;
}

function colorForm(value: TokenJson): Form {
  if (typeof value !== 'string') return taken(value);
  const read = parseTransparentColor(value);
  if (!read.ok) return refused(read.problem);
  const { hex, wide, alpha } = read;
  if (wide !== undefined) return taken({ ...wideJson(wide, hex), alpha });
  return taken({
    colorSpace: 'srgb',
    components: rgbOf(hex).map((channel) => Number(channel.toFixed(5))),
    alpha,
    hex,
  });
}

const lengthForm =
  (units: readonly string[], example: string) =>
  (value: TokenJson): Form => {
    if (value === 0 || value === '0') return taken({ value: 0, unit: units[0] ?? 'px' });
    if (typeof value === 'number')
      return refused(`a number without a unit; write for example "${example}"`);
    const quantity = quantityOf(value);
    if (!quantity)
      return typeof value === 'string'
        ? refused(`“${value.slice(0, 40)}” is no length`)
        : taken(value);
    const { number, unit } = quantity;
    // What the open format cannot say stands in our extension, with the nearest that it can say beside.
    if (unit === 'em' && units.includes('rem'))
      return { ok: true, value: { value: number, unit: 'rem' }, extension: { em: number } };
    return units.includes(unit)
      ? taken({ value: number, unit })
      : refused(`the unit ${unit || 'is missing'} is not one of ${units.join(', ')}`);
  };

const dimensionForm = lengthForm(['px', 'rem'], '16px');
const durationForm = lengthForm(['ms', 's'], '200ms');

function numberForm(value: TokenJson): Form {
  const quantity = quantityOf(value);
  if (!quantity) return typeof value === 'string' ? refused('no number') : taken(value);
  if (quantity.unit === '') return taken(quantity.number);
  return quantity.unit === '%'
    ? taken(Number((quantity.number / 100).toFixed(6)))
    : refused(`a number with the unit ${quantity.unit}`);
}

/** Source: Design Tokens Format Module 2025.10, font weight; OpenType, usWeightClass. */
const WEIGHTS: ReadonlyMap<string, number> = new Map([
  ['thin', 100],
  ['hairline', 100],
  ['extra-light', 200],
  ['ultra-light', 200],
  ['light', 300],
  ['normal', 400],
  ['regular', 400],
  ['book', 400],
  ['medium', 500],
  ['semi-bold', 600],
  ['demi-bold', 600],
  ['semibold', 600],
  ['demibold', 600],
  ['bold', 700],
  ['extra-bold', 800],
  ['ultra-bold', 800],
  ['extrabold', 800],
  ['black', 900],
  ['heavy', 900],
  ['extra-black', 950],
  ['ultra-black', 950],
]);

function weightForm(value: TokenJson): Form {
  if (typeof value !== 'string') return taken(value);
  const plain = value.trim().toLowerCase().replaceAll(/\s+/g, '-');
  const named = WEIGHTS.get(plain);
  if (named !== undefined) return taken(named);
  const number = Number(plain);
  return plain !== '' && number >= 1 && number <= 1000
    ? taken(number)
    : refused(`“${value.slice(0, 40)}” is no weight`);
}

function familyForm(value: TokenJson): Form {
  if (typeof value !== 'string') return taken(value);
  const names = value
    .split(',')
    .map((name) => name.trim().replace(/^(["'])(.*)\1$/, '$2'))
    .filter((name) => name !== '');
  const [only] = names;
  return names.length > 1 ? taken(names) : only === undefined ? refused('no name') : taken(only);
}

/** Source: CSS Easing Functions 1. */
const EASINGS: ReadonlyMap<string, readonly number[]> = new Map([
  ['linear', [0, 0, 1, 1]],
  ['ease', [0.25, 0.1, 0.25, 1]],
  ['ease-in', [0.42, 0, 1, 1]],
  ['ease-out', [0, 0, 0.58, 1]],
  ['ease-in-out', [0.42, 0, 0.58, 1]],
]);

function easingForm(value: TokenJson): Form {
  if (typeof value !== 'string') return taken(value);
  const plain = value.trim().toLowerCase();
  const named = EASINGS.get(plain);
  if (named) return taken(named);
  const numbers = /^cubic-bezier\(([^()]*)\)$/.exec(plain)?.[1]?.split(',').map(Number);
  return numbers?.length === 4 && numbers.every((part) => Number.isFinite(part))
    ? taken(numbers)
    : refused(`“${value.slice(0, 40)}” is no curve of four numbers`);
}

type Reader = (value: TokenJson) => Form;

/** A value of several parts, each of its own type; several of them where a list stands. */
const partsForm =
  (parts: ReadonlyMap<string, Reader>): Reader =>
  (value) => {
    if (isList(value)) {
      const all = value.map(partsForm(parts));
      const wrong = all.find((one) => !one.ok);
      return wrong ?? taken(all.map((one) => (one.ok ? one.value : null)));
    }
    if (!isRecord(value)) return refused('its parts are missing');
    const entries: [string, TokenJson][] = [];
    for (const [name, part] of Object.entries(value)) {
      const form = parts.get(name)?.(part) ?? taken(part);
      if (!form.ok) return refused(`${name}: ${form.reason}`);
      entries.push([name, form.value]);
    }
    return taken(Object.fromEntries(entries));
  };

/** Source: Format Module 2025.10, stroke style; CSS Backgrounds 3, border-style. */
const STROKES = ['solid', 'dashed', 'dotted', 'double', 'groove', 'ridge', 'outset', 'inset'];
const CAPS = ['round', 'butt', 'square'];

/** A word, or dashes and gaps with how they end: `4px 2px round`. */
function strokeForm(value: TokenJson): Form {
  if (typeof value !== 'string') return taken(value);
  const parts = value.trim().toLowerCase().split(/\s+/);
  const [word = ''] = parts;
  if (parts.length === 1 && STROKES.includes(word)) return taken(word);
  const lineCap = parts.find((part) => CAPS.includes(part)) ?? 'butt';
  const lengths = parts.filter((part) => !CAPS.includes(part)).map(dimensionForm);
  const dashArray = lengths.flatMap((one) => (one.ok ? [one.value] : []));
  return dashArray.length > 0 && dashArray.length === lengths.length
    ? taken({ dashArray, lineCap })
    : refused(
        `“${value.slice(0, 40)}” is no stroke; write for example "dashed", or "4px 2px round"`,
      );
}

const FORMS: ReadonlyMap<string, Reader> = new Map<string, Reader>([
  ['strokeStyle', strokeForm],
  ['color', colorForm],
  ['dimension', dimensionForm],
  ['duration', durationForm],
  ['number', numberForm],
  ['fontWeight', weightForm],
  ['fontFamily', familyForm],
  ['cubicBezier', easingForm],
  [
    'shadow',
    partsForm(
      new Map([
        ['color', colorForm],
        ['offsetX', dimensionForm],
        ['offsetY', dimensionForm],
        ['blur', dimensionForm],
        ['spread', dimensionForm],
      ]),
    ),
  ],
  [
    'border',
    partsForm(
      new Map([
        ['color', colorForm],
        ['width', dimensionForm],
        ['style', strokeForm],
      ]),
    ),
  ],
  [
    'transition',
    partsForm(
      new Map([
        ['duration', durationForm],
        ['delay', durationForm],
        ['timingFunction', easingForm],
      ]),
    ),
  ],
  [
    'gradient',
    partsForm(
      new Map([
        ['color', colorForm],
        ['position', numberForm],
      ]),
    ),
  ],
]);

/**
 * Brings a value of a type of the open format into the form that the format asks for. Files in use write
 * many of them as CSS does: `"16px"`, `"200ms"`, `"rgb(0 0 0 / 50%)"`, `"rebeccapurple"`, `"bold"`,
 * `"ease-out"`; these are read. A value of a type that is not known here comes back as it is. What is no
 * value of its type is refused with a reason.
 */
export const readForm = (type: string, value: TokenJson): Form =>
  FORMS.get(type)?.(value) ?? taken(value);
