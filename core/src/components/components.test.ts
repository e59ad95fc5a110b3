import { describe, expect, test } from '@jest/globals';
import { converter, differenceEuclidean } from 'culori';
import { tokensOfDecision } from '../derive/decided-tokens.ts';
import { findingsOf } from '../checks/checks.ts';
import { differenceOf } from '../derive/component-states.ts';
import { FIXED, isOf, nameOf, PARTS } from '../derive/components.ts';
import { derive } from '../derive/derive.ts';
import type { Rule } from '../derive/derived.ts';
import { writeCss } from '../formats/css.ts';
import { drawnRules } from '../proof/drawn-states.ts';
import { classesIn } from '../proof/node.ts';
import { specimenOf } from '../proof/specimens.ts';
import { SURFACES, TELLINGS } from '../system/component-schema.ts';
import { MODES, type StyleDocument } from '../system/document.ts';
import { patched, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { COMPONENTS } from './components.ts';
import { POINTING, stateOf, STATES } from './states.ts';

const after = (document: StyleDocument, patch: Patch): StyleDocument => {
  const result = patched(document, patch);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.document;
};
const mannerly = (surface: string, states: string): Patch => [
  { op: 'replace', path: '/components/manner', value: { surface, states } },
];
const departs = (part: string, value: string): Patch => [
  { op: 'add', path: `/components/departures/${part}`, value },
];
const rulesOf = (document: StyleDocument): readonly Rule[] =>
  derive(document).rules.flatMap(({ rules }) => rules);
const cssOf = (document: StyleDocument, token: string, mode: 'light' | 'dark' = 'light') =>
  derive(document).tokenById.get(token)?.values[mode].css;

const MANNERS = SURFACES.flatMap((surface) => TELLINGS.map((states) => [surface, states] as const));

describe('the list of components', () => {
  test('names each component, class, part and space once', () => {
    const once = (names: readonly string[]): void => expect(new Set(names).size).toBe(names.length);
    once(COMPONENTS.map(({ id }) => id));
    once(COMPONENTS.flatMap(({ classes }) => classes.map(({ name }) => name)));
    once(COMPONENTS.flatMap(({ spaces = {} }) => Object.keys(spaces)));
    for (const [surface, states] of MANNERS)
      once(
        PARTS.filter((part) => isOf(part, { surface, states })).map(
          (part) => `${nameOf(part)} ${part.property}`,
        ),
      );
  });

  test.each(COMPONENTS.map((own) => [own.id, own] as const))(
    '%s has a class or a selector for every part, and its specimens are of its classes',
    (_, { classes, parts = [], fixed = [], selectors = {}, variants = [] }) => {
      const names = new Set([...classes.map(({ name }) => name), ...Object.keys(selectors)]);
      for (const { of } of [...parts, ...fixed]) {
        // Something in another component is styled where that component is.
        const isElsewhere = COMPONENTS.some((other) =>
          other.classes.some(({ name }) => name === of),
        );
        expect([
          of,
          names.has(of) || isElsewhere || /^(mark-|table-|header|footer)/.test(of),
        ]).toEqual([of, true]);
      }
      for (const variant of variants) {
        const used = [...classesIn(variant.specimen({}))];
        const known = COMPONENTS.flatMap((other) => other.classes.map(({ name }) => name));
        for (const name of used)
          expect([
            name,
            known.includes(name) || /^(type|on|fill|wash|span|icon)-|^icon$|^grid$/.test(name),
          ]).toEqual([name, true]);
      }
    },
  );

  test.each(
    COMPONENTS.flatMap(({ variants = [] }) => variants.map((one) => [one.of, one] as const)),
  )('a specimen of %s takes the attributes of each of its states', (_, variant) => {
    const derived = derive(sampleDocument());
    for (const state of variant.states) {
      const plain = JSON.stringify(specimenOf(variant, derived));
      expect(JSON.stringify(specimenOf(variant, derived, state))).not.toBe(plain);
    }
  });
});

describe('opacities, layers and durations', () => {
  const declared = (changes: Patch, selector: string): Readonly<Record<string, string>> =>
    Object.fromEntries(
      rulesOf(sampleDocument(changes))
        .filter((rule) => rule.selector.split(', ').includes(selector))
        .flatMap(({ declarations }) => declarations),
    );
  const without = (what: 'opacities' | 'layers'): Patch => [
    { op: 'replace', path: `/shape/${what}`, value: { order: [], items: {} } },
  ];

  test('that are decided are what components take', () => {
    const { tokenById } = derive(sampleDocument());
    const from = (id: string): string | undefined => tokenById.get(id)?.values.light.reference;
    for (const of of ['slider', 'check', 'radio', 'switch'])
      expect(from(`${of}.opacity-off`)).toBe('opacity.faint');
    expect(from('dialog-backdrop.opacity')).toBe('opacity.veiled');
    expect(from('nav-panel.layer')).toBe('layer.floating');
    expect(from('skip-link.layer')).toBe('layer.dialog');
    expect(from('dialog.lasts')).toBe('duration.calm');
    expect(declared([], '.slider:disabled')).toMatchObject({
      opacity: 'var(--slider-opacity-off)',
    });
    expect(declared([], '.dialog::backdrop')).toMatchObject({
      opacity: 'var(--dialog-backdrop-opacity)',
    });
  });

  test('where none is decided, what is switched off and what lies above are told apart all the same', () => {
    expect(declared(without('opacities'), '.slider:disabled')['opacity']).toBe('0.6');
    expect(declared(without('layers'), '.nav-panel')['z-index']).toBe('1');
    expect(declared(without('layers'), '.skip-link')['z-index']).toBe('1');
  });

  test('never take each other’s place, whoever wrote so', () => {
    const { tokenById } = derive(
      sampleDocument([
        {
          op: 'replace',
          path: '/components/departures',
          value: { 'slider.opacity-off': 'layer.2', 'skip-link.layer': 'layer.2' },
        },
      ]),
    );
    expect(tokenById.get('slider.opacity-off')?.values.light.reference).toBe('opacity.faint');
    expect(tokenById.get('skip-link.layer')?.values.light.reference).toBe('layer.sticky');
  });
});

describe('states', () => {
  test('stand behind rest, in their order, and pointing only where something can point', () => {
    const rules = rulesOf(sampleDocument());
    const place = (selector: string): number =>
      rules.findIndex((rule) => rule.selector.split(', ').includes(selector));
    const places = ['.button', '.button:hover', '.button:active', '.button:disabled'].map(place);
    expect(places.every((one) => one >= 0)).toBe(true);
    expect(places).toEqual(places.toSorted((one, other) => one - other));
    for (const { selector, within } of rules)
      if (
        COMPONENTS.some(({ classes }) =>
          classes.some(({ name }) => selector.startsWith(`.${name}:hover`)),
        )
      )
        expect([selector, within]).toEqual([selector, POINTING]);
  });

  test.each(MANNERS)(
    '%s, told by %s: each declared is drawn by the same declarations',
    (surface, states) => {
      const rules = rulesOf(sampleDocument(mannerly(surface, states)));
      const drawn = drawnRules(rules);
      const byHand = STATES.filter((state) => !('attributes' in state));
      const stated = rules.filter(({ selector }) =>
        byHand.some(({ selectors }) => selectors.some((one) => selector.includes(one))),
      );
      expect(stated.length).toBeGreaterThan(20);
      expect(drawn.map(({ declarations }) => declarations)).toEqual(
        stated.map(({ declarations }) => declarations),
      );
      for (const { selector } of drawn) expect(selector).not.toMatch(/:(hover|active|focus)/);
    },
  );

  test.each(MANNERS)('%s, told by %s: all differ from what they come from', (surface, states) => {
    const found = findingsOf(
      sampleDocument(mannerly(surface, states)),
      derive(sampleDocument(mannerly(surface, states))),
    ).filter(({ id }) => id.startsWith('component:'));
    expect(found.map(({ id }) => id)).toEqual([]);
  });

  test('differ by the distance that an independent library finds', () => {
    const document = sampleDocument();
    const { tokenById } = derive(document);
    const { manner } = document.components;
    const oklab = converter('oklab');
    const distance = differenceEuclidean('oklab');
    for (const mode of MODES)
      for (const state of ['hover', 'pressed'] as const) {
        const [rest, now] = ['button.background', `button.background-${state}`].map((id) =>
          oklab(tokenById.get(id)?.values[mode].css ?? ''),
        );
        if (!rest || !now) throw new Error('no such color');
        const found = differenceOf({ of: 'button' }, undefined, state, { manner, tokenById, mode });
        expect(found.distance).toBeCloseTo(distance(rest, now), 4);
        expect(found.part).toBe(`background-${state}`);
      }
  });
});

describe('what departs', () => {
  test('takes another token, stays when the manner changes, and follows again when it is let go', () => {
    const usual = sampleDocument();
    const own = after(usual, departs('button.corner', 'corner.card'));
    const card = cssOf(usual, 'corner.card');
    expect(cssOf(own, 'button.corner')).toBe(card);
    expect(writeCss(derive(own))).toContain('--button-corner: var(--corner-card)');
    const outlined = after(own, mannerly('outlined', 'edge'));
    expect(cssOf(outlined, 'button.corner')).toBe(card);
    const letGo = after(outlined, [{ op: 'remove', path: '/components/departures/button.corner' }]);
    expect(cssOf(letGo, 'button.corner')).toBe(cssOf(usual, 'corner.control'));
    expect(cssOf(letGo, 'quiet-button.corner')).toBe(cssOf(usual, 'corner.control'));
  });

  test('is seen when it makes two states alike, and its repair ends that', () => {
    const planted = sampleDocument(departs('button.background-hover', 'color.action'));
    const of = (document: StyleDocument) =>
      findingsOf(document, derive(document)).filter(({ id }) =>
        id.startsWith('component:button:hover:rest'),
      );
    const [first] = of(planted);
    expect(first).toMatchObject({ severity: 'repair', area: 'components' });
    expect(first?.figures).toContain('0.000');
    const repaired = after(planted, first?.repair?.patch ?? []);
    expect(of(repaired)).toEqual([]);
    expect(repaired).toEqual(sampleDocument());
  });

  test('is the first decision of its trail, and leads to its token; of what follows it is none', () => {
    const derived = derive(sampleDocument(departs('button.corner', 'corner.card')));
    const path = '/components/departures/button.corner';
    expect(derived.trailOf('button.corner')?.decisions[0]).toMatchObject({ path });
    expect(tokensOfDecision(path, derived)).toEqual(['button.corner']);
    expect(derived.trailOf('quiet-button.corner')?.decisions.some((one) => one.path === path)).toBe(
      false,
    );
  });

  test.each([
    ['button.corner', 'color.action'],
    ['button.background', 'corner.card'],
    ['button.lasts', 'easing.1'],
    ['dialog.level', 'edge.line'],
  ])('of %s to %s, which is of another type, is none', (part, value) => {
    const [usual, own] = [sampleDocument(), sampleDocument(departs(part, value))];
    expect(writeCss(derive(own))).toBe(writeCss(derive(usual)));
  });

  test('goes by what a part usually takes where its role is gone', () => {
    const document = sampleDocument(departs('button.background', 'color.no-such-role'));
    expect(cssOf(document, 'button.background')).toBe(cssOf(sampleDocument(), 'button.background'));
  });

  test.each([
    '__proto__.x',
    'constructor',
    'button',
    'button.',
    '.corner',
    'Button.corner',
    'a.b.c',
  ])('is not called %s', (name) => {
    expect(patched(sampleDocument(), departs(name, 'color.action')).ok).toBe(false);
  });

  test.each(['red', 'color.', 'color.__proto__', 'url(x)', 'space.inset', 'color.a b'])(
    'does not take %s',
    (value) => {
      expect(patched(sampleDocument(), departs('button.corner', value)).ok).toBe(false);
    },
  );
});

test('two variants that were made the same are found, and their repair parts them', () => {
  const same = (document: StyleDocument) =>
    findingsOf(document, derive(document)).filter(({ id }) => id.startsWith('same-variants:'));
  expect(same(sampleDocument())).toEqual([]);
  const planted = sampleDocument([
    ...departs('danger-button.background', 'color.action'),
    ...departs('danger-button.ink', 'color.action-ink'),
  ]);
  const [first] = same(planted);
  expect(first?.title).toBe('Button: dangerous looks as main');
  expect(same(after(planted, first?.repair?.patch ?? []))).toEqual([]);
});

// WCAG 2.2, 1.4.1: what is current, chosen or invalid is told by more than its color.
test.each(MANNERS)(
  '%s, told by %s: current, chosen and invalid are more than a color',
  (surface, states) => {
    const document = sampleDocument(mannerly(surface, states));
    const { tokenById } = derive(document);
    const { manner } = document.components;
    let asked = 0;
    for (const { variants = [] } of COMPONENTS)
      for (const variant of variants)
        for (const state of ['current', 'chosen', 'invalid'] as const)
          if (variant.states.includes(state))
            for (const mode of MODES) {
              asked += 1;
              const { isMore } = differenceOf(variant, undefined, state, {
                manner,
                tokenById,
                mode,
              });
              expect([variant.of, state, isMore]).toEqual([variant.of, state, true]);
            }
    expect(asked).toBeGreaterThan(20);
  },
);

test('what is said without a token says a state that there is', () => {
  for (const { state } of FIXED) if (state !== undefined) expect(stateOf(state).id).toBe(state);
});

describe('what is shown on pointing alone', () => {
  /** What hides or reveals. */
  const REVEALING = [
    'display',
    'visibility',
    'opacity',
    'content',
    'clip-path',
    'content-visibility',
  ];

  test.each(MANNERS)(
    '%s, told by %s: is nothing but a color, a line or a level',
    (surface, states) => {
      const pointed = rulesOf(sampleDocument(mannerly(surface, states))).filter(
        ({ within }) => within === POINTING,
      );
      expect(pointed.length).toBeGreaterThan(10);
      for (const { selector, declarations } of pointed)
        for (const [property] of declarations)
          expect([selector, property, REVEALING.includes(property)]).toEqual([
            selector,
            property,
            false,
          ]);
    },
  );

  test('is for those who can point: a field of plain words has its whole edge by touch', () => {
    const rules = rulesOf(sampleDocument()).filter(({ selector }) =>
      /^\.word-field(?!:)/.test(selector),
    );
    for (const { within, declarations } of rules)
      if (declarations.some(([property]) => property.startsWith('border')))
        expect(within).toBe(POINTING);
  });
});

test('levels are told by shadows of the hue of their ground, never by gray on a tint', () => {
  const { tokens, colors } = derive(sampleDocument());
  const lch = converter('oklch');
  for (const mode of MODES) {
    const ground = lch(colors.get('surface')?.colors[mode] ?? '');
    // On a tinted ground alone; a gray one may have a gray shadow.
    if ((ground?.c ?? 0) < 0.004) continue;
    for (const { id, path, values } of tokens.filter(({ path: [kind] }) => kind === 'shadow')) {
      if (path[1] !== colors.get('surface')?.slug) continue;
      const [hex] = /#[0-9a-f]{6}/.exec(values[mode].css ?? '') ?? [];
      if (hex === undefined || hex === '#000000') continue;
      expect([id, (lch(hex)?.c ?? 0) > 0]).toEqual([id, true]);
    }
  }
});
