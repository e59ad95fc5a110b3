import * as z from 'zod/mini';
import { id } from './schema-parts.ts';

/** What a picture is on a page. */
export const PICTURE_ROLES = [
  {
    id: 'opening',
    name: 'Opening',
    says: 'under the words that a page opens with',
    className: 'hero-picture',
    isUnderWords: true,
  },
  {
    id: 'background',
    name: 'Background',
    says: 'under the words of a call to action',
    className: 'ground-picture',
    isUnderWords: true,
  },
  {
    id: 'card',
    name: 'Card',
    says: 'at the head of a card, or beside its words',
    className: 'card-picture',
    isUnderWords: false,
  },
  {
    id: 'figure',
    name: 'Figure',
    says: 'in an article or a gallery, with its caption',
    className: 'figure-picture',
    isUnderWords: false,
  },
  {
    id: 'portrait',
    name: 'Portrait',
    says: 'of who said something',
    className: 'voice-picture',
    isUnderWords: false,
  },
] as const;

export type PictureRole = (typeof PICTURE_ROLES)[number]['id'];

/** What is done to the pictures of a role; they are as they are where absent. */
const treatment = z.discriminatedUnion('kind', [
  /** So much of the picture is seen over its ground. */
  z.strictObject({ kind: z.literal('faint'), opacity: z.number().check(z.gte(0.05), z.lte(1)) }),
  /** In one color role, from it to white or to black; or in two, from the darker to the lighter. */
  z.strictObject({ kind: z.literal('toned'), color: id, second: z.optional(id) }),
]);

/** What fills the room under words is cut by it, and has no shape of its own. */
const underWords = z.optional(z.strictObject({ treatment: z.optional(treatment) }));
const shaped = z.optional(
  z.strictObject({
    /** The shape that its pictures are cut to; the first where absent, each in turn in a gallery. */
    shape: z.optional(id),
    treatment: z.optional(treatment),
  }),
);

export const pictureRolesSchema = z.strictObject({
  opening: underWords,
  background: underWords,
  card: shaped,
  figure: shaped,
  portrait: shaped,
} satisfies Readonly<Record<PictureRole, typeof shaped | typeof underWords>>);

export type PictureRoles = z.infer<typeof pictureRolesSchema>;
export type Treatment = z.infer<typeof treatment>;

interface Decided {
  readonly pictureRoles?: PictureRoles | undefined;
}

/** What is decided for the pictures of a role. */
export const pictureRole = ({ pictureRoles }: Decided, role: PictureRole) => pictureRoles?.[role];

/** Color roles that treatments name, each with where it is named. */
export const treatmentColors = ({
  pictureRoles,
}: Decided): readonly (readonly [path: string, role: string])[] =>
  PICTURE_ROLES.flatMap(({ id }) => {
    const treatment = pictureRole({ pictureRoles }, id)?.treatment;
    if (treatment?.kind !== 'toned') return [];
    const path = `/layout/pictureRoles/${id}/treatment`;
    return [
      [`${path}/color`, treatment.color] as const,
      ...(treatment.second === undefined ? [] : [[`${path}/second`, treatment.second] as const]),
    ];
  });
