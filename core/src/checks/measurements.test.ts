import { describe, expect, test } from '@jest/globals';
import { patched, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import type { Finding } from './finding.ts';
import { MEASUREMENTS, stillMeasured, type Measured } from './measurements.ts';

const SAMPLE = sampleDocument();
const KINDS = Object.keys(MEASUREMENTS) as Measured[];

const after = (patch: Patch) => {
  const result = patched(SAMPLE, patch);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.document;
};

const finding = (decision: string): Finding => ({
  id: decision,
  severity: 'look',
  area: 'space',
  decision,
  title: 'A title',
  figures: '1 px',
  reason: 'A reason.',
  source: 'a source',
  where: { selector: '.site' },
});

const UNIT = finding('/space/unit');
const PAGE = finding('/color/roles/items/page');
const MOVED = after([{ op: 'replace', path: '/space/unit', value: 7 }]);
const PAINTED = after([{ op: 'replace', path: '/color/neutral/tint', value: 0.5 }]);
const NAMED = after([{ op: 'replace', path: '/name', value: 'another' }]);

describe.each(KINDS)('what was measured of %s', (kind) => {
  test('holds for the document that it was measured of, and for one that says the same there', () => {
    const found = [UNIT, PAGE];
    expect(stillMeasured(kind, SAMPLE, found, SAMPLE)).toBe(found);
    const { reads } = MEASUREMENTS[kind];
    const read = reads(SAMPLE);
    if (reads(NAMED).every((part, index) => part === read[index]))
      expect(stillMeasured(kind, SAMPLE, found, NAMED)).toBe(found);
  });

  test('is measured of parts that are there', () => {
    expect(MEASUREMENTS[kind].reads(SAMPLE)).not.toContain(undefined);
    expect(MEASUREMENTS[kind].reads(SAMPLE).length).toBeGreaterThan(0);
  });
});

test('findings of the layout outlive a change that leaves their decision alone', () => {
  expect(stillMeasured('layout', SAMPLE, [UNIT, PAGE], MOVED)).toEqual([PAGE]);
  expect(stillMeasured('layout', SAMPLE, [UNIT, PAGE], PAINTED)).toEqual([UNIT, PAGE]);
});

test('findings of colors end with the colors that they were measured of, and with no other change', () => {
  expect(stillMeasured('colors', SAMPLE, [PAGE], PAINTED)).toEqual([]);
  expect(stillMeasured('colors', SAMPLE, [PAGE], MOVED)).toEqual([PAGE]);
});
