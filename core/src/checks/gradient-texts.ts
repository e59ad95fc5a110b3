import { lowestContrast } from '../color/gradient.ts';
import { neededContrast } from '../color/contrast.ts';
import type { Derived, DerivedGradient, TextStyle } from '../derive/derived.ts';
import { builder } from '../proof/build.ts';
import type { ProofNode } from '../proof/node.ts';
import { sectionNodes } from '../proof/section-nodes.ts';
import { allSections } from '../proof/texts.ts';
import { modesOf } from '../system/themes.ts';
import { inksOf } from '../system/veils.ts';
import type { Mode, StyleDocument } from '../system/document.ts';
import { ROOT_PX } from '../type/fluid.ts';
import type { Check, Finding, Repair } from './finding.ts';

/** What has a ground of its own: the words in it do not stand on the gradient. */
const isGround = (name: string): boolean =>
  name.startsWith('on-') || name === 'over-picture' || name === 'field';

/** The text roles of the words that stand on the ground around them themselves. */
function* rolesOn(node: ProofNode): Generator<string> {
  if (typeof node === 'string') return;
  if (node.attributes['class']?.split(' ').some(isGround)) return;
  if (node.role !== undefined) yield node.role;
  for (const child of node.children) yield* rolesOn(child);
}

interface Judged {
  readonly style: TextStyle;
  readonly needed: number;
  readonly ratio: number;
  readonly at: number;
}

/** The text that is worst off on a gradient in a theme: any of them may stand where the contrast is lowest. */
function worstOn(
  { stops, space }: DerivedGradient,
  texts: readonly { readonly style: TextStyle; readonly needed: number }[],
  ink: string,
  { colors }: Pick<Derived, 'colors'>,
  mode: Mode,
): Judged | undefined {
  const color = colors.get(ink)?.colors[mode];
  const [hardest] = texts.toSorted((one, other) => other.needed - one.needed);
  if (color === undefined || !hardest || stops.length < 2) return undefined;
  const shown = stops
    .map(({ at, role }) => ({ at, color: role.colors[mode] }))
    .sort((one, other) => one.at - other.at);
  const { ratio, at } = lowestContrast(shown, space, color);
  return { ...hardest, ratio, at };
}

/** Other roles in which every text reads on a gradient, in every theme. */
const inksThatRead = (
  document: StyleDocument,
  derived: Derived,
  gradient: DerivedGradient,
  texts: Parameters<typeof worstOn>[1],
): readonly string[] =>
  inksOf(document.color).filter((ink) =>
    modesOf(derived.themes).every((mode) => {
      const worst = worstOn(gradient, texts, ink, derived, mode);
      return worst !== undefined && worst.ratio >= worst.needed;
    }),
  );

/** Texts of sections that stand on a gradient, each judged where the gradient leaves it the least contrast. */
export const gradientTextsCheck: Check = {
  reads: ({ color, content, brief }, { gradients, colors, styles, themes }) => [
    color,
    content,
    brief.conformance,
    gradients,
    colors,
    styles,
    themes,
  ],
  find: (document, derived) => {
    const placed = allSections(document.content).filter(
      ({ own, page }) => own.gradient !== undefined && own.isOff !== true && page !== undefined,
    );
    if (placed.length === 0) return [];
    const build = builder(document, derived);
    return derived.gradients.flatMap((gradient): Finding[] => {
      const on = placed.filter(({ own }) => own.gradient === gradient.id);
      const roles = new Set(
        on.flatMap(({ own, path }) =>
          // The element around has the gradient; what stands in it is asked.
          sectionNodes(own, path, build).flatMap((node) => [...rolesOn(node)]),
        ),
      );
      const texts = [...roles].flatMap((role) => {
        const style = derived.styles.get(role);
        return style
          ? [
              {
                style,
                needed: neededContrast(
                  style.size.minRem * ROOT_PX,
                  style.weight,
                  document.brief.conformance,
                ),
              },
            ]
          : [];
      });
      const ink = document.color.gradients.items[gradient.id]?.ink ?? 'text';
      const path = `/color/gradients/items/${gradient.id}/ink`;
      const nameOf = (id: string): string => document.color.roles.items[id]?.name ?? id;
      return modesOf(derived.themes).flatMap((mode): Finding[] => {
        const worst = worstOn(gradient, texts, ink, derived, mode);
        if (!worst || worst.ratio >= worst.needed) return [];
        const [repair, ...ways] = inksThatRead(document, derived, gradient, texts).map(
          (other): Repair => ({
            label: `Text in ${nameOf(other)}`,
            patch: [{ op: 'add', path, value: other }],
            before: nameOf(ink),
            after: `${nameOf(other)}: reads on all of it, in every theme`,
          }),
        );
        return [
          {
            id: `on-gradient:${gradient.id}:${mode}`,
            severity: 'repair',
            area: 'color',
            decision: `/color/gradients/items/${gradient.id}`,
            title: `Text on ${gradient.name} falls short in ${mode}`,
            figures: `${worst.ratio.toFixed(2)} of ${worst.needed} for ${worst.style.name} in ${nameOf(ink)}, ${Math.round(worst.at * 100)} % of the way`,
            reason: 'A line of text may stand anywhere on a gradient, also where it reads worst.',
            source: 'judged at the lowest contrast along the gradient; WCAG 2.2, 1.4.3',
            where: {
              selector: `.ground.gradient-${gradient.slug}`,
              mode,
              ...(on[0]?.page !== undefined && { page: on[0].page }),
            },
            ...(repair && { repair }),
            ...(ways.length > 0 && { ways }),
          },
        ];
      });
    });
  },
};
