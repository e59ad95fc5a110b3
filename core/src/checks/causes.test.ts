import { describe, expect, test } from '@jest/globals';
import { derive } from '../derive/derive.ts';
import { patched, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { acceptedAs, causesOf, endedBy, isToldOf } from './causes.ts';
import { findingsOf } from './checks.ts';
import { causeIdOf, type Finding } from './finding.ts';
import { isAccepted } from './order.ts';
import { triedRepairs } from './tried-repairs.ts';

const PALE: Patch = [
  {
    op: 'replace',
    path: '/color/roles/items/quiet/light',
    value: { kind: 'own', value: '#b0a080' },
  },
];
const STEEP: Patch = [{ op: 'replace', path: '/type/anchors/items/wide/ratio', value: 1.6 }];
const judge = (document: ReturnType<typeof sampleDocument>) =>
  findingsOf(document, derive(document));
const finding = (said: Partial<Finding> = {}): Finding => ({
  id: 'kind:one',
  severity: 'look',
  area: 'color',
  decision: '/color/roles/items/quiet',
  title: 'one',
  figures: '1 of 2',
  reason: 'because',
  source: 'common practice',
  where: { selector: 'p' },
  ...said,
});

describe('findings of one cause', () => {
  test('are told once with all their places, whatever they are many of', () => {
    for (const [name, patch, id] of [
      ['a pale color', PALE, 'contrast of quiet in light'],
      ['a steep scale', STEEP, 'scale too steep'],
    ] as const) {
      const findings = judge(sampleDocument(patch));
      const causes = causesOf(findings);
      const cause = causes.find((one) => one.id === id);
      expect([name, (cause?.places.length ?? 0) >= 4]).toEqual([name, true]);
      expect(causes.length).toBeLessThan(findings.length);
      // Nothing is lost, and nothing told twice.
      expect(causes.flatMap(({ places }) => places.map((place) => place.id)).toSorted()).toEqual(
        findings.map((place) => place.id).toSorted(),
      );
    }
  });

  test('are as serious as the most serious of them, which comes first, and what is to be repaired before the rest', () => {
    const causes = causesOf([
      finding({ id: 'alone:a', decision: '/a' }),
      finding({ id: 'kind:look' }),
      finding({ id: 'kind:repair', severity: 'repair' }),
    ]);
    expect(causes.map(({ severity, places }) => [severity, places.map(({ id }) => id)])).toEqual([
      ['repair', ['kind:repair', 'kind:look']],
      ['look', ['alone:a']],
    ]);
  });

  test('of one place is known by its own name, as it was accepted before; of several by the cause', () => {
    const one = finding();
    expect(causesOf([one]).map(({ id, title }) => [id, title])).toEqual([['kind:one', 'one']]);
    const cause = { id: 'together', title: 'Together' };
    const [both] = causesOf([finding({ cause }), finding({ id: 'kind:two', cause })]);
    expect([both?.id, both?.title]).toEqual(['together', 'Together']);
  });

  test('of another decision, or of another kind, are apart', () => {
    expect(
      causesOf([
        finding(),
        finding({ id: 'kind:b', decision: '/b' }),
        finding({ id: 'other:one' }),
      ]),
    ).toHaveLength(3);
  });

  test('an id without a kind is one by itself, and none is longer than what can be accepted', () => {
    expect(causeIdOf(finding({ id: 'plain' }))).toBe('plain of /color/roles/items/quiet');
    expect(causeIdOf(finding({ decision: `/${'x'.repeat(400)}` }))).toHaveLength(200);
    expect(causesOf([])).toEqual([]);
  });
});

test('one repair ends all places of a pale color, comes first, and says so', () => {
  const document = sampleDocument(PALE);
  const findings = judge(document);
  const tried = new Map(findings.map((one) => [one.id, one]));
  for (const one of triedRepairs(document, findings, judge)) if (one) tried.set(one.id, one);
  const cause = causesOf([...tried.values()]).find(({ id }) => id === 'contrast of quiet in light');
  const [first] = cause?.repairs ?? [];
  if (!cause || !first) throw new Error('no cause');
  expect(endedBy(first, cause.places)).toBe(cause.places.length);
  const after = patched(document, first.patch);
  if (!after.ok) throw new Error('it does not fit');
  const left = new Set(judge(after.document).map(({ id }) => id));
  expect(cause.places.filter(({ id }) => left.has(id))).toEqual([]);
  // What is said to be ended is ended by whatever repair says it.
  for (const repair of cause.repairs) {
    const result = patched(document, repair.patch);
    if (!result.ok) throw new Error('it does not fit');
    const still = new Set(judge(result.document).map(({ id }) => id));
    expect(repair.ends?.filter((id) => still.has(id))).toEqual([]);
  }
});

test('what is accepted with its cause is accepted in every place, also in those that come later', () => {
  const accepting = (id: string): Patch => [
    { op: 'add', path: `/accepted/${id}`, value: { reason: 'the brand says so' } },
  ];
  const document = sampleDocument([...PALE, ...accepting('contrast of quiet in light')]);
  const quiet = judge(document).filter(({ cause }) => cause?.id === 'contrast of quiet in light');
  expect(quiet.length).toBeGreaterThan(3);
  expect(quiet.every((one) => isAccepted(document, one))).toBe(true);
  const [cause] = causesOf(quiet);
  if (!cause) throw new Error('no cause');
  expect(acceptedAs(document, cause)).toEqual(['contrast of quiet in light']);
  // One that was accepted by itself stays so alone.
  const [first, second] = quiet as [Finding, Finding];
  const alone = sampleDocument([...PALE, ...accepting(first.id)]);
  expect([isAccepted(alone, first), isAccepted(alone, second)]).toEqual([true, false]);
  expect(acceptedAs(alone, cause)).toEqual([first.id]);
});

test('findings are told by area, page and theme; one of no certain page or theme under each', () => {
  const on = finding({ where: { selector: 'p', page: 'home', mode: 'dark' } });
  const any = finding();
  for (const [filter, expected] of [
    [{}, [true, true]],
    [{ area: 'type' }, [false, false]],
    [{ area: 'color', page: 'home' }, [true, true]],
    [{ page: 'fares' }, [false, true]],
    [{ mode: 'light' }, [false, true]],
    [{ mode: 'dark', page: 'home' }, [true, true]],
  ] as const)
    expect([filter, isToldOf(on, filter), isToldOf(any, filter)]).toEqual([filter, ...expected]);
});
