import { element, type ProofElement, type ProofNode } from './node.ts';
import { PICTURE_ROLES, type PictureRole } from '../system/picture-roles.ts';
import { altOf, type Build, type ShownPicture } from './sections/kind.ts';

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

/**
 * A picture in its role, cut to the shape that the role has; `at` is its place among others. What is done to it may
 * take an element around it.
 */
export function pictureIn(
  build: Pick<Build, 'pictures'>,
  role: PictureRole,
  shown: ShownPicture,
  at = 0,
): ProofElement {
  const { isToned } = build.pictures(role);
  const className = pictureClass(build, role, at);
  return isToned
    ? element('span', { class: `${className} toned toned-${role}` }, picture(shown, ''))
    : picture(shown, className);
}

const HAS_SHAPE: ReadonlySet<PictureRole> = new Set(['card', 'figure']);

/** The class of a role, and that of its shape. */
function pictureClass(build: Pick<Build, 'pictures'>, role: PictureRole, at: number): string {
  const own = PICTURE_ROLES.find(({ id }) => id === role)?.className ?? '';
  const shape = HAS_SHAPE.has(role) ? build.pictures(role).shapeAt(at) : undefined;
  return shape === undefined ? own : `${own} picture-${shape}`;
}

/** The same; a place without a picture yet is a surface of the shape that it would have. */
export const pictureOr = (
  build: Build,
  role: PictureRole,
  shown: ShownPicture | undefined,
  at = 0,
): ProofElement =>
  shown
    ? pictureIn(build, role, shown, at)
    : build.ground(
        'div',
        'surface',
        { class: pictureClass(build, role, at), 'aria-hidden': 'true' },
        [],
      );

/** A stored picture, cut to a shape. */
export const picture = (
  { file, width, height, ...said }: ShownPicture,
  className: string,
): ProofElement =>
  element('img', {
    ...(className !== '' && { class: className }),
    src: `/proof/pictures/${file}`,
    width: String(width),
    height: String(height),
    alt: altOf(said),
  });
