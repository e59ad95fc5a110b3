import { contrastRatio } from '../color/contrast.ts';
import { differenceOf } from '../color/difference.ts';
import { oklabOf, oklchOf } from '../color/oklab.ts';
import { rgbOf, type Hex } from '../color/srgb.ts';
import type { Patch } from '../system/patch.ts';
import type { Proposal } from './proposal.ts';
import {
  componentOf,
  groundSeen,
  opaqueOf,
  ownGround,
  wordsArea,
  type SeenElement,
} from './seen.ts';

/** Nearer than this after CIEDE2000 two colors are one here. Common practice. */
const SAME = 1.5;
/** More chroma of OKLCH than this has a color of a brand rather than a ground, words or a line. Common practice. */
const MOST_CHROMA = 0.06;
/** Darker pages than this lightness of OKLab are dark by themselves. Common practice. */
const LIGHT_FROM = 0.6;
/** A surface is about as light as its page, in OKLab. Common practice. */
const NEAR_PAGE = 0.37;
/** So much of what covers most is a good part as well. Common practice. */
const GOOD_PART = 0.25;
/** Words that stand out less than this are no words of the page. Common practice. */
const LEAST_CONTRAST = 2;
/** White words on it are read. Source: WCAG 2.2, 1.4.3, AA. */
const ON_WHITE = 4.5;
/** Less of a page than this is no ground of its own. Common practice. */
const LEAST_BAND = 0.02;
/** Less of all words than this is no role of its own. Common practice. */
const LEAST_SHARE = 0.01;

const lchOf = (hex: Hex) => oklchOf(oklabOf(rgbOf(hex)));

/** Colors with how much each covers, near ones counted with the larger, the largest first. */
function largest(found: readonly (readonly [hex: Hex, area: number])[]): readonly [Hex, number][] {
  const sums = new Map<Hex, number>();
  for (const [hex, area] of found) sums.set(hex, (sums.get(hex) ?? 0) + area);
  const heads: [Hex, number][] = [];
  for (const [hex, area] of [...sums].toSorted(([, one], [, other]) => other - one)) {
    const head = heads.find(([known]) => differenceOf(known, hex) <= SAME);
    if (head) head[1] += area;
    else heads.push([hex, area]);
  }
  return heads.toSorted(([, one], [, other]) => other - one);
}

const areaOf = ({ box: { width, height } }: SeenElement): number => width * height;
const share = (part: number, all: number): string =>
  `${Math.max(1, Math.round((100 * part) / all))} %`;

const LINK_PADDING_PX = 4;
/** Whether a link looks like words, not like a button. */
const isPlainLink = ({ isLink, edges, padding, hasOwnGround, level }: SeenElement): boolean =>
  isLink &&
  level === undefined &&
  !hasOwnGround &&
  edges.length === 0 &&
  Math.max(...padding) < LINK_PADDING_PX;

interface Found {
  readonly id: Proposal['id'];
  readonly name: string;
  readonly hex: Hex;
  readonly why: string;
  readonly explains: number;
  /** Others of the same kind that it leaves out. */
  readonly others: readonly Hex[];
}

const MOST_OTHERS = 6;

/** What a new system takes for a role: a rung of its grays or of the brand. */
const USUAL: Readonly<Partial<Record<Proposal['id'], string>>> = {
  page: 'gray 1',
  surface: 'gray 2',
  support: 'a companion of the brand',
  text: 'gray 15',
  quiet: 'gray 11',
  link: 'brand 11',
  line: 'gray 4',
};

/** A role of the colors, decided for the theme that the page is in; the other one follows from the ramps. */
const proposed = (
  { id, name, hex, why, explains, others }: Found,
  isDarkPage: boolean,
): Proposal => ({
  id,
  name,
  value: hex,
  usual: USUAL[id] ?? 'a rung of its ramp',
  why,
  explains,
  unexplained: others.slice(0, MOST_OTHERS),
  patch: [
    {
      op: 'replace',
      path: `/color/roles/items/${id}/${isDarkPage ? 'dark' : 'light'}`,
      value: { kind: 'own', value: hex },
    },
    // A page that is dark by itself is of a site that is dark first.
    ...(isDarkPage && id === 'page'
      ? [{ op: 'add' as const, path: '/color/themes', value: 'dark first' }]
      : []),
  ],
});

const isQuietColor = ([hex]: readonly [Hex, number]): boolean => lchOf(hex).chroma < MOST_CHROMA;

/** The roles of the colors from what they do on a page, and on how much of it. */
function colorRoles(seen: readonly SeenElement[]): readonly Proposal[] {
  const all = Math.max(1, ...seen.map(areaOf));
  const grounds = largest(
    seen.flatMap((one): readonly (readonly [Hex, number])[] => {
      const own = opaqueOf(one.grounds[0]);
      const isOwn = own !== undefined && one.hasOwnGround;
      return isOwn ? [[own, Math.min(all, areaOf(one))]] : [];
    }),
  );
  const [page, pageArea] = grounds[0] ?? (['#ffffff', all] as const);
  const pageLightness = lchOf(page).lightness;
  const isDarkPage = pageLightness < LIGHT_FROM;
  /** Whether a color lies behind words as the page does: about as light, and hardly a color. */
  const isLikePage = (hex: Hex): boolean =>
    isQuietColor([hex, 0]) && Math.abs(lchOf(hex).lightness - pageLightness) <= NEAR_PAGE;
  const found: Found[] = [
    {
      id: 'page',
      name: 'color of the page',
      hex: page,
      why: `it lies behind ${share(Math.min(all, pageArea), all)} of the page`,
      explains: Math.min(1, pageArea / all),
      others: grounds.slice(1).map(([hex]) => hex),
    },
  ];
  const surface = grounds.slice(1).find(([hex]) => isLikePage(hex));
  if (surface)
    found.push({
      id: 'surface',
      name: 'color of surfaces',
      hex: surface[0],
      why: `it is the largest ground on the page, ${share(Math.min(all, surface[1]), all)} of it`,
      explains: Math.min(1, surface[1] / all),
      others: [],
    });
  const bands = largest(
    seen.flatMap((one): readonly (readonly [Hex, number])[] => {
      const own = ownGround(one);
      const isBand = own !== undefined && componentOf(one) !== 'button' && !isQuietColor([own, 0]);
      return isBand ? [[own, Math.min(all, areaOf(one))]] : [];
    }),
  );
  // White stands on what supports the brand in a new system.
  const support = bands.find(([hex]) => contrastRatio('#ffffff', hex) >= ON_WHITE);
  if (support && support[1] / all >= LEAST_BAND)
    found.push({
      id: 'support',
      name: 'color of grounds of the brand',
      hex: support[0],
      why: `it lies behind ${share(Math.min(all, support[1]), all)} of the page, and is no button`,
      explains: support[1] / bands.reduce((sum, [, area]) => sum + area, 0),
      others: bands.filter((one) => one !== support).map(([hex]) => hex),
    });
  // Words on the page and its surfaces: those on grounds of the brand have other colors.
  const isPlain = (one: SeenElement): boolean => {
    const ground = one.isOverPicture ? undefined : groundSeen(one.grounds);
    return ground !== undefined && isLikePage(ground);
  };
  const onPage = seen.filter((one) => one.signs > 0 && isPlain(one));
  const wordsOf = (list: readonly SeenElement[]): readonly [Hex, number][] =>
    largest(
      list.flatMap((one): readonly (readonly [Hex, number])[] => {
        const hex = opaqueOf(one.color);
        return hex === undefined ? [] : [[hex, wordsArea(one)]];
      }),
    );
  const texts = wordsOf(
    onPage.filter((one) => !one.isLink && one.level === undefined && one.acts === undefined),
  );
  const total = texts.reduce((sum, [, area]) => sum + area, 0);
  // The one that stands out most of those that cover a good part: what is fainter is quiet, however much there is of it.
  const [text] = texts
    .filter(([, area]) => area >= GOOD_PART * (texts[0]?.[1] ?? 0))
    .toSorted(([one], [other]) => contrastRatio(other, page) - contrastRatio(one, page));
  if (text) {
    found.push({
      id: 'text',
      name: 'color of text',
      hex: text[0],
      why: `${share(text[1], total)} of running words have it`,
      explains: text[1] / total,
      others: texts.filter((one) => one !== text).map(([hex]) => hex),
    });
    const quiet = texts.find(
      ([hex, area]) =>
        isQuietColor([hex, 0]) &&
        area / total >= LEAST_SHARE &&
        contrastRatio(hex, page) >= LEAST_CONTRAST &&
        contrastRatio(hex, page) < contrastRatio(text[0], page) - 1,
    );
    if (quiet)
      found.push({
        id: 'quiet',
        name: 'color of quiet text',
        hex: quiet[0],
        why: `${share(quiet[1], total)} of running words have it, and stand out less`,
        explains: quiet[1] / total,
        others: [],
      });
  }
  const links = wordsOf(onPage.filter(isPlainLink)).filter(([hex]) => hex !== text?.[0]);
  const linked = links.reduce((sum, [, area]) => sum + area, 0);
  const [link] = links;
  if (link)
    found.push({
      id: 'link',
      name: 'color of links',
      hex: link[0],
      why: `${share(link[1], linked)} of the links among words have it`,
      explains: link[1] / linked,
      others: links.slice(1).map(([hex]) => hex),
    });
  // A line through which the ground shines is told as it is seen there.
  const lines = largest(
    seen.flatMap((one) =>
      one.edges.flatMap(({ px, color }): readonly (readonly [Hex, number])[] => {
        const hex = groundSeen([color, ...one.grounds]);
        return hex === undefined || one.isOverPicture
          ? []
          : [[hex, px * Math.max(one.box.width, one.box.height)]];
      }),
    ),
  ).filter(isQuietColor);
  const drawn = lines.reduce((sum, [, area]) => sum + area, 0);
  const [line] = lines;
  if (line && line[0] !== text?.[0])
    found.push({
      id: 'line',
      name: 'color of lines',
      hex: line[0],
      why: `${share(line[1], drawn)} of the lines have it`,
      explains: line[1] / drawn,
      others: lines.slice(1).map(([hex]) => hex),
    });
  return found.map((one) => proposed(one, isDarkPage));
}

const round = (value: number, digits: number): number => Number(value.toFixed(digits));

/** The value in the middle, each counted as often as its weight says. */
function middle(values: readonly (readonly [value: number, weight: number])[]): number | undefined {
  const sorted = values.toSorted(([one], [other]) => one - other);
  const half = sorted.reduce((sum, [, weight]) => sum + weight, 0) / 2;
  let sum = 0;
  for (const [value, weight] of sorted) {
    sum += weight;
    if (sum >= half) return value;
  }
  return undefined;
}

/** A new system allows no more; what lies outside is no line height of text. Source: the limits of the document. */
const LINE_HEIGHTS = [0.8, 3] as const;
const SPACINGS = [-0.2, 0.5] as const;
const HEADINGS = [1, 2, 3, 4, 5, 6] as const;

const isWithin = (value: number, [low, high]: readonly [number, number]): boolean =>
  value >= low && value <= high;

/** How some words are set: the line height by their size, and their spacing in em. */
interface Setting {
  readonly height: number;
  readonly apart: number;
  /** How many are set so, and those that are set otherwise. */
  readonly count: number;
  readonly others: readonly string[];
}

const ratioOf = ({ lineHeightPx, sizePx }: SeenElement): number =>
  round((lineHeightPx ?? 0) / sizePx, 2);

/** How most of some words are set; nothing where their lines follow the face, or are no lines of text. */
function settingOf(list: readonly SeenElement[]): Setting | undefined {
  const told = list.filter((one) => one.lineHeightPx !== undefined && one.sizePx > 0);
  const height = middle(told.map((one) => [ratioOf(one), wordsArea(one)]));
  const apart = middle(told.map((one) => [one.letterSpacingPx / one.sizePx, wordsArea(one)]));
  if (height === undefined || apart === undefined || !isWithin(height, LINE_HEIGHTS))
    return undefined;
  const others = told.filter((one) => Math.abs(ratioOf(one) - height) >= 0.03);
  return {
    height,
    apart: isWithin(apart, SPACINGS) ? round(apart, 3) : 0,
    count: told.length - others.length,
    others: [...new Set(others.map((one) => `${ratioOf(one)}, ${one.name}`))],
  };
}

const settingWords = ({ height, apart }: Setting): string =>
  `${height}${apart === 0 ? '' : `, ${apart} em apart`}`;

const settingPatch = (role: string, { height, apart }: Setting): Patch => [
  { op: 'add', path: `/type/roles/items/${role}/lineHeight`, value: height },
  ...(apart === 0
    ? []
    : [{ op: 'add' as const, path: `/type/roles/items/${role}/letterSpacing`, value: apart }]),
];

const MANY_LINES = 1.5;
/** Whether words go over several lines: a label says nothing of how text is set. */
function isOverLines({ box, padding, edges, lineHeightPx }: SeenElement): boolean {
  const around =
    (padding[0] ?? 0) + (padding[2] ?? 0) + edges.reduce((sum, { px }) => sum + px, 0) / 2;
  return lineHeightPx !== undefined && box.height - around > MANY_LINES * lineHeightPx;
}

/** Line heights and letter spacing of running text and of headings, as they are shown. */
function linesFrom(seen: readonly SeenElement[]): readonly Proposal[] {
  const words = seen.filter(({ signs }) => signs > 0);
  const headings = HEADINGS.flatMap((level) => {
    const setting = settingOf(words.filter((one) => one.level === level));
    return setting ? [{ level, setting }] : [];
  });
  const text = settingOf(
    words.filter((one) => one.level === undefined && !one.isLink && isOverLines(one)),
  );
  const proposal = (
    said: Pick<Proposal, 'id' | 'name' | 'value' | 'patch'>,
    settings: readonly Setting[],
  ): Proposal => {
    const count = settings.reduce((sum, one) => sum + one.count, 0);
    const others = settings.flatMap((one) => one.others);
    return {
      ...said,
      usual: 'by size and face',
      why: `${count} of ${count + others.length} are set so`,
      explains: count / (count + others.length),
      unexplained: others,
    };
  };
  return [
    ...(headings.length === 0
      ? []
      : [
          proposal(
            {
              id: 'heading lines',
              name: 'line height of headings',
              value: headings
                .map(({ level, setting }) => `h${level} ${settingWords(setting)}`)
                .join('; '),
              patch: headings.flatMap(({ level, setting }) => settingPatch(`h${level}`, setting)),
            },
            headings.map(({ setting }) => setting),
          ),
        ]),
    ...(text
      ? [
          proposal(
            {
              id: 'text lines',
              name: 'line height of text',
              value: settingWords(text),
              patch: settingPatch('body', text),
            },
            [text],
          ),
        ]
      : []),
  ];
}

/** What of a system a page shows, beyond what its sheets say: roles of colors by area, and how text is set. */
export const rolesSeen = (seen: readonly SeenElement[]): readonly Proposal[] => [
  ...colorRoles(seen),
  ...linesFrom(seen),
];
