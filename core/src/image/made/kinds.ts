/** What is drawn where a picture is missing. */
export const MADE_OF = ['scene', 'portrait'] as const;
export type MadeOf = (typeof MADE_OF)[number];

/** How it is drawn: in flat colors by day, in the same after sunset, or with lines alone. */
export const MADE_MANNERS = ['flat', 'dusk', 'lines'] as const;
export type MadeManner = (typeof MADE_MANNERS)[number];
