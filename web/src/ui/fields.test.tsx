/** @jest-environment jsdom */
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { useState } from 'react';
import { ColorField } from './color-field.tsx';
import { LineField } from './line-field.tsx';
import { NameField } from './name-field.tsx';
import { NumberField } from './number-field.tsx';
import { WordsField } from './words-field.tsx';

afterEach(cleanup);

const take = jest.fn();
afterEach(() => {
  take.mockClear();
});

/** A number that keeps what it is given, unless it is 13. */
function Held({ slider = false }: { readonly slider?: boolean }) {
  const [value, setValue] = useState(16);
  return (
    <NumberField
      label="base"
      value={value}
      min={6}
      max={64}
      step={0.5}
      unit="px"
      units={{ rem: 16 }}
      slider={slider}
      decide={(next, gesture) => {
        if (next === 13) return 'Thirteen is taken.';
        take(next, gesture);
        setValue(next);
        return undefined;
      }}
    />
  );
}

const field = (): HTMLInputElement => screen.getByRole('spinbutton', { name: 'base' });
const write = async (text: string): Promise<void> => {
  await userEvent.clear(field());
  await userEvent.type(field(), text);
};
const taken = (): unknown[] => take.mock.calls.map(([value]) => value);

describe('a number', () => {
  test('is taken with Enter, with units and sums', async () => {
    render(<Held />);
    await write('1.5rem{Enter}');
    expect(field().value).toBe('24');
    await write('(4/3)*12{Enter}');
    expect(taken()).toEqual([24, 16]);
  });

  test('is taken when the field is left, and not before', async () => {
    render(<Held />);
    await write('20');
    expect(taken()).toEqual([]);
    await userEvent.tab();
    expect(taken()).toEqual([20]);
  });

  test('is given up with Escape, without a word to what is around it', async () => {
    const around = jest.fn();
    render(
      <div onKeyDown={({ key }) => key === 'Escape' && around()}>
        <Held />
      </div>,
    );
    await write('20{Escape}');
    expect([field().value, around.mock.calls.length]).toEqual(['16', 0]);
    // There is nothing more to give up in it: the next closes what is around it.
    await userEvent.type(field(), '{Escape}');
    expect(around).toHaveBeenCalledTimes(1);
    await userEvent.tab();
    expect(taken()).toEqual([]);
  });

  test.each([
    ['200', 'Between 6 and 64 px. 16 px stays in force.'],
    ['many', '“many” is not a number. 16 px stays in force.'],
    ['3 furlongs', '“furlongs” is not a unit that fits here. 16 px stays in force.'],
    ['13', 'Thirteen is taken. 16 px stays in force.'],
  ])('%s is explained beside the field, and stays as it was written', async (text, words) => {
    render(<Held />);
    await write(`${text}{Enter}`);
    expect(screen.getByRole('alert').textContent).toBe(words);
    expect(field().value).toBe(text);
    expect(field().getAttribute('aria-invalid')).toBe('true');
    expect(field().getAttribute('aria-describedby')).toBe(screen.getByRole('alert').id);
    expect(taken()).toEqual([]);
    await write('18{Enter}');
    expect(screen.queryByRole('alert')).toBeNull();
    expect(taken()).toEqual([18]);
  });

  test('moves by the arrow keys, ten times with Shift, a tenth with Alt, up to its ends', async () => {
    render(<Held />);
    await userEvent.type(field(), '{ArrowUp}{Shift>}{ArrowUp}{/Shift}{Alt>}{ArrowDown}{/Alt}');
    expect(taken()).toEqual([16.5, 21.5, 21.45]);
    for (let press = 0; press < 12; press += 1)
      await userEvent.type(field(), '{Shift>}{ArrowUp}{/Shift}');
    expect(field().value).toBe('64');
    // At its end nothing is taken any more.
    expect(taken().at(-1)).toBe(64);
    expect(taken().filter((value) => value === 64)).toHaveLength(1);
  });

  test('moves on its slider in one gesture, and a wrong draft goes', async () => {
    render(<Held slider />);
    await write('900{Enter}');
    const slider = screen.getByRole('slider', { name: 'base, slider' });
    for (const value of ['20', '21', '22']) fireEvent.change(slider, { target: { value } });
    expect(taken()).toEqual([20, 21, 22]);
    expect(new Set(take.mock.calls.map(([, gesture]) => gesture)).size).toBe(1);
    expect(screen.queryByRole('alert')).toBeNull();
    expect(field().value).toBe('22');
  });

  test('that stays what it is makes no change', async () => {
    render(<Held />);
    await write('16{Enter}');
    expect(taken()).toEqual([]);
  });
});

describe('a name', () => {
  const Named = () => {
    const [name, setName] = useState('sand');
    return (
      <NameField
        label="Name"
        value={name}
        onChange={(next) => {
          take(next);
          setName(next);
        }}
      />
    );
  };
  const named = (): HTMLInputElement => screen.getByRole('textbox', { name: 'Name' });

  test('is taken without the spaces around it', async () => {
    render(<Named />);
    await userEvent.clear(named());
    await userEvent.type(named(), '  wet sand {Enter}');
    expect(taken()).toEqual(['wet sand']);
  });

  test('of nothing is refused in words, and the old one stays', async () => {
    render(<Named />);
    await userEvent.clear(named());
    await userEvent.type(named(), '  {Enter}');
    expect(screen.getByRole('alert').textContent).toContain('It stays “sand”.');
    expect(named().value).toBe('sand');
    await userEvent.type(named(), ' two{Enter}');
    expect(screen.queryByRole('alert')).toBeNull();
  });
});

describe('words', () => {
  test('of a line are taken with Enter once', async () => {
    const { rerender } = render(
      <LineField label="note" placeholder="a note" value="" onChange={take} />,
    );
    await userEvent.type(screen.getByRole('textbox'), 'steady{Enter}');
    rerender(<LineField label="note" placeholder="a note" value="steady" onChange={take} />);
    await userEvent.tab();
    expect(taken()).toEqual(['steady']);
  });

  test('of several lines go on with Enter, and are taken when the field is left', async () => {
    render(<WordsField label="what it is for" value="" onChange={take} />);
    await userEvent.type(screen.getByRole('textbox'), 'one{Enter}two');
    expect(taken()).toEqual([]);
    await userEvent.tab();
    expect(taken()).toEqual(['one\ntwo']);
  });
});

describe('a color', () => {
  const color = (): HTMLInputElement => screen.getByRole('textbox', { name: 'Value' });
  const type = async (text: string): Promise<void> => {
    await userEvent.clear(color());
    await userEvent.type(color(), text);
  };

  test.each([
    ['#1e6b7a', '#1e6b7a', undefined],
    ['rebeccapurple', '#663399', undefined],
    ['rgb(255 0 0)', '#ff0000', undefined],
  ])('%s is taken as CSS means it', async (text, hex, wide) => {
    render(<ColorField label="Value" value="#b5391a" onChange={take} />);
    await type(`${text}{Enter}`);
    expect(take.mock.calls.map(([value, , beyond]) => [value, beyond])).toEqual([[hex, wide]]);
  });

  test('beyond sRGB is kept, with one that stands for it', async () => {
    render(<ColorField label="Value" value="#b5391a" onChange={take} />);
    await type('color(display-p3 1 0 0){Enter}');
    expect(take.mock.calls).toHaveLength(1);
    expect(take.mock.calls[0]?.[2]).toMatch(/display-p3|oklch/);
  });

  test('that cannot be read is explained, and the last stays in force', async () => {
    render(<ColorField label="Value" value="#b5391a" onChange={take} />);
    await type('reddish{Enter}');
    expect(screen.getByRole('alert').textContent).toMatch(/#b5391a stays in force\.$/);
    expect(take).not.toHaveBeenCalled();
    await userEvent.type(color(), '{Escape}');
    expect([color().value, screen.queryByRole('alert')]).toEqual(['#b5391a', null]);
  });
});
