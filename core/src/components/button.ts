import { element, type ProofElement } from '../proof/node.ts';
import { component, type Attributes, type Part, type When } from './component.ts';
import {
  BESIDE_WORDS,
  CONTROL,
  CONTROL_CORNER,
  LINE_WIDTH,
  MIDDLE,
  ROW,
  sign,
  space,
} from './pieces.ts';
import type { StateId } from './states.ts';

const FILLED: When = { surface: ['filled'] };
const OUTLINED: When = { surface: ['outlined'] };
const QUIET: When = { surface: ['quiet'] };
const FILLED_OR_QUIET: When = { surface: ['filled', 'quiet'] };
const UNFILLED: When = { surface: ['outlined', 'quiet'] };

/** Words within a button that have a class of their own. */
const WORDS = ' > [class]';

/** An open ring behind the words of what is at work. */
const BUSY_SIGN = {
  content: '""',
  'inline-size': '0.8em',
  'block-size': '0.8em',
  'margin-inline-start': '0.5em',
  'border-width': '0.14em',
  'border-style': 'solid',
  'border-color': 'currentcolor currentcolor transparent',
  'border-radius': '50%',
} as const;

/** A ring within the edge, which takes no room. */
const ring = (value: string): string => `inset 0 0 0 ${value} currentcolor`;

/** What tells a state by a ring or by a level, whatever is filled. */
const telling = (of: string): readonly Part[] => [
  {
    of,
    part: 'ring-hover',
    from: ['edge.line'],
    property: 'box-shadow',
    state: 'hover',
    when: { states: ['edge'] },
    write: ring,
  },
  {
    of,
    part: 'ring-pressed',
    from: ['edge.strong'],
    property: 'box-shadow',
    state: 'pressed',
    when: { states: ['edge'] },
    write: ring,
  },
  {
    of,
    part: 'level-hover',
    from: ['shadow.2', 'shadow.1'],
    property: 'box-shadow',
    state: 'hover',
    when: { states: ['level'] },
  },
  {
    of,
    part: 'level-pressed',
    from: ['shadow.1'],
    property: 'box-shadow',
    state: 'pressed',
    when: { states: ['level'] },
  },
];

/** A color of a button in a state. */
const color = (
  of: string,
  part: string,
  property: string,
  from: readonly string[],
  when: When = {},
  state?: StateId,
): Part => ({
  of,
  part: state === undefined ? part : `${part}-${state}`,
  property,
  from: from.map((id) => `color.${id}`),
  when,
  ...(state !== undefined && { state }),
  ...(part === 'edge' && state === undefined && { isEdge: true as const }),
});

/** The parts of a button whose colors are those of a family: the main one, and the dangerous one. */
const filledParts = (of: string, family: string): readonly Part[] => [
  color(of, 'background', 'background-color', [family], FILLED),
  color(of, 'background', 'background-color', [`${family}-wash`], QUIET),
  { ...color(of, 'ink', 'color', [`${family}-ink`], FILLED), inWords: true },
  color(of, 'ink', 'color', ['text'], QUIET),
  color(of, 'ink', 'color', [`${family}-edge`, family], OUTLINED),
  color(of, 'edge', 'border-color', [`${family}-edge`, family], OUTLINED),
  { of, part: 'edge-width', ...LINE_WIDTH, when: FILLED_OR_QUIET },
  // Beside an action without an edge, and over pictures, where both are in one color.
  { of, part: 'edge-width', ...LINE_WIDTH, from: ['edge.strong'], when: OUTLINED },
  { of, part: 'corner', ...CONTROL_CORNER },
  { of, part: 'lasts', from: ['duration.1'], property: 'transition-duration' },
  { of, part: 'eases', from: ['easing.1'], property: 'transition-timing-function' },
  ...(['hover', 'pressed'] as const).flatMap((state): readonly Part[] => {
    const shade = (surface: When): When => ({ ...surface, states: ['shade'] });
    return [
      color(of, 'background', 'background-color', [`${family}-${state}`], shade(FILLED), state),
      ...(state === 'hover'
        ? [
            color(of, 'background', 'background-color', [`${family}-wash`], shade(OUTLINED), state),
            color(of, 'ink', 'color', ['text'], shade(OUTLINED), state),
            color(of, 'background', 'background-color', [family], shade(QUIET), state),
            color(of, 'ink', 'color', [`${family}-ink`], shade(QUIET), state),
          ]
        : [
            color(
              of,
              'background',
              'background-color',
              [`${family}-pressed`],
              shade(UNFILLED),
              state,
            ),
            color(of, 'ink', 'color', [`${family}-ink`], shade(UNFILLED), state),
          ]),
    ];
  }),
  ...telling(of),
  color(of, 'background', 'background-color', [`${family}-disabled`], FILLED, 'off'),
  color(of, 'ink', 'color', ['faint'], {}, 'off'),
  color(of, 'edge', 'border-color', ['line'], OUTLINED, 'off'),
];

const MOVES = {
  'transition-property': 'background-color, border-color, color, box-shadow',
} as const;

const SHOWN = ['hover', 'pressed', 'focus', 'off', 'busy'] as const;

const specimen =
  (className: string) =>
  (state: Attributes): ProofElement =>
    element(
      'button',
      { class: className, type: 'button', ...state },
      element('span', { class: 'type-label' }, 'Send'),
    );

/** The same with a sign before its words, after them, or alone, where it has a name all the same. */
const signed =
  (where: 'before' | 'after' | 'alone') =>
  (state: Attributes): ProofElement => {
    const words = element('span', { class: 'type-label' }, 'Send');
    if (where === 'alone')
      return element(
        'button',
        { class: 'button sign-button', type: 'button', 'aria-label': 'Send', ...state },
        sign('send'),
      );
    return element(
      'button',
      { class: `button on-action sign-${where}`, type: 'button', ...state },
      ...(where === 'before' ? [sign('send'), words] : [words, sign('send')]),
    );
  };

/** A button: what one does something with. */
export const button = component({
  id: 'button',
  name: 'Button',
  group: 'acting',
  says: 'what one does something with',
  classes: [
    {
      name: 'actions',
      says: 'buttons beside each other',
      markup: `<p class="actions"><a class="button" href="/book">Book</a> <a class="quiet-button" href="/times">Times</a></p>`,
      own: ROW,
    },
    {
      name: 'button',
      says: 'the one action that matters most',
      markup: `<a class="button" href="/book">Book</a> or <button class="button" type="button">Book</button>`,
      text: 'label',
      groundless: OUTLINED,
      hasInk: true,
      own: {
        ...CONTROL,
        ...MIDDLE,
        // As high as the quiet button beside it; seen where colors are forced.
        'border-color': 'transparent',
        ...MOVES,
      },
    },
    {
      name: 'quiet-button',
      says: 'an action of less weight',
      markup: `<a class="quiet-button" href="/times">Times</a>`,
      text: 'label',
      groundless: {},
      hasInk: true,
      own: {
        ...CONTROL,
        ...MIDDLE,
        'border-color': 'transparent',
        'background-color': 'transparent',
        ...MOVES,
      },
    },
    {
      name: 'danger-button',
      says: 'an action that takes something away',
      markup: `<button class="danger-button" type="button">Cancel the booking</button>`,
      text: 'label',
      groundless: OUTLINED,
      hasInk: true,
      own: { ...CONTROL, ...MIDDLE, 'border-color': 'transparent', ...MOVES },
    },
    {
      name: 'plain-button',
      says: 'an action among words: no more than its words',
      markup: `<button class="plain-button" type="button">Show more</button>`,
      text: 'label',
      groundless: {},
      own: {
        ...CONTROL,
        ...MIDDLE,
        'border-color': 'transparent',
        'background-color': 'transparent',
        'text-decoration-line': 'underline',
        'text-underline-offset': '0.2em',
      },
    },
    {
      name: 'sign-before',
      says: 'a button with a sign before its words',
      markup: `<button class="button sign-before" type="button"><span class="icon icon-send" aria-hidden="true"></span>Book</button>`,
      inside: { '& > .icon': { ...BESIDE_WORDS, 'margin-inline-end': 'var(--icon-gap)' } },
    },
    {
      name: 'sign-after',
      says: 'a button with a sign after its words',
      markup: `<button class="button sign-after" type="button">Book<span class="icon icon-send" aria-hidden="true"></span></button>`,
      inside: { '& > .icon': { ...BESIDE_WORDS, 'margin-inline-start': 'var(--icon-gap)' } },
    },
    {
      name: 'sign-button',
      says: 'a button with a sign alone, as wide as high, named for who does not see it',
      markup: `<button class="button sign-button" type="button" aria-label="Book"><span class="icon icon-send" aria-hidden="true"></span></button>`,
      own: { 'aspect-ratio': '1' },
      inside: { '&[class]': { 'padding-inline': '0' } },
    },
    {
      name: 'small-control',
      says: 'a button or field with less room around its words',
      markup: `<button class="button small-control" type="button">Book</button>`,
    },
    {
      name: 'large-control',
      says: 'a button or field with more room around its words',
      markup: `<button class="button large-control" type="button">Book</button>`,
    },
  ],
  parts: [
    ...filledParts('button', 'action'),
    color('quiet-button', 'ink', 'color', ['action-edge', 'action']),
    color('quiet-button', 'edge', 'border-color', ['action-edge', 'action'], FILLED),
    { of: 'quiet-button', part: 'edge-width', ...LINE_WIDTH },
    { of: 'quiet-button', part: 'corner', ...CONTROL_CORNER },
    { of: 'quiet-button', part: 'lasts', from: ['duration.1'], property: 'transition-duration' },
    {
      of: 'quiet-button',
      part: 'eases',
      from: ['easing.1'],
      property: 'transition-timing-function',
    },
    color(
      'quiet-button',
      'background',
      'background-color',
      ['action-wash'],
      { states: ['shade'] },
      'hover',
    ),
    color('quiet-button', 'ink', 'color', ['text'], { states: ['shade'] }, 'hover'),
    color(
      'quiet-button',
      'background',
      'background-color',
      ['action'],
      { states: ['shade'] },
      'pressed',
    ),
    color('quiet-button', 'ink', 'color', ['action-ink'], { states: ['shade'] }, 'pressed'),
    ...telling('quiet-button'),
    color('quiet-button', 'ink', 'color', ['faint'], {}, 'off'),
    color('quiet-button', 'edge', 'border-color', ['line'], FILLED, 'off'),
    ...filledParts('danger-button', 'danger'),
    color('plain-button', 'ink', 'color', ['action-edge', 'action']),
    color('plain-button', 'ink', 'color', ['faint'], {}, 'off'),
    { of: 'plain-button', part: 'edge-width', ...LINE_WIDTH },
    { of: 'plain-button', part: 'corner', ...CONTROL_CORNER },
  ],
  fixed: [
    // Words with a class of their own follow the button where it has another color than at rest.
    ...(['button', 'danger-button'] as const).map((of) => ({
      of,
      inside: WORDS,
      when: UNFILLED,
      declarations: { color: 'inherit' },
    })),
    ...(['button', 'danger-button'] as const).map((of) => ({
      of,
      when: OUTLINED,
      declarations: { 'background-color': 'transparent' },
    })),
    { of: 'plain-button', inside: WORDS, declarations: { color: 'inherit' } },
    { of: 'plain-button', state: 'off', inside: WORDS, declarations: { color: 'inherit' } },
    ...(['button', 'quiet-button', 'danger-button'] as const).flatMap((of) =>
      (['hover', 'pressed', 'off'] as const).map((state) => ({
        of,
        state,
        inside: WORDS,
        declarations: { color: 'inherit' },
      })),
    ),
    ...(['button', 'quiet-button', 'danger-button'] as const).flatMap((of) => [
      {
        of,
        state: 'hover' as const,
        when: { states: ['underline'] } as const,
        declarations: { 'text-decoration-line': 'underline', 'text-underline-offset': '0.2em' },
      },
      {
        of,
        state: 'pressed' as const,
        when: { states: ['underline'] } as const,
        declarations: {
          'text-decoration-line': 'underline',
          'text-decoration-thickness': '0.2em',
          'text-underline-offset': '0.2em',
        },
      },
    ]),
    ...(['hover', 'pressed'] as const).map((state) => ({
      of: 'plain-button',
      state,
      declarations: { 'text-decoration-thickness': state === 'hover' ? '0.12em' : '0.2em' },
    })),
    ...(['button', 'quiet-button', 'danger-button', 'plain-button'] as const).flatMap((of) => [
      { of, state: 'off' as const, declarations: { cursor: 'not-allowed', 'box-shadow': 'none' } },
      { of, state: 'busy' as const, declarations: { cursor: 'progress' } },
      { of, state: 'busy' as const, inside: '::after', declarations: BUSY_SIGN },
    ]),
  ],
  spaces: {
    'actions.gap': space('.actions', 'gap', 'inline', 'between buttons'),
    'button.inset': space('.button', 'padding', 'control', 'inside a button'),
    'button.target': space('.button', 'min-block-size', 'target', 'height of a button'),
    'quiet-button.inset': space('.quiet-button', 'padding', 'control', 'inside a quiet button'),
    'quiet-button.target': space(
      '.quiet-button',
      'min-block-size',
      'target',
      'height of a quiet button',
    ),
    'danger-button.inset': space(
      '.danger-button',
      'padding',
      'control',
      'inside a dangerous button',
    ),
    'danger-button.target': space(
      '.danger-button',
      'min-block-size',
      'target',
      'height of a dangerous button',
    ),
    'plain-button.target': space(
      '.plain-button',
      'min-block-size',
      'target',
      'height of a plain button',
    ),
    'small-control.inset': space(
      '.small-control',
      'padding',
      'control-small',
      'inside a small control',
    ),
    'small-control.target': space(
      '.small-control',
      'min-block-size',
      'target-small',
      'height of a small control',
    ),
    'large-control.before': space(
      '.large-control',
      'padding-inline-start',
      'inset-large',
      'before the words of a large control',
    ),
    'large-control.after': space(
      '.large-control',
      'padding-inline-end',
      'inset-large',
      'after the words of a large control',
    ),
  },
  variants: [
    {
      id: 'main',
      of: 'button',
      name: 'main',
      states: SHOWN,
      specimen: specimen('button on-action'),
    },
    {
      id: 'second',
      of: 'quiet-button',
      name: 'second',
      states: SHOWN,
      specimen: specimen('quiet-button'),
    },
    {
      id: 'danger',
      of: 'danger-button',
      name: 'dangerous',
      states: SHOWN,
      specimen: specimen('danger-button'),
    },
    {
      id: 'plain',
      of: 'plain-button',
      name: 'plain',
      states: SHOWN,
      specimen: specimen('plain-button'),
    },
    ...(['before', 'after', 'alone'] as const).map((where) => ({
      id: `sign-${where}`,
      of: 'button',
      name: `sign ${where}`,
      states: SHOWN,
      specimen: signed(where),
    })),
    {
      id: 'small',
      of: 'button',
      name: 'small',
      states: SHOWN,
      specimen: specimen('button on-action small-control'),
    },
    {
      id: 'large',
      of: 'button',
      name: 'large',
      states: SHOWN,
      specimen: specimen('button on-action large-control'),
    },
  ],
});
