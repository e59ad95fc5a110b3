import type { Hex } from '../color/srgb.ts';
import { rgbOf } from '../color/srgb.ts';
import { oklabOf, oklchOf } from '../color/oklab.ts';
import { differenceOf } from '../color/difference.ts';
import type { Patch } from '../system/patch.ts';
import { LONGEST_WORDS } from '../system/schema-parts.ts';
import { fitScales, type FittedScale } from '../type/read-sizes.ts';
import { unitOf } from './faults.ts';
import { pxOn, type Screen } from './lengths.ts';
import { measured } from './measured.ts';
import { componentsRead, type ReadComponent } from './components-read.ts';
import { breakpointsFrom, flowFrom, gridFrom, lightFrom } from './layout-read.ts';
import { likelihoodOf, OFF_PX, scaleOfNoisy, scaleThrough, unitOfNoisy } from './noisy.ts';
import { MOST_ALTERNATIVES, type Proposal, type Proposed } from './proposal.ts';
import { rampsIn, type FoundRamp } from './ramps-in.ts';
import type { ReadSheet } from './read-sheet.ts';
import {
  counted,
  holdsOn,
  mostOften,
  NARROW,
  percent,
  round,
  saidIn,
  WIDE,
  type Said,
} from './said.ts';
import { partsOfDeclaration } from './values.ts';

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
  /** The ramps that its colors stand in. */
  readonly ramps: readonly FoundRamp[];
  /** The components that rules speak of, with their states. */
  readonly components: readonly ReadComponent[];
  /** Families by how often they are set, as they are called. */
  readonly faces: readonly (readonly [family: string, places: number])[];
}

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

/** What a scale says of some sizes: where each stands, and which are on none of its places. */
function explaining(sizes: readonly Sized[], scale: Fitted) {
  const placed = sizes.map((one) => ({ ...one, ...placeOf(one.px, scale) }));
  const off = placed.filter(({ isOn }) => !isOn);
  const places = new Map<string, number>();
  for (const { selector, place, isOn } of placed) {
    const level = HEADING.exec(selector)?.[1];
    if (level !== undefined && isOn)
      places.set(`h${level}`, Math.max(places.get(`h${level}`) ?? place, place));
  }
  return { off, places };
}

const scaleWords = ({ base, ratio }: Fitted): string => `${base} px × ${ratio}`;
const rounded = ({ base, ratio }: Fitted): Fitted => ({
  base: round(base, 2),
  ratio: round(ratio, 3),
});

/** Sizes that grow with the screen by themselves. */
const isFluid = (text: string): boolean => /v(?:w|i|min|max)\b/i.test(text);

/** So near to the size of running text a base is that size, in px. */
const SAME_BASE = 0.15;

/** Whether a scale is what was meant, rather than what is there. */
const isMeant = (scale: Fitted & { readonly score?: number }): boolean => scale.score !== undefined;

/** Whether most sizes are whole or half px: nothing has moved them from where they were meant. */
const areRound = (sizes: readonly number[]): boolean =>
  sizes.filter((px) => Math.abs(px * 2 - Math.round(px * 2)) < 0.02).length > 0.6 * sizes.length;

/** The size of running text on a screen of some width, as a page shows it. */
export type RunningText = (widthPx: number) => number | undefined;

/** The base and the ratio that explain most text sizes, on a phone and on a wide screen. */
function scaleFrom(
  said: readonly Said[],
  [fromPx, toPx]: readonly [number, number],
  running: RunningText | undefined,
): readonly Proposal[] {
  // Where sizes flow, the scales are those of the screens that they flow between.
  const screens = [
    { ...WIDE, widthPx: toPx },
    { ...NARROW, widthPx: fromPx },
  ] as const;
  const wide = sizesOn(said, screens[0]);
  const narrow = sizesOn(said, screens[1]);
  const bodyOf = (sizes: readonly Sized[]): number | undefined =>
    sizes === wide && running
      ? running(screens[0].widthPx)
      : running
        ? running(screens[1].widthPx)
        : sizes.find(({ selector }) => BODY.test(selector))?.px;
  /** The scales of some sizes: of running text and headings alone, where those are enough to tell; from the size of text at first. */
  const fitted = (sizes: readonly Sized[]): readonly Fitted[] => {
    const told = sizes.filter(({ selector }) => BODY.test(selector) || HEADING.test(selector));
    const isEnough = new Set(told.map(({ px }) => px)).size >= 3;
    const body = bodyOf(sizes);
    const all = fitScales(
      (isEnough ? told : sizes).map(({ px }) => px),
      MOST_FITS,
    );
    const own = body === undefined ? [] : all.filter(({ base }) => Math.abs(base - body) < 0.02);
    const others = all.filter((one) => !own.includes(one));
    const best = own[0] ?? others[0];
    const distinct = [...new Set(sizes.map(({ px }) => px))];
    const score = best ? likelihoodOf(distinct, best, ROUNDED_PX) : -Infinity;
    const meant =
      body === undefined || areRound(distinct) ? undefined : scaleOfNoisy(distinct, body);
    return [
      ...(meant && meant.score > score + 1 ? [meant] : []),
      ...own,
      ...(running ? [] : others),
    ];
  };
  const [atWide, ...others] = fitted(wide);
  if (!atWide) return [];
  const [ownNarrow] = fitted(narrow);
  // Where sizes lie about where they were meant, a phone has few of them: there they are told by their places.
  const onPhone = new Map(narrow.map(({ selector, px }) => [selector, px]));
  const atNarrow = isMeant(atWide)
    ? scaleThrough(
        wide.flatMap(({ selector, px }) => {
          const { place } = placeOf(px, atWide);
          const small = onPhone.get(selector);
          const isNear = Math.abs(px - atWide.base * atWide.ratio ** place) <= OFF_PX;
          return isNear && small !== undefined ? [{ place, px: small }] : [];
        }),
      )
    : ownNarrow;
  const fluid = said.filter((one) =>
    partsOfDeclaration(one).some(({ kind, text }) => kind === 'size' && isFluid(text)),
  ).length;
  const proposed = (onWide: Fitted, onNarrow: Fitted | undefined): Proposed => {
    const base = bodyOf(narrow) ?? onNarrow?.base ?? onWide.base;
    const isOfText = onNarrow !== undefined && Math.abs(onNarrow.base - base) <= OFF_PX;
    const isSame = isOfText && Math.abs(onNarrow.base - base) <= SAME_BASE;
    const low = rounded(
      isOfText && !isSame ? onNarrow : { base, ratio: (isOfText ? onNarrow : onWide).ratio },
    );
    const high = rounded(onWide);
    const { off, places } = explaining(wide, onWide);
    return {
      value:
        scaleWords(low) === scaleWords(high)
          ? scaleWords(high)
          : `${scaleWords(low)} to ${scaleWords(high)}`,
      why: `${wide.length - off.length} of ${wide.length} text sizes are on it${fluid === 0 ? '' : `, ${fluid} of them flow`}`,
      explains: 1 - off.length / wide.length,
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
    };
  };
  const first = proposed(atWide, atNarrow);
  const known = new Set([first.value]);
  return [
    {
      id: 'scale',
      name: 'base size and ratio',
      usual: '16 px × 1.2 to 18 px × 1.25',
      ...first,
      // From the same base another ratio; where text is set otherwise nobody knows it.
      alternatives: others
        .filter(({ base }) => base === atWide.base)
        .map((one) => proposed(one, one))
        .filter(({ value }) => !known.has(value) && known.add(value))
        .toSorted((one, other) => other.explains - one.explains)
        .slice(0, MOST_ALTERNATIVES),
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
  if (found === undefined) return unitFromNoisy(spaces.map(({ px }) => px));
  const proposed = (base: number): Proposed => {
    const off = spaces.filter(
      ({ px }) => Math.abs(px / base - Math.round(px / base)) * base >= 0.02,
    );
    const unit = base < 5 ? base * Math.ceil(5 / base) : base;
    const explains = 1 - off.length / spaces.length;
    return {
      value: unit === base ? `${unit} px` : `${unit} px, halved where it is ${base} px`,
      why: `${percent(explains)} of ${spaces.length} spaces are multiples of ${base} px`,
      explains,
      unexplained: [...new Set(off.map(({ text }) => text))],
      patch: [{ op: 'replace', path: '/space/unit', value: unit }],
    };
  };
  return [
    {
      id: 'unit',
      name: 'unit of space',
      usual: '8 px',
      ...proposed(found),
      alternatives: UNITS.filter((unit) => unit !== found)
        .map(proposed)
        .filter(({ explains }) => explains >= 0.5)
        .toSorted((one, other) => other.explains - one.explains)
        .slice(0, MOST_ALTERNATIVES),
    },
  ];
}

/** The unit of spaces that lie about where they were meant. */
function unitFromNoisy(spaces: readonly number[]): readonly Proposal[] {
  const found = unitOfNoisy(spaces);
  if (!found) return [];
  const { unit, share } = found;
  const off = spaces.filter((px) => Math.abs(px - Math.round(px / unit) * unit) > 1.05);
  return [
    {
      id: 'unit',
      name: 'unit of space',
      value: `${unit} px`,
      usual: '8 px',
      why: `${percent(share)} of ${spaces.length} spaces are within a px of its multiples`,
      explains: share,
      unexplained: [...new Set(off)].map((px) => `${round(px, 2)} px`),
      patch: [
        { op: 'replace', path: '/space/unit', value: unit < 5 ? unit * Math.ceil(5 / unit) : unit },
      ],
    },
  ];
}

/** Units that are usual. Common practice. */
const UNITS = [4, 5, 6, 8, 10] as const;

/** The values that some things have, the most frequent first, each as what could be decided. */
function eachOf(
  values: readonly number[],
  why: (count: number) => string,
  patchTo: (px: number) => Patch,
): readonly Proposed[] {
  const all = counted(values);
  return all.map(([px, count]) => ({
    value: `${px} px`,
    why: why(count),
    explains: count / values.length,
    unexplained: all.flatMap(([other]) => (other === px ? [] : [`${other} px`])),
    patch: patchTo(px),
  }));
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
    // Rounder than anything is high: a pill, which is no corner of a scale.
    const [first, ...others] = eachOf(
      corners.filter((px) => px <= 60),
      (count) => `${count} of ${corners.length} have it`,
      patchTo,
    );
    if (!first) return [];
    return [
      {
        ...{ id, name: `corner of ${id}`, usual: '4 px' },
        ...first,
        alternatives: others.slice(0, MOST_ALTERNATIVES),
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
  // Of each selector the last width holds on a wide screen.
  const bySelector = new Map<string, number>();
  for (const { property, selector, value } of said) {
    if (!/^max-(?:width|inline-size)$/.test(property)) continue;
    const px = pxOn(value, WIDE);
    for (const one of selector.split(',').map((part) => part.trim()))
      if (HELD.test(one) && px !== undefined) bySelector.set(one, Math.round(px));
  }
  const widths = [...bySelector.values()].filter((px) => px >= 700 && px <= 2000);
  const [first, ...others] = eachOf(
    widths,
    (count) => `${count} of ${widths.length} that hold pages are so wide`,
    (px) => [{ op: 'replace', path: '/layout/grid/at/wide/container', value: px }],
  );
  if (!first) return [];
  return [
    {
      ...{ id: 'container', name: 'widest content', usual: '1080 px' },
      ...first,
      alternatives: others.slice(0, MOST_ALTERNATIVES),
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

/** The screens that sizes flow between: those of a new system, where nothing flows. */
function flowWidths([flow]: readonly Proposal[]): readonly [number, number] {
  const [from, to] = (flow?.patch ?? []).flatMap((one) =>
    'value' in one && typeof one.value === 'number' ? [one.value] : [],
  );
  return from !== undefined && to !== undefined ? [from, to] : [NARROW.widthPx, WIDE.widthPx];
}

/** What one acts on, and how it answers: the states of a new system, by what selectors tell them with. */
const ACTS = [
  ['action', 'color of what acts', undefined],
  ['action-hover', 'its color where it is pointed at', /:hover/gi],
  ['action-pressed', 'its color where it is pressed', /:active/gi],
] as const;

/** The colors of what acts, at rest and in its states, as the rules have them. */
function actionFrom(said: readonly Said[]): readonly Proposal[] {
  const grounds = said.flatMap((one) => {
    if (!/^background(?:-color)?$/.test(one.property)) return [];
    const [hex] = partsOfDeclaration(one).flatMap(({ kind, text }) => {
      const color = kind === 'color' ? measured('color', text, { widthsPx: [1440] }) : undefined;
      return color?.kind === 'color' && color.alpha === 1 ? [color.hex] : [];
    });
    return hex === undefined
      ? []
      : one.selector
          .split(/,(?![^(]*\))/)
          .map((part) => part.trim())
          .filter((part) => ACTING.test(part))
          .map((selector) => ({ selector, hex }));
  });
  const atRest = new Map(
    grounds
      .filter(({ selector }) => !ON_TOUCH.test(selector))
      .map(({ selector, hex }) => [selector, hex]),
  );
  const vivid = [...atRest.values()].filter((hex) => chromaOf(hex) >= GRAY_CHROMA);
  const [rest] = mostOften(vivid) ?? [];
  if (rest === undefined) return [];
  return ACTS.flatMap(([id, name, sign]): readonly Proposal[] => {
    const own =
      sign === undefined
        ? [...atRest.values()]
        : grounds
            .filter(
              ({ selector }) =>
                selector.search(sign) >= 0 && atRest.get(selector.replaceAll(sign, '')) === rest,
            )
            .map(({ hex }) => hex);
    const [hex, count] =
      sign === undefined
        ? [rest, vivid.filter((one) => one === rest).length]
        : (mostOften(own) ?? []);
    if (hex === undefined || count === undefined || (sign !== undefined && hex === rest)) return [];
    return [
      {
        ...{ id, name, value: hex, usual: 'a rung of the brand' },
        why: `${count} of ${own.length} rules of what is pressed have it`,
        explains: count / own.length,
        unexplained: [...new Set(own)].filter((other) => other !== hex),
        patch: [
          {
            op: 'replace',
            path: `/color/roles/items/${id}/light`,
            value: { kind: 'own', value: hex },
          },
        ],
      },
    ];
  });
}

/** What a new system takes as colors of the brand at most. */
export const MOST_BRAND_COLORS = 8;

/**
 * What of a system can be found in some style sheets: each proposal with its figures and with what it does not explain.
 * Sheets alone are read; what covers how much of a page is not known.
 * @param apart colors that are not joined to others, however near
 * @param running the size of running text, where a page shows it; where absent it is that of the body’s rules
 */
export function inferredFrom(
  sheets: readonly ReadSheet[],
  apart: ReadonlySet<string> = new Set(),
  running?: RunningText,
): Inferred {
  const said = saidIn(sheets);
  const onWide = said.filter(({ isNarrow }) => !isNarrow);
  const flow = flowFrom(onWide);
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
      ...scaleFrom(said, flowWidths(flow), running),
      ...flow,
      ...unitFrom(onWide),
      ...breakpointsFrom(sheets),
      ...gridFrom(onWide),
      ...cornersFrom(onWide),
      ...containerFrom(onWide),
      ...lightFrom(onWide),
      ...actionFrom(onWide),
    ],
    colors: [
      ...vivid.filter(({ use }) => use === 'action'),
      ...vivid.filter(({ use }) => use !== 'action'),
    ],
    ramps: rampsIn(vivid.map(({ hex }) => hex)),
    components: componentsRead(sheets),
    neutrals: colors.filter(({ isNeutral }) => isNeutral),
    faces: [...faces].toSorted(([, one], [, other]) => other - one),
  };
}

/** As long a description of a system can be. */
const LONGEST_TRAIL = LONGEST_WORDS;

/** What a system says of where its decisions were read, for its description. */
export function readFrom(files: readonly string[], taken: readonly Proposal[]): string {
  const names = files.slice(0, 3).join(', ') + (files.length > 3 ? ' and others' : '');
  const told = `Read from ${names}.`;
  const sentences = taken.map(
    ({ name, value, why }) => `${name.charAt(0).toUpperCase()}${name.slice(1)}: ${value} (${why}).`,
  );
  // Where the reasons are too long for it, the decisions themselves are told.
  const short = taken.map(({ name, value }) => `${name}: ${value}`);
  return [[told, ...sentences].join(' '), `${told} ${short.join('; ')}.`]
    .map((text, index) => (index === 0 ? text : text.slice(0, LONGEST_TRAIL)))
    .find((text) => text.length <= LONGEST_TRAIL) as string;
}
