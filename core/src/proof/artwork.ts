import type { DerivedColorRole } from '../derive/derived.ts';
import type { Artwork } from '../system/document.ts';
import { propertyOfPath } from '../tokens/token.ts';

/**
 * The artwork with its mapped fills taken from the tokens: `fill="#rrggbb"` becomes a reference to the
 * custom property of its role, so that it follows the palette and the theme. Locked artwork stays as
 * it came. The SVG has been sanitized before it came into the document, with every color written as
 * `#rrggbb`.
 */
export function paintedArtwork(
  { svg, fills, locked }: Artwork,
  colors: ReadonlyMap<string, DerivedColorRole>,
): string {
  if (locked) return svg;
  return svg.replaceAll(/(fill|stroke|stop-color)="(#[0-9a-f]{6})"/g, (whole, name, color) => {
    const role = colors.get(fills[String(color) as keyof typeof fills] ?? '');
    return role ? `${String(name)}="var(${propertyOfPath(['color', role.slug])})"` : whole;
  });
}
