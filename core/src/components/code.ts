import { component } from './component.ts';
import { CARD_CORNER, LINE_WIDTH, space } from './pieces.ts';

/** Lines of code. */
export const code = component({
  id: 'code',
  name: 'Code',
  group: 'together',
  says: 'lines of code',
  classes: [
    {
      name: 'code-block',
      says: 'lines of code',
      markup: `<pre class="code-block" tabindex="0"><code class="type-code">…</code></pre>`,
      own: { margin: '0', 'overflow-x': 'auto', 'border-style': 'solid' },
    },
  ],
  parts: [
    { of: 'code-block', part: 'edge', from: ['color.line'], property: 'border-color' },
    { of: 'code-block', part: 'edge-width', ...LINE_WIDTH },
    { of: 'code-block', part: 'corner', ...CARD_CORNER },
  ],
  spaces: {
    'code-block.inset': space('.code-block', 'padding', 'inset-small', 'around code'),
  },
});
