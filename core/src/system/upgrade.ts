import { nearestStep } from '../space/scale.ts';
import { SCHEMA } from './document.ts';
import { LINE } from './new-document.ts';
import { jsonProblem } from './json.ts';
import type { Patch } from './patch.ts';
import { usualLayout, usualShape, usualSpace, usualSpaceRoles } from './usual-space.ts';
import { validate, type Validated } from './validate.ts';

type Upgrade = (document: Record<string, unknown>) => Record<string, unknown>;

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Changes what stands at a path of a plain record; what is not there stays away. */
function changed(
  value: unknown,
  path: readonly string[],
  change: (there: unknown) => unknown,
): unknown {
  const [head, ...rest] = path;
  if (head === undefined) return change(value);
  if (!isRecord(value) || !Object.hasOwn(value, head)) return value;
  return { ...value, [head]: changed(value[head], rest, change) };
}

/** Labels may have a face of their own; until they do they are set in that of the headings. */
const labelsOfTheirOwn: Upgrade = (document) =>
  changed(document, ['type', 'roles', 'items', 'label', 'face'], (face) =>
    face === 'heading' ? 'label' : face,
  ) as Record<string, unknown>;

/** Anchors may be more than two, and so stand by their id in an order. */
const anchorsInOrder: Upgrade = (document) =>
  changed(document, ['type'], (type) => {
    if (!isRecord(type) || !isRecord(type['anchors'])) return type;
    return {
      ...type,
      anchors: { order: Object.keys(type['anchors']), items: type['anchors'] },
      scale: 'one ratio',
      rounding: 'none',
    };
  }) as Record<string, unknown>;

const lineOfTheBrief: Upgrade = (document) =>
  changed(document, ['brief'], (brief) =>
    isRecord(brief) ? { ...brief, line: LINE } : brief,
  ) as Record<string, unknown>;

/** Zooms up to 500 % were assumed before they were decided. */
const zoomOfTheBrief: Upgrade = (document) =>
  changed(document, ['brief'], (brief) =>
    isRecord(brief) ? { ...brief, zoom: 500 } : brief,
  ) as Record<string, unknown>;

/** Gradients and veils came later: an older system has none. */
const emptyCollections: Upgrade = (document) =>
  changed(document, ['color'], (color) =>
    isRecord(color)
      ? { ...color, gradients: { order: [], items: {} }, veils: { order: [], items: {} } }
      : color,
  ) as Record<string, unknown>;

const asNumber = (value: unknown, otherwise: number): number =>
  typeof value === 'number' ? value : otherwise;

/**
 * Space had three roles that took steps; now it has as many as a page needs. The three keep their
 * steps, the others take those that are nearest to what is usual.
 */
const spaceThatIsKept: Upgrade = (document) => {
  const { space } = document;
  if (!isRecord(space) || !isRecord(space['steps']) || !isRecord(space['steps']['items']))
    return document;
  const unit = asNumber(space['unit'], 8);
  const steps = Object.entries(space['steps']['items']).map(
    ([id, step]) => [id, unit * (isRecord(step) ? asNumber(step['multiple'], 1) : 1)] as const,
  );
  const nearest = (px: number): string =>
    steps[
      nearestStep(
        steps.map(([, size]) => size),
        px,
      ) ?? 0
    ]?.[0] ?? '';
  const decided = isRecord(space['roles']) ? space['roles'] : {};
  const step = (role: string, px: number): string => {
    const own = decided[role];
    return typeof own === 'string' ? own : nearest(px);
  };
  const inset = step('inset', 24);
  const insetPx = steps.find(([id]) => id === inset)?.[1] ?? 24;
  return {
    ...document,
    space: {
      unit,
      scale: 'multiples',
      names: 'own',
      steps: space['steps'],
      roles: usualSpaceRoles({
        closest: nearest(4),
        tight: nearest(8),
        small: nearest(16),
        stack: step('stack', 16),
        inset,
        large: nearest(40),
        section: step('section', 64),
      }),
      parts: {},
      limits: usualSpace.limits,
    },
    layout: usualLayout(insetPx, insetPx),
    shape: usualShape,
  };
};

/** One upgrade for each older schema number, to the next one. Schema 1 is the first. */
const UPGRADES: ReadonlyMap<number, Upgrade> = new Map([
  [1, (document) => lineOfTheBrief(anchorsInOrder(labelsOfTheirOwn(document)))],
  [2, emptyCollections],
  [3, spaceThatIsKept],
  [4, zoomOfTheBrief],
]);

/** Reads a stored document of any schema number up to the newest; a newer one is a problem. */
export function readDocument(value: unknown): Validated {
  const problem = (message: string): Validated => ({
    ok: false,
    problems: [{ path: '/schema', message }],
  });
  if (!isRecord(value) || !Number.isInteger(value['schema']))
    return problem('this is not a system that Garnish wrote');
  const harm = jsonProblem(value);
  if (harm !== undefined) return { ok: false, problems: [{ path: '', message: harm }] };
  if (Number(value['schema']) > SCHEMA)
    return problem('a newer Garnish wrote this system; update this one');
  let here = value;
  for (let schema = Number(value['schema']); schema < SCHEMA; schema += 1) {
    const upgrade = UPGRADES.get(schema);
    if (!upgrade) return problem(`there is no way from schema ${schema} to ${SCHEMA}`);
    here = { ...upgrade(here), schema: schema + 1 };
  }
  return validate(here);
}

/** Where a place of an older schema is in the next one. */
const PLACES: Readonly<Record<number, (path: string) => string>> = {
  1: (path) => path.replace(/^\/type\/anchors\/(narrow|wide)(?=\/|$)/, '/type/anchors/items/$1'),
  3: (path) =>
    path.replace(/^\/space\/roles\/(inset|stack|section)$/, '/space/roles/items/$1/value/step'),
};

/** A change that was made under an older schema, as it is in the newest: it can still be undone. */
export const upgradePatch = (patch: Patch, schema: number): Patch => {
  const places = Object.entries(PLACES)
    .filter(([from]) => Number(from) >= schema)
    .map(([, place]) => place);
  return patch.map((operation) => ({
    ...operation,
    path: places.reduce((path, place) => place(path), operation.path),
  }));
};
