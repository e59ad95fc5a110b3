import { nearestWeight, type FontFamily } from '@garnish/core/fonts/family';
import { LANGUAGES, type LanguageCode } from '@garnish/core/fonts/languages';
import {
  FACES,
  type Face,
  type FontChoice,
  type StyleDocument,
} from '@garnish/core/system/document';
import { faceFor, faceWords } from '@garnish/core/system/faces';
import { jsonOf, type Patch } from '@garnish/core/system/patch';

type Fonts = StyleDocument['fonts'];

/** The weight in which a face begins to set labels. */
const LABEL_WEIGHT = 600;

/** What a face is chosen for. */
export interface Target {
  readonly face: Face;
  readonly narrow: boolean;
}

export const pathOf = ({ face, narrow }: Target): string =>
  narrow ? `/fonts/narrow/${face}` : `/fonts/roles/${face}`;

/** The face that a decision is about, by its place in the document; headings for any other. */
export const targetAt = (at: string | null): Target => ({
  face: FACES.find((face) => at?.split('/')[3] === face) ?? 'heading',
  narrow: at?.startsWith('/fonts/narrow') ?? false,
});

export const nameOf = faceWords;

/** What was chosen there; undefined for labels that are set in the heading face. */
export const choiceAt = (fonts: Fonts, target: Target): FontChoice | undefined =>
  target.face === 'label' ? fonts.roles.label : faceFor(fonts, target.face, target.narrow).choice;

/** Takes a face: the whole measured record goes into the document, so that nothing alters it later. */
export function choosing(fonts: Fonts, target: Target, family: FontFamily): Patch {
  if (!choiceAt(fonts, target))
    return [
      {
        op: 'add',
        path: pathOf(target),
        value: { family: jsonOf(family), weight: nearestWeight(family, LABEL_WEIGHT) },
      },
    ];
  return [{ op: 'replace', path: `${pathOf(target)}/family`, value: jsonOf(family) }];
}

/** A pair or a trio, for every screen; a pair leaves the labels as they are. */
export const choosingAll = (
  fonts: Fonts,
  faces: {
    readonly heading: FontFamily;
    readonly text: FontFamily;
    readonly label?: FontFamily | undefined;
  },
): Patch =>
  (['heading', 'text', 'label'] as const).flatMap((face) => {
    const family = faces[face];
    return family ? choosing(fonts, { face, narrow: false }, family) : [];
  });

export const languageName = (code: LanguageCode): string => LANGUAGES[code].name;
