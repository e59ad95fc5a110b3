import { describe, expect, test } from '@jest/globals';
import { findingsOf } from '../checks/checks.ts';
import { derive } from '../derive/derive.ts';
import type { StyleDocument } from '../system/document.ts';
import { patched, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { writeCss } from './css.ts';
import { writeDtcg } from './dtcg.ts';
import { readDtcg } from './read-dtcg.ts';
import { takeTokens } from './take-tokens.ts';

function applied(document: StyleDocument, patch: Patch): StyleDocument {
  const result = patched(document, patch);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.document;
}

function imported(file: unknown, into: StyleDocument = sampleDocument()) {
  const read = readDtcg(JSON.stringify(file));
  if (read.kind !== 'tokens') throw new Error(JSON.stringify(read));
  let number = 0;
  const own = derive({ ...into, tokens: { custom: { order: [], items: {} } } }).tokens;
  const taking = takeTokens(into.tokens.custom, own, read.tokens, () => `new-${++number}`);
  const document = applied(into, taking.patch);
  return {
    ...taking,
    leftOut: [...read.leftOut, ...taking.leftOut],
    document,
    css: writeCss(derive(document)),
  };
}

const hex = (value: string) => ({ $type: 'color', $value: value });

describe('tokens from elsewhere', () => {
  test('of a name that the system has are left out and told; what refers to them keeps its value', () => {
    const { leftOut, css, taken } = imported({
      color: { page: hex('#123456') },
      brand: { ground: { $type: 'color', $value: '{color.page}' } },
    });
    expect(taken).toBe(1);
    expect(leftOut).toEqual([
      { path: 'color.page', reason: 'the system has a token of this name' },
    ]);
    expect(css).toContain('--brand-ground: #123456;');
    expect(css).not.toContain('--color-page: #123456');
  });

  test('below a token, or above a group, of the system would make an invalid file: left out and told', () => {
    const { leftOut, document } = imported({
      color: { page: { hover: hex('#111111') }, $type: 'color' },
      type: { $type: 'number', $value: 3 },
      'color-page': hex('#222222'),
      fine: hex('#333333'),
    });
    expect(leftOut.map(({ path }) => path)).toEqual(['color.page.hover', 'type', 'color-page']);
    expect(leftOut.map(({ reason }) => reason)).toEqual([
      'it would stand below color.page, a token that the system has',
      'the system has a group of this name',
      'its custom property would be that of color.page, which the system has',
    ]);
    // Nothing in the file that is written stands below a token.
    const invalid: string[] = [];
    const walk = (node: unknown, path: string): void => {
      if (typeof node !== 'object' || node === null) return;
      for (const [key, child] of Object.entries(node)) {
        if (key.startsWith('$')) continue;
        if ('$value' in node) invalid.push(`${path}.${key}`);
        walk(child, `${path}.${key}`);
      }
    };
    walk(JSON.parse(writeDtcg(derive(document), document)), '');
    expect(invalid).toEqual([]);
  });

  test('below a token of the file itself are told', () => {
    const { leftOut } = imported({ base: { ...hex('#111111'), light: hex('#222222') } });
    expect(leftOut).toEqual([
      { path: 'base.light', reason: 'it stands below a token, where only groups may' },
    ]);
  });

  test.each([
    ['dimension', '16px', '16px'],
    ['dimension', '1.5rem', '1.5rem'],
    ['dimension', '0.5em', '0.5em'],
    ['dimension', 0, '0px'],
    ['duration', '200ms', '200ms'],
    ['duration', '.2s', '0.2s'],
    ['color', 'rgba(16, 32, 48, 0.5)', 'color(srgb 0.06275 0.12549 0.18824 / 0.5)'],
    ['color', 'RebeccaPurple', '#663399'],
    ['color', 'hsl(120 100% 25%)', '#008000'],
    ['color', '#ABC', '#aabbcc'],
    ['color', 'color(display-p3 0 1 0)', 'oklch('],
    ['fontWeight', 'bold', '700'],
    ['fontWeight', 'Semi Bold', '600'],
    ['fontWeight', '350', '350'],
    ['fontFamily', 'Some Face, sans-serif', '"Some Face", sans-serif'],
    ['cubicBezier', 'ease-out', 'cubic-bezier(0, 0, 0.58, 1)'],
    ['cubicBezier', 'cubic-bezier(0.2, 0, 0, 1)', 'cubic-bezier(0.2, 0, 0, 1)'],
    ['number', '50%', '0.5'],
    ['number', '1.4', '1.4'],
    ['strokeStyle', 'dashed', 'dashed'],
    [
      'shadow',
      { color: 'rgb(0 0 0 / 20%)', offsetX: '0', offsetY: '2px', blur: '4px', spread: 0 },
      '0px 2px 4px 0px color(srgb 0 0 0 / 0.2)',
    ],
    ['border', { color: 'red', width: '1px', style: 'solid' }, '1px solid #ff0000'],
    [
      'transition',
      { duration: '200ms', delay: '0ms', timingFunction: 'ease' },
      '200ms cubic-bezier(0.25, 0.1, 0.25, 1) 0ms',
    ],
  ])('of the type %s written as %j become custom properties', (type, value, css) => {
    const one = imported({ mine: { $type: type, $value: value } });
    expect(one.silent).toEqual([]);
    expect(one.css).toContain(`--mine: ${css}`);
  });

  test.each([
    ['dimension', 16, /without a unit/],
    ['dimension', '16pt', /unit pt/],
    ['color', 'reddish', /not a color/],
    ['color', 'currentColor', /text around it/],
    ['fontWeight', 'chunky', /no weight/],
    ['duration', 'soon', /no length/],
    ['cubicBezier', 'bouncy', /no curve/],
    ['shadow', { color: 'reddish' }, /^color: .*not a color/],
  ])('of the type %s written as %j are refused with the reason', (type, value, reason) => {
    const read = readDtcg(JSON.stringify({ mine: { $type: type, $value: value } }));
    expect(read.kind === 'tokens' ? read.leftOut[0]?.reason : read.kind).toMatch(reason);
  });

  test('that no custom property comes of are told', () => {
    const { silent, taken } = imported({
      heading: { $type: 'typography', $value: { fontSize: '16px' } },
      odd: { $type: 'mystery', $value: 'x' },
      dash: { $type: 'strokeStyle', $value: { dashArray: [], lineCap: 'round' } },
    });
    expect(taken).toBe(3);
    expect(silent).toEqual([
      { path: 'heading', reason: 'no single CSS value stands for the type typography' },
      { path: 'odd', reason: 'no single CSS value stands for the type mystery' },
      { path: 'dash', reason: 'its value is not one of the type strokeStyle' },
    ]);
  });

  test('whose name the system takes later are found, and what refers to them keeps its value', () => {
    const { document } = imported({
      color: { tide: hex('#123456') },
      brand: { $type: 'color', $value: '{color.tide}' },
    });
    const later = applied(document, [
      { op: 'replace', path: '/color/roles/items/page/name', value: 'tide' },
    ]);
    const derived = derive(later);
    const hidden = findingsOf(later, derived).filter(({ id }) => id.startsWith('hidden-token:'));
    expect(hidden.map(({ title }) => title)).toEqual(['The imported token color.tide is hidden']);
    expect(writeCss(derived)).toContain('--brand: #123456;');
    const mended = applied(later, hidden[0]?.repair?.patch ?? []);
    expect(
      findingsOf(mended, derive(mended)).some(({ id }) => id.startsWith('hidden-token:')),
    ).toBe(false);
    expect(writeCss(derive(mended))).toContain('--brand: #123456;');
  });

  test('come in twice as one', () => {
    const file = { brand: hex('#123456') };
    const first = imported(file);
    const again = imported({ brand: hex('#654321') }, first.document);
    expect(again.document.tokens.custom.order).toHaveLength(1);
    expect(again.css).toContain('--brand: #654321;');
  });
});
