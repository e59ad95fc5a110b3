/** @jest-environment jsdom */
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { Patch } from '@garnish/core/system/patch';
import { sampleDocument } from '@garnish/core/system/sample';
import { cleanup, render, screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { createSystemStore, type SystemStore } from '../../system/store.ts';
import { SystemContext, useSystem } from '../../system/system-context.ts';
import { Wears } from './wears.tsx';

const variants: Patch = [
  {
    op: 'add',
    path: '/components/variants',
    value: {
      order: ['loud', 'still', 'other'],
      items: {
        loud: { name: 'Loud', of: 'button', takes: {} },
        still: { name: 'Still', of: 'quiet-button', takes: {} },
        other: { name: 'Other', of: 'tag', takes: {} },
      },
    },
  },
];

let store: SystemStore;

beforeEach(() => {
  globalThis.fetch = () => new Promise<Response>(() => undefined);
  store = createSystemStore('one', { document: sampleDocument(variants), sequence: 0 }, [], {
    person: 'me',
    window: 'here',
  });
});
afterEach(() => {
  cleanup();
  store.close();
});

function Shown({ there }: { readonly there: ReadonlySet<string> }) {
  const wears = useSystem(({ decided }) => decided.document.content.wears);
  return <Wears path="/content" there={there} wears={wears} />;
}
const show = (...there: readonly string[]) =>
  render(
    <SystemContext value={store}>
      <Shown there={new Set(there)} />
    </SystemContext>,
  );
const worn = () => store.state().decided.document.content.wears;

describe('which variants are worn', () => {
  test('is asked of what is there and has variants alone', () => {
    show('button', 'tabs');
    expect(screen.getAllByRole('combobox').map((one) => one.textContent)).toEqual([
      'the usualLoud',
    ]);
  });

  test('is nothing to ask where no variant follows what is there', () => {
    show('card');
    expect(screen.queryByRole('combobox')).toBeNull();
  });

  test('is one decision each, and none is left where all are usual', async () => {
    show('button', 'quiet-button');
    const [main, quiet] = screen.getAllByRole<HTMLSelectElement>('combobox');
    if (!main || !quiet) throw new Error('nothing to choose');
    await userEvent.selectOptions(main, 'Loud');
    expect(worn()).toEqual({ button: 'loud' });
    await userEvent.selectOptions(quiet, 'Still');
    expect(worn()).toEqual({ button: 'loud', 'quiet-button': 'still' });
    expect(main.value).toBe('loud');
    await userEvent.selectOptions(main, 'the usual');
    expect(worn()).toEqual({ 'quiet-button': 'still' });
    await userEvent.selectOptions(quiet, 'the usual');
    expect(worn()).toBeUndefined();
    store.undo();
    expect(worn()).toEqual({ 'quiet-button': 'still' });
  });

  test('that is gone shows the usual one', () => {
    store.change([{ op: 'add', path: '/content/wears', value: { button: 'gone' } }], 'gone');
    show('button');
    expect(screen.getByRole<HTMLSelectElement>('combobox').value).toBe('');
  });
});
