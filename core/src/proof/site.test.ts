import { firstText } from './texts.ts';
import { expect, test } from '@jest/globals';
import { derive } from '../derive/derive.ts';
import { writeCss } from '../formats/css.ts';
import { sampleDocument } from '../system/sample.ts';
import { ARRANGEMENT } from './arrangement.ts';
import { sitePage } from './site.ts';
import { writeHtml, type ProofNode } from './node.ts';

const document = sampleDocument();
const derived = derive(document);
const page = sitePage(document, derived);

function* elements(node: ProofNode): Generator<Exclude<ProofNode, string>> {
  if (typeof node === 'string') return;
  yield node;
  for (const child of node.children) yield* elements(child);
}

test('the page holds the site’s own words', () => {
  const html = writeHtml(page, (svg) => svg);
  for (const words of [
    firstText(document.content, 'h1')?.words ?? '?',
    document.content.footer,
    'Monday to Friday',
  ])
    expect(html).toContain(words);
});

test('a component keeps its colors when their roles are renamed', () => {
  const all = derive(
    sampleDocument([
      { op: 'replace', path: '/color/roles/items/action/name', value: 'Main deed' },
      { op: 'replace', path: '/color/roles/items/page/name', value: 'Ground' },
    ]),
  );
  const css = writeCss(all);
  expect(css).toContain('--button-background: var(--color-main-deed);');
  expect(css).toContain('background-color: var(--color-ground);');
  expect(css).toMatch(/\.button \{[^}]*background-color: var\(--button-background\)/);
});

test('every class of a text or a surface is in the exported sheet', () => {
  const css = writeCss(derived);
  const classes = [...elements(page)].flatMap(({ attributes }) =>
    (attributes['class'] ?? '').split(' '),
  );
  const exported = classes.filter((name) =>
    /^(type|on)-|^(button|quiet-button|notice|table)$/.test(name),
  );
  expect(exported.length).toBeGreaterThan(20);
  for (const name of exported) expect(css).toMatch(new RegExp(`\\.${name}\\b`));
});

test('the arrangement decides nothing that a page looks like: it scrolls, rests and holds still', () => {
  const said = [...ARRANGEMENT.matchAll(/([\w-]+): /g)].map(([, property]) => property);
  expect(new Set(said)).toEqual(
    new Set([
      ...['contain-intrinsic-size', 'content-visibility', 'overflow-clip-margin', 'overflow-x'],
      'transition-duration',
    ]),
  );
});

test('words that look like markup stay words', () => {
  const odd = sampleDocument([
    {
      op: 'replace',
      path: '/content/pages/items/home/sections/items/hero/title',
      value: '<script>alert("x")</script>',
    },
  ]);
  const html = writeHtml(sitePage(odd, derive(odd)), (svg) => svg);
  expect(html).not.toContain('<script>');
  expect(html).toContain('&lt;script&gt;');
});

test('an empty notice and an empty table leave no gap', () => {
  const bare = sampleDocument([
    {
      op: 'replace',
      path: '/content/pages/items/home/sections/items/notice',
      value: { kind: 'notice', title: '', text: '' },
    },
    {
      op: 'replace',
      path: '/content/pages/items/home/sections/items/table',
      value: {
        kind: 'table',
        title: '',
        note: '',
        columns: { order: [], items: {} },
        rows: { order: [], items: {} },
      },
    },
  ]);
  const html = writeHtml(sitePage(bare, derive(bare)), (svg) => svg);
  expect(html).not.toContain('<aside');
  expect(html).not.toContain('<table');
});
