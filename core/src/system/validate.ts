import { treatmentColors } from './picture-roles.ts';
import { allSections, sectionsOf, sectionsOverPictures } from '../proof/texts.ts';
import {
  documentSchema,
  inOrder,
  MODES,
  MOST_ANCHORS,
  type Mode,
  type Paint,
  type StyleDocument,
} from './document.ts';
import { frozen } from './json.ts';
import type { Problem } from './problem.ts';
import { isSound, trustAs } from './sound.ts';
import { SPACE_RULES } from './space-problems.ts';

export type { Problem };

export type Validated =
  | { readonly ok: true; readonly document: StyleDocument }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** The neutrals' ramp is addressed by this id, beside the ids of the sources. */
export const NEUTRAL = 'neutral';

const pointer = (path: readonly PropertyKey[]): string =>
  path.map((part) => `/${String(part).replaceAll('~', '~0').replaceAll('/', '~1')}`).join('');

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
  for (const [id, { stops, ink }] of inOrder(color.gradients)) {
    if (ink !== undefined && !Object.hasOwn(color.roles.items, ink))
      yield {
        path: `/color/gradients/items/${id}/ink`,
        message: `there is no color role “${ink}”`,
      };
    const path = `/color/gradients/items/${id}/stops`;
    if (stops.order.length < 2) yield { path, message: 'a gradient has two colors at least' };
    for (const [stop, { color: role }] of inOrder(stops))
      if (!Object.hasOwn(color.roles.items, role))
        yield { path: `${path}/items/${stop}/color`, message: `there is no color role “${role}”` };
  }
  for (const [id, veil] of inOrder(color.veils)) {
    const path = `/color/veils/items/${id}`;
    const { boxes, dark } = veil;
    for (const [at, look] of [
      [path, veil],
      ...(dark ? [[`${path}/dark`, dark] as const] : []),
    ] as const)
      for (const part of ['ink', 'color'] as const) {
        const role = look[part];
        if (role !== undefined && !role.startsWith('#') && !Object.hasOwn(color.roles.items, role))
          yield { path: `${at}/${part}`, message: `there is no color role “${role}”` };
      }
    for (const [box, { text }] of inOrder(boxes))
      if (!Object.hasOwn(type.roles.items, text))
        yield {
          path: `${path}/boxes/items/${box}/text`,
          message: `there is no text role “${text}”`,
        };
  }
  for (const { own, path } of allSections(content))
    if (own.gradient !== undefined && !Object.hasOwn(color.gradients.items, own.gradient))
      yield { path: `${path}/gradient`, message: 'names a gradient that is not there' };
  for (const { veil, path } of sectionsOverPictures(content))
    if (!Object.hasOwn(color.veils.items, veil))
      yield { path: `${path}/veil`, message: 'names a picture that is not there' };
  for (const role of Object.values(content.artwork?.fills ?? {}))
    if (!Object.hasOwn(color.roles.items, role))
      yield { path: '/content/artwork/fills', message: `there is no color role “${role}”` };
}

function* treatmentProblems({ color, layout }: StyleDocument): Generator<Problem> {
  for (const [path, role] of treatmentColors(layout))
    if (!Object.hasOwn(color.roles.items, role))
      yield { path, message: `there is no color role “${role}”` };
  for (const [role, own] of Object.entries(layout.pictureRoles ?? {}))
    if (
      own &&
      'shape' in own &&
      own.shape !== undefined &&
      !Object.hasOwn(layout.pictures.items, own.shape)
    )
      yield {
        path: `/layout/pictureRoles/${role}/shape`,
        message: `there is no shape “${own.shape}”`,
      };
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

function* anchorProblems({ anchors: all }: StyleDocument['type']): Generator<Problem> {
  const anchors = inOrder(all);
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
}

function* textRoleProblems({ space, type }: StyleDocument): Generator<Problem> {
  for (const [id, { after, container, follows, sizes = {} }] of inOrder(type.roles)) {
    const path = `/type/roles/items/${id}`;
    const leader = follows && type.roles.items[follows.of];
    if (follows && (!Object.hasOwn(type.roles.items, follows.of) || !leader))
      yield { path: `${path}/follows/of`, message: `there is no text role “${follows.of}”` };
    else if (leader?.follows || follows?.of === id)
      yield {
        path: `${path}/follows/of`,
        message: 'a role follows one that follows no other',
      };
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

/** What a schema cannot say, and the parts of a document that it is about. */
export interface DocumentRule {
  /** As long as each of these is the same, so is what is said. */
  readonly reads: (document: StyleDocument) => readonly unknown[];
  readonly find: (document: StyleDocument) => Iterable<Problem>;
}

/**
 * The rules that more than one place of a document is subject to. One that asks only whether something is
 * there reads the order of its collection, which names everything in it.
 */
export const RULES: readonly DocumentRule[] = [
  {
    reads: ({ brief, fonts }) => [brief, fonts.reasons],
    find: listProblems,
  },
  {
    reads: ({ type }) => [type.anchors],
    find: ({ type }) => anchorProblems(type),
  },
  {
    reads: ({ space, type }) => [type.roles, type.anchors.order, space.steps.order],
    find: textRoleProblems,
  },
  {
    reads: ({ brief }) => [brief],
    *find({ brief }) {
      if (brief.line.from >= brief.line.to)
        yield {
          path: '/brief/line',
          message: 'the shortest line is to be shorter than the longest',
        };
    },
  },
  {
    reads: ({ content }) => [content.pages],
    *find({ content: { pages } }) {
      if (!inOrder(pages).some(([, { isOff }]) => isOff !== true))
        yield { path: '/content/pages', message: 'a site keeps one page at least that is shown' };
    },
  },
  {
    reads: ({ content }) => [content.pages, content.parts],
    *find({ content }) {
      for (const { own, path } of sectionsOf(content, 'part'))
        if (!Object.hasOwn(content.parts?.items ?? {}, own.part))
          yield { path: `${path}/part`, message: 'names a part that is not there' };
    },
  },
  {
    reads: ({ color }) => [color.sources.order],
    *find({ color }) {
      if (color.sources.order.length === 0)
        yield { path: '/color/sources', message: 'a system keeps one color at least' };
    },
  },
  {
    reads: ({ color }) => [color.roles, color.sources.order, color.neutral],
    find: paintProblems,
  },
  {
    reads: ({ color, type }) => [color.texts, color.roles.order, type.roles.order],
    find: useProblems,
  },
  {
    reads: ({ color, content, type }) => [
      color.gradients,
      color.veils,
      color.roles.order,
      content.pages,
      content.parts,
      content.artwork,
      type.roles.order,
    ],
    find: veilProblems,
  },
  {
    reads: ({ color, layout }) => [color.roles.order, layout.pictureRoles, layout.pictures],
    find: treatmentProblems,
  },
  ...SPACE_RULES,
];

interface Said {
  readonly read: readonly unknown[];
  readonly problems: readonly Problem[];
}

/** What each rule said last, of frozen parts only: who changes a document leaves most of them alone. */
const said = new Map<DocumentRule, Said>();

function problemsOf(document: StyleDocument): readonly Problem[] {
  return RULES.flatMap((rule): readonly Problem[] => {
    const read = rule.reads(document);
    const before = said.get(rule);
    if (before?.read.every((part, index) => Object.is(part, read[index]))) return before.problems;
    const problems = [...rule.find(document)];
    const canChange = read.some(
      (part) => typeof part === 'object' && part !== null && !Object.isFrozen(part),
    );
    if (!canChange) said.set(rule, { read, problems });
    return problems;
  });
}

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

type PartKey = keyof typeof documentSchema.shape;
const PARTS = Object.keys(documentSchema.shape) as PartKey[];

/**
 * A document that was checked before it was stored: its parts need not be read again until they change.
 * What follows from its parts together is checked with every change all the same.
 */
export function trusted(document: StyleDocument): StyleDocument {
  frozen(document);
  for (const key of PARTS) trustAs(documentSchema.shape[key], document[key]);
  return document;
}

/** Whether every part of a value is of its form, and there is no other. */
const isOfForm = (value: unknown): value is StyleDocument =>
  isRecord(value) &&
  Object.keys(value).length === PARTS.length &&
  PARTS.every((key) => Object.hasOwn(value, key) && isSound(documentSchema.shape[key], value[key]));

/**
 * Checks a value against the schema and against what a schema cannot say: that every reference
 * leads somewhere, that orders name everything once, that the narrow width is the narrower one. Only
 * what has changed since it was last looked at is read again, and what that can break.
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
  const problems = problemsOf(value);
  return problems.length > 0 ? { ok: false, problems } : { ok: true, document: value };
}
