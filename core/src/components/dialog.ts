import { element } from '../proof/node.ts';
import { component } from './component.ts';
import { CARD_CORNER, FADING, space, STACK } from './pieces.ts';

/** What stands above the page until it is answered: a real `dialog`. */
export const dialog = component({
  id: 'dialog',
  name: 'Dialog',
  group: 'telling',
  says: 'what stands above the page until it is answered',
  classes: [
    {
      name: 'dialog',
      says: 'a question above the page',
      markup: `<dialog class="dialog" id="sure"><h2 class="type-h4">Cancel the booking?</h2><p class="type-body">The place is given away.</p><form class="actions" method="dialog"><button class="danger-button">Cancel it</button> <button class="quiet-button">Keep it</button></form></dialog>`,
      own: {
        'box-sizing': 'border-box',
        'max-inline-size': '32rem',
        'border-style': 'solid',
        opacity: '0',
        ...FADING,
      },
      inside: { '&[open]': { ...STACK, opacity: '1' } },
      starts: { '&[open]': { opacity: '0' } },
    },
    {
      name: 'empty',
      says: 'what stands where there is nothing yet',
      markup: `<div class="empty"><p class="type-body">No bookings yet.</p><p class="actions"><a class="button" href="/book">Book</a></p></div>`,
      own: { ...STACK, 'border-style': 'dashed' },
    },
  ],
  selectors: { 'dialog-backdrop': '.dialog&::backdrop' },
  parts: [
    {
      of: 'dialog',
      part: 'background',
      property: 'background-color',
      from: ['color.raised', 'color.page'],
    },
    { of: 'dialog', part: 'ink', property: 'color', from: ['color.text'] },
    { of: 'dialog', part: 'edge', property: 'border-color', from: ['color.line'] },
    { of: 'dialog', part: 'edge-width', property: 'border-width', from: ['edge.line'] },
    { of: 'dialog', part: 'corner', ...CARD_CORNER },
    {
      of: 'dialog',
      part: 'level',
      property: 'box-shadow',
      from: ['shadow.3', 'shadow.2', 'shadow.1'],
    },
    // What is large moves more slowly.
    {
      of: 'dialog',
      part: 'lasts',
      property: 'transition-duration',
      from: ['duration.2', 'duration.1'],
    },
    // The page behind it goes back into its own color, in every theme.
    {
      of: 'dialog-backdrop',
      part: 'ground',
      property: 'background-color',
      from: ['color.page'],
    },
    { of: 'dialog-backdrop', part: 'opacity', property: 'opacity', from: ['opacity.1'] },
    { of: 'empty', part: 'edge', property: 'border-color', from: ['color.line'] },
    { of: 'empty', part: 'edge-width', property: 'border-width', from: ['edge.line'] },
    { of: 'empty', part: 'corner', ...CARD_CORNER },
  ],
  spaces: {
    'dialog.inset': space('.dialog', 'padding', 'inset-large', 'inside a dialog'),
    'dialog.gap': space('.dialog', 'gap', 'tight', 'between the words of a dialog'),
    'empty.inset': space('.empty', 'padding', 'inset-large', 'inside an empty state'),
    'empty.gap': space('.empty', 'gap', 'tight', 'between the words of an empty state'),
  },
  variants: [
    {
      id: 'dialog',
      of: 'dialog',
      name: 'dialog',
      states: [],
      specimen: () =>
        element(
          'dialog',
          { class: 'dialog', open: '' },
          element('p', { class: 'type-h5' }, 'Cancel it?'),
          element('p', { class: 'type-body' }, 'The place is given away.'),
        ),
    },
    {
      id: 'empty',
      of: 'empty',
      name: 'empty state',
      states: [],
      specimen: () =>
        element(
          'div',
          { class: 'empty' },
          element('p', { class: 'type-body' }, 'No bookings yet.'),
        ),
    },
  ],
});
