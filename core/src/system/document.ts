import * as z from 'zod/mini';
import type { DeepReadonly } from '../deep-readonly.ts';
import { once } from '../once.ts';
import { isHex, type Hex } from '../color/srgb.ts';
import { GRADIENT_SPACES } from '../color/gradient.ts';
import { RUNG_NAMES, RUNGS } from '../color/ramp.ts';
import { fontFamily } from '../fonts/family.ts';
import { LANGUAGE_CODES } from '../fonts/languages.ts';
import { MOOD_WORDS } from '../fonts/mood.ts';
import { NEEDS } from '../fonts/pairing.ts';
import { isInherited } from './json.ts';
import { partSection, section } from '../proof/sections/kinds.ts';
import { collection, id, json, label, ownName, share, words } from './schema-parts.ts';
import { componentsSchema, wears } from './component-schema.ts';
import { iconsSchema } from './icon-schema.ts';
import { layoutSchema, shapeSchema, spaceSchema } from './space-schema.ts';

/** The number of the newest schema; documents of older ones are upgraded when they are read. */
export const SCHEMA = 8;

export const MODES = ['light', 'dark'] as const;
export type Mode = (typeof MODES)[number];

const hex = z.custom<Hex>((value) => typeof value === 'string' && isHex(value), {
  error: 'a color of the form #rrggbb',
});

/** A screen that is narrow beyond doubt, in px. */
export const NARROW_SCREEN_PX = 320;

const ratio = z.number().check(z.gte(1), z.lte(2.5));
const textSize = z.number().check(z.gte(4), z.lte(400));

/** A screen width at which sizes are decided. */
const anchor = z.strictObject({
  width: z.number().check(z.gte(160), z.lte(5120)),
  base: z.number().check(z.gte(6), z.lte(64)),
  ratio,
  /** The other of two ratios that take turns; `ratio` leads from the base up. */
  second: z.optional(ratio),
  /** Sizes in px made by hand, by their place; the ratio gives the others. */
  sizes: z.optional(z.record(z.string().check(z.regex(/^-?\d{1,2}$/)), textSize)),
});

/** How the sizes at an anchor come about. */
export const SCALES = ['one ratio', 'two ratios', 'by hand'] as const;

/** What sizes at the anchors are rounded to. */
export const ROUNDINGS = ['none', 'px', 'half px', 'rem'] as const;

export const LOWEST_PLACE = -8;
export const HIGHEST_PLACE = 20;
export const MOST_ANCHORS = 6;

const fontChoice = z.strictObject({
  family: fontFamily,
  weight: z.int().check(z.gte(1), z.lte(1000)),
});

/** What a face is for. Labels and code are set in the face of headings and of text where they have none of their own. */
export const FACES = ['heading', 'text', 'label', 'code'] as const;

/** The reasons that designers give for a pair of faces. */
export const FONT_REASONS = [
  'fits the mood',
  'difference that looks meant',
  'reads well at small sizes',
  'enough weights',
  'figures of equal width',
  'true italic',
  'covers the languages',
  'few bytes',
  'goes with the logo',
] as const;

/** A reason as the trade says it; what is stored stays, so that old changes can be undone. */
export const reasonName = (reason: (typeof FONT_REASONS)[number]): string =>
  reason === 'figures of equal width' ? 'tabular figures' : reason;

export const LETTER_CASES = ['uppercase', 'lowercase', 'capitalize'] as const;
export const FIGURES = ['tabular', 'oldstyle', 'lining'] as const;
export const ALIGNMENTS = ['center', 'end'] as const;

const containerWidth = z.number().check(z.gte(80), z.lte(3000));

/** What a text role takes from the role that it follows, but for what is its own. */
export const FOLLOWED_PARTS = [
  ...(['face', 'place', 'weight', 'sizes', 'lineHeight', 'letterSpacing', 'style'] as const),
  ...(['case', 'figures', 'align', 'after', 'longest', 'unit', 'container', 'fit'] as const),
] as const;
export type FollowedPart = (typeof FOLLOWED_PARTS)[number];

const textRole = z.strictObject({
  name: label,
  /** Another role that this one is like, but for the parts that are said; they stand here as they are there. */
  follows: z.optional(
    z.strictObject({
      of: id,
      but: z.array(z.enum(FOLLOWED_PARTS)).check(z.maxLength(FOLLOWED_PARTS.length)),
    }),
  ),
  face: z.enum(FACES),
  place: z.int().check(z.gte(LOWEST_PLACE), z.lte(HIGHEST_PLACE)),
  // What follows is set only where the role departs from its face, its place and what follows from them.
  weight: z.optional(z.int().check(z.gte(1), z.lte(1000))),
  /** Sizes in px by the anchor's id. */
  sizes: z.optional(z.record(id, textSize)),
  lineHeight: z.optional(z.number().check(z.gte(0.8), z.lte(3))),
  /** In em. */
  letterSpacing: z.optional(z.number().check(z.gte(-0.2), z.lte(0.5))),
  style: z.optional(z.literal('italic')),
  case: z.optional(z.enum(LETTER_CASES)),
  figures: z.optional(z.enum(FIGURES)),
  align: z.optional(z.enum(ALIGNMENTS)),
  /** The space step below it. */
  after: z.optional(id),
  /** The longest line, in characters. */
  longest: z.optional(z.int().check(z.gte(10), z.lte(200))),
  /** Another unit than rem, and why. */
  unit: z.optional(z.strictObject({ length: z.enum(['em', 'px']), because: words })),
  /** Flows with the container that it stands in, between these widths of it in px. */
  container: z.optional(z.strictObject({ from: containerWidth, to: containerWidth })),
  /** Held to so many lines at every width, but never smaller than so many px. */
  fit: z.optional(z.strictObject({ lines: z.int().check(z.gte(1), z.lte(6)), least: textSize })),
});

/** A color beyond sRGB as CSS writes it, for screens that can show it. */
const wideColor = z.string().check(z.maxLength(80), z.regex(/^[a-z0-9-]+\([a-z0-9.%+\- ]+\)$/));

const rungNumber = z.int().check(z.gte(1), z.lte(RUNGS));

const paint = z.discriminatedUnion('kind', [
  /** A rung, held by hand. */
  z.strictObject({ kind: z.literal('rung'), ramp: id, rung: rungNumber }),
  /** A wish: the rung nearest to this one at which everything reads. */
  z.strictObject({ kind: z.literal('near'), ramp: id, rung: rungNumber }),
  /** The source itself, on whatever rung of its ramp it stands. */
  z.strictObject({ kind: z.literal('source'), source: id }),
  z.strictObject({ kind: z.literal('own'), value: hex, wide: z.optional(wideColor) }),
  /** So much of one role over another: emitted transparent, or flattened to one color. */
  z.strictObject({
    kind: z.literal('share'),
    of: id,
    over: id,
    share,
    form: z.enum(['transparent', 'flat']),
  }),
]);

const degrees = z.number().check(z.gte(-180), z.lte(180));

/** Where a ramp departs from the usual run; lightness in OKLab, chroma as a share of the source’s. */
const rampShape = z.strictObject({
  paper: z.optional(z.number().check(z.gte(0.6), z.lte(1))),
  ink: z.optional(z.number().check(z.gte(0), z.lte(0.5))),
  /** Lightness moved by hand, by the number of the rung. */
  positions: z.optional(z.record(z.string().check(z.regex(/^([1-9]|1[0-6])$/)), share)),
  chromaAtPaper: z.optional(z.number().check(z.gte(0), z.lte(2))),
  chromaAtInk: z.optional(z.number().check(z.gte(0), z.lte(2))),
  driftAtPaper: z.optional(degrees),
  driftAtInk: z.optional(degrees),
});

const gradient = z.strictObject({
  name: label,
  space: z.enum(GRADIENT_SPACES),
  /** Degrees as CSS has them: 90 runs to the right. */
  angle: z.number().check(z.gte(0), z.lt(360)),
  stops: collection(z.strictObject({ at: share, color: id })),
  /** The color role of text where it is the ground of a section; that of text where absent. */
  ink: z.optional(id),
});

const pictureFile = z.strictObject({
  name: label,
  file: z.string().check(z.regex(/^[0-9a-f]{16}\.(png|jpg|webp|avif)$/)),
  width: z.int().check(z.gte(1), z.lte(20000)),
  height: z.int().check(z.gte(1), z.lte(20000)),
});

/** From where a veil comes: over the whole picture, or fading out from one side. */
export const VEIL_SIDES = ['all over', 'bottom', 'top', 'start', 'end'] as const;

const veilStrength = z.int().check(z.gte(0), z.lte(255));

/** Text over a picture, and the veil between the two that makes it readable. */
const veil = z.strictObject({
  name: label,
  picture: pictureFile,
  /** Where text will stand, as shares of the frame; each in a text role. */
  boxes: collection(z.strictObject({ text: id, x: share, y: share, width: share, height: share })),
  /** The color role of the text, and of the veil. */
  ink: id,
  color: z.union([hex, id]),
  side: z.enum(VEIL_SIDES),
  /** How many of the pixels have to pass. */
  pixels: z.number().check(z.gte(0.5), z.lte(1)),
  /** Opacity where the veil is strongest, in levels of 255. */
  strength: veilStrength,
  /** What of these is other in the dark theme. */
  dark: z.optional(
    z.strictObject({
      ink: z.optional(id),
      color: z.optional(z.union([hex, id])),
      strength: z.optional(veilStrength),
    }),
  ),
  /** What of the picture stays in view when its frame crops it; its middle where absent. */
  crop: z.optional(z.strictObject({ x: share, y: share })),
  /** The words stand at the head of the picture; at its foot where absent. */
  atHead: z.optional(z.literal(true)),
});

/** Artwork in SVG whose fills follow the palette. */
const artwork = z.strictObject({
  name: label,
  svg: z.string().check(z.maxLength(60_000)),
  /** The color role that each fill is taken from, by the fill as it came. */
  fills: z.record(hex, id),
  locked: z.boolean(),
});

const colorRole = z.strictObject({ name: label, light: paint, dark: paint });

/** The words themselves, the links in them, those that were followed, or a quiet button set so. */
export const PARTS = ['words', 'link', 'visited', 'button'] as const;

/** Which text stands in which color on which surface; the pairs that are checked follow from it. */
const textUse = z.strictObject({
  text: id,
  part: z.enum(PARTS),
  color: id,
  on: id,
});

const tokenPath = z.string().check(
  z.minLength(1),
  z.maxLength(200, { abort: true }),
  // A group may have a value of its own, called $root. Source: Design Tokens Format Module 2025.10.
  z.regex(/^[^{}$.][^{}.]*(\.[^{}$.][^{}.]*)*(\.\$root)?$/),
  z.refine((path) => !path.split('.').some(isInherited), {
    error: 'a part of it is called as something that every object has',
  }),
);

/** A token that came from elsewhere and is carried along; its value is one of the open format. */
/** What a name in the sheet begins with, or the name of its layer: letters, digits and hyphens. */
const sheetName = z
  .string()
  .check(
    z.regex(
      /^[a-z][a-z0-9]*(-[a-z0-9]+)*$/,
      'Small letters, digits and hyphens between them, a letter first, as in “rc”.',
    ),
    z.maxLength(24, 'At most 24 signs.'),
  );

/** Words that CSS reads in its own way wherever a name stands: a layer of such a name is lost with all its rules. */
const CSS_WIDE: ReadonlySet<string> = new Set([
  'initial',
  'inherit',
  'unset',
  'revert',
  'revert-layer',
  'default',
]);

const layerName = sheetName.check(
  z.refine((name) => !CSS_WIDE.has(name), {
    error: 'CSS keeps this word for itself; a layer cannot be called so.',
  }),
);

/** What stands between the parts of a name; a hyphen where nothing is said. */
export const JOINTS = ['_', '--'] as const;

/** How the tokens of a tier are called. */
const tierNaming = z.strictObject({
  prefix: z.optional(sheetName),
  /** The group that a token stands in comes last: `page-color`. */
  groupLast: z.optional(z.literal(true)),
  joint: z.optional(z.enum(JOINTS)),
});

/** How tokens are called outside, decided once for each tier. */
const tokenNaming = {
  /** What custom properties begin with, without the hyphen after it. */
  properties: z.optional(sheetName),
  tiers: z.optional(
    z.strictObject({
      primitive: z.optional(tierNaming),
      semantic: z.optional(tierNaming),
      component: z.optional(tierNaming),
    }),
  ),
  /** Single tokens that are called otherwise, by what the system calls them. */
  called: z.optional(collection(z.strictObject({ of: tokenPath, name: tokenPath }))),
};

/** How the style sheet is written for the site that it goes into. */
const sheetChoices = z.strictObject({
  ...tokenNaming,
  /** Whether custom properties are registered with their types, where that gains anything. */
  registered: z.optional(z.literal(true)),
  /** How they were called before: those names stay, deprecated. */
  former: z.optional(collection(z.strictObject(tokenNaming))),
  /** What classes begin with. */
  classes: z.optional(sheetName),
  /** The cascade layer that everything but the font faces stands in. */
  layer: z.optional(layerName),
  /** Whether the sheet says box sizing and margins itself; where absent it does. */
  base: z.optional(z.boolean()),
});

const setting = z.strictObject({
  line: z.optional(z.number().check(z.gte(0.7), z.lte(1.5))),
  spacing: z.optional(z.number().check(z.gte(-0.1), z.lte(0.2))),
});

const place = /^(\/[^/]{0,60}){1,8}$/;

/**
 * Parts of a value that are taken from other tokens, each by its JSON Pointer in the value: from a whole token, or from
 * a place in its value. The pointer of the whole value is empty; a whole token stands there as an alias instead.
 */
const partsOfValue = z.record(
  z.string().check(z.regex(/^(\/[^/]{0,60}){0,8}$/)),
  z.union([tokenPath, z.strictObject({ of: tokenPath, at: z.string().check(z.regex(place)) })]),
);

export const customToken = z.strictObject({
  path: tokenPath,
  type: z.string().check(z.minLength(1), z.maxLength(40), ownName),
  value: json,
  /** The token that it is taken from as a whole. */
  alias: z.optional(tokenPath),
  parts: z.optional(partsOfValue),
  /** A share of a color, 0 to 1, or a multiple of a length, a time or a number. */
  made: z.optional(
    z.strictObject({ of: tokenPath, times: z.number().check(z.minimum(-100), z.maximum(100)) }),
  ),
  /** Decided here; the others came from elsewhere. */
  isOwn: z.optional(z.literal(true)),
  /** What our own extension said of it. */
  extension: z.optional(json),
  /** What extensions of other makers said of it; it goes out as it came. */
  others: z.optional(json),
  description: z.optional(words),
  /** Not to be used any more, and why where somebody said it. */
  deprecated: z.optional(z.union([z.literal(true), words])),
  /** What it is in dark, where that is another. */
  dark: z.optional(
    z.strictObject({
      value: json,
      alias: z.optional(tokenPath),
      parts: z.optional(partsOfValue),
    }),
  ),
});

export const MARKS = ['tide', 'dome', 'flame', 'plain'] as const;

/** A link of the navigation, with those under it. */
const navLink = z.strictObject({ words: label, under: z.optional(collection(label)) });

/** A page of the site: its sections from the top. */
const page = z.strictObject({
  name: label,
  /** What it is written in; the main language of the brief where absent. */
  language: z.optional(z.enum(LANGUAGE_CODES)),
  /** Not shown, and kept. */
  isOff: z.optional(z.literal(true)),
  /** What should be seen first, second, third: places of words on it, or of the logo. */
  intended: z.optional(
    z
      .array(z.string().check(z.maxLength(300), z.regex(/^(\/[^/]+){1,12}$/)))
      .check(z.minLength(1), z.maxLength(3)),
  ),
  sections: collection(section),
});

/** A part of one’s own: sections that stand together, the same wherever they do. */
const part = z.strictObject({ name: label, sections: collection(partSection) });

/** How far something is that is handed over. */
export const STAGES = ['in work', 'ready', 'built'] as const;

/** What stands on the site: its pages, and what is on each of them. */
const content = z.strictObject({
  mark: z.enum(MARKS),
  /** What one does from every page, at the end of the header. */
  headerAction: z.optional(label),
  nav: collection(navLink),
  /** The first is the home page. */
  pages: collection(page),
  /** Parts of one’s own; none where absent. */
  parts: z.optional(collection(part)),
  /** Which variants of one’s own the components of head and foot are; the usual where absent. */
  wears: z.optional(wears),
  /** Links at the foot of every page, in groups. */
  footerGroups: z.optional(collection(z.strictObject({ title: label, links: collection(label) }))),
  /** A drawing of the site’s own. */
  artwork: z.optional(artwork),
  /** The pattern behind the foot of the page. */
  pattern: z.optional(id),
  footer: words,
  /** What is said of pages and components for those who build them; nothing where absent. */
  handed: z.optional(
    collection(
      z.strictObject({
        kind: z.enum(['page', 'section', 'component']),
        of: id,
        /** The page that a section is on. */
        on: z.optional(id),
        /** Which of its kind it is, counted from zero, where that was chosen. */
        rank: z.optional(z.int().check(z.gte(0), z.lte(9999))),
        stage: z.optional(z.enum(STAGES)),
        group: z.optional(label),
        tags: z.optional(
          z
            .array(z.string().check(z.minLength(1), z.maxLength(40)))
            .check(z.minLength(1), z.maxLength(12)),
        ),
      }),
    ),
  ),
});

export const documentSchema = z.strictObject({
  schema: z.literal(SCHEMA),
  name: label,
  description: words,
  brief: z.strictObject({
    purpose: words,
    audience: words,
    mood: z.array(z.enum(MOOD_WORDS)).check(z.maxLength(4)),
    /** The first is the one that most of the site is written in. */
    languages: z.array(z.enum(LANGUAGE_CODES)).check(z.minLength(1)),
    needs: z.array(z.enum(NEEDS)),
    fontBudgetKb: z.int().check(z.gte(10), z.lte(5000)),
    conformance: z.enum(['AA', 'AAA']),
    /** How many characters a line of running text may have. */
    line: z.strictObject({
      from: z.int().check(z.gte(10), z.lte(120)),
      to: z.int().check(z.gte(20), z.lte(160)),
    }),
    /** The highest zoom of the readers' browsers, in per cent: at it text has to be twice as large. */
    zoom: z.int().check(z.gte(200), z.lte(500)),
    /** Places of the system that dials, palettes and repairs leave as they are. */
    locked: z.optional(
      z
        .array(z.string().check(z.maxLength(300), z.regex(/^(\/[^/]+){1,12}$/)))
        .check(z.minLength(1), z.maxLength(500)),
    ),
  }),
  fonts: z.strictObject({
    roles: z.strictObject({
      heading: fontChoice,
      text: fontChoice,
      label: z.optional(fontChoice),
      code: z.optional(fontChoice),
    }),
    /** Another pair for screens narrower than a width in px. */
    narrow: z.optional(
      z.strictObject({
        below: z.int().check(z.gt(NARROW_SCREEN_PX), z.lte(2000)),
        heading: fontChoice,
        text: fontChoice,
      }),
    ),
    /** Why these were chosen, for whoever comes after. */
    reasons: z.strictObject({ because: z.array(z.enum(FONT_REASONS)), note: words }),
  }),
  type: z.strictObject({
    /** From the narrowest up. */
    anchors: collection(anchor),
    scale: z.enum(SCALES),
    rounding: z.enum(ROUNDINGS),
    /** What line heights are multiples of, in px, where there is such a grid. */
    baseline: z.optional(z.number().check(z.gte(2), z.lte(48))),
    /** The font size of the root in per cent of the browser's; 100 where absent. */
    root: z.optional(z.number().check(z.gte(50), z.lte(200))),
    /** Where the stepped style sheet changes sizes, in px; the anchors and midway between where absent. */
    breakpoints: z.optional(
      z.array(z.int().check(z.gte(200), z.lte(4000))).check(z.minLength(1), z.maxLength(12)),
    ),
    unit: z.enum(['vi', 'vw']),
    /** How texts are set that do not say otherwise: times the automatic line height, and added to the spacing, in em. */
    set: z.optional(z.strictObject({ heading: z.optional(setting), text: z.optional(setting) })),
    roles: collection(textRole),
  }),
  color: z.strictObject({
    sources: collection(
      z.strictObject({
        name: label,
        value: hex,
        wide: z.optional(wideColor),
        ramp: z.optional(rampShape),
      }),
    ),
    neutral: z.strictObject({
      name: label,
      source: id,
      tint: z.number().check(z.gte(0), z.lte(1)),
      ramp: z.optional(rampShape),
    }),
    /** How rungs are named in tokens; from paper where absent. */
    rungNames: z.optional(z.enum(RUNG_NAMES)),
    /** Links are told from the text around them by their color alone. */
    plainLinks: z.optional(z.boolean()),
    /** Which themes the site has; light and dark where absent. */
    themes: z.optional(z.enum(['light only', 'dark only', 'dark first'])),
    /** What is left of the chroma of vivid colors in the dark theme; 1 where absent. */
    darkChroma: z.optional(z.number().check(z.gte(0.3), z.lte(1))),
    roles: collection(colorRole),
    texts: collection(textUse),
    gradients: collection(gradient),
    veils: collection(veil),
  }),
  space: spaceSchema,
  layout: layoutSchema,
  shape: shapeSchema,
  components: componentsSchema,
  icons: iconsSchema,
  content,
  tokens: z.strictObject({
    custom: collection(customToken),
    sheet: z.optional(sheetChoices),
    /** What groups, and tokens that the system makes, are for; by their paths. */
    descriptions: z.optional(
      collection(
        z.strictObject({
          path: tokenPath,
          text: words,
          /** The group that a group extends: in files of the open format it has its tokens from there. */
          extends: z.optional(tokenPath),
        }),
      ),
    ),
  }),
  /** Findings that were accepted as they are, by the finding's id. */
  accepted: z.record(
    z.string().check(z.maxLength(200), ownName),
    z.strictObject({ reason: words }),
  ),
});

export type StyleDocument = DeepReadonly<z.infer<typeof documentSchema>>;
export type TextRole = StyleDocument['type']['roles']['items'][string];
export type ColorRole = StyleDocument['color']['roles']['items'][string];
export type Paint = ColorRole['light'];
export type Source = StyleDocument['color']['sources']['items'][string];
export type Veil = StyleDocument['color']['veils']['items'][string];
export type Gradient = StyleDocument['color']['gradients']['items'][string];
export type Content = StyleDocument['content'];
export type SitePage = Content['pages']['items'][string];
export type PageSection = SitePage['sections']['items'][string];
export type Artwork = NonNullable<StyleDocument['content']['artwork']>;
export type Part = (typeof PARTS)[number];
export type TextUse = StyleDocument['color']['texts']['items'][string];
export type Anchor = StyleDocument['type']['anchors']['items'][string];
export type Face = (typeof FACES)[number];
export type FontChoice = StyleDocument['fonts']['roles']['heading'];
export type FontReason = (typeof FONT_REASONS)[number];
export type Brief = StyleDocument['brief'];
export type Space = StyleDocument['space'];
export type Layout = StyleDocument['layout'];
export type Shape = StyleDocument['shape'];
export type SpaceRole = Space['roles']['items'][string];
export type { SpaceUse } from './space-schema.ts';
export type SpaceLength = SpaceRole['value'];

export interface Collection<Item> {
  readonly order: readonly string[];
  readonly items: Readonly<Record<string, Item>>;
}

/** Collections are asked for their order at every movement, and most of them rest. */
const ordered = once(({ order, items }: Collection<unknown>) =>
  order.flatMap((key) => {
    const item = items[key];
    return item === undefined ? [] : [[key, item] as const];
  }),
);

/** The things of a collection with their ids, in order. */
export const inOrder = <Item>(collection: Collection<Item>): readonly (readonly [string, Item])[] =>
  ordered(collection) as unknown as readonly (readonly [string, Item])[];
