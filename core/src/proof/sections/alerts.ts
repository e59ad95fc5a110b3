import { inOrder } from '../../system/document.ts';
import type { Section } from '../build.ts';
import { element, type ProofElement } from '../node.ts';

/** What states say, each on a wash of its color with a label filled with it. */
export const alerts: Section = ({
  build: { text },
  document: { content },
  derived: { colors },
}) => {
  const all = content.alerts ? inOrder(content.alerts) : [];
  const shown = all.flatMap(([id, alert]) => {
    const role = colors.get(alert.family);
    return role ? [{ id, alert, role }] : [];
  });
  if (shown.length === 0) return [];
  return [
    element(
      'section',
      { class: 'block' },
      element(
        'div',
        { class: 'grid alerts' },
        ...shown.map(({ id, alert, role }): ProofElement => ({
          ...element(
            'div',
            { class: `alert span-4 span-3-from-wide wash-${role.slug}` },
            {
              ...element(
                'span',
                { class: `tag fill-${role.slug}` },
                text('span', 'label', [alert.title], `/content/alerts/items/${id}/title`),
              ),
              decision: `/color/roles/items/${role.id}/light`,
            },
            text('p', 'body', [alert.text], `/content/alerts/items/${id}/text`),
          ),
          decision: `/color/roles/items/${role.id}-wash/light`,
        })),
      ),
    ),
  ];
};
