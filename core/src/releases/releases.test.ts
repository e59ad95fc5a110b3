import { describe, expect, test } from '@jest/globals';
import { generate, parse, walk } from 'css-tree';
import fc from 'fast-check';
// An independent reading of the standard.
import semver from 'semver';
import type { Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { differenceMarkdown } from './difference-markdown.ts';
import { differenceOf, isNoDifference } from './difference.ts';
import {
  compareNumbers,
  KINDS,
  kindReasons,
  LARGEST_PART,
  nextNumber,
  proposedNumber,
  readNumber,
  writeNumber,
} from './numbers.ts';
import { deprecatedCss, replacementsJson, replacementsOf } from './replacements.ts';

/** The declarations of a sheet, as a library reads them. */
function declarationsIn(css: string): readonly (readonly [string, string])[] {
  const found: (readonly [string, string])[] = [];
  walk(parse(css), (node) => {
    if (node.type === 'Declaration')
      found.push([
        node.property,
        (node.value.type === 'Raw' ? node.value.value : generate(node.value)).trim(),
      ]);
  });
  return found;
}

const BETWEEN = { from: '1.0.0', to: '2.0.0' };

const between = (before: Patch, after: Patch) =>
  differenceOf(sampleDocument(before), sampleDocument(after));
const since = (patch: Patch) => between([], patch);

const called = (name: string): Patch => [
  { op: 'replace', path: '/color/roles/items/support/name', value: name },
];
const prefixed: Patch = [{ op: 'add', path: '/tokens/sheet', value: { properties: 'rc' } }];

describe('numbers of releases', () => {
  const part = fc.nat(LARGEST_PART);
  const number = fc.tuple(part, part, part);

  test('are read, put in order and counted on as the standard has it', () => {
    fc.assert(
      fc.property(number, number, fc.constantFrom(...KINDS), (one, other, kind) => {
        const text = writeNumber(one);
        expect(readNumber(text)).toEqual(one);
        expect(Math.sign(compareNumbers(one, other))).toBe(
          semver.compare(text, writeNumber(other)),
        );
        expect(writeNumber(nextNumber(one, kind))).toBe(semver.inc(text, kind));
      }),
    );
  });

  test.each([
    '',
    '1',
    '1.0',
    '01.0.0',
    '1.0.0-rc.1',
    'v1.0.0',
    '1.0.0 ',
    '1.0.100000',
    '-1.0.0',
    '1.0.0.0',
  ])('“%s” is none', (text) => expect(readNumber(text)).toBeUndefined());
});

describe('what became of a system', () => {
  test('is nothing where nothing changed, and asks for no number', () => {
    const difference = since([]);
    expect(isNoDifference(difference)).toBe(true);
    expect(kindReasons(difference)).toEqual([]);
    expect(proposedNumber('1.0.0', difference)).toBeUndefined();
    expect(differenceMarkdown(difference, { name: 'A', ...BETWEEN })).toContain('Nothing changed.');
  });

  test('a renamed role is one token and its classes called otherwise, nothing removed or added, and looks the same', () => {
    const difference = since(called('spark'));
    expect(
      difference.tokens.renamed.map(({ before, after }) => [before.property, after.property]),
    ).toEqual([['--color-support', '--color-spark']]);
    expect(difference.tokens).toMatchObject({ added: [], removed: [], changed: [] });
    expect(difference.classes).toEqual({
      added: [],
      removed: [],
      renamed: ['on', 'fill', 'wash'].map((family) => ({
        before: `${family}-support`,
        after: `${family}-spark`,
      })),
    });
    expect([difference.rules, difference.content, difference.looks]).toEqual([0, 0, []]);
    expect(proposedNumber('1.4.2', difference)).toBe('2.0.0');
  });

  test('two roles that change their names are each still themselves', () => {
    const difference = since([
      { op: 'replace', path: '/color/roles/items/support/name', value: 'spark' },
      { op: 'replace', path: '/color/roles/items/accent/name', value: 'ember' },
    ]);
    expect(
      difference.tokens.renamed.map(({ before, after }) => `${before.id} ${after.id}`),
    ).toEqual(['color.support color.spark', 'color.accent color.ember']);
  });

  test('what follows from one decision stands under it, with both values', () => {
    const difference = since([{ op: 'replace', path: '/space/unit', value: 10 }]);
    expect(difference.causes.map(({ path, before, after }) => [path, before, after])).toEqual([
      ['/space/unit', '8 px', '10 px'],
    ]);
    const step = difference.tokens.changed.find(({ after }) => after.id === 'step.s');
    expect(step).toMatchObject({
      before: { values: { light: '0.5rem' } },
      after: { values: { light: '0.625rem' } },
      cause: '/space/unit',
    });
    expect(difference.tokens.changed.every(({ cause }) => cause === '/space/unit')).toBe(true);
    expect(kindReasons(difference).map(({ kind }) => kind)).toEqual(['patch']);
    expect(proposedNumber('1.4.2', difference)).toBe('1.4.3');
  });

  test('a color that moves because its ground did is told under the ground', () => {
    const difference = since([
      {
        op: 'replace',
        path: '/color/roles/items/page/light',
        value: { kind: 'rung', ramp: 'neutral', rung: 5 },
      },
    ]);
    expect(difference.causes[0]?.path).toBe('/color/roles/items/page/light');
    const moved = difference.tokens.changed.find(({ after }) => after.id === 'color.quiet');
    expect(moved?.before.values.light).not.toBe(moved?.after.values.light);
    const cause = difference.causes.find(({ path }) => path === moved?.cause);
    expect([cause?.before, cause?.before]).toEqual([cause?.after, cause?.after]);
    expect(differenceMarkdown(difference, { name: 'A', ...BETWEEN })).toContain(
      'came out otherwise',
    );
  });

  test('a role in addition is minor, and the other way round major', () => {
    const more: Patch = [
      {
        op: 'add',
        path: '/space/roles',
        value: {
          ...sampleDocument().space.roles,
          order: [...sampleDocument().space.roles.order, 'deck'],
          items: {
            ...sampleDocument().space.roles.items,
            deck: sampleDocument().space.roles.items['tight'],
          },
        },
      },
    ].map((one) => ({ ...one, op: 'replace' })) as unknown as Patch;
    const added = since(more);
    expect(added.tokens.added.length).toBeGreaterThan(0);
    expect(added.tokens.removed).toEqual([]);
    expect(kindReasons(added)[0]?.kind).toBe('minor');
    const removed = between(more, []);
    expect(removed.tokens.removed.map(({ token }) => token.id)).toEqual(
      added.tokens.added.map(({ token }) => token.id),
    );
    expect(kindReasons(removed)[0]?.kind).toBe('major');
  });

  test('a prefix renames every token; where the old names stay, nothing breaks', () => {
    const broken = since(prefixed);
    expect(broken.tokens.renamed.length).toBeGreaterThan(500);
    expect(broken.tokens.renamed.every(({ keepsName }) => !keepsName)).toBe(true);
    expect(broken.tokens.changed).toEqual([]);
    expect(proposedNumber('1.0.0', broken)).toBe('2.0.0');
    const kept = since([
      {
        op: 'add',
        path: '/tokens/sheet',
        value: { properties: 'rc', former: { order: ['one'], items: { one: {} } } },
      },
    ]);
    expect(kept.tokens.renamed.every(({ keepsName }) => keepsName)).toBe(true);
    expect(proposedNumber('1.0.0', kept)).toBe('1.1.0');
  });

  test('contrast is lost and won, with both figures', () => {
    const faint: Patch = [
      {
        op: 'replace',
        path: '/color/roles/items/text/light',
        value: { kind: 'rung', ramp: 'neutral', rung: 5 },
      },
    ];
    const { contrast } = since(faint);
    const lost = contrast.lost.find(({ id, mode }) => mode === 'light' && id.includes('body'));
    expect(lost?.before).toBeGreaterThan(lost?.needed ?? Infinity);
    expect(lost?.after).toBeLessThan(lost?.needed ?? 0);
    const back = between(faint, []).contrast;
    expect(back.lost).toEqual([]);
    expect(back.won.map(({ id, mode }) => `${id}${mode}`)).toEqual(
      contrast.lost.map(({ id, mode }) => `${id}${mode}`),
    );
  });

  test('a length that differs from a breakpoint up only is a changed token', () => {
    const document = sampleDocument();
    const [wide = ''] = document.layout.breakpoints.order.toReversed();
    const path = '/space/roles/items/stack/value';
    const at = (from: string): Patch => [
      { op: 'replace', path, value: { kind: 'stepped', step: 'm', at: { [wide]: from } } },
    ];
    const difference = between(at('l'), at('xl'));
    const changed = difference.tokens.changed.find(({ after }) => after.id === 'space.stack');
    expect(changed?.before.values).toEqual(changed?.after.values);
    expect(changed?.after.elsewhere?.join()).toContain('@media');
  });

  test('names of one’s own cannot be mistaken for parts of an object, nor end a comment', () => {
    const difference = {
      tokens: {
        added: [],
        changed: [],
        renamed: [],
        removed: ['--__proto__', '--a*/b'].map((property) => ({
          cause: '',
          token: {
            id: property,
            property,
            tier: 'primitive' as const,
            type: 'color',
            values: { light: '', dark: '' },
          },
        })),
      },
      classes: { added: [], removed: ['__proto__', 'constructor'], renamed: [] },
    };
    const read = JSON.parse(
      replacementsJson({ ...since([]), ...difference }, BETWEEN),
    ) as ReturnType<typeof replacementsOf>;
    expect(Object.keys(read.classes)).toEqual(['__proto__', 'constructor']);
    expect(deprecatedCss(difference, BETWEEN).match(/\*\//g)).toHaveLength(2);
  });
});

describe('the old names as a sheet', () => {
  test('each takes what stands there now, and only what is gone has none', () => {
    const difference = between(called('spark'), prefixed);
    const css = deprecatedCss(difference, BETWEEN);
    const lines = declarationsIn(css);
    const { properties } = replacementsOf(difference, BETWEEN);
    expect(lines).toEqual(
      Object.entries(properties).flatMap(([before, after]) =>
        after === null ? [] : [[before, `var(${after})`]],
      ),
    );
    expect(lines).toContainEqual(['--color-spark', 'var(--rc-color-support)']);
  });
});
