import type { Derived, Rule } from '../derive/derived.ts';
import { breakpointSlugs } from '../derive/space/space.ts';
import { inOrder, type SpaceLength, type StyleDocument } from '../system/document.ts';
import { namingOf } from './naming.ts';
import { rulesCss } from './sheet.ts';

/** What classes do, in readable words, and the property of each. */
const KINDS: readonly (readonly [word: string, property: string])[] = [
  ['pad', 'padding'],
  ['pad-block', 'padding-block'],
  ['pad-inline', 'padding-inline'],
  ['pad-top', 'padding-block-start'],
  ['pad-bottom', 'padding-block-end'],
  ['pad-start', 'padding-inline-start'],
  ['pad-end', 'padding-inline-end'],
  ['margin', 'margin'],
  ['margin-block', 'margin-block'],
  ['margin-inline', 'margin-inline'],
  ['margin-top', 'margin-block-start'],
  ['margin-bottom', 'margin-block-end'],
  ['margin-start', 'margin-inline-start'],
  ['margin-end', 'margin-inline-end'],
  ['gap', 'gap'],
  ['gap-rows', 'row-gap'],
  ['gap-columns', 'column-gap'],
];

const named = (length: SpaceLength | undefined): readonly string[] =>
  length?.kind === 'step' || length?.kind === 'stepped'
    ? [length.step, ...Object.values(length.at ?? {})]
    : [];

/** What the classes are made of. */
type Decided = Pick<StyleDocument, 'space' | 'type' | 'layout'>;

/** The steps that a role or the space after a text takes. */
const stepsInUse = ({ space, type }: Pick<StyleDocument, 'space' | 'type'>): ReadonlySet<string> =>
  new Set([
    ...inOrder(space.roles).flatMap(([, { value, block }]) => [...named(value), ...named(block)]),
    ...inOrder(type.roles).flatMap(([, { after }]) => (after === undefined ? [] : [after])),
  ]);

/**
 * A class for every property and step, for every width and, where it is asked for, again from each
 * breakpoint up (`pad-m-from-wide`). No classes where the system decides for none.
 */
export function utilityRules(document: Decided, derived: Pick<Derived, 'steps'>): readonly Rule[] {
  const { utilities } = document.space;
  if (!utilities) return [];
  const used = stepsInUse(document);
  const steps = [...derived.steps.values()].filter(
    // No space is what a class is for that takes space away again, at a breakpoint above all.
    ({ id, px }) => utilities.steps === 'all' || px === 0 || used.has(id),
  );
  const classes = (suffix: string, within?: string): Rule[] =>
    KINDS.flatMap(([word, property]) =>
      steps.map(({ slug }) => ({
        selector: `.${utilities.prefix}${word}-${slug}${suffix}`,
        ...(within !== undefined && { within }),
        declarations: [[property, `var(--step-${slug})`] as const],
      })),
    );
  const slugOf = breakpointSlugs(document.layout);
  return [
    ...classes(''),
    ...(utilities.breakpoints
      ? inOrder(document.layout.breakpoints).flatMap(([id, { width }]) =>
          classes(`-from-${slugOf.get(id) ?? id}`, `@media (width >= ${width}px)`),
        )
      : []),
  ];
}

/** The classes as a style sheet, to be loaded after `tokens.css`, whose properties they use. */
export const writeUtilities = (
  document: Decided & Pick<StyleDocument, 'tokens'>,
  derived: Pick<Derived, 'steps' | 'groups' | 'rules'>,
): string => rulesCss(utilityRules(document, derived), namingOf(document.tokens.sheet, derived));
