import { pxOn } from './lengths.ts';
import { measured } from './measured.ts';
import { MOST_ALTERNATIVES, type Proposal, type Proposed } from './proposal.ts';
import type { ReadSheet } from './read-sheet.ts';
import { counted, round, WIDE, type Said } from './said.ts';
import { partsOfDeclaration } from './values.ts';

/** Screens between which a size may flow, in px. */
const [FIRST_PX, LAST_PX] = [200, 2400] as const;
const SCREEN = { heightPx: 900, rootPx: 16 };

/** From where to where a length grows with the screen; nothing where it does not, or is not known. */
function flowOf(text: string): readonly [fromPx: number, toPx: number] | undefined {
  const at = (widthPx: number): number | undefined => pxOn(text, { ...SCREEN, widthPx });
  const [first, last] = [at(FIRST_PX), at(LAST_PX)];
  if (first === undefined || last === undefined || last - first < 0.5) return undefined;
  /** The widest screen up to which something holds that holds no more from some width on. */
  const border = (holds: (px: number) => boolean): number => {
    let [low, high]: [number, number] = [FIRST_PX, LAST_PX];
    while (high - low > 1) {
      const middle = Math.round((low + high) / 2);
      if (holds(at(middle) ?? first)) low = middle;
      else high = middle;
    }
    return low;
  };
  return [border((px) => px - first < 0.005), border((px) => last - px > 0.005) + 1];
}

/** Widths are told as somebody has meant them: a border is found within a px. */
const near = (px: number): number =>
  Math.abs(px - Math.round(px / 10) * 10) <= 2 ? Math.round(px / 10) * 10 : px;

/** Between which screens the sizes of text flow: the widths of the two anchors. */
export function flowFrom(said: readonly Said[]): readonly Proposal[] {
  const sizes = said.flatMap((one) =>
    partsOfDeclaration(one).flatMap(({ kind, text }) => (kind === 'size' ? [text] : [])),
  );
  const flows = sizes.flatMap((text) => {
    const flow = /v(?:w|i|min|max)\b/i.test(text) ? flowOf(text) : undefined;
    return flow ? [`${near(flow[0])} to ${near(flow[1])} px`] : [];
  });
  const all = counted(flows);
  const proposed = (value: string, count: number): Proposed => {
    const [from = 0, to = 0] = value.split(/ to | px/).map(Number);
    return {
      value,
      why: `${count} of ${flows.length} sizes that flow grow between these, of ${sizes.length} sizes in all`,
      explains: count / flows.length,
      unexplained: all.map(([other]) => other).filter((other) => other !== value),
      patch: [
        { op: 'replace', path: '/type/anchors/items/narrow/width', value: from },
        { op: 'replace', path: '/type/anchors/items/wide/width', value: to },
      ],
    };
  };
  // What is not held on either side flows over all screens: there are no anchors in it.
  const held = all.filter(([value]) => {
    const [from = 0, to = 0] = value.split(/ to | px/).map(Number);
    return from > FIRST_PX + 2 && to < LAST_PX - 2 && to - from >= 100;
  });
  const [first, ...others] = held;
  if (!first) return [];
  return [
    {
      id: 'flow',
      name: 'screens that sizes flow between',
      usual: '360 to 1440 px',
      ...proposed(...first),
      alternatives: others.slice(0, MOST_ALTERNATIVES).map((one) => proposed(...one)),
    },
  ];
}

/**
 * Where something ends that holds up to a width: what holds up to 767 px ends where 768 begins. A round width is meant
 * as it stands. Common practice.
 */
const endOf = (px: number): number => (px % 5 === 0 || px % 8 === 0 ? px : Math.floor(px) + 1);

/** The breakpoints that a condition tells of. */
const conditionsIn = (within: string): readonly number[] => {
  const px = (number: string, unit: string): number =>
    Number(number) * (unit.toLowerCase() === 'px' ? 1 : SCREEN.rootPx);
  return [
    ...[...within.matchAll(/\((min|max)-width\s*:\s*([\d.]+)(px|r?em)\)/gi)].map(
      ([, bound = '', number = '', unit = '']) =>
        bound.toLowerCase() === 'min' ? px(number, unit) : endOf(px(number, unit)),
    ),
    ...[...within.matchAll(/(?:^|[^\w-])width\s*(>=|<=|>|<)\s*([\d.]+)(px|r?em)/gi)].map(
      ([, sign = '', number = '', unit = '']) =>
        sign === '<=' || sign === '>' ? endOf(px(number, unit)) : px(number, unit),
    ),
  ];
};

const MOST_BREAKPOINTS = 5;
/** Nothing is held to a phone’s width and below. */
const LEAST_BREAKPOINT = 400;

/** The widths of screens at which sheets change something, and how often; the most usual first. */
export function breakpointsIn(
  sheets: readonly ReadSheet[],
): readonly (readonly [px: number, places: number])[] {
  const found = sheets.flatMap(({ declarations }) =>
    declarations.flatMap(({ within }) => [
      ...new Set(
        within
          .filter((one) => /^@media/i.test(one) && !/print/i.test(one))
          .flatMap(conditionsIn)
          .map((px) => round(px, 2)),
      ),
    ]),
  );
  const all = counted(found).filter(([px]) => px >= 200 && px <= 4000);
  // What one rule holds up to is where another begins: they are one, told by the second.
  return all
    .filter(([px]) => !all.some(([other]) => other > px && other - px <= 1))
    .map(([px, count]): readonly [number, number] => [
      px,
      count +
        all.reduce((sum, [other, more]) => (other < px && px - other <= 1 ? sum + more : sum), 0),
    ])
    .toSorted(([, one], [, other]) => other - one);
}

/** The breakpoints: the two that most is changed at, and others that much is. */
export function breakpointsFrom(sheets: readonly ReadSheet[]): readonly Proposal[] {
  const all = breakpointsIn(sheets).filter(([px]) => px >= LEAST_BREAKPOINT);
  const places = all.reduce((sum, [, count]) => sum + count, 0);
  const taken = all.filter(([, count]) => count >= 0.05 * places).slice(0, MOST_BREAKPOINTS);
  if (taken.length === 0) return [];
  const widths = taken.map(([px]) => px).toSorted((one, other) => one - other);
  // A new system knows a medium and a wide screen; the others stand between them and around.
  const wide =
    widths.length === 1 && (widths[0] ?? 0) < 900
      ? undefined
      : (widths.find((px) => px >= 900) ?? widths.at(-1));
  const medium = widths.findLast((px) => wide === undefined || px < wide);
  const named = new Map([
    ...(medium === undefined ? [] : [[medium, 'medium'] as const]),
    ...(wide === undefined ? [] : [[wide, 'wide'] as const]),
  ]);
  const wideOr = wide ?? Math.max(1080, (medium ?? 0) + 200);
  const mediumOr = medium ?? Math.min(720, wideOr - 200);
  const others = widths.filter((px) => !named.has(px));
  const order = [
    ...[
      [mediumOr, 'medium'] as const,
      [wideOr, 'wide'] as const,
      ...others.map((px) => [px, `at-${String(px).replace('.', '-')}`] as const),
    ],
  ].toSorted(([one], [other]) => one - other);
  const counts = taken.reduce((sum, [, count]) => sum + count, 0);
  return [
    {
      id: 'breakpoints',
      name: 'breakpoints',
      value: `${widths.join(', ')} px`,
      usual: '720, 1080 px',
      why: `${counts} of ${places} values that a screen changes change there`,
      explains: counts / places,
      unexplained: all.filter((one) => !taken.includes(one)).map(([px]) => `${px} px`),
      patch: [
        { op: 'replace', path: '/layout/breakpoints/items/medium/width', value: mediumOr },
        { op: 'replace', path: '/layout/breakpoints/items/wide/width', value: wideOr },
        ...order
          .filter(([, id]) => id !== 'medium' && id !== 'wide')
          .map(([px, id]) => ({
            op: 'add' as const,
            path: `/layout/breakpoints/items/${id}`,
            value: { name: `${px} px`, width: px },
          })),
        { op: 'replace', path: '/layout/breakpoints/order', value: order.map(([, id]) => id) },
      ],
    },
  ];
}

/** Numbers of columns that grids have. Common practice. */
const COLUMNS = [12, 16, 10, 9, 8, 6] as const;
const LEAST_SHARES = 5;

/** The columns of the grid, and what lies between them. */
export function gridFrom(said: readonly Said[]): readonly Proposal[] {
  const tracks = said.flatMap(({ property, value }) =>
    property === 'grid-template-columns'
      ? [...value.matchAll(/repeat\(\s*(\d+)\s*,/g)].map(([, count]) => Number(count))
      : [],
  );
  const shares = said.flatMap(({ property, value }) =>
    /^(?:width|max-width|flex-basis|flex|inline-size)$/.test(property)
      ? [...value.matchAll(/(?<![\w.-])([\d.]+)%/g)].map(([, share]) => Number(share))
      : [],
  );
  const uneven = shares.filter((share) => share > 0 && share < 100);
  const fits = (share: number, columns: number): boolean => {
    const place = (share / 100) * columns;
    return Math.abs(place - Math.round(place)) < 0.002 * columns;
  };
  const direct = tracks.filter((count) => count >= 6 && count <= 24);
  const [most] =
    counted(direct).toSorted(
      ([columns, one], [others, other]) => other - one || others - columns,
    )[0] ?? [];
  const byShare = COLUMNS.map((columns) => {
    const count = uneven.filter((share) => fits(share, columns)).length;
    // Halves and quarters are of every grid: one with columns of its own is told by its own shares.
    const own = new Set(
      uneven
        .filter((share) => fits(share, columns) && !fits(share, 4))
        .map((share) => round(share, 1)),
    );
    return { columns, count, own: own.size };
  })
    .filter(({ count, own }) => own >= LEAST_SHARES && count >= 0.7 * uneven.length)
    .toSorted((one, other) => other.count - one.count)[0];
  const columns = most ?? byShare?.columns;
  const patchTo = (count: number): Proposed['patch'] => [
    { op: 'replace', path: '/layout/grid/at/wide/columns', value: count },
  ];
  const gaps = said.flatMap((one) =>
    /^(?:column-|grid-column-)?gap$|^grid-gap$/.test(one.property)
      ? partsOfDeclaration(one)
          .filter(({ kind }) => kind === 'space')
          .map(({ text }) => pxOn(text, WIDE))
          .slice(-1)
      : [],
  );
  const gutters = gaps.flatMap((px) =>
    px === undefined || px < 8 || px > 120 ? [] : [round(px, 2)],
  );
  const all = counted(gutters);
  const gutter = (px: number, count: number): Proposed => ({
    value: `${px} px`,
    why: `${count} of ${gutters.length} gaps between columns are so wide`,
    explains: count / gutters.length,
    unexplained: all
      .map(([other]) => other)
      .filter((other) => other !== px)
      .map((other) => `${other} px`),
    patch: [{ op: 'replace', path: '/layout/grid/base/gutter', value: px }],
  });
  const [first, ...others] = all;
  return [
    ...(columns === undefined
      ? []
      : [
          {
            id: 'columns' as const,
            name: 'columns of a wide screen',
            value: String(columns),
            usual: '12',
            ...(most === undefined
              ? {
                  why: `${byShare?.count ?? 0} of ${uneven.length} shares are of so many columns`,
                  explains: (byShare?.count ?? 0) / uneven.length,
                  unexplained: [
                    ...new Set(
                      uneven.filter((share) => !fits(share, columns)).map((share) => `${share}%`),
                    ),
                  ],
                }
              : {
                  why: `${direct.filter((count) => count === most).length} of ${direct.length} grids of many columns have so many`,
                  explains: direct.filter((count) => count === most).length / direct.length,
                  unexplained: [...new Set(direct.filter((count) => count !== most))].map(String),
                }),
            patch: patchTo(columns),
          },
        ]),
    ...(first && first[1] > 1 && first[1] >= 0.2 * gutters.length
      ? [
          {
            id: 'gutter' as const,
            name: 'gutter',
            usual: '24 px',
            ...gutter(...first),
            alternatives: others
              .filter(([, count]) => count > 1)
              .slice(0, MOST_ALTERNATIVES)
              .map((one) => gutter(...one)),
          },
        ]
      : []),
  ];
}

/** What a new system blurs for each px of height, and from which height a shadow is half as dark. Source: the shape of a new system, and its shadows. */
const SOFTNESS = 1.5;
const HALF_AT_PX = 48;
/** The heights of the levels of a new system, in px. */
const [LEAST_HEIGHT, MOST_HEIGHT] = [0.5, 80] as const;

/** The light that shadows tell of: from where it comes, how far it throws, and the heights of two levels. */
export function lightFrom(said: readonly Said[]): readonly Proposal[] {
  const cast = said.flatMap((one) =>
    partsOfDeclaration(one).flatMap(({ kind, text }) => {
      const read = kind === 'shadow' ? measured('shadow', text, { widthsPx: [1440] }) : undefined;
      if (read?.kind !== 'shadow') return [];
      // The layer that falls furthest is that of the light; an edge or an inner shade is none.
      const [layer] = read.layers
        .filter(
          ({ isInset, px: [x = 0, y = 0, blur = 0] }) =>
            !isInset && blur > 0 && Math.hypot(x, y) > 0,
        )
        .toSorted(({ px: [, , one = 0] }, { px: [, , other = 0] }) => other - one);
      if (!layer) return [];
      const [x = 0, y = 0, blur = 0] = layer.px;
      return y <= 0 ? [] : [{ x, y, blur, alpha: layer.color.alpha, text }];
    }),
  );
  if (cast.length === 0) return [];
  const middle = (values: readonly number[]): number =>
    values.toSorted((one, other) => one - other)[Math.floor(values.length / 2)] ?? 0;
  const angles = cast.map(({ x, y }) => (Math.atan2(-x, y) * 180) / Math.PI);
  const from = round(middle(angles), 0);
  const heights = cast.map(({ blur }) =>
    Math.min(MOST_HEIGHT, Math.max(LEAST_HEIGHT, round(blur / SOFTNESS, 1))),
  );
  const reach = Math.min(
    3,
    round(middle(cast.map(({ x, y }, index) => Math.hypot(x, y) / (heights[index] ?? 1))), 2),
  );
  const strength = Math.min(
    1,
    round(
      middle(cast.map(({ alpha }, index) => alpha * (1 + (heights[index] ?? 0) / HALF_AT_PX))),
      2,
    ),
  );
  const [low, high] = [Math.min(...heights), Math.max(...heights)];
  const isOne = (angle: number): boolean => Math.abs(angle - from) <= 12;
  const agree = angles.filter(isOne).length;
  const side =
    from === 0 ? 'straight above' : `${Math.abs(from)}° from the ${from < 0 ? 'left' : 'right'}`;
  return [
    {
      id: 'light',
      name: 'light of the shadows',
      value: `${side}, ${strength} strong, levels at ${low === high ? low : `${low} and ${high}`} px`,
      usual: 'straight above, 0.16 strong, levels at 2 and 12 px',
      why: `${agree} of ${cast.length} shadows fall so`,
      explains: agree / cast.length,
      unexplained: cast.filter((_, index) => !isOne(angles[index] ?? 0)).map(({ text }) => text),
      patch: [
        { op: 'replace', path: '/shape/light/from', value: Math.min(90, Math.max(-90, from)) },
        { op: 'replace', path: '/shape/light/reach', value: reach },
        { op: 'replace', path: '/shape/light/strength', value: strength },
        { op: 'replace', path: '/shape/shadows/items/low/height', value: low },
        ...(low === high
          ? []
          : [{ op: 'replace' as const, path: '/shape/shadows/items/high/height', value: high }]),
      ],
    },
  ];
}
