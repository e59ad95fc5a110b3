import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { derive } from '../derive/derive.ts';
import { inOrder } from '../system/document.ts';
import { jsonOf, patched } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { fluidCss, fluidPx } from '../type/fluid.ts';
import { followsReader, takenSize, type TakenSize } from './size-taken.ts';

const document = sampleDocument();
const [narrow, wide] = inOrder(document.type.anchors).map(([, { width }]) => width) as [
  number,
  number,
];
const taken = (css: string): TakenSize => {
  const result = takenSize(css, document.type);
  if ('problem' in result) throw new Error(result.problem);
  return result;
};

test('every size that the system writes is taken apart into its own anchors again', () => {
  for (const [id, style] of derive(document).styles) {
    const { sizes, off } = taken(fluidCss(style.size));
    expect([id, off]).toEqual([id, undefined]);
    for (const [anchor, { width }] of inOrder(document.type.anchors))
      expect(sizes[anchor]).toBeCloseTo(fluidPx(style.size, width), 1);
  }
});

test('whatever flows evenly between the anchors comes back the same at every width', () => {
  fc.assert(
    fc.property(fc.integer({ min: 10, max: 60 }), fc.integer({ min: 0, max: 60 }), (from, more) => {
      const to = from + more;
      // CSS Values 4, 10: a line through two points, held at both.
      const slope = (100 * (to - from)) / (wide - narrow);
      const rest = from - (slope * narrow) / 100;
      const css = `clamp(${from / 16}rem, ${rest / 16}rem + ${slope}vw, ${to / 16}rem)`;
      const { sizes, off } = taken(css);
      expect([Object.values(sizes), off]).toEqual([
        [from, to].map((px) => expect.closeTo(px, 2)),
        undefined,
      ]);
    }),
    { numRuns: 60 },
  );
});

test('one that bends elsewhere is told where it is off, and how far', () => {
  const { off } = taken('clamp(16px, 2vw, 40px)');
  expect(off?.px).toBeGreaterThan(1);
  expect(off?.atPx).toBeGreaterThan(320);
});

test('a plain length, a declaration and a sum are sizes too, and each is taken by the role', () => {
  for (const [css, px] of [
    ['1.5rem', 24],
    ['font-size: 18px;', 18],
    ['calc(1rem + 4px)', 20],
    ['max(12px, 1rem)', 16],
  ] as const) {
    const { sizes } = taken(css);
    expect([css, ...new Set(Object.values(sizes))]).toEqual([css, px]);
    const result = patched(document, [
      { op: 'add', path: '/type/roles/items/lead/sizes', value: jsonOf(sizes) },
    ]);
    if (!result.ok) throw new Error(css);
    const style = derive(result.document).styles.get('lead');
    expect(style && fluidPx(style.size, 900)).toBeCloseTo(px, 1);
  }
});

test('what is no size, or hangs on what is not known, is told in words', () => {
  for (const css of [
    '',
    '  ',
    'large',
    'var(--size)',
    '1.2em',
    '120%',
    'clamp(',
    'url(x)',
    '__proto__',
    '5',
    'red',
  ])
    expect([css, 'problem' in takenSize(css, document.type)]).toEqual([css, true]);
});

test('whether a size follows the reader is told by making theirs twice as large', () => {
  for (const [css, follows] of [
    ['1rem', true],
    ['clamp(1rem, 1rem + 1vw, 2rem)', true],
    ['font-size: 1.2rem;', true],
    ['16px', false],
    ['4vw', false],
    ['nothing', false],
  ] as const)
    expect([css, followsReader(css)]).toEqual([css, follows]);
});
