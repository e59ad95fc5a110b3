import type { DerivedColorRole, Need } from '../../derive/derived.ts';
import { FAMILIES } from '../../system/families.ts';
import type { Token } from '../../tokens/token.ts';
import { element, type ProofElement, type ProofNode } from '../node.ts';
import {
  caption,
  named,
  part,
  row,
  specimen,
  valueIn,
  type Chapter,
  type Given,
} from './chapter.ts';

/** Every ramp, rung beside rung, with its source marked. */
export const ramps: Chapter = {
  id: 'ramps',
  name: 'Ramps',
  reads: ['color'],
  nodes: (given) =>
    [...given.derived.ramps.values()].map(({ slug, name, seat, rungNames }) =>
      part(
        'ramp',
        caption(given, name),
        part(
          'rungs',
          ...rungNames.flatMap((rung, index) => {
            const token = given.derived.tokenById.get(`palette.${slug}.${rung}`);
            return token
              ? [
                  named(
                    specimen('rung', [['fill', token]]),
                    caption(given, index === seat ? `${rung} ·` : rung, valueIn(token, given.mode)),
                  ),
                ]
              : [];
          }),
        ),
      ),
    ),
};

/** A ground of pages, named, with what stands on it. */
export function groundPanel(
  given: Given,
  ground: DerivedColorRole,
  things: readonly ProofNode[],
): ProofElement {
  const token = tokenOf(given, ground);
  return specimen(
    `ground on-${ground.slug}`,
    token ? [['fill', token]] : [],
    caption(given, ground.name, token && valueIn(token, given.mode)),
    ...things,
  );
}

const tokenOf = ({ derived }: Given, { slug }: Pick<DerivedColorRole, 'slug'>): Token | undefined =>
  derived.tokenById.get(`color.${slug}`);

/** A color on its ground: words where it is for words, a line where it is for lines. */
function onGround(given: Given, { kind, color }: Need): readonly ProofNode[] {
  const token = tokenOf(given, color);
  if (!token) return [];
  return [
    kind === 'text' || kind === 'beside'
      ? specimen('inked', [['ink', token]], element('span', {}, color.name))
      : part('lined', specimen('line', [['fill', token]]), element('span', {}, color.name)),
  ];
}

/** What a family of a vivid color is filled with: at rest, pointed at, pressed, off. */
const FILLS = ['', '-hover', '-pressed', '-disabled'] as const;

/** The roles that families are made of. */
const FAMILY_ROLES: ReadonlySet<string> = new Set(
  FAMILIES.flatMap((id) => [...FILLS, '-ink', '-wash', '-edge'].map((suffix) => `${id}${suffix}`)),
);

/** The grounds of pages with all that stands on each. */
function grounds(given: Given): readonly ProofNode[] {
  const needs = given.derived.needs.filter(
    ({ color, on }) => !FAMILY_ROLES.has(color.id) && !FAMILY_ROLES.has(on.id),
  );
  return [...new Set(needs.map(({ on }) => on))].map((ground) => {
    // Each color once, as words or as a line.
    const standing = new Map(
      needs
        .filter(({ on }) => on === ground)
        .map((need) => [`${need.kind === 'part'} ${need.color.id}`, need]),
    );
    return groundPanel(
      given,
      ground,
      [...standing.values()].flatMap((need) => onGround(given, need)),
    );
  });
}

/** A vivid color in all that it is used as: filled, pointed at, pressed, off, as a wash with its edge. */
function family(given: Given, id: string): readonly ProofNode[] {
  const { colors } = given.derived;
  const own = (suffix: string): Token | undefined => {
    const role = colors.get(`${id}${suffix}`);
    return role && tokenOf(given, role);
  };
  const [main, ink, wash, edge] = ['', '-ink', '-wash', '-edge'].map(own);
  if (!main) return [];
  return [
    part(
      'family',
      caption(given, colors.get(id)?.name ?? id),
      ...FILLS.flatMap((suffix) => {
        const fill = own(suffix);
        if (!fill) return [];
        const name = fill.path.at(-1) ?? '';
        const shows = [['fill', fill] as const, ...(ink ? [['ink', ink] as const] : [])];
        const cell = specimen('cell', shows, name);
        // What cannot be used has to be told from what can, and no more.
        const off = { role: 'group', 'aria-label': name, 'aria-disabled': 'true' };
        return suffix === '-disabled'
          ? [{ ...cell, attributes: { ...cell.attributes, ...off } }]
          : [cell];
      }),
      ...(wash
        ? [
            specimen(
              'cell sheet-edged',
              [['fill', wash]],
              ...(edge ? [specimen('mark', [['fill', edge]])] : []),
              wash.path.at(-1) ?? '',
            ),
          ]
        : []),
    ),
  ];
}

/** The roles on the grounds that they are meant for; what stands on none comes last. */
export const roles: Chapter = {
  id: 'roles',
  name: 'Color roles',
  reads: ['color'],
  nodes(given) {
    const { colors, needs } = given.derived;
    const used = new Set(
      needs
        .filter(({ color }) => !FAMILY_ROLES.has(color.id))
        .flatMap(({ color, on }) => [color.id, on.id]),
    );
    return [
      part('grounds', ...grounds(given)),
      part('families', ...FAMILIES.flatMap((id) => family(given, id))),
      ...row(
        given,
        'Other colors',
        'swatches',
        [...colors.values()]
          .filter(({ id }) => !FAMILY_ROLES.has(id) && !used.has(id))
          .flatMap((role) => {
            const token = tokenOf(given, role);
            return token
              ? [
                  named(
                    specimen('swatch', [['fill', token]]),
                    caption(given, role.name, valueIn(token, given.mode)),
                  ),
                ]
              : [];
          }),
      ),
    ];
  },
};

/** Gradients, patterns and veils over their pictures, each over the whole width. */
export const grounded: Chapter = {
  id: 'gradients',
  name: 'Gradients and patterns',
  reads: ['color'],
  nodes(given) {
    const { derived, document, build } = given;
    const band = (className: string, name: string, value: string): ProofElement =>
      named(element('div', { class: `sheet-band ${className}` }), caption(given, name, value));
    return [
      ...derived.gradients.map(({ slug, name, stops }) =>
        band(`gradient-${slug}`, name, stops.map(({ role }) => role.name).join(' to ')),
      ),
      ...derived.patterns.map(({ slug, name, on }) =>
        band(`pattern-${slug}`, name, `on ${on.name}`),
      ),
      ...document.color.veils.order.flatMap((id) => {
        const veil = build.veil(id);
        return veil
          ? [
              named(
                element(
                  'div',
                  { class: 'sheet-band sheet-veiled' },
                  element('img', {
                    class: 'sheet-under',
                    src: `/proof/pictures/${veil.picture.file}`,
                    alt: veil.picture.name,
                  }),
                  element('div', { class: `sheet-over veil-${veil.slug}` }),
                ),
                caption(given, document.color.veils.items[id]?.name ?? id, 'veil'),
              ),
            ]
          : [];
      }),
    ];
  },
};
