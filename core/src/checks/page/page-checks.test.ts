import { describe, expect, test } from '@jest/globals';
import { derive } from '../../derive/derive.ts';
import { patched, type Patch } from '../../system/patch.ts';
import { sampleDocument } from '../../system/sample.ts';
import type { Finding } from '../finding.ts';
import { rowsOf } from './header-rows.ts';
import { selectorOf, STRESSES, type MeasuredBox, type MeasuredPage } from './measured-page.ts';
import { pageFindings } from './page-checks.ts';

type Made = Partial<MeasuredBox> & { readonly inside?: readonly Made[] };

const PLAIN: Omit<MeasuredBox, 'parent' | 'child'> = {
  tag: 'div',
  classes: [],
  display: 'block',
  left: 0,
  top: 0,
  width: 0,
  height: 0,
  padding: [0, 0, 0, 0],
  margin: [0, 0, 0, 0],
  border: [0, 0, 0, 0],
  rowGap: 0,
  columnGap: 0,
  fontPx: 16,
  text: '',
  textWidth: 0,
  textHeight: 0,
  overflowPx: 0,
  isTarget: false,
  isSeen: false,
  scrolls: false,
  isOut: false,
};

/** A page of boxes that stand in each other. */
function page(widthPx: number, ...inside: readonly Made[]): MeasuredPage {
  const boxes: MeasuredBox[] = [];
  const add = ({ inside: own = [], ...box }: Made, parent: number, child: number): void => {
    const index = boxes.push({ ...PLAIN, ...box, parent, child }) - 1;
    own.forEach((one, at) => add(one, index, at + 1));
  };
  add({ classes: ['site'], width: widthPx, height: 2000, inside }, -1, 1);
  return { widthPx, heightPx: 2000, rootPx: 16, boxes };
}

/** A few boxes leave most of a page empty, which is not what is tested. */
const ROOMY: Patch = [{ op: 'replace', path: '/space/limits/wide', value: 1 }];

const found = (shown: MeasuredPage, changes: Patch = []): readonly Finding[] => {
  const document = sampleDocument([...ROOMY, ...changes]);
  return pageFindings([shown], document, derive(document));
};

const ids = (shown: MeasuredPage, changes: Patch = []): string[] =>
  found(shown, changes).map(({ id }) => id);

describe('a value of the page', () => {
  const card = (gap: number): MeasuredPage =>
    page(720, {
      classes: ['card'],
      display: 'grid',
      width: 300,
      height: 200,
      rowGap: gap,
      padding: [24, 24, 24, 24],
    });

  test('that is a step, or a role at that width, is on the scale', () => {
    expect(ids(card(16))).toEqual([]);
    // The sample's margin is 24 px; its section 64 px.
    expect(ids(card(64))).toEqual([]);
  });

  test('beside the scale is found with the step nearest to it, which repairs it', () => {
    const changes: Patch = [{ op: 'add', path: '/space/parts/card.gap', value: { px: 22 } }];
    const [finding] = found(card(22), changes);
    expect(finding).toMatchObject({
      id: 'off-scale:card.gap',
      decision: '/space/parts/card.gap',
      repair: { before: '22 px', after: '24 px' },
    });
    const repaired = patched(sampleDocument(changes), finding?.repair?.patch ?? []);
    if (!repaired.ok) throw new Error('the repair does not fit');
    expect(derive(repaired.document).tokenById.get('card.gap')?.values.light.css).toBe('1.5rem');
  });

  test('in em of its own text is on the scale where a role says so', () => {
    const button = (px: number): MeasuredPage =>
      page(720, {
        classes: ['button'],
        fontPx: 20,
        width: 120,
        height: 60,
        padding: [12.5, px, 12.5, px],
      });
    // Arithmetic: 1.25 em of 20 px are 25 px.
    expect(ids(button(25))).toEqual([]);
    expect(ids(button(26))).toEqual(['off-scale:button.inset']);
  });
});

describe('a group', () => {
  const form = (inner: number, outer: number): MeasuredPage => {
    const row = (top: number): Made => ({
      classes: ['form-row'],
      display: 'grid',
      top,
      width: 300,
      height: 40 + inner,
      rowGap: inner,
      inside: [
        { tag: 'span', top, width: 100, height: 20 },
        { tag: 'span', top: top + 20 + inner, width: 300, height: 20 },
      ],
    });
    return page(720, {
      classes: ['block'],
      display: 'grid',
      rowGap: outer,
      width: 300,
      height: 400,
      inside: [row(0), row(40 + inner + outer)],
    });
  };

  test('holds together where the space inside is smaller', () => {
    expect(ids(form(8, 16))).toEqual([]);
  });

  test('falls apart where it is not, and is repaired by a smaller step', () => {
    const [finding] = found(form(16, 16));
    expect(finding).toMatchObject({
      id: 'grouping:form-row',
      figures: expect.stringContaining('16 px inside, 16 px around'),
    });
    expect(finding?.repair?.after).toBe('8 px');
  });
});

test('gaps between neighbors that differ by a little are found, clearly different ones are not', () => {
  const rows = (second: number): MeasuredPage =>
    page(720, {
      classes: ['rows'],
      width: 300,
      height: 300,
      inside: [
        { top: 0, width: 300, height: 40 },
        { top: 56, width: 300, height: 40 },
        { top: 96 + second, width: 300, height: 40 },
      ],
    });
  expect(ids(rows(19))).toEqual(['uneven:rows']);
  expect(ids(rows(16))).toEqual([]);
  expect(ids(rows(40))).toEqual([]);
});

test('an edge that misses another by 1 to 4 px is found; borders and indents are not', () => {
  const at = (left: number, border = 0): MeasuredPage =>
    page(
      720,
      ...[0, 40, 80].map((top): Made => ({
        tag: 'p',
        left: 24,
        top,
        width: 300,
        height: 20,
        text: 'words',
      })),
      {
        classes: ['aside'],
        left: left - border,
        top: 120,
        width: 300,
        height: 20,
        border: [0, 0, 0, border],
        inside: [{ tag: 'p', left, top: 120, width: 300, height: 20, text: 'off' }],
      },
    );
  expect(ids(at(26))).toEqual(['edge:“off”']);
  expect(ids(at(24))).toEqual([]);
  expect(ids(at(40))).toEqual([]);
  expect(ids(at(28, 4))).toEqual([]);
});

describe('a target', () => {
  const links = (height: number, apart: number): MeasuredPage =>
    page(720, {
      tag: 'ul',
      width: 300,
      height: 300,
      inside: [0, 1].map((index): Made => ({
        tag: 'a',
        classes: ['nav-link'],
        display: 'block',
        isTarget: true,
        top: index * apart,
        width: 60,
        height,
        text: 'link',
      })),
    });

  test('of 24 px is large enough, a smaller one needs room around it', () => {
    // WCAG 2.2, 2.5.8: a circle of 24 px around the middle of each may touch no other.
    expect(ids(links(24, 24))).toEqual([]);
    expect(ids(links(20, 20))).toEqual(['target:nav-link']);
    expect(ids(links(20, 24))).toEqual([]);
  });

  test('is repaired by the role that makes it', () => {
    const changes: Patch = [{ op: 'add', path: '/space/parts/nav-link.target', value: { px: 20 } }];
    expect(found(links(20, 20), changes)[0]?.repair?.patch).toEqual([
      { op: 'remove', path: '/space/parts/nav-link.target' },
    ]);
  });

  test('of 44 px is asked for at AAA, whatever room there is', () => {
    // WCAG 2.2, 2.5.5.
    const strict: Patch = [{ op: 'replace', path: '/brief/conformance', value: 'AAA' }];
    expect(ids(links(40, 100), strict)).toEqual(['target:nav-link']);
    expect(ids(links(44, 100), strict)).toEqual([]);
  });

  test('in a sentence is as high as its line', () => {
    const sentence = page(720, {
      tag: 'p',
      width: 300,
      height: 24,
      text: 'read',
      inside: [
        { tag: 'a', display: 'inline', isTarget: true, width: 40, height: 18, text: 'more' },
        {
          tag: 'a',
          display: 'inline',
          isTarget: true,
          left: 41,
          width: 40,
          height: 18,
          text: 'and',
        },
      ],
    });
    expect(ids(sentence)).toEqual([]);
  });
});

test('what is wider than 320 px scrolls sideways, unless it is a table', () => {
  // WCAG 2.2, 1.4.10.
  const wide = (tag: string): MeasuredPage =>
    page(320, {
      classes: ['block'],
      width: 288,
      height: 100,
      inside: [{ tag, classes: ['big'], width: 400, height: 50 }],
    });
  expect(ids(wide('div'))).toEqual(['reflow:big']);
  expect(ids(wide('table'))).toEqual([]);
});

test('space takes no more of a phone than is allowed', () => {
  const inset = (px: number): MeasuredPage =>
    page(320, {
      classes: ['card'],
      width: 320,
      height: 100,
      padding: [0, px, 0, px],
      inside: [
        {
          tag: 'p',
          left: px,
          width: 200,
          height: 60,
          text: 'words',
          textWidth: 190,
          textHeight: 60,
        },
      ],
    });
  expect(ids(inset(24))).toEqual([]);
  expect(ids(inset(64))).toContain('room:phone');
});

test('links of a navigation that stand far apart no longer read as one', () => {
  const nav = (gap: number): MeasuredPage =>
    page(1000, {
      tag: 'nav',
      display: 'flex',
      width: 900,
      height: 24,
      inside: [0, 1, 2].map((index): Made => ({
        tag: 'a',
        left: index * (60 + gap),
        width: 60,
        height: 24,
      })),
    });
  expect(ids(nav(24))).toEqual([]);
  expect(ids(nav(96))).toEqual(['apart:nav']);
});

test('the middle of three stands in the middle, and is centered by one decision', () => {
  const header = (left: number): MeasuredPage =>
    page(1200, {
      classes: ['site-header'],
      display: 'flex',
      width: 1200,
      height: 40,
      columnGap: 16,
      inside: [
        { left: 0, width: 240, height: 40 },
        { left, width: 300, height: 40 },
        { left: 1100, width: 100, height: 40 },
      ],
    });
  expect(ids(header(450))).toEqual([]);
  const [finding] = found(header(520));
  expect(finding?.id).toBe('middle:site-header');
  expect(finding?.repair?.patch).toEqual([
    { op: 'replace', path: '/layout/header', value: 'centered' },
  ]);
});

test('a thing that is found at several widths is told once', () => {
  const card = (widthPx: number): MeasuredPage =>
    page(widthPx, { classes: ['card'], display: 'grid', width: 200, height: 90, rowGap: 22 });
  const document = sampleDocument(ROOMY);
  const all = pageFindings([card(320), card(1440)], document, derive(document));
  expect(all.map(({ id, where }) => [id, where.widthPx])).toEqual([['off-scale:card.gap', 320]]);
});

test('a selector leads to the box in any frame that shows the same page', () => {
  const shown = page(320, { tag: 'main', inside: [{ tag: 'p' }, { tag: 'p' }] });
  expect(selectorOf(shown, 3)).toBe('.site > main:nth-child(1) > p:nth-child(2)');
});

describe('what fits', () => {
  const stressed = (stress: MeasuredPage['stress'], ...inside: readonly Made[]): MeasuredPage => ({
    ...page(320, ...inside),
    ...(stress && { stress }),
  });
  const label = (own: Made): Made => ({
    classes: ['button'],
    display: 'inline-flex',
    left: 16,
    width: 120,
    height: 44,
    text: 'Book a crossing',
    ...own,
  });

  test('is what holds its words, and stands on the screen', () => {
    expect(ids(stressed('longer', label({})))).toEqual([]);
    expect(ids(stressed('longer', label({ overflowPx: 1 })))).toEqual([]);
  });

  test.each(STRESSES.map((stress) => [stress]))(
    '%s: what sticks out of itself is found',
    (stress) => {
      const [finding] = found(stressed(stress, label({ overflowPx: 12 })));
      expect(finding?.id).toBe(`fits:${stress.replaceAll(' ', '-')}:button`);
      expect(finding?.figures).toContain('12 px wider');
    },
  );

  test('what ends outside the screen is found on either side', () => {
    expect(ids(stressed('longer', label({ left: 220 })))).toEqual(['fits:longer:button']);
    expect(ids(stressed('right to left', label({ left: -20 })))).toEqual([
      'fits:right-to-left:button',
    ]);
  });

  test('what is held by what scrolls, hangs, or lies above the page is meant', () => {
    const wide = label({ left: 260 });
    expect(
      ids(stressed('longer', { scrolls: true, width: 300, height: 50, inside: [wide] })),
    ).toEqual([]);
    expect(ids(stressed('longer', { ...wide, classes: ['pull-hang'] }))).toEqual([]);
    expect(ids(stressed('longer', { ...wide, isOut: true }))).toEqual([]);
  });

  test('neighbors that lie over each other are found, unless they are moved there', () => {
    const above = label({ top: 0 });
    const below = label({ classes: ['tag'], display: 'block', top: 30 });
    expect(ids(stressed('longer', above, below))).toEqual(['fits:longer:tag']);
    expect(ids(stressed('longer', above, { ...below, margin: [-20, 0, 0, 0] }))).toEqual([]);
    expect(ids(stressed('longer', above, { ...below, top: 44 }))).toEqual([]);
  });

  test('among all components targets are judged too, and found by their classes', () => {
    const small = label({ classes: ['small-control'], width: 60, height: 20, isTarget: true });
    const sheet: MeasuredPage = {
      ...page(320, { ...small, top: 0 }, { ...small, top: 20 }),
      isSheet: true,
    };
    const [finding] = found(sheet);
    expect(finding).toMatchObject({
      id: 'target:small-control',
      where: { selector: '.small-control' },
    });
  });
});

describe('the rows of a header', () => {
  const header = (widthPx: number, ...tops: readonly number[]): MeasuredPage =>
    page(widthPx, {
      classes: ['site-header'],
      display: 'flex',
      width: widthPx,
      height: 120,
      inside: tops.map((top) => ({ classes: ['x'], top, width: 80, height: 40, isOut: false })),
    });
  const rows = (shown: MeasuredPage, changes: Patch = []) =>
    found(shown, changes).find(({ id }) => id === 'header-rows');

  test.each([
    [[0, 4, 10], 1],
    [[0, 40], 2],
    [[0, 44, 90], 3],
    [[], 0],
  ])('of boxes at %j are %i', (tops, count) => {
    expect(rowsOf(tops.map((top) => ({ ...PLAIN, parent: 0, child: 1, top, height: 40 })))).toBe(
      count,
    );
  });

  test('are one; more are found, and the navigation goes behind a button', () => {
    expect(rows(header(375, 0, 4))).toBeUndefined();
    const finding = rows(header(375, 0, 44));
    expect(finding).toMatchObject({ area: 'components', decision: '/components/narrow' });
    const changes = finding?.repair?.patch ?? [];
    const { components } = sampleDocument(changes);
    expect(components.narrow).toEqual({ below: 720, open: 'Menu', close: 'Close' });
  });

  test('where it breaks above that width, the width grows; where it cannot, there is no repair', () => {
    const narrow = (below: number): Patch => [
      { op: 'add', path: '/components/narrow', value: { below, open: 'Menu', close: 'Close' } },
    ];
    const finding = rows(header(1080, 0, 44), narrow(720));
    expect(
      sampleDocument([...narrow(720), ...(finding?.repair?.patch ?? [])]).components.narrow?.below,
    ).toBe(1081);
    expect(rows(header(1700, 0, 44), narrow(720))?.repair).toBeUndefined();
  });

  test('below it, the action goes into the navigation, once', () => {
    const changes: Patch = [
      {
        op: 'add',
        path: '/components/narrow',
        value: { below: 720, open: 'Menu', close: 'Close' },
      },
      { op: 'add', path: '/content/headerAction', value: 'Book' },
    ];
    const finding = rows(header(375, 0, 44), changes);
    const after = sampleDocument([...changes, ...(finding?.repair?.patch ?? [])]);
    expect(after.components.narrow?.action).toBe('inside');
    expect(
      rows(header(375, 0, 44), [...changes, ...(finding?.repair?.patch ?? [])])?.repair,
    ).toBeUndefined();
  });
});
