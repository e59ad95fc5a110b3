/** @jest-environment jsdom */
import { describe, expect, test } from '@jest/globals';
import { createDeriver } from '@garnish/core/derive/derive';
import { sheetCss, sheetOf, type SheetBlock } from '@garnish/core/formats/sheet';
import { patched, type Patch } from '@garnish/core/system/patch';
import { sampleDocument } from '@garnish/core/system/sample';
import fc from 'fast-check';
import { liveSheet } from './live-sheet.ts';

/** A sheet of this document that counts what is done to it. */
function madeSheet(css = '') {
  const element = document.createElement('style');
  element.textContent = css;
  document.head.append(element);
  const { sheet } = element;
  if (!sheet) throw new Error('there are no sheets here');
  const done = { whole: 0, inserted: 0, deleted: 0 };
  const insert = sheet.insertRule.bind(sheet);
  const remove = sheet.deleteRule.bind(sheet);
  sheet.insertRule = (rule, index) => {
    done.inserted += 1;
    return insert(rule, index);
  };
  sheet.deleteRule = (index) => {
    done.deleted += 1;
    remove(index);
  };
  // Made by hand here: the documents of tests have no constructed sheets.
  sheet.replaceSync = (text) => {
    done.whole += 1;
    while (sheet.cssRules.length > 0) remove(0);
    const other = madeSheet(text).sheet;
    [...other.cssRules].forEach(({ cssText }, index) => insert(cssText, index));
  };
  return { sheet, done };
}

const said = ({ cssRules }: CSSStyleSheet): string[] => [...cssRules].map(({ cssText }) => cssText);

const root = (key: string, ...declarations: (readonly [string, string])[]): SheetBlock => ({
  key,
  rules: [{ selector: ':root', declarations }],
});
const rule = (key: string, size: string, within?: string): SheetBlock => ({
  key,
  ...(within !== undefined && { within }),
  rules: [{ selector: `.${key}`, declarations: [['font-size', size]] }],
});

/** Shows lists of blocks one after the other, and compares the sheet with one that is new each time. */
function after(...lists: readonly (readonly SheetBlock[])[]) {
  const { sheet, done } = madeSheet();
  const live = liveSheet(sheet);
  for (const blocks of lists) {
    live.show(blocks);
    expect(said(sheet)).toEqual(said(madeSheet(sheetCss(blocks)).sheet));
  }
  return done;
}

describe('a live sheet', () => {
  const start = [root('sizes', ['--a', '1rem'], ['--b', '2rem']), rule('body', '1rem')];

  test('is written whole once, and not at all for what it shows already', () => {
    expect(after(start, start)).toEqual({ whole: 1, inserted: 0, deleted: 0 });
  });

  test('takes another value of a custom property into the rule that stands', () => {
    const moved = [root('sizes', ['--a', '1rem'], ['--b', '3rem']), rule('body', '1rem')];
    expect(after(start, moved)).toEqual({ whole: 1, inserted: 0, deleted: 0 });
  });

  test('replaces a block whose other properties, names or selectors are others', () => {
    const size = [start[0] ?? root('x'), rule('body', '2rem')];
    expect(after(start, size)).toEqual({ whole: 1, inserted: 1, deleted: 1 });
    const named = [root('sizes', ['--a', '1rem'], ['--c', '2rem']), rule('body', '1rem')];
    expect(after(start, named)).toEqual({ whole: 1, inserted: 1, deleted: 1 });
    const more = [root('sizes', ['--a', '1rem']), rule('body', '1rem')];
    expect(after(start, more)).toEqual({ whole: 1, inserted: 1, deleted: 1 });
  });

  test('takes blocks out and puts others in where they belong', () => {
    const without = [rule('body', '1rem')];
    expect(after(start, without)).toEqual({ whole: 1, inserted: 0, deleted: 1 });
    const between = [start[0] ?? root('x'), rule('lead', '2rem'), start[1] ?? root('x')];
    expect(after(start, between, without, between)).toEqual({ whole: 1, inserted: 3, deleted: 2 });
  });

  test('is written whole where blocks changed their places', () => {
    expect(after(start, start.toReversed()).whole).toBe(2);
  });

  test('writes into rules within an at-rule', () => {
    const wide = (value: string): SheetBlock => ({
      key: 'wide',
      within: '@media (min-width: 40rem)',
      rules: [{ selector: ':root', declarations: [['--a', value]] }],
    });
    expect(after([wide('1rem')], [wide('2rem')])).toEqual({ whole: 1, inserted: 0, deleted: 0 });
    expect(after([wide('1rem')], [root('wide', ['--a', '1rem'])]).inserted).toBe(1);
  });

  test('is written whole where the sheet does not take a rule', () => {
    const { sheet, done } = madeSheet();
    const live = liveSheet(sheet);
    live.show(start);
    const insert = sheet.insertRule.bind(sheet);
    let refuses = true;
    sheet.insertRule = (text, index) => {
      if (refuses) throw new DOMException('not this one', 'SyntaxError');
      return insert(text, index);
    };
    const next = [start[0] ?? root('x'), rule('body', '2rem')];
    live.show(next);
    expect(done.whole).toBe(2);
    expect(said(sheet)).toEqual(said(madeSheet(sheetCss(next)).sheet));
    refuses = false;
    live.show(start);
    expect(said(sheet)).toEqual(said(madeSheet(sheetCss(start)).sheet));
  });

  test('says after any changes what a new one says', () => {
    const key = fc.constantFrom('a', 'b', 'c', 'd', 'e');
    const one = fc
      .tuple(key, fc.constantFrom('1px', '2px', '3px'), fc.boolean())
      .map(([name, value, isRoot]) =>
        isRoot ? root(name, [`--${name}`, value]) : rule(name, value),
      );
    const list = fc.uniqueArray(one, { selector: (block) => block.key, maxLength: 5 });
    fc.assert(
      fc.property(fc.array(list, { minLength: 1, maxLength: 6 }), (lists) => {
        after(...lists);
      }),
      { numRuns: 150 },
    );
  });
});

describe('the sheet of a system', () => {
  const SAMPLE = sampleDocument();
  const moved = (...patches: readonly Patch[]) => {
    const deriver = createDeriver();
    const { sheet, done } = madeSheet();
    const live = liveSheet(sheet);
    live.show(sheetOf(deriver(SAMPLE)));
    let here = SAMPLE;
    for (const patch of patches) {
      const next = patched(here, patch);
      if (!next.ok) throw new Error(JSON.stringify(next.problems));
      here = next.document;
      live.show(sheetOf(deriver(here)));
    }
    return done;
  };
  const replace = (path: string, value: string | number): Patch => [{ op: 'replace', path, value }];

  test.each([
    ['a base in Type', replace('/type/anchors/items/wide/base', 21)],
    ['a source in Color', replace('/color/sources/items/brand/value', '#7a3f8f')],
    ['the unit in Space', replace('/space/unit', 9)],
  ])('is never written whole for %s', (_, patch) => {
    expect(moved(patch, patch)).toMatchObject({ whole: 1 });
  });

  test('is not touched by what says nothing in it', () => {
    expect(moved(replace('/name', 'another'), replace('/description', 'other words'))).toEqual({
      whole: 1,
      inserted: 0,
      deleted: 0,
    });
  });
});
