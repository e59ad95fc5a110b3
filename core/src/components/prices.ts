import { element } from '../proof/node.ts';
import { component } from './component.ts';
import { lineAbove, space } from './pieces.ts';

/** What something costs, line by line. */
export const prices = component({
  id: 'prices',
  name: 'Price list',
  group: 'together',
  says: 'what something costs, line by line',
  classes: [
    {
      name: 'prices',
      says: 'a list of prices',
      markup: `<dl class="prices"><div class="price"><dt class="type-body">One way</dt><dd class="price-is type-h5">4.80</dd></div></dl>`,
      own: { display: 'grid', margin: '0' },
    },
    {
      name: 'price',
      says: 'one of them: what it is, and its price at the end of the line',
      markup: `<div class="price"><dt class="type-body">One way</dt><dd class="price-is type-h5">4.80</dd></div>`,
      own: {
        display: 'flex',
        'flex-wrap': 'wrap',
        'align-items': 'baseline',
        'justify-content': 'space-between',
        'border-block-start-style': 'solid',
      },
    },
    {
      name: 'price-is',
      says: 'the price, in figures of one width',
      markup: `<dd class="price-is type-h5">4.80</dd>`,
      own: { margin: '0', 'font-variant-numeric': 'tabular-nums' },
    },
  ],
  parts: lineAbove('price'),
  spaces: {
    'price.inset': space('.price', 'padding-block', 'tight', 'above and below a price'),
    'price.gap': space('.price', 'gap', 'inline', 'between a thing and its price'),
  },
  variants: [
    {
      id: 'usual',
      of: 'price',
      name: 'usual',
      states: [],
      specimen: () =>
        element(
          'dl',
          { class: 'prices' },
          ...[
            ['One way', '4.80'],
            ['There and back', '8.20'],
            ['Bicycle', '2.00'],
          ].map(([what = '', cost = '']) =>
            element(
              'div',
              { class: 'price' },
              element('dt', { class: 'type-body' }, what),
              element('dd', { class: 'price-is type-h5' }, cost),
            ),
          ),
        ),
    },
  ],
});
