/** @jest-environment jsdom */
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { derive } from '../../derive/derive.ts';
import { writeCss } from '../../formats/css.ts';
import { valueAt } from '../../system/patch.ts';
import { sampleDocument } from '../../system/sample.ts';
import { builder } from '../build.ts';
import { classesIn, writeHtml, type ProofElement, type ProofNode } from '../node.ts';
import { kindOf, KINDS, section, type AnyKind } from './kinds.ts';

const document1 = sampleDocument();
const derived = derive(document1);
const build = builder(document1, derived);
const css = writeCss(derived);
const KINDS_OF: readonly (AnyKind & { readonly whole?: () => object })[] = KINDS;

function* elementsOf(node: ProofNode): Generator<ProofElement> {
  if (typeof node === 'string') return;
  yield node;
  for (const child of node.children) yield* elementsOf(child);
}

const nodesOf = (kind: AnyKind, words: object): readonly ProofNode[] =>
  kind.nodes(words as never, '', build);

/** The words of a section with every text of it put through a function, ids and choices left alone. */
function withTexts(value: unknown, change: (text: string) => string): unknown {
  const SAID = ['title', 'lead', 'text', 'caption', 'primary', 'words', 'source', 'question'];
  if (Array.isArray(value) || typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, own]: [string, unknown]) => [
      key,
      typeof own === 'string' && SAID.includes(key) ? change(own) : withTexts(own, change),
    ]),
  );
}

describe.each(KINDS_OF.map((kind) => [kind.name, kind] as const))('%s', (_, kind) => {
  const starts = [kind.start(), ...(kind.whole ? [kind.whole()] : [])];

  test('begins, and is whole, as its own schema has it', () => {
    for (const words of starts)
      expect(section.safeParse({ kind: kind.id, ...words }).success).toBe(true);
    expect(kindOf(kind.id)).toBe(kind);
  });

  test('shows words only from where they stand', () => {
    for (const words of starts)
      for (const node of nodesOf(kind, words))
        for (const { content, children } of elementsOf(node)) {
          if (content === undefined) continue;
          expect(typeof valueAt(words, content)).toBe('string');
          const said = children.map((child) => (typeof child === 'string' ? child : '')).join('');
          expect(said).toBe(valueAt(words, content));
        }
  });

  test('is made of classes that the sheet has', () => {
    const classes = starts.flatMap((words) =>
      nodesOf(kind, words).flatMap((node) => [...classesIn(node)]),
    );
    // A drawing stands only where the site has one.
    if (kind.id !== 'artwork') expect(classes.length).toBeGreaterThan(0);
    const unknown = classes.filter(
      (name) => name !== '' && !new RegExp(`\\.${name}(?![\\w-])`).test(css),
    );
    expect([...new Set(unknown)]).toEqual([]);
  });

  test('is nothing, or itself, without its things', () => {
    const empty = Object.fromEntries(
      Object.entries(kind.start()).map(([key, value]: [string, unknown]) => [
        key,
        typeof value === 'object' && value !== null && 'order' in value
          ? { order: [], items: {} }
          : value,
      ]),
    );
    expect(Array.isArray(nodesOf(kind, empty))).toBe(true);
  });

  test('keeps whatever is written in it as words', () => {
    fc.assert(
      fc.property(fc.string({ minLength: 1, maxLength: 40 }), (text) => {
        const mark = `<script>alert("${text}")</script><img src=x onerror=y>`;
        const words = withTexts(starts.at(-1), () => mark) as object;
        const page = document.implementation.createHTMLDocument('');
        page.body.innerHTML = nodesOf(kind, words)
          .map((node) => writeHtml(node, (svg) => svg))
          .join('');
        expect(page.querySelector('script, [onerror]')).toBeNull();
      }),
      { numRuns: 12 },
    );
  });
});

describe('an opening', () => {
  const { nodes, start } = kindOf('opening');
  const made = (more: object): ProofElement => {
    const [first] = nodes({ ...start(), ...more } as never, '', {
      ...build,
      veil: (id) =>
        id === 'dusk'
          ? {
              id: 'dusk',
              slug: 'dusk',
              picture: { name: 'a hill', file: '0123456789abcdef.png', width: 8, height: 4 },
            }
          : undefined,
    });
    if (typeof first !== 'object') throw new Error('there is no opening');
    return first;
  };
  const classOf = (more: object): string | undefined => made(more).attributes['class'];

  test('stands over a picture that there is, and is as high as the screen where that was chosen', () => {
    expect(classOf({})).toBe('hero width-opening');
    expect(classOf({ isHigh: true })).toBe('hero width-opening screen-high');
    expect(classOf({ veil: 'dusk' })).toBe('over-picture over-dusk');
    expect(classOf({ veil: 'dusk', isHigh: true })).toBe('over-picture over-dusk screen-high');
    expect(classOf({ veil: 'gone' })).toBe('hero width-opening');
  });

  test('has two actions of different weight, over a picture too', () => {
    for (const more of [{}, { veil: 'dusk' }]) {
      const classes = [...classesIn(made(more))];
      expect(classes.filter((name) => name === 'button')).toHaveLength(1);
      expect(classes.filter((name) => name === 'quiet-button')).toHaveLength(1);
    }
  });
});

test('a place without a picture is a surface of its shape, one with a picture the picture', () => {
  const gallery = kindOf('gallery');
  const picture = { name: 'a hill', file: '0123456789abcdef.png', width: 8, height: 4 };
  const words = {
    title: '',
    pictures: {
      order: ['a', 'b'],
      items: { a: { caption: 'one', picture }, b: { caption: 'two' } },
    },
  };
  const html = nodesOf(gallery, words)
    .map((node) => writeHtml(node, (svg) => svg))
    .join('');
  const page = document.implementation.createHTMLDocument('');
  page.body.innerHTML = html;
  const [first, second] = page.querySelectorAll('figure');
  expect(first?.querySelector('img')?.getAttribute('alt')).toBe('a hill');
  expect(first?.querySelector('img')?.getAttribute('src')).toBe(
    '/proof/pictures/0123456789abcdef.png',
  );
  expect(second?.querySelector('img')).toBeNull();
  expect(second?.querySelector('.on-surface')?.getAttribute('aria-hidden')).toBe('true');
  expect(second?.textContent).toBe('two');
});

test('the things that can show a picture are known from their kinds', () => {
  const showing = KINDS.filter(({ shows }) => shows !== undefined).map(({ id }) => id);
  expect(showing).toEqual(['cards', 'article', 'testimonials', 'gallery']);
  const { shows } = kindOf('article');
  expect(shows?.({ is: 'figure', caption: '' })).toBe(true);
  expect(shows?.({ is: 'quote', text: '', source: '' })).toBe(false);
});
