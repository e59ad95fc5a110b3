import { describe, expect, test } from '@jest/globals';
import { createFontStack } from '@capsizecss/core';
import { sampleFamilies, sampleFamily } from '../system/sample.ts';
import { fontStack, letterWidthIn } from './family.ts';
import { MOOD_WORDS, moodFit, traitsOf } from './mood.ts';
import { PARTS, rankPairings, rankTrios, SHARES, type PairingBrief } from './pairing.ts';
import { reasonsOf, standingOf } from './pairing-reasons.ts';
import { difference, drawnTogether, structureOf } from './structure.ts';
import { standInFor } from './stand-in.ts';

const brief: PairingBrief = {
  mood: ['steady', 'plain'],
  needs: ['tables', 'emphasis'],
  languages: ['en', 'no'],
  budgetKb: 160,
};
const families = sampleFamilies();
const ranked = rankPairings(families, brief);
const all = ranked.pairings(0, ranked.count);

describe('pairings', () => {
  test('are all pairs of the faces that can set the text, the best first', () => {
    const texts = families.length - ranked.excluded.length;
    expect(all).toHaveLength(families.length * texts);
    const scores = all.map(({ score }) => score);
    expect(scores).toEqual(scores.toSorted((one, other) => other - one));
  });

  test('have parts from 0 to 1, each with a sentence of its own', () => {
    for (const pairing of all.slice(0, 40)) {
      const reasons = reasonsOf(pairing, brief);
      for (const part of PARTS) {
        expect(pairing.parts[part]).toBeGreaterThanOrEqual(0);
        expect(pairing.parts[part]).toBeLessThanOrEqual(1);
        expect(reasons[part].length).toBeGreaterThan(20);
      }
    }
  });

  test('never set the text in a face that lacks what the brief needs, and say why', () => {
    for (const text of new Set(all.map((pairing) => pairing.text))) {
      expect(text.figures).not.toBe('proportional');
      expect(text.files.some(({ style }) => style === 'italic')).toBe(true);
      expect(text.languages).toEqual(expect.arrayContaining(['en', 'no']));
      expect(['display', 'hand']).not.toContain(text.category);
    }
    const why = ranked.excluded.find(({ family }) => family.id === 'unbounded')?.reasons;
    expect(why).toEqual(['has no true italic', 'is a display face, which tires in running text']);
  });

  test('keep a face that is held, whatever it lacks', () => {
    for (const { id } of families) {
      const held = rankPairings(families, brief, { text: id });
      expect([id, held.count]).toEqual([id, families.length]);
      expect(held.pairings(0, held.count).every(({ text }) => text.id === id)).toBe(true);
    }
  });

  test('are the same every time', () => {
    const again = rankPairings(families, brief);
    expect(again.pairings(0, 50).map(({ heading, text }) => [heading.id, text.id])).toEqual(
      ranked.pairings(0, 50).map(({ heading, text }) => [heading.id, text.id]),
    );
  });

  test('of two alike sans faces score less for difference than of a sans over a serif', () => {
    const of = (heading: string, text: string) =>
      all.find((pair) => pair.heading.id === heading && pair.text.id === text)?.parts.difference ??
      NaN;
    expect(of('archivo', 'public-sans')).toBeLessThan(of('archivo', 'literata'));
    expect(of('source-sans-3', 'source-serif-4')).toBeGreaterThanOrEqual(0.8);
  });
});

describe('a pair', () => {
  const structure = (id: string) => structureOf(sampleFamily(id));
  const parts = (heading: string, text: string) =>
    rankPairings(families, brief, { heading, text }).pairings(0, 1)[0]?.parts;

  test('is drawn together only where its makers say so, not for a first word in common', () => {
    expect(drawnTogether(structure('source-sans-3'), structure('source-serif-4'))).toBe(true);
    expect(drawnTogether(structure('roboto'), structure('roboto-slab'))).toBe(true);
    for (const [one, other] of [
      ['dm-sans', 'dm-serif-display'],
      ['libre-franklin', 'libre-baskerville'],
      ['instrument-sans', 'instrument-serif'],
      ['crimson-pro', 'crimson-text'],
    ] as const)
      expect([one, drawnTogether(structure(one), structure(other))]).toEqual([one, false]);
    // Of one kind, two of a group are still too alike.
    expect(drawnTogether(structure('nunito'), structure('nunito-sans'))).toBe(false);
  });

  test('of a face without small letters is compared by its capitals, and says so', () => {
    const found = parts('bebas-neue', 'archivo');
    expect(found?.['x-height']).toBeGreaterThan(0.3);
    expect(found?.['x-height']).toBeLessThan(1);
    const reasons = reasonsOf(
      {
        heading: sampleFamily('bebas-neue'),
        text: sampleFamily('archivo'),
        parts: found ?? SHARES,
      },
      brief,
    );
    expect(reasons['x-height']).toMatch(/^Bebas Neue has no small letters; capitals of/);
  });

  test('of a display face built like the text face is as alike as two text faces are', () => {
    for (const [display, text] of [
      ['bricolage-grotesque', 'schibsted-grotesk'],
      ['gabarito', 'figtree'],
    ] as const)
      expect([display, difference(structure(display), structure(text)) < 0.45]).toEqual([
        display,
        true,
      ]);
    expect(difference(structure('fraunces'), structure('figtree'))).toBeGreaterThan(0.6);
  });

  test('stands apart from the next: few of all lie within five points of the best', () => {
    for (const mood of [[], ['steady', 'plain'], ['elegant'], ['playful', 'vivid']] as const) {
      const found = rankPairings(families, { ...brief, mood });
      const best = found.pairings(0, found.count);
      const near = best.filter(({ score }) => score > (best[0]?.score ?? 1) - 0.05).length;
      expect([mood, near / found.count < 0.015]).toEqual([mood, true]);
      expect((best[0]?.score ?? 0) - (best[59]?.score ?? 1)).toBeGreaterThan(0.035);
    }
  });

  test('for warm, traditional, playful and quiet is not two plain grotesques', () => {
    const mood = ['warm', 'traditional', 'playful', 'quiet'] as const;
    const found = rankPairings(families, { mood, needs: [], languages: ['en'], budgetKb: 200 });
    for (const { heading, text } of found.pairings(0, 40))
      expect([structureOf(heading).construction, structureOf(text).construction]).not.toEqual([
        'sans',
        'sans',
      ]);
  });

  test('says why it stands where it stands, the best and the worst', () => {
    const best = all[0];
    const worst = all.at(-1);
    if (!best || !worst) throw new Error('no pairs');
    for (const pairing of [best, worst]) {
      const said = standingOf(pairing);
      const points = [...said.matchAll(/(\S+) \((\d+) of (\d+)\)/g)];
      expect(points.length).toBeGreaterThanOrEqual(2);
      for (const [, part, gained, most] of points) {
        const known = PARTS.find((one) => one === part);
        if (!known) throw new Error(`no part ${String(part)}`);
        expect(Number(most)).toBe(Math.round(SHARES[known] * 100));
        expect(Number(gained)).toBe(Math.round(SHARES[known] * pairing.parts[known] ** 2 * 100));
      }
    }
    expect(standingOf(worst)).toContain('loses most to');
    // The points add up to the score.
    const sum = PARTS.reduce((total, part) => total + SHARES[part] * best.parts[part] ** 2, 0);
    expect(sum).toBeCloseTo(best.score, 10);
  });
});

describe('trios', () => {
  const trios = rankTrios(families, brief, { heading: 'archivo' });
  const best = trios.pairings(0, 200);

  test('hold one face, have three different families, the best first', () => {
    expect(best).toHaveLength(200);
    for (const { heading, text, label } of best) {
      expect(heading.id).toBe('archivo');
      expect(new Set([heading.id, text.id, label?.id]).size).toBe(3);
      expect(['display', 'hand']).not.toContain(label?.category);
      expect(label?.languages).toEqual(expect.arrayContaining(['en', 'no']));
    }
    const scores = best.map(({ score }) => score);
    expect(scores).toEqual(scores.toSorted((one, other) => other - one));
    // All of three different families, counted the long way round.
    const texts = new Set(all.map(({ text }) => text.id));
    const labels = families.filter(
      ({ category, languages }) =>
        !['display', 'hand'].includes(category) &&
        languages.includes('en') &&
        languages.includes('no'),
    );
    const count = [...texts]
      .filter((text) => text !== 'archivo')
      .flatMap((text) => labels.filter(({ id }) => id !== text && id !== 'archivo')).length;
    expect(trios.count).toBe(count);
  });

  test('cost more bytes than their pair, and are never a clearer difference', () => {
    for (const trio of best.slice(0, 40)) {
      const pair = all.find(
        ({ heading, text }) => heading.id === trio.heading.id && text.id === trio.text.id,
      );
      expect(trio.parts.bytes).toBeLessThanOrEqual(pair?.parts.bytes ?? 0);
      expect(trio.parts.difference).toBeLessThanOrEqual(pair?.parts.difference ?? 0);
      expect(reasonsOf(trio, brief).weights).toMatch(/for labels\.$/);
    }
  });

  test('are refused where nothing is held', () => {
    expect(() => rankTrios(families, brief, {})).toThrow(RangeError);
  });
});

describe('moods', () => {
  test('are carried from 0 to 1', () => {
    for (const family of families)
      for (const word of MOOD_WORDS) {
        expect(moodFit(family, word)).toBeGreaterThanOrEqual(0);
        expect(moodFit(family, word)).toBeLessThanOrEqual(1);
      }
  });

  test('tell a hairline serif from an even mono', () => {
    expect(moodFit(sampleFamily('bodoni-moda'), 'elegant')).toBeGreaterThan(
      moodFit(sampleFamily('overpass-mono'), 'elegant'),
    );
    expect(moodFit(sampleFamily('overpass-mono'), 'technical')).toBeGreaterThan(
      moodFit(sampleFamily('bodoni-moda'), 'technical'),
    );
  });

  test('rest on measured traits: a didone is modulated, a grotesque hardly', () => {
    expect(traitsOf(sampleFamily('bodoni-moda')).modulation).toBeGreaterThan(0.9);
    expect(traitsOf(sampleFamily('archivo')).modulation).toBeLessThan(0.4);
  });
});

describe('a fallback', () => {
  test('of a face with serifs has serifs, whatever its kind', () => {
    for (const family of families) {
      const serifs = ['serif', 'slab'].includes(structureOf(family).construction);
      const stack = fontStack(family);
      expect([family.id, / serif$/.test(stack)]).toEqual([family.id, serifs]);
      if (serifs)
        expect([family.id, standInFor(family, 'en').font.name]).toEqual([
          family.id,
          'Times New Roman',
        ]);
    }
    for (const id of ['playfair-display', 'fraunces', 'dm-serif-display', 'abril-fatface'])
      expect(fontStack(sampleFamily(id))).toMatch(/, serif$/);
  });
});

describe('a stand-in', () => {
  test.each(['archivo', 'literata', 'bitter', 'overpass-mono', 'caveat', 'merriweather'])(
    'for %s is fitted as @capsizecss/core fits it',
    (id) => {
      // @capsizecss/core 4.1, createFontStack, given our widths as the average of each font.
      const family = sampleFamily(id);
      const { font, ...own } = standInFor(family, 'en');
      const { metrics, name } = family;
      const units = metrics.unitsPerEm;
      const { fontFaces } = createFontStack(
        [
          {
            familyName: name,
            ascent: metrics.ascent * units,
            descent: metrics.descent * units,
            lineGap: metrics.lineGap * units,
            unitsPerEm: units,
            xWidthAvg: letterWidthIn(family, 'en') * units,
          },
          {
            familyName: font.name,
            ascent: font.ascent,
            descent: font.descent,
            lineGap: font.lineGap,
            unitsPerEm: font.unitsPerEm,
            xWidthAvg: font.letterWidths.en * font.unitsPerEm,
          },
        ],
        { fontFaceFormat: 'styleObject' },
      );
      const reference = JSON.stringify(fontFaces);
      const percent = (property: string): number =>
        Number(new RegExp(`"${property}":"([\\d.]+)%"`).exec(reference)?.[1] ?? '0') / 100;
      expect(own.sizeAdjust).toBeCloseTo(percent('sizeAdjust'), 3);
      expect(own.ascentOverride).toBeCloseTo(percent('ascentOverride'), 3);
      expect(own.descentOverride).toBeCloseTo(percent('descentOverride'), 3);
      expect(own.lineGapOverride).toBeCloseTo(percent('lineGapOverride'), 3);
    },
  );
});
