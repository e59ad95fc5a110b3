import { element, type ProofElement, type ProofNode } from './node.ts';
import type { Build, ShownPicture } from './sections/kind.ts';

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

export const quietButton = (
  { text }: Build,
  label: string,
  content: string,
  className = '',
): ProofElement => ({
  ...element(
    'a',
    { class: ['quiet-button', className].filter(Boolean).join(' '), ...nowhere },
    text('span', 'label', [label], content),
  ),
  decision: '/color/roles/items/action/light',
});

/** A part of the page that is made of space alone. */
export const room = (
  tag: string,
  attributes: Readonly<Record<string, string>>,
  decision: string,
  ...children: readonly ProofNode[]
): ProofElement => ({ ...element(tag, attributes, ...children), decision });

/** A part of a page with its heading. */
export const block = (className: string, ...children: readonly ProofNode[]): ProofElement =>
  element('section', { class: ['block', className].filter(Boolean).join(' ') }, ...children);

/** A picture in a shape; a place without one yet is a surface of the shape that it would have. */
export const pictureOr = (
  shown: ShownPicture | undefined,
  className: string,
  { ground }: Build,
): ProofElement =>
  shown
    ? picture(shown, className)
    : ground('div', 'surface', { class: className, 'aria-hidden': 'true' }, []);

/** A stored picture, cut to a shape. */
export const picture = (
  { file, width, height, name }: ShownPicture,
  className: string,
): ProofElement =>
  element('img', {
    class: className,
    src: `/proof/pictures/${file}`,
    width: String(width),
    height: String(height),
    alt: name,
  });
