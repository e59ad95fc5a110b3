import { nearestWeight, type FontFamily } from '@garnish/core/fonts/family';
import { LANGUAGES, type LanguageCode } from '@garnish/core/fonts/languages';
import {
  FACES,
  type Face,
  type FontChoice,
  type StyleDocument,
} from '@garnish/core/system/document';
import { faceFor, faceWords, isOptionalFace, type OptionalFace } from '@garnish/core/system/faces';
import { jsonOf, type Patch } from '@garnish/core/system/patch';

type Fonts = StyleDocument['fonts'];

/** The weight in which a face that can be left out begins. */
const FIRST_WEIGHT: Readonly<Record<OptionalFace, number>> = { label: 600, code: 400 };

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

/** What was chosen there; undefined for labels and code that are set in another face. */
export const choiceAt = (fonts: Fonts, target: Target): FontChoice | undefined =>
  isOptionalFace(target.face)
    ? fonts.roles[target.face]
    : faceFor(fonts, target.face, target.narrow).choice;

/** What a choice of a face rests on. */
type Decided = Pick<StyleDocument, 'fonts' | 'type'>;

/** Roles of text that are for code by their id and set in the text face: they take the face for code once there is one. */
const forCode = ({ fonts, type }: Decided): Patch =>
  fonts.roles.code === undefined && type.roles.items['code']?.face === 'text'
    ? [{ op: 'replace', path: '/type/roles/items/code/face', value: 'code' }]
    : [];

/** Takes a face: the whole measured record goes into the document, so that nothing alters it later. */
export function choosing(decided: Decided, target: Target, family: FontFamily): Patch {
  const { fonts } = decided;
  if (isOptionalFace(target.face) && !choiceAt(fonts, target))
    return [
      {
        op: 'add',
        path: pathOf(target),
        value: {
          family: jsonOf(family),
          weight: nearestWeight(family, FIRST_WEIGHT[target.face]),
        },
      },
      ...(target.face === 'code' ? forCode(decided) : []),
    ];
  return [{ op: 'replace', path: `${pathOf(target)}/family`, value: jsonOf(family) }];
}

/** A pair or a trio, for every screen; a pair leaves the labels as they are. */
export const choosingAll = (
  decided: Decided,
  faces: {
    readonly heading: FontFamily;
    readonly text: FontFamily;
    readonly label?: FontFamily | undefined;
  },
): Patch =>
  (['heading', 'text', 'label'] as const).flatMap((face) => {
    const family = faces[face];
    return family ? choosing(decided, { face, narrow: false }, family) : [];
  });

export const languageName = (code: LanguageCode): string => LANGUAGES[code].name;
