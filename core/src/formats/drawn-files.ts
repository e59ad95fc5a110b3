import type { Derived } from '../derive/derived.ts';
import { markSvg } from '../proof/mark.ts';
import type { Mode, StyleDocument } from '../system/document.ts';
import { modesOf } from '../system/themes.ts';

/** A drawing of the site as a file of its own. */
export interface DrawnFile {
  readonly file: string;
  readonly kind: 'logo' | 'artwork' | 'pattern';
  readonly name: string;
  /** As it came where it came from outside: whoever writes it sanitizes it. */
  readonly svg: string;
}

/** One file where both themes have the same drawing, or else one for each. */
function inThemes(
  themes: readonly [Mode, ...Mode[]],
  slug: string,
  of: Omit<DrawnFile, 'file' | 'svg'>,
  svgIn: (mode: Mode) => string,
): readonly DrawnFile[] {
  const [first, second] = themes;
  const usual = { ...of, file: `${slug}.svg`, svg: svgIn(first) };
  if (second === undefined || svgIn(second) === usual.svg) return [usual];
  return [
    { ...usual, file: `${slug}-${first}.svg` },
    { ...of, file: `${slug}-${second}.svg`, svg: svgIn(second) },
  ];
}

/**
 * The logo in its versions, the artwork and the patterns of a system, each as SVG that needs no sheet: colors that are
 * taken from tokens stand in it as they are in each theme.
 */
export function drawnFiles(
  { layout, content }: Pick<StyleDocument, 'layout' | 'content'>,
  derived: Pick<Derived, 'colors' | 'patterns' | 'themes'>,
): readonly DrawnFile[] {
  const { colors, patterns } = derived;
  const themes = modesOf(derived.themes);
  const { light, dark, one } = layout.logo;
  const colorOf = (role: string, mode: Mode): string => colors.get(role)?.colors[mode] ?? '#000000';
  const logo = { kind: 'logo', name: 'logo' } as const;
  const { artwork } = content;
  const painted = (mode: Mode): string =>
    artwork === undefined || artwork.locked
      ? (artwork?.svg ?? '')
      : artwork.svg.replaceAll(
          /(fill|stroke|stop-color)="(#[0-9a-f]{6})"/g,
          (whole, name, color) => {
            const role = colors.get(
              artwork.fills[String(color) as keyof typeof artwork.fills] ?? '',
            );
            return role ? `${String(name)}="${role.colors[mode]}"` : whole;
          },
        );
  return [
    ...(light === undefined
      ? inThemes(themes, 'logo', logo, (mode) =>
          markSvg(content.mark, { a: colorOf('link', mode), b: colorOf('action', mode) }),
        )
      : inThemes(themes, 'logo', logo, (mode) => (mode === 'dark' ? (dark ?? light) : light))),
    ...(one === undefined
      ? []
      : [
          {
            kind: 'logo',
            name: 'logo in one color',
            file: 'logo-one-color.svg',
            svg: one,
          } as const,
        ]),
    ...(artwork === undefined
      ? []
      : inThemes(themes, 'artwork', { kind: 'artwork', name: artwork.name }, painted)),
    ...patterns.flatMap(({ name, slug, svg }) =>
      inThemes(themes, `pattern-${slug}`, { kind: 'pattern', name }, (mode) => svg[mode]),
    ),
  ];
}
