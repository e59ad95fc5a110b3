/** @jest-environment jsdom */
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { cleanup, render, screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { Lines } from './lines.tsx';

afterEach(cleanup);

const CODE = ['.card {', '  color: red;', '  gap: 1rem;', '}', '', 'a {}'];

/** Puts text on a clipboard that takes it, or does not. */
function setup(write: (text: string) => Promise<void> = () => Promise.resolve()) {
  const user = userEvent.setup();
  const written = jest.spyOn(navigator.clipboard, 'writeText').mockImplementation(write);
  return { user, written };
}
const line = (name: string) => screen.getByRole('button', { name });
const copy = () => screen.getByRole('button', { name: /^Copy/ });
const pressed = () =>
  screen.getAllByRole('button', { pressed: true }).map(({ textContent }) => textContent);

describe('code that is copied by lines', () => {
  test('is copied whole where none is chosen', async () => {
    const { user, written } = setup();
    render(<Lines lines={CODE} label="Code" />);
    await user.click(copy());
    expect(written).toHaveBeenLastCalledWith(CODE.join('\n'));
    expect(await screen.findByText('copied')).toBeTruthy();
  });

  test('one line by a click, more with Shift, both ways; none by a second click', async () => {
    const { user, written } = setup();
    render(<Lines lines={CODE} label="Code" />);
    await user.click(line('gap: 1rem;'));
    await user.keyboard('{Shift>}');
    await user.click(line('.card {'));
    await user.keyboard('{/Shift}');
    expect(pressed()).toEqual(CODE.slice(0, 3));
    expect(copy().textContent).toBe('Copy 3 of 6 lines');
    await user.click(copy());
    expect(written).toHaveBeenLastCalledWith(CODE.slice(0, 3).join('\n'));
    await user.click(line('color: red;'));
    expect(pressed()).toEqual(['  color: red;']);
    await user.click(line('color: red;'));
    expect(copy().textContent).toBe('Copy 6 lines');
  });

  test('forgets what was chosen of another text, and says where nothing can be copied', async () => {
    const { user, written } = setup(() => Promise.reject(new Error('no')));
    const { rerender } = render(<Lines lines={CODE} label="Code" />);
    await user.click(line('}'));
    rerender(<Lines lines={['a', 'a']} label="Code" textOf={(from, to) => `${from} to ${to}`} />);
    await user.click(copy());
    expect(written).toHaveBeenLastCalledWith('0 to 1');
    expect(await screen.findByText('The browser does not allow copying.')).toBeTruthy();
  });

  test('shows the first of very many, and copies all', async () => {
    const { user, written } = setup();
    const many = Array.from({ length: 1000 }, (_, index) => `line ${index}`);
    render(<Lines lines={many} label="Code" />);
    expect(screen.getByText('and 600 more lines')).toBeTruthy();
    await user.click(copy());
    expect(String(written.mock.lastCall?.[0]).split('\n')).toHaveLength(1000);
  });
});
