/** @jest-environment jsdom */
import { afterEach, describe, expect, test } from '@jest/globals';
import { cleanup, render, screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { AREAS } from '@garnish/core/system/areas';
import type { AreaView } from '@garnish/core/system/areas/area';
import { MemoryRouter, useLocation } from 'react-router';
import { useInAddress, useView, Views } from './views.tsx';

afterEach(cleanup);

const Address = () => <output>{useLocation().search}</output>;
const at = (address: string, content: React.ReactNode) =>
  render(
    <MemoryRouter initialEntries={[address]}>
      {content}
      <Address />
    </MemoryRouter>,
  );
const address = (): string => screen.getByRole('status').textContent;

type All = readonly [AreaView, ...(readonly AreaView[])];
const Switch = ({ views }: { readonly views: All }) => {
  const [open, go] = useView(views);
  return <Views label="views" views={views} open={open} onOpen={go} counts={{ roles: 2 }} />;
};
const current = (): string | null =>
  screen.getAllByRole('button').find((one) => one.getAttribute('aria-current') === 'page')
    ?.textContent ?? null;

const SWITCHED = AREAS.filter(({ id }) => id === 'color' || id === 'space').map(
  ({ id, views }) => [id, views as unknown as All] as const,
);

describe.each(SWITCHED)('the views of %s', (_, views) => {
  test.each(views.map((view) => [view.id, view] as const))(
    '%s is opened by its name in the address',
    (id, { name }) => {
      at(`/?view=${id}`, <Switch views={views} />);
      expect(current()).toMatch(new RegExp(`^${name}`));
    },
  );

  test('open by the place of a decision, in the first that decides it', () => {
    for (const { at: places } of views)
      for (const place of places) {
        const deciding = views.find(({ at: own }) =>
          own.some((path) => place === path || place.startsWith(`${path}/`)),
        );
        at(`/?at=${encodeURIComponent(`${place}/items/x`)}`, <Switch views={views} />);
        expect([place, current()]).toEqual([
          place,
          expect.stringMatching(new RegExp(`^${deciding?.name ?? ''}`)),
        ]);
        cleanup();
      }
  });

  test('are each a place of its own', async () => {
    at('/?at=%2Fnothing', <Switch views={views} />);
    expect(current()).toMatch(new RegExp(`^${views[0].name}`));
    const [, , third] = views;
    await userEvent.click(
      screen.getByRole('button', { name: new RegExp(`^${third?.name ?? ''}`) }),
    );
    expect(address()).toBe(`?view=${third?.id ?? ''}`);
  });

  test('tell how many things are to be repaired', () => {
    at('/', <Switch views={views} />);
    expect(screen.getByRole('button', { name: /2 to repair/ }).textContent).toMatch(/^Roles/);
  });
});

test('one of several ways stands in the address under a name of its own, the first without it', async () => {
  const IDS = ['decide', 'table', 'words'] as const;
  const Ways = () => {
    const [way, go] = useInAddress('way', IDS);
    return IDS.map((id) => (
      <button
        key={id}
        type="button"
        aria-current={id === way ? 'page' : undefined}
        onClick={() => go(id)}
      >
        {id}
      </button>
    ));
  };
  at('/?tool=convert&at=%2Ftype', <Ways />);
  expect(current()).toBe('decide');
  await userEvent.click(screen.getByRole('button', { name: 'words' }));
  expect([current(), address()]).toEqual(['words', '?tool=convert&way=words']);
  await userEvent.click(screen.getByRole('button', { name: 'decide' }));
  expect(address()).toBe('?tool=convert');
});
