import { pxOn, type Screen } from './lengths.ts';
import { distanceOf, measured, type Measured } from './measured.ts';
import type { ReadDeclaration, ReadSheet, SheetPlace } from './read-sheet.ts';
import { partsOfDeclaration, type ValueKind } from './values.ts';

/** What can be wrong with a style sheet, whatever the system. */
export const FAULT_KINDS = [
  'nearly the same',
  'fixed text size',
  'fixed line height',
  'unbounded by the screen',
  'full height',
  'forced',
  'used once',
  'off the unit',
  'stepped by screens',
] as const;
export type FaultKind = (typeof FAULT_KINDS)[number];

/** Why each is one, with its source; a rule of thumb says that it is. */
export const FAULT_REASONS: Readonly<Record<FaultKind, string>> = {
  'nearly the same':
    'Values that hardly anybody tells apart were probably meant to be one. Common practice.',
  'fixed text size':
    'A size in px does not grow where a reader has set larger text. WCAG 2.2, 1.4.4; common practice.',
  'fixed line height':
    'Lines in px stay where they are when the text grows: it is cut off or overlaps. WCAG 2.2, 1.4.12.',
  'unbounded by the screen':
    'A size by the screen alone does not grow when the page is zoomed. WCAG 2.2, 1.4.4.',
  'full height':
    'The bars of a phone cover a part of 100vh; svh and dvh know of them. CSS Values 4, 6.1.2.',
  forced: 'What is forced can only be changed by force. Common practice.',
  'used once': 'A value that stands in one place is seldom a decision. Common practice.',
  'off the unit': 'Most spaces are multiples of a unit; this one is not. Common practice.',
  'stepped by screens':
    'A length that several screens set anew can flow between the first and the last, in one declaration. Common practice.',
};

/** Something that is wrong with a style sheet, with every place where it is. */
export interface Fault {
  readonly kind: FaultKind;
  /** What it is about, as it is written: one value, or several that are nearly one. */
  readonly values: readonly string[];
  /** What kind of value it is; nothing where it is none. */
  readonly of?: ValueKind;
  readonly places: readonly (SheetPlace & Pick<ReadDeclaration, 'property' | 'from'>)[];
}

/** A value with all its places. */
interface Use {
  readonly kind: ValueKind;
  readonly text: string;
  readonly measured: Measured | undefined;
  readonly places: ReadDeclaration[];
}

const SCREEN: Screen = { widthPx: 1280, heightPx: 800, rootPx: 16 };
const COMPARED = { widthsPx: [360, 1280] };
/** Kinds of which nearly the same is told: what is chosen from few. */
const CHOSEN: readonly ValueKind[] = ['color', 'size', 'space', 'corner'];
/** Nearer than this of what is still near: closer than the nearest that anybody chooses apart. */
const SAME_AS = 0.5;

function usesOf(sheets: readonly ReadSheet[]): readonly Use[] {
  const uses = new Map<string, Use>();
  for (const { declarations } of sheets)
    for (const one of declarations)
      for (const { kind, text } of partsOfDeclaration(one)) {
        const key = `${kind}\n${text.toLowerCase()}`;
        const known = uses.get(key);
        if (known) known.places.push(one);
        else uses.set(key, { kind, text, measured: measured(kind, text, COMPARED), places: [one] });
      }
  return [...uses.values()];
}

interface Placed {
  readonly places: readonly unknown[];
}
const byPlaces = (one: Placed, other: Placed): number => other.places.length - one.places.length;

/** Groups of values that are nearly one: each with the most frequent one of them, which the others are near to. */
function nearlySame(uses: readonly Use[]): readonly Fault[] {
  return CHOSEN.flatMap((kind) => {
    const own = uses.filter((use) => use.kind === kind && use.measured).toSorted(byPlaces);
    const heads: { head: Use; others: Use[] }[] = [];
    for (const use of own) {
      const near = heads.find(({ head }) => {
        if (!head.measured || !use.measured) return false;
        const distance = distanceOf(kind, use.measured, head.measured);
        return distance !== undefined && distance.far <= SAME_AS;
      });
      if (near) near.others.push(use);
      else heads.push({ head: use, others: [] });
    }
    return heads.flatMap(({ head, others }): readonly Fault[] => {
      // The same in other words is no other value.
      const apart = others.filter(({ measured: value }) => {
        const distance =
          value && head.measured ? distanceOf(kind, value, head.measured) : undefined;
        return distance !== undefined && distance.far > 0;
      });
      if (apart.length === 0) return [];
      return [
        {
          kind: 'nearly the same',
          of: kind,
          values: [head, ...apart].map(({ text }) => text),
          places: [head, ...apart].flatMap(({ places }) => places),
        },
      ];
    });
  });
}

/** The unit of spaces: the largest of some usual ones that most of them are a multiple of; nothing where none is. */
export function unitOf(px: readonly number[]): number | undefined {
  if (px.length < 4) return undefined;
  const isMultiple = (value: number, unit: number): boolean =>
    Math.abs(value / unit - Math.round(value / unit)) * unit < 0.02;
  return [8, 6, 5, 4, 3, 2].find(
    (unit) => px.filter((value) => isMultiple(value, unit)).length >= 0.75 * px.length,
  );
}

function offUnit(uses: readonly Use[]): readonly Fault[] {
  const spaces = uses.flatMap((use) => {
    const px = use.kind === 'space' ? pxOn(use.text, SCREEN) : undefined;
    // What grows with the screen is no multiple of anything.
    return px === undefined || /[a-z]\(|v[wihb]|vm/i.test(use.text)
      ? []
      : [{ use, px: Math.abs(px) }];
  });
  // Each counts as often as it stands somewhere.
  const unit = unitOf(spaces.flatMap(({ use, px }) => use.places.map(() => px)));
  if (unit === undefined) return [];
  return spaces
    .filter(({ px }) => Math.abs(px / unit - Math.round(px / unit)) * unit >= 0.02)
    .map(({ use: { text, places } }) => ({
      kind: 'off the unit',
      of: 'space',
      values: [text],
      places,
    }));
}

const single =
  (kind: FaultKind, isOne: (use: Use) => boolean) =>
  (uses: readonly Use[]): readonly Fault[] =>
    uses.filter(isOne).map(({ kind: of, text, places }) => ({ kind, of, values: [text], places }));

const inPx = (text: string): boolean => /^[\d.]+px$/i.test(text);
const byScreen = /(?<![\w#.-])[\d.]+[sld]?v(?:w|h|i|b|min|max)\b/i;

const CHECKS: readonly ((uses: readonly Use[]) => readonly Fault[])[] = [
  nearlySame,
  single('fixed text size', ({ kind, text }) => kind === 'size' && inPx(text)),
  single('fixed line height', ({ kind, text }) => kind === 'line height' && inPx(text)),
  single(
    'unbounded by the screen',
    ({ kind, text }) =>
      kind === 'size' && byScreen.test(text) && !/clamp\(|min\(|max\(|rem|em\b/i.test(text),
  ),
  offUnit,
  single(
    'used once',
    ({ kind, places }) => (kind === 'color' || kind === 'size') && places.length === 1,
  ),
];

/** What is told of declarations, whatever value they have. */
function ofDeclarations(sheets: readonly ReadSheet[]): readonly Fault[] {
  const all = sheets.flatMap(({ declarations }) => declarations);
  const grouped = (
    kind: FaultKind,
    isOne: (one: ReadDeclaration) => boolean,
    said: (one: ReadDeclaration) => string,
  ): readonly Fault[] => {
    const found = new Map<string, ReadDeclaration[]>();
    for (const one of all.filter(isOne)) {
      const key = said(one);
      const known = found.get(key);
      if (known) known.push(one);
      else found.set(key, [one]);
    }
    return [...found].map(([value, places]) => ({ kind, values: [value], places }));
  };
  return [
    ...grouped(
      'full height',
      ({ property, value }) =>
        /^(?:min-|max-)?(?:height|block-size)$/.test(property) &&
        /(?<![\w.])100v[hb]\b/i.test(value),
      ({ property, value }) => `${property}: ${value}`,
    ),
    ...grouped(
      'forced',
      ({ isImportant }) => isImportant,
      ({ property, value }) => `${property}: ${value} !important`,
    ),
  ];
}

/** What a fluid value says in one declaration: text sizes and spaces, also written as shorthands. */
const FLOWING =
  /^(?:font-size|(?:row-|column-)?gap|(?:margin|padding)(?:-(?:top|bottom|block|inline|left|right)(?:-(?:start|end))?)?)$/;
/** So often a length is set for different screens before a fluid one would be shorter. Common practice. */
const MOST_STEPS = 2;

/** Lengths that one rule has for one screen after another, and that only grow. */
function steppedByScreens(sheets: readonly ReadSheet[]): readonly Fault[] {
  const rules = new Map<string, ReadDeclaration[]>();
  for (const one of sheets.flatMap(({ declarations }) => declarations)) {
    const isByWidth = one.within.every((around) => /^@media[^,]*width/i.test(around));
    if (!FLOWING.test(one.property) || !isByWidth || one.within.length > 1) continue;
    const key = `${one.selector}\n${one.property}`;
    const known = rules.get(key);
    if (known) known.push(one);
    else rules.set(key, [one]);
  }
  return [...rules.values()].flatMap((places): readonly Fault[] => {
    const px = places.map(({ value }) => pxOn(value, SCREEN));
    const known = px.flatMap((one) => (one === undefined ? [] : [one]));
    const isOneWay =
      known.every((one, index) => index === 0 || one > (known[index - 1] ?? 0)) ||
      known.every((one, index) => index === 0 || one < (known[index - 1] ?? 0));
    const screens = places.filter(({ within }) => within.length > 0).length;
    if (screens < MOST_STEPS || known.length < px.length || !isOneWay) return [];
    const [first] = places;
    const values = places.map(({ value }) => value).join(', ');
    return [
      { kind: 'stepped by screens', values: [`${first?.property ?? ''}: ${values}`], places },
    ];
  });
}

/**
 * What is wrong with some style sheets by themselves, whatever the system: each fault once, with all its places; those
 * of one kind by how often they stand.
 */
export function faultsIn(sheets: readonly ReadSheet[]): readonly Fault[] {
  const uses = usesOf(sheets);
  const found = [
    ...CHECKS.flatMap((check) => check(uses)),
    ...ofDeclarations(sheets),
    ...steppedByScreens(sheets),
  ];
  return FAULT_KINDS.flatMap((kind) => found.filter((one) => one.kind === kind).toSorted(byPlaces));
}
