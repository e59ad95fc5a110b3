import { themesOf } from '../../system/themes.ts';
import type { StyleDocument } from '../../system/document.ts';
import { keptList } from '../../same.ts';
import { colors } from '../color/nodes.ts';
import { node } from '../graph.ts';
import { ruleNode, tokenNode } from '../parts.ts';
import { root } from '../root.ts';
import { spaces, steps } from '../space/nodes.ts';
import { derivePatterns, patternRules } from './patterns.ts';
import {
  deriveCornerTokens,
  deriveEdgeTokens,
  deriveMotionTokens,
  deriveShadowTokens,
  deriveShapeRules,
  groundsOf,
} from './shape.ts';

const borders = ({ shape }: StyleDocument) => shape.borders;
const corners = ({ shape }: StyleDocument) => shape.corners;
const growing = ({ shape }: StyleDocument) => shape.growing;
const edges = ({ shape }: StyleDocument) => shape.edges;
const radii = ({ shape }: StyleDocument) => shape.radii;
const shadows = ({ shape }: StyleDocument) => shape.shadows;
const light = ({ shape }: StyleDocument) => shape.light;
const dark = ({ shape }: StyleDocument) => shape.dark;
const opacities = ({ shape }: StyleDocument) => shape.opacities;
const layers = ({ shape }: StyleDocument) => shape.layers;
const durations = ({ shape }: StyleDocument) => shape.durations;
const easings = ({ shape }: StyleDocument) => shape.easings;

/** The width of a screen at which the inset of a card counts for the corners within it, in px. */
const WIDE_PX = 1440;

const insetPx = node(
  'shape: inset of cards',
  [spaces],
  (all) => all.get('inset')?.inline.px({ widthPx: WIDE_PX }) ?? 0,
);

const grounds = node('shape: grounds', [colors], groundsOf, (before, now) =>
  keptList(before, now, ({ id }) => id),
);

/** The color of lines by its name alone. */
const line = node('shape: color of lines', [colors], (all) => {
  const role = all.get('line') ?? [...all.values()][0];
  return role && { name: role.name, slug: role.slug };
});

const lit = node('shape: light', [light, dark], (day, night) => ({ light: day, dark: night }));

/** In the order in which they are handed over. */
export const shapeTokens = [
  tokenNode(
    'shape: tokens of corners',
    [radii, corners, insetPx, root, growing],
    deriveCornerTokens,
  ),
  tokenNode('shape: tokens of edges', [borders, edges, line], deriveEdgeTokens),
  tokenNode('shape: tokens of shadows', [shadows, lit, grounds], deriveShadowTokens),
  tokenNode(
    'shape: tokens of motion',
    [opacities, layers, durations, easings],
    (opacity, layer, duration, easing) =>
      deriveMotionTokens({
        opacities: opacity,
        layers: layer,
        durations: duration,
        easings: easing,
      }),
  ),
] as const;

const namedGrounds = node('shape: names of the grounds', [grounds], (all) =>
  all.map(({ slug }) => ({ slug })),
);

export const shapeRules = ruleNode(
  'shape: rules',
  [shadows, durations, namedGrounds],
  (levels, times, all) => deriveShapeRules({ shadows: levels, durations: times }, all),
);

export const patterns = node(
  'shape: patterns',
  [({ layout }: StyleDocument) => layout.patterns, colors, steps],
  derivePatterns,
);

export const patternClasses = ruleNode(
  'shape: rules of patterns',
  [patterns, themesOf],
  patternRules,
);
