import type { TokenJson } from './token.ts';

const isRecord = (value: TokenJson | undefined): value is { readonly [key: string]: TokenJson } =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const isList = (value: TokenJson | undefined): value is readonly TokenJson[] =>
  Array.isArray(value);

const isNumber = (value: TokenJson | undefined): value is number =>
  typeof value === 'number' && Number.isFinite(value);

/** The functions of CSS for the color spaces of the Color module, beside `color()`. */
const OWN_FUNCTION = new Set(['hsl', 'hwb', 'lab', 'lch', 'oklab', 'oklch']);

function colorCss(value: TokenJson): string | undefined {
  if (typeof value === 'string') return /^#[0-9a-f]{3,8}$/i.test(value) ? value : undefined;
  if (!isRecord(value)) return undefined;
  const { colorSpace, components, alpha, hex } = value;
  if (typeof colorSpace !== 'string' || !/^[a-z0-9-]+$/.test(colorSpace)) return undefined;
  if (!isList(components) || components.length !== 3) return undefined;
  const opaque = alpha === undefined || alpha === 1;
  if (opaque && colorSpace === 'srgb' && typeof hex === 'string' && /^#[0-9a-f]{6}$/i.test(hex))
    return hex.toLowerCase();
  if (!components.every((part) => part === 'none' || isNumber(part))) return undefined;
  if (alpha !== undefined && !isNumber(alpha)) return undefined;
  const percent = colorSpace === 'hsl' || colorSpace === 'hwb';
  const numbers = components.map((part, index) =>
    percent && index > 0 && part !== 'none' ? `${String(part)}%` : String(part),
  );
  const tail = opaque ? '' : ` / ${alpha}`;
  return OWN_FUNCTION.has(colorSpace)
    ? `${colorSpace}(${numbers.join(' ')}${tail})`
    : `color(${colorSpace} ${numbers.join(' ')}${tail})`;
}

const lengthCss =
  (units: readonly string[]) =>
  (value: TokenJson): string | undefined =>
    isRecord(value) &&
    isNumber(value['value']) &&
    typeof value['unit'] === 'string' &&
    units.includes(value['unit'])
      ? `${value['value']}${value['unit']}`
      : undefined;

const familyName = (name: string): string =>
  /^[a-z-]+$/.test(name) ? name : `"${name.replaceAll(/["\\\n]/g, '')}"`;

/** Colors with their places, one after the other, as a gradient to the right. */
function gradientCss(value: TokenJson): string | undefined {
  if (!isList(value) || value.length < 2) return undefined;
  const stops = value.map((stop) => {
    if (!isRecord(stop) || !isNumber(stop['position'])) return undefined;
    const color = colorCss(stop['color'] ?? null);
    return color === undefined
      ? undefined
      : `${color} ${Number((stop['position'] * 100).toFixed(2))}%`;
  });
  return stops.includes(undefined) ? undefined : `linear-gradient(to right, ${stops.join(', ')})`;
}

const CSS_OF: Readonly<Record<string, (value: TokenJson) => string | undefined>> = {
  color: colorCss,
  gradient: gradientCss,
  dimension: lengthCss(['px', 'rem']),
  duration: lengthCss(['ms', 's']),
  number: (value) => (isNumber(value) ? String(value) : undefined),
  fontWeight: (value) => (isNumber(value) ? String(value) : undefined),
  fontFamily: (value) =>
    typeof value === 'string'
      ? familyName(value)
      : isList(value) && value.every((name) => typeof name === 'string')
        ? value.map((name) => familyName(name)).join(', ')
        : undefined,
  cubicBezier: (value) =>
    isList(value) && value.length === 4 && value.every((part) => isNumber(part))
      ? `cubic-bezier(${value.join(', ')})`
      : undefined,
};

/**
 * A value of the open token format as CSS writes it; undefined for types that no single CSS value
 * stands for, and for values that are not of their type.
 */
export const cssOfJson = (type: string, value: TokenJson): string | undefined =>
  CSS_OF[type]?.(value);
