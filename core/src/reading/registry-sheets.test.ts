import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { describe, expect, test } from '@jest/globals';
import { derive } from '../derive/derive.ts';
import { sampleDocument } from '../system/sample.ts';
import { driftOf } from './drift.ts';
import { faultsIn } from './faults.ts';
import { inferredFrom } from './inferred.ts';
import type { ProposalId } from './proposal.ts';
import { readSheet } from './read-sheet.ts';
import { sheetsIn } from './sheets-in.ts';

const { resolve } = createRequire(import.meta.url);
const system = sampleDocument();
const derived = derive(system);

/**
 * General style sheets of the registry, with what their own documentation says of them: widths of screens, columns,
 * the widest container, the size of text.
 */
const SHEETS: readonly (readonly [
  path: string,
  said: Partial<Record<ProposalId, string | RegExp>>,
])[] = [
  [
    'bootstrap/dist/css/bootstrap.css',
    {
      breakpoints: '576, 768, 992, 1200, 1400 px',
      columns: '12',
      container: '1320 px',
      scale: /^16 px/,
    },
  ],
  [
    'bulma/css/bulma.css',
    { breakpoints: '769, 1024, 1216, 1408 px', columns: '12', scale: /^16 px/ },
  ],
  ['@picocss/pico/css/pico.css', { breakpoints: '576, 768, 1024, 1280, 1536 px' }],
  ['purecss/build/pure.css', { breakpoints: '480 px' }],
  ['purecss/build/grids-responsive.css', { breakpoints: '568, 768, 1024, 1280, 1920 px' }],
  // Its root is 62.5 %: a rem is ten px there.
  [
    'milligram/dist/milligram.css',
    { breakpoints: '640 px', container: '1120 px', scale: /^16 px/ },
  ],
  ['tachyons/css/tachyons.css', { breakpoints: '480, 960 px' }],
  ['html5-boilerplate/dist/css/style.css', {}],
];

describe.each(SHEETS)('%s', (path, said) => {
  const sheet = readSheet(readFileSync(resolve(path), 'utf8'), path);
  const found = inferredFrom([sheet]);

  test('is read without a fault of ours, and what is proposed of it is what it says of itself', () => {
    expect(sheet.problems).toEqual([]);
    expect(sheet.declarations.length).toBeGreaterThan(30);
    for (const [id, value] of Object.entries(said)) {
      const proposal = found.proposals.find((one) => one.id === id)?.value ?? '';
      if (typeof value === 'string') expect([id, proposal]).toEqual([id, value]);
      else expect(proposal).toMatch(value);
    }
  });

  test('what explains nothing is not proposed, and every share is one', () => {
    for (const { explains, alternatives = [], patch } of found.proposals) {
      expect(patch.length).toBeGreaterThan(0);
      for (const share of [explains, ...alternatives.map((one) => one.explains)]) {
        expect(share).toBeGreaterThan(0);
        expect(share).toBeLessThanOrEqual(1);
      }
    }
  });

  test('its drift from another system adds up, and its faults have places', () => {
    const { rows, all, byKind, byFile } = driftOf(system, derived, [sheet]);
    const sum = (counts: readonly (readonly [string, typeof all])[]): number =>
      counts.reduce((total, [, one]) => total + one.equal + one.near + one.foreign, 0);
    const total = all.equal + all.near + all.foreign;
    expect(rows.reduce((count, { places }) => count + places.length, 0)).toBe(total);
    expect([sum(byKind), sum(byFile)]).toEqual([total, total]);
    for (const { places } of faultsIn([sheet])) expect(places.length).toBeGreaterThan(0);
  });
});

test('a page that is a template of the registry is read with its sheet', () => {
  const text = readFileSync(resolve('html5-boilerplate/dist/index.html'), 'utf8');
  const { sheets, linked } = sheetsIn({ file: 'index.html', text });
  expect(sheets).toEqual([]);
  expect(linked.join(' ')).toContain('style.css');
});
