import type { TextStyle } from '../derive/derived.ts';
import { fluidPx, kneesOf } from '../type/fluid.ts';
import { inOrder, type StyleDocument } from '../system/document.ts';
import { checkOf, type Finding, type Repair } from './finding.ts';

const LEVELS = ['h1', 'h2', 'h3', 'h4', 'h5', 'h6'] as const;
const NARROWEST = 240;
const WIDEST = 5120;
/** The emitted numbers have four decimals of a rem: less than that is no difference. */
const SLACK_PX = 0.002;

/**
 * The widths at which one text is smaller than another, or undefined. Between two knees both sizes
 * run straight, so that looking at the knees and at the crossings between them misses nothing.
 */
export function smallerStretch(
  upper: TextStyle,
  lower: TextStyle,
): { readonly fromPx: number; readonly toPx: number; readonly worstPx: number } | undefined {
  const gap = (width: number): number => fluidPx(upper.size, width) - fluidPx(lower.size, width);
  const knees = [...kneesOf(upper.size), ...kneesOf(lower.size)];
  const stops = [NARROWEST, WIDEST, ...knees]
    .filter((width) => width >= NARROWEST && width <= WIDEST)
    .sort((one, other) => one - other);
  const crossing = (low: number, high: number): number =>
    low + ((high - low) * gap(low)) / (gap(low) - gap(high));
  const short = stops.filter((stop) => gap(stop) < -SLACK_PX);
  const [first] = short;
  const last = short.at(-1);
  if (first === undefined || last === undefined) return undefined;
  const before = stops[stops.indexOf(first) - 1];
  const after = stops[stops.lastIndexOf(last) + 1];
  return {
    fromPx: before !== undefined && gap(before) > 0 ? crossing(before, first) : first,
    toPx: after !== undefined && gap(after) > 0 ? crossing(last, after) : last,
    worstPx: short.reduce((worst, stop) => (gap(stop) < gap(worst) ? stop : worst), first),
  };
}

const px = (value: number): string => `${Number(value.toFixed(1))} px`;

const widths = (from: number, to: number): string => {
  if (from <= NARROWEST && to >= WIDEST) return 'at every width';
  if (from <= NARROWEST) return `below ${Math.ceil(to)} px`;
  if (to >= WIDEST) return `from ${Math.floor(from)} px up`;
  return `between ${Math.floor(from)} and ${Math.ceil(to)} px`;
};

/**
 * Where sizes were decided by themselves another place changes nothing: the lower level is held to
 * the upper one's size at every anchor where it is larger.
 */
function heldUnder(
  { type }: Pick<StyleDocument, 'type'>,
  upper: TextStyle,
  lower: TextStyle,
  atPx: number,
): Repair {
  const path = `/type/roles/items/${lower.id}/sizes`;
  const known = type.roles.items[lower.id]?.sizes;
  const sizes = Object.fromEntries(
    inOrder(type.anchors).flatMap(([id, { width }]) => {
      const most = Number(fluidPx(upper.size, width).toFixed(2));
      return fluidPx(lower.size, width) > most ? [[id, most]] : [];
    }),
  );
  return {
    label: `${lower.name} no larger than ${upper.name}`,
    patch: known
      ? Object.entries(sizes).map(([id, value]) => ({ op: 'add', path: `${path}/${id}`, value }))
      : [{ op: 'add', path, value: sizes }],
    before: px(fluidPx(lower.size, atPx)),
    after: px(fluidPx(upper.size, atPx)),
  };
}

/** No heading level is smaller than the one below it, at any width. */
export const headingOrderCheck = checkOf(['type'], ['styles'], (document, { styles }) =>
  LEVELS.slice(0, -1).flatMap((level, index): Finding[] => {
    const below = LEVELS[index + 1];
    const upper = styles.get(level);
    const lower = below === undefined ? undefined : styles.get(below);
    if (!upper || !lower) return [];
    const stretch = smallerStretch(upper, lower);
    if (!stretch) return [];
    const path = `/type/roles/items/${level}/place`;
    const at = stretch.worstPx;
    return [
      {
        id: `order:${level}`,
        severity: 'repair',
        area: 'type',
        decision: path,
        title: `${upper.name} is smaller than ${lower.name} ${widths(stretch.fromPx, stretch.toPx)}`,
        figures: `${px(fluidPx(upper.size, at))} under ${px(fluidPx(lower.size, at))} at ${Math.round(at)} px`,
        reason: 'Readers take the larger heading for the more important one.',
        source: 'common practice',
        where: { selector: `.type-${upper.slug}`, widthPx: Math.round(at) },
        repair:
          upper.ownSize || lower.ownSize
            ? heldUnder(document, upper, lower, at)
            : {
                label: `${upper.name} to the place of ${lower.name}`,
                patch: [{ op: 'replace', path, value: lower.place }],
                before: px(fluidPx(upper.size, at)),
                after: px(fluidPx(lower.size, at)),
              },
        ...(upper.ownSize || lower.ownSize
          ? {}
          : {
              ways: [
                {
                  label: `${upper.name} and ${lower.name} change places`,
                  patch: [
                    { op: 'replace' as const, path, value: lower.place },
                    {
                      op: 'replace' as const,
                      path: `/type/roles/items/${lower.id}/place`,
                      value: upper.place,
                    },
                  ],
                  before: `places ${upper.place} and ${lower.place}`,
                  after: `places ${lower.place} and ${upper.place}`,
                },
                {
                  label: `${upper.name} one place above ${lower.name}`,
                  patch: [{ op: 'replace' as const, path, value: lower.place + 1 }],
                  before: `place ${upper.place}`,
                  after: `place ${lower.place + 1}`,
                },
              ],
            }),
      },
    ];
  }),
);

/** Levels that differ by less are hard to tell apart. Common practice. */
const LEAST_DIFFERENCE = 0.08;

/** Neighboring heading levels differ enough to be told apart, at every width. */
export const closeLevelsCheck = checkOf([], ['styles'], (_, { styles }) =>
  LEVELS.slice(0, -1).flatMap((level, index): Finding[] => {
    const upper = styles.get(level);
    const lower = styles.get(LEVELS[index + 1] ?? '');
    if (!upper || !lower || smallerStretch(upper, lower)) return [];
    const share = (width: number): number =>
      fluidPx(upper.size, width) / fluidPx(lower.size, width) - 1;
    const knees = [...kneesOf(upper.size), ...kneesOf(lower.size)];
    const at = [NARROWEST, ...knees.filter((knee) => knee > NARROWEST), WIDEST].reduce(
      (least, width) => (share(width) < share(least) ? width : least),
    );
    if (share(at) >= LEAST_DIFFERENCE) return [];
    return [
      {
        id: `close:${level}`,
        severity: 'look',
        area: 'type',
        decision: `/type/roles/items/${level}/place`,
        title: `${upper.name} and ${lower.name} are nearly the same size`,
        figures: `${px(fluidPx(upper.size, at))} and ${px(fluidPx(lower.size, at))} at ${Math.round(at)} px: ${(share(at) * 100).toFixed(1)} % apart`,
        reason: 'Levels that look alike are not seen as levels.',
        source: `common practice: ${LEAST_DIFFERENCE * 100} % at least`,
        where: { selector: `.type-${upper.slug}`, widthPx: Math.min(1600, Math.round(at)) },
      },
    ];
  }),
);
