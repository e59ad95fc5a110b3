import type { Rule } from '@garnish/core/derive/derived';
import type { SheetBlock } from '@garnish/core/formats/sheet';
import { once } from '@garnish/core/once';
import { namesIn, partsOf } from '@garnish/core/proof/made-of';
import { holdsOn } from '../elements.ts';

/** States and parts of elements, which no element answers to by itself. */
const MOMENTARY =
  /::?(?:hover|active|focus(?:-visible|-within)?|visited|before|after|placeholder|marker|file-selector-button|backdrop|details-content|selection|-webkit-[\w-]+|-moz-[\w-]+)|:(?:user-invalid|popover-open)/g;

/** Lengths by the size of the screen, in px of that screen: in a picture there is none. */
export const ofScreen = (value: string, screen: { width: number; height: number }): string =>
  value
    .replaceAll(
      /(-?\d*\.?\d+)[sld]?v(?:w|i)\b/g,
      (_, share: string) => `${Number(((Number(share) * screen.width) / 100).toFixed(4))}px`,
    )
    .replaceAll(
      /(-?\d*\.?\d+)[sld]?v(?:h|b)\b/g,
      (_, share: string) => `${Number(((Number(share) * screen.height) / 100).toFixed(4))}px`,
    );

interface Kept {
  readonly within: string | undefined;
  readonly selector: string;
  readonly declarations: readonly (readonly [property: string, value: string])[];
}

/** What a selector asks of an element, whatever happens to it at the moment; all of it where nothing is left. */
export const lasting = (selector: string): string => {
  const left = selector.replaceAll(MOMENTARY, '').trim();
  return left === '' || /[\s>+~(]$/.test(left) ? `${left}*` : left;
};

/** A selector of a rule, and what is asked of a page about it. */
interface Question {
  readonly part: string;
  readonly asked: string;
  /** Classes without which nothing answers. */
  readonly classes: readonly string[];
}

/** The classes that a selector asks for by themselves, not within parentheses or strings. */
const classesAsked = (selector: string): readonly string[] =>
  [...selector.replaceAll(/\([^]*\)|\[[^\]]*\]/g, '').matchAll(/\.([\p{L}\p{N}_-]+)/gu)].map(
    ([, name = '']) => name,
  );

/** The questions of a rule; what holds for the page itself is none. */
const questionsOf = once((rule: Rule): readonly Question[] =>
  partsOf(rule)
    .filter((part) => part !== 'body')
    .map((part) => {
      const asked = lasting(part);
      return { part, asked, classes: classesAsked(asked) };
    }),
);

/** The classes that anything on a page has. */
const classesOn = (page: Document): ReadonlySet<string> =>
  new Set([...page.querySelectorAll('[class]')].flatMap(({ classList }) => [...classList]));

function isWorn(
  page: Document,
  { asked, classes }: Question,
  onPage: ReadonlySet<string>,
): boolean {
  if (!classes.every((name) => onPage.has(name))) return false;
  try {
    return page.body.querySelector(asked) !== null;
  } catch {
    return true; // what cannot be asked is kept
  }
}

/**
 * The style that elements of a page wear, of the sheet that dresses it: rules that none of them answers to and tokens
 * that none takes are left out, what asks for the screen is answered. All of it holds within `scope`.
 */
export function dressOf(page: Document, sheet: readonly SheetBlock[], scope: string): string {
  const view = page.defaultView;
  const screen = { width: view?.innerWidth ?? 0, height: view?.innerHeight ?? 0 };
  const holds = holdsOn(page);
  const onPage = classesOn(page);
  const kept: Kept[] = [];
  const roots: Kept[] = [];
  for (const { within, rules } of sheet) {
    const isContainer = within?.startsWith('@container') === true;
    if (within !== undefined && !isContainer && !holds(within)) continue;
    if (within?.startsWith('@starting-style') === true) continue;
    for (const rule of rules) {
      const { selector, declarations } = rule;
      if (selector === '@font-face' || selector.startsWith('@')) continue;
      const one = (said: string): Kept => ({
        within: isContainer ? within : undefined,
        selector: said,
        declarations,
      });
      if (selector.startsWith(':root')) {
        if (page.documentElement.matches(selector)) roots.push(one(scope));
        continue;
      }
      const parts = questionsOf(rule).filter((question) => isWorn(page, question, onPage));
      if (parts.length > 0) kept.push(one(parts.map(({ part }) => `${scope} ${part}`).join(', ')));
    }
  }
  const said = new Map<string, string>();
  for (const { declarations } of roots)
    for (const [name, value] of declarations) said.set(name, value);
  const needed = new Set<string>();
  const need = (value: string): void => {
    for (const name of namesIn(value))
      if (!needed.has(name)) {
        needed.add(name);
        need(said.get(name) ?? '');
      }
  };
  for (const { declarations } of kept) for (const [, value] of declarations) need(value);
  const written = ({ selector, declarations, within }: Kept): string => {
    const own = declarations
      .map(([property, value]) => `${property}:${ofScreen(value, screen)}`)
      .join(';');
    const css = `${selector}{${own}}`;
    return within === undefined ? css : `${within}{${css}}`;
  };
  const tokens = [...said].filter(([name]) => needed.has(name) || !name.startsWith('--'));
  return [
    written({ within: undefined, selector: scope, declarations: tokens }),
    ...kept.map(written),
  ].join('\n');
}
