import { geometricSteps, sizeWords } from '../../space/scale.ts';
import { inOrder, type Layout, type Space, type SpaceLength } from '../../system/document.ts';
import { everyMode, slugs, type MadeToken, type TrailDecision } from '../../tokens/token.ts';
import { ROOT_PX } from '../../type/fluid.ts';
import type {
  DerivedLength,
  DerivedSpace,
  GridRange,
  LengthFrom,
  Rule,
  SpaceStep,
} from '../derived.ts';
import { gridLength } from './grid.ts';
import { deriveLength, opposite, remOf, remValue, type LengthSources } from './lengths.ts';
import { slugsOf } from '../../tokens/slugs-of.ts';

export const USUAL_SERIES = { first: 0.5, ratio: 1.6 } as const;

type Step = Space['steps']['items'][string];

/** No space at all is a step too, where a system decides for it: the only one that is a multiple of nothing. */
export const isNone = ({ multiple }: Pick<Step, 'multiple'>): boolean => multiple === 0;

/** What is one for each step that is some space, with what stands for none among them. */
function withNone<Value>(
  all: readonly (readonly [string, Step])[],
  none: Value,
  some: (count: number) => readonly Value[],
): Value[] {
  const rest = some(all.filter(([, step]) => !isNone(step)).length).values();
  return all.map(([, step]) => (isNone(step) ? none : (rest.next().value ?? none)));
}

/** What the steps are in px, in order. */
export function stepSizes({ unit, scale, series = USUAL_SERIES, steps }: Space): readonly number[] {
  const all = inOrder(steps);
  if (scale === 'geometric')
    return withNone(all, 0, (count) => geometricSteps(unit, series, count));
  return all.map(([, { multiple, px }]) =>
    scale === 'by hand' && multiple > 0 ? (px ?? unit * multiple) : unit * multiple,
  );
}

/** What the step that is no space is called. */
export const NO_SPACE = 'none';

/** What the steps are called. */
export function stepNames(space: Space, sizes: readonly number[]): readonly string[] {
  const all = inOrder(space.steps);
  if (space.names === 'size words') return withNone(all, NO_SPACE, sizeWords);
  if (space.names === 'multiples')
    return sizes.map((px) => (px === 0 ? NO_SPACE : String(Number((px / space.unit).toFixed(3)))));
  return all.map(([, { name }]) => name);
}

export function deriveSteps(space: Space): ReadonlyMap<string, SpaceStep> {
  const sizes = stepSizes(space);
  const names = stepNames(space, sizes);
  const all = inOrder(space.steps);
  const slugOf = slugs(all.map(([id], index) => [id, names[index] ?? id]));
  return new Map(
    all.map(([id, { multiple }], index) => [
      id,
      {
        id,
        name: names[index] ?? id,
        slug: slugOf.get(id) ?? id,
        multiple,
        px: sizes[index] ?? space.unit * multiple,
      },
    ]),
  );
}

/** A step as a value, in rem. */
export const stepValue = ({ px }: Pick<SpaceStep, 'px'>, root: number) => remValue(px, root);

/** Never there but where a step was taken away under a role, which validation does not let through. */
const NOTHING: DerivedLength = {
  value: { json: { value: 0, unit: 'px' }, css: '0px' },
  from: [],
  px: () => 0,
  bends: [],
  follows: 'nothing',
};

/** The roles of space, each with the lengths that it has at the sides and above and below. */
export function deriveSpaces(
  roles: Space['roles'],
  sources: LengthSources,
  grid: readonly GridRange[],
): ReadonlyMap<string, DerivedSpace> {
  const slugOf = slugsOf(roles);
  const found = new Map<string, DerivedSpace>();
  const lengthOf = (length: SpaceLength, side: 'inline' | 'block'): DerivedLength => {
    if (length.kind === 'grid') {
      const part = gridLength(grid, length.part, sources.root);
      return { ...part, value: { reference: `grid.${length.part}`, ...part.value }, from: [] };
    }
    if (length.kind !== 'minus') return deriveLength(length, sources) ?? NOTHING;
    const other = found.get(length.of);
    return other ? opposite(other[side], tokenOf(other, side)) : NOTHING;
  };
  const add = ([id, { name, use, value, block }]: (typeof all)[number]): void => {
    const inline = lengthOf(value, 'inline');
    found.set(id, {
      id,
      name,
      slug: slugOf.get(id) ?? id,
      use,
      apart: block !== undefined,
      inline,
      block: block ? lengthOf(block, 'block') : inline,
    });
  };
  const all = inOrder(roles);
  const leans = ({ value, block }: (typeof all)[number][1]): boolean =>
    value.kind === 'minus' || block?.kind === 'minus';
  all.filter(([, role]) => !leans(role)).forEach(add);
  all.filter(([, role]) => leans(role)).forEach(add);
  return new Map(
    all.flatMap(([id]) => {
      const one = found.get(id);
      return one ? [[id, one] as const] : [];
    }),
  );
}

/** The token that holds a side of a role: both sides share one unless they are apart. */
export const tokenOf = (
  { slug, apart }: Pick<DerivedSpace, 'slug' | 'apart'>,
  side: 'inline' | 'block',
): string => (apart ? `space.${slug}-${side}` : `space.${slug}`);

const sidesOf = (space: DerivedSpace): readonly ('inline' | 'block')[] =>
  space.apart ? ['inline', 'block'] : ['inline'];

/** What a length rests on, in words. */
function decisionOf(
  path: string,
  name: string,
  length: SpaceLength,
  steps: ReadonlyMap<string, SpaceStep>,
): TrailDecision {
  const stepName = (id: string): string => steps.get(id)?.name ?? id;
  const said = {
    step: () =>
      length.kind === 'step'
        ? [length.step, ...Object.values(length.at ?? {})].map(stepName).join(', then ')
        : '',
    stepped: () =>
      length.kind === 'stepped'
        ? [length.step, ...Object.values(length.at)].map(stepName).join(', then ')
        : '',
    shrinking: () => 'a fixed length and a share of the container',
    own: () => (length.kind === 'own' ? `${length.value} ${length.unit}` : ''),
    minus: () => (length.kind === 'minus' ? `minus ${length.of}` : ''),
    grid: () => (length.kind === 'grid' ? `the ${length.part} of the grid` : ''),
  }[length.kind]();
  return { path, label: name, value: said };
}

const stepsOf = (length: DerivedLength): string[] => [
  length.value.css ?? '',
  ...length.from.map(({ fromPx, value }) => `from ${fromPx} px: ${value.css ?? ''}`),
  ...(length.follows === 'container'
    ? length.bends.map((width) => `they swap at a container of ${Number(width.toFixed(2))} px`)
    : []),
];

export function deriveSpaceTokens(
  space: Space,
  steps: ReadonlyMap<string, SpaceStep>,
  spaces: ReadonlyMap<string, DerivedSpace>,
  root: number,
): MadeToken[] {
  const { unit, scale, series = USUAL_SERIES } = space;
  const unitDecision: TrailDecision = {
    path: '/space/unit',
    label: 'base unit',
    value: `${unit} px`,
  };
  const stepDecision = ({ id, name, multiple }: SpaceStep): TrailDecision => ({
    path: `/space/steps/items/${id}`,
    label: `step ${name}`,
    value: scale === 'multiples' ? `${multiple} ×` : scale,
  });
  /** A length that refers to no single step rests on all of its steps itself. */
  const stepsBehind = (length: SpaceLength | undefined): readonly TrailDecision[] => {
    if (length?.kind !== 'step' && length?.kind !== 'stepped') return [];
    const own = new Set([length.step, ...Object.values(length.at ?? {})]);
    return [unitDecision, ...[...own].flatMap((id) => steps.get(id) ?? []).map(stepDecision)];
  };
  return [
    ...[...steps.values()].map((step): MadeToken => {
      const { slug, multiple, px } = step;
      return {
        id: `step.${slug}`,
        path: ['step', slug],
        tier: 'primitive',
        type: 'dimension',
        values: everyMode(remValue(px, root)),
        trail: () => ({
          decisions: [unitDecision, stepDecision(step)],
          steps: [
            scale === 'geometric'
              ? `${series.first} × ${series.ratio} to the power of its place, in whole units = ${px} px = ${remOf(px, root)} rem`
              : scale === 'multiples'
                ? `${unit} px × ${multiple} = ${px} px = ${remOf(px, root)} rem`
                : `${px} px = ${remOf(px, root)} rem`,
          ],
        }),
      };
    }),
    ...[...spaces.values()].flatMap((one) =>
      sidesOf(one).map((side): MadeToken => {
        const id = tokenOf(one, side);
        const length = one[side];
        const decided = space.roles.items[one.id];
        const path = `/space/roles/items/${one.id}/${side === 'block' ? 'block' : 'value'}`;
        const from = (side === 'block' ? decided?.block : decided?.value) ?? decided?.value;
        return {
          id,
          path: id.split('.'),
          tier: 'semantic',
          type: 'dimension',
          values: everyMode(length.value),
          trail: () => ({
            decisions: from
              ? [
                  decisionOf(path, one.name, from, steps),
                  ...(length.value.reference === undefined ? stepsBehind(from) : []),
                ]
              : [],
            steps: stepsOf(length),
          }),
        };
      }),
    ),
  ];
}

/** What changes at each breakpoint, smallest first: one rule a breakpoint. */
export function breakpointRules(
  spaces: ReadonlyMap<string, DerivedSpace>,
  others: readonly (readonly [property: string, from: LengthFrom])[],
): Rule[] {
  const all = [
    ...others,
    ...[...spaces.values()].flatMap((one) =>
      sidesOf(one).flatMap((side) =>
        one[side].from.map((from) => [`--${tokenOf(one, side).replace('.', '-')}`, from] as const),
      ),
    ),
  ];
  const widths = [...new Set(all.map(([, { fromPx }]) => fromPx))].sort((one, two) => one - two);
  return widths.map((width) => ({
    selector: ':root',
    within: `@media (width >= ${width}px)`,
    declarations: all
      .filter(([, { fromPx }]) => fromPx === width)
      .map(([property, { value }]) => [
        property,
        value.reference === undefined
          ? (value.css ?? '')
          : `var(--${value.reference.replaceAll('.', '-')})`,
      ]),
  }));
}

/** Names of breakpoints as classes carry them. */
export const breakpointSlugs = ({ breakpoints }: Pick<Layout, 'breakpoints'>) =>
  slugsOf(breakpoints);

/** px of a role on a screen, at the usual font size; 0 where there is no such role. */
export const spacePx = (
  spaces: ReadonlyMap<string, DerivedSpace>,
  role: string,
  widthPx: number,
): number => spaces.get(role)?.inline.px({ widthPx, rootPx: ROOT_PX }) ?? 0;

/**
 * Classes for what is pulled out: a sign as wide as it is pulled hangs beside the edge; what takes the
 * other side of a role grows over it on both sides.
 */
export const derivePullRules = (
  roles: Space['roles'],
  spaces: ReadonlyMap<string, DerivedSpace>,
): Rule[] =>
  [...spaces.values()]
    .filter(({ use }) => use === 'pull')
    .map((one): Rule => {
      const pulled = `var(--${tokenOf(one, 'inline').replace('.', '-')})`;
      return {
        selector: `.pull-${one.slug}`,
        declarations:
          roles.items[one.id]?.value.kind === 'minus'
            ? [['margin-inline', pulled]]
            : [
                ['display', 'inline-block'],
                ['inline-size', `calc(-1 * ${pulled})`],
                ['margin-inline-start', pulled],
              ],
      };
    });
