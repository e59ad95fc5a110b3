import type { Derived } from '../derive/derived.ts';
import type { Naming } from './naming.ts';
import { namedCss, sheetOf } from './sheet.ts';

/** The style sheet. The proof is rendered with these very rules, by their own names. */
export const writeCss = (
  derived: Pick<Derived, 'faces' | 'groups' | 'rules' | 'themes'>,
  naming?: Naming,
): string => namedCss(sheetOf(derived), naming);
