/** @jest-environment jsdom */
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { sampleDocument } from '@garnish/core/system/sample';
import { DecidedNumber } from './decided-number.tsx';
import { createSystemStore, type SystemStore } from './store.ts';
import { SystemContext, useSystem } from './system-context.ts';
import { useHolding } from './use-holding.ts';

/** What was sent to the server, which never answers. */
const sent: unknown[] = [];
let store: SystemStore;
beforeEach(() => {
  sent.length = 0;
  globalThis.fetch = (_path, { body } = {}) => {
    if (typeof body === 'string') sent.push(JSON.parse(body));
    return new Promise<Response>(() => undefined);
  };
  store = createSystemStore('one', { document: sampleDocument(), sequence: 0 }, [], {
    person: 'me',
    window: 'here',
  });
});
afterEach(() => {
  cleanup();
  store.close();
});

const unit = (): number => store.state().decided.document.space.unit;
const undone = (): number => store.state().stacks.undo.length;

function Unit() {
  useHolding();
  const value = useSystem(({ decided }) => decided.document.space.unit);
  return <DecidedNumber label="unit" path="/space/unit" value={value} step={1} slider />;
}

const show = (): void => {
  render(
    <SystemContext value={store}>
      <Unit />
      <button type="button">elsewhere</button>
    </SystemContext>,
  );
};
const field = (): HTMLElement => screen.getByRole('spinbutton', { name: 'unit' });
const slider = (): HTMLElement => screen.getByRole('slider');
const slideTo = (value: number): void => {
  fireEvent.change(slider(), { target: { value } });
};

describe('a number that is moved by keys', () => {
  test('is seen at once, and taken with Enter, in one step', async () => {
    show();
    await userEvent.type(field(), '{ArrowUp}{ArrowUp}{ArrowUp}');
    expect([unit(), store.state().held, store.state().saving]).toEqual([11, 'keys', 'saved']);
    await userEvent.keyboard('{Enter}');
    expect([unit(), store.state().held, store.state().saving]).toEqual([11, undefined, 'saving']);
    expect(undone()).toBe(1);
  });

  test('is what it was after Escape, which nobody else hears', async () => {
    const before = store.state().decided.document;
    show();
    await userEvent.type(field(), '{ArrowUp}{ArrowUp}');
    let heard = 0;
    addEventListener('keydown', () => (heard += 1), { once: true });
    await userEvent.keyboard('{Escape}');
    expect([unit(), undone(), heard]).toEqual([8, 0, 0]);
    // The very same, so that nothing is derived again.
    expect(store.state().decided.document).toBe(before);
    // There is nothing more to go back to: the next is for what is around it.
    await userEvent.keyboard('{Escape}');
    expect(heard).toBe(1);
  });

  test('is taken when the field is left', async () => {
    show();
    await userEvent.type(field(), '{ArrowUp}');
    await userEvent.tab();
    expect([unit(), store.state().held, undone()]).toEqual([9, undefined, 1]);
  });

  test('is undone before anything else is', async () => {
    show();
    act(() => void store.change([{ op: 'replace', path: '/space/unit', value: 10 }], 'unit'));
    await userEvent.type(field(), '{ArrowUp}');
    expect(unit()).toBe(11);
    act(() => store.undo());
    expect(unit()).toBe(10);
    act(() => store.undo());
    expect(unit()).toBe(8);
  });

  test('written after it was moved, it is two steps', async () => {
    show();
    await userEvent.type(field(), '{ArrowUp}');
    await userEvent.clear(field());
    await userEvent.type(field(), '20{Enter}');
    expect([unit(), store.state().held]).toEqual([20, undefined]);
    act(() => store.undo());
    expect(unit()).toBe(9);
  });
});

describe('a number that is dragged', () => {
  test('is taken when it is released, in one step however long it took', () => {
    show();
    fireEvent.pointerDown(slider());
    for (const value of [9, 10, 11]) slideTo(value);
    expect([unit(), store.state().held]).toEqual([11, 'pointer']);
    fireEvent.pointerUp(slider());
    expect([unit(), store.state().held, undone()]).toEqual([11, undefined, 1]);
  });

  test('goes back with Escape, and stays there until it is released', () => {
    show();
    fireEvent.pointerDown(slider());
    slideTo(12);
    fireEvent.keyDown(slider(), { key: 'Escape' });
    expect(unit()).toBe(8);
    slideTo(14);
    expect(unit()).toBe(8);
    fireEvent.pointerUp(slider());
    expect([unit(), undone()]).toEqual([8, 0]);
    fireEvent.pointerDown(slider());
    slideTo(14);
    fireEvent.pointerUp(slider());
    expect(unit()).toBe(14);
  });

  test('is held by the first button alone, and no longer once keys are used', () => {
    show();
    fireEvent(slider(), new MouseEvent('pointerdown', { button: 2, bubbles: true }));
    slideTo(12);
    expect(store.state().held).toBeUndefined();
    // A pointer that was never heard to be released holds nothing that comes after it.
    fireEvent.pointerDown(slider());
    fireEvent.keyDown(slider(), { key: 'Shift' });
    slideTo(13);
    expect(store.state().held).toBe('pointer');
    fireEvent.keyDown(document.body, { key: ' ' });
    expect(store.state().held).toBeUndefined();
    act(() => void store.change([{ op: 'replace', path: '/space/unit', value: 20 }], 'unit'));
    expect([store.state().held, unit()]).toEqual([undefined, 20]);
  });

  test('takes what keys have moved elsewhere', async () => {
    show();
    await userEvent.type(field(), '{ArrowUp}');
    fireEvent.pointerDown(slider());
    slideTo(12);
    fireEvent.keyDown(slider(), { key: 'Escape' });
    expect(unit()).toBe(9);
  });
});

describe('what is held', () => {
  test('is not sent before it is taken, and what was decided before is', async () => {
    show();
    act(() => void store.change([{ op: 'replace', path: '/space/unit', value: 10 }], 'unit'));
    await userEvent.type(field(), '{ArrowUp}');
    await new Promise((resolve) => setTimeout(resolve, 400));
    expect(sent).toHaveLength(1);
    expect(sent).toMatchObject([{ patch: [{ value: 10 }] }]);
  });

  test('alone sends nothing until it is taken', async () => {
    show();
    await userEvent.type(field(), '{ArrowUp}');
    await new Promise((resolve) => setTimeout(resolve, 400));
    expect(sent).toEqual([]);
    await userEvent.keyboard('{Enter}');
    expect(sent).toMatchObject([{ patch: [{ path: '/space/unit', value: 9 }] }]);
  });

  test('is taken when the system is closed', async () => {
    show();
    await userEvent.type(field(), '{ArrowUp}');
    act(() => store.close());
    expect(sent).toMatchObject([{ patch: [{ value: 9 }] }]);
  });
});
