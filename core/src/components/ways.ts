import { component } from './component.ts';
import { lineAbove, space } from './pieces.ts';

/** How to reach somebody. */
export const ways = component({
  id: 'ways',
  name: 'Ways to reach',
  group: 'together',
  says: 'how to reach somebody',
  classes: [
    {
      name: 'ways',
      says: 'how to reach somebody',
      markup: `<dl class="ways"><div class="way"><dt class="type-label">Call</dt><dd class="type-body">…</dd></div></dl>`,
      own: { display: 'grid', margin: '0' },
    },
    {
      name: 'way',
      says: 'one of them: a sign, and the words',
      markup: `<div class="way"><dt class="type-label">Call</dt><dd class="type-body">…</dd></div>`,
      own: {
        display: 'grid',
        'grid-template-columns': 'minmax(4rem, auto) minmax(0, 1fr)',
        'align-items': 'baseline',
        'border-block-start-style': 'solid',
      },
    },
    {
      name: 'way-sign',
      says: 'an icon, and the words that it stands for',
      markup: `<dt class="way-sign"><span class="icon icon-outward" aria-hidden="true"></span><span class="type-label">Call</span></dt>`,
      inside: { '& > .icon': { 'margin-inline-end': 'var(--icon-gap)' } },
    },
  ],
  parts: lineAbove('way'),
  spaces: {
    'ways.gap': space('.ways', 'gap', 'tight', 'between ways to reach somebody'),
    'way.inset': space('.way', 'padding-block-start', 'closest', 'above a way to reach somebody'),
    'way.gap': space('.way', 'gap', 'inline', 'between its sign and its words'),
  },
});
