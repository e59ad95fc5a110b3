import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { micromark } from 'micromark';
import { gfmTable, gfmTableHtml } from 'micromark-extension-gfm-table';
import { wcagContrast } from 'culori';
import { COMPONENTS } from '../components/components.ts';
import { derive } from '../derive/derive.ts';
import { fluidPx } from '../type/fluid.ts';
import { jsonOf, type Patch } from '../system/patch.ts';
import { sampleDocument, sampleFamily } from '../system/sample.ts';
import { writeHandoff } from './handoff.ts';

const written = (patch: Patch = []): string => {
  const document = sampleDocument(patch);
  return writeHandoff(document, derive(document));
};

/** Read by an independent parser: micromark, CommonMark with tables. */
const html = (markdown: string): string =>
  micromark(markdown, { extensions: [gfmTable()], htmlExtensions: [gfmTableHtml()] });

describe('what goes along with the tokens', () => {
  test('says why the faces were chosen, and what was confirmed of them', () => {
    const family = {
      ...(jsonOf(sampleFamily('karla')) as object),
      confirmed: 'Bought for this site.',
    };
    const text = written([
      { op: 'replace', path: '/fonts/reasons/because', value: ['fits the mood', 'true italic'] },
      { op: 'replace', path: '/fonts/reasons/note', value: 'Like the old almanacs.' },
      { op: 'add', path: '/fonts/roles/label', value: { family, weight: 600 } },
    ]);
    expect(text).toContain('Chosen because: fits the mood, true italic.');
    expect(text).toContain('Like the old almanacs.');
    expect(text).toContain('- Karla: Bought for this site.');
    expect(html(text)).toContain('<td>label face</td>\n<td>Karla</td>\n<td>600</td>');
  });

  test('has a row for each role and step', () => {
    const { styles, colors, steps, spaces, grid, icons, pairs } = derive(sampleDocument());
    const drawn = COMPONENTS.filter(({ variants = [] }) => variants.length > 0).length;
    const rows = html(written()).match(/<tr>/g)?.length;
    const sides = [...spaces.values()].reduce((sum, { apart }) => sum + (apart ? 2 : 1), 0);
    // Eleven tables with a head each, two faces; three radii, and two each of borders, levels, durations. Each text
    // role stands in two of them.
    expect(rows).toBe(
      11 +
        2 +
        2 * styles.size +
        colors.size +
        pairs.length +
        steps.size +
        sides +
        grid.length +
        9 +
        icons.size +
        drawn,
    );
  });

  test('says how each text is set, at each anchor, and what stands after it', () => {
    const text = written([
      { op: 'add', path: '/type/roles/items/h1/case', value: 'uppercase' },
      { op: 'add', path: '/type/roles/items/h1/after', value: 'm' },
      { op: 'add', path: '/type/roles/items/h1/letterSpacing', value: 0.05 },
    ]);
    const document = sampleDocument();
    const { steps, styles } = derive(document);
    const row = text.split('\n').find((line) => /^\| h1 \| Karla|^\| h1 \| [A-Z]/.test(line)) ?? '';
    expect(row).toContain(
      `letters 0.05 em apart, uppercase, ${steps.get('m')?.px ?? 0} px after it`,
    );
    const h1 = styles.get('h1');
    if (!h1) throw new Error('there is no h1');
    for (const { width } of Object.values(document.type.anchors.items)) {
      const size = fluidPx(h1.size, width);
      const figures = [size, size * h1.lineHeight].map((one) => String(Number(one.toFixed(2))));
      expect(row).toContain(` ${figures.join(' / ')} `);
      expect(text).toContain(`| ${width} px |`);
    }
  });

  test('says colors by their grounds, with the contrast that is checked', () => {
    const { pairs } = derive(sampleDocument());
    const [pair] = pairs;
    if (!pair) throw new Error('there is no text');
    const line = written()
      .split('\n')
      .find((one) => one.startsWith(`| ${pair.on.name} | ${pair.style.name} |`));
    // By another library: culori has the formula of WCAG 2.2.
    const ratio = wcagContrast(pair.color.colors.light, pair.on.colors.light);
    expect(line).toContain(`${ratio.toFixed(2)}:1`);
  });

  test('tells of the logo, of drawings, and of each component with its states', () => {
    const text = written();
    expect(text).toContain('## Logo, gradients, veils and patterns');
    expect(text).toMatch(/Logo: .*; never lower than \d+ px/);
    const button = text.split('\n').find((line) => line.startsWith('| Button |')) ?? '';
    for (const words of ['main', 'pointed at', 'pressed', 'focused', 'off'])
      expect(button).toContain(words);
  });

  test('keeps words that look like markup as words', () => {
    const name = '<b>A|B</b> *c* [d](e)';
    const text = html(
      written([
        { op: 'replace', path: '/name', value: name },
        { op: 'replace', path: '/color/roles/items/quiet/name', value: 'quiet | <i>' },
      ]),
    );
    expect(text).toContain('<h1>&lt;b&gt;A|B&lt;/b&gt; *c* [d](e)</h1>');
    expect(text).toContain('<td>quiet | &lt;i&gt;</td>');
  });

  test('says any words just as they were written, and nothing more', () => {
    const sign = fc.constantFrom(
      ...'~~~ ``` *_#-+=.)1:|<>[]()!&\\{}a é'.split(''),
      '&copy;',
      '~~~ ',
    );
    fc.assert(
      fc.property(fc.array(sign, { maxLength: 80 }), (signs) => {
        const said = `${signs.join('')}z`;
        const shown = html(written([{ op: 'replace', path: '/description', value: said }]));
        const [, paragraph = ''] = /<\/h1>\n<p>([^]*?)<\/p>/.exec(shown) ?? [];
        const words = paragraph
          .replaceAll('&lt;', '<')
          .replaceAll('&gt;', '>')
          .replaceAll('&quot;', '"')
          .replaceAll('&amp;', '&');
        expect(words).toBe(said.replaceAll(/\s+/g, ' ').trim());
        // Whatever stood in it, the rest of the page is still there.
        expect(shown).toContain('<h2>Open findings</h2>');
      }),
      { numRuns: 40 },
    );
  });

  test('names each icon with its class, what it departs in and where it is from', () => {
    const icon = {
      name: 'Boat *now*',
      drawing: {
        width: 24,
        height: 24,
        cap: 'round',
        join: 'round',
        shapes: [{ d: 'M4 12H20', paint: 'stroke', width: 2 }],
      },
      measures: {
        kind: 'outlined',
        stroke: 0.08,
        evenness: 1,
        ink: 0.1,
        details: 1,
        wide: 0.7,
        high: 0.1,
      },
      from: { set: 'A set', icon: 'ship', author: 'Anna Rehn', license: 'MIT' },
      size: 'large',
    };
    const text = written([
      {
        op: 'add',
        path: '/icons/sizes/items/large',
        value: { name: 'Large', of: 'text', times: 2 },
      },
      { op: 'replace', path: '/icons/sizes/order', value: ['large'] },
      { op: 'add', path: '/icons/named/items/boat', value: icon },
      { op: 'replace', path: '/icons/named/order', value: ['boat'] },
    ]);
    expect(html(text)).toContain(
      '<td>Boat *now*</td>\n<td><code>icon-boat-now</code></td>\n<td>outlined</td>\n<td>Large</td>\n<td>A set, MIT</td>',
    );
    expect(text).toContain('strokes of 1.5 px at any size');
  });

  test('tells what was measured on the pages, and that they were', () => {
    const document = sampleDocument([
      { op: 'add', path: '/accepted/edge', value: { reason: 'Meant so.' } },
    ]);
    const text = writeHandoff(document, derive(document), {
      measured: [
        { id: 'over', severity: 'repair', title: 'Words over *hill*', figures: '1.9 of 3' },
        { id: 'edge', severity: 'look', title: 'An edge', figures: '2 px' },
      ],
    });
    expect(text).toContain('The pages were measured in a browser as they are');
    expect(html(text)).toContain('<li>Words over *hill*: 1.9 of 3</li>');
    expect(html(text)).toContain('<li>An edge: Meant so.</li>');
    expect(text).not.toContain('None.');
  });

  test('tells what the checks still say, and what was accepted', () => {
    const pale: Patch = [
      {
        op: 'replace',
        path: '/color/roles/items/quiet/light',
        value: { kind: 'own', value: '#a09a90' },
      },
    ];
    expect(written()).toMatch(
      /## Open findings\n\n.*was not measured since the last change\.\n\nNone\./,
    );
    expect(written(pale)).toMatch(/## Open findings\n\n.*\n\n- .*2\.\d\d of 4\.50/);
    const accepted = written([
      ...pale,
      {
        op: 'add',
        path: '/accepted/contrast:lead-page:light',
        value: { reason: 'Shown large only.' },
      },
    ]);
    expect(accepted).toMatch(/## Accepted as they are\n\n- .*: Shown large only\./);
  });
});
