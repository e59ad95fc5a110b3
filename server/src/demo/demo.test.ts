/** @jest-environment jsdom */
import { derive } from '@garnish/core/derive/derive';
import { classesIn, writeHtml, type ProofElement, type ProofNode } from '@garnish/core/proof/node';
import { madeOf } from '@garnish/core/proof/made-of';
import { specimenRules } from '@garnish/core/proof/sheet/manners';
import { sheetPage } from '@garnish/core/proof/sheet/sheet';
import { sitePage } from '@garnish/core/proof/site';
import { tokensStanding, type StandingPage } from '@garnish/core/proof/standing';
import { propertyOf } from '@garnish/core/tokens/token';
import { inOrder } from '@garnish/core/system/document';
import { describe, expect, test } from '@jest/globals';
import { demoSystems } from './demo.ts';
import { handedDemos } from './handoffs.ts';

function read(node: ProofElement): StandingPage {
  const page = document.implementation.createHTMLDocument('');
  page.body.innerHTML = writeHtml(node, (svg) => svg);
  return { page, own: { key: 'specimens', rules: specimenRules(classesIn(node)) } };
}

describe.each(demoSystems().map((system) => ({ name: system.name, system })))(
  'the demo $name',
  ({ system }) => {
    const derived = derive(system);
    const pages = inOrder(system.content.pages).map(([id]) => read(sitePage(system, derived, id)));
    const ids = derived.tokens.map(({ id }) => id);

    test('has no token that stands on no page', () => {
      const parts = read(sheetPage(system, derived, 'light'));
      const standing = tokensStanding([...pages, parts], derived);
      expect(ids.filter((id) => !standing.has(id))).toEqual([]);
    });

    test('says of every element of every page, the sheet of parts too, what it is made of: tokens that there are', () => {
      const properties = new Set(derived.tokens.map(propertyOf));
      const node = sheetPage(system, derived, 'light');
      const own = { key: 'specimens', rules: specimenRules(classesIn(node)) };
      const all = [
        ...inOrder(system.content.pages).map(([id]) => sitePage(system, derived, id)),
        node,
      ];
      let made = 0;
      for (const one of all) {
        const page = document.implementation.createHTMLDocument('');
        page.body.innerHTML = writeHtml(one, (svg) => svg);
        for (const element of page.querySelectorAll('*')) {
          const found = madeOf<Element>(element, [...derived.rules, own], (name) =>
            properties.has(name),
          );
          expect(found.unknown).toEqual([]);
          made += found.properties.length;
        }
      }
      expect(made).toBeGreaterThan(1500);
    });

    test('would have some without the sheet of parts', () => {
      const standing = tokensStanding(pages, derived);
      expect(ids.filter((id) => !standing.has(id)).length).toBeGreaterThan(50);
    });
  },
);

/** The places in the document that the elements of a page name. */
function* placesIn(node: ProofNode): Generator<string | undefined> {
  if (typeof node === 'string') return;
  yield node.place;
  yield node.content;
  for (const child of node.children) yield* placesIn(child);
}

test.each(handedDemos().flatMap(({ system, talks }) => talks.map((talk) => ({ system, ...talk }))))(
  'what is said of it stands with a thing that is there: $words',
  ({ system: made, page, pin }) => {
    const system = made();
    const places = [...placesIn(sitePage(system, derive(system), page))];
    expect([`/content/pages/items/${page}`, ...places]).toContain(pin.at);
  },
);
