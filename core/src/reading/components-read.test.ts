import { expect, test } from '@jest/globals';
import { componentsRead, type ReadComponent } from './components-read.ts';
import { readSheet } from './read-sheet.ts';

const read = (css: string): Readonly<Record<string, ReadComponent>> =>
  Object.fromEntries(componentsRead([readSheet(css, 'x.css')]).map((one) => [one.name, one]));

test('components are found by what they are and by how they are called, with their states', () => {
  const { button, field, link, card } = read(`
    .btn { color: red } .btn:hover { color: blue } .btn-quiet { color: red } .btn-quiet:hover { color: blue }
    .btn:focus-visible { color: red } button[disabled] { color: gray } .btn-quiet.is-disabled { color: gray }
    input, select { color: red } input:focus { color: red } input[aria-invalid="true"] { color: red }
    nav a { color: red } a:hover { color: red } .price-card { color: red }`);
  expect(button?.states).toEqual(['hover', 'focus', 'off']);
  expect(button?.missing).toEqual(['pressed']);
  expect(button?.variants).toEqual(['.btn', '.btn-quiet']);
  expect(field?.states).toEqual(['focus', 'wrong']);
  expect(field?.missing).toEqual(['off']);
  expect(link?.missing).toEqual(['focus']);
  expect(card?.rules).toBe(1);
});

test('a rule is of what stands last in it, and print and names that only look alike say nothing', () => {
  const found = read(`.btn .icon { color: red } .btnology { color: red } .cardboard { color: red }
    @media print { .btn { color: red } } .menu .btn { color: red }`);
  expect(found['button']?.rules).toBe(1);
  expect(found['card']).toBeUndefined();
  expect(found['navigation']).toBeUndefined();
});
