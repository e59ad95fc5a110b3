import { element } from '../proof/node.ts';
import { component } from './component.ts';
import { CARD_CORNER, FADING, LINE_WIDTH, space } from './pieces.ts';

/** Small things that tell something of what they stand beside. */
export const marker = component({
  id: 'marker',
  name: 'Marker',
  group: 'telling',
  says: 'a number or a hint of what it stands beside',
  classes: [
    {
      name: 'marker',
      says: 'a number in a round, beside a word',
      markup: `<a class="nav-link" href="/messages">Unread <span class="marker fill-danger">3</span></a>`,
      text: 'small',
      hasInk: true,
      own: {
        display: 'inline-block',
        'box-sizing': 'border-box',
        'min-inline-size': '1.8em',
        padding: '0.1em 0.4em',
        'text-align': 'center',
        'border-radius': '1em',
        'font-variant-numeric': 'tabular-nums',
      },
    },
    {
      name: 'tip',
      says: 'a hint that opens beside what it is of, and closes with Escape or a click elsewhere',
      markup: `<button class="plain-button" type="button" popovertarget="why">Why we ask</button><p class="tip" id="why" popover>So that the crew can reach you.</p>`,
      text: 'small',
      own: {
        'box-sizing': 'border-box',
        'max-inline-size': '20rem',
        'border-style': 'solid',
        ...FADING,
      },
      inside: { '&[popover]': { opacity: '0' }, '&:popover-open': { opacity: '1' } },
      starts: { '&:popover-open': { opacity: '0' } },
    },
  ],
  parts: [
    {
      of: 'tip',
      part: 'background',
      property: 'background-color',
      from: ['color.raised', 'color.surface', 'color.page'],
    },
    { of: 'tip', part: 'ink', property: 'color', from: ['color.text'] },
    {
      of: 'tip',
      part: 'edge',
      property: 'border-color',
      from: ['color.line-strong'],
      isEdge: true,
    },
    { of: 'tip', part: 'edge-width', ...LINE_WIDTH },
    { of: 'tip', part: 'corner', ...CARD_CORNER },
    { of: 'tip', part: 'level', property: 'box-shadow', from: ['shadow.2', 'shadow.1'] },
    { of: 'tip', part: 'lasts', property: 'transition-duration', from: ['duration.1'] },
  ],
  spaces: { 'tip.inset': space('.tip', 'padding', 'inset-small', 'inside a hint that opens') },
  variants: [
    {
      id: 'number',
      of: 'marker',
      name: 'number',
      states: [],
      specimen: () => element('span', { class: 'marker fill-danger' }, '3'),
    },
    {
      id: 'tip',
      of: 'tip',
      name: 'hint that opens',
      states: [],
      specimen: () => element('p', { class: 'tip' }, 'So that the crew can reach you.'),
    },
  ],
});
