import type { Derived } from '../derive/derived.ts';
import type { StyleDocument } from '../system/document.ts';
import { element, type ProofElement, type ProofNode } from './node.ts';

/** Everything on the page that text may stand on, by the id of its color role. */
type Surface = 'page' | 'surface' | 'action';

/**
 * Builds elements of a page whose classes are those of the exported sheet. A role that the system
 * does not have leaves its text in the style around it.
 */
export function builder({ styles, pairs, colors }: Derived) {
  const text = (
    tag: string,
    roleId: string,
    on: Surface,
    children: readonly ProofNode[],
    content?: string,
  ): ProofElement => {
    const style = styles.get(roleId);
    const pair = pairs.find(
      ({ style: used, on: ground, part }) =>
        used.id === roleId && ground.id === on && part === 'words',
    );
    return {
      tag,
      attributes: style ? { class: `type-${style.slug}` } : {},
      children,
      ...(content !== undefined && { content }),
      ...(style && {
        decision: `/type/roles/items/${roleId}/place`,
        uses: [
          ...['family', 'size', 'weight', 'line-height'].map(
            (part) => `type.${style.slug}.${part}`,
          ),
          ...(pair ? [`color.${pair.color.slug}`] : []),
        ],
      }),
    };
  };

  /** A part of the page on a surface of its own. */
  const ground = (
    tag: string,
    on: Surface,
    attributes: Readonly<Record<string, string>>,
    uses: readonly string[],
    children: readonly ProofNode[],
  ): ProofElement => {
    const role = colors.get(on);
    const className = [attributes['class'], role && `on-${role.slug}`].filter(Boolean).join(' ');
    return {
      tag,
      attributes: { ...attributes, class: className },
      children,
      uses,
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
  ground(
    'a',
    'action',
    { class: 'button', ...nowhere },
    [
      'button.background',
      'button.ink',
      'button.inset-inline',
      'button.inset-block',
      'button.corner',
    ],
    [text('span', 'label', 'action', [label], content)],
  );

export const quietButton = ({ text }: Build, label: string, content: string): ProofElement => ({
  ...element(
    'a',
    { class: 'quiet-button', ...nowhere },
    text('span', 'label', 'page', [label], content),
  ),
  uses: [
    'quiet-button.edge',
    'quiet-button.inset-inline',
    'quiet-button.inset-block',
    'color.action',
  ],
  decision: '/color/roles/items/action/light',
});

/** A part of the page that is made of space alone, with the tokens of it. */
export const room = (
  tag: string,
  attributes: Readonly<Record<string, string>>,
  uses: readonly string[],
  decision: string,
  ...children: readonly ProofNode[]
): ProofElement => ({ ...element(tag, attributes, ...children), uses, decision });
