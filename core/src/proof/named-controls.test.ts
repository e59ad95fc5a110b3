/** @jest-environment jsdom */
import { describe, expect, test } from '@jest/globals';
import { computeAccessibleName } from 'dom-accessibility-api';
import fc from 'fast-check';
import { namedControlsCheck } from '../checks/named-controls.ts';
import { findingsOf } from '../checks/checks.ts';
import { COMPONENTS } from '../components/components.ts';
import { derive } from '../derive/derive.ts';
import { patched, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { namelessAmong } from './named-controls.ts';
import { element, writeHtml, type ProofElement, type ProofNode } from './node.ts';
import { pieceOf, PIECES, pieceWith } from './sections/pieces.ts';

const CONTROLS = 'a, button, input, select, summary, textarea';

/** How many controls a library for accessible names finds without one. */
function namelessByLibrary(nodes: readonly ProofNode[]): number {
  document.body.innerHTML = nodes.map((node) => writeHtml(node, (svg) => svg)).join('');
  return [...document.body.querySelectorAll(CONTROLS)].filter(
    (one) => !one.closest('[aria-hidden="true"]') && computeAccessibleName(one).trim() === '',
  ).length;
}

/** A node with some of its words, and of what its attributes say, emptied: those that are asked for. */
function emptied(node: ProofNode, isEmptied: () => boolean): ProofNode {
  if (typeof node === 'string') return isEmptied() ? ' ' : node;
  const attributes = Object.fromEntries(
    Object.entries(node.attributes).map(([name, value]) => [
      name,
      ['aria-label', 'alt', 'title', 'aria-labelledby', 'for'].includes(name) && isEmptied()
        ? ''
        : value,
    ]),
  );
  return { ...node, attributes, children: node.children.map((one) => emptied(one, isEmptied)) };
}

describe('controls that are called nothing', () => {
  test.each(PIECES.map(({ id, variant }) => [id, variant] as const))(
    'as dom-accessibility-api finds them, whatever of %s is emptied',
    (_, variant) => {
      const whole = variant.specimen({});
      expect(namelessAmong([whole])).toHaveLength(namelessByLibrary([whole]));
      fc.assert(
        fc.property(fc.infiniteStream(fc.boolean()), (stream) => {
          const node = emptied(whole, () => stream.next().value === true);
          expect(namelessAmong([node])).toHaveLength(namelessByLibrary([node]));
        }),
        { numRuns: 30 },
      );
    },
  );

  test.each(COMPONENTS.map((one) => [one.id, one] as const))(
    'are in no specimen of %s as it ships',
    (_, { variants = [] }) => {
      for (const { specimen } of variants) expect(namelessAmong([specimen({})])).toEqual([]);
    },
  );

  const sign = element('svg', { 'aria-hidden': 'true' });
  test.each<[string, readonly ProofElement[], number]>([
    ['a sign alone', [element('button', {}, sign)], 1],
    ['a sign alone with a name', [element('button', { 'aria-label': 'Send' }, sign)], 0],
    ['a sign with a title', [element('a', { href: '#', title: 'Send' }, sign)], 0],
    [
      'a picture that says something',
      [element('a', { href: '#' }, element('img', { alt: 'Home' }))],
      0,
    ],
    ['a picture that is decoration', [element('a', { href: '#' }, element('img', { alt: '' }))], 1],
    [
      'words that are hidden',
      [element('a', { href: '#' }, element('span', { 'aria-hidden': 'true' }, 'Home'))],
      1,
    ],
    ['a field in a label', [element('label', {}, 'Name', element('input', { type: 'text' }))], 0],
    [
      'a field with a label elsewhere',
      [element('label', { for: 'n' }, 'Name'), element('input', { id: 'n' })],
      0,
    ],
    [
      'a field with a label that is another’s',
      [element('label', { for: 'm' }, 'Name'), element('input', { id: 'n' })],
      1,
    ],
    ['a text in a field, which is no name', [element('textarea', {}, 'Name')], 1],
    [
      'a control that nobody meets',
      [element('span', { 'aria-hidden': 'true' }, element('button', {}))],
      0,
    ],
  ])('%s', (_, nodes, count) => {
    expect(namelessAmong(nodes)).toHaveLength(count);
    expect(namelessByLibrary(nodes)).toBe(count);
  });
});

describe('the check of names', () => {
  const sections = sampleDocument().content.pages.items['home']?.sections;
  const row = (...pieces: readonly (readonly [piece: string, said?: string])[]): Patch => [
    {
      op: 'add',
      path: '/content/pages/items/home/sections/items/row',
      value: {
        kind: 'pieces',
        pieces: {
          order: pieces.map((_, at) => `p${at}`),
          items: Object.fromEntries(
            pieces.map(([piece, said], at) => {
              const { words } = pieceWith(piece);
              return [
                `p${at}`,
                {
                  piece,
                  words:
                    said === undefined
                      ? words
                      : Object.fromEntries(Object.keys(words).map((key) => [key, said])),
                },
              ];
            }),
          ),
        },
      } as never,
    },
    {
      op: 'replace',
      path: '/content/pages/items/home/sections/order',
      value: [...(sections?.order ?? []), 'row'],
    },
  ];

  test('finds an emptied control, where it stands, and gives its words back', () => {
    const system = sampleDocument(row(['button.main'], ['button.second', ' ']));
    const found = namedControlsCheck.find(system, derive(system));
    expect(found).toHaveLength(1);
    const [one] = found;
    const at = '/content/pages/items/home/sections/items/row/pieces/items/p1/words/text-1';
    expect(one?.decision).toBe(at);
    expect(one?.title).toBe('A button on Home is called nothing');
    expect(one?.where.selector).toBe(`[data-content="${at}"]`);
    expect(pieceOf('button.second')).toBeDefined();
    const after = patched(system, one?.repair?.patch ?? []);
    expect(after.ok && namedControlsCheck.find(after.document, derive(after.document))).toEqual([]);
  });

  test('is one of those that Review tells, and finds nothing in a system as it starts', () => {
    const bare = sampleDocument();
    expect(namedControlsCheck.find(bare, derive(bare))).toEqual([]);
    const system = sampleDocument(row(['link.alone', '']));
    expect(findingsOf(system, derive(system)).some(({ id }) => id.startsWith('nameless:'))).toBe(
      true,
    );
  });
});
