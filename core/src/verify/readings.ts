import Papa from 'papaparse';
import { deriveCustomTokens } from '../derive/custom.ts';
import type { Derived } from '../derive/derived.ts';
import { EXTENSION } from '../formats/dtcg.ts';
import { namedClass } from '../formats/naming.ts';
import { readTree } from '../formats/read-dtcg.ts';
import { WIDE } from '../formats/sheet.ts';
import { breakpointsOf } from '../formats/stepped.ts';
import { tokenNamesOf, type FormerName } from '../formats/token-naming.ts';
import { utilityRules } from '../formats/utilities.ts';
import { inOrder, MODES, type Mode, type StyleDocument } from '../system/document.ts';
import { modesOf } from '../system/themes.ts';
import { propertyOf, type Token, type TokenJson } from '../tokens/token.ts';
import { lengthProbe, probeOf, type Probe } from './probe.ts';
import { nowhere, shownValues, type Holds } from './shown.ts';
import type { VerifiableFile } from './verifiable.ts';

/** A value of a file, to be seen on an element. */
export interface Asked {
  /** The token that it is of, by its path. */
  readonly token: string;
  readonly probe: Probe;
  /** What is set on the element. */
  readonly css?: string;
  /** The class that sets it, where one does. */
  readonly className?: string;
  /** The custom property that has to stand on the root. */
  readonly property?: string;
}

/** A file as a page takes it. */
export interface Reading {
  /** Style sheets that stand on the page. */
  readonly sheets: readonly string[];
  /** What of screens and readers holds for the file: what holds for the page, or what its values are for. */
  readonly holds: (onPage: Holds) => Holds;
  /** The widths in px at which it says what is shown here. */
  readonly widths: readonly number[];
  readonly asked: (mode: Mode, holds: Holds) => readonly Asked[];
  /** The themes that it has. */
  readonly modes: readonly Mode[];
  /** Tokens that it does not have as they are shown here, and why, by their paths. */
  readonly without: ReadonlyMap<string, string>;
}

/** What a file is verified with. */
export interface VerifiedOf {
  readonly document: StyleDocument;
  readonly derived: Derived;
  /** The file `tokens.css`, which some stand upon. */
  readonly sheet: string;
}

type Read = (text: string, of: VerifiedOf) => Reading;

/** The widths at which anything is decided: the anchors of the sizes, and the breakpoints. */
const decidedWidths = ({ type, layout }: StyleDocument): readonly number[] =>
  [
    ...new Set([
      ...inOrder(type.anchors).map(([, { width }]) => width),
      ...inOrder(layout.breakpoints).map(([, { width }]) => width),
    ]),
  ].toSorted((one, other) => one - other);

const singles = ({ tokens }: Derived): readonly Token[] =>
  tokens.filter(({ values: { light, dark } }) => light.css !== undefined && dark.css !== undefined);

/** A name that a token has in files: as it is called now, or was before. */
interface Called {
  readonly token: Token;
  readonly probe: Probe;
  readonly property: string;
  readonly path: readonly string[];
  /** With the prefix of all, as the open format has it. */
  readonly whole: readonly string[];
}

/** Every name of every token that CSS has one value for. */
function calledOf({ document, derived }: VerifiedOf): readonly Called[] {
  const { sheet } = document.tokens;
  const { tokens, former } = tokenNamesOf(sheet, derived);
  const within = sheet?.properties === undefined ? [] : [sheet.properties];
  const before = new Map<string, FormerName[]>();
  for (const one of former) before.set(one.id, [...(before.get(one.id) ?? []), one]);
  return singles(derived).flatMap((token): readonly Called[] => {
    const probe = probeOf(token.type, token.values.light.css);
    const now = tokens.get(token.id);
    if (!probe || !now) return [];
    return [
      { token, probe, property: now.property, path: now.path, whole: [...within, ...now.path] },
      ...(before.get(token.id) ?? []).map(({ path, property }) => ({
        token,
        probe,
        property,
        path,
        whole: path,
      })),
    ];
  });
}

/** What a style sheet declares on the root for every token. */
const declared = (of: VerifiedOf): readonly Asked[] =>
  calledOf(of).map(({ token: { id: token }, probe, property }) => ({
    token,
    probe,
    css: `var(${property})`,
    property,
  }));

/** What a style sheet says is said of the page that it stands on. */
const onPage = (holds: Holds): Holds => holds;

const NONE: ReadonlyMap<string, string> = new Map();

const readSheet: Read = (text, of) => {
  const asked = declared(of);
  return {
    sheets: [text],
    holds: onPage,
    widths: decidedWidths(of.document),
    modes: modesOf(of.derived.themes),
    asked: () => asked,
    without: NONE,
  };
};

/** In steps a size is what flows at each step; what flows with a container knows no steps. */
const readStepped: Read = (text, of) => {
  const first = inOrder(of.document.type.anchors)[0]?.[1].width;
  return {
    ...readSheet(text, of),
    widths: [...(first === undefined ? [] : [first]), ...breakpointsOf(of.document.type)],
    without: new Map(
      singles(of.derived).flatMap(({ id, values: { light } }) =>
        light.css?.includes('cqi') === true
          ? [[id, 'they flow with their container, and stand still here'] as const]
          : [],
      ),
    ),
  };
};

const readUtilities: Read = (text, { document, derived, sheet }) => {
  const idOf = new Map(derived.tokens.map((token) => [propertyOf(token), token.id]));
  const classes = utilityRules(document, derived).flatMap(({ selector, within, declarations }) =>
    declarations.flatMap(([property, value]) => {
      const token = idOf.get(/^var\((--[^(),]+)\)$/.exec(value)?.[1] ?? '');
      return token === undefined ? [] : [{ name: selector.slice(1), within, property, token }];
    }),
  );
  const made = new Set(classes.map(({ token }) => token));
  return {
    sheets: [sheet, text],
    holds: onPage,
    widths: decidedWidths(document),
    modes: modesOf(derived.themes).slice(0, 1),
    asked: (_mode, holds) =>
      classes.flatMap(({ name, within, property, token }) =>
        within === undefined || holds(within)
          ? [
              {
                token,
                probe: lengthProbe(property),
                className: namedClass(name, document.tokens.sheet),
              },
            ]
          : [],
      ),
    without: new Map(
      singles(derived).flatMap(({ id }) =>
        made.has(id) ? [] : [[id, 'no class is made of them'] as const],
      ),
    ),
  };
};

/** Values by token and theme, of a file that says each theme by itself. */
const valuesOnly = (
  of: VerifiedOf,
  modes: readonly Mode[],
  valueOf: (called: Called, mode: Mode) => string | undefined,
): Reading => ({
  sheets: [],
  holds: () => nowhere,
  widths: decidedWidths(of.document),
  modes,
  without: NONE,
  asked: (mode) =>
    calledOf(of).flatMap((called): readonly Asked[] => {
      const css = valueOf(called, mode);
      const { token, probe } = called;
      return css === undefined ? [] : [{ token: token.id, probe, css }];
    }),
});

/** The table for spreadsheets; of one theme its values stand in one column. */
const readCsv: Read = (text, of) => {
  const { data } = Papa.parse<Readonly<Record<string, string>>>(text, {
    header: true,
    skipEmptyLines: true,
  });
  const rows = new Map(data.map((row) => [row['token'], row]));
  const modes = modesOf(of.derived.themes);
  return valuesOnly(
    of,
    modes,
    ({ path }, mode) => rows.get(path.join('.'))?.[modes.length === 1 ? 'value' : mode],
  );
};

const partOf = (value: unknown, part: string): unknown =>
  typeof value === 'object' && value !== null && Object.hasOwn(value, part)
    ? (value as Readonly<Record<string, unknown>>)[part]
    : undefined;

const cssOf = (value: unknown): string | undefined =>
  typeof value === 'string' || typeof value === 'number' ? String(value) : undefined;

const readFlat: Read = (text, of) => {
  const all: unknown = JSON.parse(text);
  return valuesOnly(of, modesOf(of.derived.themes), ({ property }, mode) =>
    cssOf(partOf(partOf(all, mode), property.slice(2))),
  );
};

const readNested: Read = (text, of) => {
  const all: unknown = JSON.parse(text);
  return valuesOnly(of, modesOf(of.derived.themes), ({ path }, mode) =>
    cssOf(path.reduce(partOf, partOf(all, mode))),
  );
};

/** A tree of the open format without the decisions of ours, as another program would read it. */
const withoutDecisions = (text: string): { readonly [key: string]: TokenJson } => {
  const { $extensions, ...root } = JSON.parse(text) as Record<string, TokenJson>;
  const decisions = partOf(partOf($extensions, EXTENSION), 'decisions');
  if ($extensions !== undefined && decisions === undefined) root['$extensions'] = $extensions;
  return root;
};

const readOpen =
  (modesThere: (modes: readonly Mode[]) => readonly Mode[]): Read =>
  (text, of) => {
    const read = readTree(withoutDecisions(text), Infinity);
    if (read.kind === 'problem') throw new Error(read.message);
    // As they come into a system: with references followed in each theme.
    const tokens = deriveCustomTokens({
      custom: {
        order: read.tokens.map(({ path }) => path),
        items: Object.fromEntries(read.tokens.map((token) => [token.path, token])),
      },
    });
    const values = new Map(
      MODES.map((mode) => [mode, shownValues({ tokens, rules: [] }, mode, nowhere)]),
    );
    const reading = valuesOnly(of, modesThere(modesOf(of.derived.themes)), ({ whole }, mode) =>
      values.get(mode)?.get(whole.join('.')),
    );
    // A color beyond sRGB is said as it is, with the nearest of sRGB beside it.
    return { ...reading, holds: () => (within) => within === WIDE };
  };

/** How each file is read; another one is a line here, and in the list of those that are verified. */
const READINGS: Readonly<Record<VerifiableFile, Read>> = {
  'tokens.css': readSheet,
  'tokens-stepped.css': readStepped,
  'utilities.css': readUtilities,
  'tokens-flat.json': readFlat,
  'tokens-nested.json': readNested,
  'tokens.csv': readCsv,
  'tokens.json': readOpen((modes) => modes),
  'tokens-theme.json': readOpen((modes) => modes.slice(0, 1)),
  'tokens-other-theme.json': readOpen((modes) => modes.slice(-1)),
};

/**
 * A file as a page takes it.
 * Throws an Error with a message in words where the file cannot be read at all.
 */
export const readingOf = (file: VerifiableFile, text: string, of: VerifiedOf): Reading =>
  READINGS[file](text, of);
