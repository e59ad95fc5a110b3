import type { Derived } from '../derive/derived.ts';
import { rootShare } from '../derive/type/styles.ts';
import { ROOT_PX } from '../type/fluid.ts';
import { COMPONENTS } from '../components/components.ts';
import { namingOf } from '../formats/naming.ts';
import { plainTokens, type PlainToken } from '../formats/plain-tokens.ts';
import { withWhatTheyTake } from '../proof/token-uses.ts';
import { inOrder, type Mode, type StyleDocument } from '../system/document.ts';
import { modesOf } from '../system/themes.ts';
import { inFullCascade } from './cascade.ts';
import { componentsBySelector } from './component-of.ts';
import { distanceOf, measured, type Compared, type Distance, type Measured } from './measured.ts';
import type { ReadDeclaration, ReadSheet } from './read-sheet.ts';
import { isDark, isOfRoot, rootPxOf } from './theme-of.ts';
import { partsOfDeclaration, VALUE_KINDS, type ValueKind } from './values.ts';
import { filling, namesReferred, soleReference } from './variables.ts';

/** How a value stands to the system: taken from it or the same, nearly one of its values, or none. */
export const MATCHES = ['equal', 'near', 'foreign'] as const;
export type Match = (typeof MATCHES)[number];

/** Where a value stands. */
export type DriftPlace = Pick<
  ReadDeclaration,
  'file' | 'line' | 'selector' | 'within' | 'property'
> & {
  /** Where it begins and ends in the text of its file, in UTF-16 units. */
  readonly from: number;
  readonly to: number;
};

/** A value that stands in some places of the sheets, and what it is to the system. */
export interface DriftRow {
  readonly kind: ValueKind;
  readonly match: Match;
  /** As it is written. */
  readonly value: string;
  /** With its own custom properties filled in, where it has some. */
  readonly filled?: string;
  readonly theme: Mode;
  /** The token that it is, or should be: the nearest one; none where the system has none of its kind. */
  readonly token?: { readonly id: string; readonly property: string; readonly value: string };
  /** How far it is from that token, in words; nothing where it is the same. */
  readonly away?: string;
  /** Whether it is already taken from the token. */
  readonly isTaken: boolean;
  readonly places: readonly DriftPlace[];
}

/** How many values there are of each match. */
export type Counts = Readonly<Record<Match, number>>;

/** How far some sheets have drifted from a system. */
export interface Drift {
  /** Every value, what is to be mended first at first: what is nearly a token before what is none, then by places. */
  readonly rows: readonly DriftRow[];
  readonly all: Counts;
  readonly byKind: readonly (readonly [kind: ValueKind, counts: Counts])[];
  readonly byFile: readonly (readonly [file: string, counts: Counts])[];
  /** By the component whose class a rule asks for last, in their order; what asks for none stands last, under no name. */
  readonly byComponent: readonly (readonly [component: string, counts: Counts])[];
  /** Values that hang on what is not known without a page: shares, em, what the text around it says. */
  readonly unjudged: number;
  /** Files that are the system’s own sheet, and count for nothing. */
  readonly own: readonly string[];
  /** Tokens of the second tier, by id, that no value is taken from or equal to. */
  readonly nowhere: readonly string[];
}

/** The share of values that are the system’s, 0 to 1; 1 where there is none to judge. */
export function shareOf({ equal, near, foreign }: Counts): number {
  const all = equal + near + foreign;
  return all === 0 ? 1 : equal / all;
}

/** Which tokens decide what, by the beginning of their names, the first one that is meant first. */
const TOKENS_OF: Readonly<Record<ValueKind, RegExp>> = {
  color: /^(?:color|palette)\./,
  face: /^(?:type\..*\.family|face\.)/,
  size: /^(?:type\..*\.size|scale\.)/,
  weight: /^type\..*\.weight/,
  'line height': /^type\..*\.line-height/,
  'letter spacing': /^type\..*\.letter-spacing/,
  space: /^(?:space|step)\./,
  corner: /^(?:corner|radius)\./,
  edge: /^(?:edge|border)\./,
  shadow: /^shadow\./,
  duration: /^duration\./,
  easing: /^easing\./,
};

/** What a token decides, by its name, or where it is a color by that; nothing where neither tells. */
const kindOf = ({ id, type }: Pick<PlainToken, 'id' | 'type'>): ValueKind | undefined =>
  VALUE_KINDS.find((kind) => TOKENS_OF[kind].test(id)) ?? (type === 'color' ? 'color' : undefined);

interface Candidate {
  readonly token: PlainToken;
  readonly measured: Measured;
}

/** Tokens of a tier first: what has a meaning is meant. */
const TIERS = ['semantic', 'primitive', 'component'];

function candidatesOf(
  tokens: readonly PlainToken[],
  compared: Compared,
): (kind: ValueKind, mode: Mode) => readonly Candidate[] {
  const known = new Map<string, readonly Candidate[]>();
  const sorted = tokens.toSorted(
    (one, other) => TIERS.indexOf(one.tier) - TIERS.indexOf(other.tier),
  );
  return (kind, mode) => {
    const key = `${kind} ${mode}`;
    const made =
      known.get(key) ??
      sorted.flatMap((token) => {
        if (!TOKENS_OF[kind].test(token.id)) return [];
        const value = measured(kind, token.values[mode].css, compared);
        return value ? [{ token, measured: value }] : [];
      });
    known.set(key, made);
    return made;
  };
}

/** The nearest of some tokens; of those that are as near the first one. */
function nearest(
  kind: ValueKind,
  value: Measured,
  candidates: readonly Candidate[],
):
  | {
      readonly token: PlainToken;
      readonly distance: Distance;
      /** Everything that is as near. */
      readonly same: readonly string[];
    }
  | undefined {
  let found: { token: PlainToken; distance: Distance; same: string[] } | undefined;
  for (const { token, measured: own } of candidates) {
    const distance = distanceOf(kind, value, own);
    if (!distance) continue;
    if (!found || distance.far < found.distance.far) found = { token, distance, same: [token.id] };
    else if (distance.far === found.distance.far) found.same.push(token.id);
  }
  return found;
}

/** Nobody hands a value on so often. */
const MOST_STEPS = 50;

/** Half of the tokens or more: then a sheet is the system’s own. */
const OWN_SHARE = 0.5;

function isOwnSheet({ declarations }: ReadSheet, properties: ReadonlySet<string>): boolean {
  const defined = new Set(
    declarations
      .filter(isOfRoot)
      .flatMap(({ property }) => (properties.has(property) ? [property] : [])),
  );
  return properties.size > 0 && defined.size >= OWN_SHARE * properties.size;
}

/** What custom properties are set to for the whole page, in a theme; what is said once anywhere counts as that. */
function definitionsIn(
  sheets: readonly ReadSheet[],
  isForDark: boolean,
): (name: string) => string | undefined {
  const all = sheets
    .flatMap(({ declarations }) => declarations)
    .filter(({ property }) => property.startsWith('--'));
  const anywhere = new Map<string, string | undefined>();
  for (const { property, value } of all) {
    const isOther = anywhere.has(property) && anywhere.get(property) !== value;
    anywhere.set(property, isOther ? undefined : value);
  }
  const own = inFullCascade(all.filter(isOfRoot), sheets);
  // What is for the dark theme holds there, whatever else is said.
  const ofRoot = new Map(
    [...own.filter((one) => !isDark(one)), ...own.filter((one) => isForDark && isDark(one))].map(
      ({ property, value }) => [property, value],
    ),
  );
  return (name) => ofRoot.get(name) ?? anywhere.get(name);
}

/** A value without the spaces that say nothing. */
const squeezed = (css: string): string =>
  css
    .replaceAll(/\s+/g, ' ')
    .replaceAll(/\s*([(),/])\s*/g, '$1')
    .trim();

const NONE: Counts = { equal: 0, near: 0, foreign: 0 };
const more = (counts: Counts | undefined, match: Match, by: number): Counts => {
  const before = counts ?? NONE;
  return { ...before, [match]: before[match] + by };
};

const ORDER: Readonly<Record<Match, number>> = { near: 0, foreign: 1, equal: 2 };

/** The screens that lengths of a system are compared on: its anchors, at its own root. */
const comparedOn = ({ type }: Pick<StyleDocument, 'type'>): Compared => ({
  widthsPx: inOrder(type.anchors).map(([, { width }]) => width),
  rootPx: ROOT_PX * rootShare(type),
});

/**
 * How far style sheets have drifted from a system: every color, face, size, space, corner, shadow and time in them,
 * held against the tokens of its kind, in the theme that it stands in. A value that is taken from a token by its custom
 * property is equal; one that is written out is equal where it is the same on every screen and in every byte. Sheets
 * alone are read: what a page makes of them is not known.
 */
export function driftOf(
  document: Pick<StyleDocument, 'name' | 'tokens' | 'type'>,
  derived: Pick<Derived, 'tokens' | 'themes' | 'groups' | 'rules'>,
  sheets: readonly ReadSheet[],
): Drift {
  const { tokens } = plainTokens(document, derived);
  const [first, second] = modesOf(derived.themes);
  const compared = comparedOn(document);
  const comparedThere = { ...compared, rootPx: rootPxOf(sheets) ?? ROOT_PX };
  const byProperty = new Map(tokens.map((token) => [`--${token.name}`, token]));
  const candidates = candidatesOf(tokens, compared);
  const own = sheets.filter((sheet) => isOwnSheet(sheet, new Set(byProperty.keys())));
  const theirs = sheets.filter((sheet) => !own.includes(sheet));
  const definitions = [false, true].map((dark) => definitionsIn(theirs, dark));
  const fillers = definitions.map((said, dark) =>
    filling(
      (name) => said(name) ?? byProperty.get(name)?.values[dark === 1 ? 'dark' : 'light'].css,
    ),
  );
  /** The token that a custom property of theirs hands on, by way of any others; nothing where it is a value. */
  const handedOn = (name: string, theme: Mode): PlainToken | undefined => {
    let at = name;
    for (let step = 0; step < MOST_STEPS; step += 1) {
      const token = byProperty.get(at);
      if (token) return token;
      const said = definitions[theme === 'dark' ? 1 : 0]?.(at);
      const next = said === undefined ? undefined : soleReference(said);
      if (next === undefined) return undefined;
      at = next;
    }
    return undefined;
  };
  const rows = new Map<string, { row: DriftRow; places: DriftPlace[] }>();
  const taken = new Set<string>();
  let unjudged = 0;

  /** Whole values of tokens, which may be made of several: a gradient, a veil. */
  const wholes = new Map<Mode, ReadonlyMap<string, PlainToken>>(
    [first, ...(second === undefined ? [] : [second])].map((mode) => [
      mode,
      new Map(tokens.toReversed().map((token) => [squeezed(token.values[mode].css), token])),
    ]),
  );

  const asWritten = (kind: ValueKind, theme: Mode, css: string): PlainToken | undefined => {
    const wanted = squeezed(css);
    return tokens.find(
      ({ id, values }) => TOKENS_OF[kind].test(id) && squeezed(values[theme].css) === wanted,
    );
  };

  /** What a value is to the system. */
  const judged = (
    kind: ValueKind,
    text: string,
    theme: Mode,
    whole: PlainToken | undefined,
  ): Omit<DriftRow, 'places'> | undefined => {
    const filled = fillers[theme === 'dark' ? 1 : 0]?.(text);
    const said = {
      ...{ kind, value: text, theme },
      ...(filled !== undefined && filled !== text && { filled }),
    };
    const told = ({ id, name, values }: PlainToken) => ({
      id,
      property: `--${name}`,
      value: values[theme].css,
    });
    const names = namesReferred(text);
    for (const name of names) {
      const token = byProperty.get(name);
      if (token) taken.add(token.id);
    }
    const alone = soleReference(text);
    const reference = alone === undefined ? undefined : handedOn(alone, theme);
    if (reference) taken.add(reference.id);
    if (reference)
      return {
        ...said,
        kind: kindOf(reference) ?? kind,
        ...{ match: 'equal', token: told(reference), isTaken: true },
      };
    // What is worked out from tokens alone is the system’s too.
    if (names.length > 0 && names.every((name) => byProperty.has(name)))
      return { ...said, match: 'equal', isTaken: true };
    if (whole) {
      taken.add(whole.id);
      return { ...said, match: 'equal', token: told(whole), isTaken: true };
    }
    const value = filled === undefined ? undefined : measured(kind, filled, comparedThere);
    if (!value) {
      // What hangs on a page can still be what a token says, word by word.
      const same = filled === undefined ? undefined : asWritten(kind, theme, filled);
      if (!same) return undefined;
      taken.add(same.id);
      return { ...said, match: 'equal', token: told(same), isTaken: false };
    }
    const found = nearest(kind, value, candidates(kind, theme));
    if (!found) return { ...said, match: 'foreign', isTaken: false };
    const { token, distance, same } = found;
    const match = distance.far === 0 ? 'equal' : distance.far <= 1 ? 'near' : 'foreign';
    // Which of those that say the same is meant, nobody knows.
    if (match === 'equal') for (const id of same) taken.add(id);
    return {
      ...said,
      match,
      token: told(token),
      ...(distance.words !== '' && { away: distance.words }),
      isTaken: false,
    };
  };

  /** The themes that a value is for: that of its place; the other too where its own properties are others there. */
  const themesOf = (one: ReadDeclaration, text: string): readonly Mode[] => {
    if (second === undefined) return [first];
    if (isDark(one)) return [second];
    const isTheirs = namesReferred(text).some((name) => !byProperty.has(name));
    return isTheirs && fillers[0]?.(text) !== fillers[1]?.(text) ? [first, second] : [first];
  };

  /** Tells where a token of the system is set to another value than its own: whatever takes it has that. */
  const setAnew = (one: ReadDeclaration): void => {
    const token = byProperty.get(one.property);
    const kind = token && kindOf(token);
    const theme = isDark(one) && second !== undefined ? second : first;
    const filled = fillers[theme === 'dark' ? 1 : 0]?.(one.value);
    if (!kind || filled === undefined || squeezed(filled) === squeezed(token.values[theme].css))
      return;
    const value = measured(kind, filled, comparedThere);
    const wanted = measured(kind, token.values[theme].css, compared);
    const distance = value && wanted ? distanceOf(kind, value, wanted) : undefined;
    if (distance?.far === 0) return;
    const { file, line, selector, within, property, from, to } = one;
    const places = [{ file, line, selector, within, property, from, to }];
    rows.set(`anew ${file} ${from}`, {
      places,
      row: {
        ...{ kind, theme, places, value: one.value, isTaken: true },
        match: distance && distance.far <= 1 ? 'near' : 'foreign',
        token: { id: token.id, property: one.property, value: token.values[theme].css },
        ...(distance && distance.words !== '' && { away: distance.words }),
      },
    });
  };

  for (const { declarations } of theirs)
    for (const one of declarations) {
      // A custom property is judged where it is taken: it decides nothing by itself, unless it is a token set anew.
      if (one.property.startsWith('--')) {
        setAnew(one);
        continue;
      }
      for (const { kind, text, from, to } of partsOfDeclaration(one))
        for (const theme of themesOf(one, text)) {
          const whole =
            text === one.value ? undefined : wholes.get(theme)?.get(squeezed(one.value));
          const key = [kind, theme, text, whole?.id].join('\n');
          const known = rows.get(key);
          const row = known?.row ?? judged(kind, text, theme, whole);
          if (!row) {
            unjudged += 1;
            continue;
          }
          const { file, line, selector, within, property } = one;
          const place = {
            ...{ file, line, selector, within, property },
            from: one.from + from,
            to: one.from + to,
          };
          if (known) known.places.push(place);
          else {
            const places = [place];
            rows.set(key, { row: { ...row, places }, places });
          }
        }
    }

  const all = [...rows.values()].map(({ row }) => row);
  const byKind = new Map<ValueKind, Counts>();
  const componentOf = componentsBySelector(namingOf(document.tokens.sheet, derived));
  const byComponent = new Map<string, Counts>();
  const byFile = new Map<string, Counts>(theirs.map(({ file }) => [file, NONE]));
  let total = NONE;
  for (const { kind, match, places } of all) {
    total = more(total, match, places.length);
    byKind.set(kind, more(byKind.get(kind), match, places.length));
    for (const { file, selector } of places) {
      byFile.set(file, more(byFile.get(file), match, 1));
      const component = componentOf(selector);
      byComponent.set(component, more(byComponent.get(component), match, 1));
    }
  }
  const used = new Set(withWhatTheyTake(derived, [...taken]).all);
  return {
    rows: all.toSorted(
      (one, other) =>
        ORDER[one.match] - ORDER[other.match] || other.places.length - one.places.length,
    ),
    all: total,
    byKind: VALUE_KINDS.flatMap((kind) => {
      const counts = byKind.get(kind);
      return counts ? [[kind, counts] as const] : [];
    }),
    byFile: [...byFile],
    byComponent: [...COMPONENTS.map(({ name }) => name), ''].flatMap((name) => {
      const counts = byComponent.get(name);
      return counts ? [[name, counts] as const] : [];
    }),
    unjudged,
    own: own.map(({ file }) => file),
    nowhere: tokens
      .filter(({ tier, id }) => tier === 'semantic' && !used.has(id))
      .map(({ id }) => id),
  };
}
