import { cssOfValue } from '../tokens/css-value.ts';
import { readForm } from '../tokens/token-forms.ts';
import {
  customValues,
  multiplied,
  saidIn,
  sourceText,
  takenFrom,
  valueAt,
  withParts,
  type Custom,
  type CustomItem,
  type Followed,
  type OwnValue,
  type Said,
} from './custom-values.ts';
import { inOrder, type Mode } from './document.ts';
import type { Json } from './json.ts';

const px = (value: number): Json => ({ value, unit: 'px' });
const ms = (value: number): Json => ({ value, unit: 'ms' });
const gray = (level: number, alpha = 1): Json => ({
  colorSpace: 'srgb',
  components: [level, level, level],
  alpha,
  hex: `#${Math.round(level * 255)
    .toString(16)
    .padStart(2, '0')
    .repeat(3)}`,
});
const layer: Json = {
  color: gray(0, 0.2),
  offsetX: px(0),
  offsetY: px(2),
  blur: px(4),
  spread: px(0),
};
const EASE: Json = [0.25, 0.1, 0.25, 1];

/** Every type of the open format with the value that a new token of it begins with. Source: Format Module 2025.10, types. */
const STARTS = {
  color: gray(0.5),
  dimension: px(16),
  fontFamily: ['system-ui', 'sans-serif'],
  fontWeight: 400,
  duration: ms(200),
  cubicBezier: EASE,
  number: 1,
  strokeStyle: 'solid',
  border: { color: gray(0.5), width: px(1), style: 'solid' },
  transition: { duration: ms(200), delay: ms(0), timingFunction: EASE },
  shadow: layer,
  gradient: [
    { color: gray(1), position: 0 },
    { color: gray(0), position: 1 },
  ],
  typography: {
    fontFamily: ['system-ui', 'sans-serif'],
    fontSize: px(16),
    fontWeight: 400,
    letterSpacing: px(0),
    lineHeight: 1.5,
  },
} as const satisfies Readonly<Record<string, Json>>;
export type TokenType = keyof typeof STARTS;
export const TOKEN_TYPES = Object.keys(STARTS) as readonly TokenType[];

const isType = (type: string): type is TokenType => Object.hasOwn(STARTS, type);

/** The parts of a type, or of one of several things that it is a list of, each with a type of its own. */
const PARTS: Readonly<Record<string, Readonly<Record<string, TokenType>>>> = {
  border: { color: 'color', width: 'dimension', style: 'strokeStyle' },
  transition: { duration: 'duration', delay: 'duration', timingFunction: 'cubicBezier' },
  shadow: {
    color: 'color',
    offsetX: 'dimension',
    offsetY: 'dimension',
    blur: 'dimension',
    spread: 'dimension',
  },
  gradient: { color: 'color', position: 'number' },
  typography: {
    fontFamily: 'fontFamily',
    fontSize: 'dimension',
    fontWeight: 'fontWeight',
    letterSpacing: 'dimension',
    lineHeight: 'number',
  },
};

/** A place of a value that is decided by itself. */
export interface Place {
  /** As a JSON Pointer; the whole value where it is empty. */
  readonly at: string;
  readonly name: string;
  readonly type: TokenType;
  /** Which of several it belongs to, from 1. */
  readonly of?: number;
}

/** A name of the open format in words: `offset x`. */
const inWords = (name: string): string => name.replaceAll(/[A-Z]/g, ' $&').toLowerCase();

const partsOf = (type: string): readonly (readonly [string, TokenType])[] =>
  Object.hasOwn(PARTS, type) ? Object.entries(PARTS[type] ?? {}) : [];

/** What is decided of a value: the value itself, or its parts, those of each layer or stop one after the other. */
export function placesOf(type: string, value: Json): readonly Place[] {
  const parts = partsOf(type);
  if (parts.length === 0) return isType(type) ? [{ at: '', name: 'value', type }] : [];
  if (!Array.isArray(value))
    return parts.map(([name, own]) => ({ at: `/${name}`, name: inWords(name), type: own }));
  return (value as readonly Json[]).flatMap((_, index) =>
    parts.map(([name, own]) => ({
      at: `/${index}/${name}`,
      name: inWords(name),
      type: own,
      of: index + 1,
    })),
  );
}

/** What stands in a field for a place: a reference, or the value as CSS writes it. */
export function textAt(said: Said, { at, type }: Pick<Place, 'at' | 'type'>): string {
  const source = (at === '' ? said.alias : undefined) ?? said.parts?.[at];
  if (source !== undefined) return sourceText(source);
  const value = valueAt(said.value, at);
  if (value === undefined) return '';
  return (
    cssOfValue(type, value) ??
    strokeText(value) ??
    (typeof value === 'string' ? value : JSON.stringify(value))
  );
}

/** Dashes and gaps with how they end, as they are written in a field; nothing for any other value. */
function strokeText(value: Json): string | undefined {
  if (typeof value !== 'object' || value === null || !('dashArray' in value)) return undefined;
  const { dashArray, lineCap } = value;
  return Array.isArray(dashArray) && typeof lineCap === 'string'
    ? [...(dashArray as readonly Json[]).map((one) => cssOfValue('dimension', one)), lineCap].join(
        ' ',
      )
    : undefined;
}

/** A token that stands somewhere, as references see it. */
export interface Known {
  readonly type: string;
}

/** What tokens are taken from: those from elsewhere or made by hand, and the system’s own. */
export interface Surroundings {
  readonly custom: Custom;
  /** A token of the system itself, by its path. */
  readonly own: (path: string) => Known | undefined;
  readonly ownValue: OwnValue;
}

export type Decided =
  | { readonly ok: true; readonly item: CustomItem }
  | { readonly ok: false; readonly problem: string };

const refused = (problem: string): Decided => ({ ok: false, problem });

/** Whether a token leads to another by what it is taken from. */
function leadsTo(custom: Custom, from: string, to: string): boolean {
  const byPath = new Map(inOrder(custom).map(([, item]) => [item.path, item]));
  const seen = new Set<string>([from]);
  for (const path of seen) {
    if (path === to) return true;
    const item = byPath.get(path);
    if (item) for (const next of takenFrom(item)) seen.add(next);
  }
  return false;
}

/** Why a token cannot take a value of a type, or a part of a value of any type, from another; nothing where it can. */
export function referenceProblem(
  { custom, own }: Surroundings,
  item: CustomItem,
  of: string,
  type: string | undefined,
): string | undefined {
  const there = inOrder(custom).find(([, { path }]) => path === of)?.[1] ?? own(of);
  if (!there) return `There is no token ${of}.`;
  if (type !== undefined && there.type !== type)
    return `${of} is a ${there.type}, and a ${type} is asked for.`;
  return leadsTo(custom, of, item.path)
    ? `${of} takes its value from ${item.path} already: they would run in a circle.`
    : undefined;
}

/** A reference as it is written: to a token, or to a place in the value of one. */
const REFERENCE = /^\{([^{}]+)\}((?:\/[^/]{1,60}){0,8})$/;

const followedAt = (
  { custom, ownValue }: Surroundings,
  of: string,
  mode: Mode,
): Followed | undefined => customValues(custom, ownValue)(of, mode);

const saying = (item: CustomItem, mode: Mode, said: Said): CustomItem => {
  const { value, alias, parts } = said;
  const own = {
    value,
    ...(alias !== undefined && { alias }),
    ...(parts && Object.keys(parts).length > 0 && { parts }),
  };
  if (mode === 'dark') return { ...item, dark: own };
  const { alias: _alias, parts: _parts, extension: _extension, ...plain } = item;
  // Our extension said how the value was that stood there; of a gradient it says how it runs.
  return {
    ...plain,
    ...own,
    ...(item.type === 'gradient' && item.extension !== undefined && { extension: item.extension }),
  };
};

/**
 * A token with one place of its value decided anew, in a theme: by a reference (`{color.page}`), or by a value as CSS
 * or the open format writes it. Where dark said nothing of its own it begins with what light says.
 */
export function decidingAt(
  around: Surroundings,
  item: CustomItem,
  mode: Mode,
  { at, type }: Pick<Place, 'at' | 'type'>,
  text: string,
): Decided {
  const { value, alias, parts = {} } = saidIn(item, mode);
  const [, of, within = ''] = REFERENCE.exec(text.trim()) ?? [];
  if (of !== undefined) {
    const from = followedAt(around, of, mode)?.value ?? value;
    const followed = valueAt(from, within);
    const problem = referenceProblem(around, item, of, within === '' ? type : undefined);
    if (problem !== undefined) return refused(problem);
    if (followed === undefined) return refused(`There is nothing at ${within} in ${of}.`);
    if (within !== '' && !readForm(type, followed).ok)
      return refused(`What stands at ${within} in ${of} is no ${type}.`);
    if (at === '' && within === '')
      return { ok: true, item: saying(item, mode, { value: followed, alias: of }) };
    return {
      ok: true,
      item: saying(item, mode, {
        value: withParts(value, new Map([[at, followed]])),
        parts: { ...(at !== '' && parts), [at]: within === '' ? of : { of, at: within } },
      }),
    };
  }
  const form = readForm(type, text.trim());
  if (!form.ok) return refused(`${form.reason.charAt(0).toUpperCase()}${form.reason.slice(1)}.`);
  if (cssOfValue(type, form.value) === undefined && type !== 'strokeStyle')
    return refused(`“${text.slice(0, 40)}” is no value of the type ${type}.`);
  if (at === '') {
    const next = saying(item, mode, { value: form.value });
    return {
      ok: true,
      item:
        form.extension === undefined || mode === 'dark'
          ? next
          : { ...next, extension: form.extension },
    };
  }
  const { [at]: _gone, ...left } = parts;
  return {
    ok: true,
    item: saying(item, mode, {
      value: withParts(value, new Map([[at, form.value]])),
      ...(alias !== undefined && { alias }),
      parts: left,
    }),
  };
}

/** A token as a share of a color, or a multiple of a length, a time or a number; it follows that in every theme. */
export function multiplying(
  around: Surroundings,
  item: CustomItem,
  of: string,
  times: number,
): Decided {
  const problem = referenceProblem(around, item, of, item.type);
  if (problem !== undefined) return refused(problem);
  if (!Number.isFinite(times) || Math.abs(times) > 100)
    return refused('A multiple is a number from -100 to 100.');
  if (item.type === 'color' && (times < 0 || times > 1))
    return refused('A share of a color is 0 to 100 %.');
  const base = followedAt(around, of, 'light');
  const value = base && multiplied(item.type, base.value, times);
  if (value === undefined) return refused(`There is no multiple of ${of}.`);
  const { alias: _alias, parts: _parts, dark: _dark, extension: _extension, ...plain } = item;
  return { ok: true, item: { ...plain, value, made: { of, times } } };
}

/** A token that stands for itself: with the values that it has now. */
export function standingAlone({ custom, ownValue }: Surroundings, item: CustomItem): CustomItem {
  const valueOf = customValues(custom, ownValue);
  const [light, dark] = [valueOf(item.path, 'light'), valueOf(item.path, 'dark')];
  const {
    alias: _alias,
    parts: _parts,
    made: _made,
    dark: before,
    extension: _old,
    ...plain
  } = item;
  const inDark = dark?.value ?? before?.value;
  const value = light?.value ?? item.value;
  const isApart = inDark !== undefined && JSON.stringify(inDark) !== JSON.stringify(value);
  return { ...plain, value, ...(isApart && { dark: { value: inDark } }) };
}

/** One more layer or stop, as the last one is; a shadow that was one becomes a list. */
export function withOneMore(item: CustomItem, mode: Mode): CustomItem {
  const { value, parts = {} } = saidIn(item, mode);
  const list = Array.isArray(value) ? (value as readonly Json[]) : [value];
  const last = list.at(-1) ?? null;
  const listed = Array.isArray(value)
    ? parts
    : Object.fromEntries(Object.entries(parts).map(([at, source]) => [`/0${at}`, source]));
  return saying(item, mode, { value: [...list, last], parts: listed });
}

/** Without one layer or stop; the places of those behind it move up. */
export function withoutOne(item: CustomItem, mode: Mode, index: number): CustomItem {
  const { value, parts = {} } = saidIn(item, mode);
  if (!Array.isArray(value)) return item;
  const left = (value as readonly Json[]).filter((_, at) => at !== index);
  const moved = Object.entries(parts).flatMap(([place, source]) => {
    const [, at = '', rest = ''] = /^\/(\d+)(.*)$/.exec(place) ?? [];
    const here = Number(at);
    return here === index ? [] : [[`/${here > index ? here - 1 : here}${rest}`, source] as const];
  });
  return saying(item, mode, { value: left, parts: Object.fromEntries(moved) });
}

/** Whether a layer of a shadow lies inside; of a shadow that is no list its only one. */
export const isInside = ({ value }: Said, index: number): boolean => {
  const one = Array.isArray(value) ? (value as readonly Json[])[index] : value;
  return typeof one === 'object' && one !== null && 'inset' in one && one['inset'] === true;
};

/** A layer of a shadow turned inside, or out again. */
export function turnedInside(item: CustomItem, mode: Mode, index: number): CustomItem {
  const { value, parts } = saidIn(item, mode);
  const turned = (one: Json): Json => {
    if (typeof one !== 'object' || one === null || Array.isArray(one)) return one;
    const { inset, ...outside } = one as { readonly [key: string]: Json };
    return inset === true ? outside : { ...outside, inset: true };
  };
  const next = Array.isArray(value)
    ? (value as readonly Json[]).map((one, at) => (at === index ? turned(one) : one))
    : turned(value);
  return saying(item, mode, { value: next, ...(parts && { parts }) });
}

/** A new token of a type; why its name would not do is told by whoever takes names. */
export const newToken = (path: string, type: TokenType): CustomItem => ({
  path,
  type,
  value: STARTS[type],
  isOwn: true,
});
