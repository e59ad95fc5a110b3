/** @jest-environment jsdom */
import { beforeEach, describe, expect, test } from '@jest/globals';
import { derive } from '../derive/derive.ts';
import { writeHtml, type ProofElement, type ProofNode } from '../proof/node.ts';
import { sitePage } from '../proof/site.ts';
import { patched, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { pinSchema } from './note-schema.ts';
import { elementAt, pinOf } from './pin.ts';

/** A page with the places of its words, as the proof shows it. */
const placed = (node: ProofNode): ProofNode =>
  typeof node === 'string'
    ? node
    : {
        ...node,
        attributes: {
          ...node.attributes,
          ...(node.place !== undefined && { 'data-section': node.place }),
          ...(node.content !== undefined && { 'data-content': node.content }),
        },
        children: node.children.map(placed),
      };

function site(patch: Patch = []): Element {
  const result = patched(sampleDocument(), patch);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  const [page = ''] = result.document.content.pages.order;
  const node = placed(sitePage(result.document, derive(result.document), page)) as ProofElement;
  document.body.innerHTML = writeHtml(node, () => '');
  const found = document.querySelector('.site');
  if (!found) throw new Error('there is no page');
  return found;
}

beforeEach(() => {
  document.body.innerHTML = '';
});

describe('a pin', () => {
  test('leads back to its own element, for every element of the page', () => {
    const page = site();
    const all = [...page.querySelectorAll('*')];
    expect(all.length).toBeGreaterThan(60);
    const lost = all.filter((element) => elementAt(page, pinOf(page, element, 'it')) !== element);
    // Words that stand on the page twice are meant by either.
    const twice = lost.filter((element) => {
      const pin = pinOf(page, element, 'it');
      const places = [...page.querySelectorAll('[data-content]')].filter(
        (one) => one.getAttribute('data-content') === pin.at,
      );
      return places.length < 2;
    });
    expect(twice.map((element) => element.outerHTML.slice(0, 120))).toEqual([]);
    for (const element of all)
      expect(pinSchema.safeParse(pinOf(page, element, 'x'.repeat(300))).success).toBe(true);
  });

  test('stays with its thing when others come before it, and is gone with it', () => {
    const document_ = sampleDocument();
    const [home = ''] = document_.content.pages.order;
    const sections = document_.content.pages.items[home]?.sections;
    if (!sections || sections.order.length < 2) throw new Error('the sample has too little on it');
    const path = `/content/pages/items/${home}/sections/order`;
    const before = site();
    const last = [...before.querySelectorAll('[data-section]')].at(-1);
    const words = last?.querySelector('[data-content]');
    if (!last || !words) throw new Error('there are no words');
    const [pinned, ofWords] = [pinOf(before, last, 'block'), pinOf(before, words, 'words')];
    const said = words.textContent;
    const moved = site([{ op: 'replace', path, value: sections.order.toReversed() }]);
    expect(elementAt(moved, pinned)?.getAttribute('data-section')).toBe(pinned.at);
    expect(elementAt(moved, ofWords)?.textContent).toBe(said);
    const without = site();
    elementAt(without, pinned)?.remove();
    expect(elementAt(without, pinned)).toBeUndefined();
    expect(elementAt(without, ofWords)).toBeUndefined();
  });

  test('from elsewhere harms nothing: it is compared, and leads to nothing or to an element of the page', () => {
    const page = site();
    for (const at of ['"] *', '__proto__', '', '</style>', '*'])
      expect(elementAt(page, { at, up: 0, down: [] })).toBeUndefined();
    expect(elementAt(page, { up: 0, down: [9999] })).toBeUndefined();
    expect(elementAt(page, { up: 40, down: [] })).toBeUndefined();
    const [first] = page.querySelectorAll('[data-content]');
    const at = first?.getAttribute('data-content') ?? '';
    // Never out of the page.
    expect(elementAt(page, { at, up: 60, down: [] })).toBeUndefined();
  });
});
