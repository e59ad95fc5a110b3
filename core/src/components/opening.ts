import { element } from '../proof/node.ts';
import { component } from './component.ts';
import { COVERING, space } from './pieces.ts';

/** What a page opens with. */
export const opening = component({
  id: 'opening',
  name: 'Opening',
  group: 'together',
  says: 'what a page opens with',
  classes: [
    {
      name: 'hero',
      says: 'what a page opens with',
      markup: `<section class="hero width-opening"><h1 class="type-h1">…</h1><p class="type-lead">…</p><p class="actions">…</p></section>`,
      own: { display: 'grid', 'align-content': 'center' },
    },
    {
      name: 'over-picture',
      says: 'words over a picture with its veil',
      markup: `<section class="over-picture"><img class="hero-picture" src="…" alt=""><div class="hero-veil"></div><div class="hero-words">…</div></section>`,
      own: {
        position: 'relative',
        display: 'grid',
        // The upper part is the picture’s own: words begin below it on every screen.
        'grid-template-rows': 'minmax(19rem, 1fr) auto',
        'min-block-size': '38rem',
        overflow: 'clip',
      },
    },
    {
      name: 'picture-band',
      says: 'the same in the middle of a page: as high as its words',
      markup: `<section class="over-picture picture-band"><img class="ground-picture" src="…" alt=""><div class="hero-veil"></div><div class="hero-words">…</div></section>`,
      own: { 'grid-template-rows': 'auto', 'min-block-size': '0' },
      inside: { '& > .hero-words': { 'grid-row': '1' } },
    },
    {
      name: 'ground-picture',
      says: 'the picture under the words of a section',
      markup: `<img class="ground-picture" src="…" alt="">`,
      own: COVERING,
    },
    {
      name: 'hero-picture',
      says: 'the picture under the words',
      markup: `<img class="hero-picture" src="…" alt="">`,
      own: COVERING,
    },
    {
      name: 'hero-veil',
      says: 'the veil between the picture and the words',
      markup: `<div class="hero-veil"></div>`,
      own: COVERING,
    },
    {
      name: 'hero-words',
      says: 'the words on the picture',
      markup: `<div class="hero-words width-opening">…</div>`,
      own: { position: 'relative', display: 'grid', 'grid-row': '2' },
    },
  ],
  parts: [
    { of: 'over-picture', part: 'corner', from: ['corner.picture'], property: 'border-radius' },
  ],
  variants: [
    {
      id: 'usual',
      of: 'hero',
      name: 'usual',
      states: [],
      specimen: () =>
        element(
          'div',
          { class: 'hero' },
          element('p', { class: 'type-h1' }, 'Out and back'),
          element('p', { class: 'type-lead' }, 'Nine crossings a day.'),
        ),
    },
  ],
  spaces: {
    'hero.inset': space('.hero', 'padding-block-start', 'section', 'above the opening'),
    'picture.start': space(
      '.over-picture',
      'margin-block-start',
      'inset',
      'above an opening with a picture',
    ),
    'hero.gap': space('.hero', 'gap', 'stack', 'between the words of the opening'),
    'picture-words.inset': space('.hero-words', 'padding', 'inset', 'around words on a picture'),
    'picture-words.gap': space('.hero-words', 'gap', 'stack', 'between words on a picture'),
  },
});
