import { groupsOf, type Described } from '../system/descriptions.ts';
import type { StyleDocument } from '../system/document.ts';
import { jsonOf, type Patch } from '../system/patch.ts';
import { readDtcg, type ReadDtcg } from './read-dtcg.ts';
import { readProperties } from './read-properties.ts';

/** Reads tokens from whatever holds them: a file of the open token format, or a style sheet with custom properties. */
export function readTokens(text: string): ReadDtcg {
  const plain = plainText(text);
  return isSheet(plain) ? readProperties(plain) : readDtcg(plain);
}

/** Some programs put a mark of the order of bytes before everything; it is no part of the text. */
export const plainText = (text: string): string => text.replace(/^\uFEFF/, '');

/** Whether a text is a style sheet rather than JSON. */
export const isSheet = (text: string): boolean => !/^\s*[[{"]/.test(text) && text.includes('--');

/** What is said of the groups of a file that something was taken from. */
export const groupsTaken = (
  groups: readonly Described[] = [],
  paths: Iterable<string>,
): readonly Described[] => {
  const taken = groupsOf(paths);
  return groups.filter(({ path }) => taken.has(path));
};

/** A whole system is taken over part by part, so that what is equal already stays untouched. */
export const restoring = (now: StyleDocument, next: StyleDocument): Patch =>
  (Object.keys(next) as (keyof StyleDocument)[])
    .filter((part) => JSON.stringify(now[part]) !== JSON.stringify(next[part]))
    .map((part) => ({ op: 'replace', path: `/${part}`, value: jsonOf(next[part]) }));
