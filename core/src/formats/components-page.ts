import { COMPONENTS } from '../components/components.ts';
import { GROUPS, type Component, type Variant } from '../components/component.ts';
import { stateOf, type StateId } from '../components/states.ts';
import { ownVariantsOf } from '../derive/own-variants.ts';
import type { Derived } from '../derive/derived.ts';
import { drawnRules } from '../proof/drawn-states.ts';
import { element, writeHtml, type ProofElement, type ProofNode } from '../proof/node.ts';
import { specimenOf, variantsOf } from '../proof/specimens.ts';
import type { StyleDocument } from '../system/document.ts';
import { namedClasses, namingOf, type Naming } from './naming.ts';
import { rulesCss } from './sheet.ts';

/** How the page itself is laid out; what it shows is the look of the exported sheet alone. */
const OWN = `
body { margin: 0; }
[data-doc="page"] { max-inline-size: 72rem; margin-inline: auto; padding: 2rem 1rem 6rem; }
[data-doc="contents"] { columns: 12rem; padding: 0; list-style: none; }
[data-doc="component"] { margin-block-start: 4rem; border-block-start: 1px solid; padding-block-start: 1rem; }
[data-doc="states"] { display: flex; flex-wrap: wrap; gap: 1.5rem; align-items: start; margin-block: 1.5rem 0.5rem; }
[data-doc="state"] { display: grid; gap: 0.5rem; justify-items: start; max-inline-size: 100%; }
[data-doc="state"] > :first-child { position: static; translate: none; }
[data-doc="says"] { font-size: 0.8125rem; opacity: 0.75; }
[data-doc="html"] { overflow-x: auto; font-size: 0.8125rem; }
`;

/** No specimen has a drawing of its own. */
const NO_SVG = (): string => '';

/** An element with the classes as the sheet writes them. */
const named = (node: ProofNode, naming: Naming): ProofNode => {
  if (typeof node === 'string') return node;
  const { class: names, ...attributes } = node.attributes;
  return {
    ...node,
    attributes: {
      ...(names !== undefined && { class: namedClasses(names, naming) }),
      ...attributes,
    },
    children: node.children.map((child) => named(child, naming)),
  };
};

const doc = (what: string, tag: string, ...children: readonly ProofNode[]): ProofElement =>
  element(tag, { 'data-doc': what }, ...children);

/** A variant in each of its states, with the HTML that makes it. */
function variantNodes(variant: Variant, derived: Derived, naming: Naming): readonly ProofNode[] {
  const shown = (state?: StateId): ProofNode => named(specimenOf(variant, derived, state), naming);
  return [
    element('h3', {}, variant.name),
    doc(
      'states',
      'div',
      ...[undefined, ...variant.states].map((state) =>
        doc(
          'state',
          'div',
          shown(state),
          doc('says', 'span', state === undefined ? 'at rest' : stateOf(state).name),
        ),
      ),
    ),
    element(
      'details',
      {},
      element('summary', {}, 'HTML'),
      doc('html', 'pre', element('code', {}, writeHtml(shown(), NO_SVG))),
    ),
  ];
}

const componentNode = (
  { id, name, says }: Component,
  variants: readonly Variant[],
  derived: Derived,
  naming: Naming,
): ProofElement =>
  element(
    'section',
    { id, 'data-doc': 'component' },
    element('h2', {}, name),
    element('p', {}, `${says.charAt(0).toUpperCase()}${says.slice(1)}.`),
    ...variants.flatMap((variant) => variantNodes(variant, derived, naming)),
  );

/**
 * A page of every component in every state, drawn by `tokens.css` beside it, with the HTML of each. It follows the
 * theme that its reader asks for; states that only a hand brings about are drawn by the rules of the sheet itself.
 */
export function writeComponentsPage(document: StyleDocument, derived: Derived): string {
  const naming = namingOf(document.tokens.sheet, derived);
  const own = ownVariantsOf(document.components);
  const all = COMPONENTS.filter(({ variants = [] }) => variants.length > 0);
  const [language = 'en'] = document.brief.languages;
  const states = drawnRules(derived.rules.flatMap((group) => group.rules));
  const body = doc(
    'page',
    'main',
    element('h1', {}, `Components of ${document.name}`),
    element('p', {}, 'Every component in every state. Nothing but tokens.css makes their look.'),
    doc(
      'contents',
      'ul',
      ...GROUPS.flatMap(([group]) =>
        all
          .filter((one) => one.group === group)
          .map(({ id, name }) => element('li', {}, element('a', { href: `#${id}` }, name))),
      ),
    ),
    ...GROUPS.flatMap(([group]) =>
      all
        .filter((one) => one.group === group)
        .map((component) => componentNode(component, variantsOf(component, own), derived, naming)),
    ),
  );
  const title = writeHtml(element('title', {}, `Components of ${document.name}`), NO_SVG);
  return [
    '<!doctype html>',
    `<html lang="${language}">`,
    '<meta charset="utf-8">',
    '<meta name="viewport" content="width=device-width">',
    title,
    '<link rel="stylesheet" href="tokens.css">',
    `<style>${OWN}${rulesCss(states, naming)}</style>`,
    writeHtml(body, NO_SVG),
    '</html>',
    '',
  ].join('\n');
}
