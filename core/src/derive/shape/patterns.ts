import { flattened } from '../../color/transparent.ts';
import type { Hex } from '../../color/srgb.ts';
import { patternRepeats, patternSvg, svgAddress } from '../../space/pattern.ts';
import { inOrder, MODES, type Layout, type Mode } from '../../system/document.ts';

import { modesOf, type Themes } from '../../system/themes.ts';
import { byTheme } from '../dark.ts';
import type { DerivedColorRole, DerivedPattern, Rule, SpaceStep } from '../derived.ts';
import { slugsOf } from '../../tokens/slugs-of.ts';

export function derivePatterns(
  patterns: Layout['patterns'],
  colors: ReadonlyMap<string, DerivedColorRole>,
  steps: ReadonlyMap<string, SpaceStep>,
): readonly DerivedPattern[] {
  const slugOf = slugsOf(patterns);
  return inOrder(patterns).flatMap(([id, { name, kind, ink, on, cell, strength, turn }]) => {
    const over = colors.get(on);
    const of = colors.get(ink);
    const cellPx = steps.get(cell)?.px;
    if (!over || !of || cellPx === undefined) return [];
    const inkIn = (mode: Mode): Hex => flattened(of.colors[mode], strength, over.colors[mode]);
    const drawn = (mode: Mode): string => patternSvg({ kind, cellPx, ink: inkIn(mode), turn });
    return [
      {
        id,
        name,
        slug: slugOf.get(id) ?? id,
        on: over,
        inks: { light: inkIn('light'), dark: inkIn('dark') },
        svg: { light: drawn('light'), dark: drawn('dark') },
        repeats: patternRepeats(kind),
      },
    ];
  });
}

/** A class for each pattern, in the colors of both themes. */
export const patternRules = (patterns: readonly DerivedPattern[], themes: Themes): Rule[] =>
  patterns.flatMap(({ slug, svg, repeats }): Rule[] => {
    const image = (mode: Mode): Rule['declarations'][number] => [
      'background-image',
      svgAddress(svg[mode]),
    ];
    const [first] = modesOf(themes);
    return [
      ...byTheme(themes, `.pattern-${slug}`, (mode) =>
        mode === first || svg.light !== svg.dark ? [image(mode)] : [],
      ),
      ...(repeats
        ? []
        : [
            {
              selector: `.pattern-${slug}`,
              declarations: [
                ['background-repeat', 'no-repeat'],
                ['background-position', 'center'],
              ] as const,
            },
          ]),
    ];
  });

/** The modes in which a pattern looks different, for whoever tests both. */
export const patternModes = ({ inks, on }: DerivedPattern): readonly Mode[] =>
  inks.light === inks.dark && on.colors.light === on.colors.dark ? ['light'] : MODES;
