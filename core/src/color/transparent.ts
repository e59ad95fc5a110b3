import { hexOf, rgbOf, type Hex } from './srgb.ts';

/**
 * What a color at a share of opacity (0 to 1) becomes over an opaque one, as browsers blend it: in
 * gamma-encoded sRGB. Source: Compositing and Blending 1, source-over.
 */
export function flattened(color: Hex, share: number, over: Hex): Hex {
  const ground = rgbOf(over);
  const [red, green, blue] = rgbOf(color).map(
    (channel, index) => channel * share + (ground[index] ?? 0) * (1 - share),
  ) as [number, number, number];
  return hexOf([red, green, blue]);
}

/** The transparent form as CSS writes it. */
export function transparentCss(color: Hex, share: number): string {
  const [red, green, blue] = rgbOf(color).map((channel) => Math.round(channel * 255));
  return `rgb(${red} ${green} ${blue} / ${Number(share.toFixed(4))})`;
}
