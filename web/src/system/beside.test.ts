/** @jest-environment jsdom */
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { sampleDocument } from '@garnish/core/system/sample';
import { besideStore } from './beside.ts';
import { createSystemStore, type SystemStore } from './store.ts';

const OUTLINED = [
  { op: 'replace', path: '/components/manner/surface', value: 'outlined' },
] as const;

let store: SystemStore;
beforeEach(() => {
  globalThis.fetch = () => new Promise<Response>(() => undefined);
  store = createSystemStore('one', { document: sampleDocument(), sequence: 0 }, [], {
    person: 'me',
    window: 'here',
  });
});
afterEach(() => store.close());

test('shows the system as if more were decided, and decides nothing', () => {
  const beside = besideStore(store, OUTLINED);
  expect(beside.state().shown.document.components.manner.surface).toBe('outlined');
  expect(beside.state().shown.derived.tokenById.has('button.background')).toBe(false);
  expect(store.state().shown.document.components.manner.surface).toBe('filled');
  expect(beside.state()).toBe(beside.state());
});

test('follows what is decided and what is tried', () => {
  const beside = besideStore(store, OUTLINED);
  let heard = 0;
  beside.subscribe(() => (heard += 1));
  store.change([{ op: 'replace', path: '/name', value: 'Other' }], 'name');
  expect(heard).toBeGreaterThan(0);
  expect(beside.state().shown.document.name).toBe('Other');
  store.tryOut([{ op: 'replace', path: '/name', value: 'Tried' }]);
  expect(beside.state().shown.document.name).toBe('Tried');
  expect(beside.state().shown.document.components.manner.surface).toBe('outlined');
});

test('is the other one where what it would decide does not fit', () => {
  const beside = besideStore(store, [
    { op: 'replace', path: '/components/manner/surface', value: 'glowing' },
  ]);
  expect(beside.state().shown).toBe(store.state().shown);
});
