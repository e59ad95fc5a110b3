import { oklabOf, oklchOf } from '../color/oklab.ts';
import { isHex, rgbOf, type Hex } from '../color/srgb.ts';
import type { Derived } from '../derive/derived.ts';
import type { MadePalette } from '../image/made/ink.ts';
import type { MadeManner, MadeOf } from '../image/made/kinds.ts';
import type { Made } from '../image/made/made.ts';
import type { ShownPicture } from '../proof/sections/kind.ts';
import { kindOf } from '../proof/sections/kinds.ts';
import { allSections } from '../proof/texts.ts';
import { inOrder, type StyleDocument } from './document.ts';
import type { Patch } from './patch.ts';
import type { PictureRole } from './picture-roles.ts';
import { jsonOf } from './json.ts';

/** A place on the pages for a picture. */
export interface PicturePlace {
  /** Where the picture stands, or would stand, in the document. */
  readonly path: string;
  readonly draws: MadeOf;
  /** What the picture is on the page. */
  readonly role: PictureRole;
  /** Whether it is seen as an empty place while there is none. */
  readonly isKept: boolean;
  /** What it is the picture of, in the words beside it. */
  readonly of: string;
  readonly picture: ShownPicture | undefined;
}

const wordsOf = (thing: Readonly<Record<string, unknown>>): string =>
  ['who', 'caption', 'title', 'text']
    .map((key) => thing[key])
    .find((one): one is string => typeof one === 'string' && one !== '') ?? '';

/** What is drawn where a picture is missing. */
export const drawnAs = (role: PictureRole): MadeOf => (role === 'portrait' ? 'portrait' : 'scene');

/** Every place for a picture on the pages and in parts of one’s own, in their order. */
export const picturePlaces = (content: StyleDocument['content']): readonly PicturePlace[] =>
  allSections(content).flatMap(({ path, own }) => {
    const { shows, role = 'figure', keepsPlaces = false } = kindOf(own.kind);
    if (!shows) return [];
    return Object.entries(own).flatMap(
      ([key, value]: readonly [string, unknown]): PicturePlace[] => {
        if (typeof value !== 'object' || value === null || !('items' in value)) return [];
        return Object.entries(
          value.items as Readonly<Record<string, Readonly<Record<string, unknown>>>>,
        ).flatMap(([id, thing]) =>
          shows(thing)
            ? [
                {
                  path: `${path}/${key}/items/${id}/picture`,
                  draws: drawnAs(role),
                  role,
                  isKept: keepsPlaces,
                  of: wordsOf(thing),
                  picture: thing['picture'] as ShownPicture | undefined,
                },
              ]
            : [],
        );
      },
    );
  });

/** Grayer than this a color is none that pictures are drawn in. Chroma in OKLCH, common practice. */
const GRAY = 0.03;
const MOST_VIVID = 5;

/** The colors that pictures of a system are drawn in: its page, its text and the sources of its palette by day. */
export function madePalette(
  { color }: Pick<StyleDocument, 'color'>,
  { colors }: Pick<Derived, 'colors'>,
): MadePalette {
  const of = (id: string, otherwise: Hex): Hex => colors.get(id)?.colors.light ?? otherwise;
  const ink = of('text', '#1a1a1a');
  const vivid = inOrder(color.sources)
    .map(([, { value }]) => value)
    .filter((value) => isHex(value) && oklchOf(oklabOf(rgbOf(value))).chroma >= GRAY)
    .slice(0, MOST_VIVID);
  return { page: of('page', '#ffffff'), ink, vivid: vivid.length > 0 ? vivid : [ink] };
}

/** What a made picture of a place is: drawn anew for each seed. */
export const madeFor = (place: PicturePlace, manner: MadeManner, seed: string): Made => ({
  of: place.draws,
  manner,
  seed,
});

/** What is said of it to who does not see it; whoever replaces it says more. */
export const madeName = ({ draws, of }: PicturePlace): string =>
  (draws === 'portrait'
    ? `Portrait: ${of || 'somebody'}`
    : `Drawing: ${of || 'a landscape'}`
  ).slice(0, 80);

/** Puts pictures into their places. */
export const placing = (
  pictures: readonly (readonly [path: string, picture: ShownPicture])[],
): Patch => pictures.map(([path, picture]) => ({ op: 'add', path, value: jsonOf(picture) }));
