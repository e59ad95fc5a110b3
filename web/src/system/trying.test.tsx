/** @jest-environment jsdom */
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { sampleDocument } from '@garnish/core/system/sample';
import { createSystemStore, type SystemStore } from './store.ts';
import { SystemContext, useStore, useSystem } from './system-context.ts';
import { TryChoice } from './try-choice.tsx';
import { TrySelect } from './try-select.tsx';
import { triedBy, useTrying } from './use-trying.ts';

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
  jest.useRealTimers();
  cleanup();
  store.close();
});

const unit = (): number => store.state().decided.document.space.unit;
const shown = (): number => store.state().shown.document.space.unit;
const UNITS = [4, 5, 6, 8];

function Units({ as }: { readonly as: 'select' | 'words' | 'buttons' }) {
  const own = useStore();
  const value = useSystem(({ decided }) => decided.document.space.unit);
  const trying = useTrying();
  const decide = (next: number): void => {
    own.change([{ op: 'replace', path: '/space/unit', value: next }], `unit ${next}`);
  };
  if (as === 'select')
    return (
      <TrySelect
        aria-label="unit"
        value={value}
        onChange={({ currentTarget }) => decide(Number(currentTarget.value))}
      >
        {UNITS.map((one) => (
          <option key={one} value={one}>
            {one}
          </option>
        ))}
      </TrySelect>
    );
  if (as === 'words')
    return (
      <TryChoice
        label="unit"
        options={UNITS.map((one) => ({ value: String(one), name: String(one) }))}
        value={String(value)}
        onChange={(word) => decide(Number(word))}
      />
    );
  return UNITS.map((one) => (
    <button key={one} type="button" {...triedBy(trying, () => decide(one))}>
      {one}
    </button>
  ));
}

const show = (as: 'select' | 'words' | 'buttons', onKey?: (key: string) => void) =>
  render(
    <SystemContext value={store}>
      <div onKeyDown={({ key }) => onKey?.(key)}>
        <Units as={as} />
      </div>
    </SystemContext>,
  );
const role = { select: 'option', words: 'button', buttons: 'button' } as const;
const ways = ['select', 'words', 'buttons'] as const;
const of = (as: (typeof ways)[number], name: string) => screen.getByRole(role[as], { name });
/** What leaving is, where. */
const leave = (as: (typeof ways)[number]): void => {
  if (as === 'buttons') fireEvent.pointerLeave(of(as, '5'));
  else fireEvent.pointerLeave(of(as, '5').parentElement as Element);
};

describe.each(ways)('%s', (as) => {
  test('show what pointing rests on, not what it passes, and go back when left', () => {
    jest.useFakeTimers();
    show(as);
    for (const name of ['4', '6', '5']) {
      const option = of(as, name);
      if (as === 'select') fireEvent.pointerOver(option);
      else fireEvent.pointerEnter(option);
    }
    expect(shown()).toBe(8);
    act(() => jest.advanceTimersByTime(100));
    expect([shown(), unit()]).toEqual([5, 8]);
    leave(as);
    expect([shown(), unit()]).toEqual([8, 8]);
  });

  test('show what a key reaches at once, and go back with Escape', () => {
    const keys: string[] = [];
    show(as, (key) => keys.push(key));
    fireEvent.focus(of(as, '6'));
    expect([shown(), unit()]).toEqual([6, 8]);
    fireEvent.keyDown(of(as, '6'), { key: 'Escape' });
    expect([shown(), unit()]).toEqual([8, 8]);
    // The second Escape is for what is around it.
    const before = keys.length;
    fireEvent.keyDown(of(as, '6'), { key: 'Escape' });
    expect(keys.length).toBe(before + 1);
  });

  test('take what is clicked, as one step of undo', async () => {
    show(as);
    if (as === 'select') await userEvent.selectOptions(screen.getByRole('combobox'), '4');
    else await userEvent.click(of(as, '4'));
    expect([shown(), unit()]).toEqual([4, 4]);
    expect(store.state().stacks.undo).toHaveLength(1);
    act(() => store.undo());
    expect([shown(), unit()]).toEqual([8, 8]);
  });

  test('leave nothing tried behind when they are gone', () => {
    const { unmount } = show(as);
    fireEvent.focus(of(as, '6'));
    expect(shown()).toBe(6);
    unmount();
    expect(shown()).toBe(8);
  });
});

test('words in a row are reached by the arrow keys, and end where the row ends', async () => {
  show('words');
  await userEvent.tab();
  await userEvent.keyboard('{ArrowLeft}{ArrowRight}{ArrowDown}');
  expect([document.activeElement?.textContent, shown()]).toEqual(['6', 6]);
  await userEvent.keyboard('{ArrowRight}{ArrowRight}{ArrowRight}');
  expect([document.activeElement?.textContent, shown()]).toEqual(['8', 8]);
  await userEvent.keyboard('{ArrowUp}{Enter}');
  expect(unit()).toBe(6);
});

test('what is chosen already changes nothing', async () => {
  show('words');
  await userEvent.click(of('words', '8'));
  expect(store.state().stacks.undo).toHaveLength(0);
});
