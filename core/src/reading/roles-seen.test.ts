import { describe, expect, test } from '@jest/globals';
import { patched } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { validate } from '../system/validate.ts';
import { rolesSeen } from './roles-seen.ts';
import { seenElement } from './seen-element.ts';
import type { SeenElement } from './seen.ts';

const PAGE = 'rgb(250, 249, 246)';
const body = seenElement({
  name: 'body',
  box: { left: 0, top: 0, width: 1280, height: 3000 },
  grounds: [PAGE],
});
const words = (said: Partial<SeenElement>): SeenElement =>
  seenElement({
    signs: 200,
    hasOwnGround: false,
    grounds: [PAGE],
    box: { left: 0, top: 0, width: 600, height: 96 },
    ...said,
  });
const found = (...elements: readonly SeenElement[]): Readonly<Record<string, string>> =>
  Object.fromEntries(rolesSeen([body, ...elements]).map(({ id, value }) => [id, value]));

describe('roles of colors', () => {
  test('follow from what they do and on how much of the page', () => {
    expect(
      found(
        seenElement({
          name: 'div.card',
          grounds: ['#ffffff'],
          box: { left: 0, top: 0, width: 600, height: 400 },
        }),
        // A band of the brand is no surface.
        seenElement({
          name: 'header',
          grounds: ['#1b4b66'],
          box: { left: 0, top: 0, width: 1280, height: 600 },
        }),
        words({ color: '#222b30' }),
        words({ color: '#4b555a', signs: 260 }),
        words({ color: '#ffffff', grounds: ['#1b4b66'], signs: 900 }),
        words({ color: '#8a1f11', level: 1, sizePx: 40 }),
        words({ color: '#0b5cad', isLink: true, acts: 'link', signs: 20 }),
        words({
          color: '#c8452b',
          isLink: true,
          acts: 'link',
          signs: 90,
          padding: [8, 16, 8, 16],
          edges: [{ px: 1, color: '#c8452b' }],
        }),
        // On the page it is seen as #d9d2c5: 0.2 of this over #faf9f6.
        seenElement({ grounds: [PAGE], edges: [{ px: 1, color: 'rgba(86, 54, 0, 0.2)' }] }),
      ),
    ).toMatchObject({
      page: '#faf9f6',
      surface: '#ffffff',
      text: '#222b30',
      quiet: '#4b555a',
      link: '#0b5cad',
      line: '#d9d2c5',
    });
  });

  test('what is nearly one color counts as one; what stands rarely, is over a picture or shines through is no role', () => {
    const roles = found(
      words({ color: '#222222' }),
      words({ color: '#232323' }),
      words({ color: '#777777', signs: 1 }),
      words({ color: '#999999', isOverPicture: true, signs: 2000 }),
      words({ color: 'rgba(0, 0, 0, 0.5)', signs: 2000 }),
    );
    expect(roles).toMatchObject({ text: '#222222' });
    expect(roles).not.toHaveProperty('quiet');
  });

  test('a dark page is of a site that is dark first; an empty one says nothing but its ground', () => {
    const grounds = ['#10151a'];
    const night = { ...body, grounds };
    const roles = rolesSeen([
      night,
      seenElement({ grounds: ['#1d242b'], box: { left: 0, top: 0, width: 600, height: 400 } }),
      words({ color: '#ffffff', grounds }),
      words({ color: '#9aa7b0', grounds, signs: 90 }),
    ]);
    expect(Object.fromEntries(roles.map(({ id, value }) => [id, value]))).toMatchObject({
      ...{ page: '#10151a', surface: '#1d242b', text: '#ffffff', quiet: '#9aa7b0' },
    });
    const result = patched(
      sampleDocument(),
      roles.flatMap(({ patch }) => patch),
    );
    if (!result.ok) throw new Error(JSON.stringify(result.problems));
    expect(result.document.color.themes).toBe('dark first');
    expect(result.document.color.roles.items['page']?.dark).toEqual({
      ...{ kind: 'own', value: '#10151a' },
    });
    expect(validate(result.document).ok).toBe(true);
    expect(rolesSeen([]).map(({ id, value }) => [id, value])).toEqual([['page', '#ffffff']]);
  });
});

describe('how text is set', () => {
  test('is told of headings level by level, and of text that goes over several lines', () => {
    expect(
      found(
        words({ level: 1, sizePx: 40, lineHeightPx: 44, letterSpacingPx: -0.8 }),
        words({ level: 3, sizePx: 20, lineHeightPx: 26 }),
        words({ lineHeightPx: 26 }),
        words({ lineHeightPx: 26 }),
        // A label in one line, however high its box is by its insets.
        words({ lineHeightPx: 18, padding: [40, 0, 40, 0] }),
        words({ lineHeightPx: undefined }),
      ),
    ).toMatchObject({ 'heading lines': 'h1 1.1, -0.02 em apart; h3 1.3', 'text lines': '1.63' });
  });

  test('with its figures, and what is set otherwise', () => {
    const all = rolesSeen([
      body,
      words({ lineHeightPx: 24 }),
      words({ lineHeightPx: 24 }),
      words({ lineHeightPx: 32, name: 'p.wide', signs: 10 }),
    ]);
    expect(all.find(({ id }) => id === 'text lines')).toMatchObject({
      why: '2 of 3 are set so',
      explains: 2 / 3,
      unexplained: ['2, p.wide'],
    });
  });
});

test('all that is proposed is a decision that a document takes', () => {
  const proposals = rolesSeen([
    body,
    words({ color: '#222b30', letterSpacingPx: 40 }),
    words({ color: '#777777' }),
    words({ level: 2, sizePx: 30, lineHeightPx: 200 }),
    words({ level: 1, sizePx: 40, lineHeightPx: 44, letterSpacingPx: -0.8 }),
    words({ color: '#0b5cad', isLink: true, acts: 'link' }),
    seenElement({ edges: [{ px: 2, color: 'rgb(200, 200, 200)' }] }),
  ]);
  expect(proposals.length).toBeGreaterThan(5);
  const result = patched(
    sampleDocument(),
    proposals.flatMap(({ patch }) => patch),
  );
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  expect(validate(result.document)).toMatchObject({ ok: true });
  expect(result.document.type.roles.items['h2']).not.toHaveProperty('lineHeight', 200 / 30);
});
