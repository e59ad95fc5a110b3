import { ownVariantsOf } from '../derive/own-variants.ts';
import { veilSlugs } from '../derive/color/veil.ts';
import type { Derived } from '../derive/derived.ts';
import { raiseClass } from '../derive/shape/shape.ts';
import { placedPictures } from '../derive/color/treatments.ts';
import { sign } from '../components/pieces.ts';
import { inOrder, type StyleDocument } from '../system/document.ts';
import { paintedArtwork } from './artwork.ts';
import type { ProofElement } from './node.ts';
import { sectionNodes } from './section-nodes.ts';
import type { Build } from './sections/kind.ts';
import { inSystem } from './specimens.ts';
import { partPath } from './texts.ts';

const NOTHING = { order: [], items: {} };

/**
 * Builds elements of a page whose classes are those of the exported sheet. A role that the system
 * does not have leaves its text in the style around it.
 */
export function builder(
  { color, components, content, layout, shape, space }: StyleDocument,
  { styles, colors, gradients, icons }: Derived,
): Build {
  const slugOfVeil = veilSlugs(color.veils);
  const variants = new Map(ownVariantsOf(components).map((own) => [own.id, own]));
  const parts = content.parts?.items ?? {};
  const build: Build = {
    text(tag, role, children, content1, className = '') {
      const style = styles.get(role);
      const names = [className, style && `type-${style.slug}`].filter(Boolean).join(' ');
      return {
        tag,
        attributes: names === '' ? {} : { class: names },
        children,
        role,
        ...(content1 !== undefined && { content: content1 }),
        ...(style && { decision: `/type/roles/items/${role}/place` }),
      };
    },
    ground(tag, on, attributes, children) {
      const role = colors.get(on);
      const names = [attributes['class'], role && `on-${role.slug}`].filter(Boolean).join(' ');
      return {
        tag,
        attributes: { ...attributes, class: names },
        children,
        decision: role ? `/color/roles/items/${on}/light` : '/color/sources',
      };
    },
    color: (id) => colors.get(id)?.slug,
    veil(id) {
      const veil = color.veils.items[id];
      const slug = slugOfVeil.get(id);
      return veil && slug !== undefined ? { id, slug, picture: veil.picture } : undefined;
    },
    raised: raiseClass(shape),
    hangs: 'hang' in space.roles.items,
    artwork: content.artwork && paintedArtwork(content.artwork, colors),
    gradient: (id) => gradients.find((one) => one.id === id)?.slug,
    pictures: (role) => placedPictures(layout, role),
    part: (id) =>
      Object.hasOwn(parts, id)
        ? inOrder(parts[id]?.sections ?? NOTHING).flatMap(([section, own]) =>
            own.isOff === true ? [] : sectionNodes(own, partPath(id, section), build),
          )
        : [],
    icon(id) {
      const icon = id === undefined ? undefined : icons.get(id);
      return icon ? [{ ...sign(icon.slug), decision: `/icons/named/items/${icon.id}` }] : [];
    },
    variant: (id) => variants.get(id),
    dressed: (specimen) => inSystem(specimen, { styles, colors }) as ProofElement,
  };
  return build;
}
