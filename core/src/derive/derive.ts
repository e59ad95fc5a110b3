import type { StyleDocument } from '../system/document.ts';
import { propertyOf, type Token } from '../tokens/token.ts';
import {
  deriveColorRoles,
  deriveColorRules,
  deriveColorTokens,
  derivePairs,
  deriveRamps,
} from './color.ts';
import { deriveComponentRules, deriveComponentTokens } from './components.ts';
import { deriveCustomTokens } from './custom.ts';
import type { Derived, Rule } from './derived.ts';
import { deriveFaces } from './faces.ts';
import { deriveFittings } from './fittings.ts';
import { memo } from './memo.ts';
import { deriveSpaceTokens, deriveSteps } from './space.ts';
import { deriveStyles, rootShare } from './styles.ts';
import { deriveTypeRules } from './type-rules.ts';
import { deriveTypeTokens } from './type-tokens.ts';

const byId = (tokens: readonly Token[]): ReadonlyMap<string, Token> =>
  new Map(tokens.map((token) => [token.id, token]));

/** A token that came from elsewhere gives way where one of the system's own has its property. */
const join = (own: readonly Token[], components: readonly Token[], custom: readonly Token[]) => {
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
    const allRamps = ramps(color.sources, color.neutral);
    const colors = colorRoles(color.roles, allRamps);
    const textPairs = pairs(color.texts, textStyles, colors);
    const base = semantic(
      typeTokens(fonts, type, textStyles, spaceSteps),
      colorTokens(color, allRamps, colors),
      spaceTokens(space, spaceSteps, rootShare(type)),
    );
    return {
      ...joined(base.own, componentTokens(base.byId), customTokens(tokens)),
      styles: textStyles,
      ramps: allRamps,
      colors,
      pairs: textPairs,
      steps: spaceSteps,
      faces: faces(textStyles, brief.languages, content.story.aside !== ''),
      rules: [
        ...groundRules(base.byId.has('color.page'), type.root),
        ...typeRules(fonts, type, textStyles),
        ...colorRules(colors, textPairs),
        ...componentRules(base.byId),
      ],
    };
  });
  return whole;
}

/** Derives once, remembering nothing. */
export const derive = (document: StyleDocument): Derived => createDeriver()(document);
