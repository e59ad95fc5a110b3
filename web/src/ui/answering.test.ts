import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { answering } from './answering.ts';

interface Scope {
  onmessage?: (event: { readonly data: string }) => void;
  postMessage?: (answer: unknown) => void;
}

describe('a worker', () => {
  const before = Object.getOwnPropertyDescriptor(globalThis, 'self');
  let scope: Scope = {};
  let told: unknown[] = [];
  beforeEach(() => {
    told = [];
    scope = { postMessage: (answer) => told.push(answer) };
    Object.defineProperty(globalThis, 'self', { value: scope, configurable: true });
  });
  afterEach(() => {
    if (before) Object.defineProperty(globalThis, 'self', before);
    else Reflect.deleteProperty(globalThis, 'self');
  });
  const settled = async (count: number): Promise<void> => {
    while (told.length < count) await new Promise((resolve) => setTimeout(resolve, 0));
  };

  test('answers one question after the other, however long each takes', async () => {
    answering<string, { readonly kind: 'found'; readonly of: string }>(async (question, tell) => {
      tell({ kind: 'progress', words: question, done: 0, of: 1 });
      // The first takes the longest.
      for (let turn = 0; turn < (question === 'first' ? 20 : 1); turn += 1)
        await new Promise((resolve) => setTimeout(resolve, 0));
      return { kind: 'found', of: question };
    });
    for (const data of ['first', 'second']) scope.onmessage?.({ data });
    await settled(4);
    expect(told).toEqual([
      { kind: 'progress', words: 'first', done: 0, of: 1 },
      { kind: 'found', of: 'first' },
      { kind: 'progress', words: 'second', done: 0, of: 1 },
      { kind: 'found', of: 'second' },
    ]);
  });

  test('tells what goes wrong in words, and answers the next', async () => {
    answering<string, { readonly kind: 'found' }>((question) => {
      if (question === 'bad') throw new Error('the third line is none');
      return Promise.resolve({ kind: 'found' });
    });
    for (const data of ['bad', 'good']) scope.onmessage?.({ data });
    await settled(2);
    expect(told).toEqual([
      { kind: 'problem', words: 'It could not be read: the third line is none.' },
      { kind: 'found' },
    ]);
  });
});
