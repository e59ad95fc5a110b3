import { describe, expect, test } from '@jest/globals';
import { derive } from '../derive/derive.ts';
import { findingsOf } from '../checks/checks.ts';
import { writeCss } from '../formats/css.ts';
import { FACES } from './document.ts';
import { chosenFaces, FACE_INSTEAD, faceFor, isOptionalFace } from './faces.ts';
import { jsonOf, type Patch } from './patch.ts';
import { sampleDocument } from './sample.ts';

const { fonts } = sampleDocument();
/** A face for something that had none, told apart by its name. */
const own = (face: string, name: string): Patch => [
  {
    op: 'add',
    path: `/fonts/roles/${face}`,
    value: {
      family: jsonOf({
        ...fonts.roles.text.family,
        id: name.toLowerCase().replaceAll(' ', '-'),
        name,
        category: 'mono',
      }),
      weight: 500,
    },
  },
];
const inCode: Patch = [{ op: 'replace', path: '/type/roles/items/code/face', value: 'code' }];

describe('a face that can be left out', () => {
  test.each(FACES.filter(isOptionalFace))('%s is set in another until it has its own', (face) => {
    const instead = FACE_INSTEAD[face];
    expect(faceFor(fonts, face)).toEqual(faceFor(fonts, instead));
    const document = sampleDocument(own(face, 'Equal Widths'));
    expect(faceFor(document.fonts, face)).toMatchObject({
      face,
      path: `/fonts/roles/${face}`,
      choice: { weight: 500, family: { name: 'Equal Widths' } },
    });
    expect(chosenFaces(document.fonts).map((one) => one.face)).toEqual(['heading', 'text', face]);
  });
});

describe('a face for code', () => {
  test('sets what is code, is a token, and is delivered', () => {
    const derived = derive(sampleDocument([...own('code', 'Equal Widths'), ...inCode]));
    expect(derived.styles.get('code')?.family.name).toBe('Equal Widths');
    expect(derived.styles.get('body')?.family.name).toBe(fonts.roles.text.family.name);
    const css = writeCss(derived);
    expect(css).toMatch(/--face-code: "?Equal Widths/);
    expect(css).toContain('--type-code-family: var(--face-code);');
  });

  test('is the text face where there is none', () => {
    const derived = derive(sampleDocument(inCode));
    expect(derived.styles.get('code')?.family.name).toBe(fonts.roles.text.family.name);
    expect(writeCss(derived)).not.toContain('--face-code');
  });

  test('counts for no family too many', () => {
    const document = sampleDocument([
      ...own('label', 'A third family'),
      ...own('code', 'Equal Widths'),
    ]);
    const found = findingsOf(document, derive(document)).map(({ id }) => id);
    expect(found).not.toContain('families');
  });
});
