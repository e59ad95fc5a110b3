import { themesOf } from '../../system/themes.ts';
import { keptMap } from '../../same.ts';
import { inOrder } from '../../system/document.ts';
import { node } from '../graph.ts';
import { ruleNode, tokenNode } from '../parts.ts';
import { root } from '../root.ts';
import { deriveGrid, deriveGridRules, deriveGridTokens, gridFrom } from './grid.ts';
import { deriveLayoutRules, deriveLayoutTokens, widthsFrom } from './layout.ts';
import type { LengthSources } from './lengths.ts';
import { derivePartRules, derivePartTokens, derivePieces } from './parts.ts';
import {
  breakpointRules,
  breakpointSlugs,
  derivePullRules,
  deriveSpaces,
  deriveSpaceTokens,
  deriveSteps,
} from './space.ts';
import type { StyleDocument } from '../../system/document.ts';

const layout = ({ layout: decided }: StyleDocument) => decided;
const breakpoints = ({ layout: decided }: StyleDocument) => decided.breakpoints;
const space = ({ space: decided }: StyleDocument) => decided;

export const steps = node('space: steps', [space], deriveSteps, keptMap);

export const gridRanges = node('space: grid', [layout], deriveGrid);

/** Of an anchor space reads the width alone. */
const anchorWidths = node(
  'space: widths of the anchors',
  [({ type }: StyleDocument) => type.anchors],
  (anchors) => inOrder(anchors).map(([id, { width }]) => [id, width] as const),
);

const lengthSources = node(
  'space: what lengths are made of',
  [steps, anchorWidths, ({ type }: StyleDocument) => type.unit, breakpoints, root],
  (allSteps, anchors, unit, stops, share): LengthSources => ({
    steps: allSteps,
    anchors,
    unit,
    breakpoints: stops,
    root: share,
  }),
);

export const spaces = node(
  'space: roles',
  [({ space: { roles } }: StyleDocument) => roles, lengthSources, gridRanges],
  deriveSpaces,
);

export const gridTokens = tokenNode(
  'space: tokens of the grid',
  [gridRanges, root],
  deriveGridTokens,
);

export const spaceTokens = tokenNode(
  'space: tokens',
  [space, steps, spaces, root],
  deriveSpaceTokens,
);

export const layoutTokens = tokenNode(
  'space: tokens of the layout',
  [layout, gridRanges, root],
  deriveLayoutTokens,
);

const pieces = node(
  'space: parts',
  [({ space: { parts } }: StyleDocument) => parts, spaces, steps, root],
  derivePieces,
);

export const partTokens = tokenNode('space: tokens of parts', [pieces], derivePartTokens);

/** The parts without their lengths, which no rule says. */
const namedPieces = node('space: names of parts', [pieces], (all) =>
  all.map(({ key, token, property }) => ({ key, token, property })),
);

export const partRules = ruleNode('space: rules of parts', [namedPieces], derivePartRules);

export const pullRules = ruleNode(
  'space: rules of what is pulled',
  [({ space: { roles } }: StyleDocument) => roles, spaces],
  derivePullRules,
);

export const gridRules = ruleNode(
  'space: rules of the grid',
  [gridRanges, breakpoints],
  (ranges, stops) => deriveGridRules(ranges, breakpointSlugs({ breakpoints: stops })),
);

export const layoutRules = ruleNode(
  'space: rules of the layout',
  [layout, themesOf],
  deriveLayoutRules,
);

export const breakpointRulesOf = ruleNode(
  'space: rules of breakpoints',
  [spaces, layout, gridRanges, root],
  (allSpaces, decided, ranges, share) =>
    breakpointRules(allSpaces, [...gridFrom(ranges, share), ...widthsFrom(decided, ranges, share)]),
);
