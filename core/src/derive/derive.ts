import type { StyleDocument } from '../system/document.ts';
import { propertyOf, type Token } from '../tokens/token.ts';
import { assignRungs } from './assign.ts';
import {
  deriveColorClasses,
  deriveColorRoles,
  deriveColorRules,
  deriveColorTokens,
  deriveFamilyRules,
  deriveGradients,
  deriveNeeds,
  derivePairs,
  deriveRamps,
} from './color.ts';
import { deriveComponentRules, deriveComponentTokens } from './components.ts';
import { deriveCustomTokens } from './custom.ts';
import type { Derived, NeedPlan, Rule } from './derived.ts';
import { deriveFaces } from './faces.ts';
import { deriveFittings } from './fittings.ts';
import { memo } from './memo.ts';
import { needsOf } from './needs.ts';
import { deriveSpaceTokens, deriveSteps } from './space.ts';
import { deriveStyles, rootShare } from './styles.ts';
import { deriveTypeRules } from './type-rules.ts';
import { deriveTypeTokens } from './type-tokens.ts';
import { deriveVeilRules } from './veil.ts';

const byId = (tokens: readonly Token[]): ReadonlyMap<string, Token> =>
  new Map(tokens.map((token) => [token.id, token]));

/** A token that came from elsewhere gives way where one of the system's own has its property. */
const join = (own: readonly Token[], components: readonly Token[], custom: readonly Token[]) => {
  if (custom.length === 0) {
    const all = [...own, ...components];
    return { tokens: all, tokenById: byId(all) };
  }
  const taken = new Set([...own, ...components].map(propertyOf));
  const tokens = [
    ...own,
    ...components,
    ...custom.filter((token) => !taken.has(propertyOf(token))),
  ];
  return { tokens, tokenById: byId(tokens) };
};

/** What every system's sheet begins with: the page itself, and no faked bold or italic, ever. */
const groundRules = (page: boolean, root: number | undefined): Rule[] => [
  ...(root === undefined || root === 100
    ? []
    : [{ selector: 'html', declarations: [['font-size', `${root}%`]] } as const]),
  { selector: ':root', declarations: [['font-synthesis', 'none']] },
  ...(page
    ? [{ selector: 'body', declarations: [['background-color', 'var(--color-page)']] } as const]
    : []),
];

/**
 * The assignment, found anew only when something has changed that it depends on: what is needed of
 * every pair, not the sizes that it follows from.
 */
function assigner(): (
  roles: StyleDocument['color']['roles'],
  ramps: ReturnType<typeof deriveRamps>,
  plans: readonly NeedPlan[],
) => ReturnType<typeof assignRungs> {
  let asked = '';
  let same: readonly NeedPlan[] = [];
  const found = memo(assignRungs);
  return (roles, ramps, plans) => {
    const now = plans.map(({ id, needed, color, on }) => `${id} ${needed} ${color} ${on}`).join();
    if (now !== asked) {
      asked = now;
      same = plans;
    }
    return found(roles, ramps, same);
  };
}

/**
 * A function from documents to all that follows from them. It remembers each part of the last
 * result and computes only what a change has touched, so that a slider can ask for it at every
 * movement. The same document always gives the same result.
 */
export function createDeriver(): (document: StyleDocument) => Derived {
  const fittings = memo(deriveFittings);
  const styles = memo(deriveStyles);
  const faces = memo(deriveFaces);
  const typeTokens = memo(deriveTypeTokens);
  const typeRules = memo(deriveTypeRules);
  const ramps = memo(deriveRamps);
  const needPlans = memo(
    (
      color: StyleDocument['color'],
      textStyles: ReturnType<typeof deriveStyles>,
      level: StyleDocument['brief']['conformance'],
    ) =>
      needsOf({
        texts: color.texts,
        roles: color.roles,
        styles: textStyles,
        level,
        plainLinks: color.plainLinks ?? false,
      }),
  );
  const assignment = assigner();
  const needs = memo(deriveNeeds);
  const gradients = memo(deriveGradients);
  const familyRules = memo(deriveFamilyRules);
  const colorClasses = memo(deriveColorClasses);
  const veilRules = memo(deriveVeilRules);
  const colorRoles = memo(deriveColorRoles);
  const colorTokens = memo(deriveColorTokens);
  const pairs = memo(derivePairs);
  const colorRules = memo(deriveColorRules);
  const steps = memo(deriveSteps);
  const spaceTokens = memo(deriveSpaceTokens);
  const semantic = memo((...parts: readonly Token[][]) => {
    const own = parts.flat();
    return { own, byId: byId(own) };
  });
  const componentTokens = memo(deriveComponentTokens);
  const componentRules = memo(deriveComponentRules);
  const customTokens = memo(deriveCustomTokens);
  const joined = memo(join);
  const whole = memo((document: StyleDocument): Derived => {
    const { brief, color, content, fonts, space, tokens, type } = document;
    const spaceSteps = steps(space);
    const textFittings = fittings(type, content, spaceSteps.get(space.roles.inset)?.px ?? 0);
    const textStyles = styles(fonts, type, brief.languages, textFittings);
    const allRamps = ramps(color.sources, color.neutral, color.rungNames, color.darkChroma);
    const plans = needPlans(color, textStyles, brief.conformance);
    const assigned = assignment(color.roles, allRamps, plans);
    const colors = colorRoles(color.roles, allRamps, assigned);
    const allGradients = gradients(color.gradients, colors);
    const textPairs = pairs(color.texts, textStyles, colors);
    const base = semantic(
      typeTokens(fonts, type, textStyles, spaceSteps),
      colorTokens(color, allRamps, colors, allGradients),
      spaceTokens(space, spaceSteps, rootShare(type)),
    );
    return {
      ...joined(base.own, componentTokens(base.byId), customTokens(tokens)),
      styles: textStyles,
      ramps: allRamps,
      colors,
      pairs: textPairs,
      needs: needs(plans, colors),
      assignment: assigned,
      gradients: allGradients,
      steps: spaceSteps,
      faces: faces(textStyles, brief.languages, content.story.aside !== ''),
      rules: [
        ...groundRules(base.byId.has('color.page'), type.root),
        ...typeRules(fonts, type, textStyles),
        ...colorRules(colors, textPairs),
        ...familyRules(colors, (textStyles.get('label') ?? textStyles.get('body'))?.slug),
        ...colorClasses(colors, allGradients, color.plainLinks ?? false),
        ...veilRules(color.veils, colors, textStyles),
        ...componentRules(base.byId),
      ],
    };
  });
  return whole;
}

/** Derives once, remembering nothing. */
export const derive = (document: StyleDocument): Derived => createDeriver()(document);
