import { describe, expect, test } from '@jest/globals';
import * as csstree from 'css-tree';
import { findingsOf } from '../checks/checks.ts';
import { derive } from '../derive/derive.ts';
import { writeCss } from '../formats/css.ts';
import { writeDtcg } from '../formats/dtcg.ts';
import type { Patch } from './patch.ts';
import { sampleDocument } from './sample.ts';
import { writeHandoff } from '../formats/handoff.ts';
import { THEMES, type Themes } from './themes.ts';

const with_ = (themes: Themes): Patch =>
  themes === 'light and dark' ? [] : [{ op: 'add', path: '/color/themes', value: themes }];

/** A logo for each theme, so that rules differ too; quiet text that reads in neither theme. */
const odd: Patch = [
  {
    op: 'add',
    path: '/layout/logo/light',
    value: '<svg xmlns="http://www.w3.org/2000/svg"></svg>',
  },
  { op: 'add', path: '/layout/logo/dark', value: '<svg xmlns="http://www.w3.org/2000/svg"></svg>' },
  {
    op: 'replace',
    path: '/color/roles/items/quiet/light',
    value: { kind: 'own', value: '#f4f4f4' },
  },
  {
    op: 'replace',
    path: '/color/roles/items/quiet/dark',
    value: { kind: 'own', value: '#202020' },
  },
];

const made = (themes: Themes) => {
  const document = sampleDocument([...odd, ...with_(themes)]);
  const derived = derive(document);
  return { document, derived, css: writeCss(derived) };
};

/** The value of a property in every rule of the sheet that sets it: where it stands, and what it is. */
function places(css: string, property: string, selector: RegExp): string[] {
  const found: string[] = [];
  csstree.walk(csstree.parse(css, { parseCustomProperty: false }), function look(node) {
    if (node.type !== 'Declaration' || node.property !== property || !this.rule) return;
    const rule = csstree.generate(this.rule.prelude);
    const within = this.atrule?.prelude ? ` ${csstree.generate(this.atrule.prelude)}` : '';
    if (selector.test(rule)) found.push(`${rule}${within}: ${csstree.generate(node.value).trim()}`);
  });
  return found;
}

describe.each(THEMES)('%s', (themes) => {
  const { derived, document, css } = made(themes);
  const page = derived.colors.get('page');
  const [light, dark] = [page?.colors.light, page?.colors.dark];

  test('the sheet says its colors where its themes stand, and nowhere else', () => {
    const scheme = places(css, 'color-scheme', /./);
    const page1 = places(css, '--color-quiet', /./);
    const expected = {
      'light and dark': [
        ':root: #f4f4f4',
        ':root:not([data-theme="light"]) (prefers-color-scheme:dark): #202020',
        ':root[data-theme="dark"]: #202020',
      ],
      'light only': [':root: #f4f4f4'],
      'dark only': [':root: #202020'],
      'dark first': [':root: #202020', ':root[data-theme="light"]: #f4f4f4'],
    }[themes];
    expect(page1).toEqual(expected);
    expect(scheme).toEqual(
      {
        'light and dark': [
          ':root: light dark',
          ':root[data-theme="dark"]: dark',
          ':root[data-theme="light"]: light',
        ],
        'light only': [':root: light'],
        'dark only': [':root: dark'],
        'dark first': [
          ':root: dark',
          ':root[data-theme="light"]: light',
          ':root[data-theme="dark"]: dark',
        ],
      }[themes],
    );
    expect(light).not.toBe(dark);
  });

  test('one logo is shown at a time', () => {
    const shown = places(css, 'display', /logo-(?:light|dark)/);
    const first = themes.startsWith('dark') ? 'dark' : 'light';
    const other = first === 'dark' ? 'light' : 'dark';
    expect(shown).toContain(`.logo-${first}: inline-flex`);
    expect(shown).toContain(`.logo-${other}: none`);
    expect(shown.some((one) => one.includes('prefers-color-scheme'))).toBe(
      themes === 'light and dark',
    );
  });

  test('there are findings of its own themes only', () => {
    const modes = findingsOf(document, derived).map(({ where }) => where.mode);
    const wanted = themes.endsWith('only') ? [themes.split(' ')[0]] : ['light', 'dark'];
    expect(new Set(modes.filter((mode) => mode !== undefined))).toEqual(new Set(wanted));
  });

  test('the token file has the first theme as its values, the other as a mode', () => {
    const file = JSON.parse(writeDtcg(derived, document)) as {
      color: Record<string, { $value: { hex?: string }; $extensions?: Record<string, unknown> }>;
    };
    const quiet = file.color['quiet'];
    expect(quiet?.$value.hex).toBe(themes.startsWith('dark') ? '#202020' : '#f4f4f4');
    const modes = (quiet?.$extensions?.['app.garnish'] as { modes?: object } | undefined)?.modes;
    expect(Object.keys(modes ?? {})).toEqual(
      themes.endsWith('only') ? [] : [themes === 'dark first' ? 'light' : 'dark'],
    );
  });

  test('rungs move in its own themes only', () => {
    // A quiet that is wished where nothing reads has to move in each.
    const near = ['light', 'dark'].map((mode) => ({
      op: 'replace' as const,
      path: `/color/roles/items/text/${mode}`,
      value: { kind: 'near', ramp: 'brand', rung: 8 },
    }));
    const { assignment } = derive(sampleDocument([...near, ...with_(themes)]));
    const moved = assignment.moves.filter(({ role }) => role === 'text').map(({ mode }) => mode);
    expect(moved).toEqual(themes.endsWith('only') ? [themes.split(' ')[0]] : ['light', 'dark']);
  });

  test('the handoff has a column for each of its themes', () => {
    const head = writeHandoff(document, derived)
      .split('\n')
      .find((line) => line.startsWith('| role | property |'));
    expect(head).toBe(
      {
        'light and dark': '| role | property | light | dark |',
        'light only': '| role | property | light |',
        'dark only': '| role | property | dark |',
        'dark first': '| role | property | dark | light |',
      }[themes],
    );
  });
});
