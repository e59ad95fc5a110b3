import type { PageSection } from '../system/document.ts';
import { element, type ProofNode } from './node.ts';
import type { Build } from './sections/kind.ts';
import { kindOf } from './sections/kinds.ts';

/** The components in some nodes as the variants of one’s own that were chosen for them; one that is gone is none. */
export function wearing(
  nodes: readonly ProofNode[],
  wears: PageSection['wears'],
  { variant }: Pick<Build, 'variant'>,
): readonly ProofNode[] {
  const slugs = new Map(
    Object.entries(wears ?? {}).flatMap(([of, id]) => {
      const own = variant(id);
      return own?.of === of ? [[of, own.slug] as const] : [];
    }),
  );
  if (slugs.size === 0) return nodes;
  const dressed = (node: ProofNode): ProofNode => {
    if (typeof node === 'string') return node;
    const names = node.attributes['class']?.split(' ') ?? [];
    const added = names.flatMap((name) => slugs.get(name) ?? []);
    return {
      ...node,
      ...(added.length > 0 && {
        attributes: { ...node.attributes, class: [...names, ...added].join(' ') },
      }),
      children: node.children.map(dressed),
    };
  };
  return nodes.map(dressed);
}

/** The elements of a section on the ground that it stands on, as wide as was decided. */
export function sectionNodes(own: PageSection, at: string, build: Build): readonly ProofNode[] {
  const { kind, ground, gradient, span, wears } = own;
  const nodes = kindOf(kind).nodes(own as never, at, build);
  if (nodes.length === 0) return [];
  // The sections of a part of one’s own have places of their own within that of the part, and chose what they wear.
  const made =
    kind === 'part'
      ? [element('div', { class: 'own-part' }, ...nodes)]
      : wearing(nodes, wears, build);
  const wide =
    span === undefined
      ? made
      : [element('div', { class: 'grid' }, element('div', { class: `span-${span}` }, ...made))];
  const slug = gradient === undefined ? undefined : build.gradient(gradient);
  const placed =
    slug !== undefined
      ? [
          {
            ...element('div', { class: `ground gradient-${slug}` }, ...wide),
            decision: `/color/gradients/items/${gradient ?? ''}`,
          },
        ]
      : ground === 'surface'
        ? [build.ground('div', 'surface', { class: 'ground' }, wide)]
        : wide;
  const [first, ...others] = placed;
  return typeof first === 'object' ? [{ ...first, place: at }, ...others] : placed;
}
