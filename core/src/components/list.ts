import { component } from './component.ts';
import { space } from './pieces.ts';

/** A list in running text. */
export const list = component({
  id: 'list',
  name: 'List',
  group: 'together',
  says: 'a list in running text',
  classes: [
    {
      name: 'list',
      says: 'a list in running text, with marks or numbers',
      markup: `<ul class="list"><li class="type-body">…</li></ul>`,
      own: { display: 'grid', margin: '0' },
    },
  ],
  spaces: {
    'list.inset': space(
      '.list',
      'padding-inline-start',
      'inset-large',
      'before a list in running text',
    ),
    'list.gap': space('.list', 'gap', 'closest', 'between lines of a list'),
  },
});
