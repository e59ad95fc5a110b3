/** @jest-environment jsdom */
import { derive } from '@garnish/core/derive/derive';
import { classesIn, writeHtml, type ProofElement } from '@garnish/core/proof/node';
import { specimenRules } from '@garnish/core/proof/sheet/manners';
import { sheetPage } from '@garnish/core/proof/sheet/sheet';
import { sitePage } from '@garnish/core/proof/site';
import { tokensStanding, type StandingPage } from '@garnish/core/proof/standing';
import { inOrder } from '@garnish/core/system/document';
import { describe, expect, test } from '@jest/globals';
import { demoSystems } from './demo.ts';

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

    test('would have some without the sheet of parts', () => {
      const standing = tokensStanding(pages, derived);
      expect(ids.filter((id) => !standing.has(id)).length).toBeGreaterThan(50);
    });
  },
);
