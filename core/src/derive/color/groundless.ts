import type { Manner } from '../../system/component-schema.ts';
import { STATES, statesIn } from '../../components/states.ts';
import { isOf, partsOf } from '../components.ts';
import { FAMILIES } from '../../system/families.ts';
import { inOrder, type StyleDocument } from '../../system/document.ts';
import { propertyOfPath } from '../../tokens/token.ts';
import type { NamedRole } from './color.ts';
import { veilInk, veilSlugs } from './veil.ts';
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
  // States that give words another color and no ground of their own; what cannot be used stays told apart.
  const stated = STATES.flatMap(({ id, selectors, ...state }) => {
    if (id === 'off') return [];
    const those = there.filter(({ name }) => {
      const own = partsOf(name).filter(
        (part) =>
          isOf(part, manner) && part.state !== undefined && statesIn(id).includes(part.state),
      );
      return (
        own.some(({ property }) => property === 'color') &&
        !own.some(({ property }) => property === 'background-color')
      );
    });
    return those.length === 0
      ? []
      : [
          {
            selector: selectors.map((selector) => all(those, selector)).join(', '),
            declarations: [['color', ink]] as const,
            ...('within' in state && { within: state.within }),
          },
        ];
  });
  return [
    { selector: all(there), declarations: [['color', ink]] },
    ...stated,
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
  gradients: readonly InkedGradient[],
): readonly (readonly [place: string, ink: string])[] {
  const slugOf = veilSlugs(veils);
  return [
    ...FAMILIES.flatMap((id) => {
      const [role, ink] = [roles.get(id), roles.get(`${id}-ink`)];
      return role && ink
        ? [[`.on-${role.slug}`, `var(${propertyOfPath(['color', ink.slug])})`] as const]
        : [];
    }),
    ...gradients.flatMap(({ slug, ink }) => {
      const role = roles.get(ink);
      return role
        ? [[`.gradient-${slug}`, `var(${propertyOfPath(['color', role.slug])})`] as const]
        : [];
    }),
    ...inOrder(veils).flatMap(([id, veil]) => {
      const slug = slugOf.get(id) ?? id;
      const ink = veilInk(veil, slug, roles);
      return ink === undefined ? [] : [[`.over-${slug}`, ink] as const];
    }),
  ];
}

/** The classes of texts, whatever they are called. */
const TEXTS = '[class*="type-"]';

/** Links in a text, those that were followed too. */
const linksIn = (text: string): readonly string[] => [`${text} a`, `${text} a:visited`];

/** Texts of every role on a ground, and the links in them. */
const textsOn = (place: string, color: string): Rule => {
  const texts = `${place} ${TEXTS}`;
  return {
    selector: [texts, ...linksIn(texts)].join(', '),
    declarations: [['color', color]],
  };
};

/** A gradient by its name, with the role of the text on it. */
export interface InkedGradient {
  readonly slug: string;
  readonly ink: string;
}

/**
 * Every vivid color and every gradient as a ground, texts of every role on it, and links in them, in the color that reads there. They come
 * before the rules of surfaces, so that those on a surface within a vivid color keep theirs, and before those of
 * components. On a vivid color within a surface the rules of that surface win.
 */
export const deriveVividTexts = (
  roles: ReadonlyMap<string, NamedRole>,
  gradients: readonly InkedGradient[],
): Rule[] => [
  ...FAMILIES.flatMap((id): Rule[] => {
    const [role, ink] = [roles.get(id), roles.get(`${id}-ink`)];
    if (!role || !ink) return [];
    const color = `var(${propertyOfPath(['color', ink.slug])})`;
    return [
      {
        selector: `.on-${role.slug}`,
        declarations: [
          ['background-color', `var(${propertyOfPath(['color', role.slug])})`],
          ['color', color],
        ],
      },
      textsOn(`.on-${role.slug}`, color),
    ];
  }),
  ...gradients.flatMap(({ slug, ink }): Rule[] => {
    const role = roles.get(ink);
    if (!role) return [];
    const color = `var(${propertyOfPath(['color', role.slug])})`;
    const place = `.gradient-${slug}`;
    return [{ selector: place, declarations: [['color', color]] }, textsOn(place, color)];
  }),
];

/** What has no ground of its own, on each vivid color and over each picture of a system. */
export const deriveGroundlessRules = (
  roles: ReadonlyMap<string, NamedRole>,
  veils: StyleDocument['color']['veils'],
  gradients: readonly InkedGradient[],
  label: string | undefined,
  manner: Manner,
): Rule[] =>
  placesOf(roles, veils, gradients).flatMap(([place, ink]) => [
    ...groundlessOn(place, ink, label, manner),
    ...(place.startsWith('.over-')
      ? [
          {
            selector: linksIn(`${place} ${TEXTS}`).join(', '),
            declarations: [['color', ink]],
          } as const,
        ]
      : []),
  ]);
