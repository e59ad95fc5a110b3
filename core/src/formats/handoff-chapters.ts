import { contrastRatio } from '../color/contrast.ts';
import { COMPONENTS } from '../components/components.ts';
import { stateOf } from '../components/states.ts';
import { ownVariantsOf } from '../derive/own-variants.ts';
import type { Derived, TextStyle } from '../derive/derived.ts';
import { statesOfVariants, variantsOf } from '../proof/specimens.ts';
import { inOrder, type Mode, type StyleDocument } from '../system/document.ts';
import { modesOf } from '../system/themes.ts';
import { fluidPx } from '../type/fluid.ts';
import { code, plain, table } from './markdown.ts';
import { namedClass, type Naming } from './naming.ts';

const px = (value: number): string => `${Number(value.toFixed(2))}`;

const listed = (words: readonly string[]): string => words.filter((one) => one !== '').join(', ');

/** Every text role as it is set: face, weight, size and line height in px at each anchor, spacing, case, space after. */
export function aboutSetting({ type }: StyleDocument, derived: Derived): string[] {
  const anchors = inOrder(type.anchors).map(([, { width }]) => width);
  const { items } = type.roles;
  const setting = (style: TextStyle): string => {
    const role = items[style.id];
    const after = role?.after === undefined ? undefined : derived.steps.get(role.after);
    return listed([
      style.letterSpacing === 0 ? '' : `letters ${px(style.letterSpacing)} em apart`,
      role?.style ?? '',
      role?.case ?? '',
      role?.figures === undefined ? '' : `${role.figures} figures`,
      role?.align ?? '',
      after ? `${px(after.px)} px after it` : '',
    ]);
  };
  return [
    'Sizes and line heights in px, at screens of the widths named:',
    '',
    ...table(
      ['role', 'face', 'weight', ...anchors.map((width) => `${width} px`), 'set'],
      [...derived.styles.values()].map((style) => [
        plain(style.name),
        plain(style.family.name),
        String(style.weight),
        ...anchors.map((width) => {
          const size = fluidPx(style.size, width);
          return `${px(size)} / ${px(size * style.lineHeight)}`;
        }),
        plain(setting(style)),
      ]),
    ),
    '',
  ];
}

/** Which text stands in which color on which ground, with its contrast in each theme. */
export function aboutGrounds(derived: Derived): string[] {
  const modes = modesOf(derived.themes);
  const contrast = (one: Derived['pairs'][number], mode: Mode): string =>
    `${contrastRatio(one.color.colors[mode], one.on.colors[mode]).toFixed(2)}:1`;
  return [
    'Text by its ground, with its contrast (WCAG 2.2):',
    '',
    ...table(
      ['on', 'text', 'part', 'in', ...modes],
      derived.pairs.map((pair) => [
        plain(pair.on.name),
        plain(pair.style.name),
        pair.part,
        plain(pair.color.name),
        ...modes.map((mode) => contrast(pair, mode)),
      ]),
    ),
    '',
  ];
}

/** Gradients, veils over pictures, patterns and the logo. */
export function aboutDrawings(
  { color, layout, content }: StyleDocument,
  derived: Derived,
  naming: Naming,
): string[] {
  const { gradients, patterns, colors } = derived;
  const nameOf = (role: string): string => colors.get(role)?.name ?? role;
  const veils = inOrder(color.veils);
  const { light, dark, one, least, clear, scale } = layout.logo;
  const versions = listed([
    light === undefined ? `none but a sign (${content.mark})` : 'for light grounds',
    dark === undefined ? '' : 'for dark grounds',
    one === undefined ? '' : 'in one color',
  ]);
  return [
    '## Logo, gradients, veils and patterns',
    '',
    `Logo: ${versions}; never lower than ${px(least)} px, ${px(clear)} of its height clear around it, ${px(scale)} times the text of the header high.`,
    '',
    ...[...gradients.values()].map(
      ({ name, slug, angle, space, stops }) =>
        `- Gradient ${plain(name)} (${code(namedClass(`gradient-${slug}`, naming))}): ${angle}° in ${space}, ${stops.map(({ at, role }) => `${plain(role.name)} at ${Math.round(at * 100)} %`).join(', ')}.`,
    ),
    ...veils.map(([, { name, picture, side, ink, color: of, strength, pixels }]) => {
      const own = /^#/.test(of) ? of : nameOf(of);
      return `- Veil ${plain(name)} over the picture ${plain(picture.name)}: ${plain(own)} from ${side}, ${strength} of 255 where it is strongest; words in ${plain(nameOf(ink))}, of whose pixels ${Math.round(pixels * 100)} % pass.`;
    }),
    ...patterns.map(
      ({ name, slug, on, inks }) =>
        `- Pattern ${plain(name)} (${code(namedClass(`pattern-${slug}`, naming))}): on ${plain(on.name)}, ${modesOf(
          derived.themes,
        )
          .map((mode) => `${code(inks[mode])} in ${mode}`)
          .join(', ')}.`,
    ),
    '',
  ];
}

/** The components, with their variants and the states of those. */
export function aboutComponents({ components }: StyleDocument): string[] {
  const own = ownVariantsOf(components);
  return [
    '## Components',
    '',
    ...table(
      ['component', 'what it is', 'variants', 'states'],
      COMPONENTS.flatMap((component) => {
        const variants = variantsOf(component, own);
        return variants.length === 0
          ? []
          : [
              [
                component.name,
                component.says,
                plain(variants.map(({ name }) => name).join(', ')),
                statesOfVariants(variants)
                  .flatMap((state) => (state === undefined ? [] : [stateOf(state).name]))
                  .join(', '),
              ],
            ];
      }),
    ),
    '',
  ];
}
