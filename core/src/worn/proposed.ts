import { differenceOf } from '../color/difference.ts';
import { oklabOf, oklchOf } from '../color/oklab.ts';
import { rgbOf, type Hex } from '../color/srgb.ts';
import type { Derived } from '../derive/derived.ts';
import { plainTokens } from '../formats/plain-tokens.ts';
import { parseTransparentColor } from '../color/parse-color.ts';
import { pxOn } from '../reading/lengths.ts';
import { rolesSeen } from '../reading/roles-seen.ts';
import {
  componentOf,
  groundSeen,
  mostWeighted as most,
  opacityOf,
  opaqueOf,
  ownGround,
  runningSize,
  type SeenElement,
} from '../reading/seen.ts';
import type { StyleDocument } from '../system/document.ts';
import {
  MOST_ALIKE,
  NO_VALUE,
  OWN_VALUE,
  type Alike,
  type Wearing,
  type WornProperty,
} from './wearing.ts';

/** What a system has to be worn. */
export interface Wardrobe {
  /** Steps of space by id, in px on a wide screen. */
  readonly steps: readonly { readonly token: string; readonly px: number }[];
  /** Grounds that words stand on, by their class, as they are in the first theme. */
  readonly grounds: readonly { readonly name: string; readonly hex: Hex }[];
  /** The classes of its text roles. */
  readonly texts: ReadonlySet<string>;
  /** All classes of its sheet. */
  readonly classes: ReadonlySet<string>;
}

const WIDE = { widthPx: 1280, heightPx: 900, rootPx: 16 };

/** What there is to wear in a system. */
export function wardrobeOf(
  document: Pick<StyleDocument, 'name' | 'tokens'>,
  derived: Pick<Derived, 'tokens' | 'themes' | 'groups' | 'rules'>,
): Wardrobe {
  const { tokens, modes } = plainTokens(document, derived);
  const classes = new Set(
    derived.rules.flatMap(({ rules }) =>
      rules.flatMap(({ selector }) =>
        [...selector.matchAll(/\.([a-z][\w-]*)/g)].map(([, name = '']) => name),
      ),
    ),
  );
  return {
    classes,
    texts: new Set([...classes].filter((name) => name.startsWith('type-'))),
    steps: tokens.flatMap(({ id, tier, values }) => {
      const px =
        tier === 'primitive' && id.startsWith('step.')
          ? pxOn(values[modes[0]].css, WIDE)
          : undefined;
      return px === undefined || px <= 0 ? [] : [{ token: id, px }];
    }),
    grounds: tokens.flatMap(({ id, values }) => {
      const name = /^color\.([a-z0-9-]+)$/.exec(id)?.[1];
      const read = parseTransparentColor(values[modes[0]].css);
      return name !== undefined && classes.has(`on-${name}`) && read.ok && read.alpha === 1
        ? [{ name, hex: read.hex }]
        : [];
    }),
  };
}

/** Nearer than this after CIEDE2000 two colors are one here. Common practice. */
const SAME = 3;
/** A surface differs from its page by little; nearer than this it is the page. Common practice. */
const SAME_PAGE = 1;
/** Less chroma of OKLCH than this has a page or a surface. Common practice. */
const MOST_CHROMA = 0.06;
/** A surface is hardly lighter or darker than its page, in OKLab. Common practice. */
const NEAR_LIGHTNESS = 0.2;
/** A space is taken from a step that is so much larger or smaller at most. Common practice. */
const MOST_AWAY = 1.4;

const lchOf = (hex: Hex) => oklchOf(oklabOf(rgbOf(hex)));
const isVivid = (hex: Hex): boolean => lchOf(hex).chroma >= MOST_CHROMA;

/** What a page has been read to be, for everything on it. */
interface Reading {
  readonly page: Hex;
  readonly text: Hex | undefined;
  readonly quiet: Hex | undefined;
  /** The ground of what acts first. */
  readonly action: Hex | undefined;
  /** How wide the page is, in px. */
  readonly widthPx: number;
  /** The size of running text, in px. */
  readonly bodyPx: number;
  /** The sizes of its headings, by level. */
  readonly headings: readonly (readonly [level: number, px: number])[];
}

const areaOf = ({ box }: SeenElement): number => box.width * box.height;

function readingOf(seen: readonly SeenElement[]): Reading {
  const roles = new Map(rolesSeen(seen).map(({ id, value }) => [id as string, value as Hex]));
  const own = seen.flatMap((one): readonly (readonly [Hex, SeenElement])[] => {
    const hex = one.hasOwnGround ? opaqueOf(one.grounds[0]) : undefined;
    return hex === undefined ? [] : [[hex, one]];
  });
  const buttons = own.filter(([, one]) => componentOf(one) === 'button');
  const headings = new Map<number, number>();
  for (const { level, sizePx } of seen)
    if (level !== undefined && !headings.has(level)) headings.set(level, sizePx);
  return {
    page:
      roles.get('page') ?? most(own.map(([hex, one]) => [hex, areaOf(one)] as const)) ?? '#ffffff',
    text: roles.get('text'),
    quiet: roles.get('quiet'),
    action:
      most(
        buttons.filter(([hex]) => isVivid(hex)).map(([hex, one]) => [hex, areaOf(one)] as const),
      ) ?? most(buttons.map(([hex, one]) => [hex, areaOf(one)] as const)),
    widthPx: Math.max(1, ...seen.map(({ box }) => box.left + box.width)),
    bodyPx: runningSize(seen) ?? 16,
    headings: [...headings].toSorted(([one], [other]) => one - other),
  };
}

/** Grounds that say something else than that they are of the brand. */
const NOT_OF_THE_BRAND = /^page$|surface|^(?:success|warning|danger|notice)$/;

/** The ground that a color is; nothing where the system has none to be it. */
function groundOf(hex: Hex, reading: Reading, { grounds }: Wardrobe): string | undefined {
  const has = (name: string): string | undefined =>
    grounds.some((one) => one.name === name) ? name : undefined;
  if (differenceOf(hex, reading.page) <= SAME_PAGE) return has('page');
  const { lightness } = lchOf(hex);
  if (!isVivid(hex) && Math.abs(lightness - lchOf(reading.page).lightness) <= NEAR_LIGHTNESS)
    return has('surface');
  if (reading.action !== undefined && differenceOf(hex, reading.action) <= SAME)
    return has('action');
  return grounds
    .filter(({ name }) => !NOT_OF_THE_BRAND.test(name))
    .map(({ name, hex: other }) => [name, differenceOf(hex, other)] as const)
    .toSorted(([, one], [, other]) => one - other)[0]?.[0];
}

/** Words within words: they follow what stands around them. Source: HTML, text-level semantics. */
const WITHIN =
  /^(?:strong|b|em|i|u|s|mark|sub|sup|abbr|cite|dfn|q|small|span|time|var|kbd|samp|ins|del|bdi|bdo|ruby|rt|data)(?:\.|$)/;

/** The text role that some words are of; nothing where they follow what is around them. */
function textOf(
  one: SeenElement,
  isLabel: boolean,
  { bodyPx, headings }: Reading,
  { texts }: Wardrobe,
): string | undefined {
  const has = (name: string): string | undefined => (texts.has(name) ? name : undefined);
  if (one.level !== undefined) return has(`type-h${one.level}`);
  if (one.signs === 0) return undefined;
  if (/^(?:code|pre|kbd|samp)(?:\.|$)/.test(one.name)) return has('type-code');
  const times = one.sizePx / bodyPx;
  // A link that looks like no link, and bold words of the usual size, are labels: of navigation, of a site.
  if (times < 1.3 && !WITHIN.test(one.name) && (isLabel || one.weight >= 600))
    return has('type-label');
  if (WITHIN.test(one.name) && Math.abs(times - 1) < 0.05) return undefined;
  if (/^blockquote(?:\.|$)/.test(one.name)) return has('type-quote');
  if (times >= 1.45) {
    const heading = headings
      .map(([level, px]) => [level, Math.abs(Math.log(px / one.sizePx))] as const)
      .toSorted(([, a], [, b]) => a - b)[0]?.[0];
    return has(`type-h${heading ?? 2}`);
  }
  if (times >= 1.08) return has('type-lead');
  if (times > 0.97) return has('type-body');
  return has(times > 0.82 ? 'type-small' : 'type-caption');
}

/** What a button takes, by how it stands out. */
function buttonOf(one: SeenElement, { action, page }: Reading): string {
  const ground = one.hasOwnGround ? opaqueOf(one.grounds[0]) : undefined;
  if (ground !== undefined && action !== undefined && differenceOf(ground, action) <= SAME)
    return 'button';
  const isFilled = ground !== undefined && differenceOf(ground, page) > SAME;
  if (isFilled && isVivid(ground)) return 'button';
  return one.edges.length > 0 || isFilled ? 'quiet-button' : 'plain-button';
}

const SPACES = (one: SeenElement): readonly (readonly [WornProperty, number | undefined])[] => [
  ['margin-block-start', one.margin[0]],
  ['margin-block-end', one.margin[2]],
  ['padding-block-start', one.padding[0]],
  ['padding-inline-end', one.padding[1]],
  ['padding-block-end', one.padding[2]],
  ['padding-inline-start', one.padding[3]],
  ['row-gap', one.gap[0]],
  ['column-gap', one.gap[1]],
];

/** The spaces of something from the steps that are nearest; those that are near none stay. */
function spacesOf(one: SeenElement, { steps }: Wardrobe, isInset: boolean): Wearing['values'] {
  return SPACES(one).flatMap(([property, px]) => {
    if (px === undefined || px < 2 || (!isInset && property.startsWith('padding'))) return [];
    const [step] = steps
      .map(({ token, px: own }) => [token, Math.abs(Math.log(own / px))] as const)
      .toSorted(([, a], [, b]) => a - b);
    return step && step[1] <= Math.log(MOST_AWAY) ? [{ property, token: step[0] }] : [];
  });
}

/** Something that goes over the whole page, or is a part of it by name, is no card on it. */
const isBand = ({ box, name }: SeenElement, { widthPx }: Reading): boolean =>
  box.width >= 0.8 * widthPx || /^(?:body|main|header|footer|section|nav)(?:\.|$)/.test(name);

/** What something takes of a system, as far as its looks and its place tell. */
function proposed(
  one: SeenElement,
  under: SeenElement | undefined,
  reading: Reading,
  wardrobe: Wardrobe,
): Wearing {
  const component =
    componentOf(one) === 'card' && isBand(one, reading) ? undefined : componentOf(one);
  const ground = ownGround(one);
  const on = ground === undefined ? undefined : groundOf(ground, reading, wardrobe);
  const classes: (string | undefined)[] = [];
  const values: Wearing['values'] = [];
  if (component === 'button') classes.push(buttonOf(one, reading));
  else if (component === 'field') classes.push('field');
  else {
    if (component === 'card') classes.push('card');
    if (on !== undefined) classes.push(`on-${on}`);
    if (on !== undefined && one.picture !== '')
      values.push({ property: 'background-image', token: NO_VALUE });
    // On the page and its surfaces words are of the text or quiet; on other grounds those say what words have.
    const behind = one.isOverPicture ? under && ownGround(under) : groundSeen(one.grounds);
    const where = behind === undefined ? undefined : groundOf(behind, reading, wardrobe);
    const color = opaqueOf(one.color);
    const isLabel =
      one.acts === 'link' &&
      (where === undefined ||
        (where !== 'page' && where !== 'surface') ||
        (color !== undefined &&
          reading.text !== undefined &&
          differenceOf(color, reading.text) <= SAME));
    classes.push(textOf(one, isLabel, reading, wardrobe));
    if (one.signs > 0 && where === undefined) values.push({ property: 'color', token: OWN_VALUE });
    if (one.signs > 0 && color !== undefined && (where === 'page' || where === 'surface')) {
      const isAs = (other: Hex | undefined): boolean =>
        other !== undefined && differenceOf(color, other) <= SAME;
      if (isAs(reading.quiet)) values.push({ property: 'color', token: 'color.quiet' });
      else if (isAs(reading.text)) values.push({ property: 'color', token: 'color.text' });
      else if (one.isLink) values.push({ property: 'color', token: 'color.link' });
      // Words within others that are gray by themselves: on another ground they would be lost.
      else if (WITHIN.test(one.name) && !isVivid(color))
        values.push({ property: 'color', token: 'color.text' });
    }
    const [edge] = one.edges;
    const line = edge && opaqueOf(edge.color);
    if (line !== undefined && !isVivid(line))
      values.push({ property: 'border-color', token: 'color.line' });
  }
  const isBoxed = component === 'button' || component === 'field' || component === 'card';
  values.push(...spacesOf(one, wardrobe, !isBoxed));
  return {
    classes: classes.filter((name) => name !== undefined && wardrobe.classes.has(name)) as string[],
    values,
  };
}

/** What has the picture or the gradient that something stands over: what holds it, and was told last before it. */
function pictureUnder(seen: readonly SeenElement[], place: number): SeenElement | undefined {
  const own = seen[place];
  if (own?.isOverPicture !== true) return undefined;
  const { left, top, width, height } = own.box;
  return seen
    .slice(0, place + 1)
    .findLast(
      ({ picture, box }) =>
        picture !== '' &&
        box.left <= left + 1 &&
        box.top <= top + 1 &&
        box.left + box.width >= left + width - 1 &&
        box.top + box.height >= top + height - 1,
    );
}

/** By what things are alike: what they are and how they look. */
const lookOf = (one: SeenElement): string =>
  JSON.stringify([
    ...[one.name, one.acts, one.level, one.isLink, one.signs > 0],
    ...[one.face, one.sizePx, one.weight, one.color, one.picture !== ''],
    one.hasOwnGround ? one.grounds[0] : groundSeen(one.grounds),
    ...[one.edges.map(({ color }) => color), one.padding, one.gap, one.shadow !== ''],
    // Only up and down: what stands in the middle has other margins at the sides, wherever it is.
    ...[one.margin[0], one.margin[2]],
  ]);

/** Whether something has any look of its own. */
const hasLook = (one: SeenElement): boolean =>
  one.signs > 0 ||
  one.acts !== undefined ||
  one.level !== undefined ||
  (one.hasOwnGround && opacityOf(one.grounds[0] ?? 'transparent') > 0) ||
  one.picture !== '' ||
  one.edges.length > 0 ||
  [...one.padding, ...one.gap, one.margin[0] ?? 0, one.margin[2] ?? 0].some((px) => px >= 2);

/**
 * The things of a page by kinds that look alike, each with what it would take of a system.
 * @returns the kinds, what covers most first, with the places of their things in the list
 */
export function proposedOn(
  seen: readonly SeenElement[],
  wardrobe: Wardrobe,
): readonly { readonly alike: Alike; readonly places: readonly number[] }[] {
  const reading = readingOf(seen);
  const kinds = new Map<string, number[]>();
  for (const [place, one] of seen.entries()) {
    if (!hasLook(one)) continue;
    const look = lookOf(one);
    const known = kinds.get(look);
    if (known) known.push(place);
    else kinds.set(look, [place]);
  }
  const areaOfAll = (places: readonly number[]): number =>
    places.reduce((sum, place) => sum + areaOf(seen[place] as SeenElement), 0);
  return [...kinds.values()]
    .map((places) => [places, areaOfAll(places)] as const)
    .toSorted(([, one], [, other]) => other - one)
    .slice(0, MOST_ALIKE)
    .flatMap(([places], index) => {
      const one = seen[places[0] ?? -1];
      if (!one) return [];
      const own = proposed(one, pictureUnder(seen, places[0] ?? -1), reading, wardrobe);
      return [
        {
          places,
          alike: {
            id: `a${index}`,
            name: one.name.slice(0, 200),
            count: places.length,
            proposed: own,
            wearing: own,
          },
        },
      ];
    });
}
