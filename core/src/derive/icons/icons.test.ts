import { describe, expect, test } from '@jest/globals';
import { measureIcon } from '../../icons/measure.ts';
import { OWN_SIGNS } from '../../icons/own-signs.ts';
import { readIcon } from '../../icons/read-svg.ts';
import type { Patch } from '../../system/patch.ts';
import type { StyleDocument } from '../../system/document.ts';
import { lettingIconGo, namingIcon } from '../../system/icons.ts';
import { patched } from '../../system/patch.ts';
import { sampleDocument, sampleFamily } from '../../system/sample.ts';
import { derive } from '../derive.ts';
import type { Derived, Rule } from '../derived.ts';
import { capitalsShift } from './icons.ts';

const icon = (inside: string, more: object = {}) => {
  const reading = readIcon(inside, { width: 24, height: 24 });
  if (!reading.ok) throw new Error(reading.problem);
  const value = {
    name: 'Ticket',
    drawing: reading.drawing,
    measures: measureIcon(reading.drawing),
    ...more,
  };
  return JSON.parse(JSON.stringify(value)) as never;
};

const LINE = '<path d="M4 12H20" fill="none" stroke="currentColor" stroke-width="2"/>';
const TONES = '<path d="M0 0H9V9Z" opacity=".2"/><path d="M0 0H3V3Z"/>';

/** A system with these icons named one after the other, and then with changes. */
const systemOf = (
  icons: readonly (readonly [id: string, icon: ReturnType<typeof icon>])[],
  changes: Patch = [],
): StyleDocument => {
  let document = sampleDocument();
  const take = (patch: Patch): void => {
    const result = patched(document, patch);
    if (!result.ok) throw new Error(JSON.stringify(result.problems));
    document = result.document;
  };
  for (const [id, own] of icons) take(namingIcon(document, id, own));
  take(changes);
  return document;
};

const rulesOf = (derived: Derived): readonly Rule[] =>
  derived.rules.find(({ key }) => key === 'icons')?.rules ?? [];
const said = (derived: Derived, selector: string, property: string): string | undefined =>
  rulesOf(derived)
    .filter((rule) => rule.selector === selector && rule.within === undefined)
    .flatMap(({ declarations }) => declarations)
    .findLast(([name]) => name === property)?.[1];

describe('icons', () => {
  test('of a system without any are the signs that components draw', () => {
    const derived = derive(sampleDocument());
    expect([...derived.icons.keys()]).toEqual(
      OWN_SIGNS.filter(({ of }) => of !== undefined).map(({ id }) => id),
    );
    for (const { slug } of derived.icons.values()) {
      expect(said(derived, `.icon-${slug}`, 'mask-image')).toBe(`var(--sign-${slug})`);
      const image = said(derived, ':root', `--sign-${slug}`) ?? '';
      expect(image).toMatch(/^url\("data:image\/svg\+xml,%3csvg/);
      // Nothing that acts or loads, and no color but that of a mask.
      expect(image).not.toMatch(/script|http(?!:\/\/www\.w3\.org\/2000\/svg)|currentcolor/);
    }
  });

  test('with the id of a sign stand for it everywhere, the style stays', () => {
    const plain = derive(sampleDocument());
    const swapped = derive(systemOf([['send', icon(LINE, { name: 'Paper boat' })]]));
    expect(swapped.icons.get('send')?.slug).toBe('send');
    expect(said(swapped, ':root', '--sign-send')).not.toBe(said(plain, ':root', '--sign-send'));
    expect(said(swapped, ':root', '--sign-send')).toContain("stroke-width='1.5'");
    expect(said(swapped, ':root', '--sign-open')).toBe(said(plain, ':root', '--sign-open'));
  });

  test('take the decided stroke, whatever they were drawn with; what is filled stays', () => {
    const thick = derive(
      systemOf([['ticket', icon(LINE)]], [{ op: 'replace', path: '/icons/stroke', value: 3 }]),
    );
    const image = said(thick, ':root', '--sign-ticket');
    expect(image).toContain("stroke-width='3'");
    expect(image).toContain("vector-effect='non-scaling-stroke'");
    const filled = derive(systemOf([['dot', icon('<path d="M4 4H9V9Z"/>', { name: 'Dot' })]]));
    expect(said(filled, ':root', '--sign-dot')).not.toContain('stroke-width');
  });

  test('depart in size and color; a size or color that is gone is the usual one', () => {
    const sizes: Patch = [
      {
        op: 'replace',
        path: '/icons/sizes',
        value: {
          order: ['big', 'high'],
          items: {
            big: { name: 'Big', of: 'step', times: 2, step: 's4' },
            high: { name: 'High', of: 'capitals', times: 1.5 },
          },
        },
      },
    ];
    const departing: Patch = [
      { op: 'add', path: '/icons/named/items/ticket/size', value: 'high' },
      { op: 'add', path: '/icons/named/items/ticket/color', value: 'link' },
    ];
    const departed = derive(systemOf([['ticket', icon(LINE)]], [...sizes, ...departing]));
    expect(said(departed, '.icon-ticket', 'inline-size')).toBe('var(--icon-size-high)');
    expect(said(departed, '.icon-ticket', 'color')).toMatch(/^var\(--color-/);
    expect(departed.tokenById.get('icon.size-high')?.values.light.css).toBe('1.5cap');
    const gone = derive(
      systemOf(
        [['ticket', icon(LINE)]],
        departing.map((operation) => ({ ...operation, value: 'nothing' })),
      ),
    );
    expect(said(gone, '.icon-ticket', 'inline-size')).toBeUndefined();
    expect(said(gone, '.icon-ticket', 'color')).toBeUndefined();
  });

  test('of two tones are drawn in two colors where there is a second, else fainter', () => {
    const faint = derive(
      systemOf(
        [['flag', icon(TONES, { name: 'Flag' })]],
        [{ op: 'add', path: '/icons/faint', value: 0.45 }],
      ),
    );
    expect(said(faint, ':root', '--sign-flag')).toContain("opacity='0.45'");
    const two = derive(
      systemOf(
        [['flag', icon(TONES, { name: 'Flag' })]],
        [{ op: 'add', path: '/icons/second', value: 'link' }],
      ),
    );
    expect(said(two, ':root', '--sign-flag')).not.toContain('opacity');
    expect(said(two, ':root', '--sign-flag-second')).toBeDefined();
    expect(said(two, '.icon-flag::before', 'background-color')).toMatch(/^var\(--color-/);
    expect(said(two, '.icon-flag::after', 'background-color')).toBe('currentcolor');
  });

  test('are called by their names, never as another or as a sign of ours', () => {
    const derived = derive(
      systemOf([
        ['a1', icon(LINE, { name: 'Phone' })],
        ['a2', icon(LINE, { name: 'Ticket' })],
        ['a3', icon(LINE, { name: 'Ticket!' })],
        ['phone', icon(LINE, { name: 'Call us' })],
      ]),
    );
    const slugs = [...derived.icons.values()].map(({ slug }) => slug);
    expect(new Set(slugs).size).toBe(slugs.length);
    expect(derived.icons.get('phone')?.slug).toBe('phone');
    expect(derived.icons.get('a1')?.slug).toBe('phone-2');
    expect(derived.icons.get('a3')?.slug).toBe('ticket-2');
  });

  test.each([
    ['an address', [{ d: 'M0 0url(http://x)', paint: 'fill' }]],
    ['markup', [{ d: 'M0 0"/><script>', paint: 'fill' }]],
    ['no path', [{ d: 'Z', paint: 'fill' }]],
    ['another paint', [{ d: 'M0 0H1', paint: 'evil' }]],
    ['nothing', []],
  ])('that hold %s are refused', (_, shapes) => {
    const value = icon(LINE) as unknown as { drawing: object };
    const bad = { ...value, drawing: { ...value.drawing, shapes } } as never;
    const document = sampleDocument();
    expect(patched(document, namingIcon(document, 'ticket', bad)).ok).toBe(false);
  });
});

describe('naming', () => {
  test('swaps a drawing and keeps what departs; letting go draws our own sign again', () => {
    const departs: Patch = [
      { op: 'add', path: '/icons/named/items/send/color', value: 'link' },
      { op: 'replace', path: '/icons/named/items/send/name', value: 'Off it goes' },
    ];
    const before = systemOf(
      [['send', icon(LINE, { from: { set: 'A set', icon: 'a', author: 'Anna', license: 'MIT' } })]],
      departs,
    );
    const swap = patched(before, namingIcon(before, 'send', icon(TONES)));
    if (!swap.ok) throw new Error('not taken');
    expect(swap.document.icons.named.items['send']).toMatchObject({
      name: 'Off it goes',
      color: 'link',
      measures: { kind: 'two-toned' },
    });
    // What it was taken from is no longer where it comes from.
    expect(swap.document.icons.named.items['send']?.from).toBeUndefined();
    const gone = patched(swap.document, lettingIconGo(swap.document, 'send'));
    expect(gone.ok && derive(gone.document).icons.get('send')?.decided).toBeUndefined();
    expect(gone.ok && derive(gone.document).icons.has('send')).toBe(true);
  });
});

describe('beside words', () => {
  test('an icon is as far below the middle of the line as the middle of the capitals is', () => {
    // Ascent 0.9, descent 0.3: the middle of the line is 0.3 above the baseline; that of capitals of 0.7 is 0.35.
    expect(capitalsShift({ ascent: 0.9, descent: -0.3, capHeight: 0.7 }, undefined)).toBe(-0.05);
    expect(capitalsShift({ ascent: 0.9, descent: 0.3, capHeight: 0.5 }, 'capitals')).toBe(0.05);
    expect(capitalsShift({ ascent: 0.9, descent: 0.3, capHeight: 0.7 }, 'line')).toBe(0);
  });

  test('it follows the face of the labels, and says so with the figures', () => {
    const derived = derive(sampleDocument());
    const token = derived.tokenById.get('icon.shift');
    const { metrics, name } = sampleFamily('archivo');
    expect(token?.values.light.css).toBe(`${capitalsShift(metrics, undefined)}em`);
    expect(derived.trailOf('icon.shift')?.steps[0]).toContain(name);
  });
});
