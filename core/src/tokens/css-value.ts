import { GRADIENT_SPACES, gradientCss as spacedGradient } from '../color/gradient.ts';
import { hexOf, isHex, type Hex } from '../color/srgb.ts';
import { cssString } from '../css-string.ts';
import { propertyOfPath, type TokenJson } from './token.ts';

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

/** The custom property of a token that is named as the open format refers to one. */
const named = (value: TokenJson | undefined): string | undefined => {
  const id = typeof value === 'string' ? /^\{([^{}]+)\}$/.exec(value)?.[1] : undefined;
  return id === undefined ? undefined : propertyOfPath(id.split('.'));
};

type Css = (value: TokenJson) => string | undefined;

/** A part of a value: one of its own, or that of a token. */
const part =
  (own: Css) =>
  (value: TokenJson | undefined): string | undefined => {
    const property = named(value);
    return property === undefined ? own(value ?? null) : `var(${property})`;
  };

const familyCss = (name: TokenJson): string | undefined =>
  typeof name !== 'string' ? undefined : /^[a-z-]+$/.test(name) ? name : cssString(name);

/** A color that may stand in a gradient: as CSS writes it, and its nearest in sRGB where the value says that. */
interface ReadStop {
  readonly at: number;
  readonly css: string;
  readonly color: Hex | undefined;
}

/** The nearest color of sRGB that a value names itself; nothing for one of another space without it. */
function hexOfJson(value: TokenJson | undefined): Hex | undefined {
  if (typeof value === 'string') return isHex(value) ? value : undefined;
  if (!isRecord(value)) return undefined;
  const { hex, colorSpace, components } = value;
  const own = typeof hex === 'string' ? hex.toLowerCase() : '';
  if (isHex(own)) return own;
  if (colorSpace !== 'srgb' || !isList(components) || components.length !== 3) return undefined;
  const [red, green, blue] = components.map((part) => (isNumber(part) ? part : 0));
  return hexOf([red ?? 0, green ?? 0, blue ?? 0]);
}

/** Colors with their places. */
function stopsOf(value: TokenJson, followed: TokenJson): readonly ReadStop[] | undefined {
  if (!isList(value) || !isList(followed) || value.length < 2) return undefined;
  const stops = followed.flatMap((stop, index): readonly ReadStop[] => {
    const written = value[index] ?? null;
    if (!isRecord(stop) || !isNumber(stop['position'])) return [];
    const own = colorCss(stop['color'] ?? null);
    const css = (isRecord(written) ? part(colorCss)(written['color']) : undefined) ?? own;
    return own === undefined || css === undefined
      ? []
      : [{ at: stop['position'], color: hexOfJson(stop['color']), css }];
  });
  return stops.length === value.length ? stops : undefined;
}

/** Colors one after the other, as a gradient to the right: the open format says no direction. */
function gradientCss(value: TokenJson, followed: TokenJson): string | undefined {
  const stops = stopsOf(value, followed);
  return stops && plainGradient(stops, 'to right');
}

const plainGradient = (stops: readonly Pick<ReadStop, 'at' | 'css'>[], direction: string): string =>
  `linear-gradient(${direction}, ${stops
    .map(({ at, css }) => `${css} ${Number((at * 100).toFixed(2))}%`)
    .join(', ')})`;

/** Where a veil that begins at a side of a picture runs to. */
const FROM_SIDE: ReadonlyMap<TokenJson | undefined, string> = new Map([
  ['bottom', 'to top'],
  ['top', 'to bottom'],
  ['start', 'to right'],
  ['end', 'to left'],
]);

/** A gradient with the direction, and the space that it runs in, that our extension says. */
function directedCss(
  value: TokenJson,
  extension: TokenJson | undefined,
  followed: TokenJson,
): string | undefined {
  const stops = stopsOf(value, followed);
  if (!stops || !isRecord(extension)) return undefined;
  const { angle, space, side } = extension;
  const known = GRADIENT_SPACES.find((one) => one === space);
  if (isNumber(angle) && known) {
    const direction = `${angle}deg`;
    const all = stops.flatMap(({ at, css, color }) =>
      color === undefined ? [] : [{ at, css, color }],
    );
    // Of a color that names no neighbor in sRGB nobody knows here whether it is gray.
    return all.length === stops.length
      ? spacedGradient(all, known, direction)
      : plainGradient(stops, `${direction} in ${known}`);
  }
  // All over it is one color from end to end.
  if (side === 'all over') return `linear-gradient(${stops.map(({ css }) => css).join(', ')})`;
  const direction = FROM_SIDE.get(side);
  return direction === undefined ? undefined : plainGradient(stops, direction);
}

const dimensionCss = lengthCss(['px', 'rem']);
const durationCss = lengthCss(['ms', 's']);

/** One shadow, or several over each other. */
function shadowCss(value: TokenJson): string | undefined {
  const layers = (isList(value) ? value : [value]).map((layer) => {
    if (!isRecord(layer)) return part(() => undefined)(layer);
    const { color, offsetX, offsetY, blur, spread = { value: 0, unit: 'px' }, inset } = layer;
    const lengths = [offsetX, offsetY, blur, spread].map(part(dimensionCss));
    const painted = part(colorCss)(color);
    return lengths.includes(undefined) || painted === undefined
      ? undefined
      : `${inset === true ? 'inset ' : ''}${lengths.join(' ')} ${painted}`;
  });
  return layers.length === 0 || layers.includes(undefined) ? undefined : layers.join(', ');
}

const STROKES = ['solid', 'dashed', 'dotted', 'double', 'groove', 'ridge', 'outset', 'inset'];

/** A stroke that CSS has a word for; of dashes of its own CSS knows nothing. */
const strokeCss = (value: TokenJson): string | undefined =>
  typeof value === 'string' && STROKES.includes(value) ? value : undefined;

function borderCss(value: TokenJson): string | undefined {
  if (!isRecord(value)) return undefined;
  const parts = [
    part(dimensionCss)(value['width']),
    part(strokeCss)(value['style']),
    part(colorCss)(value['color']),
  ];
  return parts.includes(undefined) ? undefined : parts.join(' ');
}

function easingCss(value: TokenJson): string | undefined {
  return isList(value) && value.length === 4 && value.every((part) => isNumber(part))
    ? `cubic-bezier(${value.join(', ')})`
    : undefined;
}

function transitionCss(value: TokenJson): string | undefined {
  if (!isRecord(value)) return undefined;
  const parts = [
    part(durationCss)(value['duration']),
    part(easingCss)(value['timingFunction']),
    part(durationCss)(value['delay'] ?? { value: 0, unit: 'ms' }),
  ];
  return parts.includes(undefined) ? undefined : parts.join(' ');
}

const CSS_OF: ReadonlyMap<string, (value: TokenJson, followed: TokenJson) => string | undefined> =
  new Map(
    Object.entries({
      color: colorCss,
      gradient: gradientCss,
      dimension: dimensionCss,
      duration: durationCss,
      number: (value) => (isNumber(value) ? String(value) : undefined),
      fontWeight: (value) => (isNumber(value) ? String(value) : undefined),
      fontFamily: (value) =>
        typeof value === 'string'
          ? familyCss(value)
          : isList(value) && value.every((name) => typeof name === 'string')
            ? value.map((name) => part(familyCss)(name)).join(', ')
            : undefined,
      cubicBezier: easingCss,
      shadow: shadowCss,
      border: borderCss,
      strokeStyle: strokeCss,
      transition: transitionCss,
    }),
  );

/** What our extension says of both themes: how a gradient runs. A length in the other theme stands for itself. */
export const extensionOfBoth = (
  type: string,
  extension: TokenJson | undefined,
): TokenJson | undefined => (type === 'gradient' ? extension : undefined);

/**
 * A value of the open token format as CSS writes it, with what our extension says beside it (a size that flows, the
 * direction of a gradient); undefined for types that no single CSS value stands for, and for values that are not of
 * their type. A part that is taken from a token (`"{color.line}"`) is written as its custom property.
 * @param followed the same value with such parts followed, which a gradient is computed from
 */
export function cssOfValue(
  type: string,
  value: TokenJson,
  extension?: TokenJson,
  followed: TokenJson = value,
): string | undefined {
  const own =
    type === 'dimension'
      ? cssOfExtension(extension)
      : type === 'gradient'
        ? directedCss(value, extension, followed)
        : type === 'duration' || type === 'number'
          ? multipleCss(extension)
          : undefined;
  return own ?? CSS_OF.get(type)?.(value, followed);
}

const fixedCss = (value: TokenJson | undefined): string | undefined =>
  lengthCss(['px', 'rem', 'em'])(value ?? null);

/** `clamp(minimum, base + slope, maximum)` of a size that flows. */
function clampCss(clamp: TokenJson, unit: string): string | undefined {
  if (!isRecord(clamp) || !isNumber(clamp['slope'])) return undefined;
  const [least, base, most] = ['minimum', 'base', 'maximum'].map((part) => fixedCss(clamp[part]));
  if (least === undefined || base === undefined || most === undefined) return undefined;
  const slope = clamp['slope'];
  return `clamp(${least}, ${base} ${slope < 0 ? '-' : '+'} ${Math.abs(slope)}${unit}, ${most})`;
}

function fluidCss(value: TokenJson): string | undefined {
  if (!isRecord(value)) return undefined;
  const { clamps, unit } = value;
  if (!isList(clamps) || typeof unit !== 'string' || !/^(vi|vw|cqi)$/.test(unit)) return undefined;
  const rest = fixedCss(value['rest']);
  const parts = clamps.map((clamp) => clampCss(clamp, unit));
  if (rest === undefined || parts.length === 0 || parts.includes(undefined)) return undefined;
  return parts.length === 1 && Number.parseFloat(rest) === 0
    ? parts.join('')
    : `calc(${[rest, ...parts].join(' + ')})`;
}

function shrinkingCss(value: TokenJson): string | undefined {
  if (!isRecord(value)) return undefined;
  const { form, share } = value;
  const fixed = fixedCss(value['fixed']);
  if (fixed === undefined || !isNumber(share)) return undefined;
  if (form === 'min' || form === 'max') return `${form}(${fixed}, ${share}%)`;
  const least = value['least'] === undefined ? '0px' : fixedCss(value['least']);
  return form === 'clamp' && least !== undefined
    ? `clamp(${least}, ${share}%, ${fixed})`
    : undefined;
}

/** So many times another token. */
function multipleCss(extension: TokenJson | undefined): string | undefined {
  const multiple = isRecord(extension) ? extension['multiple'] : undefined;
  if (!isRecord(multiple)) return undefined;
  const { of, times } = multiple;
  const property = named(of);
  return property === undefined || !isNumber(times)
    ? undefined
    : `calc(${times} * var(${property}))`;
}

const minusCss = (value: TokenJson): string | undefined => {
  const property = named(value);
  return property === undefined ? undefined : `calc(-1 * var(${property}))`;
};

/** A radius less what lies between it and the corner inside, never below 0. */
function innerCss(value: TokenJson): string | undefined {
  const list = isRecord(value) ? value['less'] : undefined;
  if (!isRecord(value) || !isList(list)) return undefined;
  const outer = named(value['outer']);
  const less = list.map(named);
  if (outer === undefined || less.includes(undefined)) return undefined;
  return `max(0px, calc(var(${outer})${less.map((own) => ` - var(${own ?? ''}, 0px)`).join('')}))`;
}

const isUnit = (unit: TokenJson | undefined): unit is string =>
  typeof unit === 'string' && /^(rem|em|ch|px|%)$/.test(unit);

/**
 * What the extension of a dimension says that the open format cannot (a size that flows, a length in
 * em or ch, one that shrinks with its container, a share of it) as CSS writes it; undefined where it
 * says nothing of the kind.
 */
function cssOfExtension(extension: TokenJson | undefined): string | undefined {
  if (!isRecord(extension)) return undefined;
  const { em, fluid, shrinking, width, share, minus, inner } = extension;
  const multiple = multipleCss(extension);
  if (multiple !== undefined) return multiple;
  if (isNumber(em)) return `${em}em`;
  if (fluid !== undefined) return fluidCss(fluid);
  if (shrinking !== undefined) return shrinkingCss(shrinking);
  if (isNumber(share)) return `${share}%`;
  if (minus !== undefined) return minusCss(minus);
  if (inner !== undefined) return innerCss(inner);
  if (isRecord(width) && isNumber(width['value']) && isUnit(width['unit']))
    return `${width['value']}${width['unit']}`;
  return undefined;
}
