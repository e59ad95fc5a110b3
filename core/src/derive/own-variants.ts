import { COMPONENTS } from '../components/components.ts';
import type { Part } from '../components/component.ts';
import type { Manner } from '../system/component-schema.ts';
import { inOrder, type StyleDocument } from '../system/document.ts';
import { slugsOf } from '../tokens/slugs-of.ts';
import type { Token } from '../tokens/token.ts';
import {
  IN_ORDER,
  isOf,
  nameOf,
  PARTS,
  partsOf,
  said,
  selectorIn,
  tokenFor,
  WORDS,
  type Departure,
  type Sources,
} from './components.ts';
import type { Rule } from './derived.ts';

/** A variant of one’s own with the class that stands beside that of what it is a copy of. */
export interface OwnVariant {
  readonly id: string;
  readonly name: string;
  readonly slug: string;
  readonly of: string;
  readonly takes: Readonly<Record<string, string>>;
}

/** What tokens begin with and classes are called that are no component’s. */
const OTHERS =
  'face scale type palette color grid space step width picture logo radius corner border edge outline icon shadow opacity layer duration easing gradient veil pattern hint grid-frame screen-high site custom';
/** What classes begin with that bear the name of a role. */
const FAMILY =
  /^(?:icon|type|on|fill|wash|span|width|veil|over|pull|raise|picture|gradient|pattern|hide|show|sheet)-/;

const TAKEN: ReadonlySet<string> = new Set([
  ...OTHERS.split(' '),
  ...PARTS.map(({ of }) => of),
  ...COMPONENTS.flatMap(({ classes, spaces = {} }) => [
    ...classes.map(({ name }) => name),
    ...Object.keys(spaces).map((key) => key.split('.')[0] ?? ''),
  ]),
]);

const NO_VARIANTS: readonly OwnVariant[] = [];

/** The variants of one’s own in their order; a class that components have already is told apart. */
export function ownVariantsOf({
  variants,
}: Pick<StyleDocument['components'], 'variants'>): readonly OwnVariant[] {
  if (!variants) return NO_VARIANTS;
  const slugOf = slugsOf(variants);
  const given = new Set<string>(slugOf.values());
  return inOrder(variants).map(([id, own]) => {
    let slug = slugOf.get(id) ?? id;
    if (TAKEN.has(slug) || FAMILY.test(slug)) {
      slug = `own-${slug}`;
      while (TAKEN.has(slug) || given.has(slug)) slug = `own-${slug}`;
      given.add(slug);
    }
    return { id, ...own, slug };
  });
}

/** The tokens that the parts of variants of one’s own are taken from, by their names: those that they take alone. */
export function deriveOwnSources(
  variants: readonly OwnVariant[],
  usual: ReadonlyMap<string, Token>,
  given: Omit<Sources, 'hasLogo'>,
): ReadonlyMap<string, Token> {
  const found = new Map<string, Token>();
  for (const { of, slug, takes } of variants)
    for (const part of partsOf(of)) {
      const wanted = Object.hasOwn(takes, part.part) ? takes[part.part] : undefined;
      if (wanted === undefined || !isOf(part, given.components.manner)) continue;
      const own = tokenFor(wanted, given);
      if (own && own.type === usual.get(nameOf(part))?.type) found.set(`${slug}.${part.part}`, own);
    }
  return found;
}

/**
 * The rules of variants of one’s own, behind those of what they are copies of: of each property that one takes
 * otherwise, what it is in every state, so that no state of the original wins over it.
 */
export const deriveOwnRules = (
  variants: readonly OwnVariant[],
  names: readonly string[],
  usual: readonly string[],
  manner: Manner,
): Rule[] => {
  const [own, there] = [new Set(names), new Set(usual)];
  return variants.flatMap(({ of, slug }) => {
    const isOwn = ({ part }: Part): boolean => own.has(`${slug}.${part}`);
    const parts = partsOf(of).filter((part) => isOf(part, manner) && there.has(nameOf(part)));
    const changed = new Set(parts.filter(isOwn).map(({ property }) => property));
    const wordsAtRest = parts.some(
      ({ inWords, property, state }) => inWords && state === undefined && changed.has(property),
    );
    return IN_ORDER.flatMap((state): Rule[] => {
      const takes = parts.filter((part) => part.state === state?.id && changed.has(part.property));
      const rule = (inside: string, those: readonly Part[]): Rule[] =>
        those.length === 0
          ? []
          : [
              {
                selector: selectorIn(of, state, inside, `.${slug}`),
                declarations: those.flatMap((part) => said(part, isOwn(part) ? slug : of)),
                ...(state?.within !== undefined && { within: state.within }),
              },
            ];
      const inWords = takes.filter((part) => part.inWords);
      // Words that are colored at rest take what a state says of the whole.
      const follow = state !== undefined && wordsAtRest && inWords.length === 0;
      const isColored = takes.some(({ property }) => property === 'color');
      return [
        ...rule('', takes),
        ...rule(WORDS, inWords),
        ...(follow && isColored
          ? [
              {
                selector: selectorIn(of, state, WORDS, `.${slug}`),
                declarations: [['color', 'inherit'] as const],
                ...(state.within !== undefined && { within: state.within }),
              },
            ]
          : []),
      ];
    });
  });
};

/** Everything that departs: parts of components from their manner, variants of one’s own from what they follow. */
export const departuresOf = (
  components: Pick<StyleDocument['components'], 'departures' | 'variants'>,
): readonly Departure[] => [
  ...Object.entries(components.departures).map(([part, to]) => ({
    part,
    name: part,
    to,
    path: `/components/departures/${part}`,
  })),
  ...ownVariantsOf(components).flatMap(({ id, of, slug, takes }) =>
    Object.entries(takes).map(([part, to]) => ({
      part: `${of}.${part}`,
      name: `${slug}.${part}`,
      to,
      path: `/components/variants/items/${id}/takes/${part}`,
      variant: id,
    })),
  ),
];
