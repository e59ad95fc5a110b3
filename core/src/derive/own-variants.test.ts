import { describe, expect, test } from '@jest/globals';
import { COMPONENTS } from '../components/components.ts';
import { findingsOf } from '../checks/checks.ts';
import { writeClasses } from '../formats/classes.ts';
import { writeComponentsPage } from '../formats/components-page.ts';
import { writeDtcg } from '../formats/dtcg.ts';
import { readDtcg } from '../formats/read-dtcg.ts';
import { classesIn } from '../proof/node.ts';
import { variantsOf } from '../proof/specimens.ts';
import type { StyleDocument } from '../system/document.ts';
import { patched, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { ownVariantsOf } from './own-variants.ts';
import { derive } from './derive.ts';

type Variants = NonNullable<StyleDocument['components']['variants']>;

const variant = (own: Partial<Variants['items'][string]> = {}): Patch => [
  {
    op: 'add',
    path: '/components/variants',
    value: {
      order: ['one'],
      items: { one: { name: 'Booking', of: 'button', takes: { corner: 'corner.card' }, ...own } },
    },
  },
];
const systemOf = (...patches: readonly Patch[]) => {
  const document = sampleDocument(patches.flat());
  return { document, derived: derive(document) };
};
const cssOf = ({ derived }: ReturnType<typeof systemOf>, name: string) =>
  derived.tokenById.get(name)?.values.light;
const rulesOf = ({ derived }: ReturnType<typeof systemOf>, word: string) =>
  derived.rules.flatMap(({ rules }) => rules).filter(({ selector }) => selector.includes(word));

describe('a variant of one’s own', () => {
  test('has a token for what it takes, and for nothing else', () => {
    const system = systemOf(variant());
    expect(cssOf(system, 'booking.corner')).toEqual({
      ...cssOf(system, 'corner.card'),
      reference: 'corner.card',
    });
    const own = system.derived.tokens.filter(({ path }) => path[0] === 'booking');
    expect(own.map(({ id }) => id)).toEqual(['booking.corner']);
    expect(own[0] && system.derived.trailOf(own[0].id)?.decisions[0]).toEqual({
      path: '/components/variants/items/one/takes/corner',
      label: 'booking.corner',
      value: 'corner.card',
    });
  });

  test('stands beside what it follows, and says only what it takes', () => {
    expect(rulesOf(systemOf(variant()), '.booking')).toEqual([
      { selector: '.button.booking', declarations: [['border-radius', 'var(--booking-corner)']] },
    ]);
  });

  test('has words in the color of each state, where they have one of their own at rest', () => {
    const rules = rulesOf(systemOf(variant({ takes: { ink: 'color.support-ink' } })), '.booking');
    const off = '.button.booking[aria-disabled="true"]';
    const words = rules.filter(({ selector }) => selector.includes('> [class]'));
    expect(words[0]).toEqual({
      selector: '.button.booking > [class]',
      declarations: [['color', 'var(--booking-ink)']],
    });
    // Else those of rest would win over the words of what is off.
    expect(words.find(({ selector }) => selector.includes(off))?.declarations).toEqual([
      ['color', 'inherit'],
    ]);
  });

  test('says in every state what it takes in one, so that no state of the original wins over it', () => {
    const rules = rulesOf(
      systemOf(variant({ takes: { background: 'color.support' } })),
      '.booking',
    );
    const grounds = rules.map(({ selector, declarations }) => [
      selector,
      declarations.find(([property]) => property === 'background-color')?.[1],
    ]);
    expect(grounds).toEqual([
      ['.button.booking', 'var(--booking-background)'],
      ['.button.booking:hover', 'var(--button-background-hover)'],
      ['.button.booking:active', 'var(--button-background-pressed)'],
      [
        '.button.booking:disabled, .button.booking[aria-disabled="true"]',
        'var(--button-background-off)',
      ],
    ]);
  });

  test('follows what it is a copy of: a departure of the original, and another manner', () => {
    const departs: Patch = [
      { op: 'add', path: '/components/departures/button.background', value: 'color.support' },
    ];
    const system = systemOf(variant(), departs);
    expect(cssOf(system, 'button.background')?.reference).toBe('color.support');
    expect(cssOf(system, 'booking.background')).toBeUndefined();
    const outlined: Patch = [
      { op: 'replace', path: '/components/manner/surface', value: 'outlined' },
    ];
    const other = systemOf(variant({ takes: { background: 'color.support' } }), outlined);
    // That manner has no ground: there is nothing to take otherwise.
    expect(rulesOf(other, '.booking')).toEqual([]);
  });

  test.each([
    ['a role that there is not', { takes: { background: 'color.nothing' } }],
    ['a token of another kind', { takes: { corner: 'color.action' } }],
    ['a part that there is not', { takes: { glow: 'color.action' } }],
    ['something that is no component', { of: 'nothing' }],
  ])('takes %s for nothing said', (_, own) => {
    expect(rulesOf(systemOf(variant(own)), '.booking')).toEqual([]);
  });

  test.each([
    ['__proto__', { of: '__proto__' }],
    ['no name', { name: '' }],
    ['a reference to nothing', { takes: { corner: 'x' } }],
    ['a part named after nothing', { takes: { ['constructor']: 'corner.card' } }],
  ])('is refused with %s', (_, own) => {
    expect(patched(sampleDocument(), variant(own)).ok).toBe(false);
  });

  test('that is called as a class of the system has another one', () => {
    const { document } = systemOf(variant({ name: 'Card' }));
    expect(ownVariantsOf(document.components)[0]?.slug).toBe('own-card');
  });

  test('never shares a class or a token with anything else, whatever it is called', () => {
    const plain = derive(sampleDocument());
    const roots = plain.tokens.map(({ path }) => path[0] ?? '');
    const classes = plain.rules.flatMap(({ rules }) =>
      rules.flatMap(({ selector }) =>
        [...selector.matchAll(/\.([a-z][\w-]*)/g)].map(([, name]) => name ?? ''),
      ),
    );
    const all = [...new Set([...roots, ...classes])];
    expect(all.length).toBeGreaterThan(80);
    const items = Object.fromEntries(
      [...all, ...all.map((name) => `own ${name}`)].map((name, index) => [
        `v${index}`,
        { name, of: 'button', takes: {} },
      ]),
    );
    const slugs = ownVariantsOf({ variants: { order: Object.keys(items), items } }).map(
      ({ slug }) => slug,
    );
    expect(slugs.filter((slug) => all.includes(slug))).toEqual([]);
    expect(new Set(slugs).size).toBe(slugs.length);
  });

  test('stands behind what it follows, with its class', () => {
    const { document } = systemOf(variant());
    const button = COMPONENTS.find(({ id }) => id === 'button');
    const all = button ? variantsOf(button, ownVariantsOf(document.components)) : [];
    const [main, own] = all;
    expect([main?.name, own?.name]).toEqual(['main', 'Booking']);
    expect([...classesIn(own?.specimen({}) ?? '')]).toEqual(
      expect.arrayContaining(['button', 'booking']),
    );
    expect(own?.states).toEqual(main?.states);
  });

  test('is handed over: class, page of components, tokens that are read back', () => {
    const { document, derived } = systemOf(variant());
    expect(writeClasses(document, derived)).toContain(
      '| `booking` (Booking) | `button` | corner |',
    );
    expect(writeComponentsPage(document, derived)).toContain('class="button on-action booking"');
    const read = readDtcg(writeDtcg(derived, document));
    expect(read.kind).toBe('system');
    if (read.kind === 'system') expect(read.document.components).toEqual(document.components);
  });

  test('whose words cannot be read is found where it is decided', () => {
    const { document, derived } = systemOf(variant({ takes: { ink: 'color.action-edge' } }));
    const found = findingsOf(document, derived).filter(({ decision }) =>
      decision.startsWith('/components/variants'),
    );
    expect(found.map(({ area }) => area)).toContain('components');
  });
});
