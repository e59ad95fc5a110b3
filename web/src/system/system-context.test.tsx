/** @jest-environment jsdom */
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { inOrder } from '@garnish/core/system/document';
import type { Patch } from '@garnish/core/system/patch';
import { sampleDocument } from '@garnish/core/system/sample';
import type { ReactNode } from 'react';
import { DecidedChoice } from './decided-choice.tsx';
import { DecidedNumber } from './decided-number.tsx';
import { Items } from './items.tsx';
import { createSystemStore, type SystemStore } from './store.ts';
import {
  Later,
  SystemContext,
  useDecided,
  useShown,
  useSystem,
  useSystemLater,
} from './system-context.ts';
import { useTryList, type Candidate } from './use-try-list.ts';

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
});

const show = (content: ReactNode) => render(<SystemContext value={store}>{content}</SystemContext>);

const set = (path: string, value: string | number): void => {
  act(() => void store.change([{ op: 'replace', path, value }], path));
};
const unit = (): number => store.state().decided.document.space.unit;

describe('a component', () => {
  test('is drawn again only when what it selects is another', () => {
    let drawn = 0;
    const Unit = () => {
      drawn += 1;
      return <p>{useSystem(({ decided }) => decided.document.space.unit)}</p>;
    };
    show(<Unit />);
    set('/name', 'another');
    set('/color/sources/items/brand/value', '#445566');
    expect(drawn).toBe(1);
    set('/space/unit', 5);
    expect([drawn, screen.getByText('5')]).toEqual([2, expect.anything()]);
  });

  test('that selects several things is drawn again when one of them is another', () => {
    let drawn = 0;
    const Several = () => {
      drawn += 1;
      const { document, derived } = useDecided(['space', 'name'], ['ramps']);
      return <p>{`${document.name} ${document.space.unit} ${derived.ramps.size}`}</p>;
    };
    show(<Several />);
    set('/brief/zoom', 400);
    set('/type/anchors/items/wide/base', 21);
    expect(drawn).toBe(1);
    set('/name', 'another');
    set('/space/unit', 5);
    set('/color/sources/items/brand/value', '#445566');
    expect(drawn).toBe(4);
  });

  test('shows what is tried, and what is decided stays', () => {
    const Both = () => {
      const shown = useShown(['space']).document.space.unit;
      const decided = useDecided(['space']).document.space.unit;
      return <p>{`${shown} of ${decided}`}</p>;
    };
    show(<Both />);
    act(() => store.tryOut([{ op: 'replace', path: '/space/unit', value: 5 }]));
    expect(screen.getByText('5 of 8')).toBeTruthy();
    act(() => store.tryOut(undefined));
    expect(screen.getByText('8 of 8')).toBeTruthy();
  });

  test('that may follow later shows the newest in the end, and is not drawn for what says the same', () => {
    const drawn: number[] = [];
    const Follows = () => {
      const now = useSystemLater(({ decided }) => decided.document.space.unit);
      drawn.push(now);
      return <p>{`later ${now}`}</p>;
    };
    show(
      <>
        <Follows />
        <Later select={({ decided }) => decided.document.name}>{(name) => <b>{name}</b>}</Later>
      </>,
    );
    drawn.length = 0;
    // Three movements in one go: those that are overtaken are never drawn.
    act(() => {
      for (const value of [5, 6, 7])
        store.change([{ op: 'replace', path: '/space/unit', value }], 'unit');
    });
    expect(screen.getByText('later 7')).toBeTruthy();
    expect(new Set(drawn)).toEqual(new Set([7]));
    drawn.length = 0;
    set('/name', 'another');
    expect([drawn, screen.getByText('another')]).toEqual([[], expect.anything()]);
  });

  test('that is made later begins with what is there by then', () => {
    set('/space/unit', 5);
    const Follows = () => (
      <p>{`later ${useSystemLater(({ decided }) => decided.document.space.unit)}`}</p>
    );
    show(<Follows />);
    expect(screen.getByText('later 5')).toBeTruthy();
  });
});

describe('a number that is decided', () => {
  const Unit = () => {
    const value = useSystem(({ decided }) => decided.document.space.unit);
    return <DecidedNumber label="unit" path="/space/unit" value={value} step={1} unit="px" />;
  };
  const field = (): HTMLInputElement => screen.getByRole('spinbutton', { name: 'unit' });
  const write = async (text: string): Promise<void> => {
    await userEvent.clear(field());
    await userEvent.type(field(), `${text}{Enter}`);
  };

  test('has the limits of the schema, and changes its place', async () => {
    show(<Unit />);
    expect([field().getAttribute('aria-valuemin'), field().getAttribute('aria-valuemax')]).toEqual([
      '1',
      '400',
    ]);
    await write('401');
    expect(screen.getByRole('alert').textContent).toContain('Between 1 and 400 px.');
    await write('12');
    expect(unit()).toBe(12);
  });

  test('is one step of undo for one burst of keys', async () => {
    show(<Unit />);
    await userEvent.type(field(), '{ArrowUp}{ArrowUp}{ArrowUp}');
    expect(unit()).toBe(11);
    act(() => store.undo());
    expect([unit(), field().value]).toEqual([8, '8']);
  });

  test('says beside its field why a number would not do beside others, and tells nobody else', async () => {
    show(
      <DecidedNumber
        label="wide"
        path="/layout/breakpoints/items/wide/width"
        value={store.state().decided.document.layout.breakpoints.items['wide']?.width ?? 0}
        step={10}
        unit="px"
      />,
    );
    const wide = screen.getByRole('spinbutton', { name: 'wide' });
    await userEvent.clear(wide);
    await userEvent.type(wide, '300{Enter}');
    expect(screen.getByRole('alert').textContent).toMatch(/from the narrowest up/);
    expect(store.state().refused).toBeUndefined();
  });

  test('counts in a unit of its own, and in more than its own place where that is said', async () => {
    const changes: Patch[] = [];
    store.onChange(({ patch }) => changes.push(patch));
    show(
      <DecidedNumber
        label="space on a phone"
        path="/space/limits/phone"
        value={0.5}
        factor={0.01}
        step={5}
        unit="%"
        change={(value) => [
          { op: 'replace', path: '/space/limits/phone', value },
          { op: 'replace', path: '/space/limits/wide', value },
        ]}
      />,
    );
    const percent: HTMLInputElement = screen.getByRole('spinbutton');
    expect(percent.value).toBe('50');
    await userEvent.clear(percent);
    await userEvent.type(percent, '35{Enter}');
    expect(changes).toEqual([
      [
        { op: 'replace', path: '/space/limits/phone', value: 0.35 },
        { op: 'replace', path: '/space/limits/wide', value: 0.35 },
      ],
    ]);
  });

  test('that was left open is added', async () => {
    show(<DecidedNumber label="root" path="/type/root" value={100} step={12.5} unit="%" />);
    await userEvent.type(screen.getByRole('spinbutton'), '{ArrowUp}');
    expect(store.state().decided.document.type.root).toBe(112.5);
    act(() => store.undo());
    expect(store.state().decided.document.type.root).toBeUndefined();
  });
});

test('one of several is a decision of its own', async () => {
  const Scale = () => {
    const value = useSystem(({ decided }) => decided.document.layout.screen);
    const options = (['svh', 'lvh', 'dvh'] as const).map((id) => [id, id] as const);
    return <DecidedChoice label="screen" path="/layout/screen" value={value} options={options} />;
  };
  show(<Scale />);
  await userEvent.selectOptions(screen.getByRole('combobox', { name: 'screen' }), 'lvh');
  expect(store.state().decided.document.layout.screen).toBe('lvh');
});

describe('the things of a collection', () => {
  const Radii = ({ kept }: { readonly kept?: (id: string) => string | undefined }) => {
    const radii = useSystem(({ decided }) => decided.document.shape.radii);
    return (
      <Items
        path="/shape/radii"
        collection={radii}
        what="radius"
        columns="1fr"
        least={1}
        another={() => ({ name: 'another', px: 3 })}
        {...(kept && { kept })}
      >
        {(_, { px }) => <span>{px}</span>}
      </Items>
    );
  };
  const names = (): string[] =>
    inOrder(store.state().decided.document.shape.radii).map(([, { name }]) => name);

  test('are added at the end, named and removed', async () => {
    show(<Radii />);
    const before = names();
    await userEvent.click(screen.getByRole('button', { name: 'Another radius' }));
    expect(names()).toEqual([...before, 'another']);
    const field = screen.getByRole('textbox', { name: 'Name of radius another' });
    await userEvent.clear(field);
    await userEvent.type(field, 'pill{Enter}');
    expect(names().at(-1)).toBe('pill');
    await userEvent.click(screen.getByRole('button', { name: 'Remove radius pill' }));
    expect(names()).toEqual(before);
  });

  test('stay where something says why, in words', () => {
    show(<Radii kept={() => 'stays: a card has it'} />);
    expect(screen.queryByRole('button', { name: /^Remove/ })).toBeNull();
    expect(screen.getAllByText('stays: a card has it').length).toBe(names().length);
  });
});

describe('a list of candidates', () => {
  const candidates: readonly Candidate[] = [4, 5, 6, 7].map((value) => ({
    id: String(value),
    label: `unit ${value}`,
    patch: () => [{ op: 'replace', path: '/space/unit', value }],
  }));
  const List = () => {
    const { press, point, take, active } = useTryList(candidates, '5');
    return (
      <ul role="listbox" aria-label="units" tabIndex={0} onKeyDown={press}>
        {candidates.map((one) => (
          <li
            key={one.id}
            role="option"
            aria-selected={one.id === active}
            onPointerEnter={() => point(one)}
            onClick={() => take(one)}
          >
            {one.id}
          </li>
        ))}
      </ul>
    );
  };
  const shown = (): number => store.state().shown.document.space.unit;
  const press = (key: string): void => {
    fireEvent.keyDown(screen.getByRole('listbox'), { key });
  };

  test('is tried by its arrow keys from what is chosen, and taken with Enter', () => {
    show(<List />);
    press('ArrowDown');
    expect([shown(), unit()]).toEqual([6, 8]);
    press('End');
    press('ArrowUp');
    expect(shown()).toBe(6);
    press('Enter');
    expect([shown(), unit()]).toEqual([6, 6]);
  });

  test('goes back with Escape, and when it is gone', () => {
    const { unmount } = show(<List />);
    press('Home');
    expect(shown()).toBe(4);
    press('Escape');
    expect([shown(), unit()]).toEqual([8, 8]);
    press('Home');
    unmount();
    expect([shown(), unit()]).toEqual([8, 8]);
  });

  test('is tried by pointing that rests, not by passing over it', () => {
    jest.useFakeTimers();
    try {
      show(<List />);
      for (const name of ['4', '6', '7'])
        fireEvent.pointerEnter(screen.getByRole('option', { name }));
      expect(shown()).toBe(8);
      act(() => jest.advanceTimersByTime(100));
      expect(shown()).toBe(7);
    } finally {
      jest.useRealTimers();
    }
    fireEvent.click(screen.getByRole('option', { name: '4' }));
    expect(unit()).toBe(4);
  });
});
