/**
 * The areas of the work, in its order: where decisions are made, and where what came of them is looked at.
 * Everything that goes through all areas (router, strip, search, findings, tests, pictures) reads this list.
 */
export const AREA_NAMES = [
  { id: 'brief', name: 'Brief' },
  { id: 'fonts', name: 'Fonts' },
  { id: 'type', name: 'Type' },
  { id: 'color', name: 'Color' },
  { id: 'space', name: 'Space' },
  { id: 'tokens', name: 'Tokens' },
  { id: 'review', name: 'Review' },
] as const;

export type AreaId = (typeof AREA_NAMES)[number]['id'];
