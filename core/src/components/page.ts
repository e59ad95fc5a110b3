import { component } from './component.ts';
import { CARD_CORNER, space, STACK } from './pieces.ts';

/** What a page is built of. */
export const page = component({
  id: 'page',
  name: 'Page',
  group: 'together',
  says: 'what a page is built of',
  classes: [
    {
      name: 'site-main',
      says: 'the parts of a page below each other',
      markup: `<main class="grid-frame"><div class="site-main">…</div></main>`,
      own: STACK,
    },
    {
      name: 'own-part',
      says: 'sections that stand together, the same on every page',
      markup: `<div class="own-part"><section class="block">…</section><section class="block">…</section></div>`,
      own: STACK,
    },
    {
      name: 'block',
      says: 'a part of a page: a heading and what is under it',
      markup: `<section class="block"><h2 class="type-h2">…</h2>…</section>`,
      own: STACK,
    },
    {
      name: 'ground',
      says: 'a part of a page on a surface of its own',
      markup: `<div class="ground on-surface"><section class="block">…</section></div>`,
    },
  ],
  parts: [{ of: 'ground', part: 'corner', ...CARD_CORNER }],
  spaces: {
    'main.gap': space('.site-main', 'row-gap', 'section', 'between the parts of a page'),
    'own-part.gap': space('.own-part', 'row-gap', 'section', 'between the sections of a part'),
    'main.end': space(
      '.site-main',
      'padding-block-end',
      'section',
      'below the last part of a page',
    ),
    'block.gap': space('.block', 'row-gap', 'stack', 'inside a part of the page'),
    'ground.inset': space('.ground', 'padding', 'inset-large', 'around a part on a surface'),
  },
});
