import { describe, expect, test } from '@jest/globals';
import { derive } from '../derive/derive.ts';
import type { StyleDocument } from '../system/document.ts';
import { patched, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { writeCss } from '../formats/css.ts';
import { fluidCss, fluidPx, fluidSize, piecesOf } from '../type/fluid.ts';
import { zoomGain } from '../type/zoom.ts';
import { findingsOf } from './checks.ts';
import { lineAt, lineRange } from './lines.ts';
import { growthAt, leastGrowth } from './reader.ts';

const found = (document: StyleDocument, id: string) =>
  findingsOf(document, derive(document)).find((finding) => finding.id === id);

/** The document after the repair of one finding. */
function repaired(document: StyleDocument, id: string): StyleDocument {
  const repair = found(document, id)?.repair;
  if (!repair) throw new Error(`${id} has no repair`);
  const result = patched(document, repair.patch);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.document;
}

const steep: Patch = [{ op: 'replace', path: '/type/anchors/items/wide/ratio', value: 1.5 }];

describe('zoom', () => {
  const document = sampleDocument(steep);

  test('that cannot make a heading twice as large is found with its widths', () => {
    const finding = found(document, 'zoom:h1');
    expect(finding?.severity).toBe('repair');
    expect(finding?.figures).toMatch(/^from 1026 px up; 1\.46 of 2\.00 times at 1440 px$/);
  });

  test('is repaired by the largest size that passes, and by no smaller one', () => {
    const after = repaired(document, 'zoom:h1');
    expect(found(after, 'zoom:h1')).toBeUndefined();
    const px = after.type.roles.items['h1']?.sizes?.['wide'] ?? 0;
    const at = (wide: number) =>
      piecesOf(
        fluidSize([
          { widthPx: 360, sizePx: 16 * 1.2 ** 5 },
          { widthPx: 1440, sizePx: wide },
        ]),
      );
    // Tried at every width, one hundredth of a px more falls short somewhere.
    const least = (wide: number): number =>
      Math.min(...Array.from({ length: 2241 }, (_, index) => zoomGain(at(wide), 320 + index)));
    expect(least(px)).toBeGreaterThanOrEqual(2 - 1e-6);
    expect(least(px + 0.05)).toBeLessThan(2);
  });

  test('is judged by the highest zoom of the readers, as the brief says', () => {
    // 24 to 48 px: twice its smallest size is reached at 500 %, not within 300 %.
    const grown: Patch = [
      { op: 'add', path: '/type/roles/items/h1/sizes', value: { narrow: 24, wide: 48 } },
    ];
    expect(found(sampleDocument(grown), 'zoom:h1')).toBeUndefined();
    const safe: Patch = [...grown, { op: 'replace', path: '/brief/zoom', value: 300 }];
    const finding = found(sampleDocument(safe), 'zoom:h1');
    expect(finding?.source).toContain('300 % (the brief)');
    const style = derive(sampleDocument(safe)).styles.get('h1');
    if (!style) throw new Error('no h1');
    // Brute force over widths and zooms.
    let least = Infinity;
    for (let width = 320; width <= 2560; width += 1) {
      let gain = 1;
      for (let zoom = 1; zoom <= 3; zoom += 0.05)
        gain = Math.max(
          gain,
          (zoom * fluidPx(style.size, width / zoom)) / fluidPx(style.size, width),
        );
      least = Math.min(least, gain);
    }
    expect(finding?.figures).toContain(`${least.toFixed(2)} of 2.00 times`);
    expect(found(repaired(sampleDocument(safe), 'zoom:h1'), 'zoom:h1')).toBeUndefined();
  });

  test('is fine in the usual system', () => {
    expect(found(sampleDocument(), 'zoom:h1')).toBeUndefined();
  });
});

describe('the reader’s own font size', () => {
  test('leaves a size that hangs on the width alone as it is: 0 % at 1200 px', () => {
    // Arithmetic: clamp(1.5rem, 4vw, 3rem) is 48 px at a root of 16 and of 32 px.
    const clamp = { minRem: 1.5, baseRem: 0, slope: 4, maxRem: 3 };
    const size = {
      restRem: 0,
      clamps: [clamp],
      unit: 'vw',
      written: { length: 'rem', root: 1 },
      minRem: 1.5,
      maxRem: 3,
    } as const;
    expect(growthAt(size, 1200)).toBe(0);
    expect(leastGrowth(size).growth).toBe(0);
  });

  test('doubles a size in rem alone', () => {
    expect(
      leastGrowth(
        fluidSize([
          { widthPx: 360, sizePx: 20 },
          { widthPx: 900, sizePx: 20 },
        ]),
      ).growth,
    ).toBe(1);
  });

  test('has its least growth where it is said to be, tried at every width', () => {
    for (const wide of [40, 60, 90]) {
      const size = fluidSize([
        { widthPx: 360, sizePx: 30 },
        { widthPx: 768, sizePx: 34 },
        { widthPx: 1440, sizePx: wide },
      ]);
      const tried = Math.min(
        ...Array.from({ length: 2241 }, (_, index) => growthAt(size, 320 + index)),
      );
      expect(leastGrowth(size).growth).toBeLessThanOrEqual(tried + 1e-12);
      expect(leastGrowth(size).growth).toBeCloseTo(tried, 3);
    }
  });

  test('is repaired by the largest size that follows it', () => {
    const document = sampleDocument(steep);
    expect(found(document, 'reader:h1')?.figures).toMatch(/% larger at 1440 px/);
    expect(found(repaired(document, 'reader:h1'), 'reader:h1')).toBeUndefined();
  });
});

describe('lines', () => {
  const wide = sampleDocument([{ op: 'remove', path: '/type/roles/items/body/longest' }]);

  test('longer than the brief asks for are found, and the repair holds them', () => {
    expect(found(wide, 'line:body')?.figures).toMatch(
      /^about \d\d characters at \d+ px; the brief asks for 30 to 75$/,
    );
    const after = repaired(wide, 'line:body');
    expect(found(after, 'line:body')).toBeUndefined();
    expect(after.type.roles.items['body']?.longest).toBe(75);
  });

  test('have their extremes at the widths that are named, tried at every width', () => {
    const derived = derive(wide);
    const body = derived.styles.get('body');
    if (!body) throw new Error('no body');
    const tried = Array.from({ length: 2241 }, (_, index) =>
      lineAt(wide, derived, body, 320 + index),
    );
    const { shortest, longest } = lineRange(wide, derived, body);
    expect(longest.characters).toBeCloseTo(Math.max(...tried), 1);
    expect(shortest.characters).toBeCloseTo(Math.min(...tried), 6);
  });

  test('shorter than the brief asks for are found', () => {
    const document = sampleDocument([{ op: 'replace', path: '/brief/line/from', value: 50 }]);
    expect(found(document, 'line:body')?.title).toBe('Lines of body are short');
  });
});

describe('sizes and line heights', () => {
  test('a caption under 12 px is found, and one place up ends it', () => {
    const document = sampleDocument([
      { op: 'replace', path: '/type/roles/items/caption/place', value: -2 },
    ]);
    expect(found(document, 'small-size:caption')?.figures).toBe('11.11 px at its smallest');
    expect(found(repaired(document, 'small-size:caption'), 'small-size:caption')).toBeUndefined();
  });

  test.each([
    ['body', 1.1, 'close'],
    ['body', 2.4, 'far apart'],
    ['h1', 0.85, 'close'],
    ['h1', 1.7, 'far apart'],
    ['h1', 1.3, 'far apart'],
  ])('%s at a line height of %d stands too %s', (role, value, words) => {
    const path = `/type/roles/items/${role}/lineHeight`;
    const document = sampleDocument([{ op: 'add', path, value }]);
    expect(found(document, `line-height:${role}`)?.title).toContain(words);
    expect(found(repaired(document, `line-height:${role}`), `line-height:${role}`)).toBeUndefined();
  });

  test('levels that differ by less than 8 % are hard to tell apart', () => {
    const document = sampleDocument([
      { op: 'add', path: '/type/roles/items/h4/sizes', value: { narrow: 19.7, wide: 24 } },
    ]);
    // Arithmetic: 16 × 1.2 is 19.2 px, 2.6 % under 19.7 px.
    expect(found(document, 'close:h4')?.figures).toBe('19.7 px and 19.2 px at 240 px: 2.6 % apart');
  });

  test('a word that is wider than a phone is named', () => {
    const document = sampleDocument([
      {
        op: 'replace',
        path: '/content/pages/items/home/sections/items/hero/title',
        value: 'Donaudampfschifffahrtsgesellschaft',
      },
    ]);
    expect(found(document, 'word:h1')?.title).toBe(
      '“Donaudampfschifffahrtsgesellschaft” is wider than a phone',
    );
  });
});

describe('a role with sizes of its own', () => {
  const path = '/type/roles/items/h2/sizes';
  const document = sampleDocument([{ op: 'add', path, value: { wide: 50 } }]);

  test('keeps them when the scale changes, and follows it elsewhere', () => {
    const moved = patched(document, [
      { op: 'replace', path: '/type/anchors/items/wide/ratio', value: 1.4 },
      { op: 'replace', path: '/type/anchors/items/narrow/base', value: 20 },
    ]);
    if (!moved.ok) throw new Error('refused');
    const size = derive(moved.document).styles.get('h2')?.size;
    if (!size) throw new Error('no h2');
    expect(fluidPx(size, 1440)).toBeCloseTo(50, 2);
    expect(fluidPx(size, 360)).toBeCloseTo(20 * 1.2 ** 4, 2);
  });

  test('no longer takes its value from the scale', () => {
    const { tokenById, trailOf } = derive(document);
    expect(tokenById.get('type.h2.size')?.values.light.reference).toBeUndefined();
    expect(trailOf('type.h2.size')?.steps[0]).toBe('h2 at 1440 px: 50 px, not that of its place');
  });

  test('loses them when the anchor goes only if they are taken along', () => {
    const wider: Patch = [
      {
        op: 'add',
        path: '/type/anchors/items/middle',
        value: { width: 768, base: 17, ratio: 1.2 },
      },
      { op: 'replace', path: '/type/anchors/order', value: ['narrow', 'middle', 'wide'] },
      { op: 'add', path: '/type/roles/items/h3/sizes', value: { middle: 30 } },
    ];
    const three = sampleDocument(wider);
    const without: Patch = [
      { op: 'remove', path: '/type/anchors/items/middle' },
      { op: 'replace', path: '/type/anchors/order', value: ['narrow', 'wide'] },
    ];
    expect(patched(three, without)).toMatchObject({
      ok: false,
      problems: [{ path: '/type/roles/items/h3/sizes/middle' }],
    });
    expect(
      patched(three, [...without, { op: 'remove', path: '/type/roles/items/h3/sizes' }]).ok,
    ).toBe(true);
  });
});

test('sizes of the sample, as usual and steep, have a part in rem and bounds in order', () => {
  // CSS Values 4: a clamp whose minimum is above its maximum is its minimum everywhere.
  for (const changes of [[], steep])
    for (const { size } of derive(sampleDocument(changes)).styles.values()) {
      expect(size.minRem).toBeGreaterThan(0);
      for (const { minRem, maxRem } of size.clamps) expect(minRem).toBeLessThanOrEqual(maxRem);
    }
});

describe('units, containers and roots', () => {
  const h2 = '/type/roles/items/h2';

  test('a size in px does not follow the reader, and is to be in rem', () => {
    const document = sampleDocument([
      {
        op: 'add',
        path: `${h2}/unit`,
        value: { length: 'px', because: 'stands in a fixed frame' },
      },
    ]);
    const style = derive(document).styles.get('h2');
    expect(style && fluidCss(style.size)).toMatch(
      /^clamp\(33\.17\d*px, [\d.]+px \+ [\d.]+vi, 43\.9\d*px\)$/,
    );
    expect(found(document, 'reader:h2')?.figures).toMatch(
      /^twice the font size makes it 0 % larger/,
    );
    expect(found(repaired(document, 'reader:h2'), 'reader:h2')).toBeUndefined();
    const { tokenById, trailOf } = derive(document);
    expect(tokenById.get('type.h2.size')?.values.light.json).toMatchObject({ unit: 'px' });
    expect(trailOf('type.h2.size')?.steps).toContain('in px, because: stands in a fixed frame');
  });

  test('a role in a container flows between the widths of the container', () => {
    const document = sampleDocument([
      { op: 'add', path: `${h2}/container`, value: { from: 200, to: 600 } },
    ]);
    const size = derive(document).styles.get('h2')?.size;
    if (!size) throw new Error('no h2');
    expect(fluidCss(size)).toContain('cqi');
    expect(fluidPx(size, 200)).toBeCloseTo(16 * 1.2 ** 4, 2);
    expect(fluidPx(size, 600)).toBeCloseTo(18 * 1.25 ** 4, 2);
  });

  test('another root changes what is written, not how large anything is', () => {
    const usual = derive(sampleDocument());
    const document = sampleDocument([{ op: 'add', path: '/type/root', value: 62.5 }]);
    const derived = derive(document);
    const css = writeCss(derived);
    expect(css).toContain('html {\n  font-size: 62.5%;\n}');
    // 16 px is 1.6 rem of 10 px.
    expect(css).toMatch(/--scale-base: clamp\(1\.6rem, /);
    expect(css).toContain('--step-m: 1.6rem;');
    for (const [id, { size }] of derived.styles)
      for (const width of [320, 700, 1600])
        expect(fluidPx(size, width)).toBeCloseTo(
          fluidPx(usual.styles.get(id)?.size ?? size, width),
          1,
        );
    expect(found(repaired(document, 'root'), 'root')).toBeUndefined();
  });
});

describe('a heading that is to fit', () => {
  const path = '/type/roles/items/h1/fit';
  const title = {
    op: 'replace',
    path: '/content/pages/items/home/sections/items/hero/title',
    value: 'Nine crossings a day, whatever the tide says',
  } as const;

  test('is as large as its words allow at every anchor, and no larger than its place', () => {
    const document = sampleDocument([title, { op: 'add', path, value: { lines: 1, least: 10 } }]);
    const size = derive(document).styles.get('h1')?.size;
    if (!size) throw new Error('no h1');
    // Arithmetic: 44 characters of 0.4271 em, 9.75 % wider at 700, in 704 px at most.
    const letter = 0.4271 * 1.0975 * 1.04;
    expect(fluidPx(size, 1440)).toBeCloseTo(704 / (44 * letter), 0);
    expect(fluidPx(size, 360)).toBeCloseTo((320 - 48) / (44 * letter), 0);
    expect(found(document, 'fit:h1')).toBeUndefined();
  });

  test('never falls under its least size, and says where it does not fit then', () => {
    const document = sampleDocument([title, { op: 'add', path, value: { lines: 1, least: 24 } }]);
    const size = derive(document).styles.get('h1')?.size;
    expect(size && size.minRem * 16).toBeCloseTo(24, 1);
    expect(found(document, 'fit:h1')?.title).toBe('h1 takes more than 1 line');
  });

  test('in three lines may be larger than in one', () => {
    const at = (lines: number): number => {
      const document = sampleDocument([title, { op: 'add', path, value: { lines, least: 10 } }]);
      return derive(document).styles.get('h1')?.size.maxRem ?? 0;
    };
    expect(at(3)).toBeGreaterThan(at(1));
  });
});

test('a level whose own size is under the next one is repaired by holding that one to it', () => {
  const document = sampleDocument([
    { op: 'add', path: '/type/roles/items/h1/sizes', value: { wide: 30 } },
  ]);
  expect(found(document, 'order:h1')?.repair?.label).toBe('h2 no larger than h1');
  const after = repaired(document, 'order:h1');
  expect(found(after, 'order:h1')).toBeUndefined();
  expect(after.type.roles.items['h2']?.sizes).toEqual({ wide: 30 });
});
