import { pictureSlugs, widthSlugs } from '../../derive/space/layout.ts';
import type { DerivedSpace } from '../../derive/derived.ts';
import { inOrder } from '../../system/document.ts';
import { picturesOf } from '../../system/pictures.ts';
import { PICTURE_ROLES, pictureRole } from '../../system/picture-roles.ts';
import type { Token } from '../../tokens/token.ts';
import { element, type ProofElement } from '../node.ts';
import {
  caption,
  named,
  part,
  pxOver,
  row,
  specimen,
  told,
  valueIn,
  type Chapter,
  type Given,
} from './chapter.ts';
import { picture } from '../parts.ts';
import { showing, type Manner } from './manners.ts';

/** The tokens of a role of space: one, or one for each direction. */
const tokensOf = ({ derived }: Given, { slug }: DerivedSpace): readonly Token[] =>
  [`space.${slug}`, `space.${slug}-inline`, `space.${slug}-block`].flatMap(
    (id) => derived.tokenById.get(id) ?? [],
  );

/** A space as what it is for: around something, between two things, or as a length. */
function drawn({ use, apart }: DerivedSpace, token: Token): ProofElement {
  const sides = token.id.endsWith('-inline') ? 'beside' : 'below';
  const around: Manner = apart ? sides : 'inset';
  switch (use) {
    case 'inset':
      return specimen('around', [[around, token]], part('inside'));
    case 'gap':
      return specimen('between', [['gap', token]], part('inside'), part('inside'));
    case 'pull':
      return part('edge', specimen('pulled', [['pull', token]]));
    default:
      return specimen('bar', [['long', token]]);
  }
}

export const spaces: Chapter = {
  id: 'spaces',
  name: 'Space',
  reads: ['space'],
  nodes: (given) => [
    ...row(
      given,
      'Steps',
      'bars',
      [...given.derived.steps.values()].flatMap(({ slug, name, px }) => {
        const token = given.derived.tokenById.get(`step.${slug}`);
        return token
          ? [named(specimen('square', [['long', token]]), caption(given, name, `${told(px)} px`))]
          : [];
      }),
    ),
    ...row(
      given,
      'Roles',
      'uses',
      [...given.derived.spaces.values()].flatMap((space) =>
        tokensOf(given, space).map((token) =>
          named(
            drawn(space, token),
            caption(
              given,
              token.path.at(-1) ?? token.id,
              pxOver((token.id.endsWith('-block') ? space.block : space.inline).px, given),
            ),
          ),
        ),
      ),
    ),
  ],
};

/** The columns, and the widths that things are held to. */
export const grid: Chapter = {
  id: 'grid',
  name: 'Grid and widths',
  reads: ['grid', 'layout'],
  nodes(given) {
    const { layout } = given.document;
    const [range] = given.derived.grid.slice(-1);
    const columns = range?.grid.columns ?? 1;
    const slugOf = widthSlugs(layout);
    return [
      element(
        'div',
        { class: 'grid-frame sheet-frame' },
        element(
          'div',
          { class: 'grid' },
          ...Array.from({ length: columns }, (_, index) =>
            element('div', { class: 'sheet-column span-1' }, part('count', String(index + 1))),
          ),
        ),
      ),
      ...row(
        given,
        'Widths',
        'widths',
        inOrder(layout.widths).map(([id, { name, value, unit, bound }]) =>
          named(
            element('div', { class: `sheet-width width-${slugOf.get(id) ?? id}` }),
            caption(
              given,
              name,
              `${bound === 'max' ? 'at most' : 'at least'} ${told(value)} ${unit}`,
            ),
          ),
        ),
      ),
    ];
  },
};

/** The shapes that pictures are cut to, with a picture of the site where it has one, and its logo. */
export const pictures: Chapter = {
  id: 'pictures',
  name: 'Pictures and logo',
  reads: ['layout'],
  nodes(given) {
    const { build, document, derived } = given;
    const { pictures: shapes } = document.layout;
    const [veil] = document.color.veils.order.flatMap((id) => build.veil(id) ?? []);
    const [any] = picturesOf(document);
    const slugOf = pictureSlugs(document.layout);
    const tall = derived.tokenById.get('logo.height');
    const least = derived.tokenById.get('logo.least');
    const clear = derived.tokenById.get('logo.clear');
    return [
      ...row(
        given,
        'Shapes of pictures',
        'shapes',
        inOrder(shapes).map(([id, { name, width, height }]) => {
          const className = `picture-${slugOf.get(id) ?? id}`;
          return named(
            veil
              ? element('img', {
                  class: className,
                  src: `/proof/pictures/${veil.picture.file}`,
                  alt: veil.picture.name,
                })
              : element('div', { class: `sheet-empty ${className}` }),
            caption(given, name, `${width} : ${height}`),
          );
        }),
      ),
      ...row(
        given,
        'What is done to pictures',
        'shapes',
        PICTURE_ROLES.flatMap(({ id, name }) => {
          const treatment = pictureRole(document.layout, id)?.treatment;
          if (!treatment) return [];
          const opacity = derived.tokenById.get(`treatment.${id}.opacity`);
          const faint = opacity ? showing('veiled', opacity) : '';
          const shown = any
            ? picture({ ...any, alt: '' }, `sheet-treated ${faint}`.trim())
            : element('div', { class: `sheet-empty sheet-treated ${faint}`.trim() });
          return [
            named(
              opacity ? shown : element('span', { class: `toned toned-${id}` }, shown),
              caption(given, name, treatment.kind),
            ),
          ];
        }),
      ),
      ...row(
        given,
        'Logo',
        'bars',
        [
          ...(tall ? [['as high as decided', tall] as const] : []),
          ...(least ? [['never lower than', least] as const] : []),
          ...(clear ? [['clear around it, of its height', clear] as const] : []),
        ].map(([says, token]) =>
          named(
            token === clear
              ? specimen('clear', [['grown', token]])
              : specimen('bar', [['long', token]]),
            caption(given, says, valueIn(token, given.mode)),
          ),
        ),
      ),
    ];
  },
};
