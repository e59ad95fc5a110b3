import { collectionOf, NOTHING } from './collection.ts';
import type { Layout, Shape, Space, SpaceLength, SpaceRole } from './document.ts';

const step = (id: string): SpaceLength => ({ kind: 'step', step: id });
const em = (value: number): SpaceLength => ({ kind: 'own', value, unit: 'em' });

/** The steps that the usual roles take, by how large they are. */
export interface UsualSteps {
  readonly closest: string;
  readonly tight: string;
  readonly small: string;
  readonly stack: string;
  readonly inset: string;
  readonly large: string;
  readonly section: string;
}

/** What space does on a page, each with a step or a length that follows its text. */
export const usualSpaceRoles = (steps: UsualSteps): Space['roles'] =>
  collectionOf<SpaceRole>([
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
    ['hang', { name: 'hang', use: 'pull', value: em(-0.85) }],
  ]);

export const usualSpace: Space = {
  unit: 8,
  scale: 'multiples',
  names: 'own',
  steps: collectionOf([
    ['xs', { name: 'xs', multiple: 0.5 }],
    ['s', { name: 's', multiple: 1 }],
    ['m', { name: 'm', multiple: 2 }],
    ['l', { name: 'l', multiple: 3 }],
    ['xl', { name: 'xl', multiple: 5 }],
    ['xxl', { name: 'xxl', multiple: 8 }],
  ]),
  roles: usualSpaceRoles({
    closest: 'xs',
    tight: 's',
    small: 'm',
    stack: 'm',
    inset: 'l',
    large: 'xl',
    section: 'xxl',
  }),
  parts: {},
  limits: { phone: 0.35, wide: 0.9 },
};

/** A grid that begins with four columns; its margins and gutters are those of the steps given, in px. */
export const usualLayout = (marginPx: number, gutterPx: number): Layout => ({
  breakpoints: collectionOf([
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
  widths: collectionOf([
    ['text', { name: 'text', bound: 'max', value: 40, unit: 'rem' }],
    ['opening', { name: 'opening', bound: 'max', value: 44, unit: 'rem' }],
    ['field', { name: 'field', bound: 'max', value: 24, unit: 'rem' }],
  ]),
  screen: 'svh',
  header: 'spread',
  pictures: collectionOf([
    ['opening', { name: 'opening', width: 16, height: 9, fit: 'cover', x: 0.5, y: 0.5 }],
    ['card', { name: 'card', width: 3, height: 2, fit: 'cover', x: 0.5, y: 0.5 }],
    ['portrait', { name: 'portrait', width: 4, height: 5, fit: 'cover', x: 0.5, y: 0.3 }],
  ]),
  logo: { least: 24, clear: 0.25, scale: 1.6 },
  patterns: NOTHING,
});

export const usualShape: Shape = {
  radii: collectionOf([
    ['slight', { name: 'slight', px: 2 }],
    ['soft', { name: 'soft', px: 4 }],
    ['round', { name: 'round', px: 8 }],
  ]),
  corners: { control: 'soft', card: 'soft', picture: 'slight' },
  borders: collectionOf([
    ['hair', { name: 'hair', px: 1 }],
    ['thick', { name: 'thick', px: 4 }],
  ]),
  edges: { line: 'hair', strong: 'thick' },
  light: { from: 0, reach: 0.5, softness: 1.5, strength: 0.16, ambient: 0.1 },
  dark: { strength: 0.5, ambient: 0.35, rim: 0.08 },
  shadows: collectionOf([
    ['low', { name: 'low', height: 2 }],
    ['high', { name: 'high', height: 12 }],
  ]),
  opacities: collectionOf([
    ['veiled', { name: 'veiled', value: 0.72 }],
    ['faint', { name: 'faint', value: 0.4 }],
  ]),
  layers: collectionOf([
    ['page', { name: 'page', level: 0 }],
    ['sticky', { name: 'sticky', level: 10 }],
    ['floating', { name: 'floating', level: 20 }],
    ['dialog', { name: 'dialog', level: 30 }],
  ]),
  durations: collectionOf([
    ['quick', { name: 'quick', ms: 120, reduced: 0 }],
    ['calm', { name: 'calm', ms: 260, reduced: 0 }],
  ]),
  easings: collectionOf([
    ['arrive', { name: 'arrive', x1: 0.1, y1: 0.7, x2: 0.3, y2: 1 }],
    ['leave', { name: 'leave', x1: 0.6, y1: 0, x2: 0.9, y2: 0.4 }],
  ]),
};
