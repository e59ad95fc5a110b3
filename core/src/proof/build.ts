import { veilSlugs } from '../derive/color/veil.ts';
import type { Derived } from '../derive/derived.ts';
import { raiseClass } from '../derive/shape/shape.ts';
import { pictureSlugs } from '../derive/space/layout.ts';
import type { StyleDocument } from '../system/document.ts';
import { paintedArtwork } from './artwork.ts';
import type { Build } from './sections/kind.ts';

/**
 * Builds elements of a page whose classes are those of the exported sheet. A role that the system
 * does not have leaves its text in the style around it.
 */
export function builder(
  { color, content, layout, shape, space }: StyleDocument,
  { styles, colors, gradients }: Derived,
): Build {
  const slugOfVeil = veilSlugs(color.veils);
  return {
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
      return veil && slug !== undefined ? { slug, picture: veil.picture } : undefined;
    },
    raised: raiseClass(shape),
    hangs: 'hang' in space.roles.items,
    artwork: content.artwork && paintedArtwork(content.artwork, colors),
    gradient: gradients[0]?.slug,
    shapes: [...pictureSlugs(layout).values()],
  };
}
