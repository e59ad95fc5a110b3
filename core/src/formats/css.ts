import type { Derived } from '../derive/derived.ts';
import { sheetCss, sheetOf } from './sheet.ts';

/** The style sheet. The proof is rendered with these very rules. */
export const writeCss = (derived: Pick<Derived, 'faces' | 'groups' | 'rules'>): string =>
  sheetCss(sheetOf(derived));
