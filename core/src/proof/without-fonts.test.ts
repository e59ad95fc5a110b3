import { expect, test } from '@jest/globals';
import { derive } from '../derive/derive.ts';
import { LOCAL_FAMILIES } from '../fonts/local-families.ts';
import { jsonOf } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { withoutFonts } from './without-fonts.ts';

const document = sampleDocument();
const { faces } = derive(document);

test('before the fonts have come, each face is its stand-in, fitted or bare', () => {
  expect(withoutFonts(document.fonts, faces, 'stand-in')).toBe(
    ':root:root { --face-heading: "Archivo fallback"; --face-text: "Literata fallback"; }',
  );
  expect(withoutFonts(document.fonts, faces, 'unfitted')).toBe(
    ':root:root { --face-heading: "Arial"; --face-text: "Times New Roman"; }',
  );
});

test('a face of the reader’s own computer is there from the first moment', () => {
  const local = sampleDocument([
    { op: 'replace', path: '/fonts/roles/text/family', value: jsonOf(LOCAL_FAMILIES[0]) },
  ]);
  expect(withoutFonts(local.fonts, derive(local).faces, 'stand-in')).not.toContain('--face-text');
});
