import { pictureRolesSchema } from './picture-roles.ts';
import * as z from 'zod/mini';
import { MOST_COLUMNS } from '../space/grid.ts';
import { PATTERN_KINDS } from '../space/pattern.ts';
import { SPACE_SCALES } from '../space/scale.ts';
import { FIXED_UNITS, SHRINKING_FORMS } from '../space/shrinking.ts';
import { collection, id, label, share } from './schema-parts.ts';

/** How steps are called: by words for their size, by their multiple of the unit, or by hand. */
export const STEP_NAMES = ['size words', 'multiples', 'own'] as const;

/** What a space role is for; the proof draws each in a pattern of its own. */
export const SPACE_USES = ['inset', 'gap', 'margin', 'size', 'pull'] as const;
export type SpaceUse = (typeof SPACE_USES)[number];

const fixed = z.strictObject({
  value: z.number().check(z.gte(-400), z.lte(400)),
  unit: z.enum(FIXED_UNITS),
});

const spaceLength = z.discriminatedUnion('kind', [
  /** A step at the first anchor of the type, others at later ones, flowing between. */
  z.strictObject({ kind: z.literal('step'), step: id, at: z.optional(z.record(id, id)) }),
  /** A step on the smallest screen and others from breakpoints up. */
  z.strictObject({ kind: z.literal('stepped'), step: id, at: z.record(id, id) }),
  /** A fixed length and a share of the container, one of which rules. */
  z.strictObject({
    kind: z.literal('shrinking'),
    form: z.enum(SHRINKING_FORMS),
    fixed,
    share: z.number().check(z.gt(0), z.lte(50)),
    least: z.optional(fixed),
  }),
  /** A length of its own: in em for what scales with its text, negative for what is pulled out. */
  z.strictObject({ kind: z.literal('own'), ...fixed.shape }),
  /** What another role is, to the other side. */
  z.strictObject({ kind: z.literal('minus'), of: id }),
  /** What the column grid has. */
  z.strictObject({ kind: z.literal('grid'), part: z.enum(['gutter', 'margin']) }),
]);

const spaceRole = z.strictObject({
  name: label,
  use: z.enum(SPACE_USES),
  value: spaceLength,
  /** Above and below, where that is another length than at the sides. */
  block: z.optional(spaceLength),
});

/** What a part of a component takes instead of its usual role: another role, a step, or a length of its own. */
const spacePart = z.union([
  z.strictObject({ role: id }),
  z.strictObject({ step: id }),
  z.strictObject({ px: z.number().check(z.gte(0), z.lte(400)) }),
]);

export const spaceSchema = z.strictObject({
  /** In px at a root of 16 px. */
  unit: z.number().check(z.gte(1), z.lte(400)),
  scale: z.enum(SPACE_SCALES),
  series: z.optional(
    z.strictObject({
      first: z.number().check(z.gte(0.125), z.lte(16)),
      ratio: z.number().check(z.gte(1.05), z.lte(4)),
    }),
  ),
  names: z.enum(STEP_NAMES),
  steps: collection(
    z.strictObject({
      name: label,
      /** 0 for the step that is no space at all, the first where there is one. */
      multiple: z.number().check(z.gte(0), z.lte(64)),
      /** Where the scale is made by hand. */
      px: z.optional(z.number().check(z.gt(0), z.lte(1000))),
    }),
  ),
  roles: collection(spaceRole),
  /** By the key of the part, `card.gap`, or of one side of it, `card.inset-block-start`. */
  parts: z.record(z.string().check(z.regex(/^[a-z-]{1,40}\.[a-z-]{1,40}$/)), spacePart),
  /** The most that space takes: of the width on a phone, of the area on a wide screen. */
  limits: z.strictObject({ phone: share, wide: share }),
  utilities: z.optional(
    z.strictObject({
      prefix: z.string().check(z.regex(/^([a-z][a-z0-9]{0,11}-)?$/)),
      steps: z.enum(['in use', 'all']),
      breakpoints: z.boolean(),
    }),
  ),
});

const gridKnown = z.strictObject({
  container: z.optional(z.number().check(z.gt(0), z.lte(6000))),
  columns: z.optional(z.int().check(z.gte(1), z.lte(MOST_COLUMNS))),
  column: z.optional(z.number().check(z.gt(0), z.lte(3000))),
  gutter: z.optional(z.number().check(z.gte(0), z.lte(400))),
  margin: z.optional(z.number().check(z.gte(0), z.lte(1000))),
  /** Between rows, and how high a row is at least; nothing and as high as what is in it where absent. */
  rowGap: z.optional(z.number().check(z.gte(0), z.lte(400))),
  row: z.optional(z.number().check(z.gt(0), z.lte(3000))),
});

/** In what a width is counted; columns are those of the grid, with the gutters between them. */
export const WIDTH_UNITS = ['rem', 'em', 'ch', 'px', '%', 'columns'] as const;
export const SCREEN_UNITS = ['svh', 'lvh', 'dvh'] as const;

const svg = z.string().check(z.maxLength(60_000));

export const layoutSchema = z.strictObject({
  /** From the narrowest up; below the first stands what is decided for the smallest screen. */
  breakpoints: collection(
    z.strictObject({ name: label, width: z.number().check(z.gte(200), z.lte(4000)) }),
  ),
  grid: z.strictObject({
    /** Centered in the screen, or running from edge to edge of it. */
    align: z.enum(['centered', 'full']),
    whole: z.boolean(),
    /** On the smallest screen, and what is known anew from breakpoints up. */
    base: gridKnown,
    at: z.record(id, gridKnown),
  }),
  widths: collection(
    z.strictObject({
      name: label,
      bound: z.enum(['max', 'min']),
      value: z.number().check(z.gt(0), z.lte(4000)),
      unit: z.enum(WIDTH_UNITS),
      /** Other values from breakpoints up, in the same unit; what is not said holds on from below. */
      at: z.optional(z.record(id, z.number().check(z.gt(0), z.lte(4000)))),
      /** It stands in the middle of the room around it. */
      centered: z.optional(z.literal(true)),
    }),
  ),
  /** Which viewport a section of full height fills. */
  screen: z.enum(SCREEN_UNITS),
  /** Whether the middle of the header stands between its neighbors, or in the true middle. */
  header: z.enum(['spread', 'centered']),
  pictures: collection(
    z.strictObject({
      name: label,
      width: z.int().check(z.gte(1), z.lte(100)),
      height: z.int().check(z.gte(1), z.lte(100)),
      fit: z.enum(['cover', 'contain']),
      /** What stays in view when a picture is cropped. */
      x: share,
      y: share,
    }),
  ),
  /** What pictures are on a page, and what is done to them there; the usual where absent. */
  pictureRoles: z.optional(pictureRolesSchema),
  logo: z.strictObject({
    light: z.optional(svg),
    dark: z.optional(svg),
    /** In one color, that of the text around it: at the foot of pages, and wherever colors would be lost. */
    one: z.optional(svg),
    /** The least height in px at which it can be read. */
    least: z.number().check(z.gte(8), z.lte(200)),
    /** Clear space around it as a share of its height. */
    clear: z.number().check(z.gte(0), z.lte(2)),
    /** Its height as a multiple of the text in the header. */
    scale: z.number().check(z.gte(0.5), z.lte(8)),
  }),
  patterns: collection(
    z.strictObject({
      name: label,
      kind: z.enum(PATTERN_KINDS),
      ink: id,
      on: id,
      /** The space step after which it repeats. */
      cell: id,
      /** How much of the ink is laid over the ground. */
      strength: z.number().check(z.gte(0.01), z.lte(1)),
      turn: z.number().check(z.gte(0), z.lt(180)),
    }),
  ),
});

const px = (most: number) => z.number().check(z.gte(0), z.lte(most));

export const shapeSchema = z.strictObject({
  radii: collection(z.strictObject({ name: label, px: px(200) })),
  /** Which radius a control, a card and a picture has. */
  corners: z.strictObject({ control: id, card: id, picture: id }),
  /** Corners of controls grow with their text, in em; in rem where absent. */
  growing: z.optional(z.literal(true)),
  borders: collection(z.strictObject({ name: label, px: px(40) })),
  edges: z.strictObject({ line: id, strong: id }),
  light: z.strictObject({
    /** Degrees clockwise from straight above. */
    from: z.number().check(z.gte(-90), z.lte(90)),
    reach: z.number().check(z.gte(0), z.lte(3)),
    softness: z.number().check(z.gte(0), z.lte(6)),
    strength: share,
    ambient: share,
  }),
  /** In the dark theme, where shadows hardly show: stronger ones, and a rim of light. */
  dark: z.strictObject({ strength: share, ambient: share, rim: share }),
  /** Levels by their height over the ground in px. */
  shadows: collection(
    z.strictObject({ name: label, height: z.number().check(z.gt(0), z.lte(80)) }),
  ),
  /** The level of cards; on the ground where absent. */
  cards: z.optional(id),
  opacities: collection(z.strictObject({ name: label, value: share })),
  layers: collection(z.strictObject({ name: label, level: z.int().check(z.gte(-1), z.lte(9999)) })),
  durations: collection(
    z.strictObject({
      name: label,
      ms: px(10_000),
      /** Where the reader asks for less motion. */
      reduced: px(10_000),
    }),
  ),
  easings: collection(
    z.strictObject({
      name: label,
      x1: share,
      y1: z.number().check(z.gte(-2), z.lte(3)),
      x2: share,
      y2: z.number().check(z.gte(-2), z.lte(3)),
    }),
  ),
});
