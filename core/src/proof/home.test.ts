import { expect, test } from '@jest/globals';
import { derive } from '../derive/derive.ts';
import { writeCss } from '../formats/css.ts';
import { sampleDocument } from '../system/sample.ts';
import { ARRANGEMENT } from './arrangement.ts';
import { homePage } from './home.ts';
import { writeHtml, type ProofNode } from './node.ts';

const document = sampleDocument();
const derived = derive(document);
const page = homePage(document, derived);

function* elements(node: ProofNode): Generator<Exclude<ProofNode, string>> {
  if (typeof node === 'string') return;
  yield node;
  for (const child of node.children) yield* elements(child);
}

test('the page holds the site’s own words', () => {
  const html = writeHtml(page);
  for (const words of [document.content.hero.title, document.content.footer, 'Monday to Friday'])
    expect(html).toContain(words);
});

test('every element names only tokens that exist', () => {
  for (const { uses = [] } of elements(page))
    for (const id of uses) expect([id, derived.tokenById.has(id)]).toEqual([id, true]);
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

test('the arrangement decides no color and no type', () => {
  expect(ARRANGEMENT).not.toMatch(
    /(^|[\s;{])(color|font|font-size|font-family|font-weight|line-height|background)(-color)?:/,
  );
});

test('the arrangement decides no space: that is in the sheet, where it can be measured', () => {
  expect(ARRANGEMENT).not.toMatch(
    /[\s;{](padding|margin|gap|row-gap|column-gap)(-[a-z-]+)?: (?!0;)/,
  );
});

test('words that look like markup stay words', () => {
  const odd = sampleDocument([
    { op: 'replace', path: '/content/hero/title', value: '<script>alert("x")</script>' },
  ]);
  const html = writeHtml(homePage(odd, derive(odd)));
  expect(html).not.toContain('<script>');
  expect(html).toContain('&lt;script&gt;');
});

test('an empty notice and an empty table leave no gap', () => {
  const bare = sampleDocument([
    { op: 'replace', path: '/content/notice', value: { title: '', text: '' } },
    {
      op: 'replace',
      path: '/content/table',
      value: {
        title: '',
        note: '',
        columns: { order: [], items: {} },
        rows: { order: [], items: {} },
      },
    },
  ]);
  const html = writeHtml(homePage(bare, derive(bare)));
  expect(html).not.toContain('<aside');
  expect(html).not.toContain('<table');
});
