import { groundPanel } from './color.ts';
import { groundsOf } from '../../derive/shape/shape.ts';
import type { Mode } from '../../system/document.ts';
import type { Token } from '../../tokens/token.ts';
import { element, type ProofElement } from '../node.ts';
import {
  caption,
  named,
  part,
  row,
  specimen,
  told,
  tokensUnder,
  valueIn,
  type Chapter,
  type Given,
} from './chapter.ts';

const small = (given: Given, shown: ProofElement, id: string, value: string): ProofElement =>
  named(shown, caption(given, id, value));

/** Corners and edges. */
export const shapes: Chapter = {
  id: 'shapes',
  name: 'Corners and edges',
  reads: ['shape'],
  nodes(given) {
    const { mode } = given;
    return [
      ...row(
        given,
        'Corners',
        'swatches',
        tokensUnder(given, 'radius', 'corner').map((token) =>
          small(
            given,
            specimen('corner', [['round', token]]),
            token.path.at(-1) ?? '',
            token.values[mode].reference?.split('.').at(-1) ??
              (token.id.startsWith('corner') ? 'inside' : valueIn(token, mode)),
          ),
        ),
      ),
      ...row(
        given,
        'Edges',
        'swatches',
        tokensUnder(given, 'border', 'edge', 'outline').map((token) =>
          small(
            given,
            token.type === 'border'
              ? specimen('framed', [['edge', token]])
              : specimen('rule', [['thick', token]]),
            token.id,
            token.values[mode].reference?.split('.').at(-1) ??
              (token.type === 'border' ? '' : valueIn(token, mode)),
          ),
        ),
      ),
    ];
  },
};

/** Every level on every ground that things are raised from. */
export const levels: Chapter = {
  id: 'levels',
  name: 'Levels',
  reads: ['shape'],
  nodes: (given) => [
    part(
      'grounds',
      ...groundsOf(given.derived.colors).map((ground) =>
        groundPanel(given, ground, [
          part(
            'levels',
            ...tokensUnder(given, 'shadow')
              .filter(({ path }) => path[1] === ground.slug)
              .map((token) => specimen('level', [['raised', token]], token.path.at(-1) ?? '')),
          ),
        ]),
      ),
    ),
  ],
};

/** The two points of an easing that draw its curve. */
function pointsOf({ values }: Token, mode: Mode): readonly [number, number, number, number] {
  const [x1 = 0, y1 = 0, x2 = 1, y2 = 1] = (values[mode].json as readonly number[]).map(Number);
  return [x1, y1, x2, y2];
}

/** What plays when it is pointed at, what lets through what is below, and what stands above what. */
export const motion: Chapter = {
  id: 'motion',
  name: 'Motion and layers',
  reads: ['shape'],
  nodes(given) {
    const { mode } = given;
    const durations = tokensUnder(given, 'duration');
    const easings = tokensUnder(given, 'easing');
    const plays = (shown: readonly ProofElement[], name: string, value: string): ProofElement =>
      element(
        'div',
        { class: 'sheet-plays', tabindex: '0', role: 'group', 'aria-label': `${name} plays` },
        ...shown,
        caption(given, name, value),
      );
    return [
      ...row(
        given,
        'Durations: point at one to play it',
        'tracks',
        durations.map((token) =>
          plays(
            [
              part(
                'track',
                specimen('moving', [
                  ['lasts', token],
                  ...(easings[0] ? [['eases', easings[0]] as const] : []),
                ]),
              ),
            ],
            token.path.at(-1) ?? '',
            valueIn(token, mode),
          ),
        ),
      ),
      ...row(
        given,
        'Easings: point at one to play it',
        'tracks',
        easings.map((token) => {
          const [x1, y1, x2, y2] = pointsOf(token, mode);
          return plays(
            [
              element(
                'svg',
                { class: 'sheet-curve', viewBox: '-2 -22 104 144', 'aria-hidden': 'true' },
                element('path', {
                  d: `M0 100C${x1 * 100} ${100 - y1 * 100} ${x2 * 100} ${100 - y2 * 100} 100 0`,
                }),
              ),
              part('track', specimen('moving sheet-slow', [['eases', token]])),
            ],
            token.path.at(-1) ?? '',
            [x1, y1, x2, y2].map(told).join(', '),
          );
        }),
      ),
      ...row(
        given,
        'Opacities',
        'swatches',
        tokensUnder(given, 'opacity').map((token) =>
          small(
            given,
            part('striped', specimen('pane', [['veiled', token]])),
            token.path.at(-1) ?? '',
            valueIn(token, mode),
          ),
        ),
      ),
      ...row(given, 'Layers', 'layers', [
        ...tokensUnder(given, 'layer').map((token) =>
          specimen(
            'layer on-page',
            [['above', token]],
            `${token.path.at(-1) ?? ''} ${valueIn(token, mode)}`,
          ),
        ),
      ]),
    ];
  },
};
