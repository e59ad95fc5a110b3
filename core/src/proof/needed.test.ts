import { describe, expect, test } from '@jest/globals';
import { COMPONENTS } from '../components/components.ts';
import { derive } from '../derive/derive.ts';
import { inOrder } from '../system/document.ts';
import { sampleDocument } from '../system/sample.ts';
import { allNeeding, neededBy, rulesOfComponent, tokensInRules } from './needed.ts';

const document = sampleDocument();
const derived = derive(document);
const needed = (kind: 'page' | 'component', id: string) =>
  neededBy({ kind, id }, document, derived);

describe('what something needs', () => {
  test.each(COMPONENTS.map(({ id }) => id))(
    '%s: every token of its own classes that a rule takes',
    (id) => {
      const component = COMPONENTS.find((one) => one.id === id);
      const classes = new Set(component?.classes.map(({ name }) => name));
      const all = needed('component', id);
      expect(
        component && tokensInRules(rulesOfComponent(component, document, derived), derived),
      ).toEqual(all);
      // A token of a class of its own that any rule takes is among them.
      for (const token of derived.tokens)
        if (token.tier === 'component' && classes.has(token.path[0] ?? '')) {
          const isTaken = derived.rules.some((group) =>
            group.rules.some(({ declarations }) =>
              declarations.some(([, value]) => value.includes(`var(--${token.path.join('-')})`)),
            ),
          );
          if (isTaken) expect([id, token.id, all.includes(token.id)]).toEqual([id, token.id, true]);
        }
    },
  );

  test('a button: its own tokens and the type that it is set in, not those of a table', () => {
    const all = needed('component', 'button');
    expect(all).toContain('button.background');
    expect(all).not.toContain('table.line');
  });

  test('a page: what stands on it, and what every page has', () => {
    const [[id] = ['']] = inOrder(document.content.pages);
    const all = needed('page', id);
    expect(all).toContain('color.page');
    expect(all).toContain('type.h1.size');
    expect(all.length).toBeLessThan(derived.tokens.length / 2);
  });

  test('nothing, where there is nothing of the kind', () => {
    expect(needed('page', 'none')).toEqual([]);
    expect(needed('page', 'constructor')).toEqual([]);
    expect(needed('component', 'none')).toEqual([]);
  });

  test('is told of the pages that are shown and of every component', () => {
    const [[id] = ['']] = inOrder(document.content.pages);
    const kinds = (of: typeof document) => allNeeding(of).map((one) => `${one.kind} ${one.id}`);
    expect(kinds(document)).toContain(`page ${id}`);
    expect(kinds(document).filter((one) => one.startsWith('component '))).toHaveLength(
      COMPONENTS.length,
    );
  });
});
