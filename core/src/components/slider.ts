import { element } from '../proof/node.ts';
import { component } from './component.ts';
import { OFF, OFF_OPACITY, space } from './pieces.ts';

/** A number on a track between two ends. */
export const slider = component({
  id: 'slider',
  name: 'Slider',
  group: 'fields',
  says: 'a number on a track between two ends',
  classes: [
    {
      name: 'slider',
      says: 'a track with its handle',
      markup: `<label class="type-label" for="far">How far</label><input class="slider" id="far" type="range" min="0" max="40">`,
      own: { 'box-sizing': 'border-box', margin: '0', 'inline-size': '100%' },
    },
    {
      name: 'slider-ends',
      says: 'what its ends mean',
      markup: `<p class="slider-ends"><span class="type-small">0 km</span> <span class="type-small">40 km</span></p>`,
      own: { display: 'flex', 'justify-content': 'space-between' },
    },
  ],
  parts: [
    { of: 'slider', part: 'ink', property: 'accent-color', from: ['color.action'] },
    {
      of: 'slider',
      part: 'ink-hover',
      property: 'accent-color',
      from: ['color.action-hover', 'color.action'],
      state: 'hover',
    },
    {
      of: 'slider',
      part: 'ink-pressed',
      property: 'accent-color',
      from: ['color.action-pressed', 'color.action'],
      state: 'pressed',
    },
    { of: 'slider', ...OFF_OPACITY },
  ],
  fixed: [{ of: 'slider', state: 'off', declarations: OFF }],
  spaces: { 'slider.target': space('.slider', 'min-block-size', 'target', 'height of a slider') },
  variants: [
    {
      id: 'slider',
      of: 'slider',
      name: 'slider',
      states: ['hover', 'pressed', 'focus', 'off'],
      specimen: (state) =>
        element('input', { class: 'slider', type: 'range', 'aria-label': 'How far', ...state }),
    },
  ],
});
