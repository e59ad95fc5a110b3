import { once } from '../once.ts';
import type { PageSection } from '../system/document.ts';
import type { ProofElement, ProofNode } from './node.ts';
import { nodesOfSection } from './texts.ts';

/** A control that is called nothing, and where the words would stand that it lacks, from its section on. */
export interface NamelessControl {
  readonly tag: string;
  readonly at: string | undefined;
}

/** Elements that are pressed or filled in, and so have to be called something. Source: HTML, interactive content. */
const CONTROLS: ReadonlySet<string> = new Set([
  'a',
  'button',
  'input',
  'select',
  'summary',
  'textarea',
]);

/** Of these the words inside are what was filled in, and no name. Source: HTML-AAM, accessible names. */
const FILLED: ReadonlySet<string> = new Set(['input', 'select', 'textarea']);

function* elementsOf(node: ProofNode): Generator<ProofElement> {
  if (typeof node === 'string') return;
  yield node;
  for (const child of node.children) yield* elementsOf(child);
}

const isHidden = ({ attributes }: ProofElement): boolean => attributes['aria-hidden'] === 'true';

/** What is read aloud of an element: its words, and what its pictures show. */
function saidOf(node: ProofNode): string {
  if (typeof node === 'string') return node;
  if (isHidden(node)) return '';
  const { attributes, children, tag } = node;
  const own = attributes['aria-label']?.trim();
  if (own) return own;
  if (tag === 'img') return attributes['alt'] ?? '';
  return children.map(saidOf).join('');
}

const placeIn = (node: ProofElement): string | undefined =>
  [...elementsOf(node)].find(({ content }) => content !== undefined)?.content;

/**
 * The controls among some elements that have no accessible name: neither words of their own, nor a label, nor a
 * picture that says something, nor `aria-label`, `aria-labelledby` or `title`. Source: Accessible Name and
 * Description Computation 1.2, in the steps that can occur here (no CSS content, no embedded controls).
 */
export function namelessAmong(nodes: readonly ProofNode[]): readonly NamelessControl[] {
  const all = nodes.flatMap((node) => [...elementsOf(node)]);
  const saidBy = new Map(
    all.flatMap((one) => {
      const { id } = one.attributes;
      return id === undefined ? [] : [[id, saidOf(one)] as const];
    }),
  );
  const labels = new Map(
    all.flatMap((one) => {
      const { for: of } = one.attributes;
      return one.tag === 'label' && of !== undefined ? [[of, one] as const] : [];
    }),
  );
  const found: NamelessControl[] = [];
  const look = (node: ProofNode, label: ProofElement | undefined): void => {
    if (typeof node === 'string' || isHidden(node)) return;
    const { attributes, children, tag } = node;
    const around = tag === 'label' ? node : label;
    if (CONTROLS.has(tag) && attributes['type'] !== 'hidden') {
      const { id = '', title = '' } = attributes;
      const isFilled = FILLED.has(tag);
      const own = labels.get(id) ?? around;
      const said = [
        ...(attributes['aria-labelledby']?.split(/\s+/) ?? []).map((of) => saidBy.get(of) ?? ''),
        attributes['aria-label'] ?? '',
        isFilled ? (own ? saidOf(own) : '') : saidOf(node),
        title,
        ...(['submit', 'reset', 'button'].includes(attributes['type'] ?? '') && isFilled
          ? [attributes['value'] ?? '']
          : []),
      ];
      if (said.every((one) => one.trim() === ''))
        found.push({ tag, at: placeIn(node) ?? (own && placeIn(own)) });
    }
    for (const child of children) look(child, around);
  };
  for (const node of nodes) look(node, undefined);
  return found;
}

/** The controls of a section that are called nothing; looked at once, as long as it stays what it is. */
export const namelessOfSection = once((own: PageSection) => namelessAmong(nodesOfSection(own)));
