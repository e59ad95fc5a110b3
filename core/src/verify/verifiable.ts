import type { StyleDocument } from '../system/document.ts';

/** The files whose values a browser can be asked for. */
export const VERIFIABLE = [
  'tokens.css',
  'tokens-stepped.css',
  'utilities.css',
  'tokens.json',
  'tokens-theme.json',
  'tokens-other-theme.json',
  'tokens-flat.json',
  'tokens-nested.json',
  'tokens.csv',
] as const;
export type VerifiableFile = (typeof VERIFIABLE)[number];

/** Those in which there is anything: classes are made where somebody asked for them. */
export const verifiableOf = ({ space }: Pick<StyleDocument, 'space'>): readonly VerifiableFile[] =>
  VERIFIABLE.filter((file) => file !== 'utilities.css' || space.utilities !== undefined);
