/** @jest-environment jsdom */
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { COMPONENTS } from '@garnish/core/components/components';
import { jsonOf } from '@garnish/core/system/patch';
import { sampleDocument } from '@garnish/core/system/sample';
import { sectionOf } from '@garnish/core/system/shaping';
import { act, cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { generate, parse, walk } from 'css-tree';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { createSystemStore, type SystemStore } from '../../system/store.ts';
import { SystemContext } from '../../system/system-context.ts';
import { Anatomy } from './anatomy.tsx';
import { Grounds } from './grounds.tsx';
import { Manner } from './manner.tsx';
import { NarrowNavigation } from './narrow-navigation.tsx';
import { componentAt, isOfComponent, ofDecision, SHOWN } from './of-decision.ts';
import { OwnPart } from './own-part.tsx';
import { OwnVariants } from './own-variants.tsx';
import { TakeAway } from '../../proof/take-away.tsx';
import { TryChoice } from '../../system/try-choice.tsx';
import { TwoManners } from './two-manners.tsx';

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

  test('of a variant of one’s own is the one that it follows', () => {
    const variants = {
      order: ['one'],
      items: { one: { name: 'Way', of: 'more-link', takes: {} } },
    };
    expect(componentAt('/components/variants/items/one/name', variants)?.id).toBe('link');
    expect(componentAt('/components/variants/items/gone', variants)).toBeUndefined();
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
        options={['filled', 'outlined', 'quiet'].map((value) => ({ value, name: value }))}
        value={decided().manner.surface}
        onChange={(value) =>
          store.change([{ op: 'replace', path: '/components/manner/surface', value }], value)
        }
      />,
    );
  const of = (name: string) => screen.getByRole('button', { name });

  test('shows what is pointed at after a moment, and goes back when it is left', () => {
    jest.useFakeTimers();
    choice();
    fireEvent.pointerEnter(of('outlined'));
    expect(shown().manner.surface).toBe('filled');
    act(() => {
      jest.advanceTimersByTime(200);
    });
    expect(shown().manner.surface).toBe('outlined');
    expect(decided().manner.surface).toBe('filled');
    fireEvent.pointerLeave(screen.getByRole('group', { name: 'Surface' }));
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
    await user.keyboard('{ArrowRight}{Enter}');
    expect(decided().manner.surface).toBe('quiet');
    act(() => store.undo());
    expect(decided().manner.surface).toBe('filled');
  });
});

describe('the anatomy of a component', () => {
  const takes = (name: string) => screen.getByRole('button', { name: `${name} takes` });
  const anatomy = () =>
    show(
      <MemoryRouter>
        <Anatomy component={button} mode="light" />
      </MemoryRouter>,
    );
  const closed = () => waitFor(() => expect(screen.queryByRole('listbox')).toBeNull());
  /** The names of what a part may take; the list is open afterwards. */
  const offered = async (name: string): Promise<readonly string[]> => {
    await userEvent.click(takes(name));
    return within(screen.getByRole('listbox'))
      .getAllByRole('option')
      .map(({ textContent }) => textContent);
  };

  test('names for every part what it follows, and takes a departure that is let go of again', async () => {
    const user = userEvent.setup();
    anatomy();
    expect(takes('button.corner').textContent).toBe('follows: corner.control');
    expect(await offered('button.corner')).toContain('corner card');
    await user.click(screen.getByRole('option', { name: 'corner card' }));
    expect(decided().departures).toEqual({ 'button.corner': 'corner.card' });
    await closed();
    await offered('button.corner');
    await user.click(screen.getByRole('option', { name: 'corner picture' }));
    expect(decided().departures).toEqual({ 'button.corner': 'corner.picture' });
    await user.click(screen.getByRole('button', { name: /^let it go/ }));
    expect(decided().departures).toEqual({});
    expect(screen.queryByRole('button', { name: /^let it go/ })).toBeNull();
  });

  test('tries what a key reaches, goes back with Escape and takes with Enter', async () => {
    const user = userEvent.setup();
    anatomy();
    await user.click(takes('button.corner'));
    await user.keyboard('{End}');
    expect(Object.keys(shown().departures)).toEqual(['button.corner']);
    expect(decided().departures).toEqual({});
    await user.keyboard('{Escape}');
    expect(shown().departures).toEqual({});
    await closed();
    await user.click(takes('button.corner'));
    await user.keyboard('{End}{Enter}');
    expect(Object.keys(decided().departures)).toEqual(['button.corner']);
  });

  test('offers colors for colors and durations for durations, and nothing else', async () => {
    anatomy();
    const { color, shape } = sampleDocument();
    const names = Object.values(color.roles.items).map(({ name }) => name);
    const colors = await offered('button.background');
    expect(colors.slice(1).toSorted()).toEqual(names.toSorted());
    await userEvent.keyboard('{Escape}');
    const durations = await offered('button.lasts');
    expect(durations.slice(1)).toHaveLength(shape.durations.order.length);
    expect(durations.slice(1).every((name) => name.startsWith('duration '))).toBe(true);
  });

  test('has the parts of the manner alone', () => {
    anatomy();
    expect(screen.queryByRole('button', { name: 'button.ring-hover takes' })).toBeNull();
    act(
      () =>
        void store.change(
          [{ op: 'replace', path: '/components/manner/states', value: 'edge' }],
          'states edge',
        ),
    );
    expect(takes('button.ring-hover')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'button.background-hover takes' })).toBeNull();
  });

  test('names the text roles that its words are set in, and decides its spaces', async () => {
    const user = userEvent.setup();
    anatomy();
    const label = screen.getByRole('link', { name: 'label' });
    expect(label.getAttribute('href')).toContain('type?at=');
    expect(label.closest('li')?.textContent).toContain('.quiet-button');
    await user.selectOptions(
      screen.getByRole('combobox', { name: 'Space inside a button' }),
      'role inset',
    );
    expect(store.state().decided.document.space.parts).toMatchObject({
      'button.inset': { role: 'inset' },
    });
  });
});

describe('what is taken away', () => {
  const texts: string[] = [];
  beforeEach(() => {
    texts.length = 0;
    Object.defineProperty(navigator, 'clipboard', {
      configurable: true,
      value: { writeText: (text: string) => Promise.resolve(texts.push(text)) },
    });
  });

  test('is the HTML of each variant, and rules that name nothing but what stands in them', async () => {
    show(<TakeAway component={button} {...store.state().decided} />);
    fireEvent.click(screen.getByRole('button', { name: 'Copy the HTML of main' }));
    fireEvent.click(screen.getByRole('button', { name: 'Copy the rules of Button' }));
    await act(() => Promise.resolve());
    const [html = '', css = ''] = texts;
    const taken = new DOMParser().parseFromString(html, 'text/html');
    const own = taken.querySelector('button.button');
    expect(own?.textContent).toBe('Send');
    const rules: string[] = [];
    walk(parse(css), {
      visit: 'Rule',
      enter: ({ prelude }) => void rules.push(generate(prelude)),
    });
    expect(rules.length).toBeGreaterThan(20);
    expect(rules).toContain('.button');
    expect(rules.filter((one) => one.startsWith('.nav-link'))).toEqual([]);
    expect(rules.some((one) => one.includes('.button:hover'))).toBe(true);
    expect(
      rules.filter(
        (one) => !one.includes('button') && !/\.(actions|small|large|sign|icon)/.test(one),
      ),
    ).toEqual([]);
  });
});

describe('the manner', () => {
  const manner = () =>
    show(
      <MemoryRouter>
        <Manner />
      </MemoryRouter>,
    );
  const space = () => store.state().decided.document.space.roles.items;

  test('is corners and the room around words too, decided where all else lives by them', async () => {
    const user = userEvent.setup();
    manner();
    const corners = screen.getByRole('group', { name: 'Corners of controls' });
    const other = [...corners.querySelectorAll('button')].find(
      (one) => one.getAttribute('aria-pressed') === 'false',
    );
    await user.click(other ?? corners);
    const { corners: now, radii } = store.state().decided.document.shape;
    expect(radii.items[now.control]?.name).toBe(other?.textContent);
    const sides = screen.getByRole('spinbutton', { name: 'beside words' });
    await user.clear(sides);
    await user.type(sides, '2{Enter}');
    expect(space()['control']).toMatchObject({ value: { kind: 'own', value: 2, unit: 'em' } });
  });

  test('leads to Space where the room is a step there', () => {
    act(
      () =>
        void store.change(
          [
            {
              op: 'replace',
              path: '/space/roles/items/target/value',
              value: {
                kind: 'step',
                step: store.state().decided.document.space.steps.order[0] ?? '',
              },
            },
          ],
          'target by a step',
        ),
    );
    manner();
    expect(screen.queryByRole('spinbutton', { name: 'high at least' })).toBeNull();
    expect(screen.getByRole('link', { name: /high at least/ }).getAttribute('href')).toContain(
      'space?view=roles',
    );
  });
});

describe('variants of one’s own', () => {
  const variants = () => decided().variants;
  const one = () => Object.values(variants()?.items ?? {})[0];

  test('are made, named, take something otherwise, follow again and are taken out', async () => {
    const user = userEvent.setup();
    show(<OwnVariants component={button} mode="light" />);
    const another = screen.getByRole('button', { name: 'Another variant' });
    await user.click(another);
    expect(one()).toEqual({ name: 'own button 1', of: 'button', takes: {} });
    const name = screen.getByRole('textbox', { name: 'Name of variant own button 1' });
    await user.clear(name);
    await user.type(name, 'Booking{Enter}');
    expect(one()?.name).toBe('Booking');
    // It begins as what it follows.
    await user.selectOptions(
      screen.getByRole('combobox', { name: 'What else Booking takes otherwise' }),
      'corner',
    );
    expect(one()?.takes).toEqual({ corner: 'corner.control' });
    await user.click(screen.getByRole('button', { name: 'booking.corner takes' }));
    await user.click(screen.getByRole('option', { name: 'corner picture' }));
    expect(one()?.takes).toEqual({ corner: 'corner.picture' });
    await user.click(screen.getByRole('button', { name: /^let it go/ }));
    expect(one()?.takes).toEqual({});
    await user.selectOptions(
      screen.getByRole('combobox', { name: 'What Booking follows' }),
      'danger-button',
    );
    expect(one()?.of).toBe('danger-button');
    await user.click(another);
    expect(variants()?.order).toHaveLength(2);
    await user.click(screen.getByRole('button', { name: 'Take Booking out' }));
    expect(variants()?.order).toHaveLength(1);
    act(() => store.undo());
    expect(variants()?.order).toHaveLength(2);
  });

  test('an empty name is refused, and the old one stays', async () => {
    const user = userEvent.setup();
    show(<OwnVariants component={button} mode="light" />);
    await user.click(screen.getByRole('button', { name: 'Another variant' }));
    await user.clear(screen.getByRole('textbox', { name: 'Name of variant own button 1' }));
    await user.keyboard('{Enter}');
    expect(one()?.name).toBe('own button 1');
  });

  test('a component that takes nothing says so', () => {
    const points = COMPONENTS.find(({ id }) => id === 'figure');
    if (!points) throw new Error('there is no figure');
    show(<OwnVariants component={points} mode="light" />);
    expect(screen.queryByRole('button')).toBeNull();
  });
});

describe('two manners beside each other', () => {
  test('are the decided one and another, which is taken as one change; focus stays', async () => {
    const user = userEvent.setup();
    show(<TwoManners />);
    const toggle = screen.getByRole('button', { name: 'Another manner beside it' });
    await user.click(toggle);
    expect(toggle.getAttribute('aria-expanded')).toBe('true');
    const surface = screen.getByRole('group', { name: 'Surface beside' });
    expect(within(surface).getByRole('button', { pressed: true }).textContent).toBe('outlined');
    await user.click(within(surface).getByRole('button', { name: 'filled' }));
    // The same as it is: there is nothing to take.
    const take = () =>
      screen.getByRole<HTMLButtonElement>('button', { name: 'Take the other one' });
    expect(take().disabled).toBe(true);
    await user.click(within(surface).getByRole('button', { name: 'quiet' }));
    await user.click(screen.getByRole('button', { name: 'level' }));
    expect(decided().manner).toEqual({ surface: 'filled', states: 'shade' });
    await user.click(take());
    expect(decided().manner).toEqual({ surface: 'quiet', states: 'level' });
    expect(document.activeElement).toBe(toggle);
    act(() => store.undo());
    expect(decided().manner).toEqual({ surface: 'filled', states: 'shade' });
  });
});

describe('the grounds', () => {
  test('are those that the system has, with a picture only where words stand on one', async () => {
    const chosen: string[] = [];
    const grounds = () =>
      show(<Grounds value="page" theme="light" onChange={(id) => chosen.push(id)} />);
    grounds();
    const names = () => screen.getAllByRole('button').map((one) => one.getAttribute('aria-label'));
    expect(names()).toContain('page');
    expect(names()).toContain('action');
    expect(names()).not.toContain('a picture');
    await userEvent.click(screen.getByRole('button', { name: 'surface' }));
    expect(chosen).toEqual(['surface']);
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

describe('a part of one’s own', () => {
  const part = (sections: object): void => {
    const value = { order: ['p'], items: { p: { name: 'Shared', sections } } };
    store.change([{ op: 'add', path: '/content/parts', value: jsonOf(value) }], 'a part');
  };

  test('says what it is put together from, and where it stands', async () => {
    const [page = ''] = store.state().decided.document.content.pages.order;
    part({ order: ['call'], items: { call: sectionOf('call') } });
    const path = `/content/pages/items/${page}/sections`;
    const order = store.state().decided.document.content.pages.items[page]?.sections.order ?? [];
    store.change(
      [
        { op: 'add', path: `${path}/items/use`, value: { kind: 'part', part: 'p' } },
        { op: 'replace', path: `${path}/order`, value: [...order, 'use'] },
      ],
      'used',
    );
    show(
      <MemoryRouter>
        <OwnPart id="p" />
      </MemoryRouter>,
    );
    await waitFor(() => expect(screen.getByRole('link', { name: 'Button' })).toBeTruthy());
    expect(screen.getByRole('link', { name: 'Action band' })).toBeTruthy();
    expect(screen.queryByRole('link', { name: 'Table' })).toBeNull();
    const name = store.state().decided.document.content.pages.items[page]?.name ?? '';
    expect(screen.getByRole('button', { name: `${name} 1` })).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Change its sections in Pages' })).toBeTruthy();
  });

  test('says that it is empty, or that it is gone', () => {
    part({ order: [], items: {} });
    const { unmount } = show(
      <MemoryRouter>
        <OwnPart id="p" />
      </MemoryRouter>,
    );
    expect(screen.getByText('It has no sections yet.')).toBeTruthy();
    unmount();
    show(
      <MemoryRouter>
        <OwnPart id="constructor" />
      </MemoryRouter>,
    );
    expect(screen.getByText('This part is not there any more.')).toBeTruthy();
  });
});
