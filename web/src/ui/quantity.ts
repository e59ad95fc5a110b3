/** Units that a field understands, as multiples of its own. */
export type Units = Readonly<Record<string, number>>;

export type ReadQuantity =
  { readonly ok: true; readonly value: number } | { readonly ok: false; readonly problem: string };

/** The units that a field reads: those that it names, its own, and per cent where it is a share. */
export const unitsOf = (unit: string, units: Units): Units => ({
  ...(unit === '' ? { '%': 0.01 } : { [unit.toLowerCase().replace(/\.$/, '')]: 1 }),
  ...units,
});

/** px, with the lengths that follow from a root of 16 px. */
export const PX_UNITS: Units = { px: 1, rem: 16, em: 16, pt: 4 / 3 };

const TOKEN = /\s*(?:(\d+(?:[.,]\d+)?|[.,]\d+)\s*([a-z%°]*)\.?|([-+*/()×÷:]))/iy;

/** A sum that a hand types has no more numbers and signs. */
const MOST_PARTS = 200;

interface Part {
  readonly sign?: string;
  readonly number?: number;
}

function partsOf(text: string, units: Units): Part[] | string {
  const parts: Part[] = [];
  TOKEN.lastIndex = 0;
  const trimmed = text.trim();
  while (TOKEN.lastIndex < trimmed.length) {
    const at = TOKEN.lastIndex;
    const match = TOKEN.exec(trimmed);
    if (!match) return `“${trimmed.slice(at)}” is not a number.`;
    const [, digits, unit = '', sign] = match;
    if (sign !== undefined) parts.push({ sign });
    else {
      const name = unit.toLowerCase();
      const factor = unit === '' ? 1 : Object.hasOwn(units, name) ? units[name] : undefined;
      if (factor === undefined) return `“${unit}” is not a unit that fits here.`;
      parts.push({ number: Number((digits ?? '').replace(',', '.')) * factor });
    }
  }
  return parts;
}

/**
 * Reads a number with or without a unit, or a sum of such: `1.5rem`, `17 + 1`, `(4/3) * 12`, `4:3`.
 * A semicolon behind it is let go. The answer
 * is in the field's own unit.
 */
export function readQuantity(text: string, units: Units = {}): ReadQuantity {
  const parts = partsOf(text.replace(/[;\s]+$/, ''), units);
  if (typeof parts === 'string') return { ok: false, problem: parts };
  if (parts.length > MOST_PARTS) return { ok: false, problem: 'This sum is too long.' };
  let at = 0;
  const sign = (): string | undefined => parts[at]?.sign;
  const factor = (): number => {
    const part = parts[at];
    at += 1;
    if (part?.number !== undefined) return part.number;
    if (part?.sign === '-') return -factor();
    if (part?.sign === '(') {
      const value = sum();
      if (sign() !== ')') return NaN;
      at += 1;
      return value;
    }
    return NaN;
  };
  const product = (): number => {
    let value = factor();
    for (let next = sign(); next && '*/×÷:'.includes(next); next = sign()) {
      at += 1;
      value = '*×'.includes(next) ? value * factor() : value / factor();
    }
    return value;
  };
  const sum = (): number => {
    let value = product();
    for (let next = sign(); next === '+' || next === '-'; next = sign()) {
      at += 1;
      value = next === '+' ? value + product() : value - product();
    }
    return value;
  };
  const value = sum();
  return Number.isFinite(value) && at === parts.length
    ? { ok: true, value }
    : { ok: false, problem: 'This is not a number, nor a sum that can be worked out.' };
}
