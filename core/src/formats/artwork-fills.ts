import { nearestOf } from '../image/displays.ts';
import { parseColor } from '../color/parse-color.ts';
import type { Hex } from '../color/srgb.ts';

/** The attributes of SVG that paint. */
const PAINTING = ['fill', 'stroke', 'stop-color'] as const;

const ATTRIBUTE = new RegExp(`(${PAINTING.join('|')})="([^"]*)"`, 'g');
const STYLE = /style="([^"]*)"/g;

const hexOfCss = (value: string): Hex | undefined => {
  if (/^(none|currentcolor|transparent|inherit|url\()/i.test(value.trim())) return undefined;
  const read = parseColor(value);
  return read.ok ? read.hex : undefined;
};

/** Handlers of events, which no artwork has. Taken out here so that nobody parses them; not a guard. */
const HANDLER = /\son[a-z]+\s*=\s*("[^"]*"|'[^']*'|[^\s>]+)/gi;

/**
 * SVG in which every fill, stroke and stop is an attribute of the form `#rrggbb`, whether it stood in
 * an attribute or in a style; what is no color stays as it is.
 */
export function plainPaints(svg: string): string {
  const moved = svg.replaceAll(HANDLER, '').replaceAll(STYLE, (_whole, style: string) => {
    const attributes = style
      .split(';')
      .map((declaration) => declaration.split(':').map((part) => part.trim()))
      .filter(([name = '', value = '']) => name !== '' && value !== '' && !/["<>&]/.test(value))
      .map(([name = '', value = '']) => `${name}="${value}"`);
    return attributes.join(' ');
  });
  return moved.replaceAll(ATTRIBUTE, (whole, name: string, value: string) => {
    const hex = hexOfCss(value);
    return hex === undefined ? whole : `${name}="${hex}"`;
  });
}

/**
 * SVG in one color: every fill, stroke and stop, and what would be black because nothing is said of it. Details that
 * are told by their color alone are lost; whoever has such a drawing brings one of their own.
 */
export const inOneColor = (svg: string, color: string = 'currentcolor'): string =>
  svg
    .replaceAll(ATTRIBUTE, (whole, name: string, value: string) =>
      hexOfCss(value) === undefined ? whole : `${name}="${color}"`,
    )
    .replace(/<svg(?![^>]*\sfill=)/i, `<svg fill="${color}"`);

/** The colors that an SVG is painted with, each once, in the order in which they come. */
export const fillsOf = (svg: string): readonly Hex[] => [
  ...new Set(
    [...svg.matchAll(ATTRIBUTE)].flatMap(([, , value = '']) => {
      const hex = hexOfCss(value);
      return hex === undefined ? [] : [hex];
    }),
  ),
];

/** The role whose color is nearest to each fill: what the artwork is mapped to at first. */
export function nearestRoles(
  fills: readonly Hex[],
  roles: readonly { readonly id: string; readonly hex: Hex }[],
): Readonly<Record<Hex, string>> {
  if (roles.length === 0) return {};
  const colors = roles.map(({ hex }) => hex);
  return Object.fromEntries(
    fills.map((fill) => {
      const { hex } = nearestOf(colors, fill);
      return [fill, roles.find((role) => role.hex === hex)?.id ?? roles[0]?.id ?? ''];
    }),
  );
}
