import { LANGUAGES, type LanguageCode } from '@garnish/core/fonts/languages';
import type { FontFamily } from '@garnish/core/fonts/family';
import type { Face } from '@garnish/core/system/document';
import { jsonOf, type Patch } from '@garnish/core/system/patch';

/** Takes a face: the whole measured record goes into the document, so that nothing alters it later. */
export const choosing = (face: Face, family: FontFamily): Patch => [
  { op: 'replace', path: `/fonts/roles/${face}/family`, value: jsonOf(family) },
];

export const languageName = (code: LanguageCode): string => LANGUAGES[code].name;
