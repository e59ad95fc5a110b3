/** @jest-environment jsdom */
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { OWN_SIGNS, signDrawing } from '@garnish/core/icons/own-signs';
import { sampleDocument } from '@garnish/core/system/sample';
import { plainName } from '@garnish/core/tokens/token';
import {
  act,
  cleanup,
  fireEvent,
  render,
  renderHook,
  screen,
  waitFor,
  within,
} from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import { SWRConfig } from 'swr';
import { createSystemStore, type SystemStore } from '../../../system/store.ts';
import { SystemContext } from '../../../system/system-context.ts';
import { addressOf, PAGE } from './found-icons.ts';
import { IconsView } from './icons-view.tsx';
import { useFoundIcons } from './use-found-icons.ts';
import { heavierText, saidOf } from './said.ts';

/** A busy machine is waited for; nothing here says how fast anything is. */
const PATIENT = { timeout: 20_000 } as const;

let store: SystemStore;
let asked: string[];
let answers: boolean;

/** As much of an answer as is read; the document without a browser has none of its own. */
const json = (body: unknown): Response =>
  ({ ok: true, status: 200, json: () => Promise.resolve(body) }) as unknown as Response;

const addressIn = (input: RequestInfo | URL): string =>
  typeof input === 'string' ? input : input instanceof URL ? input.href : input.url;

const found = OWN_SIGNS.slice(4, 10).map((sign) => ({
  set: 'one',
  name: sign.id,
  style: 'outlined',
  plain: sign.id === 'check' ? 'tick' : sign.id,
  drawing: signDrawing(sign),
  measures: sign.measures,
}));

const styleOf = (style: string, stroke: number) => ({
  set: 'one',
  name: 'One set',
  style,
  author: 'Anna Rehn',
  license: { title: 'MIT', spdx: 'MIT', url: 'https://example.com' },
  count: 12,
  typical: { ...OWN_SIGNS[0]?.measures, stroke },
  samples: [],
});

beforeEach(() => {
  asked = [];
  answers = true;
  globalThis.ResizeObserver = class {
    observe(): void {
      return undefined;
    }
    unobserve(): void {
      return undefined;
    }
    disconnect(): void {
      return undefined;
    }
  };
  globalThis.fetch = (input) => {
    const address = addressIn(input);
    asked.push(address);
    if (!answers) return Promise.reject(new Error('away'));
    if (address === '/api/icons/sets')
      return Promise.resolve(json([styleOf('heavy', 0.2), styleOf('outlined', 0.0625)]));
    return address.startsWith('/api/icons?')
      ? Promise.resolve(json({ total: found.length, icons: found }))
      : new Promise<Response>(() => undefined);
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

const show = () =>
  render(
    <MemoryRouter>
      <SWRConfig value={{ provider: () => new Map() }}>
        <SystemContext value={store}>
          <IconsView />
        </SystemContext>
      </SWRConfig>
    </MemoryRouter>,
  );
const icons = () => store.state().decided.document.icons;

describe('the icons of a site', () => {
  test('words, kind and set are asked for, a moment after the last key', async () => {
    const user = userEvent.setup();
    show();
    await screen.findByText('6 icons');
    const before = asked.length;
    await user.type(screen.getByRole('searchbox', { name: 'by a word' }), 'harbor');
    await waitFor(() => expect(asked.at(-1)).toContain('words=harbor'));
    expect(asked.length - before).toBeLessThan(4);
    await user.click(screen.getByRole('button', { name: 'filled' }));
    await waitFor(() => expect(asked.at(-1)).toContain('kind=filled'));
  });

  test('a server that says nothing is told, and asked again', async () => {
    answers = false;
    show();
    const again = await screen.findByRole('button', { name: 'Ask again' });
    answers = true;
    fireEvent.click(again);
    expect(await screen.findByText('6 icons')).toBeDefined();
  });

  test('sets are in the order of how their strokes go with the stems', async () => {
    show();
    const table = await screen.findByRole('table');
    const rows = within(table).getAllByRole('row');
    expect(rows[0]?.textContent).toContain('One set, outlined');
    expect(rows[1]?.textContent).toContain('filled');
    fireEvent.click(within(table).getByRole('button', { name: 'Look into One set, outlined' }));
    await waitFor(() => expect(asked.at(-1)).toContain('set=one&style=outlined'));
  });

  test('a set is tried on the whole site, and taken in one step; what it has not stays', async () => {
    const first = found[0];
    globalThis.fetch = (input) => {
      const address = addressIn(input);
      if (address === '/api/icons/sets')
        return Promise.resolve(json([styleOf('heavy', 0.2), styleOf('outlined', 0.0625)]));
      const words = new URLSearchParams(address.split('?')[1]).get('words') ?? '';
      // Of the set everything is there but what is called so.
      const icons =
        words.startsWith('a') || !first
          ? [{ ...first, plain: 'something-else' }]
          : [
              { ...first, plain: `${plainName(words)}-small` },
              { ...first, plain: plainName(words) },
            ];
      return Promise.resolve(json({ total: icons.length, icons }));
    };
    const all = [...store.state().decided.derived.icons.values()];
    const there = all.filter(({ name }) => !name.startsWith('a'));
    expect(there.length).toBeGreaterThan(1);
    show();
    fireEvent.click(await screen.findByRole('button', { name: 'Look into One set, outlined' }));
    const take = await screen.findByRole('button', { name: /^Draw .* from it$/ });
    act(() => take.focus());
    const { shown, decided } = store.state();
    expect(shown.document.icons.named.order).toHaveLength(there.length);
    expect(decided.document.icons.named.order).toHaveLength(0);
    fireEvent.keyDown(take, { key: 'Escape' });
    expect(store.state().shown).toBe(store.state().decided);
    fireEvent.click(take);
    const { named } = icons();
    expect([...named.order].toSorted()).toEqual(there.map(({ id }) => id).toSorted());
    for (const id of named.order)
      expect(named.items[id]).toMatchObject({
        name: all.find((one) => one.id === id)?.name,
        from: { set: 'One set', author: 'Anna Rehn', license: 'MIT' },
      });
    expect(store.state().stacks.undo).toHaveLength(1);
  });

  test('size, stroke, room, place and further sizes are decided once', () => {
    show();
    fireEvent.click(screen.getByRole('button', { name: 'the line' }));
    expect(icons().place).toBe('line');
    fireEvent.click(screen.getByRole('button', { name: 'Another size' }));
    expect(icons().sizes.order).toHaveLength(1);
    const [size = ''] = icons().sizes.order;
    fireEvent.change(screen.getByRole('combobox', { name: /^What large is a multiple of/ }), {
      target: { value: 'step' },
    });
    expect(icons().sizes.items[size]).toMatchObject({ of: 'step', step: expect.any(String) });
  });
});

describe('what is found', () => {
  const query = (words: string) => ({ words, kind: '', from: '', like: undefined });

  test('comes page by page as it is looked at; far pages go', async () => {
    globalThis.fetch = (input) => {
      const address = addressIn(input);
      asked.push(address);
      const from = Number(new URLSearchParams(address.split('?')[1]).get('from'));
      const icons = Array.from({ length: PAGE }, (_, index) => ({
        ...found[0],
        name: `icon-${from + index}`,
      }));
      return Promise.resolve(json({ total: 5000, icons }));
    };
    const { result } = renderHook(() => useFoundIcons(query('a')));
    await waitFor(() => expect(result.current.total).toBe(5000));
    expect(result.current.at(3)?.name).toBe('icon-3');
    expect(result.current.at(4000)).toBeUndefined();
    for (let page = 1; page <= 14; page += 1) {
      act(() => result.current.need(page * PAGE, page * PAGE + 1));
      await waitFor(() => expect(result.current.at(page * PAGE)?.name).toBe(`icon-${page * PAGE}`));
    }
    // What was looked at first has gone: never more than a few hundred drawings are held.
    expect(result.current.at(3)).toBeUndefined();
    expect(result.current.at(13 * PAGE)?.name).toBe(`icon-${13 * PAGE}`);
    const before = asked.length;
    act(() => result.current.need(14 * PAGE, 14 * PAGE + 1));
    expect(asked.length).toBe(before);
  });

  test('an answer that comes late does not win over what was asked after it', async () => {
    const waiting = new Map<string, (total: number) => void>();
    globalThis.fetch = (input) =>
      new Promise((resolve) => {
        waiting.set(addressIn(input), (total) => resolve(json({ total, icons: [] })));
      });
    const { result, rerender } = renderHook(({ words }) => useFoundIcons(query(words)), {
      initialProps: { words: 'first' },
    });
    await waitFor(() => expect(waiting.size).toBe(1), PATIENT);
    rerender({ words: 'second' });
    await waitFor(() => expect(waiting.size).toBe(2), PATIENT);
    const [first, second] = [...waiting.values()];
    act(() => second?.(2));
    await waitFor(() => expect(result.current.total).toBe(2), PATIENT);
    act(() => first?.(1));
    await new Promise((resolve) => setTimeout(resolve, 30));
    expect(result.current.total).toBe(2);
  });
});

test('an address asks for a page, and never for more than words of a sensible length', () => {
  const address = addressOf(
    {
      words: `  ${'x'.repeat(200)}`,
      kind: '',
      from: 'ph/filled, small',
      like: { set: 'a', name: 'b' },
    },
    2,
  );
  const asks = new URLSearchParams(address.split('?')[1]);
  expect(asks.get('words')).toHaveLength(80);
  expect(asks.get('from')).toBe(String(2 * PAGE));
  expect([asks.get('set'), asks.get('style'), asks.get('likeSet')]).toEqual([
    'ph',
    'filled, small',
    'a',
  ]);
  expect(asks.has('kind')).toBe(false);
});

test('what is measured is said in figures on a box of 24', () => {
  const mail = OWN_SIGNS.find(({ id }) => id === 'mail');
  if (!mail) throw new Error('there is no mail');
  expect(saidOf(mail.measures, undefined).slice(0, 3)).toEqual([
    'outlined',
    'stroke 1.5, 100 % even',
    'round ends',
  ]);
  expect(heavierText(0.01)).toBe('as thick as the stems');
  expect(heavierText(-0.25)).toBe('25 % thinner');
});

/** What reads SVG is fetched when it is asked for the first time. */
const FETCHED = { timeout: 20_000 };

describe('what is brought', () => {
  const paste = (text: string): void => {
    fireEvent.change(screen.getByRole('textbox', { name: 'or paste one' }), {
      target: { value: text },
    });
  };

  test('is taken when an SVG is pasted, with what was lost; words are none', async () => {
    show();
    paste('hello');
    expect(icons().named.order).toEqual([]);
    paste('<svg viewBox="0 0 10 10"><path d="M2 2H8V8Z"/><text>a</text></svg>');
    expect(await screen.findByText(/Words were left out/, {}, FETCHED)).toBeDefined();
    expect(Object.values(icons().named.items)[0]).toMatchObject({
      name: 'Pasted',
      measures: { kind: 'filled' },
    });
  });

  test('swaps the drawing of the one that is opened', async () => {
    show();
    fireEvent.click(screen.getByRole('button', { name: 'Send' }));
    paste('<svg viewBox="0 0 10 10"><path d="M2 2H8V8Z"/></svg>');
    await waitFor(() => expect(icons().named.items['send']?.measures.kind).toBe('filled'), FETCHED);
    expect(icons().named.items['send']?.name).toBe('Send');
  });
});
