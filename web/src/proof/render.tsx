import type { ProofNode } from '@garnish/core/proof/node';
import { sanitizedSvg } from '../ui/sanitized-svg.ts';
import { createElement, type ReactNode } from 'react';

/** Attributes that are there or not, and what the reader may change afterwards, by what React calls them. */
const CALLED: Readonly<Record<string, string>> = {
  checked: 'defaultChecked',
  open: 'open',
  readonly: 'readOnly',
  value: 'defaultValue',
};

const asReact = (attributes: Readonly<Record<string, string>>): Record<string, unknown> =>
  Object.fromEntries(
    Object.entries(attributes).map(([name, value]) => {
      const called = Object.hasOwn(CALLED, name) ? CALLED[name] : undefined;
      return called === undefined ? [name, value] : [called, value === '' ? true : value];
    }),
  );

/** A node of the proof as React shows it; where it comes from is kept in data attributes. */
export function renderNode(node: ProofNode, editing: boolean, key?: number): ReactNode {
  if (typeof node === 'string') return node;
  const { class: className, ...attributes } = node.attributes;
  const markup = node.svg === undefined ? undefined : { __html: sanitizedSvg(node.svg) };
  return createElement(
    node.tag,
    {
      key,
      ...asReact(attributes),
      className,
      ...(markup && { dangerouslySetInnerHTML: markup }),
      'data-decision': node.decision,
      'data-section': node.place,
      'data-content': node.content,
      ...(editing &&
        node.content !== undefined && {
          contentEditable: 'plaintext-only',
          suppressContentEditableWarning: true,
          spellCheck: false,
        }),
    },
    ...(markup ? [] : node.children).map((child, index) => renderNode(child, editing, index)),
  );
}
