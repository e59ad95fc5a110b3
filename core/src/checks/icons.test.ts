import { describe, expect, test } from '@jest/globals';
import { derive } from '../derive/derive.ts';
import { measureIcon } from '../icons/measure.ts';
import { readIcon } from '../icons/read-svg.ts';
import type { StyleDocument } from '../system/document.ts';
import { namingIcon } from '../system/icons.ts';
import { patched, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { sectionOf } from '../system/shaping.ts';
import type { Check, Finding } from './finding.ts';
import {
  iconContrastCheck,
  iconDetailsCheck,
  iconStrokeCheck,
  iconWeightCheck,
  lostIconsCheck,
  mixedIconsCheck,
} from './icons.ts';

const OUTLINE = '<path d="M4 4H20V20H4Z" fill="none" stroke="currentColor" stroke-width="2"/>';
const FILLED = '<path d="M3 3H21V21H3Z"/>';
const DOT = '<path d="M11 11H13V13H11Z"/>';
/** Two bars a sixth of a unit apart. */
const TIGHT = '<path d="M4 4H11.8V20H4ZM12.2 4H20V20H12.2Z"/>';

function after(document: StyleDocument, patch: Patch): StyleDocument {
  const result = patched(document, patch);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.document;
}

function withIcons(icons: Readonly<Record<string, string>>, changes: Patch = []): StyleDocument {
  let document = sampleDocument();
  for (const [id, inside] of Object.entries(icons)) {
    const reading = readIcon(inside, { width: 24, height: 24 });
    const measures = reading.ok ? measureIcon(reading.drawing) : undefined;
    if (!reading.ok || !measures) throw new Error('not drawn');
    document = after(
      document,
      namingIcon(document, id, { name: id, drawing: reading.drawing, measures }),
    );
  }
  return after(document, changes);
}

/** Selling points on the home page, each with an icon. */
const points = (icons: readonly string[]): Patch => [
  {
    op: 'add',
    path: '/content/pages/items/home/sections/items/signed',
    value: {
      ...sectionOf('points'),
      kind: 'points',
      title: '',
      points: {
        order: icons.map((_, index) => `p${index}`),
        items: Object.fromEntries(
          icons.map((icon, index) => [`p${index}`, { title: 'One', text: 'Two', icon }]),
        ),
      },
    } as never,
  },
  {
    op: 'replace',
    path: '/content/pages/items/home/sections/order',
    value: [...(sampleDocument().content.pages.items['home']?.sections.order ?? []), 'signed'],
  },
];

const found = (check: Check, document: StyleDocument): readonly Finding[] =>
  check.find(document, derive(document));

const repaired = (document: StyleDocument, finding: Finding | undefined): StyleDocument => {
  if (!finding?.repair) throw new Error('nothing repairs it');
  return after(document, finding.repair.patch);
};

describe('icons', () => {
  test('of another hand are found among the others, by figures; alike ones are not', () => {
    const mixed = withIcons({ a: OUTLINE, b: OUTLINE, c: OUTLINE, d: FILLED });
    const [finding, ...others] = found(mixedIconsCheck, mixed);
    expect(others).toEqual([]);
    expect(finding?.id).toBe('icon-kind:d');
    expect(finding?.title).toBe('The icon d is filled, most others are outlined');
    expect(finding?.figures).toMatch(/56 % inked beside/);
    expect(found(mixedIconsCheck, withIcons({ a: OUTLINE, b: OUTLINE, c: OUTLINE }))).toEqual([]);
    // One stroke for all makes thick and thin ones alike.
    const thin = OUTLINE.replace('"2"', '"0.5"');
    expect(found(mixedIconsCheck, withIcons({ a: OUTLINE, b: OUTLINE, c: thin }))).toEqual([]);
  });

  test('strokes far from the stems, or under a pixel, are found and repaired', () => {
    for (const stroke of [0.5, 6]) {
      const document = withIcons({ a: OUTLINE }, [
        { op: 'replace', path: '/icons/stroke', value: stroke },
      ]);
      const [finding] = found(iconStrokeCheck, document);
      expect(finding?.figures).toMatch(/beside stems of/);
      expect(found(iconStrokeCheck, repaired(document, finding))).toEqual([]);
    }
    // Where there are no icons but those of components, nothing is said of them.
    expect(
      found(iconStrokeCheck, withIcons({}, [{ op: 'replace', path: '/icons/stroke', value: 6 }])),
    ).toEqual([]);
  });

  test('of filled outlines the one that is thinner than a pixel is found', () => {
    const hair = '<path fill-rule="evenodd" d="M4 4H20V20H4ZM4.5 4.5V19.5H19.5V4.5Z"/>';
    const ids = found(iconStrokeCheck, withIcons({ a: hair })).map(({ id }) => id);
    expect(ids).toContain('icon-thin:a');
    expect(found(iconStrokeCheck, withIcons({ a: FILLED })).map(({ id }) => id)).not.toContain(
      'icon-thin:a',
    );
  });

  test('too small for their details are found, and made larger where a size is large enough', () => {
    const document = withIcons({ a: TIGHT }, [
      ...points(['a']),
      {
        op: 'replace',
        path: '/icons/sizes',
        value: {
          order: ['little', 'huge'],
          items: {
            little: { name: 'Little', of: 'text', times: 0.5 },
            huge: { name: 'Huge', of: 'text', times: 6 },
          },
        },
      },
    ]);
    const [finding] = found(iconDetailsCheck, document);
    expect(finding?.title).toBe('The icon a is too small for its details');
    expect(finding?.repair?.label).toBe('Make it Huge');
    expect(found(iconDetailsCheck, repaired(document, finding))).toEqual([]);
    expect(found(iconDetailsCheck, withIcons({ a: OUTLINE }, points(['a'])))).toEqual([]);
    // A step is as large as it is: the same icon fits at the largest of them.
    const step = sampleDocument().space.steps.order.at(-1) ?? '';
    const sizes = (times: number): Patch => [
      ...points(['a']),
      {
        op: 'replace',
        path: '/icons/sizes',
        value: { order: ['s'], items: { s: { name: 'Step', of: 'step', times, step } } },
      },
      { op: 'add', path: '/icons/named/items/a/size', value: 's' },
    ];
    const px = derive(sampleDocument()).steps.get(step)?.px ?? 0;
    expect(found(iconDetailsCheck, withIcons({ a: TIGHT }, sizes(4)))).toEqual([]);
    expect(found(iconDetailsCheck, withIcons({ a: TIGHT }, sizes(0.25)))[0]?.figures).toContain(
      `at ${Number((px / 4).toFixed(2))} px`,
    );
    // What stands nowhere is small nowhere.
    expect(found(iconDetailsCheck, withIcons({ a: TIGHT }))).toEqual([]);
    // Without a size that would do, it is told all the same.
    const alone = found(iconDetailsCheck, withIcons({ a: TIGHT }, points(['a'])));
    expect(alone[0]?.title).toBe('The icon a is too small for its details');
    expect(alone[0]?.repair).toBeUndefined();
  });

  test('in a color that cannot be told from a ground are found in each theme, and let go', () => {
    const document = withIcons({ a: OUTLINE }, [
      { op: 'add', path: '/icons/named/items/a/color', value: 'surface' },
    ]);
    const all = found(iconContrastCheck, document);
    expect(all.map(({ id }) => id)).toEqual(['icon-contrast:a:light', 'icon-contrast:a:dark']);
    expect(all[0]?.severity).toBe('repair');
    expect(all[0]?.figures).toMatch(/1\.00 on Surface/i);
    expect(found(iconContrastCheck, repaired(document, all[0]))).toEqual([]);
    const legible = withIcons({ a: OUTLINE }, [
      { op: 'add', path: '/icons/named/items/a/color', value: 'text' },
    ]);
    expect(found(iconContrastCheck, legible)).toEqual([]);
  });

  test('of uneven weight beside each other are found, with their ink', () => {
    const uneven = withIcons({ a: FILLED, b: DOT }, points(['a', 'b']));
    const [finding] = found(iconWeightCheck, uneven);
    expect(finding?.title).toBe('The icon a is much darker than b beside it');
    expect(found(iconWeightCheck, withIcons({ a: FILLED, b: FILLED }, points(['a', 'b'])))).toEqual(
      [],
    );
    // One that is gone by now is told, and let go.
    const gone = withIcons({ a: FILLED }, points(['a', 'nothing', 'mail']));
    const [lost, ...others] = found(lostIconsCheck, gone);
    expect(others).toEqual([]);
    expect(lost?.decision).toMatch(/items\/p1\/icon$/);
    expect(found(lostIconsCheck, repaired(gone, lost))).toEqual([]);
  });

  test('with a size or a color that is gone are told, and let go', () => {
    let document = withIcons({ a: OUTLINE }, [
      { op: 'add', path: '/icons/named/items/a/size', value: 'gone' },
      { op: 'add', path: '/icons/named/items/a/color', value: 'gone' },
      { op: 'add', path: '/icons/second', value: 'gone' },
    ]);
    const all = found(lostIconsCheck, document);
    expect(all).toHaveLength(3);
    for (const finding of all) document = repaired(document, finding);
    expect(found(lostIconsCheck, document)).toEqual([]);
  });
});
