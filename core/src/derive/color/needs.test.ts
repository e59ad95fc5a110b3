import { describe, expect, test } from '@jest/globals';
import { judgedAll } from '../../checks/judge.ts';
import { writeCss } from '../../formats/css.ts';
import { readDtcg } from '../../formats/read-dtcg.ts';
import { writeDtcg } from '../../formats/dtcg.ts';
import { sampleDocument } from '../../system/sample.ts';
import { derive } from '../derive.ts';

const needs = (...changes: Parameters<typeof sampleDocument>) =>
  derive(sampleDocument(...changes)).needs;

describe('what colors need of each other', () => {
  // WCAG 2.2: 4.5 and 3 for text (1.4.3), 7 and 4.5 at AAA (1.4.6), 3 for parts of controls (1.4.11).
  const found = new Map(needs().map((need) => [need.id, need]));

  test.each([
    ['body-page', 'text', 4.5],
    ['h1-page', 'text', 3],
    ['line-strong:page', 'part', 3],
    ['focus:surface', 'part', 3],
    ['danger-ink:danger-hover', 'text', 4.5],
    ['text:success-wash', 'text', 4.5],
    ['warning-edge:warning-wash', 'part', 3],
    ['action-disabled:page', 'exempt', 0],
    ['line:page', 'exempt', 0],
    ['art-1:page', 'exempt', 0],
    ['logotype:link', 'exempt', 0],
  ] as const)('%s is %s and needs %d', (id, kind, needed) => {
    expect(found.get(id)).toMatchObject({ kind, needed });
  });

  test('grows where the brief asks for AAA', () => {
    const strict = new Map(
      needs([{ op: 'replace', path: '/brief/conformance', value: 'AAA' }]).map((need) => [
        need.id,
        need.needed,
      ]),
    );
    expect(strict.get('body-page')).toBe(7);
    expect(strict.get('h1-page')).toBe(4.5);
    expect(strict.get('focus:page')).toBe(3);
  });

  test('asks 3 of a link beside its text only where links have no underline', () => {
    expect(needs().some(({ kind }) => kind === 'beside')).toBe(false);
    const plain = needs([{ op: 'add', path: '/color/plainLinks', value: true }]);
    expect(plain.find(({ id }) => id === 'beside-body-link-page')).toMatchObject({
      needed: 3,
      on: { id: 'text' },
    });
  });

  test('is judged apart on screens with a wide gamut', () => {
    const document = sampleDocument([
      {
        op: 'replace',
        path: '/color/roles/items/link/light',
        value: { kind: 'own', value: '#00ff00', wide: 'color(display-p3 0 0.4 0)' },
      },
    ]);
    const judged = judgedAll(derive(document)).find(
      ({ need, mode }) => need.id === 'body-link-page' && mode === 'light',
    );
    expect(judged?.ratio).toBeLessThan(1.5);
    expect(judged?.wideRatio).toBeGreaterThan(4.5);
    expect(judged?.passes).toBe(false);
  });
});

describe('colors as they are emitted', () => {
  const document = sampleDocument([
    {
      op: 'replace',
      path: '/color/sources/items/brand',
      value: { name: 'brand', value: '#e5341b', wide: 'color(display-p3 0.9 0.2 0.1)' },
    },
    {
      op: 'replace',
      path: '/color/roles/items/line/light',
      value: { kind: 'share', of: 'text', over: 'page', share: 0.2, form: 'transparent' },
    },
    { op: 'add', path: '/color/rungNames', value: 'words' },
    { op: 'add', path: '/color/darkChroma', value: 0.6 },
  ]);
  const derived = derive(document);
  const css = writeCss(derived);

  test('beyond sRGB stand under a query of their own, with a fallback above', () => {
    expect(css).toMatch(/--palette-brand-[a-z]+: #e5341b;/);
    expect(css).toMatch(
      /@media \(color-gamut: p3\) \{\n {2}:root \{\n {4}--palette-brand-[a-z]+: color\(display-p3 0\.9 0\.2 0\.1\);/,
    );
  });

  test('that are a share are transparent, and judged as they lie on their ground', () => {
    expect(css).toMatch(/--color-line: rgb\(\d+ \d+ \d+ \/ 0\.2\);/);
    expect(derived.colors.get('line')?.colors.light).toMatch(/^#[0-9a-f]{6}$/);
  });

  test('are softer in dark where that was chosen, but for the source itself', () => {
    const brand = derived.ramps.get('brand');
    expect(brand?.dark?.[brand.seat ?? 0]).toBe('#e5341b');
    expect(brand?.dark?.[3]).not.toBe(brand?.colors[3]);
  });

  test('come back from the token file as they were decided', () => {
    const read = readDtcg(writeDtcg(derived, document));
    expect(read).toEqual({ kind: 'system', document });
  });
});
