import { inOrder, type StyleDocument } from '../system/document.ts';
import { everyMode, slugs, type Token } from '../tokens/token.ts';
import { ROOT_PX } from '../type/fluid.ts';
import type { SpaceStep } from './derived.ts';

type Space = StyleDocument['space'];

export function deriveSteps({ unit, steps }: Space): ReadonlyMap<string, SpaceStep> {
  const slugOf = slugs(inOrder(steps).map(([id, { name }]) => [id, name]));
  return new Map(
    inOrder(steps).map(([id, { name, multiple }]) => [
      id,
      { id, name, slug: slugOf.get(id) ?? id, multiple, px: unit * multiple },
    ]),
  );
}

/** px as rem of a root that is such a share of the browser's font size. */
const remOf = (px: number, root: number): number => Number((px / ROOT_PX / root).toFixed(4));

/** A step as a value, in rem. */
export const stepValue = ({ px }: Pick<SpaceStep, 'px'>, root: number) => ({
  json: { value: remOf(px, root), unit: 'rem' } as const,
  css: `${remOf(px, root)}rem`,
});

export const deriveSpaceTokens = (
  space: Space,
  steps: ReadonlyMap<string, SpaceStep>,
  root: number,
): Token[] => [
  ...[...steps.values()].map(({ id, name, slug, multiple, px }): Token => ({
    id: `step.${slug}`,
    path: ['step', slug],
    tier: 'primitive',
    type: 'dimension',
    values: everyMode(stepValue({ px }, root)),
    trail: () => ({
      decisions: [
        { path: '/space/unit', label: 'base unit', value: `${space.unit} px` },
        {
          path: `/space/steps/items/${id}/multiple`,
          label: `multiple of ${name}`,
          value: String(multiple),
        },
      ],
      steps: [`${space.unit} px × ${multiple} = ${px} px = ${remOf(px, root)} rem`],
    }),
  })),
  ...Object.entries(space.roles).flatMap(([role, stepId]): Token[] => {
    const step = steps.get(stepId);
    if (!step) return [];
    return [
      {
        id: `space.${role}`,
        path: ['space', role],
        tier: 'semantic',
        type: 'dimension',
        values: everyMode({ reference: `step.${step.slug}`, ...stepValue(step, root) }),
        trail: () => ({
          decisions: [
            {
              path: `/space/roles/${role}`,
              label: role,
              value: step.name,
            },
          ],
          steps: [`step ${step.name} = ${step.px} px`],
        }),
      },
    ];
  }),
];
