/** @jest-environment jsdom */
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { COMPONENTS } from '@garnish/core/components/components';
import { sampleDocument } from '@garnish/core/system/sample';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { createSystemStore, type SystemStore } from '../../system/store.ts';
import { SystemContext } from '../../system/system-context.ts';
import { Anatomy } from './anatomy.tsx';
import { NarrowNavigation } from './narrow-navigation.tsx';
import { componentAt, isOfComponent, ofDecision, SHOWN } from './of-decision.ts';
import { TryChoice } from './try-choice.tsx';

let store: SystemStore;

beforeEach(() => {
  // The server says nothing: what is shown is what was decided here.
  globalThis.fetch = () => new Promise<Response>(() => undefined);
  store = createSystemStore('one', { document: sampleDocument(), sequence: 0 }, [], {
    person: 'me',
    window: 'here',
  });
});
afterEach(() => {
  cleanup();
  store.close();
  jest.useRealTimers();
});

const show = (content: ReactNode) => render(<SystemContext value={store}>{content}</SystemContext>);
const decided = () => store.state().decided.document.components;
const shown = () => store.state().shown.document.components;
const button = COMPONENTS.find(({ id }) => id === 'button');
if (!button) throw new Error('there is no button');

describe('the component that a place is about', () => {
  test.each([
    ['/components/departures/button.background-hover', 'button'],
    ['/components/departures/quiet-button.ink', 'button'],
    ['/components/departures/more-link.ink', 'link'],
    ['/components/departures/table-row.line-current', 'table'],
    ['/components/narrow', 'navigation'],
    ['/components/narrow/below', 'navigation'],
    ['/components/manner', undefined],
    ['/color/roles/items/action', undefined],
    ['/components/departures/nothing.here', undefined],
    [null, undefined],
  ])('of %s is %s', (path, id) => {
    expect(componentAt(path)?.id).toBe(id);
  });

  test('is one alone for every part that a token stands for', () => {
    for (const own of SHOWN)
      for (const { of } of own.parts ?? [])
        expect([of, SHOWN.filter((one) => isOfComponent(one, of)).map(({ id }) => id)]).toEqual([
          of,
          [own.id],
        ]);
    expect(ofDecision('/components/departures/button.ink')).toBe('button');
    expect(ofDecision('/space/unit')).toBeUndefined();
  });
});

describe('a choice that is tried', () => {
  const choice = () =>
    show(
      <TryChoice
        label="Surface"
        says="surface"
        values={['filled', 'outlined', 'quiet']}
        value={decided().manner.surface}
        path="/components/manner/surface"
      />,
    );
  const of = (name: string) => screen.getByRole('button', { name });

  test('shows what is pointed at after a moment, and goes back when it is left', () => {
    jest.useFakeTimers();
    choice();
    fireEvent.mouseEnter(of('outlined'));
    expect(shown().manner.surface).toBe('filled');
    act(() => {
      jest.advanceTimersByTime(200);
    });
    expect(shown().manner.surface).toBe('outlined');
    expect(decided().manner.surface).toBe('filled');
    fireEvent.mouseLeave(screen.getByRole('group', { name: 'Surface' }));
    expect(shown().manner.surface).toBe('filled');
  });

  test('shows what a key reaches, takes it with Enter, goes back with Escape and can be undone', async () => {
    const user = userEvent.setup();
    choice();
    await user.tab();
    await user.tab();
    expect(document.activeElement?.textContent).toBe('outlined');
    expect(shown().manner.surface).toBe('outlined');
    await user.keyboard('{Escape}');
    expect(shown().manner.surface).toBe('filled');
    await user.tab();
    await user.keyboard('{Enter}');
    expect(decided().manner.surface).toBe('quiet');
    act(() => store.undo());
    expect(decided().manner.surface).toBe('filled');
  });
});

describe('the anatomy of a component', () => {
  const takes = (name: string) => screen.getByRole<HTMLSelectElement>('combobox', { name });

  test('names for every part what it follows, and takes a departure that is let go of again', async () => {
    const user = userEvent.setup();
    show(<Anatomy component={button} mode="light" />);
    expect(takes('button.corner takes').selectedOptions[0]?.textContent).toBe(
      'follows: corner.control',
    );
    await user.selectOptions(takes('button.corner takes'), 'corner.card');
    expect(decided().departures).toEqual({ 'button.corner': 'corner.card' });
    await user.selectOptions(takes('button.corner takes'), 'corner.picture');
    expect(decided().departures).toEqual({ 'button.corner': 'corner.picture' });
    await user.click(screen.getByRole('button', { name: 'let it go' }));
    expect(decided().departures).toEqual({});
    expect(screen.queryByRole('button', { name: 'let it go' })).toBeNull();
  });

  test('offers colors for colors and durations for durations, and nothing else', () => {
    show(<Anatomy component={button} mode="light" />);
    const kinds = (name: string) =>
      new Set([...takes(name).options].slice(1).map(({ value }) => value.split('.')[0]));
    expect(kinds('button.background takes')).toEqual(new Set(['color']));
    expect(kinds('button.lasts takes')).toEqual(new Set(['duration']));
    expect(kinds('button.edge-width takes')).toEqual(new Set(['edge']));
  });

  test('has the parts of the manner alone', () => {
    show(<Anatomy component={button} mode="light" />);
    expect(screen.queryByRole('combobox', { name: 'button.ring-hover takes' })).toBeNull();
    act(
      () =>
        void store.change(
          [{ op: 'replace', path: '/components/manner/states', value: 'edge' }],
          'states edge',
        ),
    );
    expect(takes('button.ring-hover takes')).toBeTruthy();
    expect(screen.queryByRole('combobox', { name: 'button.background-hover takes' })).toBeNull();
  });
});

test('a navigation is put behind a button, its width and words are decided, and it goes back to its row', async () => {
  const user = userEvent.setup();
  show(<NarrowNavigation />);
  const behind = screen.getByRole('checkbox');
  expect(decided().narrow).toBeUndefined();
  await user.click(behind);
  expect(decided().narrow).toEqual({ below: 720, open: 'Menu', close: 'Close' });
  const below = screen.getByRole('spinbutton', { name: 'below' });
  await user.clear(below);
  await user.type(below, '90{Enter}');
  // Narrower than any screen: it says why, and what was decided stays.
  expect(screen.getByRole('alert').textContent).toContain('320');
  expect(decided().narrow?.below).toBe(720);
  await user.clear(below);
  await user.type(below, '640{Enter}');
  expect(decided().narrow?.below).toBe(640);
  const open = screen.getByRole('textbox', { name: 'opens with' });
  await user.clear(open);
  await user.type(open, 'All places{Enter}');
  expect(decided().narrow?.open).toBe('All places');
  await user.click(behind);
  expect(decided().narrow).toBeUndefined();
});
