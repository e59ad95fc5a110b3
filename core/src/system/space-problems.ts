import { MOST_COLUMNS, solveGrid } from '../space/grid.ts';
import {
  inOrder,
  NARROW_SCREEN_PX,
  type Collection,
  type SpaceLength,
  type StyleDocument,
} from './document.ts';
import { gridKnowns } from './grid-knowns.ts';
import type { Problem } from './problem.ts';

const missing = (path: string, what: string, id: string): Problem => ({
  path,
  message: `there is no ${what} “${id}”`,
});

/** A reference from a place to a thing of a collection. */
function* reference(
  path: string,
  what: string,
  id: string | undefined,
  { items }: Collection<unknown>,
): Generator<Problem> {
  if (id !== undefined && !Object.hasOwn(items, id)) yield missing(path, what, id);
}

/** A length that names steps, anchors, breakpoints and roles that are there. */
function* lengthProblems(
  { layout, space, type }: StyleDocument,
  path: string,
  length: SpaceLength,
  use: string,
): Generator<Problem> {
  if (length.kind === 'step' || length.kind === 'stepped') {
    yield* reference(`${path}/step`, 'step', length.step, space.steps);
    const [what, stops] =
      length.kind === 'step'
        ? (['anchor', type.anchors] as const)
        : (['breakpoint', layout.breakpoints] as const);
    for (const [key, step] of Object.entries(length.at ?? {})) {
      yield* reference(`${path}/at/${key}`, what, key, stops);
      yield* reference(`${path}/at/${key}`, 'step', step, space.steps);
    }
  }
  if (length.kind === 'minus') {
    const other = space.roles.items[length.of];
    if (!other) yield missing(`${path}/of`, 'space role', length.of);
    else if (other.value.kind === 'minus' || other.block?.kind === 'minus')
      yield { path: `${path}/of`, message: `“${other.name}” is taken from another role itself` };
  }
  if (length.kind === 'shrinking' && use === 'gap')
    yield {
      path,
      message: 'a gap cannot shrink: the height that it would be a share of is not known',
    };
  const negative =
    (length.kind === 'own' && length.value < 0) ||
    (length.kind === 'shrinking' && (length.fixed.value < 0 || (length.least?.value ?? 0) < 0));
  if ((negative || length.kind === 'minus') && use !== 'pull')
    yield { path, message: 'only what is pulled out may be below 0' };
}

/** Widths that count columns count whole ones, and each says what it is from breakpoints that are there. */
function* widthProblems({ layout }: StyleDocument): Generator<Problem> {
  for (const [id, { unit, value, at = {} }] of inOrder(layout.widths)) {
    const path = `/layout/widths/items/${id}`;
    const all = [
      [`${path}/value`, value] as const,
      ...Object.entries(at).map(([key, own]) => [`${path}/at/${key}`, own] as const),
    ];
    for (const key of Object.keys(at))
      yield* reference(`${path}/at/${key}`, 'breakpoint', key, layout.breakpoints);
    for (const [place, own] of all)
      if (unit === 'columns' && (!Number.isInteger(own) || own > MOST_COLUMNS))
        yield { path: place, message: `whole columns, ${MOST_COLUMNS} at most` };
  }
}

function* breakpointProblems({ layout }: StyleDocument): Generator<Problem> {
  let before = 0;
  for (const [id, { name, width }] of inOrder(layout.breakpoints)) {
    if (width <= before)
      yield {
        path: `/layout/breakpoints/items/${id}/width`,
        message: `breakpoints stand from the narrowest up: “${name}” at ${width} px is to be above ${before} px`,
      };
    before = width;
  }
  for (const id of Object.keys(layout.grid.at))
    yield* reference(`/layout/grid/at/${id}`, 'breakpoint', id, layout.breakpoints);
  for (const { id, name, fromPx, known } of gridKnowns(layout)) {
    const answer = solveGrid(known, Math.max(NARROW_SCREEN_PX, fromPx), layout.grid.whole);
    if (answer.ok) continue;
    const path = id === undefined ? '/layout/grid/base' : `/layout/grid/at/${id}`;
    yield { path: `${path}/${answer.field}`, message: `${name}: ${answer.message}` };
  }
}

function* patternProblems({ color, layout, space }: StyleDocument): Generator<Problem> {
  for (const [id, { ink, on, cell }] of inOrder(layout.patterns)) {
    const path = `/layout/patterns/items/${id}`;
    yield* reference(`${path}/ink`, 'color role', ink, color.roles);
    yield* reference(`${path}/on`, 'color role', on, color.roles);
    yield* reference(`${path}/cell`, 'step', cell, space.steps);
    if (space.steps.items[cell]?.multiple === 0)
      yield { path: `${path}/cell`, message: 'a pattern repeats after some space, not after none' };
  }
}

function* roleProblems(document: StyleDocument): Generator<Problem> {
  for (const [id, { use, value, block }] of inOrder(document.space.roles)) {
    const path = `/space/roles/items/${id}`;
    yield* lengthProblems(document, `${path}/value`, value, use);
    if (block) yield* lengthProblems(document, `${path}/block`, block, use);
  }
}

function* partProblems({ space }: StyleDocument): Generator<Problem> {
  for (const [key, part] of Object.entries(space.parts))
    if ('role' in part)
      yield* reference(`/space/parts/${key}/role`, 'space role', part.role, space.roles);
    else if ('step' in part)
      yield* reference(`/space/parts/${key}/step`, 'step', part.step, space.steps);
}

function* shapeProblems({ content, layout, shape }: StyleDocument): Generator<Problem> {
  for (const [what, id] of Object.entries(shape.corners))
    yield* reference(`/shape/corners/${what}`, 'radius', id, shape.radii);
  for (const [what, id] of Object.entries(shape.edges))
    yield* reference(`/shape/edges/${what}`, 'border', id, shape.borders);
  yield* reference('/shape/cards', 'level', shape.cards, shape.shadows);
  yield* reference('/content/pattern', 'pattern', content.pattern, layout.patterns);
}

/** What a schema cannot say of space, layout and shape, with the parts that each rule is about. */
export const SPACE_RULES = [
  {
    reads: ({ space }: StyleDocument) => [space.steps],
    *find({ space }: StyleDocument): Generator<Problem> {
      if (space.steps.order.length === 0)
        yield { path: '/space/steps', message: 'a scale keeps one step at least' };
      for (const [index, [id, { name, multiple }]] of inOrder(space.steps).entries())
        if (index > 0 && multiple === 0)
          yield {
            path: `/space/steps/items/${id}/multiple`,
            message: `only the first step can be none: “${name}” is a multiple above 0`,
          };
    },
  },
  {
    reads: ({ layout, space, type }: StyleDocument) => [
      space.roles,
      space.steps.order,
      type.anchors.order,
      layout.breakpoints.order,
    ],
    find: roleProblems,
  },
  {
    reads: ({ space }: StyleDocument) => [space.parts, space.roles.order, space.steps.order],
    find: partProblems,
  },
  {
    reads: ({ layout }: StyleDocument) => [layout.breakpoints, layout.grid],
    find: breakpointProblems,
  },
  {
    reads: ({ layout }: StyleDocument) => [layout.breakpoints.order, layout.widths],
    find: widthProblems,
  },
  {
    reads: ({ color, layout, space }: StyleDocument) => [
      layout.patterns,
      color.roles.order,
      space.steps,
    ],
    find: patternProblems,
  },
  {
    reads: ({ content, layout, shape }: StyleDocument) => [
      shape,
      content.pattern,
      layout.patterns.order,
    ],
    find: shapeProblems,
  },
] as const;
