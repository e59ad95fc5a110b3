import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { fitBeside, typicalOf, unlikeness } from './alike.ts';
import { distancesTo } from './distance.ts';
import { cropped } from './crop.ts';
import { evened, inkBox, type IconDrawing } from './drawing.ts';
import { measureIcon, type IconMeasures } from './measure.ts';
import { readMeasures, writeMeasures } from './measured-line.ts';
import { OWN_SIGNS, signDrawing } from './own-signs.ts';
import { inked } from './raster.ts';
import { matrixOf, MOST_CHARACTERS, readIcon } from './read-svg.ts';
import { writeSvg, writeSymbol } from './write-svg.ts';

const file = (inside: string, attributes = 'viewBox="0 0 24 24"'): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${attributes}>${inside}</svg>`;

const drawingOf = (svg: string): IconDrawing => {
  const reading = readIcon(svg);
  if (!reading.ok) throw new Error(reading.problem);
  return reading.drawing;
};

const lostOf = (svg: string): readonly string[] => {
  const reading = readIcon(svg);
  return reading.ok ? reading.lost : [reading.problem];
};

const measured = (inside: string): IconMeasures => {
  const measures = measureIcon(drawingOf(file(inside)));
  if (!measures) throw new Error('nothing is inked');
  return measures;
};

const stroked = (d: string, width: number, more = ''): string =>
  `<path d="${d}" fill="none" stroke="#123" stroke-width="${width}" ${more}/>`;

describe('reading an icon', () => {
  test('every basic shape becomes a path of the same extent', () => {
    const extents: readonly (readonly [string, readonly number[]])[] = [
      ['<rect x="2" y="3" width="8" height="6"/>', [2, 3, 10, 9]],
      ['<rect x="2" y="3" width="8" height="6" rx="2"/>', [2, 3, 10, 9]],
      ['<circle cx="12" cy="11" r="4"/>', [8, 7, 16, 15]],
      ['<ellipse cx="12" cy="11" rx="5" ry="2"/>', [7, 9, 17, 13]],
      ['<polygon points="1,2 9 2 5,8"/>', [1, 2, 9, 8]],
      ['<polyline points="1,2 9 2 5,8"/>', [1, 2, 9, 8]],
      ['<path d="m1 2h8v6z"/>', [1, 2, 9, 8]],
    ];
    for (const [inside, [left, top, right, bottom]] of extents) {
      const box = inkBox(drawingOf(file(inside)));
      expect(box?.left).toBeCloseTo(left ?? 0, 3);
      expect(box?.top).toBeCloseTo(top ?? 0, 3);
      expect(box?.right).toBeCloseTo(right ?? 0, 3);
      expect(box?.bottom).toBeCloseTo(bottom ?? 0, 3);
    }
  });

  test('transforms of groups are worked into paths and widths', () => {
    const { shapes } = drawingOf(
      file(`<g transform="translate(4 2) scale(2)">${stroked('M0 0H3', 1)}</g>`),
    );
    expect(shapes).toEqual(
      [{ d: 'M4 2L10 2', paint: 'stroke', width: 2 }].map((shape) => ({
        ...shape,
        d: expect.stringMatching(/^M4 2[HL]10/),
      })),
    );
  });

  test('a matrix is what CSS Transforms 1 says: rotation about a point', () => {
    const [a, b, c, d, e, f] = matrixOf('rotate(90 10 10)');
    // (20, 10) goes to (10, 20).
    expect(a * 20 + c * 10 + e).toBeCloseTo(10, 9);
    expect(b * 20 + d * 10 + f).toBeCloseTo(20, 9);
    expect(matrixOf('translate(1,2) scale(3)')).toEqual([3, 0, 0, 3, 1, 2]);
    expect(matrixOf('nothing(1)')).toEqual([1, 0, 0, 1, 0, 0]);
    expect(matrixOf('constructor(1)')).toEqual([1, 0, 0, 1, 0, 0]);
  });

  test('styles, inheritance and what is hidden count as in a browser', () => {
    const { shapes } = drawingOf(
      file(
        `<g style="fill:none;stroke:red" stroke-width="3"><path d="M1 1H5"/></g><path d="M0 0H9V9Z" visibility="hidden"/><g display="none"><path d="M0 0H9V9Z"/></g>`,
      ),
    );
    expect(shapes).toHaveLength(1);
    expect(shapes[0]).toMatchObject({ paint: 'stroke', width: 3 });
  });

  test('the lighter of two colors and what is faint are the second tone', () => {
    const tones = (inside: string): (number | undefined)[] =>
      drawingOf(file(inside)).shapes.map(({ tone }) => tone);
    expect(tones('<path d="M0 0H9V9Z" fill="#ccd"/><path d="M0 0H3V3Z" fill="#112"/>')).toEqual([
      2,
      undefined,
    ]);
    expect(tones('<path d="M0 0H9V9Z" opacity=".2"/><path d="M0 0H3V3Z"/>')).toEqual([
      2,
      undefined,
    ]);
    expect(tones('<path d="M0 0H9V9Z" fill="currentColor"/>')).toEqual([undefined]);
    expect(
      lostOf(
        file(
          '<path d="M0 0H9V9Z" fill="#ccd"/><path d="M0 0H9V9Z" fill="#f00"/><path d="M0 0H3V3Z"/>',
        ),
      ),
    ).toEqual(['3 colors became two tones.']);
  });

  test('what cannot be kept is said, and nothing that acts or loads is kept', () => {
    const evil = file(
      `<script>alert(1)</script><style>path{fill:url(http://x.example)}</style><image href="http://x.example/a.png"/><text>Hi</text><foreignObject><p onclick="x()">a</p></foreignObject><use href="#a"/><path d="M0 0H9V9Z" onload="alert(1)" fill="url(#g)"/><defs><linearGradient id="g"/><mask/></defs><animate attributeName="d"/>`,
    );
    const reading = readIcon(evil);
    expect(reading.ok).toBe(true);
    if (!reading.ok) return;
    expect(reading.lost).toHaveLength(9);
    expect(JSON.stringify(reading.drawing)).not.toMatch(/alert|http|url|script|onload/);
    expect(writeSvg(reading.drawing)).not.toMatch(/alert|http:\/\/x|url\(|script|onload/);
  });

  test('broken and endless files are refused in words', () => {
    const problem = (svg: string): string => {
      const reading = readIcon(svg);
      return reading.ok ? '' : reading.problem;
    };
    expect(problem('hello')).toBe('It is no SVG.');
    expect(problem('')).toBe('It is no SVG.');
    expect(problem(file(''))).toBe('Nothing is drawn in it.');
    expect(problem(file('<path d="nonsense"/>'))).toBe('Nothing is drawn in it.');
    expect(problem(file('<path d="M0 0c1 11e999 2 2 4 4L9 9"/>'))).toBe('Nothing is drawn in it.');
    expect(lostOf(file('<path d="M0 0c1 2e5 2 2 4 4z"/><path d="M0 0H9V9Z"/>'))).toEqual([
      'A path that lies far outside was left out.',
    ]);
    expect(problem(file('<path d="M0 0L1e9 1e9"/>'))).toBe('Nothing is drawn in it.');
    expect(problem('x'.repeat(MOST_CHARACTERS + 1))).toMatch(/60,001 characters/);
    expect(problem(file('<path d="M0 0H9V9Z"/>'.repeat(100)))).toMatch(/more than an icon/);
    expect(problem(file(`${'<g>'.repeat(5000)}<path d="M0 0H9V9Z"/>`))).toMatch(
      /more than|more levels/,
    );
    expect(problem(file(`<path d="M0 0${'L1 1'.repeat(6000)}"/>`))).toMatch(/more than an icon/);
  });

  test('a file without a box is as large as it says, or as what is drawn', () => {
    const box = ({ width, height }: IconDrawing): readonly number[] => [width, height];
    expect(box(drawingOf(file('<path d="M5 5H9V9Z"/>', 'width="16" height="20"')))).toEqual([
      16, 20,
    ]);
    const bare = drawingOf(file('<path d="M5 5H9V9Z"/>', ''));
    expect(box(bare)).toEqual([4, 4]);
    expect(inkBox(bare)).toMatchObject({ left: 0, top: 0 });
    const moved = drawingOf(file('<path d="M-4 -4H0V0Z"/>', 'viewBox="-12 -12 24 24"'));
    expect(inkBox(moved)).toMatchObject({ left: 8, top: 8 });
  });

  test('an empty artboard is cut away, evenly in the middle, and told', () => {
    const { drawing, cut } = cropped(
      drawingOf(file('<rect x="10" y="40" width="20" height="10"/>', 'viewBox="0 0 100 100"')),
    );
    expect(inkBox(drawing)).toEqual({ left: 2, top: 7, right: 22, bottom: 17 });
    expect(cut.map((share) => Math.round(share * 100))).toEqual([40, 70, 50, 10]);
    // Flat ends reach no further than the path.
    const line = cropped(drawingOf(file(stroked('M20 50H60', 10), 'viewBox="0 0 100 100"')));
    expect(line.cut.map((share) => Math.round(share * 100))).toEqual([45, 40, 45, 20]);
  });

  test('strokes are made even by the commonest', () => {
    const uneven = drawingOf(file(`${stroked('M1 1H20V20H3V9H12', 2)}${stroked('M1 1V4', 0.5)}`));
    expect(evened(uneven).shapes.map(({ width }) => width)).toEqual([2, 2]);
    expect(inkBox(evened(uneven))).toBeDefined();
  });

  test('whatever is read is written as an SVG that is read as the same', () => {
    const numbers = fc.integer({ min: -400, max: 400 }).map((value) => value / 10);
    const point = fc.tuple(numbers, numbers).map(([x, y]) => `${x} ${y}`);
    const shape = fc.oneof(
      fc.tuple(point, point, point).map(([a, b, c]) => `<path d="M${a}L${b}L${c}Z"/>`),
      fc
        .tuple(point, point, point, point)
        .map(([a, b, c, d]) => stroked(`M${a}C${b} ${c} ${d}`, 1.5, 'stroke-linecap="round"')),
      fc
        .tuple(point)
        .map(([a]) => `<circle cx="${a.split(' ')[0] ?? ''}" cy="2" r="3" opacity=".2"/>`),
    );
    fc.assert(
      fc.property(fc.array(shape, { minLength: 1, maxLength: 6 }), (inside) => {
        const once = readIcon(file(inside.join('')));
        if (!once.ok) return;
        const again = readIcon(writeSvg(once.drawing));
        expect(
          again.ok && again.drawing.shapes.map(({ d, paint, width }) => ({ d, paint, width })),
        ).toEqual(once.drawing.shapes.map(({ d, paint, width }) => ({ d, paint, width })));
      }),
      { numRuns: 60 },
    );
  });

  test('any text at all is read or refused, never thrown', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.string().map((inside) => file(inside)),
          fc.string().map((d) => file(`<path d="${d}"/>`)),
          fc.string().map((t) => file(`<path transform="${t}" d="M0 0H1V1Z"/>`)),
        ),
        (svg) => {
          expect(typeof readIcon(svg).ok).toBe('boolean');
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe('inking', () => {
  const area = (inside: string): number => {
    const { ink, width } = inked(drawingOf(file(inside)), 480);
    return ink.reduce((sum, value) => sum + value, 0) / (width / 24) ** 2;
  };

  test('areas are those of geometry', () => {
    expect(area('<rect x="2" y="3" width="8" height="6"/>')).toBeCloseTo(48, 1);
    expect(area('<circle cx="12" cy="12" r="5"/>')).toBeCloseTo(Math.PI * 25, 0);
    // A ring of two circles, by the rule and by the direction.
    expect(area('<path fill-rule="evenodd" d="M2 2H22V22H2ZM6 6H18V18H6Z"/>')).toBeCloseTo(256, 0);
    expect(area('<path d="M2 2H22V22H2ZM6 6H18V18H6Z"/>')).toBeCloseTo(400, 0);
    expect(area('<path d="M2 2H22V22H2ZM6 6V18H18V6Z"/>')).toBeCloseTo(256, 0);
  });

  test('strokes end and join as SVG 2 says', () => {
    const line = (cap: string): number => area(stroked('M6 12H18', 4, `stroke-linecap="${cap}"`));
    expect(line('butt')).toBeCloseTo(48, 1);
    expect(line('square')).toBeCloseTo(64, 1);
    expect(line('round')).toBeCloseTo(48 + Math.PI * 4, 0);
    const angle = (join: string): number =>
      area(stroked('M4 18V6H16', 4, `stroke-linejoin="${join}"`));
    // Two arms of 12 by 4, whose corner is a square of 4, of 4 rounded, or of 4 cut.
    expect(angle('miter')).toBeCloseTo(12 * 4 * 2 - 4 + 4, 0);
    expect(angle('bevel')).toBeCloseTo(12 * 4 * 2 - 4 + 2, 0);
    expect(angle('round')).toBeCloseTo(12 * 4 * 2 - 4 + Math.PI, 0);
    expect(
      area('<rect x="5" y="5" width="14" height="14" fill="none" stroke="#000" stroke-width="2"/>'),
    ).toBeCloseTo(256 - 144, 0);
    // A point with round caps is a disc.
    expect(area(stroked('M12 12h0', 4, 'stroke-linecap="round"'))).toBeCloseTo(Math.PI * 4, 0);
  });

  test('distances are those to the nearest, found by looking at all', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 12 }),
        fc.integer({ min: 1, max: 12 }),
        fc.infiniteStream(fc.boolean()),
        (width, height, bits) => {
          const set = Uint8Array.from({ length: width * height }, () =>
            bits.next().value ? 1 : 0,
          );
          const found = distancesTo(set, width, height);
          for (let place = 0; place < set.length; place += 1) {
            let least = Infinity;
            for (let other = 0; other < set.length; other += 1)
              if (set[other] === 1)
                least = Math.min(
                  least,
                  Math.hypot(
                    (place % width) - (other % width),
                    Math.floor(place / width) - Math.floor(other / width),
                  ),
                );
            if (least === Infinity) expect(found[place]).toBeGreaterThan(1000);
            else expect(found[place]).toBeCloseTo(least, 9);
          }
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('measuring drawings of known geometry', () => {
  test('a stroke is as wide as it says, and the same when it is drawn as an outline', () => {
    for (const width of [1, 1.5, 2, 3]) {
      const line = measured(stroked('M4 12H20', width));
      expect(line.kind).toBe('outlined');
      expect(line.stroke * 24).toBeCloseTo(width, 6);
      const bar = measured(`<rect x="4" y="${12 - width / 2}" width="16" height="${width}"/>`);
      expect(bar.kind).toBe('outlined');
      expect(Math.abs(bar.stroke * 24 - width)).toBeLessThan(0.07);
      const ring = measured(
        `<path fill-rule="evenodd" d="M4 4H20V20H4ZM${4 + width} ${4 + width}H${20 - width}V${20 - width}H${4 + width}Z"/>`,
      );
      expect(ring.kind).toBe('outlined');
      expect(Math.abs(ring.stroke * 24 - width)).toBeLessThan(0.07);
      expect(ring.evenness).toBeGreaterThan(0.9);
    }
  });

  test('what is full is filled, what has two tones is two-toned', () => {
    expect(measured('<circle cx="12" cy="12" r="9"/>').kind).toBe('filled');
    expect(
      measured('<rect x="3" y="3" width="18" height="18" opacity=".2"/><path d="M3 3H9V9Z"/>').kind,
    ).toBe('two-toned');
    // All of one tone is no second one.
    expect(measured('<rect x="3" y="3" width="18" height="18" opacity=".2"/>').kind).toBe('filled');
  });

  test('ink, extent, pieces, holes and the narrowest room', () => {
    const two = measured(
      '<rect x="2" y="2" width="8" height="20"/><rect x="12" y="2" width="8" height="20"/>',
    );
    expect(two.ink).toBeCloseTo((2 * 160) / 576, 2);
    expect(two.wide * 24).toBeCloseTo(18, 1);
    expect(two.high * 24).toBeCloseTo(20, 1);
    expect(two.details).toBe(2);
    expect((two.gap ?? 0) * 24).toBeCloseTo(2, 1);
    expect(measured('<circle cx="12" cy="12" r="6"/>').gap).toBeUndefined();
    expect(measured('<path d="M0 0H9V9Z"/>').gap).toBeUndefined();
    const eyes = measured('<path fill-rule="evenodd" d="M2 2H22V22H2ZM5 5H9V9H5ZM15 5H19V9H15Z"/>');
    expect(eyes.details).toBe(3);
  });

  test('corners have the radius that they were drawn with; sharp ones none', () => {
    const rounded = measured('<rect x="3" y="3" width="18" height="18" rx="4"/>');
    expect((rounded.corner ?? 0) * 24).toBeCloseTo(4, 2);
    expect(measured('<rect x="3" y="3" width="18" height="18"/>').corner).toBe(0);
    expect(measured('<circle cx="12" cy="12" r="6"/>').corner).toBeUndefined();
    // Of a stroke it is the outer edge that is seen.
    const outline = measured(
      '<rect x="3" y="3" width="18" height="18" rx="3" fill="none" stroke="#000" stroke-width="2"/>',
    );
    expect((outline.corner ?? 0) * 24).toBeCloseTo(4, 2);
  });

  test('ends are told by what they say, and by half circles in outlines', () => {
    expect(measured(stroked('M4 12H20', 2, 'stroke-linecap="round"')).roundEnds).toBe(true);
    expect(measured(stroked('M4 12H20', 2)).roundEnds).toBe(false);
    expect(measured(stroked('M4 4H20V20Z', 2)).roundEnds).toBeUndefined();
    expect(measured('<path d="M5 11H19A1 1 0 0 1 19 13H5A1 1 0 0 1 5 11Z"/>').roundEnds).toBe(true);
  });

  test('the grid is the coarsest that the points are on', () => {
    expect((measured(stroked('M4 12H20V6L8 4', 2)).grid ?? 0) * 24).toBeCloseTo(2, 6);
    expect((measured(stroked('M4.5 12H20V6L8 4', 2)).grid ?? 0) * 24).toBeCloseTo(0.5, 6);
    expect(measured(stroked('M4.37 12.11H20.71V6.13L8.77 4.03', 2)).grid).toBeUndefined();
  });

  test('the same drawing is the same in a box of any size', () => {
    const small = measureIcon(drawingOf(file(stroked('M2 8H14V3', 1), 'viewBox="0 0 16 16"')));
    const large = measureIcon(
      drawingOf(file(stroked('M32 128H224V48', 16), 'viewBox="0 0 256 256"')),
    );
    expect(small?.stroke).toBeCloseTo(large?.stroke ?? 0, 9);
    expect(small?.ink).toBeCloseTo(large?.ink ?? 0, 9);
    expect(small?.gap).toEqual(large?.gap);
  });

  test('what is kept of the signs of our own is what is measured of them', () => {
    expect(OWN_SIGNS.length).toBeGreaterThan(20);
    const all = (list: Iterable<readonly [string, IconMeasures]>): string =>
      writeMeasures(new Map(list));
    expect(all(OWN_SIGNS.map(({ id, measures }) => [id, measures]))).toBe(
      all(OWN_SIGNS.map((sign) => [sign.id, measureIcon(signDrawing(sign)) as IconMeasures])),
    );
  });

  test('measures are kept as a line and come back within a thousandth', () => {
    const all = new Map(
      OWN_SIGNS.map((sign) => [sign.id, measureIcon(signDrawing(sign)) as IconMeasures]),
    );
    const back = readMeasures(writeMeasures(all));
    expect([...back.keys()]).toEqual([...all.keys()]);
    for (const [id, one] of all) {
      const other = back.get(id);
      expect(other?.kind).toBe(one.kind);
      expect(other?.details).toBe(one.details);
      expect(other?.roundEnds).toBe(one.roundEnds);
      for (const part of ['stroke', 'evenness', 'corner', 'ink', 'gap', 'wide', 'high'] as const)
        if (one[part] === undefined) expect(other?.[part]).toBeUndefined();
        else expect(other?.[part]).toBeCloseTo(one[part], 3);
    }
    expect(readMeasures('half\toutlined\n\nnonsense').size).toBe(0);
  });
});

describe('likeness', () => {
  const own = OWN_SIGNS.flatMap((sign) => measureIcon(signDrawing(sign)) ?? []);

  test('the signs of our own are of one kind, one stroke and round ends', () => {
    const typical = typicalOf(own);
    expect(typical).toMatchObject({ kind: 'outlined', roundEnds: true });
    expect((typical?.stroke ?? 0) * 24).toBeCloseTo(1.5, 9);
    for (const one of own) expect(unlikeness(one, typical ?? one)).toBeLessThan(1);
  });

  test('it is nothing to itself, the same both ways, and large to another kind', () => {
    const full = measured('<circle cx="12" cy="12" r="9"/>');
    for (const one of own) {
      expect(unlikeness(one, one)).toBe(0);
      expect(unlikeness(one, full)).toBeCloseTo(unlikeness(full, one), 12);
      expect(unlikeness(one, full)).toBeGreaterThan(1);
    }
    // How wide what is full is, is what it shows, and no matter of the hand that drew it.
    const moon = measured('<circle cx="12" cy="12" r="4"/>');
    expect(unlikeness(full, moon)).toBeLessThan(1);
  });

  test('a stroke of 1.5 on 24 at 20 px is 1.25 px, half as thick again as a stem of 0.83', () => {
    const fit = fitBeside(
      { ...(own[0] as IconMeasures), stroke: 1.5 / 24 },
      { stemPx: 1.25 / 1.5, iconPx: 20 },
    );
    expect(fit.strokePx).toBeCloseTo(1.25, 9);
    expect(fit.heavier).toBeCloseTo(0.5, 9);
    expect(fit.distance).toBeCloseTo(Math.log2(1.5), 9);
  });
});

describe('writing', () => {
  const mail = OWN_SIGNS.find(({ id }) => id === 'mail');

  test('in a page strokes take the width of the sheet, whatever their size', () => {
    const svg = writeSvg(
      signDrawing(mail as (typeof OWN_SIGNS)[number]),
      { stroke: 2 },
      ' class="icon"',
    );
    expect(svg).toContain('class="icon"');
    expect(svg).toContain('stroke-width="2"');
    expect(svg.match(/vector-effect="non-scaling-stroke"/g)).toHaveLength(2);
    expect(svg).toContain('stroke="currentcolor"');
    const symbol = writeSymbol('icon-mail', signDrawing(mail as (typeof OWN_SIGNS)[number]), {
      stroke: 2,
    });
    expect(symbol).toMatch(/^<symbol id="icon-mail" viewBox="0 0 24 24">/);
    expect(symbol).not.toContain('stroke-width');
  });

  test('one tone can be written alone, the second is faint otherwise', () => {
    const two = drawingOf(file('<path d="M0 0H9V9Z" opacity=".2"/><path d="M0 0H3V3Z"/>'));
    expect(writeSvg(two, { faint: 0.4 })).toContain('opacity="0.4"');
    expect(writeSvg(two, { tone: 1 }).match(/<path/g)).toHaveLength(1);
    expect(writeSvg(two, { tone: 2 })).not.toContain('opacity');
  });
});
