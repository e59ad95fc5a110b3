import { describe, expect, test } from '@jest/globals';
import { derive } from '../derive/derive.ts';
import type { StyleDocument } from '../system/document.ts';
import { patched, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { freeGroup, incomingOf, ownTokens, takeChosen } from './incoming.ts';
import { readDtcg } from './read-dtcg.ts';
import { readTokens } from './taking.ts';

const number = (value: number) => ({ $type: 'number', $value: value });

const looked = (document: StyleDocument, tree: unknown) => {
  const read = readDtcg(JSON.stringify(tree));
  if (read.kind !== 'tokens') throw new Error(read.kind);
  return incomingOf(document.tokens.custom, ownTokens(document), read.tokens);
};

let count = 0;
const after = (document: StyleDocument, patch: Patch): StyleDocument => {
  const result = patched(document, patch);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.document;
};
const take = (
  document: StyleDocument,
  incoming: ReturnType<typeof looked>,
  chosen: readonly string[],
): StyleDocument =>
  after(
    document,
    takeChosen(
      document.tokens.custom,
      ownTokens(document),
      incoming,
      new Set(chosen),
      'theirs',
      () => `t${(count += 1)}`,
    ).patch,
  );

describe('tokens of a file, looked at before they are taken', () => {
  const first = sampleDocument();
  const before = take(first, looked(first, { old: { a: number(1), b: number(2), c: number(3) } }), [
    'old.a',
    'old.b',
    'old.c',
  ]);
  const incoming = looked(before, {
    old: { a: number(1), b: number(20), d: number(4) },
    color: { page: number(9), more: { $type: 'number', $value: '{color.page}' } },
  });
  const stateOf = new Map(incoming.map((one) => [one.item.path, one]));

  test('are new, changed, the same, or in the way of what the system makes', () => {
    expect(incoming.map(({ item, state }) => [item.path, state])).toEqual([
      ['old.a', 'same'],
      ['old.b', 'changed'],
      ['old.d', 'new'],
      ['color.page', 'conflict'],
      ['color.more', 'new'],
    ]);
    expect(stateOf.get('old.b')).toMatchObject({ now: '2', next: '20' });
    const page = derive(before).colors.get('page')?.colors.light;
    expect(stateOf.get('color.page')).toMatchObject({
      now: page,
      next: '9',
      reason: 'the system has a token of this name',
    });
  });

  test('come in one by one, and nothing that was not chosen', () => {
    const next = take(before, incoming, ['old.b']);
    const values = new Map(derive(next).tokens.map((token) => [token.id, token.values.light.css]));
    expect(['old.a', 'old.b', 'old.c'].map((id) => values.get(id))).toEqual(['1', '20', '3']);
    expect(values.has('old.d')).toBe(false);
    expect(take(before, incoming, [])).toEqual(before);
  });

  test('that are in the way come in under another group, and what refers to them finds them there', () => {
    const next = derive(take(before, incoming, ['color.page', 'color.more']));
    expect(next.tokenById.get('theirs.color.page')?.values.light.css).toBe('9');
    expect(next.tokenById.get('color.more')?.values.light.reference).toBe('theirs.color.page');
    expect(next.tokenById.get('color.page')?.values.light.css).toBe(
      derive(before).tokenById.get('color.page')?.values.light.css,
    );
    // What is not taken leaves its value with what referred to it.
    const alone = derive(take(before, incoming, ['color.more']));
    expect(alone.tokenById.get('color.more')?.values.light).toMatchObject({ css: '9' });
    expect(alone.tokenById.get('color.more')?.values.light.reference).toBeUndefined();
  });

  test('the group for them is one that nothing is called by', () => {
    expect(freeGroup([{ path: 'a.b' }], 'theirs')).toBe('theirs');
    expect(freeGroup([{ path: 'theirs.b' }, { path: 'theirs-2' }], 'theirs')).toBe('theirs-3');
  });
});

test('a mark of the order of bytes before a file is no part of it', () => {
  for (const text of ['{"a": {"$type": "number", "$value": 1}}', ':root { --a: 1 }'])
    expect(readTokens(`\uFEFF${text}`)).toMatchObject({
      kind: 'tokens',
      tokens: [{ path: 'a', type: 'number', value: 1 }],
    });
});
