import { expect, test } from '@jest/globals';
import { derive } from '../derive/derive.ts';
import { writeCss } from '../formats/css.ts';
import { jsonOf, type Patch } from '../system/patch.ts';
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
  const html = writeHtml(page, (svg) => svg);
  for (const words of [document.content.hero.title, document.content.footer, 'Monday to Friday'])
    expect(html).toContain(words);
});

test('every element names only tokens that exist', () => {
  for (const { uses = [] } of elements(page))
    for (const id of uses) expect([id, derived.tokenById.has(id)]).toEqual([id, true]);
});

test('every element names only tokens that exist, whatever roles are called and however spaces part', () => {
  const { color, space } = document;
  const renamed: Patch = color.roles.order.map((id, index) => ({
    op: 'replace',
    path: `/color/roles/items/${id}/name`,
    value: `Hue ${index}`,
  }));
  const sided = (form: 'apart' | 'alike'): Patch =>
    space.roles.order.flatMap((id): Patch => {
      const { value, block } = space.roles.items[id] ?? {};
      if (form === 'alike')
        return block ? [{ op: 'remove' as const, path: `/space/roles/items/${id}/block` }] : [];
      return value && !block
        ? [{ op: 'add' as const, path: `/space/roles/items/${id}/block`, value: jsonOf(value) }]
        : [];
    });
  for (const patch of [renamed, sided('alike'), sided('apart'), [...renamed, ...sided('alike')]]) {
    const odd = sampleDocument(patch);
    const all = derive(odd);
    const named = [...elements(homePage(odd, all))].flatMap(({ uses = [] }) => uses);
    expect(named.filter((id) => !all.tokenById.has(id))).toEqual([]);
    // Nothing is lost either: what the page names of buttons is there under one name or another.
    for (const part of ['button.background', 'button.inset', 'table.line'])
      expect([part, named.some((id) => id.startsWith(part))]).toEqual([part, true]);
  }
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
  const html = writeHtml(homePage(odd, derive(odd)), (svg) => svg);
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
  const html = writeHtml(homePage(bare, derive(bare)), (svg) => svg);
  expect(html).not.toContain('<aside');
  expect(html).not.toContain('<table');
});
