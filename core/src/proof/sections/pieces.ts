import * as z from 'zod/mini';
import type { Variant } from '../../components/component.ts';
import { COMPONENTS } from '../../components/components.ts';
import { collection, words } from '../../system/schema-parts.ts';
import { element, type ProofElement, type ProofNode } from '../node.ts';
import { each, kind, listed } from './kind.ts';

/** What of a component can stand among others; head, foot and what is put together are sections of their own. */
export interface Piece {
  /** The component and its variant: `button.main`. */
  readonly id: string;
  readonly name: string;
  readonly variant: Variant;
}

/** What belongs to the page as a whole. */
const OF_THE_PAGE: ReadonlySet<string> = new Set(['skip', 'dialog']);

/** Every component that can stand in a row with others, in each of its variants. */
export const PIECES: readonly Piece[] = COMPONENTS.filter(
  ({ id, group }) => group !== 'together' && !OF_THE_PAGE.has(id),
).flatMap(({ id, name, variants = [] }) =>
  variants.map((variant) => ({
    id: `${id}.${variant.id}`,
    name: variants.length === 1 ? name : `${name}, ${variant.name}`,
    variant,
  })),
);

const byId: ReadonlyMap<string, Piece> = new Map(PIECES.map((piece) => [piece.id, piece]));

/** A piece by the component and its variant. */
export const pieceOf = (id: string): Piece | undefined => byId.get(id);

const isSaid = (node: ProofNode): node is string => typeof node === 'string' && node.trim() !== '';

/** What an element says, from the top, each text under a name by its place. */
export function saidIn(node: ProofElement): Readonly<Record<string, string>> {
  const said: Record<string, string> = {};
  let count = 0;
  const walk = (one: ProofNode): void => {
    if (isSaid(one)) {
      count += 1;
      said[`text-${count}`] = one;
    } else if (typeof one !== 'string') one.children.forEach(walk);
  };
  walk(node);
  return said;
}

/** An element that says something else; a text that nothing is said of stays. Each stands where its words do. */
function saying(
  node: ProofElement,
  words: Readonly<Record<string, string>>,
  at: string,
): ProofElement {
  let count = 0;
  const walk = (one: ProofElement): ProofElement => {
    const isAlone = one.children.length === 1;
    let content: string | undefined;
    const children = one.children.map((child): ProofNode => {
      if (typeof child !== 'string') return walk(child);
      if (!isSaid(child)) return child;
      count += 1;
      const key = `text-${count}`;
      const own = Object.hasOwn(words, key) ? words[key] : undefined;
      if (own === undefined) return child;
      const place = `${at}/${key}`;
      if (!isAlone) return { ...element('span', {}, own), content: place };
      content = place;
      return own;
    });
    return { ...one, children, ...(content !== undefined && { content }) };
  };
  return walk(node);
}

/** A piece with the words of its specimen, to be written anew. */
export const pieceWith = (id: string) => {
  const own = pieceOf(id);
  return { piece: id, words: own ? saidIn(own.variant.specimen({})) : {} };
};

/** Components beside each other, with words of one’s own. */
export const pieces = kind({
  id: 'pieces',
  name: 'Components in a row',
  says: 'any components beside each other, with words of your own',
  shape: {
    pieces: collection(
      z.strictObject({
        piece: z.string().check(z.regex(/^[a-z][a-z0-9-]*\.[a-z][a-z0-9-]*$/), z.maxLength(80)),
        words: z.record(z.string().check(z.regex(/^text-[0-9]{1,3}$/)), words),
      }),
    ),
  },
  start: () => ({ pieces: listed(pieceWith('tag.usual'), pieceWith('button.main')) }),
  nodes: ({ pieces: all }, at, build) => {
    const made = each(all, ({ piece, words: said }, id) => {
      const own = pieceOf(piece);
      return own
        ? [saying(build.dressed(own.variant.specimen({})), said, `${at}/pieces/items/${id}/words`)]
        : [];
    }).flat();
    return made.length === 0 ? [] : [element('div', { class: 'actions' }, ...made)];
  },
});
