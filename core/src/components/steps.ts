import { component } from './component.ts';
import { lineAbove, space } from './pieces.ts';

/** One thing after the other. */
export const steps = component({
  id: 'steps',
  name: 'Steps',
  group: 'together',
  says: 'one thing after the other',
  classes: [
    {
      name: 'steps',
      says: 'one thing after the other',
      markup: `<ol class="steps"><li class="step">…</li></ol>`,
      own: { display: 'grid', margin: '0', padding: '0', 'list-style': 'none' },
    },
    {
      name: 'step',
      says: 'one of them, with its number',
      markup: `<li class="step"><span class="type-h4" aria-hidden="true">1</span><div class="step-words"><h3 class="type-h5">…</h3><p class="type-body">…</p></div></li>`,
      own: {
        display: 'grid',
        'grid-template-columns': '3rem minmax(0, 1fr)',
        'align-items': 'baseline',
        'border-block-start-style': 'solid',
      },
    },
    {
      name: 'step-words',
      says: 'what a step says',
      markup: `<div class="step-words">…</div>`,
      own: { display: 'grid' },
    },
  ],
  parts: lineAbove('step'),
  spaces: {
    'steps.gap': space('.steps', 'gap', 'tight', 'between steps'),
    'step.inset': space('.step', 'padding-block-start', 'tight', 'above a step'),
    'step.gap': space('.step', 'gap', 'inline', 'between a step and its number'),
    'step-words.gap': space('.step-words', 'row-gap', 'closest', 'between the words of a step'),
  },
});
