import { placesOfSecond } from '../derive/dark.ts';
import type { Derived } from '../derive/derived.ts';
import { withWhatTheyTake } from '../proof/token-uses.ts';
import type { Mode, StyleDocument } from '../system/document.ts';
import { modesOf } from '../system/themes.ts';
import { ROOT_PX } from '../type/fluid.ts';
import { plainTokens, type PlainToken } from './plain-tokens.ts';
import { WIDE, wideWithin } from './sheet.ts';

export const FORMS = ['bare', 'in a rule', 'as a sheet'] as const;
export const REFERENCES = ['kept', 'resolved'] as const;
export const UNITS = ['as decided', 'px', 'rem'] as const;

/** How chosen tokens are written. */
export interface Writing {
  /** Declarations alone; in a rule of a selector; or as a sheet, on the root, with the second theme where it stands. */
  readonly form: (typeof FORMS)[number];
  readonly selector: string;
  readonly references: (typeof REFERENCES)[number];
  /** One theme, or all that there are; declarations alone are of one. */
  readonly theme: Mode | 'both';
  readonly units: (typeof UNITS)[number];
  readonly isMinified: boolean;
}

/** A line of what is written: a declaration with the token that it is of, or what stands around it. */
export interface ChosenLine {
  readonly text: string;
  readonly token?: string;
}

export interface Chosen {
  readonly lines: readonly ChosenLine[];
  /** Tokens that came with those that were chosen, because these take their values from them. */
  readonly added: readonly string[];
}

const round = (value: number): number => Number(value.toFixed(4));

/** A value with its lengths in one unit; strings and addresses in it are left as they are. */
function inUnits(css: string, units: Writing['units']): string {
  if (units === 'as decided') return css;
  return css.replaceAll(
    /"(?:[^"\\]|\\.)*"|url\([^)]*\)|(?<![\w.#-])(-?(?:\d+\.?\d*|\.\d+))(px|rem)(?![\w-])/g,
    (whole, number: string | undefined, unit: string) => {
      if (number === undefined || unit === units) return whole;
      const value = unit === 'rem' ? Number(number) * ROOT_PX : Number(number) / ROOT_PX;
      return `${round(value)}${units}`;
    },
  );
}

/** Selectors of a list, apart by commas that stand in no brackets and no string. */
const selectorsOf = (list: string): readonly string[] =>
  (list.match(/(?:[^,()[\]"']|\([^()]*\)|\[[^\]]*\]|"[^"]*"|'[^']*')+/g) ?? [list]).map((one) =>
    one.trim(),
  );

/** A selector, each of its list, below the root in a theme. */
const inTheme = (root: string, list: string): string =>
  selectorsOf(list)
    .map((one) => `${root} ${one}`)
    .join(', ');

/** The modes that a writing is in, the first of the site first. */
const modesIn = ({ theme, form }: Writing, all: readonly [Mode, ...Mode[]]): readonly Mode[] => {
  const [first] = all;
  if (theme === 'both') return form === 'bare' ? [first] : all;
  return all.includes(theme) ? [theme] : [first];
};

/**
 * Chosen tokens as CSS, in the order of the sheet. Where references are kept, what is taken comes along; a text
 * style, which no single property holds, comes in its parts.
 */
export function writeChosen(
  document: Pick<StyleDocument, 'name' | 'tokens'>,
  derived: Pick<Derived, 'tokens' | 'rules' | 'themes' | 'groups'>,
  ids: readonly string[],
  writing: Writing,
): Chosen {
  const { tokens, composite } = plainTokens(document, derived);
  const isKept = writing.references === 'kept';
  const styles = new Set(composite.map(({ id }) => id).filter((id) => ids.includes(id)));
  const { all: withParts } = withWhatTheyTake(derived, [...styles]);
  const own = [...ids, ...withParts];
  const { all, added } = isKept ? withWhatTheyTake(derived, own) : { all: own, added: [] };
  const wanted = new Set(all);
  const taken = tokens.filter(({ id }) => wanted.has(id));
  const modes = modesIn(writing, modesOf(derived.themes));
  const [first, second] = modes;
  const isShort = writing.isMinified;
  const valueOf = ({ values }: PlainToken, mode: Mode): string => {
    const { css, taking } = values[mode];
    return inUnits(isKept ? taking : css, writing.units);
  };
  const wideIn = ({ values }: PlainToken, mode: Mode): string | undefined => {
    const { from, wide } = values[mode];
    return isKept && from !== undefined ? undefined : wide;
  };
  const declared = ({ name, id }: PlainToken, value: string, indent: string): ChosenLine => ({
    text: isShort
      ? `--${name}:${value.replaceAll(/,\s+/g, ',')};`
      : `${indent}--${name}: ${value};`,
    token: id,
  });
  /** A rule with what each token says there, in its at-rule; nothing where none says anything. */
  const rule = (
    selector: string,
    within: string | undefined,
    said: (token: PlainToken) => string | undefined,
  ): readonly ChosenLine[] => {
    const indent = within === undefined ? '' : '  ';
    const own = taken.flatMap((token) => {
      const value = said(token);
      return value === undefined ? [] : [declared(token, value, `${indent}  `)];
    });
    if (own.length === 0) return [];
    return [
      ...(within === undefined ? [] : [{ text: isShort ? `${within}{` : `${within} {` }]),
      { text: isShort ? `${selector}{` : `${indent}${selector} {` },
      ...own,
      { text: isShort ? '}' : `${indent}}` },
      ...(within === undefined ? [] : [{ text: '}' }]),
    ];
  };
  const lines = (): readonly ChosenLine[] => {
    if (!first) return [];
    if (writing.form === 'bare')
      return taken.map((token) => declared(token, valueOf(token, first), ''));
    const isSheet = writing.form === 'as a sheet';
    const at = isSheet ? ':root' : writing.selector;
    const ofSecond = (
      said: (token: PlainToken, mode: Mode) => string | undefined,
      around: (within: string | undefined) => string | undefined,
    ): readonly ChosenLine[] =>
      second === undefined
        ? []
        : placesOfSecond(derived.themes).flatMap(({ root, within }) =>
            rule(isSheet ? root : inTheme(root, at), around(within), (token) =>
              said(token, first) === said(token, second) ? undefined : said(token, second),
            ),
          );
    return [
      ...rule(at, undefined, (token) => valueOf(token, first)),
      ...ofSecond(valueOf, (within) => within),
      // What is another on some screens, or for some readers: fewer columns, no motion.
      ...derived.rules.flatMap(({ rules }) =>
        rules.flatMap(({ selector, within, declarations }) => {
          if (selector !== ':root' || within === undefined) return [];
          const own = new Map(declarations);
          return rule(at, within, ({ property }) => {
            const value = own.get(property);
            return value === undefined ? undefined : inUnits(value, writing.units);
          });
        }),
      ),
      ...rule(at, WIDE, (token) => wideIn(token, first)),
      ...ofSecond(wideIn, wideWithin),
    ];
  };
  return { lines: lines(), added: added.filter((id) => !styles.has(id)) };
}

/** Some of the lines, or all, as one text. */
export const textOfLines = (
  lines: readonly ChosenLine[],
  { isMinified }: Pick<Writing, 'isMinified'>,
): string => lines.map(({ text }) => text).join(isMinified ? '' : '\n') + (isMinified ? '' : '\n');
