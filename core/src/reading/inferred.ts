import type { Hex } from '../color/srgb.ts';
import { rgbOf } from '../color/srgb.ts';
import { oklabOf, oklchOf } from '../color/oklab.ts';
import { differenceOf } from '../color/difference.ts';
import type { Patch } from '../system/patch.ts';
import { fitScales, type FittedScale } from '../type/read-sizes.ts';
import { unitOf } from './faults.ts';
import { pxOn, type Screen } from './lengths.ts';
import { measured } from './measured.ts';
import type { ReadDeclaration, ReadSheet } from './read-sheet.ts';
import { isDark, isOfRoot } from './theme-of.ts';
import { partsOfDeclaration } from './values.ts';
import { filling } from './variables.ts';

/** What could be decided for a system, because sheets say so. */
export interface Proposal {
  readonly id:
    | 'scale'
    | 'unit'
    | 'controls'
    | 'cards'
    | 'container'
    | 'page'
    | 'surface'
    | 'text'
    | 'quiet'
    | 'link'
    | 'line'
    | 'heading lines'
    | 'text lines';
  /** What is decided. */
  readonly name: string;
  readonly value: string;
  /** What a new system begins with. */
  readonly usual: string;
  /** The figures that it rests on, in words. */
  readonly why: string;
  /** How much of what it is about it explains, 0 to 1. */
  readonly explains: number;
  /** Values that it does not explain, as they are written. */
  readonly unexplained: readonly string[];
  /** The change of a new system that decides it. */
  readonly patch: Patch;
}

/** A color of some sheets, with those that are nearly the same. */
export interface FoundColor {
  readonly hex: Hex;
  /** Others that are joined to it. */
  readonly joined: readonly Hex[];
  readonly places: number;
  /** Where most of it stands. */
  readonly use: 'action' | 'ground' | 'text' | 'line';
  readonly isNeutral: boolean;
}

/** What could be found of a system in some sheets. */
export interface Inferred {
  readonly proposals: readonly Proposal[];
  /** Colors of the brand, what acts first; then by how often they stand. */
  readonly colors: readonly FoundColor[];
  readonly neutrals: readonly FoundColor[];
  /** Families by how often they are set, as they are called. */
  readonly faces: readonly (readonly [family: string, places: number])[];
}

const WIDE: Screen = { widthPx: 1440, heightPx: 900, rootPx: 16 };
const NARROW: Screen = { widthPx: 360, heightPx: 780, rootPx: 16 };

/** Below this chroma of OKLCH a color is told as a gray. Common practice. */
const GRAY_CHROMA = 0.04;
/** Nearer than this after CIEDE2000 colors are joined: hardly anybody tells them apart. Common practice. */
const JOINED = 2.5;

const ACTING =
  /(?:^|[\s>+~,(])(?:button|input\[type=["']?submit["']?\])(?![\w-])|\.(?:[\w-]*-)?(?:btn|button|cta)(?![a-z])/i;
const FIELD =
  /(?:^|[\s>+~,(])(?:input|select|textarea)(?![\w-])|\.(?:[\w-]*-)?(?:input|field|control)(?![a-z])/i;
const CARD = /\.(?:[\w-]*-)?(?:card|panel|tile|box)(?![a-z])/i;
const HELD = /\.(?:[\w-]*-)?(?:wrap|wrapper|container|inner)(?![a-z])/i;
const ON_TOUCH = /:(?:hover|focus|active|visited|disabled)/i;

/** A declaration with its custom properties filled in, on the usual screen and in the usual theme. */
interface Said extends ReadDeclaration {
  readonly isNarrow: boolean;
}

/** Whether what stands in some at-rules holds on a screen; what is asked of anything but its width holds. */
function holdsOn(within: readonly string[], { widthPx, rootPx }: Screen): boolean {
  return within.every((one) => {
    if (/^@media\s+print/i.test(one)) return false;
    if (!/^@media/i.test(one)) return true;
    const bounds = [
      ...one.matchAll(/\((min|max)-width\s*:\s*([\d.]+)(px|r?em)\)/gi),
    ] as unknown as readonly [string, string, string, string][];
    const ranges = [
      ...one.matchAll(/\(width\s*([<>])=?\s*([\d.]+)(px|r?em)\)/gi),
    ] as unknown as readonly [string, string, string, string][];
    const px = (number: string, unit: string): number =>
      Number(number) * (unit.toLowerCase() === 'px' ? 1 : rootPx);
    return (
      bounds.every(([, bound, number, unit]) =>
        bound.toLowerCase() === 'min' ? widthPx >= px(number, unit) : widthPx <= px(number, unit),
      ) &&
      ranges.every(([, sign, number, unit]) =>
        sign === '>' ? widthPx >= px(number, unit) : widthPx <= px(number, unit),
      )
    );
  });
}

/** Everything that the sheets say in the usual theme, with custom properties filled in. */
function saidIn(sheets: readonly ReadSheet[]): readonly Said[] {
  const all = sheets.flatMap(({ declarations }) => declarations).filter((one) => !isDark(one));
  const ofRoot = new Map<string, string>();
  for (const one of all)
    if (one.property.startsWith('--') && (isOfRoot(one) || !ofRoot.has(one.property)))
      ofRoot.set(one.property, one.value);
  const filled = filling((name) => ofRoot.get(name));
  return all
    .filter(({ property }) => !property.startsWith('--'))
    .flatMap((one) => {
      const value = filled(one.value);
      if (value === undefined) return [];
      const isWide = holdsOn(one.within, WIDE);
      const isNarrow = holdsOn(one.within, NARROW);
      return isWide || isNarrow ? [{ ...one, value, isNarrow: !isWide }] : [];
    });
}

interface Sized {
  readonly selector: string;
  readonly px: number;
}

/** The text sizes that hold on a screen: of each selector the last one. */
function sizesOn(said: readonly Said[], screen: Screen): readonly Sized[] {
  const found = new Map<string, number>();
  for (const one of said) {
    if (!holdsOn(one.within, screen)) continue;
    for (const { kind, text } of partsOfDeclaration(one)) {
      const px = kind === 'size' ? pxOn(text, screen) : undefined;
      if (px !== undefined && px > 0)
        for (const selector of one.selector.split(',')) found.set(selector.trim(), px);
    }
  }
  return [...found].map(([selector, px]) => ({ selector, px }));
}

const BODY = /^(?:body|html|:root)$/i;
const HEADING = /(?:^|[\s>+~])h([1-6])(?![\w-])[^\s>+~]*$/i;

/** Fits that are looked through for one from the size of running text. */
const MOST_FITS = 40;

const round = (value: number, digits: number): number => Number(value.toFixed(digits));
const percent = (share: number): string => `${Math.round(share * 100)} %`;

type Fitted = Pick<FittedScale, 'base' | 'ratio'>;

/** So much off the scale is a size still on it: what rounding to whole px makes, or a hundredth. */
const ROUNDED_PX = 0.51;
const ROUNDED_SHARE = 0.012;

/** Where a size stands on a scale, and whether it does. */
function placeOf(px: number, { base, ratio }: Fitted): { place: number; isOn: boolean } {
  const place = Math.round(Math.log(px / base) / Math.log(ratio));
  const off = Math.abs(px - base * ratio ** place);
  return { place, isOn: off <= Math.max(ROUNDED_PX, ROUNDED_SHARE * px) };
}

/** The base and the ratio that explain most text sizes, on a phone and on a wide screen. */
function scaleFrom(said: readonly Said[]): readonly Proposal[] {
  const [wide, narrow] = [sizesOn(said, WIDE), sizesOn(said, NARROW)];
  const bodyOf = (sizes: readonly Sized[]): number | undefined =>
    sizes.find(({ selector }) => BODY.test(selector))?.px;
  /** The scale of some sizes: of running text and headings alone, where those are enough to tell. */
  const fitted = (sizes: readonly Sized[]): Fitted | undefined => {
    const told = sizes.filter(({ selector }) => BODY.test(selector) || HEADING.test(selector));
    const isEnough = new Set(told.map(({ px }) => px)).size >= 3;
    const body = bodyOf(sizes);
    const all = fitScales(
      (isEnough ? told : sizes).map(({ px }) => px),
      MOST_FITS,
    );
    return all.find(({ base }) => base === body) ?? all[0];
  };
  const atWide = fitted(wide);
  if (!atWide) return [];
  const atNarrow = fitted(narrow);
  const base = bodyOf(narrow) ?? atNarrow?.base ?? atWide.base;
  const ratio = atNarrow?.base === base ? atNarrow.ratio : atWide.ratio;
  const placed = wide.map((one) => ({ ...one, ...placeOf(one.px, atWide) }));
  const off = placed.filter(({ isOn }) => !isOn);
  const places = new Map<string, number>();
  for (const { selector, place, isOn } of placed) {
    const level = HEADING.exec(selector)?.[1];
    if (level !== undefined && isOn)
      places.set(`h${level}`, Math.max(places.get(`h${level}`) ?? place, place));
  }
  const explains = 1 - off.length / wide.length;
  const [low, high] = [
    { base: round(base, 2), ratio: round(ratio, 3) },
    { base: round(atWide.base, 2), ratio: round(atWide.ratio, 3) },
  ];
  const words = ({ base: px, ratio: times }: typeof low): string => `${px} px × ${times}`;
  return [
    {
      id: 'scale',
      name: 'base size and ratio',
      value: words(low) === words(high) ? words(high) : `${words(low)} to ${words(high)}`,
      usual: '16 px × 1.2 to 18 px × 1.25',
      why: `${wide.length - off.length} of ${wide.length} text sizes are on it`,
      explains,
      unexplained: off.map(({ px, selector }) => `${round(px, 2)} px, ${selector}`),
      patch: [
        { op: 'replace', path: '/type/anchors/items/narrow/base', value: low.base },
        { op: 'replace', path: '/type/anchors/items/narrow/ratio', value: low.ratio },
        { op: 'replace', path: '/type/anchors/items/wide/base', value: high.base },
        { op: 'replace', path: '/type/anchors/items/wide/ratio', value: high.ratio },
        ...[...places].map(([role, place]) => ({
          op: 'replace' as const,
          path: `/type/roles/items/${role}/place`,
          value: Math.min(20, Math.max(-8, place)),
        })),
      ],
    },
  ];
}

/** The unit that most spaces are a multiple of. Its half is a step too, so that a small one is doubled. */
function unitFrom(said: readonly Said[]): readonly Proposal[] {
  const spaces = said.flatMap((one) =>
    partsOfDeclaration(one).flatMap(({ kind, text }) => {
      const px = kind === 'space' && !/v[wihb]|vm/i.test(text) ? pxOn(text, WIDE) : undefined;
      return px === undefined || px === 0 ? [] : [{ px: Math.abs(px), text }];
    }),
  );
  const found = unitOf(spaces.map(({ px }) => px));
  if (found === undefined) return [];
  const isOn = (px: number): boolean =>
    Math.abs(px / found - Math.round(px / found)) * found < 0.02;
  const off = spaces.filter(({ px }) => !isOn(px));
  const unit = found < 5 ? found * Math.ceil(5 / found) : found;
  const explains = 1 - off.length / spaces.length;
  return [
    {
      id: 'unit',
      name: 'unit of space',
      value: unit === found ? `${unit} px` : `${unit} px, halved where it is ${found} px`,
      usual: '8 px',
      why: `${percent(explains)} of ${spaces.length} spaces are multiples of ${found} px`,
      explains,
      unexplained: [...new Set(off.map(({ text }) => text))],
      patch: [{ op: 'replace', path: '/space/unit', value: unit }],
    },
  ];
}

/** The value that stands most often among some, and how often. */
function mostOften<Value>(values: readonly Value[]): readonly [Value, number] | undefined {
  const counts = new Map<Value, number>();
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1);
  return [...counts].toSorted(([, one], [, other]) => other - one)[0];
}

function cornersFrom(said: readonly Said[]): readonly Proposal[] {
  const of = (
    id: 'controls' | 'cards',
    isOne: (selector: string) => boolean,
    patchTo: (px: number) => Patch,
  ): readonly Proposal[] => {
    const corners = said
      .filter(({ selector }) => isOne(selector))
      .flatMap((one) =>
        partsOfDeclaration(one).flatMap(({ kind, text }) => {
          const px = kind === 'corner' ? pxOn(text, WIDE) : undefined;
          return px === undefined ? [] : [round(px, 2)];
        }),
      );
    const [px, count] = mostOften(corners) ?? [];
    // Rounder than anything is high: a pill, which is no corner of a scale.
    if (px === undefined || count === undefined || px > 60) return [];
    const explains = count / corners.length;
    return [
      {
        id,
        name: `corner of ${id}`,
        value: `${px} px`,
        usual: '4 px',
        why: `${count} of ${corners.length} have it`,
        explains,
        unexplained: [...new Set(corners)].filter((one) => one !== px).map((one) => `${one} px`),
        patch: patchTo(px),
      },
    ];
  };
  return [
    ...of(
      'controls',
      (selector) => ACTING.test(selector) || FIELD.test(selector),
      (px) => [{ op: 'replace', path: '/shape/radii/items/soft/px', value: px }],
    ),
    ...of(
      'cards',
      (selector) => CARD.test(selector),
      (px) => [
        { op: 'replace', path: '/shape/radii/items/round/px', value: px },
        { op: 'replace', path: '/shape/corners/card', value: 'round' },
      ],
    ),
  ];
}

/** How wide the pages are held, from what is called a container or holds one in the middle. */
function containerFrom(said: readonly Said[]): readonly Proposal[] {
  const widths = said
    .filter(
      ({ property, selector }) =>
        /^max-(?:width|inline-size)$/.test(property) && HELD.test(selector),
    )
    .flatMap(({ value }) => {
      const px = pxOn(value, WIDE);
      return px !== undefined && px >= 700 && px <= 2000 ? [Math.round(px)] : [];
    });
  const [px, count] = mostOften(widths) ?? [];
  if (px === undefined || count === undefined) return [];
  return [
    {
      id: 'container',
      name: 'widest content',
      value: `${px} px`,
      usual: '1080 px',
      why: `${count} of ${widths.length} that hold pages are so wide`,
      explains: count / widths.length,
      unexplained: [...new Set(widths)].filter((one) => one !== px).map((one) => `${one} px`),
      patch: [{ op: 'replace', path: '/layout/grid/at/wide/container', value: px }],
    },
  ];
}

const USES = ['action', 'ground', 'text', 'line'] as const;

/** What a color is for where it stands. */
function useOf({ property, selector }: Said): FoundColor['use'] {
  const isGround = /^background/.test(property);
  if (isGround && ACTING.test(selector)) return 'action';
  if (isGround) return 'ground';
  return /^(?:border|outline|column-rule)/.test(property) ? 'line' : 'text';
}

const chromaOf = (hex: Hex): number => oklchOf(oklabOf(rgbOf(hex))).chroma;

/** The colors that stand in the sheets, near ones joined to the most frequent; but for those that are kept apart. */
function colorsFrom(said: readonly Said[], apart: ReadonlySet<string>): readonly FoundColor[] {
  const counts = new Map<Hex, Map<FoundColor['use'], number>>();
  for (const one of said) {
    if (ON_TOUCH.test(one.selector)) continue;
    for (const { kind, text } of partsOfDeclaration(one)) {
      const color = kind === 'color' ? measured('color', text, { widthsPx: [1440] }) : undefined;
      if (color?.kind !== 'color' || color.alpha < 1) continue;
      const uses = counts.get(color.hex) ?? new Map<FoundColor['use'], number>();
      const use = useOf(one);
      uses.set(use, (uses.get(use) ?? 0) + 1);
      counts.set(color.hex, uses);
    }
  }
  const total = (uses: ReadonlyMap<string, number>): number =>
    [...uses.values()].reduce((sum, count) => sum + count, 0);
  const heads: { hex: Hex; joined: Hex[]; uses: Map<FoundColor['use'], number> }[] = [];
  for (const [hex, uses] of [...counts].toSorted(
    ([, one], [, other]) => total(other) - total(one),
  )) {
    const near = apart.has(hex)
      ? undefined
      : heads.find((head) => differenceOf(head.hex, hex) <= JOINED);
    if (!near) heads.push({ hex, joined: [], uses: new Map(uses) });
    else {
      near.joined.push(hex);
      for (const [use, count] of uses) near.uses.set(use, (near.uses.get(use) ?? 0) + count);
    }
  }
  return heads.map(({ hex, joined, uses }) => ({
    ...{ hex, joined, places: total(uses) },
    use: uses.has('action')
      ? 'action'
      : (USES.toSorted((one, other) => (uses.get(other) ?? 0) - (uses.get(one) ?? 0))[0] ?? 'text'),
    isNeutral: chromaOf(hex) < GRAY_CHROMA,
  }));
}

/** What a new system takes as colors of the brand at most. */
export const MOST_BRAND_COLORS = 8;

/**
 * What of a system can be found in some style sheets: each proposal with its figures and with what it does not explain.
 * Sheets alone are read; what covers how much of a page is not known.
 * @param apart colors that are not joined to others, however near
 */
export function inferredFrom(
  sheets: readonly ReadSheet[],
  apart: ReadonlySet<string> = new Set(),
): Inferred {
  const said = saidIn(sheets);
  const onWide = said.filter(({ isNarrow }) => !isNarrow);
  const colors = colorsFrom(onWide, apart);
  const vivid = colors.filter(({ isNeutral }) => !isNeutral);
  const faces = new Map<string, number>();
  for (const one of onWide)
    for (const { kind, text } of partsOfDeclaration(one)) {
      const face =
        kind === 'face'
          ? text
              .split(',')[0]
              ?.trim()
              .replaceAll(/^["']|["']$/g, '')
          : '';
      if (face !== undefined && face !== '') faces.set(face, (faces.get(face) ?? 0) + 1);
    }
  return {
    proposals: [
      ...scaleFrom(said),
      ...unitFrom(onWide),
      ...cornersFrom(onWide),
      ...containerFrom(onWide),
    ],
    colors: [
      ...vivid.filter(({ use }) => use === 'action'),
      ...vivid.filter(({ use }) => use !== 'action'),
    ],
    neutrals: colors.filter(({ isNeutral }) => isNeutral),
    faces: [...faces].toSorted(([, one], [, other]) => other - one),
  };
}

/** What a system says of where its decisions were read, for its description. */
export function readFrom(files: readonly string[], taken: readonly Proposal[]): string {
  const names = files.slice(0, 3).join(', ') + (files.length > 3 ? ' and others' : '');
  return [
    `Read from ${names}.`,
    ...taken.map(
      ({ name, value, why }) =>
        `${name.charAt(0).toUpperCase()}${name.slice(1)}: ${value} (${why}).`,
    ),
  ]
    .join(' ')
    .slice(0, 1500);
}
