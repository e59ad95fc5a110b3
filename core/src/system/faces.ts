import type { Face, FontChoice, StyleDocument } from './document.ts';

type Fonts = StyleDocument['fonts'];

/** A face in use: for what, on which screens, and the decision that chose it (a JSON Pointer). */
export interface UsedFace {
  readonly face: Face;
  readonly narrow: boolean;
  readonly path: string;
  readonly choice: FontChoice;
}

/** The face that sets something: labels take the heading’s where they have none of their own. */
export function faceFor({ roles, narrow: pair }: Fonts, face: Face, narrow = false): UsedFace {
  if (face === 'label' && roles.label)
    return { face, narrow: false, path: '/fonts/roles/label', choice: roles.label };
  const own = face === 'text' ? 'text' : 'heading';
  return narrow && pair
    ? { face: own, narrow, path: `/fonts/narrow/${own}`, choice: pair[own] }
    : { face: own, narrow: false, path: `/fonts/roles/${own}`, choice: roles[own] };
}

/** Every face that was chosen: for all screens first, then the pair for narrow ones. */
export function chosenFaces(fonts: Fonts): readonly UsedFace[] {
  const { label } = fonts.roles;
  return [
    faceFor(fonts, 'heading'),
    faceFor(fonts, 'text'),
    ...(label ? [faceFor(fonts, 'label')] : []),
    ...(fonts.narrow ? [faceFor(fonts, 'heading', true), faceFor(fonts, 'text', true)] : []),
  ];
}

/** A face in words: “text face”, “heading face on narrow screens”. */
export const faceWords = ({ face, narrow }: Pick<UsedFace, 'face' | 'narrow'>): string =>
  `${face} face${narrow ? ' on narrow screens' : ''}`;
