import { describe, expect, test } from '@jest/globals';
import { derive } from '@garnish/core/derive/derive';
import { writeCss } from '@garnish/core/formats/css';
import { differenceOf } from '@garnish/core/color/difference';
import { driftOf } from '@garnish/core/reading/drift';
import { inferredFrom } from '@garnish/core/reading/inferred';
import { pxOn } from '@garnish/core/reading/lengths';
import { readSheet } from '@garnish/core/reading/read-sheet';
import { rewritten } from '@garnish/core/reading/rewritten';
import { inOrder, type StyleDocument } from '@garnish/core/system/document';
import { modesOf } from '@garnish/core/system/themes';
import { patched } from '@garnish/core/system/patch';
import { demoSystems } from './demo.ts';

const BUILT = [
  ['values written out', { noisePx: 0, noiseColor: 0 }],
  ['a px and 2 % of color off', { noisePx: 1, noiseColor: 0.02 }],
] as const;
const CASES = demoSystems().flatMap((system) =>
  BUILT.map(([how, noise]) => [system.name, how, system, noise] as const),
);

/** A demo as somebody might have built it by hand from what was exported: other names, another order, noise. */
function built(system: StyleDocument, noise: (typeof BUILT)[number][1]) {
  const css = writeCss(derive(system), system.tokens.sheet);
  const again = rewritten(css, [], { seed: system.name, ...noise });
  const sheet = readSheet(again.css, 'built.css');
  // A page shows which words are running text; here they are those that were.
  const body = `.${again.nameOf('type-body')}`;
  const size =
    sheet.declarations.findLast(
      ({ selector, property }) => property === 'font-size' && selector.split(', ').includes(body),
    )?.value ?? '';
  const running = (widthPx: number) => pxOn(size, { widthPx, heightPx: 900, rootPx: 16 });
  return { css, again, sheet, found: inferredFrom([sheet], new Set(), running) };
}

describe.each(CASES)('%s, built by hand with %s', (_name, _how, system, noise) => {
  const { found } = built(system, noise);
  const isExact = noise.noisePx === 0;
  const anchors = inOrder(system.type.anchors).map(([, anchor]) => anchor);
  const [narrow, wide] = [anchors[0], anchors.at(-1)];
  const result = patched(
    system,
    // Places and breakpoints of other names are of a new system: only figures are compared.
    found.proposals
      .flatMap(({ patch }) => patch)
      .filter(({ path }) =>
        /^\/(?:type\/anchors\/items\/(?:narrow|wide)|shape\/light)\//.test(path),
      ),
  );
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  const is = result.document;

  test('its base sizes are found within half a px, its ratios within one in a hundred', () => {
    for (const [id, was] of [
      ['narrow', narrow],
      ['wide', wide],
    ] as const) {
      const now = is.type.anchors.items[id];
      expect(Math.abs((now?.base ?? 0) - (was?.base ?? 0))).toBeLessThan(isExact ? 0.01 : 0.5);
      expect(Math.abs((now?.ratio ?? 0) / (was?.ratio ?? 1) - 1)).toBeLessThan(
        isExact ? 0.002 : 0.01,
      );
      expect(now?.width).toBe(was?.width);
    }
  });

  test('its unit is found, or a multiple of one so small that a px off is anywhere', () => {
    const unit = Number(
      found.proposals.find(({ id }) => id === 'unit')?.value.match(/[\d.]+/)?.[0],
    );
    expect(unit).toBeGreaterThan(0);
    expect(unit % system.space.unit).toBe(0);
    if (system.space.unit >= 8) expect(unit).toBe(system.space.unit);
  });

  test('its breakpoints, its columns and its light are found', () => {
    const valueOf = (wanted: string): string =>
      found.proposals.find(({ id }) => id === wanted)?.value ?? '';
    for (const [, { width }] of inOrder(system.layout.breakpoints))
      expect(valueOf('breakpoints').split(/, | px/)).toContain(String(width));
    const columns = inOrder(system.layout.breakpoints).flatMap(
      ([id]) => system.layout.grid.at[id]?.columns ?? [],
    );
    expect(valueOf('columns')).toBe(String(Math.max(...columns)));
    expect(Math.abs(is.shape.light.from - system.shape.light.from)).toBeLessThanOrEqual(1);
  });

  test('the color that one acts on is among those of the brand', () => {
    const derived = derive(system);
    const [first] = modesOf(derived.themes);
    const action = derived.tokenById.get('color.action')?.values[first].css ?? '';
    const near = found.colors.map(({ hex, joined }) =>
      Math.min(...[hex, ...joined].map((one) => differenceOf(one, action as `#${string}`))),
    );
    expect(Math.min(...near)).toBeLessThan(isExact ? 0.01 : 2);
  });
});

describe.each(demoSystems().map((system) => [system.name, system] as const))(
  'drift of %s',
  (_, system) => {
    const derived = derive(system);
    const { again } = built(system, BUILT[0][1]);
    const before = driftOf(system, derived, [readSheet(again.css, 'built.css')]);

    test('finds what was planted, and nothing else that was not there', () => {
      const planted = [
        '.planted-color { color: #ff00aa }',
        '.planted-space { padding: 77px }',
        '.planted-corner { border-radius: 43px }',
      ].join('\n');
      const after = driftOf(system, derived, [readSheet(`${again.css}\n${planted}`, 'built.css')]);
      const keyOf = ({ kind, value, theme }: (typeof after.rows)[number]): string =>
        `${kind} ${value} ${theme}`;
      const known = new Set(before.rows.map(keyOf));
      expect(
        after.rows
          .filter((row) => !known.has(keyOf(row)))
          .map(({ kind, value, match, places }) => [kind, value, match, places.length]),
      ).toEqual([
        ['color', '#ff00aa', 'foreign', 1],
        ['space', '77px', 'foreign', 1],
        ['corner', '43px', 'foreign', 1],
      ]);
      expect(after.all.equal).toBe(before.all.equal);
      expect(after.all.foreign).toBe(before.all.foreign + 3);
    });
  },
);
