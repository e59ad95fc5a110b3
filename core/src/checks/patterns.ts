import { contrastRatio } from '../color/contrast.ts';
import { flattened } from '../color/transparent.ts';
import type { DerivedPattern, Need } from '../derive/derived.ts';
import { patternModes } from '../derive/shape/patterns.ts';
import { type Mode, type StyleDocument } from '../system/document.ts';
import { checkOf, type Finding, type Repair } from './finding.ts';

/** Strengths are offered in whole per cent. */
const STEP = 0.01;

/** The text that reads worst on the ink of a pattern, in a theme. */
function worst(
  pattern: DerivedPattern,
  needs: readonly Need[],
  mode: Mode,
  ink = pattern.inks[mode],
) {
  let found: { need: Need; ratio: number } | undefined;
  for (const need of needs) {
    if (need.on.id !== pattern.on.id || need.kind !== 'text') continue;
    const ratio = contrastRatio(need.color.colors[mode], ink);
    if (ratio < need.needed && (!found || ratio / need.needed < found.ratio / found.need.needed))
      found = { need, ratio };
  }
  return found;
}

/** The strongest ink at which everything that stands on the pattern reads, in both themes. */
function fainter(
  { color, layout }: Pick<StyleDocument, 'color' | 'layout'>,
  pattern: DerivedPattern,
  needs: readonly Need[],
  inkOf: (mode: Mode) => `#${string}`,
): Repair | undefined {
  const decided = layout.patterns.items[pattern.id];
  if (!decided || !Object.hasOwn(color.roles.items, decided.ink)) return undefined;
  const passes = (strength: number): boolean =>
    patternModes(pattern).every(
      (mode) =>
        !worst(pattern, needs, mode, flattened(inkOf(mode), strength, pattern.on.colors[mode])),
    );
  for (let step = Math.ceil(decided.strength / STEP) - 1; step >= 1; step -= 1) {
    const strength = Number((step * STEP).toFixed(2));
    if (passes(strength))
      return {
        label: `Lay ${step} % over`,
        patch: [
          { op: 'replace', path: `/layout/patterns/items/${pattern.id}/strength`, value: strength },
        ],
        before: `${Math.round(decided.strength * 100)} %`,
        after: `${step} %`,
      };
  }
  return undefined;
}

/** What stands on a patterned ground reads on the ink of the pattern too. */
export const patternsCheck = checkOf(
  ['color', 'layout'],
  ['colors', 'needs', 'patterns'],
  (document, { patterns, needs, colors }) =>
    patterns.flatMap((pattern) =>
      patternModes(pattern).flatMap((mode): Finding[] => {
        const found = worst(pattern, needs, mode);
        if (!found) return [];
        const ink = document.layout.patterns.items[pattern.id]?.ink ?? '';
        const repair = fainter(
          document,
          pattern,
          needs,
          (theme) => colors.get(ink)?.colors[theme] ?? pattern.inks[theme],
        );
        return [
          {
            id: `pattern:${pattern.id}:${mode}`,
            severity: 'repair',
            area: 'space',
            decision: `/layout/patterns/items/${pattern.id}`,
            title: `${found.need.what} is lost on pattern ${pattern.name} in ${mode}`,
            figures: `${found.ratio.toFixed(2)} on its ink ${pattern.inks[mode]}; ${found.need.needed} is needed`,
            reason: 'Where a letter crosses the pattern its ground is the ink, not the surface.',
            source: 'WCAG 2.2, 1.4.3',
            where: { selector: `.pattern-${pattern.slug}`, mode },
            ...(repair && { repair }),
          },
        ];
      }),
    ),
);
