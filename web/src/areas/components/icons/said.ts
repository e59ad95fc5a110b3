import type { Beside } from '@garnish/core/derive/icons/beside';
import type { IconMeasures } from '@garnish/core/icons/measure';
import { px } from '../../../ui/px.ts';

const part = (value: number): string => String(Number((value * 24).toFixed(2)));
const percent = (value: number): string => `${Math.round(value * 100)} %`;

/** What was measured of an icon, in figures on a box of 24. */
export function saidOf(measures: IconMeasures, beside: Beside | undefined): readonly string[] {
  const { kind, stroke, evenness, roundEnds, corner, grid, ink, details, gap } = measures;
  const strokePx = beside && stroke * beside.iconPx;
  return [
    kind,
    ...(kind === 'filled'
      ? []
      : [
          `stroke ${part(stroke)}${strokePx === undefined ? '' : ` (${px(strokePx)} at ${px(beside?.iconPx ?? 0, 0)})`}, ${percent(evenness)} even`,
        ]),
    ...(roundEnds === undefined ? [] : [roundEnds ? 'round ends' : 'flat ends']),
    ...(corner === undefined ? [] : [corner < 0.005 ? 'sharp corners' : `corners ${part(corner)}`]),
    ...(grid === undefined ? [] : [`grid ${part(grid)}`]),
    `${percent(ink)} inked`,
    `${details} ${details === 1 ? 'piece' : 'pieces'}`,
    ...(gap === undefined ? [] : [`narrowest room ${part(gap)}`]),
  ];
}

/** How strokes go with stems, in words. */
export const heavierText = (heavier: number): string =>
  Math.abs(heavier) < 0.03
    ? 'as thick as the stems'
    : `${Math.abs(Math.round(heavier * 100))} % ${heavier > 0 ? 'thicker' : 'thinner'}`;
