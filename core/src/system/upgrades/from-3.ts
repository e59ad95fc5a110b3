import { isRaw, ordered, type Raw, type UpgradeStep } from './upgrade-step.ts';

const step = (id: string): Raw => ({ kind: 'step', step: id });
const em = (value: number): Raw => ({ kind: 'own', value, unit: 'em' });

/** The steps that the usual roles take, by how large they are. */
interface Steps {
  readonly closest: string;
  readonly tight: string;
  readonly small: string;
  readonly stack: string;
  readonly inset: string;
  readonly large: string;
  readonly section: string;
}

/** What space did on a page when roles came to be decided. */
const rolesOf = (steps: Steps): Raw =>
  ordered([
    ['inset-small', { name: 'inset small', use: 'inset', value: step(steps.small) }],
    ['inset', { name: 'inset', use: 'inset', value: step(steps.inset) }],
    ['inset-large', { name: 'inset large', use: 'inset', value: step(steps.large) }],
    ['closest', { name: 'closest', use: 'gap', value: step(steps.closest) }],
    ['tight', { name: 'tight', use: 'gap', value: step(steps.tight) }],
    ['inline', { name: 'inline', use: 'gap', value: step(steps.small) }],
    ['stack', { name: 'stack', use: 'gap', value: step(steps.stack) }],
    ['section', { name: 'section', use: 'gap', value: step(steps.section) }],
    ['gutter', { name: 'gutter', use: 'gap', value: { kind: 'grid', part: 'gutter' } }],
    ['margin', { name: 'margin', use: 'margin', value: { kind: 'grid', part: 'margin' } }],
    ['control', { name: 'control', use: 'inset', value: em(1.25), block: em(0.625) }],
    ['control-small', { name: 'control small', use: 'inset', value: em(0.75), block: em(0.25) }],
    ['target', { name: 'target', use: 'size', value: { kind: 'own', value: 2.75, unit: 'rem' } }],
    [
      'target-small',
      { name: 'target small', use: 'size', value: { kind: 'own', value: 1.75, unit: 'rem' } },
    ],
    ['bleed', { name: 'bleed', use: 'pull', value: { kind: 'minus', of: 'margin' } }],
    ['hang', { name: 'hang', use: 'pull', value: em(-0.45) }],
  ]);

/** The limits of space on a page as they were first decided. */
const LIMITS = { phone: 0.35, wide: 0.9 };

/** A grid that begins with four columns; its margins and gutters are those given, in px. */
const layoutOf = (marginPx: number, gutterPx: number): Raw => ({
  breakpoints: ordered([
    ['medium', { name: 'medium', width: 720 }],
    ['wide', { name: 'wide', width: 1080 }],
  ]),
  grid: {
    align: 'centered',
    whole: false,
    base: { columns: 4, gutter: gutterPx, margin: marginPx },
    at: {
      medium: { columns: 8 },
      wide: { columns: 12, container: 1080 },
    },
  },
  widths: ordered([
    ['text', { name: 'text', bound: 'max', value: 40, unit: 'rem' }],
    ['opening', { name: 'opening', bound: 'max', value: 44, unit: 'rem' }],
    ['field', { name: 'field', bound: 'max', value: 24, unit: 'rem' }],
  ]),
  screen: 'svh',
  header: 'spread',
  pictures: ordered([
    ['opening', { name: 'opening', width: 16, height: 9, fit: 'cover', x: 0.5, y: 0.5 }],
    ['card', { name: 'card', width: 3, height: 2, fit: 'cover', x: 0.5, y: 0.5 }],
    ['portrait', { name: 'portrait', width: 4, height: 5, fit: 'cover', x: 0.5, y: 0.3 }],
  ]),
  logo: { least: 24, clear: 0.25, scale: 1.6 },
  patterns: ordered([]),
});

const SHAPE: Raw = {
  radii: ordered([
    ['slight', { name: 'slight', px: 2 }],
    ['soft', { name: 'soft', px: 4 }],
    ['round', { name: 'round', px: 8 }],
  ]),
  corners: { control: 'soft', card: 'soft', picture: 'slight' },
  borders: ordered([
    ['hair', { name: 'hair', px: 1 }],
    ['thick', { name: 'thick', px: 4 }],
  ]),
  edges: { line: 'hair', strong: 'thick' },
  icon: { size: 1.25, stroke: 1.5 },
  light: { from: 0, reach: 0.5, softness: 1.5, strength: 0.16, ambient: 0.1 },
  dark: { strength: 0.5, ambient: 0.35, rim: 0.08 },
  shadows: ordered([
    ['low', { name: 'low', height: 2 }],
    ['high', { name: 'high', height: 12 }],
  ]),
  opacities: ordered([
    ['veiled', { name: 'veiled', value: 0.72 }],
    ['faint', { name: 'faint', value: 0.4 }],
  ]),
  layers: ordered([
    ['page', { name: 'page', level: 0 }],
    ['sticky', { name: 'sticky', level: 10 }],
    ['floating', { name: 'floating', level: 20 }],
    ['dialog', { name: 'dialog', level: 30 }],
  ]),
  durations: ordered([
    ['quick', { name: 'quick', ms: 120, reduced: 0 }],
    ['calm', { name: 'calm', ms: 260, reduced: 0 }],
  ]),
  easings: ordered([
    ['arrive', { name: 'arrive', x1: 0.1, y1: 0.7, x2: 0.3, y2: 1 }],
    ['leave', { name: 'leave', x1: 0.6, y1: 0, x2: 0.9, y2: 0.4 }],
  ]),
};

const asNumber = (value: unknown, otherwise: number): number =>
  typeof value === 'number' ? value : otherwise;

/** The step whose size is the nearest to a length; of two as near, the smaller. */
function nearestOf(steps: readonly (readonly [id: string, px: number])[], px: number): string {
  let found = '';
  let least = Infinity;
  for (const [id, size] of steps) {
    const off = Math.abs(size - px);
    if (off >= least) continue;
    least = off;
    found = id;
  }
  return found;
}

/**
 * Space had three roles that took steps; now it has as many as a page needs. The three keep their
 * steps, the others take those that are nearest to what was usual.
 */
function document(given: Raw): Raw {
  const { space } = given;
  if (!isRaw(space) || !isRaw(space['steps']) || !isRaw(space['steps']['items'])) return given;
  const unit = asNumber(space['unit'], 8);
  const steps = Object.entries(space['steps']['items']).map(
    ([id, one]) => [id, unit * (isRaw(one) ? asNumber(one['multiple'], 1) : 1)] as const,
  );
  const decided = isRaw(space['roles']) ? space['roles'] : {};
  const stepOf = (role: string, px: number): string => {
    const own = decided[role];
    return typeof own === 'string' ? own : nearestOf(steps, px);
  };
  const inset = stepOf('inset', 24);
  const insetPx = steps.find(([id]) => id === inset)?.[1] ?? 24;
  return {
    ...given,
    space: {
      unit,
      scale: 'multiples',
      names: 'own',
      steps: space['steps'],
      roles: rolesOf({
        closest: nearestOf(steps, 4),
        tight: nearestOf(steps, 8),
        small: nearestOf(steps, 16),
        stack: stepOf('stack', 16),
        inset,
        large: nearestOf(steps, 40),
        section: stepOf('section', 64),
      }),
      parts: {},
      limits: LIMITS,
    },
    layout: layoutOf(insetPx, insetPx),
    shape: SHAPE,
  };
}

export const from3: UpgradeStep = {
  document,
  operation: (operation) => ({
    ...operation,
    path: operation.path.replace(
      /^\/space\/roles\/(inset|stack|section)$/,
      '/space/roles/items/$1/value/step',
    ),
  }),
};
