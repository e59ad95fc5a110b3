/** How icons are drawn: with strokes, full, or in two tones. */
export const ICON_KINDS = ['outlined', 'filled', 'two-toned'] as const;
export type IconKind = (typeof ICON_KINDS)[number];

/** What is inked is a stroke up to so much of the box; common practice. */
export const THICKEST_STROKE = 0.125;

/** How open strokes end, and how strokes meet. Source: SVG 2, stroke-linecap and stroke-linejoin. */
export const CAPS = ['round', 'butt', 'square'] as const;
export const JOINS = ['round', 'miter', 'bevel'] as const;

export type Cap = (typeof CAPS)[number];
export type Join = (typeof JOINS)[number];
