import { inOrder, type Mode, type StyleDocument } from './document.ts';
import type { Json } from './json.ts';

export type Custom = StyleDocument['tokens']['custom'];
export type CustomItem = Custom['items'][string];

/** What a token from elsewhere says of one theme. */
export type Said = Pick<CustomItem, 'value' | 'alias' | 'parts'>;

/** What a part of a value is taken from: a token as a whole, by its path, or a place in its value. */
export type Source = NonNullable<Said['parts']>[string];

/** The token that a part is taken from. */
export const tokenOf = (source: Source): string =>
  typeof source === 'string' ? source : source.of;

/** A part as it is written in fields and told in words: `{color.text}`, or `{type.body}/fontSize`. */
export const sourceText = (source: Source): string =>
  typeof source === 'string' ? `{${source}}` : `{${source.of}}${source.at}`;

/** A value with everything that it is taken from followed. */
export interface Followed {
  readonly type: string;
  readonly value: Json;
  readonly extension?: Json;
}

/** The value of a token that the system makes itself; nothing where it makes none of this path. */
export type OwnValue = (path: string, mode: Mode) => Followed | undefined;

const isRecord = (value: Json): value is { readonly [key: string]: Json } =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const rounded = (value: number): number => Number(value.toFixed(5));

/** A share of a color, or a multiple of a number that may have a unit; nothing of anything else. */
export function multiplied(type: string, value: Json, times: number): Json | undefined {
  if (type === 'color') {
    if (!isRecord(value) || !Array.isArray(value['components'])) return undefined;
    const { alpha = 1 } = value;
    return typeof alpha === 'number' ? { ...value, alpha: rounded(alpha * times) } : undefined;
  }
  if (typeof value === 'number') return rounded(value * times);
  return isRecord(value) && typeof value['value'] === 'number'
    ? { ...value, value: rounded(value['value'] * times) }
    : undefined;
}

/** The types of which there are shares or multiples. */
export const MULTIPLIED = ['color', 'dimension', 'duration', 'number'] as const;

function madeOf(
  { type, value }: Followed,
  { of, times }: NonNullable<CustomItem['made']>,
): Followed | undefined {
  const result = MULTIPLIED.some((one) => one === type)
    ? multiplied(type, value, times)
    : undefined;
  return result === undefined
    ? undefined
    : {
        type,
        value: result,
        extension: { multiple: { of: `{${of}}`, times } },
      };
}

export const saidIn = (item: CustomItem, mode: Mode): Said =>
  mode === 'dark' && item.dark ? item.dark : item;

/** A value with parts of it put in other places: each by its JSON Pointer. Places that are not there stay so. */
export function withParts(value: Json, parts: ReadonlyMap<string, Json>): Json {
  if (parts.size === 0) return value;
  const walk = (here: Json, at: string): Json => {
    const own = parts.get(at);
    if (own !== undefined) return own;
    if (Array.isArray(here))
      return (here as readonly Json[]).map((one, index) => walk(one, `${at}/${index}`));
    if (typeof here !== 'object' || here === null) return here;
    return Object.fromEntries(
      Object.entries(here).map(([key, one]) => [key, walk(one, `${at}/${escaped(key)}`)]),
    );
  };
  return walk(value, '');
}

/**
 * A value with references for the parts that are taken from whole tokens, or from some of them; those taken from a
 * place in the value of one are `$ref` objects, which name it as `sourceText` does.
 */
export const referring = (
  { value, parts = {} }: Said,
  isThere: (source: Source) => boolean = () => true,
): Json =>
  withParts(
    value,
    new Map(
      Object.entries(parts).flatMap(([place, source]) =>
        isThere(source)
          ? [
              [
                place,
                typeof source === 'string' ? sourceText(source) : { $ref: sourceText(source) },
              ],
            ]
          : [],
      ),
    ),
  );

/** What stands at a place of a value, by its JSON Pointer; nothing where there is no such place. */
export const valueAt = (value: Json, at: string): Json | undefined =>
  at === '' ? value : [...placesIn(value)].find(([place]) => place === at)?.[1];

/** A name as part of a JSON Pointer. Source: RFC 6901, 3. */
export const escaped = (name: string): string => name.replaceAll('~', '~0').replaceAll('/', '~1');

/** Every place of a value with what stands there, as a JSON Pointer; the value itself is none. */
export function* placesIn(value: Json, at = ''): Generator<readonly [string, Json]> {
  if (typeof value !== 'object' || value === null) return;
  for (const [key, one] of Object.entries(value)) {
    const place = `${at}/${escaped(key)}`;
    yield [place, one];
    yield* placesIn(one, place);
  }
}

/**
 * The values of tokens from elsewhere by their paths, in a theme: as a whole or in their parts taken from others where
 * those are there. A token that leads back to itself has the value that it was given.
 */
export function customValues(
  custom: Custom,
  own: OwnValue = () => undefined,
): (path: string, mode: Mode) => Followed | undefined {
  const byPath = new Map(inOrder(custom).map(([, item]) => [item.path, item]));
  const known = new Map<string, Followed | undefined>();
  const followed = (path: string, mode: Mode): Followed | undefined => {
    const key = `${mode} ${path}`;
    if (known.has(key)) return known.get(key);
    const item = byPath.get(path);
    if (!item) return own(path, mode);
    known.set(key, undefined);
    const { type, extension, made } = item;
    const base = made && followed(made.of, mode);
    const multiple = base && madeOf(base, made);
    if (multiple) {
      known.set(key, multiple);
      return multiple;
    }
    const { value, alias, parts = {} } = saidIn(item, mode);
    const whole = alias === undefined ? undefined : followed(alias, mode);
    const filled = new Map(
      Object.entries(parts).flatMap(([place, source]) => {
        const from = followed(tokenOf(source), mode);
        const part = from && valueAt(from.value, typeof source === 'string' ? '' : source.at);
        return part === undefined ? [] : [[place, part] as const];
      }),
    );
    const result = whole ?? {
      type,
      value: withParts(value, filled),
      ...(extension !== undefined && { extension }),
    };
    known.set(key, result);
    return result;
  };
  return followed;
}

/** What a token is taken from, as a whole and in its parts, in both themes. */
export const takenFrom = (item: CustomItem): readonly string[] => [
  ...(item.made ? [item.made.of] : []),
  ...[item, ...(item.dark ? [item.dark] : [])].flatMap(({ alias, parts = {} }) => [
    ...(alias === undefined ? [] : [alias]),
    ...Object.values(parts).map(tokenOf),
  ]),
];

/** Whether a token, or anything that it is taken from, has a value of its own in dark. */
export function darkReaching(
  custom: Custom,
  isOwnDark: (path: string) => boolean = () => false,
): (path: string) => boolean {
  const byPath = new Map(inOrder(custom).map(([, item]) => [item.path, item]));
  const known = new Map<string, boolean>();
  const reaches = (path: string): boolean => {
    const before = known.get(path);
    if (before !== undefined) return before;
    known.set(path, false);
    const item = byPath.get(path);
    const result = item
      ? item.dark !== undefined || takenFrom(item).some(reaches)
      : isOwnDark(path);
    known.set(path, result);
    return result;
  };
  return reaches;
}

const saidTaking = (
  { value, alias, parts }: Said,
  change: (path: string) => string | undefined,
): Said => {
  const own = alias === undefined ? undefined : change(alias);
  const left = Object.entries(parts ?? {}).flatMap(([place, source]) => {
    const of = change(tokenOf(source));
    if (of === undefined) return [];
    return [[place, typeof source === 'string' ? of : { of, at: source.at }] as const];
  });
  return {
    value,
    ...(own !== undefined && { alias: own }),
    ...(left.length > 0 && { parts: Object.fromEntries(left) }),
  };
};

/** A token that takes from others what `change` makes of their paths; where it makes nothing, it keeps its value. */
export function taking(item: CustomItem, change: (path: string) => string | undefined): CustomItem {
  if (takenFrom(item).every((path) => change(path) === path)) return item;
  const { alias: _alias, parts: _parts, made, dark, ...plain } = item;
  const of = made && change(made.of);
  return {
    ...plain,
    ...(made && of !== undefined && { made: { of, times: made.times } }),
    ...saidTaking(item, change),
    ...(dark && { dark: saidTaking(dark, change) }),
  };
}
