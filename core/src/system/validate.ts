import {
  documentSchema,
  inOrder,
  MODES,
  MOST_ANCHORS,
  type Collection,
  type Mode,
  type Paint,
  type StyleDocument,
} from './document.ts';
import { frozen } from './json.ts';
import type { Problem } from './problem.ts';
import { spaceProblems } from './space-problems.ts';

export type { Problem };

export type Validated =
  | { readonly ok: true; readonly document: StyleDocument }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** The neutrals' ramp is addressed by this id, beside the ids of the sources. */
export const NEUTRAL = 'neutral';

const pointer = (path: readonly PropertyKey[]): string =>
  path.map((part) => `/${String(part).replaceAll('~', '~0').replaceAll('/', '~1')}`).join('');

function* orderProblems(path: string, { order, items }: Collection<unknown>): Generator<Problem> {
  const seen = new Set(order);
  if (seen.size !== order.length) yield { path: `${path}/order`, message: 'names a thing twice' };
  for (const id of order)
    if (!Object.hasOwn(items, id))
      yield { path: `${path}/order`, message: `names “${id}”, which is not there` };
  for (const id of Object.keys(items))
    if (!seen.has(id)) yield { path: `${path}/items/${id}`, message: 'is missing from the order' };
}

function* paintProblems({ color }: StyleDocument): Generator<Problem> {
  for (const [id, role] of inOrder(color.roles))
    for (const mode of MODES) {
      const paint = role[mode];
      const path = `/color/roles/items/${id}/${mode}`;
      if (
        (paint.kind === 'rung' || paint.kind === 'near') &&
        paint.ramp !== NEUTRAL &&
        !Object.hasOwn(color.sources.items, paint.ramp)
      )
        yield { path: `${path}/ramp`, message: `there is no ramp “${paint.ramp}”` };
      if (paint.kind === 'source' && !Object.hasOwn(color.sources.items, paint.source))
        yield { path: `${path}/source`, message: `there is no color “${paint.source}”` };
    }
  for (const [id, role] of inOrder(color.roles))
    for (const mode of MODES) yield* shareProblems(color, id, role[mode], mode);
  if (!Object.hasOwn(color.sources.items, color.neutral.source))
    yield { path: '/color/neutral/source', message: 'names a color that is not there' };
}

/** A share is of one role over another, and neither of them is a share itself: no circle can form. */
function* shareProblems(
  { roles }: StyleDocument['color'],
  id: string,
  paint: Paint,
  mode: Mode,
): Generator<Problem> {
  if (paint.kind !== 'share') return;
  for (const end of ['of', 'over'] as const) {
    const path = `/color/roles/items/${id}/${mode}/${end}`;
    const role = roles.items[paint[end]];
    if (!role) yield { path, message: `there is no color role “${paint[end]}”` };
    else if (role[mode].kind === 'share')
      yield { path, message: `“${role.name}” is a share itself; take a whole color` };
  }
}

function* veilProblems({ color, content, type }: StyleDocument): Generator<Problem> {
  for (const [id, { stops }] of inOrder(color.gradients)) {
    const path = `/color/gradients/items/${id}/stops`;
    yield* orderProblems(path, stops);
    if (stops.order.length < 2) yield { path, message: 'a gradient has two colors at least' };
    for (const [stop, { color: role }] of inOrder(stops))
      if (!Object.hasOwn(color.roles.items, role))
        yield { path: `${path}/items/${stop}/color`, message: `there is no color role “${role}”` };
  }
  for (const [id, { boxes, color: tint, ink }] of inOrder(color.veils)) {
    const path = `/color/veils/items/${id}`;
    yield* orderProblems(`${path}/boxes`, boxes);
    if (!Object.hasOwn(color.roles.items, ink))
      yield { path: `${path}/ink`, message: `there is no color role “${ink}”` };
    if (!tint.startsWith('#') && !Object.hasOwn(color.roles.items, tint))
      yield { path: `${path}/color`, message: `there is no color role “${tint}”` };
    for (const [box, { text }] of inOrder(boxes))
      if (!Object.hasOwn(type.roles.items, text))
        yield {
          path: `${path}/boxes/items/${box}/text`,
          message: `there is no text role “${text}”`,
        };
  }
  if (content.heroVeil !== undefined && !Object.hasOwn(color.veils.items, content.heroVeil))
    yield { path: '/content/heroVeil', message: 'names a picture that is not there' };
  for (const role of Object.values(content.artwork?.fills ?? {}))
    if (!Object.hasOwn(color.roles.items, role))
      yield { path: '/content/artwork/fills', message: `there is no color role “${role}”` };
}

function* useProblems({ color, type }: StyleDocument): Generator<Problem> {
  for (const [id, use] of inOrder(color.texts)) {
    const path = `/color/texts/items/${id}`;
    if (!Object.hasOwn(type.roles.items, use.text))
      yield { path: `${path}/text`, message: `there is no text role “${use.text}”` };
    for (const end of ['color', 'on'] as const)
      if (!Object.hasOwn(color.roles.items, use[end]))
        yield { path: `${path}/${end}`, message: `there is no color role “${use[end]}”` };
  }
}

function* anchorProblems({ space, type }: StyleDocument): Generator<Problem> {
  const anchors = inOrder(type.anchors);
  if (anchors.length < 2 || anchors.length > MOST_ANCHORS)
    yield { path: '/type/anchors', message: `a scale has 2 to ${MOST_ANCHORS} anchors` };
  for (const [index, [id, { width }]] of anchors.entries()) {
    const before = anchors[index - 1]?.[1].width ?? 0;
    if (width <= before)
      yield {
        path: `/type/anchors/items/${id}/width`,
        message: `anchors stand from the narrowest up: ${width} px is to be above ${before} px`,
      };
  }
  for (const [id, { after, container, sizes = {} }] of inOrder(type.roles)) {
    const path = `/type/roles/items/${id}`;
    if (container && container.from >= container.to)
      yield { path: `${path}/container`, message: 'the narrower container comes first' };
    for (const key of Object.keys(sizes))
      if (!Object.hasOwn(type.anchors.items, key))
        yield { path: `${path}/sizes/${key}`, message: 'names an anchor that is not there' };
    if (after !== undefined && !Object.hasOwn(space.steps.items, after))
      yield { path: `${path}/after`, message: `there is no step “${after}”` };
  }
}

function* listProblems({ brief, fonts }: StyleDocument): Generator<Problem> {
  const lists: readonly (readonly [string, readonly string[]])[] = [
    ['/brief/mood', brief.mood],
    ['/brief/languages', brief.languages],
    ['/brief/needs', brief.needs],
    ['/fonts/reasons/because', fonts.reasons.because],
  ];
  for (const [path, list] of lists)
    if (new Set(list).size !== list.length) yield { path, message: 'names something twice' };
}

function* problemsOf(document: StyleDocument): Generator<Problem> {
  const { brief, color, content, layout, shape, space, tokens, type } = document;
  const collections: readonly (readonly [string, Collection<unknown>])[] = [
    ['/type/anchors', type.anchors],
    ['/type/roles', type.roles],
    ['/color/sources', color.sources],
    ['/color/roles', color.roles],
    ['/color/texts', color.texts],
    ['/color/gradients', color.gradients],
    ['/color/veils', color.veils],
    ['/space/steps', space.steps],
    ['/space/roles', space.roles],
    ['/layout/breakpoints', layout.breakpoints],
    ['/layout/widths', layout.widths],
    ['/layout/pictures', layout.pictures],
    ['/layout/patterns', layout.patterns],
    ['/shape/radii', shape.radii],
    ['/shape/borders', shape.borders],
    ['/shape/shadows', shape.shadows],
    ['/shape/opacities', shape.opacities],
    ['/shape/layers', shape.layers],
    ['/shape/durations', shape.durations],
    ['/shape/easings', shape.easings],
    ['/tokens/custom', tokens.custom],
    ['/content/nav', content.nav],
    ['/content/table/columns', content.table.columns],
    ['/content/table/rows', content.table.rows],
    ['/content/cards/cards', content.cards.cards],
    ...(content.alerts ? [['/content/alerts', content.alerts] as const] : []),
    ...(content.prices
      ? [
          ['/content/prices/columns', content.prices.columns] as const,
          ['/content/prices/rows', content.prices.rows] as const,
        ]
      : []),
    ...(content.questions ? [['/content/questions/items', content.questions.items] as const] : []),
    ...(content.footerGroups
      ? [
          ['/content/footerGroups', content.footerGroups] as const,
          ...inOrder(content.footerGroups).map(
            ([id, { links }]) => [`/content/footerGroups/items/${id}/links`, links] as const,
          ),
        ]
      : []),
    ...(content.form ? [['/content/form/fields', content.form.fields] as const] : []),
  ];
  for (const [path, collection] of collections) yield* orderProblems(path, collection);
  yield* listProblems(document);
  yield* anchorProblems(document);
  if (brief.line.from >= brief.line.to)
    yield { path: '/brief/line', message: 'the shortest line is to be shorter than the longest' };
  if (color.sources.order.length === 0)
    yield { path: '/color/sources', message: 'a system keeps one color at least' };
  yield* paintProblems(document);
  yield* useProblems(document);
  yield* veilProblems(document);
  yield* spaceProblems(document);
}

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Parts of documents that were found to be of their form, and can change no more. */
const sound = new WeakSet<object>();

/**
 * A document that was checked before it was stored: its parts need not be read again until they change.
 * What follows from its parts together is checked with every change all the same.
 */
export function trusted(document: StyleDocument): StyleDocument {
  for (const part of Object.values(frozen(document))) if (typeof part === 'object') sound.add(part);
  return document;
}

type PartKey = keyof typeof documentSchema.shape;
const PARTS = Object.keys(documentSchema.shape) as PartKey[];

/** Whether a part is of its form; a part that was looked at before, and is frozen, is not read again. */
function isSound(key: PartKey, part: unknown): boolean {
  if (typeof part === 'object' && part !== null && sound.has(part)) return true;
  if (!documentSchema.shape[key].safeParse(part).success) return false;
  if (typeof part === 'object' && part !== null && Object.isFrozen(part)) sound.add(part);
  return true;
}

/** Whether every part of a value is of its form, and there is no other. */
const isOfForm = (value: unknown): value is StyleDocument =>
  isRecord(value) &&
  Object.keys(value).length === PARTS.length &&
  PARTS.every((key) => Object.hasOwn(value, key) && isSound(key, value[key]));

/**
 * Checks a value against the schema and against what a schema cannot say: that every reference
 * leads somewhere, that orders name everything once, that the narrow width is the narrower one. Only
 * parts that have changed since they were last looked at are read again.
 */
export function validate(value: unknown): Validated {
  if (!isOfForm(value)) {
    const parsed = documentSchema.safeParse(value);
    const issues = parsed.success ? [] : parsed.error.issues;
    return {
      ok: false,
      problems: issues.map(({ path, message }) => ({ path: pointer(path), message })),
    };
  }
  const problems = [...problemsOf(value)];
  return problems.length > 0 ? { ok: false, problems } : { ok: true, document: value };
}
