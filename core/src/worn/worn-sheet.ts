import type { SheetBlock } from '../formats/sheet.ts';
import { once } from '../once.ts';
import { propertyOfPath } from '../tokens/token.ts';
import { NO_VALUE, OWN_VALUE, WORN_ATTRIBUTE, type Wearing } from './wearing.ts';

type Rule = SheetBlock['rules'][number];

/** Properties that decide how something looks; how it is arranged stays as the page has it. */
const LOOKS =
  /^(?:color|background(?:-color|-image)?|border(?:-.+)?|outline(?:-.+)?|box-shadow|font(?:-.+)?|line-height|letter-spacing|word-spacing|text-(?:transform|decoration.*|underline-.*|wrap|shadow)|padding(?:-.+)?|transition(?:-.+)?|min-(?:block|inline)-size|caret-color|accent-color|opacity|hyphens|hanging-punctuation)$/;

/** Before every selector, so that whatever the page says gives way; the same for all, so that they stay in order. */
const ABOVE = ':root:not(#_#_)';

/** Names of custom properties of their own: a page may have some of the same name. */
const ownNames = (css: string): string => css.replaceAll(/(?<![\w-])--(?=[\w-])/g, '--worn-');

/** The parts of a list of selectors, by commas outside of parentheses. */
const selectorsIn = (list: string): readonly string[] =>
  (list.match(/(?:[^,(]|\((?:[^()]|\([^()]*\))*\))+/g) ?? []).map((one) => one.trim());

const CLASS = /\.([A-Za-z_][\w-]*)/g;

/** A selector of the sheet as it finds what wears its classes; nothing where nobody does. */
function worn(selector: string, classes: ReadonlySet<string>): string | undefined {
  const names = [...selector.matchAll(CLASS)].map(([, name = '']) => name);
  if (names.length === 0 || !names.every((name) => classes.has(name))) return undefined;
  const found = selector
    .replaceAll(/\[class(?=[\]*~^$|=])/g, `[${WORN_ATTRIBUTE}`)
    .replaceAll(CLASS, (_, name: string) => `[${WORN_ATTRIBUTE}~="${name}"]`);
  return `${ABOVE} ${found}`;
}

function wornRule({ selector, declarations }: Rule, classes: ReadonlySet<string>): readonly Rule[] {
  // What the whole page has at hand; the page’s own root keeps its look.
  if (/^:root(?:\[|:not\(\[|$)/.test(selector)) {
    const own = declarations
      .filter(([property]) => property.startsWith('--'))
      .map(([property, value]) => [ownNames(property), ownNames(value)] as const);
    return own.length === 0 ? [] : [{ selector, declarations: own }];
  }
  if (selector === '@font-face') return [{ selector, declarations }];
  const found = selectorsIn(selector).flatMap((one) => worn(one, classes) ?? []);
  const looks = declarations
    .filter(([property]) => LOOKS.test(property))
    .map(([property, value]) => [property, `${ownNames(value)} !important`] as const);
  const inks = looks.filter(([property]) => property === 'color');
  const others = looks.filter(([property]) => property !== 'color');
  return [
    ...ruleOf(found, others),
    // Over a picture words keep the color that somebody has chosen for it.
    ...ruleOf(
      found.map((one) => (one.includes('::') ? one : one + UNLESS_OWN_COLOR)),
      inks,
    ),
  ];
}

const UNLESS_OWN_COLOR = `:not([${WORN_ATTRIBUTE}~="color:${OWN_VALUE}"])`;

const ruleOf = (
  selectors: readonly string[],
  declarations: Rule['declarations'],
): readonly Rule[] =>
  selectors.length === 0 || declarations.length === 0
    ? []
    : [{ selector: selectors.join(', '), declarations }];

/** A block as the page wears it; nothing where nothing of it is worn. */
function wornBlock(block: SheetBlock, classes: ReadonlySet<string>): readonly SheetBlock[] {
  if (block.within !== undefined && !block.within.startsWith('@media')) return [];
  const rules = block.rules.flatMap((rule) => wornRule(rule, classes));
  return rules.length === 0 ? [] : [{ ...block, rules }];
}

/** The rules of single properties, each with its token. */
function valueBlocks(wearings: readonly Wearing[]): readonly SheetBlock[] {
  const found = new Map<string, SheetBlock>();
  for (const { values } of wearings)
    for (const { property, token } of values) {
      if (token === OWN_VALUE) continue;
      const word = `${property}:${token}`;
      const own =
        token === NO_VALUE ? 'none' : `var(${ownNames(propertyOfPath(token.split('.')))})`;
      // Above what a ground says of the words on it.
      const selector = `${ABOVE} [${WORN_ATTRIBUTE}~="${word}"]${`[${WORN_ATTRIBUTE}]`.repeat(4)}`;
      found.set(word, {
        key: `worn ${word}`,
        rules: [{ selector, declarations: [[property, `${own} !important`]] }],
      });
    }
  return [...found.values()];
}

/**
 * Makes of the sheet of a system the one that somebody’s page wears: its tokens under names of their own, its faces,
 * and what its classes say of looks, addressed to the things that wear them and above whatever the page says of them.
 * A block that is the same as before stays the same, so that a movement writes only what it changes.
 * @param wearings all that is worn on the page
 */
export function wearing(
  wearings: readonly Wearing[],
): (sheet: readonly SheetBlock[]) => readonly SheetBlock[] {
  const classes = new Set(wearings.flatMap((one) => one.classes));
  const values = valueBlocks(wearings);
  const blockOf = once((block: SheetBlock) => wornBlock(block, classes));
  return once((sheet: readonly SheetBlock[]) => [...sheet.flatMap(blockOf), ...values]);
}
