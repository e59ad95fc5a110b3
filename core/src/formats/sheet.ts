import { placesOfSecond } from '../derive/dark.ts';
import { modesOf, type Themes } from '../system/themes.ts';
import type { DeliveredFace, Derived, Rule, RuleGroup, TokenGroup } from '../derive/derived.ts';
import { standInName } from '../fonts/family.ts';
import { cssString } from '../css-string.ts';
import { once } from '../once.ts';
import { namedProperty, namedSelector, namedValue, type Naming } from './naming.ts';
import {
  isSameInBoth,
  propertyOf,
  propertyOfPath,
  type Token,
  type TokenValue,
} from '../tokens/token.ts';

/** Where the sheet expects the font files, beside itself. */
export const FONT_FOLDER = 'fonts';

type Declaration = Rule['declarations'][number];
type Mode = 'light' | 'dark';

/**
 * A top-level rule of the style sheet, known by its key: one rule, or several that stand in the same
 * at-rule. What says the same as before is the very same block, or has the very same rules.
 */
export interface SheetBlock {
  /** The same as long as it is about the same thing; no other block of the sheet has it. */
  readonly key: string;
  readonly within?: string;
  readonly rules: readonly Pick<Rule, 'selector' | 'declarations'>[];
}

/** A value that is taken from another token names that one’s property, which is made of its id. */
const written = ({ css, reference }: TokenValue): string | undefined =>
  css === undefined || reference === undefined
    ? css
    : `var(${propertyOfPath(reference.split('.'))})`;

/** What a token declares in a mode; on screens that show more than sRGB a value of its own. */
type Declared = Readonly<Record<Mode, Declaration | undefined>>;

/**
 * All that a token declares; made once, as long as it stays what it is. `wide` stands beside what is declared
 * for every screen.
 */
const declaredBy = once((token: Token) => {
  const { light, dark } = token.values;
  const property = propertyOf(token);
  const of = (value: string | undefined): Declaration | undefined =>
    value === undefined ? undefined : [property, value];
  const wideOf = (value: TokenValue): Declaration | undefined =>
    of(value.reference === undefined ? value.wide : undefined);
  return {
    usual: { light: of(written(light)), dark: of(written(dark)) } satisfies Declared,
    wide: { light: wideOf(light), dark: wideOf(dark) } satisfies Declared,
    isSame: isSameInBoth(token),
    isSameWide: light.wide === dark.wide,
  };
});

const block = (
  key: string,
  selector: string,
  own: readonly Declaration[],
  within?: string,
): SheetBlock[] =>
  own.length === 0
    ? []
    : [{ key, ...(within !== undefined && { within }), rules: [{ selector, declarations: own }] }];

export const WIDE = '@media (color-gamut: p3)';

/** An at-rule that asks for a wide gamut beside what another one asks for. */
export const wideWithin = (within: string | undefined): string =>
  within === undefined ? WIDE : `${WIDE} and ${within.replace('@media ', '')}`;

/** The blocks of the tokens of a group: in the first theme, in the second, on screens with a wide gamut. */
const tokenBlocks = once(({ key, tokens }: TokenGroup) => {
  const known = new Map<Themes, ReturnType<typeof make>>();
  const make = (themes: Themes) => {
    const [first, second] = modesOf(themes);
    const own: Declaration[] = [];
    const differing: Declaration[] = [];
    const wideOwn: Declaration[] = [];
    const wide: Declaration[] = [];
    const add = (to: Declaration[], declaration: Declaration | undefined): void => {
      if (declaration !== undefined) to.push(declaration);
    };
    for (const token of tokens) {
      const said = declaredBy(token);
      add(own, said.usual[first]);
      add(wideOwn, said.wide[first]);
      if (second === undefined) continue;
      if (!said.isSame) add(differing, said.usual[second]);
      if (!said.isSameWide) add(wide, said.wide[second]);
    }
    const places = placesOfSecond(themes);
    return {
      first: block(key, ':root', own),
      second: places.flatMap(({ root, within }) =>
        block(`${key} in ${within ?? root}`, root, differing, within),
      ),
      wide: [
        ...block(`${key} in wide gamut`, ':root', wideOwn, WIDE),
        ...places.flatMap(({ root, within }) =>
          block(`${key} in wide gamut, ${within ?? root}`, root, wide, wideWithin(within)),
        ),
      ],
    };
  };
  return (themes: Themes) => {
    const before = known.get(themes) ?? make(themes);
    known.set(themes, before);
    return before;
  };
});

/** The blocks that a rule alone makes, by their keys. */
const ruleBlock = once((_rule: Rule) => new Map<string, SheetBlock>());

/** The blocks of a group of rules, in order; neighbors of the same at-rule stand in it together. */
const ruleBlocks = once(({ key: group, rules }: RuleGroup): readonly SheetBlock[] => {
  const counts = new Map<string, number>();
  const keyOf = ({ selector, within = '' }: Rule): string => {
    const name = `${group}: ${within} ${selector}`;
    const count = (counts.get(name) ?? 0) + 1;
    counts.set(name, count);
    return count === 1 ? name : `${name}, ${count}`;
  };
  const blocks: SheetBlock[] = [];
  for (let at = 0; at < rules.length;) {
    const first = rules[at];
    if (!first) break;
    const key = keyOf(first);
    const { within } = first;
    if (within === undefined) {
      const known = ruleBlock(first);
      const own = known.get(key) ?? { key, rules: [first] };
      known.set(key, own);
      blocks.push(own);
      at += 1;
      continue;
    }
    const from = at;
    while (at < rules.length && rules[at]?.within === within) at += 1;
    blocks.push({ key, within, rules: rules.slice(from, at) });
  }
  return blocks;
});

const allRules = once((rules: Derived['rules']): readonly SheetBlock[] =>
  rules.flatMap(ruleBlocks),
);

const faceBlocks = ({ family, files }: DeliveredFace): SheetBlock[] =>
  files.map(({ name: file, style, weight, unicodeRange }) => ({
    key: `face ${file}`,
    rules: [
      {
        selector: '@font-face',
        declarations: [
          ['font-family', cssString(family.name)],
          ['font-style', style],
          [
            'font-weight',
            weight.min === weight.max ? String(weight.min) : `${weight.min} ${weight.max}`,
          ],
          ['font-display', 'swap'],
          ['src', `url(${cssString(`${FONT_FOLDER}/${file}`)}) format("woff2")`],
          ['unicode-range', unicodeRange.replaceAll(',', ', ')],
        ],
      },
    ],
  }));

const percent = (share: number): string => `${Number((share * 100).toFixed(2))}%`;

/** The stand-in as two faces, because a bold one must not be faked either. */
const standInBlocks = ({ family, standIn }: DeliveredFace): SheetBlock[] =>
  (
    [
      [standIn.font.local, '1 599'],
      [standIn.font.localBold, '600 1000'],
    ] as const
  ).map(([local, weights]) => ({
    key: `stand-in ${family.id} ${weights}`,
    rules: [
      {
        selector: '@font-face',
        declarations: [
          ['font-family', cssString(standInName(family))],
          ['font-weight', weights],
          ['src', local.map((name) => `local(${cssString(name)})`).join(', ')],
          ['size-adjust', percent(standIn.sizeAdjust)],
          ['ascent-override', percent(standIn.ascentOverride)],
          ['descent-override', percent(standIn.descentOverride)],
          ['line-gap-override', percent(standIn.lineGapOverride)],
        ],
      },
    ],
  }));

const allFaces = once((faces: Derived['faces']): readonly SheetBlock[] => [
  ...faces.flatMap(faceBlocks),
  ...faces.filter(({ family }) => family.stack === undefined).flatMap(standInBlocks),
]);

/** What the browser draws itself (scroll bars, fields) in: the themes that there are. */
const schemeBlocks = (themes: Themes, hasSecond: boolean) => {
  const [first, second] = modesOf(themes);
  const usual = themes === 'light and dark' ? 'light dark' : first;
  const chosen = (mode: Mode) =>
    block(`scheme, ${mode}`, `:root[data-theme="${mode}"]`, [['color-scheme', mode]]);
  return {
    usual: block('scheme', ':root', [['color-scheme', usual]]),
    chosen: second === undefined || !hasSecond ? [] : [...chosen(second), ...chosen(first)],
  };
};

/** The same blocks for the same themes, so that they stay where they stand. */
const knownSchemes = new Map<string, ReturnType<typeof schemeBlocks>>();
const schemes =
  (themes: Themes) =>
  (hasSecond: boolean): ReturnType<typeof schemeBlocks> => {
    const key = `${themes} ${String(hasSecond)}`;
    const found = knownSchemes.get(key) ?? schemeBlocks(themes, hasSecond);
    knownSchemes.set(key, found);
    return found;
  };

/**
 * The style sheet as its top-level rules in order: font faces, every token as a custom property, the
 * values of the second theme (by the reader’s preference, or by `data-theme` on the root), the colors
 * beyond sRGB for screens that show them, and the classes. Only blocks of groups that changed are made anew.
 */
export function sheetOf({
  faces,
  groups,
  rules,
  themes,
}: Pick<Derived, 'faces' | 'groups' | 'rules' | 'themes'>): readonly SheetBlock[] {
  const parts = groups.map((group) => tokenBlocks(group)(themes));
  const others = parts.flatMap(({ second }) => second);
  const scheme = schemes(themes)(others.length > 0);
  return [
    ...allFaces(faces),
    ...scheme.usual,
    ...parts.flatMap(({ first }) => first),
    ...others,
    ...scheme.chosen,
    ...parts.flatMap(({ wide }) => wide),
    ...allRules(rules),
  ];
}

const ruleCss = (
  { selector, declarations: own }: SheetBlock['rules'][number],
  indent: string,
): string =>
  `${indent}${selector} {\n${own.map(([property, value]) => `${indent}  ${property}: ${value};\n`).join('')}${indent}}\n`;

/** A block as CSS; written when somebody asks, and once. */
export const blockCss = once(({ within, rules }: SheetBlock): string =>
  within === undefined
    ? rules.map((rule) => ruleCss(rule, '')).join('')
    : `${within} {\n${rules.map((rule) => ruleCss(rule, '  ')).join('')}}\n`,
);

export const sheetCss = (sheet: readonly SheetBlock[]): string => sheet.map(blockCss).join('\n');

/** A block of the sheet by the names that were chosen. */
const namedBlock = (block: SheetBlock, naming: Naming): SheetBlock => ({
  ...block,
  rules: block.rules.map(({ selector, declarations }) => ({
    selector: namedSelector(selector, naming),
    declarations: declarations.map(
      ([property, value]) => [namedProperty(property, naming), namedValue(value, naming)] as const,
    ),
  })),
});

/**
 * The sheet by the names that were chosen, in the cascade layer that was chosen. Font faces stand outside of
 * it: they are no part of the cascade.
 * @param after what stands after everything else, as it is
 */
export function namedCss(sheet: readonly SheetBlock[], naming: Naming = {}, after = ''): string {
  const isFace = ({ rules }: SheetBlock): boolean => rules[0]?.selector === '@font-face';
  const named = sheet.map((one) => (isFace(one) ? one : namedBlock(one, naming)));
  const joined = (blocks: readonly SheetBlock[]): string =>
    [sheetCss(blocks), after].filter((part) => part !== '').join('\n');
  if (naming.layer === undefined) return joined(named);
  const inside = joined(named.filter((one) => !isFace(one))).replaceAll(/^(?=.)/gm, '  ');
  return [sheetCss(named.filter(isFace)), `@layer ${naming.layer} {\n${inside}}\n`]
    .filter((part) => part !== '')
    .join('\n');
}

/** Rules alone, without tokens, as CSS. */
export const rulesCss = (rules: readonly Rule[], naming?: Naming): string =>
  namedCss(ruleBlocks({ key: 'rules', rules }), naming);
