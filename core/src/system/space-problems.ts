import { solveGrid } from '../space/grid.ts';
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

function* layoutProblems({ color, layout, space }: StyleDocument): Generator<Problem> {
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
  for (const [id, { ink, on, cell }] of inOrder(layout.patterns)) {
    const path = `/layout/patterns/items/${id}`;
    yield* reference(`${path}/ink`, 'color role', ink, color.roles);
    yield* reference(`${path}/on`, 'color role', on, color.roles);
    yield* reference(`${path}/cell`, 'step', cell, space.steps);
  }
}

/** What a schema cannot say of space, layout and shape. */
export function* spaceProblems(document: StyleDocument): Generator<Problem> {
  const { content, layout, shape, space } = document;
  if (space.steps.order.length === 0)
    yield { path: '/space/steps', message: 'a scale keeps one step at least' };
  for (const [id, { use, value, block }] of inOrder(space.roles)) {
    const path = `/space/roles/items/${id}`;
    yield* lengthProblems(document, `${path}/value`, value, use);
    if (block) yield* lengthProblems(document, `${path}/block`, block, use);
  }
  for (const [key, part] of Object.entries(space.parts))
    if ('role' in part)
      yield* reference(`/space/parts/${key}/role`, 'space role', part.role, space.roles);
    else if ('step' in part)
      yield* reference(`/space/parts/${key}/step`, 'step', part.step, space.steps);
  yield* layoutProblems(document);
  for (const [what, id] of Object.entries(shape.corners))
    yield* reference(`/shape/corners/${what}`, 'radius', id, shape.radii);
  for (const [what, id] of Object.entries(shape.edges))
    yield* reference(`/shape/edges/${what}`, 'border', id, shape.borders);
  yield* reference('/shape/cards', 'level', shape.cards, shape.shadows);
  yield* reference('/content/pattern', 'pattern', content.pattern, layout.patterns);
}
