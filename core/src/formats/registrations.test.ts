import { describe, expect, test } from '@jest/globals';
import * as csstree from 'css-tree';
import { derive } from '../derive/derive.ts';
import { sampleDocument } from '../system/sample.ts';
import { writeCss } from './css.ts';
import { registrationOf } from './registrations.ts';
import { writeStepped } from './stepped.ts';

const document = sampleDocument([
  { op: 'add', path: '/tokens/sheet', value: { registered: true, properties: 'rc', layer: 'x' } },
]);
const derived = derive(document);

/** The registrations of a sheet, as an independent parser (css-tree) sees them: all at its top. */
function registeredIn(css: string): ReadonlyMap<string, Readonly<Record<string, string>>> {
  const found = new Map<string, Readonly<Record<string, string>>>();
  const sheet = csstree.parse(css) as csstree.StyleSheet;
  for (const node of sheet.children)
    if (node.type === 'Atrule' && node.name === 'property' && node.prelude && node.block) {
      const says: Record<string, string> = {};
      for (const one of node.block.children)
        if (one.type === 'Declaration') says[one.property] = csstree.generate(one.value);
      found.set(csstree.generate(node.prelude), says);
    }
  return found;
}

test('are made for colors, lengths, times and numbers, by the names of the sheet, once each', () => {
  const css = writeCss(derived, document.tokens.sheet);
  const all = registeredIn(css);
  expect(all.get('--rc-color-page')).toMatchObject({ syntax: '"<color>"', inherits: 'true' });
  expect(all.get('--rc-type-h1-size')).toEqual({
    syntax: '"<length-percentage>"',
    inherits: 'true',
    'initial-value': '0px',
  });
  expect(all.size).toBe(css.match(/@property /g)?.length);
  expect([...all.keys()].every((name) => name.startsWith('--rc-'))).toBe(true);
  // A length in em is meant where it stands; a text style and a shadow are of no such type.
  for (const name of ['space-control-inline', 'type-h1-letter-spacing', 'type-h1-family'])
    expect([name, all.has(`--rc-${name}`)]).toEqual([name, false]);
});

test('of initial values that depend on nothing, as the standard asks', () => {
  for (const [name, says] of registeredIn(writeCss(derived, document.tokens.sheet)))
    expect([name, /var\(|rem|em\b|vi|clamp/.test(says['initial-value'] ?? 'var(')]).toEqual([
      name,
      false,
    ]);
});

test('stand in the stepped sheet too, and in none where nobody asked for them', () => {
  expect(registeredIn(writeStepped(document, derived)).size).toBeGreaterThan(200);
  expect(writeCss(derive(sampleDocument()))).not.toContain('@property');
});

describe('what is registered', () => {
  test.each<[string, readonly string[], string | undefined]>([
    ['color', ['#ffffff', '#000000'], '<color> #ffffff'],
    ['dimension', ['12px'], '<length-percentage> 12px'],
    ['dimension', ['calc(1rem + clamp(0rem, 1vi, 2rem))'], '<length-percentage> 0px'],
    ['dimension', ['1em'], undefined],
    ['dimension', ['min(10px, 8%)'], undefined],
    ['dimension', ['2px', '1ch'], undefined],
    ['dimension', ['clamp(1rem, 1rem + 2cqi, 3rem)'], undefined],
    ['duration', ['200ms'], '<time> 200ms'],
    ['number', ['1.5'], '<number> 1.5'],
    ['number', ['16 / 9'], undefined],
    ['color', ['var(--elsewhere)'], undefined],
    ['shadow', ['0 0 1px #000'], undefined],
  ])('a %s of %j', (type, values, says) => {
    const found = registrationOf({ type }, values);
    expect(found && `${found.syntax} ${found.initial}`).toBe(says);
  });
});
