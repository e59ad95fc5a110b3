import { inOrder, type StyleDocument } from '../system/document.ts';
import { tokenNames } from '../tokens/token-names.ts';
import { everyMode, type Token } from '../tokens/token.ts';
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
import { deriveGrid, deriveGridRules, deriveGridTokens, gridFrom } from './grid.ts';
import { deriveLayoutRules, deriveLayoutTokens, derivePatterns } from './layout.ts';
import type { LengthSources } from './lengths.ts';
import { deriveParts } from './parts.ts';
import { deriveShapeRules, deriveShapeTokens } from './shape.ts';
import {
  breakpointRules,
  breakpointSlugs,
  derivePullRules,
  deriveSpaces,
  deriveSpaceTokens,
  deriveSteps,
} from './space.ts';
import { deriveStyles, rootShare } from './styles.ts';
import { deriveTypeRules } from './type-rules.ts';
import { deriveTypeTokens } from './type-tokens.ts';
import { deriveVeilRules } from './veil.ts';

const byId = (tokens: readonly Token[]): ReadonlyMap<string, Token> =>
  new Map(tokens.map((token) => [token.id, token]));

/** A token that came from elsewhere gives way where one of the system's own has its property. */
/** A token from elsewhere never refers to one that is not there: it keeps the value it came with. */
function withoutLost(token: Token, kept: ReadonlySet<string>): Token {
  const { reference, ...value } = token.values.light;
  return reference === undefined || kept.has(reference)
    ? token
    : { ...token, values: everyMode(value) };
}

const join = (
  own: readonly Token[],
  components: readonly Token[],
  parts: readonly Token[],
  custom: readonly Token[],
) => {
  const ours = [...own, ...components, ...parts];
  if (custom.length === 0) return { tokens: ours, tokenById: byId(ours) };
  const names = tokenNames(ours.map(({ path }) => path));
  const beside = custom.filter(({ path }) => names.problemWith(path, '') === undefined);
  const kept = new Set(beside.map(({ id }) => id));
  const tokens = [...ours, ...beside.map((token) => withoutLost(token, kept))];
  return { tokens, tokenById: byId(tokens) };
};

/** What every system's sheet begins with: the page itself, and no faked bold or italic, ever. */
const groundRules = (page: string | undefined, root: number | undefined): Rule[] => [
  ...(root === undefined || root === 100
    ? []
    : [{ selector: 'html', declarations: [['font-size', `${root}%`]] } as const]),
  { selector: ':root', declarations: [['font-synthesis', 'none']] },
  ...(page !== undefined
    ? [{ selector: 'body', declarations: [['background-color', `var(--color-${page})`]] } as const]
    : []),
];

/** The widths of the anchors; the same list until a width changes, whatever else an anchor decides. */
function anchorWidths(): (anchors: StyleDocument['type']['anchors']) => LengthSources['anchors'] {
  let same: LengthSources['anchors'] = [];
  return (anchors) => {
    const now = inOrder(anchors).map(([id, { width }]) => [id, width] as const);
    const isSame =
      now.length === same.length &&
      now.every(([id, width], index) => same[index]?.[0] === id && same[index][1] === width);
    if (!isSame) same = now;
    return same;
  };
}

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
  const grid = memo(deriveGrid);
  const widths = memo(anchorWidths());
  const lengthSources = memo(
    (
      steps: LengthSources['steps'],
      anchors: LengthSources['anchors'],
      unit: LengthSources['unit'],
      breakpoints: LengthSources['breakpoints'],
      root: number,
    ): LengthSources => ({ steps, anchors, unit, breakpoints, root }),
  );
  const spaces = memo(deriveSpaces);
  const spaceTokens = memo(deriveSpaceTokens);
  const gridTokens = memo(deriveGridTokens);
  const parts = memo(deriveParts);
  const layoutTokens = memo(deriveLayoutTokens);
  const patterns = memo(derivePatterns);
  const shapeTokens = memo(deriveShapeTokens);
  const shapeRules = memo(deriveShapeRules);
  const layoutRules = memo(deriveLayoutRules);
  const gridRules = memo(
    (ranges: ReturnType<typeof deriveGrid>, layout: StyleDocument['layout'], root: number) => ({
      classes: deriveGridRules(ranges, breakpointSlugs(layout)),
      from: gridFrom(ranges, root),
    }),
  );
  const spaceRules = memo(breakpointRules);
  const pullRules = memo(derivePullRules);
  const semantic = memo((...parts: readonly Token[][]) => {
    const own = parts.flat();
    return { own, byId: byId(own) };
  });
  const componentTokens = memo(deriveComponentTokens);
  const componentRules = memo(deriveComponentRules);
  const customTokens = memo(deriveCustomTokens);
  const joined = memo(join);
  const whole = memo((document: StyleDocument): Derived => {
    const { brief, color, content, fonts, layout, shape, space, tokens, type } = document;
    const root = rootShare(type);
    const spaceSteps = steps(space);
    const ranges = grid(layout);
    const allSpaces = spaces(
      space.roles,
      lengthSources(spaceSteps, widths(type.anchors), type.unit, layout.breakpoints, root),
      ranges,
    );
    const textFittings = fittings(type, content, layout, allSpaces, ranges);
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
      gridTokens(ranges, root),
      spaceTokens(space, spaceSteps, allSpaces, root),
      layoutTokens(layout, root),
      shapeTokens(shape, colors, allSpaces, root),
    );
    const spaceParts = parts(space.parts, allSpaces, spaceSteps, root);
    const allPatterns = patterns(layout.patterns, colors, spaceSteps);
    const gridClasses = gridRules(ranges, layout, root);
    return {
      ...joined(
        base.own,
        componentTokens(base.byId, colors),
        spaceParts.tokens,
        customTokens(tokens),
      ),
      styles: textStyles,
      ramps: allRamps,
      colors,
      pairs: textPairs,
      needs: needs(plans, colors),
      assignment: assigned,
      gradients: allGradients,
      steps: spaceSteps,
      spaces: allSpaces,
      grid: ranges,
      patterns: allPatterns,
      faces: faces(textStyles, brief.languages, content.story.aside !== ''),
      rules: [
        ...groundRules(colors.get('page')?.slug, type.root),
        ...typeRules(fonts, type, textStyles),
        ...colorRules(colors, textPairs),
        ...familyRules(colors, (textStyles.get('label') ?? textStyles.get('body'))?.slug),
        ...colorClasses(colors, allGradients, color.plainLinks ?? false),
        ...veilRules(color.veils, colors, textStyles),
        ...componentRules(base.byId, colors),
        ...spaceParts.rules,
        ...pullRules(space.roles, allSpaces),
        ...gridClasses.classes,
        ...layoutRules(layout, allPatterns),
        ...shapeRules(shape, colors),
        ...spaceRules(allSpaces, gridClasses.from),
      ],
    };
  });
  return whole;
}

/** Derives once, remembering nothing. */
export const derive = (document: StyleDocument): Derived => createDeriver()(document);
