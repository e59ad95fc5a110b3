import { describe, expect, test } from '@jest/globals';
import { findingsOf } from '../../checks/checks.ts';
import { firstBytes } from '../../fonts/files.ts';
import { writeCss } from '../../formats/css.ts';
import { withoutFonts } from '../../proof/without-fonts.ts';
import { jsonOf, type Patch } from '../../system/patch.ts';
import { sampleDocument, sampleFamily } from '../../system/sample.ts';
import { derive } from '../derive.ts';
import { firstVisit } from './faces.ts';

const choice = (id: string, weight: number) => ({ family: jsonOf(sampleFamily(id)), weight });

const ownLabel: Patch = [{ op: 'add', path: '/fonts/roles/label', value: choice('karla', 600) }];
const otherPair: Patch = [
  {
    op: 'add',
    path: '/fonts/narrow',
    value: { below: 600, heading: choice('oswald', 500), text: choice('public-sans', 400) },
  },
];

const ids = (patch: Patch): string[] => {
  const document = sampleDocument(patch);
  return findingsOf(document, derive(document)).map(({ id }) => id);
};

describe('a face of their own for labels', () => {
  test('is that of the headings until it is chosen, and is no token', () => {
    const { tokenById } = derive(sampleDocument());
    expect(tokenById.get('type.label.family')?.values.light.reference).toBe('face.heading');
    expect(tokenById.has('face.label')).toBe(false);
  });

  test('changes labels and nothing else, and is delivered', () => {
    const { tokenById, faces, styles } = derive(sampleDocument(ownLabel));
    expect(tokenById.get('type.label.family')?.values.light.reference).toBe('face.label');
    expect(tokenById.get('type.h1.family')?.values.light.reference).toBe('face.heading');
    expect(styles.get('label')?.weight).toBe(600);
    expect(faces.map(({ family }) => family.id).sort()).toEqual(['archivo', 'karla', 'literata']);
  });
});

describe('another pair for narrow screens', () => {
  const document = sampleDocument(otherPair);
  const derived = derive(document);
  const css = writeCss(derived);

  test('is a media query that changes the faces, the weights and the emphasis', () => {
    expect(css).toContain('@media (width < 600px) {\n  :root {\n    --face-heading: "Oswald"');
    expect(css).toContain('    --face-text: "Public Sans", "Public Sans fallback", sans-serif;');
    expect(css).toContain('    --type-h1-weight: 500;');
    // Both are 400: nothing to say.
    expect(css).not.toMatch(/^ {4}--type-body-weight/m);
    // The media query stands after what it changes.
    expect(css.indexOf('@media (width < 600px)')).toBeGreaterThan(css.indexOf('--face-heading'));
  });

  test('is told in the open format beside the usual pair', () => {
    expect(derived.tokenById.get('face.heading')?.values.light.extension).toEqual({
      narrow: {
        below: { value: 600, unit: 'px' },
        value: ['Oswald', 'Oswald fallback', 'sans-serif'],
      },
    });
  });

  test('leaves a first visit with one pair to load, the larger of the two', () => {
    const bytes = (id: string): number =>
      firstBytes(derived.faces.find(({ family }) => family.id === id)?.files ?? []);
    const wide = bytes('archivo') + bytes('literata');
    const narrow = bytes('oswald') + bytes('public-sans');
    expect(firstVisit(derived.faces)).toBe(Math.max(wide, narrow));
    expect(derived.faces.map(({ screens }) => screens)).toEqual([
      'wide',
      'wide',
      'narrow',
      'narrow',
    ]);
  });

  test('swaps in its own fonts on narrow screens', () => {
    const sheet = withoutFonts(document.fonts, derived.faces, 'stand-in');
    expect(sheet).toContain('--face-text: "Literata fallback"');
    expect(sheet).toMatch(/@media \(width < 600px\) .*--face-text: "Public Sans fallback"/);
  });

  test('is checked as the usual one is', () => {
    const lacking: Patch = [
      ...otherPair,
      { op: 'replace', path: '/fonts/narrow/text', value: choice('domine', 350) },
      { op: 'replace', path: '/brief/languages', value: ['en', 'ru'] },
    ];
    const found = ids(lacking);
    expect(found).toContain('language:narrow-text:ru');
    expect(found).toContain('italic:narrow-text');
    expect(found).toContain('weight:narrow-text');
  });
});

test('more than three families are pointed out, three are not', () => {
  expect(ids(ownLabel)).not.toContain('families');
  expect(ids([...ownLabel, ...otherPair])).toContain('families');
});
