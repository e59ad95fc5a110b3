import { isOfSame, keptList, keptMap } from '../../same.ts';
import { modesOf, themesOf } from '../../system/themes.ts';
import type { Part, StyleDocument } from '../../system/document.ts';
import type { NeedPlan } from '../derived.ts';
import { node } from '../graph.ts';
import { ruleNode, tokenNode } from '../parts.ts';
import { settings, styles } from '../type/nodes.ts';
import { assignRungs } from './assign.ts';
import {
  deriveColorClasses,
  deriveColorRoles,
  deriveColorRules,
  deriveGradientTokens,
  deriveRampTokens,
  deriveRoleTokens,
  deriveVeilTokens,
  deriveFamilyRules,
  deriveGradients,
  deriveNeeds,
  derivePairs,
  deriveRamps,
  isSameRole,
  type NamedRole,
} from './color.ts';
import { needsOf } from './needs.ts';
import { deriveVeilRules } from './veil.ts';

const roles = ({ color: decided }: StyleDocument) => decided.roles;
const texts = ({ color: decided }: StyleDocument) => decided.texts;
const veils = ({ color: decided }: StyleDocument) => decided.veils;
const plainLinks = ({ color: decided }: StyleDocument) => decided.plainLinks ?? false;

export const ramps = node(
  'color: ramps',
  [
    ({ color: { sources } }: StyleDocument) => sources,
    ({ color: { neutral } }: StyleDocument) => neutral,
    ({ color: { rungNames } }: StyleDocument) => rungNames,
    ({ color: { darkChroma } }: StyleDocument) => darkChroma,
  ],
  deriveRamps,
  keptMap,
);

const plans = node(
  'color: what is needed',
  [texts, roles, styles, ({ brief }: StyleDocument) => brief.conformance, plainLinks],
  (allTexts, allRoles, allStyles, level, plain) =>
    needsOf({ texts: allTexts, roles: allRoles, styles: allStyles, level, plainLinks: plain }),
);

const isSameNeed = (one: NeedPlan, other: NeedPlan | undefined): boolean =>
  one.id === other?.id &&
  one.needed === other.needed &&
  one.color === other.color &&
  one.on === other.on;

/** What is needed of every pair; not the sizes that it follows from. */
const asked = node(
  'color: what is asked',
  [plans],
  (all) => all,
  (before, now) =>
    before?.length === now.length && before.every((one, index) => isSameNeed(one, now[index]))
      ? before
      : now,
);

export const assignment = node(
  'color: assignment',
  [roles, ramps, asked, ({ color }: StyleDocument) => themesOf({ color })],
  (all, allRamps, wanted, themes) => assignRungs(all, allRamps, wanted, 'wishes', modesOf(themes)),
);

export const colors = node(
  'color: roles',
  [roles, ramps, assignment],
  deriveColorRoles,
  (before, now) => keptMap(before, now, isSameRole),
);

export const needs = node('color: needs', [plans, colors], deriveNeeds, (before, now) =>
  keptList(before, now, ({ id }) => id, isOfSame),
);

export const gradients = node(
  'color: gradients',
  [({ color: decided }: StyleDocument) => decided.gradients, colors],
  deriveGradients,
);

export const pairs = node('color: pairs', [texts, styles, colors], derivePairs, (before, now) =>
  keptList(before, now, ({ id }) => id, isOfSame),
);

/** In the order in which they are handed over. */
export const colorTokens = [
  tokenNode('color: tokens of ramps', [ramps], deriveRampTokens),
  tokenNode('color: tokens of roles', [colors], deriveRoleTokens),
  tokenNode('color: tokens of gradients', [gradients], deriveGradientTokens),
  tokenNode('color: tokens of veils', [veils, colors], deriveVeilTokens),
] as const;

/** The roles by their names alone: what colors they are is no rule's matter. */
const named = node(
  'color: names of the roles',
  [colors],
  (all): ReadonlyMap<string, NamedRole> =>
    new Map([...all].map(([key, { id, slug }]) => [key, { id, slug }])),
  keptMap,
);

interface NamedPair {
  readonly style: NamedRole;
  readonly part: Part;
  readonly color: NamedRole;
  readonly on: NamedRole;
}

const isSameName = (one: NamedRole, other: NamedRole): boolean =>
  one.id === other.id && one.slug === other.slug;

const isSamePair = (one: NamedPair, other: NamedPair | undefined): boolean =>
  one.part === other?.part &&
  isSameName(one.style, other.style) &&
  isSameName(one.color, other.color) &&
  isSameName(one.on, other.on);

const namedPairs = node(
  'color: names of the pairs',
  [pairs],
  (all): readonly NamedPair[] =>
    all.map(({ style, part, color: own, on }) => ({
      style: { id: style.id, slug: style.slug },
      part,
      color: { id: own.id, slug: own.slug },
      on: { id: on.id, slug: on.slug },
    })),
  (before, now) =>
    before?.length === now.length && before.every((one, index) => isSamePair(one, now[index]))
      ? before
      : now,
);

export const colorRules = ruleNode('color: rules', [named, namedPairs], deriveColorRules);

export const familyRules = ruleNode(
  'color: rules of families',
  [named, settings],
  (all, allStyles) =>
    deriveFamilyRules(all, (allStyles.get('label') ?? allStyles.get('body'))?.slug),
);

const namedGradients = node('color: names of the gradients', [gradients], (all) =>
  all.map(({ slug }) => ({ slug })),
);

export const colorClasses = ruleNode(
  'color: classes',
  [named, namedGradients, plainLinks],
  deriveColorClasses,
);

export const veilRules = ruleNode(
  'color: rules of veils',
  [veils, named, settings],
  deriveVeilRules,
);
