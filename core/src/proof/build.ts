import type { Derived } from '../derive/derived.ts';
import type { StyleDocument } from '../system/document.ts';
import { element, type ProofElement, type ProofNode } from './node.ts';

/** Everything on the page that text may stand on, by the id of its color role. */
type Surface = 'page' | 'surface' | 'action';

/**
 * Builds elements of a page whose classes are those of the exported sheet. A role that the system
 * does not have leaves its text in the style around it.
 */
export function builder({ styles, colors }: Derived) {
  const text = (
    tag: string,
    roleId: string,
    children: readonly ProofNode[],
    content?: string,
  ): ProofElement => {
    const style = styles.get(roleId);
    return {
      tag,
      attributes: style ? { class: `type-${style.slug}` } : {},
      children,
      ...(content !== undefined && { content }),
      ...(style && {
        decision: `/type/roles/items/${roleId}/place`,
      }),
    };
  };

  /** A part of the page on a surface of its own. */
  const ground = (
    tag: string,
    on: Surface,
    attributes: Readonly<Record<string, string>>,
    children: readonly ProofNode[],
  ): ProofElement => {
    const role = colors.get(on);
    const className = [attributes['class'], role && `on-${role.slug}`].filter(Boolean).join(' ');
    return {
      tag,
      attributes: { ...attributes, class: className },
      children,
      decision: role ? `/color/roles/items/${on}/light` : '/color/sources',
    };
  };
  return { text, ground };
}

export type Build = ReturnType<typeof builder>;

/** What a section of a page is made of. */
export interface Page {
  readonly build: Build;
  readonly document: StyleDocument;
  readonly derived: Derived;
}

/** A section of a page; nothing where the site has no words for it. */
export type Section = (page: Page) => readonly ProofNode[];

/** Leads nowhere that anybody has been: a link to the page itself would count as visited. */
export const nowhere = { href: '#to-be-written' };

/** Words within a text, with where they stand in the document. */
export const wordsAt = (
  tag: string,
  words: string,
  content: string,
  attributes: Readonly<Record<string, string>> = {},
): ProofElement => ({ ...element(tag, attributes, words), content });

export const button = ({ text, ground }: Build, label: string, content: string): ProofElement =>
  ground('a', 'action', { class: 'button', ...nowhere }, [text('span', 'label', [label], content)]);

export const quietButton = ({ text }: Build, label: string, content: string): ProofElement => ({
  ...element('a', { class: 'quiet-button', ...nowhere }, text('span', 'label', [label], content)),
  decision: '/color/roles/items/action/light',
});

/** A part of the page that is made of space alone. */
export const room = (
  tag: string,
  attributes: Readonly<Record<string, string>>,
  decision: string,
  ...children: readonly ProofNode[]
): ProofElement => ({ ...element(tag, attributes, ...children), decision });
