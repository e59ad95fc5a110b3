import { isOfSame, keptList, keptMap } from '../../same.ts';
import { modesOf, themesOf } from '../../system/themes.ts';
import { inOrder, type StyleDocument } from '../../system/document.ts';
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
  type NamedPair,
  type NamedRole,
} from './color.ts';
import { needingTexts, needsOf } from './needs.ts';
import { slugsOf } from '../../tokens/slugs-of.ts';
import { deriveGroundlessRules, deriveVividTexts } from './groundless.ts';
import { deriveTreatmentRules, deriveTreatmentTokens } from './treatments.ts';
import { deriveVeilRules } from './veil.ts';

const roles = ({ color: decided }: StyleDocument) => decided.roles;
const texts = ({ color: decided }: StyleDocument) => decided.texts;
const veils = ({ color: decided }: StyleDocument) => decided.veils;
const pictureRoles = ({ layout }: StyleDocument) => layout.pictureRoles;
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

const needing = node(
  'color: what texts need',
  [styles, ({ brief }: StyleDocument) => brief.conformance],
  needingTexts,
  (before, now) => keptMap(before, now, isOfSame),
);

const plans = node(
  'color: what is needed',
  [texts, roles, needing, plainLinks, ({ components }: StyleDocument) => components],
  (allTexts, allRoles, all, plain, components) =>
    needsOf({ texts: allTexts, roles: allRoles, needing: all, plainLinks: plain, components }),
);

export const assignment = node(
  'color: assignment',
  [roles, ramps, plans, ({ color }: StyleDocument) => themesOf({ color })],
  (all, allRamps, needed, themes) => assignRungs(all, allRamps, needed, 'wishes', modesOf(themes)),
);

export const colors = node(
  'color: roles',
  [roles, ramps, assignment],
  deriveColorRoles,
  (before, now) => keptMap(before, now, isSameRole),
);

export const needs = node('color: needs', [plans, colors, styles], deriveNeeds, (before, now) =>
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
  tokenNode('color: tokens of treatments', [pictureRoles, colors], deriveTreatmentTokens),
] as const;

/** The roles by their names alone: what colors they are is no rule's matter. */
export const roleNames = node(
  'color: names of the roles',
  [roles],
  (all): ReadonlyMap<string, NamedRole> =>
    new Map([...slugsOf(all)].map(([id, slug]) => [id, { id, slug }])),
  keptMap,
);

const namedPairs = node(
  'color: names of the pairs',
  [texts, settings, roleNames],
  (all, styled, named): readonly NamedPair[] =>
    inOrder(all).flatMap(([, use]) => {
      const style = styled.get(use.text);
      const color = named.get(use.color);
      const on = named.get(use.on);
      return style && color && on
        ? [{ style: { id: style.id, slug: style.slug }, part: use.part, color, on }]
        : [];
    }),
);

export const colorRules = ruleNode('color: rules', [roleNames, namedPairs], deriveColorRules);

export const familyRules = ruleNode(
  'color: rules of families',
  [roleNames, settings],
  (all, allStyles) =>
    deriveFamilyRules(all, (allStyles.get('label') ?? allStyles.get('body'))?.slug),
);

const namedGradients = node(
  'color: names of the gradients',
  [({ color: decided }: StyleDocument) => decided.gradients],
  (all) => {
    const slugOf = slugsOf(all);
    return inOrder(all).map(([id, { ink }]) => ({
      slug: slugOf.get(id) ?? id,
      ink: ink ?? 'text',
    }));
  },
);

export const colorClasses = ruleNode(
  'color: classes',
  [roleNames, namedGradients, plainLinks],
  deriveColorClasses,
);

export const veilRules = ruleNode(
  'color: rules of veils',
  [veils, roleNames, settings],
  deriveVeilRules,
);

/** After the structure of components and the shapes of pictures. */
export const treatmentRules = ruleNode(
  'color: rules of treatments',
  [pictureRoles, ({ layout }: StyleDocument) => layout.pictures, roleNames],
  deriveTreatmentRules,
);

/** Before the rules of surfaces. */
export const vividTexts = ruleNode(
  'color: texts on vivid colors',
  [roleNames, namedGradients],
  deriveVividTexts,
);

/** After the rules of texts, before those of the states of controls. */
export const groundlessRules = ruleNode(
  'components: on other grounds',
  [
    roleNames,
    veils,
    namedGradients,
    node(
      'components: text of controls',
      [settings],
      (all) => (all.get('label') ?? all.get('body'))?.slug,
    ),
    ({ components }: StyleDocument) => components.manner,
  ],
  deriveGroundlessRules,
);
