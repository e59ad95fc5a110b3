import type { Derived } from '@garnish/core/derive/derived';
import { builder } from '@garnish/core/proof/build';
import type { ProofNode } from '@garnish/core/proof/node';
import { sectionNodes } from '@garnish/core/proof/section-nodes';
import { element } from '@garnish/core/proof/node';
import type { StyleDocument } from '@garnish/core/system/document';

const OWN = 'own:';

/** By what a part of one’s own is asked for in the address of the area. */
export const idOfOwn = (id: string): string => `${OWN}${id}`;

/** The part of one’s own that an address asks for, by its id in the document. */
export const ownAsked = (asked: string | null): string | undefined =>
  asked?.startsWith(OWN) === true ? asked.slice(OWN.length) : undefined;

/** A part of one’s own as it stands on a page. */
export function ownPartNode(id: string, document: StyleDocument, derived: Derived): ProofNode {
  const [node] = sectionNodes({ kind: 'part', part: id }, '', builder(document, derived));
  return node ?? element('div', { class: 'own-part' });
}
