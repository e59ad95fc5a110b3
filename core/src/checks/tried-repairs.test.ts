import { describe, expect, test } from '@jest/globals';
import { createDeriver, derive } from '../derive/derive.ts';
import type { StyleDocument } from '../system/document.ts';
import { patched, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { findingsOf } from './checks.ts';
import type { Finding } from './finding.ts';
import { triedRepairs } from './tried-repairs.ts';

function judge() {
  const deriver = createDeriver();
  return (document: StyleDocument) => findingsOf(document, deriver(document));
}

/** What is offered in the end, in the order of the findings. */
const tried = (document: StyleDocument): Finding[] => {
  const last = new Map<string, Finding>();
  for (const one of triedRepairs(document, findingsOf(document, derive(document)), judge()))
    if (one) last.set(one.id, one);
  return [...last.values()];
};

/** Systems with much to repair. */
const ILL: Readonly<Record<string, Patch>> = {
  'a steep ratio': [{ op: 'replace', path: '/type/anchors/items/wide/ratio', value: 1.6 }],
  'a steep ratio on a small base': [
    { op: 'replace', path: '/type/anchors/items/wide/ratio', value: 1.5 },
    { op: 'replace', path: '/type/anchors/items/narrow/base', value: 14 },
  ],
  'levels out of order': [
    { op: 'replace', path: '/type/roles/items/h3/place', value: 1 },
    { op: 'replace', path: '/type/roles/items/h2/place', value: 2 },
  ],
  'a pale brand': [
    { op: 'replace', path: '/color/sources/items/brand/value', value: '#c8b99a' },
    {
      op: 'replace',
      path: '/color/roles/items/quiet/light',
      value: { kind: 'own', value: '#b0a080' },
    },
    {
      op: 'replace',
      path: '/color/roles/items/link/light',
      value: { kind: 'own', value: '#c8b99a' },
    },
  ],
};

describe('repairs that were tried', () => {
  test('move nothing that is locked; others of the same finding are offered still', () => {
    const ill = ILL['a pale brand'] ?? [];
    const offered = (locked: readonly string[]) =>
      tried(
        sampleDocument([
          ...ill,
          ...(locked.length > 0
            ? [{ op: 'add' as const, path: '/brief/locked', value: [...locked] }]
            : []),
        ]),
      ).flatMap(({ repair, ways = [] }) => [...(repair ? [repair] : []), ...ways]);
    const places = (repairs: ReturnType<typeof offered>): readonly string[] =>
      repairs.flatMap(({ patch }) => patch.map(({ path }) => path));
    const quiet = '/color/roles/items/quiet';
    expect(places(offered([])).some((path) => path.startsWith(quiet))).toBe(true);
    const rest = offered([quiet]);
    expect(places(rest).some((path) => path.startsWith(quiet))).toBe(false);
    expect(rest.length).toBeGreaterThan(0);
    expect(offered(['/color', '/type', '/space', '/fonts'])).toEqual([]);
  });

  test.each(Object.keys(ILL))('of %s: each ends its finding and makes nothing worse', (name) => {
    const document = sampleDocument(ILL[name] ?? []);
    const before = findingsOf(document, derive(document));
    expect(before.length).toBeGreaterThan(0);
    const known = new Set(before.map(({ id }) => id));
    const all = tried(document);
    expect(all.map(({ id }) => id)).toEqual(before.map(({ id }) => id));
    for (const { id, repair, ways = [] } of all)
      for (const one of [...(repair ? [repair] : []), ...ways]) {
        const result = patched(document, one.patch);
        if (!result.ok) throw new Error(`${one.label} does not fit`);
        const after = findingsOf(result.document, derive(result.document)).map(
          (finding) => finding.id,
        );
        expect([one.label, after.filter((other) => !known.has(other))]).toEqual([one.label, []]);
        expect([one.label, after.includes(id)]).toEqual([one.label, false]);
      }
  });

  test('of one ratio that causes several findings come before those of each size', () => {
    const document = sampleDocument(ILL['a steep ratio'] ?? []);
    const all = tried(document).filter(({ id }) => /^(zoom|reader):/.test(id));
    expect(all.length).toBeGreaterThan(2);
    const first = all.find(({ repair }) => repair?.label.startsWith('Ratio'))?.repair;
    expect(first?.label).toMatch(/^Ratio 1\.\d+ when wide: ends \d+ findings$/);
    const result = patched(document, first?.patch ?? []);
    if (!result.ok) throw new Error('the ratio does not fit');
    const after = findingsOf(result.document, derive(result.document));
    expect(after.length).toBeLessThan(findingsOf(document, derive(document)).length - 1);
  });

  test('that would make another finding are not offered', () => {
    // h1 held to a size at which the reader's setting reaches it would be smaller than h2.
    const document = sampleDocument(ILL['a steep ratio on a small base'] ?? []);
    const before = findingsOf(document, derive(document));
    const known = new Set(before.map(({ id }) => id));
    const bad = before.filter(({ repair }) => {
      if (!repair) return false;
      const result = patched(document, repair.patch);
      return (
        result.ok &&
        findingsOf(result.document, derive(result.document)).some(({ id }) => !known.has(id))
      );
    });
    expect(bad.length).toBeGreaterThan(0);
    const labels = new Set(
      tried(document).flatMap(({ repair, ways = [] }) =>
        [...(repair ? [repair] : []), ...ways].map(({ label }) => label),
      ),
    );
    for (const { repair } of bad) expect(labels.has(repair?.label ?? '')).toBe(false);
  });

  test('are found though only some of the findings are asked about', () => {
    const document = sampleDocument([
      ...(ILL['a steep ratio'] ?? []),
      { op: 'replace', path: '/fonts/roles/text/weight', value: 950 },
    ]);
    const zoom = findingsOf(document, derive(document)).filter(({ id }) => id.startsWith('zoom:'));
    const last = [...triedRepairs(document, zoom, judge())].filter((one) => one !== undefined);
    expect(last.at(-1)?.repair?.label).toMatch(/^Ratio/);
  });

  test('can be stopped between two tries', () => {
    const document = sampleDocument(ILL['a steep ratio'] ?? []);
    const tries = triedRepairs(document, findingsOf(document, derive(document)), judge());
    expect(tries.next().value).toBeUndefined();
    tries.return(undefined);
    expect(tries.next().done).toBe(true);
  });
});
