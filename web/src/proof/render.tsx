import type { ProofNode } from '@garnish/core/proof/node';
import { sanitizedSvg } from '../ui/sanitized-svg.ts';
import { createElement, type ReactNode } from 'react';

/** A node of the proof as React shows it; where it comes from is kept in data attributes. */
export function renderNode(node: ProofNode, editing: boolean, key?: number): ReactNode {
  if (typeof node === 'string') return node;
  const { class: className, ...attributes } = node.attributes;
  const markup = node.svg === undefined ? undefined : { __html: sanitizedSvg(node.svg) };
  return createElement(
    node.tag,
    {
      key,
      ...attributes,
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
