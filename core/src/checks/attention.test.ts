import { describe, expect, test } from '@jest/globals';
import { salienceOf } from '../image/salience.ts';
import { derive } from '../derive/derive.ts';
import { HIGHEST_PLACE } from '../system/document.ts';
import type { Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { attentionRepairs } from './attention-repairs.ts';
import {
  missed as misses,
  pullsOf,
  type Painted,
  type PaintedScreen,
  type Rgba,
} from './attention.ts';

const WHITE: Rgba = [1, 1, 1, 1];
const INK: Rgba = [0.1, 0.1, 0.12, 1];
const RED: Rgba = [0.8, 0.15, 0.1, 1];
const page: Painted = { left: 0, top: 0, width: 1440, height: 900, ground: WHITE };

interface Said {
  readonly at: string;
  readonly top: number;
  readonly fontPx?: number;
  readonly weight?: number;
  readonly color?: Rgba;
  readonly left?: number;
  readonly chars?: number;
}
/** Words in one line. */
const words = ({
  at,
  top,
  fontPx = 18,
  weight = 400,
  color = INK,
  left = 100,
  chars = 30,
}: Said): Painted => ({
  ...{ left, top, width: 900, height: fontPx * 1.3 },
  words: {
    ...{ color, weight, fontPx },
    ...{ width: fontPx * 0.5 * chars, height: fontPx * 1.3, linePx: fontPx * 1.3 },
  },
  thing: { at, name: at, selector: at },
});
const screen = (painted: readonly Painted[], said: Partial<PaintedScreen> = {}): PaintedScreen => ({
  ...{ page: 'home', widthPx: 1440, heightPx: 900, mode: 'light' },
  painted: [page, ...painted],
  ...said,
});
const missed = (...given: Parameters<typeof misses>) =>
  misses(...given).map(({ finding }) => finding);
const order = (painted: readonly Painted[]): readonly (string | undefined)[] =>
  pullsOf(screen(painted)).map(({ at }) => at);

const meaning = (...intended: readonly string[]): Patch => [
  { op: 'add', path: '/content/pages/items/home/intended', value: intended },
];

describe('what draws the eye more', () => {
  test.each([
    ['larger words', words({ at: '/b', top: 300, fontPx: 64 })],
    ['bolder words', words({ at: '/b', top: 300, weight: 900 })],
    ['words in red', words({ at: '/b', top: 300, color: RED, weight: 700 })],
    [
      'words on a ground of their own',
      { ...words({ at: '/b', top: 300 }), ground: RED, width: 300 },
    ],
  ])('%s than plain ones', (_, other) => {
    expect(order([words({ at: '/a', top: 600 }), other])[0]).toBe('/b');
  });

  test('fainter words draw less, and words like their ground nothing', () => {
    const faint = words({ at: '/faint', top: 300, color: [0.7, 0.7, 0.7, 1] });
    const lost = words({ at: '/lost', top: 100, color: WHITE });
    const pulls = pullsOf(screen([words({ at: '/a', top: 600 }), faint, lost]));
    expect(pulls.map(({ at }) => at)).toEqual(['/a', '/faint', '/lost']);
    expect(pulls[0]?.pull).toBe(1);
    expect(pulls[2]?.pull).toBeLessThan(0.3);
  });

  test('words over a picture count as words, against what is behind them', () => {
    const picture: Painted = {
      ...{ left: 0, top: 200, width: 1440, height: 500 },
      picture: { columns: 1, rows: 1, values: [0.1, 0.12, 0.2] },
      thing: { name: 'a picture', selector: 'img', isPicture: true },
    };
    // Under words it is their ground; beside them it is a thing.
    expect(order([picture, words({ at: '/over', top: 400 })])).toEqual(['/over']);
    expect(order([picture, words({ at: '/below', top: 760 })])).toContain(undefined);
    const light = words({ at: '/light', top: 400, color: WHITE, fontPx: 60, weight: 800 });
    const dark = words({ at: '/dark', top: 400, color: INK, fontPx: 60, weight: 800 });
    const pullOf = (one: Painted, at: string): number =>
      pullsOf(screen([picture, one, words({ at: '/else', top: 800 })])).find((two) => two.at === at)
        ?.pull ?? 0;
    expect(pullOf(light, '/light')).toBeGreaterThan(pullOf(dark, '/dark'));
  });

  test('an empty screen has nothing, one that is of one color too, and no figure is none', () => {
    expect(pullsOf(screen([]))).toEqual([]);
    for (const [widthPx, heightPx] of [
      [1, 1],
      [375, 700],
      [5000, 20],
    ] as const) {
      const pulls = pullsOf(
        screen([words({ at: '/a', top: 0, color: WHITE, left: 0 })], { widthPx, heightPx }),
      );
      for (const { pull } of pulls)
        expect([widthPx, Number.isFinite(pull)]).toEqual([widthPx, true]);
    }
  });

  test('stands where the map of a real picture of the same rectangles has its strongest spot', () => {
    // The same as pixels, for the map that is made of pictures.
    const data = new Uint8ClampedArray(288 * 180 * 4).fill(255);
    for (let y = 60; y < 90; y += 1)
      for (let x = 200; x < 260; x += 1) data.set([204, 38, 26, 255], (y * 288 + x) * 4);
    const [spot] = salienceOf({ data, width: 288, height: 180 }, 1).spots;
    const block: Painted = {
      ...{ left: 1000, top: 300, width: 300, height: 150, ground: RED },
      thing: { at: '/block', name: 'block', selector: 'b' },
    };
    expect(order([words({ at: '/a', top: 700 }), block])[0]).toBe('/block');
    expect([(spot?.x ?? 0) * 1440, (spot?.y ?? 0) * 900].map(Math.round)).toEqual([
      expect.any(Number),
      expect.any(Number),
    ]);
    expect((spot?.x ?? 0) * 1440).toBeGreaterThan(980);
    expect((spot?.x ?? 0) * 1440).toBeLessThan(1320);
  });
});

describe('what is meant to be seen first', () => {
  const title = words({ at: '/title', top: 200, fontPx: 60, weight: 800 });
  const lead = words({ at: '/lead', top: 320, fontPx: 24 });
  // A button: its words on a ground of its own, looked at as a whole.
  const { thing, ...loud } = words({
    at: '/shout',
    top: 600,
    fontPx: 60,
    weight: 900,
    color: WHITE,
  });
  const shout: readonly Painted[] = [
    { ...loud, ground: RED, height: 200 },
    {
      ...{ left: loud.left, top: loud.top, width: loud.width, height: 200 },
      ...(thing && { thing }),
    },
  ];

  test('is told where something else draws more, with both orders and what it is', () => {
    const [found, ...others] = missed(
      screen([title, lead, ...shout]),
      sampleDocument(meaning('/title', '/lead')),
    );
    expect(others).toEqual([]);
    expect(found).toMatchObject({
      title: expect.stringMatching(/^\/title is not seen first on /),
      figures: expect.stringMatching(
        /^on a desktop in light; meant: \/title, \/lead; seen: \/shout 100, \/title \d+/,
      ),
      reason: expect.stringContaining('/shout draws more'),
      where: { selector: '/shout', mode: 'light', widthPx: 1440, page: 'home' },
      decision: '/content/pages/items/home/intended',
    });
  });

  test('is found in its turn: what is meant before it may draw more', () => {
    expect(missed(screen([title, lead]), sampleDocument(meaning('/title', '/lead')))).toEqual([]);
    expect(
      missed(screen([title, lead, ...shout]), sampleDocument(meaning('/shout', '/title', '/lead'))),
    ).toEqual([]);
    const [found] = missed(screen([title, lead]), sampleDocument(meaning('/lead', '/title')));
    expect(found?.title).toMatch(/^\/lead is not seen first/);
  });

  test('below the first screen is not seen first', () => {
    const [found] = missed(screen([title]), sampleDocument(meaning('/far/down')));
    expect(found?.title).toBe(
      `what is gone (below the first screen) is not seen first on ${sampleDocument().content.pages.items['home']?.name ?? ''}`,
    );
    // What is there is called by its words, the logo by its name.
    const place = '/content/footer';
    const [other] = missed(screen([title]), sampleDocument(meaning(place)));
    expect(other?.title).toContain(sampleDocument().content.footer.slice(0, 20));
    expect(missed(screen([title]), sampleDocument(meaning('/layout/logo')))[0]?.title).toMatch(
      /^the logo/,
    );
  });

  test('is asked of pages that say it alone', () => {
    expect(missed(screen(shout), sampleDocument())).toEqual([]);
    expect(missed(screen(shout, { page: '__proto__' }), sampleDocument(meaning('/title')))).toEqual(
      [],
    );
  });

  test('four at once, or none, cannot be meant', () => {
    for (const intended of [[], ['/a', '/b', '/c', '/d'], ['no place']])
      expect(() => sampleDocument(meaning(...intended))).toThrow();
  });
});

describe('changes of size that could mend it', () => {
  const styles = derive(sampleDocument()).styles;
  const labels = (
    found: Parameters<typeof attentionRepairs>[2],
    changes: Patch = [],
  ): readonly string[] =>
    attentionRepairs(sampleDocument(changes), styles, found).map(({ label }) => label);

  test('raise what is missed and lower what draws more, the smallest first', () => {
    // In the sample h3 stands three places up, and body on the base.
    expect(labels([{ meant: 'h3', stronger: 'body' }]).slice(0, 4)).toEqual([
      ...['h3: up 4', 'body: down 1', 'h3: up 5', 'body: down 2'],
    ]);
    expect(labels([{ meant: 'h3', stronger: 'h3' }]).slice(0, 2)).toEqual(['h3: up 4', 'h3: up 5']);
  });

  test('are none for what no place decides, what is locked, and what is no text', () => {
    const sizes: Patch = [{ op: 'add', path: '/type/roles/items/h3/sizes', value: { wide: 40 } }];
    expect(labels([{ meant: 'h3' }], sizes)).toEqual([]);
    const locked: Patch = [{ op: 'add', path: '/brief/locked', value: ['/type/roles/items/h3'] }];
    expect(labels([{ meant: 'h3' }], locked)).toEqual([]);
    expect(labels([{ meant: undefined, stronger: undefined }, { meant: '__proto__' }])).toEqual([]);
  });

  test('go no further than the scale', () => {
    const high: Patch = [
      { op: 'replace', path: '/type/roles/items/h3/place', value: HIGHEST_PLACE - 1 },
    ];
    expect(labels([{ meant: 'h3' }], high)).toEqual([`h3: up ${HIGHEST_PLACE}`]);
  });

  test('say which text style is missed, and which draws more', () => {
    const styled = (one: Painted, style: string): Painted => ({
      ...one,
      ...(one.thing && { thing: { ...one.thing, style } }),
    });
    const [found] = misses(
      screen([
        styled(words({ at: '/title', top: 300 }), 'h2'),
        styled(words({ at: '/b', top: 600, fontPx: 70, weight: 900 }), 'h1'),
      ]),
      sampleDocument(meaning('/title')),
    );
    expect([found?.meant, found?.stronger]).toEqual(['h2', 'h1']);
  });
});
