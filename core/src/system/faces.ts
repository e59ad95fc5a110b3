import type { Face, FontChoice, StyleDocument } from './document.ts';

type Fonts = StyleDocument['fonts'];

/** A face in use: for what, on which screens, and the decision that chose it (a JSON Pointer). */
export interface UsedFace {
  readonly face: Face;
  readonly narrow: boolean;
  readonly path: string;
  readonly choice: FontChoice;
}

/** What sets something where it has no face of its own; headings and text always have one. */
export const FACE_INSTEAD = { label: 'heading', code: 'text' } as const;

/** A face that can be left out. */
export type OptionalFace = keyof typeof FACE_INSTEAD;

export const isOptionalFace = (face: Face): face is OptionalFace =>
  Object.hasOwn(FACE_INSTEAD, face);

/** The face that sets something: its own, or the one that stands in for it. */
export function faceFor({ roles, narrow: pair }: Fonts, face: Face, narrow = false): UsedFace {
  const chosen = isOptionalFace(face) ? roles[face] : undefined;
  if (chosen) return { face, narrow: false, path: `/fonts/roles/${face}`, choice: chosen };
  const own = isOptionalFace(face) ? FACE_INSTEAD[face] : face;
  return narrow && pair
    ? { face: own, narrow, path: `/fonts/narrow/${own}`, choice: pair[own] }
    : { face: own, narrow: false, path: `/fonts/roles/${own}`, choice: roles[own] };
}

/** Every face that was chosen: for all screens first, then the pair for narrow ones. */
export function chosenFaces(fonts: Fonts): readonly UsedFace[] {
  const { label, code } = fonts.roles;
  return [
    faceFor(fonts, 'heading'),
    faceFor(fonts, 'text'),
    ...(label ? [faceFor(fonts, 'label')] : []),
    ...(code ? [faceFor(fonts, 'code')] : []),
    ...(fonts.narrow ? [faceFor(fonts, 'heading', true), faceFor(fonts, 'text', true)] : []),
  ];
}

/** A face in words: “text face”, “heading face on narrow screens”. */
export const faceWords = ({ face, narrow }: Pick<UsedFace, 'face' | 'narrow'>): string =>
  `${face} face${narrow ? ' on narrow screens' : ''}`;
