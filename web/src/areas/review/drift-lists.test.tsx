/** @jest-environment jsdom */
import { afterEach, describe, expect, test } from '@jest/globals';
import type { DriftRow } from '@garnish/core/reading/drift';
import type { Fault } from '@garnish/core/reading/faults';
import { cleanup, render, screen, within } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { DriftRows } from './drift-rows.tsx';
import { FaultList } from './fault-list.tsx';

afterEach(cleanup);

const place = (at: number) => ({
  ...{ file: 'site.css', column: 3, line: at, selector: `.part-${at}`, within: ['@media print'] },
  ...{ property: 'color', from: at * 10, to: at * 10 + 4 },
});
const row = (own: Partial<DriftRow> = {}): DriftRow => ({
  ...{ kind: 'color', match: 'near', value: '#1c4d69', theme: 'light', isTaken: false },
  token: { id: 'color.link', property: '--color-link', value: '#1b4b66' },
  away: 'ΔE 0.9',
  places: [place(1)],
  ...own,
});

describe('values that have drifted', () => {
  test('are told with the token they should be, how far they are, and their places when asked', async () => {
    const user = userEvent.setup();
    render(<DriftRows rows={[row({ places: [place(1), place(2)] }), row({ value: '#abcdef' })]} />);
    const [first, second] = screen.getAllByRole('listitem');
    expect(first?.textContent).toContain('--color-link');
    expect(first?.textContent).toContain('ΔE 0.9 off');
    expect(screen.queryByText('site.css:1')).toBeNull();
    const places = screen.getByRole('button', { name: '2 places of #1c4d69' });
    await user.click(places);
    expect(places.getAttribute('aria-expanded')).toBe('true');
    expect(first?.textContent).toContain('.part-2');
    // One is open at a time, and closes as it opened.
    await user.click(screen.getByRole('button', { name: '1 place of #abcdef' }));
    expect(first?.textContent).not.toContain('.part-2');
    await user.click(screen.getByRole('button', { name: '1 place of #abcdef' }));
    expect(second?.textContent).not.toContain('site.css');
  });

  test('that are foreign have no token to be copied; the nearest is named', () => {
    render(<DriftRows rows={[row({ match: 'foreign' }), row({ kind: 'shadow', value: 'x' })]} />);
    expect(screen.getByText('none; color.link is nearest')).toBeTruthy();
    expect(screen.getAllByRole('button', { name: /^Copy var/ })).toHaveLength(1);
  });

  test('that set a token anew say so', () => {
    render(
      <DriftRows
        rows={[
          row({ match: 'foreign', isTaken: true }),
          row({ match: 'foreign', value: '#1c4d6a' }),
        ]}
      />,
    );
    expect(screen.getAllByText('is set to another value')).toHaveLength(1);
    expect(screen.getAllByRole('button', { name: /^Copy var/ })).toHaveLength(1);
  });

  test('are told as none, and cut where there are very many', async () => {
    const { rerender } = render(<DriftRows rows={[]} />);
    expect(screen.getByText('There is none of this kind.')).toBeTruthy();
    rerender(
      <DriftRows
        rows={Array.from({ length: 230 }, (_, at) => row({ value: `#${100000 + at}` }))}
      />,
    );
    expect(screen.getByText(/^and 30 more/)).toBeTruthy();
    // With very many places, the first of them are shown.
    cleanup();
    const many = Array.from({ length: 50 }, (_, at) => place(at));
    render(<DriftRows rows={[row({ places: many })]} />);
    await userEvent.click(screen.getByRole('button', { name: '50 places of #1c4d69' }));
    expect(screen.getByText('and 10 more')).toBeTruthy();
  });
});

describe('faults of sheets', () => {
  const faults: readonly Fault[] = [
    {
      kind: 'nearly the same',
      of: 'color',
      values: ['#1b4b66', '#1c4d69'],
      places: [place(1), place(2)],
    },
    { kind: 'forced', values: ['color: red !important'], places: [place(3)] },
  ];
  test('stand under their kinds with the reason, each with its places', async () => {
    const user = userEvent.setup();
    render(<FaultList faults={faults} />);
    const near = screen.getByRole('list', { name: 'nearly the same', hidden: true });
    expect(near.textContent).toContain('#1b4b66');
    expect(screen.getByText(/probably meant to be one/)).toBeTruthy();
    expect(screen.queryByRole('list', { name: 'full height', hidden: true })).toBeNull();
    const places = within(near).getByRole('button', { name: /^2 places of/, hidden: true });
    await user.click(places);
    expect(near.textContent).toContain('site.css:2');
  });

  test('are nothing where there is none', () => {
    const { container } = render(<FaultList faults={[]} />);
    expect(container.childElementCount).toBe(0);
  });
});
