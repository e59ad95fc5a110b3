import { component } from './component.ts';
import { space } from './pieces.ts';

/** A note at the foot of an article. */
export const footnote = component({
  id: 'footnote',
  name: 'Footnote',
  group: 'together',
  says: 'a note at the foot of an article',
  classes: [
    {
      name: 'footnote',
      says: 'a note at the foot of an article, with its number',
      markup: `<div class="footnote"><span class="type-small">1</span><p class="type-small">…</p></div>`,
      own: { display: 'flex', 'align-items': 'baseline' },
    },
  ],
  spaces: {
    'footnote.gap': space('.footnote', 'gap', 'tight', 'between a footnote and its number'),
  },
});
