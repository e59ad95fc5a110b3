import { describe, expect, test } from '@jest/globals';
import { derive } from '../derive/derive.ts';
import { seenElement } from '../reading/seen-element.ts';
import type { SeenElement } from '../reading/seen.ts';
import { sampleDocument } from '../system/sample.ts';
import { proposedOn, wardrobeOf } from './proposed.ts';
import { alikeListSchema, type Wearing } from './wearing.ts';

const system = sampleDocument();
const wardrobe = wardrobeOf(system, derive(system));

const PAGE = '#faf9f6';
const NAVY = '#1b4b66';
const RED = '#c8452b';
const body = seenElement({
  name: 'body',
  box: { left: 0, top: 0, width: 1280, height: 3000 },
  grounds: [PAGE],
});
const words = (said: Partial<SeenElement>): SeenElement =>
  seenElement({
    ...{ signs: 200, hasOwnGround: false, grounds: [PAGE], color: '#222b30' },
    box: { left: 0, top: 0, width: 600, height: 96 },
    ...said,
  });
const text = words({});
const quiet = words({ name: 'p.note', color: '#5d676c', signs: 60 });
const button = (said: Partial<SeenElement>): SeenElement =>
  seenElement({
    ...{ name: 'a.cta', acts: 'link', isLink: true, signs: 12, color: '#ffffff' },
    ...{ grounds: [RED, PAGE], padding: [12, 24, 12, 24], weight: 600 },
    box: { left: 0, top: 0, width: 160, height: 48 },
    ...said,
  });
const base = [body, text, text, text, quiet, button({})];

/** What something takes on a page with the usual things. */
function worn(said: SeenElement, ...under: readonly SeenElement[]): Wearing {
  const seen = [...base, ...under, said];
  const found = proposedOn(seen, wardrobe).find(({ places }) => places.includes(seen.length - 1));
  if (!found) throw new Error('it is of no kind');
  return found.alike.wearing;
}
const tokenOf = ({ values }: Wearing, wanted: string): string | undefined =>
  values.find(({ property }) => property === wanted)?.token;

describe('what a thing of a page takes', () => {
  test.each([1, 2, 3, 4, 5, 6])('a heading of level %i is that one', (level) => {
    expect(worn(words({ name: `h${level}`, level, sizePx: 52 - 6 * level })).classes).toEqual([
      `type-h${level}`,
    ]);
  });

  test.each([
    ['running text', {}, ['type-body']],
    ['larger text', { name: 'p.intro', sizePx: 20 }, ['type-lead']],
    ['smaller text', { name: 'p.small', sizePx: 14 }, ['type-small']],
    ['the smallest', { name: 'p.fine', sizePx: 12 }, ['type-caption']],
    ['code', { name: 'code', sizePx: 15 }, ['type-code']],
    ['what is quoted', { name: 'blockquote' }, ['type-quote']],
    ['words within words', { name: 'strong', weight: 700 }, []],
    ['a bold label', { name: 'div.name', weight: 700 }, ['type-label']],
  ])('%s is known by its size and its place', (_, said, classes) => {
    expect(worn(words(said)).classes).toEqual(classes);
  });

  test('words are of the text, quiet, or links, by their color', () => {
    expect(tokenOf(worn(text), 'color')).toBe('color.text');
    expect(tokenOf(worn(words({ name: 'strong', color: '#33383a', signs: 4 })), 'color')).toBe(
      'color.text',
    );
    expect(tokenOf(worn(quiet), 'color')).toBe('color.quiet');
    const link = words({ name: 'a', acts: 'link', isLink: true, color: '#0b5cad', signs: 12 });
    expect(tokenOf(worn(link), 'color')).toBe('color.link');
  });

  test('on a ground of the brand that says what words have; over a picture they keep their own', () => {
    const band = seenElement({
      name: 'header',
      grounds: [NAVY],
      box: { left: 0, top: 0, width: 1280, height: 400 },
    });
    const onBand = words({ grounds: [NAVY], color: '#ffffff' });
    expect(worn(band).classes).toHaveLength(1);
    expect(worn(band).classes[0]).toMatch(/^on-(?:action|support|accent)$/);
    expect(tokenOf(worn(onBand, band), 'color')).toBeUndefined();
    const picture = { ...band, picture: 'url("data:image/png;base64,AA")' };
    const overPicture = words({ grounds: [NAVY], color: '#ffffff', isOverPicture: true });
    expect(worn(picture).classes).toEqual([]);
    expect(tokenOf(worn(overPicture, picture), 'color')).toBe('own');
  });

  test('a gradient gives way to the ground that it begins with', () => {
    const gradient = seenElement({
      ...{ name: 'header', hasOwnGround: false, grounds: [PAGE], isOverPicture: true },
      picture: `linear-gradient(160deg, rgb(27, 75, 102) 0%, rgb(44, 106, 133) 100%)`,
      box: { left: 0, top: 0, width: 1280, height: 400 },
    });
    const { classes } = worn(gradient);
    expect(classes[0]).toMatch(/^on-/);
    expect(tokenOf(worn(gradient), 'background-image')).toBe('none');
    const above = words({ color: '#ffffff', isOverPicture: true });
    expect(tokenOf(worn(above, gradient), 'color')).toBeUndefined();
  });

  test('buttons by how they stand out, fields and cards by what they are', () => {
    expect(worn(button({})).classes).toEqual(['button']);
    const edged = {
      hasOwnGround: false,
      grounds: [PAGE],
      edges: [
        { px: 2, color: RED },
        { px: 2, color: RED },
      ],
    };
    expect(worn(button({ ...edged, color: RED })).classes).toEqual(['quiet-button']);
    expect(worn(seenElement({ name: 'input', acts: 'field' })).classes).toEqual(['field']);
    const card = seenElement({
      name: 'div.offer',
      grounds: ['#ffffff'],
      padding: [24, 24, 24, 24],
      box: { left: 0, top: 0, width: 300, height: 200 },
    });
    expect(worn(card).classes).toEqual(['card', 'on-surface']);
    // A component has its insets from itself; the room around it is the page’s.
    expect(worn(card).values.filter(({ property }) => property.startsWith('padding'))).toEqual([]);
  });

  test('spaces are the nearest steps, and what is near none stays', () => {
    const { steps } = wardrobe;
    for (const { token, px } of steps) {
      const { values } = worn(words({ name: `p.s${px}`, margin: [0, 0, px * 1.05, 0] }));
      expect(values).toContainEqual({ property: 'margin-block-end', token });
    }
    const far = worn(words({ name: 'p.far', margin: [0, 0, 900, 0] }));
    expect(tokenOf(far, 'margin-block-end')).toBeUndefined();
  });

  test('no status is made of a color that happens to be near one', () => {
    for (const { name, hex } of wardrobe.grounds.filter(({ name: own }) =>
      /success|warning|danger|notice/.test(own),
    )) {
      const band = seenElement({
        name: `section.${name}`,
        grounds: [hex],
        box: { left: 0, top: 0, width: 1280, height: 300 },
      });
      expect(worn(band).classes.join(' ')).not.toMatch(/success|warning|danger|notice/);
    }
  });
});

test('what looks alike is one kind, with all its places, and can be kept', () => {
  const seen = [...base, words({ name: 'p.intro', sizePx: 20 })];
  const kinds = proposedOn(seen, wardrobe);
  expect(kinds.map(({ places }) => places.length)).toContain(3);
  expect(kinds.flatMap(({ places }) => places).toSorted((a, b) => a - b)).toEqual(
    seen.map((_, index) => index),
  );
  expect(alikeListSchema.safeParse(kinds.map(({ alike }) => alike)).success).toBe(true);
});
