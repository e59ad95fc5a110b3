import { ROOT_PX } from '../type/fluid.ts';
import { RUNGS } from '../color/ramp.ts';
import { isLocked, lockedIn, leavingLocked } from '../system/locks.ts';
import {
  inOrder,
  MODES,
  type Mode,
  type SpaceLength,
  type StyleDocument,
} from '../system/document.ts';
import { jsonOf, patched, type Operation, type Patch } from '../system/patch.ts';
import type { Derived } from './derived.ts';
import { isNone, stepSizes } from './space/space.ts';
import { settingOf } from './type/styles.ts';

/** A system with what follows from it, as a dial begins. */
export interface Dialed {
  readonly document: StyleDocument;
  readonly derived: Pick<Derived, 'spaces' | 'colors' | 'styles'>;
}

/** A decision that a dial leaves as it is, because it departs by hand or is locked. */
export interface Stays {
  readonly name: string;
  readonly path: string;
  /** What it is, as it is told. */
  readonly value: string;
  readonly why: 'by hand' | 'locked';
}

/** Many decisions that are moved at once. */
export interface Dial {
  readonly id: string;
  readonly name: string;
  readonly unit: string;
  /** In the unit; 100 % or 0 is how it stands. */
  readonly least: number;
  readonly most: number;
  readonly step: number;
  readonly usual: number;
  /** The change that moves them so far; nothing where that moves nothing. */
  readonly patch: (of: Dialed, by: number) => Patch;
  readonly stays: (of: Dialed) => readonly Stays[];
  /** Where its single decisions are tuned: places of the document. */
  readonly at: string;
}

type Setting = 'heading' | 'text';

const rounded = (value: number, decimals: number): number => Number(value.toFixed(decimals)) + 0;
const held = (least: number, value: number, most: number): number =>
  Math.min(most, Math.max(least, value));

const whyOf = ({ document }: Dialed, path: string): Stays['why'] =>
  isLocked(lockedIn(document), path) ? 'locked' : 'by hand';

const PARTS = {
  line: { name: 'line height', own: 'lineHeight', least: 0.7, most: 1.5, unit: '' },
  spacing: { name: 'letter spacing', own: 'letterSpacing', least: -0.1, most: 0.2, unit: ' em' },
} as const;

/** Moves one side of how all headings or all texts are set; a role with a value of its own keeps it. */
function settingDial(of: Setting, part: keyof typeof PARTS): Dial {
  const { name, own, least, most, unit } = PARTS[part];
  const words = of === 'heading' ? 'headings' : 'texts';
  const at = `/type/set/${of}/${part}`;
  return {
    id: `${of}-${part}`,
    name: `${name} of ${words}`,
    ...(part === 'line'
      ? { unit: '%', least: 75, most: 130, step: 1, usual: 100 }
      : { unit: 'em/1000', least: -60, most: 100, step: 1, usual: 0 }),
    at: '/type/roles',
    patch: (dialed, by) => {
      const { document, derived } = dialed;
      const { set } = document.type;
      const now = set?.[of]?.[part];
      const next =
        part === 'line'
          ? rounded(held(least, ((now ?? 1) * by) / 100, most), 4)
          : rounded(held(least, (now ?? 0) + by / 1000, most), 4);
      if (next === (now ?? (part === 'line' ? 1 : 0)) || isLocked(lockedIn(document), at))
        return [];
      // A role that is locked says its own from now on, and stays as it is.
      const kept = inOrder(document.type.roles).flatMap(([id, role]): Operation[] => {
        const path = `/type/roles/items/${id}/${own}`;
        const value = derived.styles.get(id)?.[own];
        return settingOf(role) === of &&
          role[own] === undefined &&
          value !== undefined &&
          isLocked(lockedIn(document), path)
          ? [{ op: 'add', path, value }]
          : [];
      });
      if (!set)
        return [...kept, { op: 'add', path: '/type/set', value: { [of]: { [part]: next } } }];
      if (!set[of])
        return [...kept, { op: 'add', path: `/type/set/${of}`, value: { [part]: next } }];
      return [...kept, { op: 'add', path: at, value: next }];
    },
    stays: (dialed) =>
      inOrder(dialed.document.type.roles).flatMap(([id, role]): Stays[] => {
        const path = `/type/roles/items/${id}/${own}`;
        const why = whyOf(dialed, path);
        const value =
          role[own] ?? (why === 'locked' ? dialed.derived.styles.get(id)?.[own] : undefined);
        return settingOf(role) === of && value !== undefined
          ? [{ name: role.name, path, value: `${value}${unit}`, why }]
          : [];
      }),
  };
}

/** Kinds of lengths that follow the unit, by way of the steps. */
const OF_STEPS: ReadonlySet<string> = new Set(['step', 'stepped']);

/** A screen on which lengths are that follow nothing: any is as good. */
const ANY_SCREEN = { widthPx: 1280 };

/** One side of a role of space in px, where it is the same on every screen; nothing where it flows. */
function fixedPx({ derived }: Dialed, id: string, side: 'value' | 'block'): number | undefined {
  const length = derived.spaces.get(id)?.[side === 'value' ? 'inline' : 'block'];
  return length?.follows === 'nothing' ? rounded(length.px(ANY_SCREEN), 3) : undefined;
}

/** Roles of space that are locked and would follow the unit: they become lengths of their own, and stay as long. */
const lockedRoles = (
  dialed: Dialed,
): readonly (readonly [id: string, side: 'value' | 'block', px: number])[] =>
  inOrder(dialed.document.space.roles).flatMap(([id, role]) =>
    isLocked(lockedIn(dialed.document), `/space/roles/items/${id}`)
      ? (['value', 'block'] as const).flatMap((side) => {
          const length = role[side];
          const px = length && OF_STEPS.has(length.kind) ? fixedPx(dialed, id, side) : undefined;
          return px === undefined ? [] : [[id, side, px] as const];
        })
      : [],
  );

/** The steps that a flowing length takes, on whatever screens. */
const stepsOf = (length: SpaceLength | undefined): readonly string[] =>
  length?.kind === 'step' || length?.kind === 'stepped'
    ? [length.step, ...Object.values(length.at ?? {})]
    : [];

/** Roles of space that are locked, flow between screens by their steps, and would move with these. */
const flowingLocked = (
  dialed: Dialed,
): readonly (readonly [id: string, side: 'value' | 'block', length: SpaceLength])[] =>
  inOrder(dialed.document.space.roles).flatMap(([id, role]) =>
    isLocked(lockedIn(dialed.document), `/space/roles/items/${id}`)
      ? (['value', 'block'] as const).flatMap((side) => {
          const length = role[side];
          return length && OF_STEPS.has(length.kind) && fixedPx(dialed, id, side) === undefined
            ? [[id, side, length] as const]
            : [];
        })
      : [],
  );

/**
 * What keeps those roles as they are while all steps move: steps of their own that are as long as before, each where its
 * length belongs among the others, and the roles on them.
 */
function keptSteps(dialed: Dialed, times: number): Patch {
  const roles = flowingLocked(dialed);
  if (roles.length === 0) return [];
  const { space } = dialed.document;
  const sizes = stepSizes(space);
  const all = inOrder(space.steps).map(([id, { name }], index) => ({
    ...{ id, name, px: sizes[index] ?? 0 },
  }));
  const used = new Set(roles.flatMap(([, , length]) => stepsOf(length)));
  const kept = all
    .filter(({ id, px }) => used.has(id) && px > 0)
    .map((step) => {
      // What was kept before is kept on, so that turning again adds nothing.
      const isKept = KEPT.test(step.id);
      const own = isKept ? step.id : freeName(`${step.id}-kept`, space.steps.items);
      return { ...step, own, name: isKept ? step.name : `${step.name} kept` };
    });
  const unit = held(1, space.unit * times, 400);
  const ownOf = new Map(kept.map(({ id, own }) => [id, own]));
  const renamed = (id: string): string => ownOf.get(id) ?? id;
  const order = [
    ...all
      .filter(({ id }) => !kept.some(({ own }) => own === id))
      .map(({ id, px }) => ({ id, px: px * times })),
    ...kept.map(({ own, px }) => ({ id: own, px })),
  ]
    .toSorted((one, other) => one.px - other.px)
    .map(({ id }) => id);
  return [
    ...kept.map(({ own, name, px }): Operation => ({
      op: 'add',
      path: `/space/steps/items/${own}`,
      value: {
        name,
        multiple: held(0.01, px / rounded(unit, 2), 64),
        ...(space.scale === 'by hand' && { px }),
      },
    })),
    { op: 'replace', path: '/space/steps/order', value: order },
    ...roles.map(([id, side, length]): Operation => ({
      op: 'replace',
      path: `/space/roles/items/${id}/${side}`,
      value: jsonOf(
        length.kind === 'step' || length.kind === 'stepped'
          ? {
              ...length,
              step: renamed(length.step),
              ...(length.at && {
                at: Object.fromEntries(
                  Object.entries(length.at).map(([at, step]) => [at, renamed(step)]),
                ),
              }),
            }
          : length,
      ),
    })),
  ];
}

/** The id of a step that holds a locked length. */
const KEPT = /-kept(?:-\d+)?$/;

/** A name that nothing in a record has yet. */
function freeName(wanted: string, taken: Readonly<Record<string, unknown>>): string {
  let name = wanted;
  for (let count = 2; Object.hasOwn(taken, name); count += 1) name = `${wanted}-${count}`;
  return name;
}

const density: Dial = {
  ...{ id: 'density', name: 'all spaces', unit: '%', least: 50, most: 200, step: 5, usual: 100 },
  at: '/space/roles',
  patch: (dialed, by) => {
    if (by === 100) return [];
    const { space, layout } = dialed.document;
    const times = by / 100;
    const scaled = (path: string, value: number | undefined, most: number): Operation[] =>
      value === undefined
        ? []
        : [{ op: 'replace', path, value: held(0, Math.round(value * times), most) }];
    // A series has the steps that its ratio gives: where it may not move under what is locked, it stays.
    const isHeld = space.scale === 'geometric' && flowingLocked(dialed).length > 0;
    const grid: Patch = [
      ['/layout/grid/base', layout.grid.base] as const,
      ...Object.entries(layout.grid.at).map(
        ([id, known]) => [`/layout/grid/at/${id}`, known] as const,
      ),
    ].flatMap(([path, { gutter, margin }]) => [
      ...scaled(`${path}/gutter`, gutter, 400),
      ...scaled(`${path}/margin`, margin, 1000),
    ]);
    const steps: Patch = isHeld
      ? []
      : space.scale === 'by hand'
        ? inOrder(space.steps)
            .filter(([, step]) => !isNone(step))
            .map(([id, { px, multiple }]) => ({
              op: 'add' as const,
              path: `/space/steps/items/${id}/px`,
              value: rounded(held(0.25, (px ?? multiple * space.unit) * times, 1000), 2),
            }))
        : [
            {
              op: 'replace',
              path: '/space/unit',
              value: rounded(held(1, space.unit * times, 400), 2),
            },
          ];
    const moving = leavingLocked(dialed.document, steps);
    return [
      ...moving,
      ...leavingLocked(dialed.document, grid),
      // Where the steps stay, nothing has to be kept from moving with them.
      ...(moving.length === 0 ? [] : keptSteps(dialed, times)),
      ...lockedRoles(dialed).map(([id, side, px]): Operation => ({
        op: 'replace',
        path: `/space/roles/items/${id}/${side}`,
        value: { kind: 'own', value: rounded(px / ROOT_PX, 4), unit: 'rem' },
      })),
    ];
  },
  stays: (dialed) => [
    ...inOrder(dialed.document.space.roles).flatMap(([id, { name, value }]): Stays[] => {
      const path = `/space/roles/items/${id}`;
      if (value.kind === 'own')
        return [{ name, path, value: `${value.value} ${value.unit}`, why: whyOf(dialed, path) }];
      const px = lockedRoles(dialed).find(([own]) => own === id)?.[2];
      const isFlowing = flowingLocked(dialed).some(([own]) => own === id);
      return px !== undefined || isFlowing
        ? [{ name, path, value: isFlowing ? 'as it flows' : `${px} px`, why: 'locked' }]
        : [];
    }),
    ...Object.entries(dialed.document.space.parts).flatMap(([key, part]): Stays[] =>
      'px' in part
        ? [
            {
              name: key,
              path: `/space/parts/${key}`,
              value: `${part.px} px`,
              why: whyOf(dialed, `/space/parts/${key}`),
            },
          ]
        : [],
    ),
  ],
};

/** Corners from here up are round ends, whatever they stand at. */
const ROUND_PX = 100;

const corners: Dial = {
  ...{ id: 'corners', name: 'all corners', unit: '%', least: 0, most: 300, step: 5, usual: 100 },
  at: '/shape/radii',
  patch: ({ document }, by) =>
    leavingLocked(
      document,
      inOrder(document.shape.radii).flatMap(([id, { px }]): Operation[] => {
        const next = rounded(held(0, (px * by) / 100, ROUND_PX - 1), 1);
        return px >= ROUND_PX || next === px
          ? []
          : [{ op: 'replace', path: `/shape/radii/items/${id}/px`, value: next }];
      }),
    ),
  stays: (dialed) =>
    inOrder(dialed.document.shape.radii).flatMap(([id, { name, px }]): Stays[] => {
      const path = `/shape/radii/items/${id}`;
      const why = whyOf(dialed, path);
      return px >= ROUND_PX || why === 'locked' ? [{ name, path, value: `${px} px`, why }] : [];
    }),
};

const motion: Dial = {
  ...{ id: 'motion', name: 'all motion', unit: '%', least: 0, most: 300, step: 5, usual: 100 },
  at: '/shape/durations',
  patch: ({ document }, by) =>
    leavingLocked(
      document,
      inOrder(document.shape.durations).flatMap(([id, { ms }]): Operation[] => {
        const next = held(0, Math.round((ms * by) / 100), 10_000);
        return next === ms
          ? []
          : [{ op: 'replace', path: `/shape/durations/items/${id}/ms`, value: next }];
      }),
    ),
  stays: (dialed) =>
    inOrder(dialed.document.shape.durations).flatMap(([id, { name, ms }]): Stays[] => {
      const path = `/shape/durations/items/${id}`;
      return whyOf(dialed, path) === 'locked'
        ? [{ name, path, value: `${ms} ms`, why: 'locked' }]
        : [];
    }),
};

const isInMode = (paint: StyleDocument['color']['roles']['items'][string][Mode]): string =>
  ({
    rung: 'a held rung',
    near: '',
    source: 'a color itself',
    own: 'a color of its own',
    share: 'a share',
  })[paint.kind];

/** Wishes are moved away from the rung of the page, or towards it; what is held by hand stays. */
const distance: Dial = {
  ...{ id: 'distance', name: 'distance of all colors from the page', unit: 'rungs' },
  ...{ least: -4, most: 4, step: 1, usual: 0 },
  at: '/color/roles',
  patch: ({ document, derived }, by) =>
    leavingLocked(
      document,
      inOrder(document.color.roles).flatMap(([id, role]) =>
        MODES.flatMap((mode): Operation[] => {
          const paint = role[mode];
          const page = derived.colors.get('page')?.painted[mode].rung;
          if (id === 'page' || paint.kind !== 'near' || page === undefined || paint.rung === page)
            return [];
          const away = Math.sign(paint.rung - page);
          // Nothing comes to stand on the page’s own rung, or on its other side.
          const next =
            away > 0 ? held(page + 1, paint.rung + by, RUNGS) : held(1, paint.rung - by, page - 1);
          return next === paint.rung
            ? []
            : [{ op: 'replace', path: `/color/roles/items/${id}/${mode}/rung`, value: next }];
        }),
      ),
    ),
  stays: (dialed) =>
    inOrder(dialed.document.color.roles).flatMap(([id, role]): Stays[] => {
      const path = `/color/roles/items/${id}`;
      const why = whyOf(dialed, path);
      const kinds = new Set(
        MODES.map((mode) => isInMode(role[mode])).filter((kind) => kind !== ''),
      );
      return id !== 'page' && (kinds.size > 0 || why === 'locked')
        ? [{ name: role.name, path, value: [...kinds].join(', '), why }]
        : [];
    }),
};

/** What can be moved at once, in the order in which it is shown. */
export const DIALS: readonly Dial[] = [
  settingDial('heading', 'line'),
  settingDial('text', 'line'),
  settingDial('heading', 'spacing'),
  settingDial('text', 'spacing'),
  density,
  corners,
  motion,
  distance,
];

/**
 * What several dials come to at once: each moves what it moves from where the system stands, none moves what is locked.
 * @param by how far each is moved, in its unit, by its id; a dial that is not named stays
 */
export function dialed(of: Dialed, by: Readonly<Record<string, number>>): Patch {
  let { document } = of;
  const turned = DIALS.flatMap((dial) => {
    const value = Object.hasOwn(by, dial.id) ? by[dial.id] : undefined;
    return value === undefined || value === dial.usual ? [] : [{ dial, value }];
  });
  return turned.flatMap(({ dial, value }, index) => {
    // Each begins where the ones before have led: two may write into one place.
    const patch = dial.patch({ ...of, document }, held(dial.least, value, dial.most));
    // Nothing begins where the last one leads.
    if (index === turned.length - 1) return patch;
    const result = patched(document, patch);
    if (!result.ok) return [];
    document = result.document;
    return patch;
  });
}
