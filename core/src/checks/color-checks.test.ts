import { describe, expect, test } from '@jest/globals';
import { derive } from '../derive/derive.ts';
import { patched, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import type { StyleDocument } from '../system/document.ts';
import { findingsOf } from './checks.ts';
import { repairsOf } from './contrast-repairs.ts';
import type { Finding } from './finding.ts';
import { judgedAll, selectorOf, sizesText, titleOf, type Judged } from './judge.ts';
import { strokeOf } from './strokes.ts';

const own = (role: string, mode: 'light' | 'dark', value: string): Patch[number] => ({
  op: 'replace',
  path: `/color/roles/items/${role}/${mode}`,
  value: { kind: 'own', value },
});

const findings = (document: StyleDocument): readonly Finding[] =>
  findingsOf(document, derive(document));

const applied = (document: StyleDocument, patch: Patch): StyleDocument => {
  const result = patched(document, patch);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.document;
};

function judgedIn(document: StyleDocument, id: string, mode: 'light' | 'dark'): Judged {
  const found = judgedAll(derive(document)).find(
    (judged) => judged.need.id === id && judged.mode === mode,
  );
  if (!found) throw new Error(`nothing needs ${id}`);
  return found;
}

describe('the ways to repair a pair', () => {
  const document = sampleDocument([own('quiet', 'light', '#8a857c')]);
  const short = judgedIn(document, 'lead-page', 'light');
  const ways = repairsOf(short, document);

  test('are the nearest color, the ground, a larger size, a heavier weight: each told with before and after', () => {
    expect(short.passes).toBe(false);
    const labels = ways.map(({ label }) => label.replace(/#[0-9a-f]{6}/, '#'));
    expect(labels).toEqual(['Use #', 'Make page #', 'Set lead in 24 px and up', 'Set lead in 700']);
    for (const { before, after } of ways) expect(before).not.toBe(after);
  });

  test.each(ways.map((way) => [way.label, way] as const))('%s lets it pass', (_, { patch }) => {
    const after = applied(document, patch);
    expect(judgedIn(after, 'lead-page', 'light').passes).toBe(true);
  });

  test('include the nearest rung of the ramp that a color stands on', () => {
    const held = sampleDocument([
      {
        op: 'replace',
        path: '/color/roles/items/quiet/light',
        value: { kind: 'rung', ramp: 'neutral', rung: 7 },
      },
    ]);
    const way = repairsOf(judgedIn(held, 'small-page', 'light'), held).find(({ label }) =>
      label.startsWith('Use gray'),
    );
    const after = applied(held, way?.patch ?? []);
    expect(judgedIn(after, 'small-page', 'light').passes).toBe(true);
    expect(after.color.roles.items['quiet']?.light).toMatchObject({
      kind: 'rung',
      ramp: 'neutral',
    });
  });

  test('include a heavier weight where that makes the text large', () => {
    const gray = sampleDocument([
      own('text', 'light', '#8f8f8f'),
      { op: 'add', path: '/type/roles/items/quote/weight', value: 400 },
      { op: 'add', path: '/type/roles/items/quote/sizes', value: { narrow: 20, wide: 22 } },
    ]);
    const judged = judgedIn(gray, 'quote-page', 'light');
    expect(judged.passes).toBe(false);
    const way = repairsOf(judged, gray).find(({ label }) => label === 'Set quote in 700');
    expect(judgedIn(applied(gray, way?.patch ?? []), 'quote-page', 'light').passes).toBe(true);
  });
});

describe('what a pair is called', () => {
  const document = sampleDocument();

  test.each([
    ['body-page', 'body in text on page', '.on-page .type-body'],
    ['body-link-page', 'link in body on page', '.on-page .type-body a'],
    ['focus:page', 'focus ring in focus on page', '.on-page'],
    ['line-strong:page', 'edge of fields in strong line on page', '.field'],
    ['danger-ink:danger', 'label on danger in danger ink on danger', '.fill-danger'],
    ['text:notice-wash', 'text on a wash of notice in text on notice wash', '.wash-notice'],
  ] as const)('%s is “%s”, seen at %s', (id, title, selector) => {
    const { need } = judgedIn(document, id, 'light');
    expect(titleOf(need)).toBe(title);
    expect(selectorOf(need)).toBe(selector);
  });

  test('has its sizes where it is a text', () => {
    expect(sizesText(judgedIn(document, 'body-page', 'light'))).toBe('16 to 18 px');
    expect(sizesText(judgedIn(document, 'focus:page', 'light'))).toBe('');
  });
});

describe('thin strokes', () => {
  const thin: Patch = [
    own('quiet', 'light', '#706c66'),
    { op: 'add', path: '/type/roles/items/small/weight', value: 100 },
    { op: 'add', path: '/type/roles/items/small/sizes', value: { narrow: 11, wide: 11 } },
    {
      op: 'replace',
      path: '/fonts/roles/text/family',
      value: JSON.parse(JSON.stringify(sampleDocument().fonts.roles.heading.family)) as never,
    },
  ];

  test('that are small and pale too are found, and a heavier weight ends it', () => {
    const document = sampleDocument(thin);
    const found = findings(document).find(({ id }) => id === 'stroke:small-page:light');
    expect(found?.figures).toMatch(/strokes of 0\.\d\d px at 11\.0 px/);
    const after = applied(document, found?.repair?.patch ?? []);
    expect(findings(after).some(({ id }) => id === 'stroke:small-page:light')).toBe(false);
  });

  test('are thinner in a light weight than in a bold one', () => {
    const weight = (value: number): number => {
      const document = sampleDocument([{ op: 'add', path: '/type/roles/items/h1/weight', value }]);
      return strokeOf(judgedIn(document, 'h1-page', 'light'))?.px ?? 0;
    };
    expect(weight(300)).toBeLessThan(weight(500));
    expect(weight(500)).toBeLessThan(weight(800));
  });

  test('are asked of text only', () => {
    expect(strokeOf(judgedIn(sampleDocument(), 'focus:page', 'light'))).toBeUndefined();
  });
});

describe('states that look alike', () => {
  test('to some eyes are found, once a theme', () => {
    // A green and a red of one lightness: what protan and deutan eyes confuse most.
    const document = sampleDocument([
      own('success', 'light', '#6d7a12'),
      own('danger', 'light', '#c33b3b'),
    ]);
    const found = findings(document).filter(({ id }) => id === 'alike:success:danger:light');
    expect(found).toHaveLength(1);
    expect(found[0]?.figures).toContain('deutan');
  });

  test('only without color are told apart by their color alone', () => {
    const document = sampleDocument([
      own('warning', 'light', '#b88a00'),
      own('notice', 'light', '#5a94e0'),
    ]);
    const found = findings(document).find(({ id }) => id === 'alike:warning:notice:light');
    expect(found?.title).toBe('warning and notice are told apart by their color alone in light');
  });
});
