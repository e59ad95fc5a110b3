import type { Manner } from '../../system/component-schema.ts';
import { isOf, partsOf } from '../components.ts';
import { FAMILIES } from '../../system/families.ts';
import { inOrder, type StyleDocument } from '../../system/document.ts';
import { propertyOfPath } from '../../tokens/token.ts';
import type { NamedRole } from './color.ts';
import { veilSlugs } from './veil.ts';
import type { Rule } from '../derived.ts';
import { STRUCTURE } from '../structure.ts';

/**
 * What has no ground of its own in a manner, on a ground that is not the page: it takes the color of the words there,
 * as do its edge and the ring around what has the focus. `place` is the selector of the ground, `ink` a color of CSS
 * that reads on it, `label` the slug of the text role of controls.
 */
export function groundlessOn(
  place: string,
  ink: string,
  label: string | undefined,
  manner: Manner,
): Rule[] {
  const there = STRUCTURE.filter(
    ({ groundless }) => groundless !== undefined && isOf({ when: groundless }, manner),
  );
  // What has no edge in a manner keeps none, so that nothing is drawn around plain words.
  const edged = there.filter(({ name }) =>
    partsOf(name).some(
      (part) => part.property === 'border-color' && !part.state && isOf(part, manner),
    ),
  );
  const all = (classes: typeof there, inside = ''): string =>
    classes.map(({ name }) => `${place} .${name}${inside}`).join(', ');
  return [
    { selector: all(there), declarations: [['color', ink]] },
    ...(edged.length === 0
      ? []
      : [{ selector: all(edged), declarations: [['border-color', ink]] } as const]),
    ...(label === undefined
      ? []
      : [{ selector: all(there, ` .type-${label}`), declarations: [['color', ink]] } as const]),
    { selector: `${place} :focus-visible`, declarations: [['outline-color', ink]] },
  ];
}

/** Where words stand on something that is not a surface, with the color that reads there: vivid colors, pictures. */
function placesOf(
  roles: ReadonlyMap<string, NamedRole>,
  veils: StyleDocument['color']['veils'],
): readonly (readonly [place: string, ink: NamedRole])[] {
  const slugOf = veilSlugs(veils);
  return [
    ...FAMILIES.flatMap((id) => {
      const [role, ink] = [roles.get(id), roles.get(`${id}-ink`)];
      return role && ink ? [[`.on-${role.slug}`, ink] as const] : [];
    }),
    ...inOrder(veils).flatMap(([id, veil]) => {
      const ink = roles.get(veil.ink);
      return ink ? [[`.over-${slugOf.get(id) ?? id}`, ink] as const] : [];
    }),
  ];
}

/** What has no ground of its own, on each vivid color and over each picture of a system. */
export const deriveGroundlessRules = (
  roles: ReadonlyMap<string, NamedRole>,
  veils: StyleDocument['color']['veils'],
  label: string | undefined,
  manner: Manner,
): Rule[] =>
  placesOf(roles, veils).flatMap(([place, { slug }]) =>
    groundlessOn(place, `var(${propertyOfPath(['color', slug])})`, label, manner),
  );
