import * as z from 'zod/mini';
import { collection, id, label, ownName } from './schema-parts.ts';

/** What the main action stands out by; every other one has less of it. */
export const SURFACES = ['filled', 'outlined', 'quiet'] as const;
/** What a state differs from rest by. */
export const TELLINGS = ['shade', 'edge', 'level', 'underline'] as const;

/** What a part of a component may take instead of what it usually does: a token by the id of what it is made of. */
export const REFERENCE =
  /^(?:color|corner|radius|edge|border|duration|easing|shadow|opacity|layer|type)\.[a-z0-9][a-z0-9-]{0,63}$/;

/** The widths in px below which a navigation may be behind a button. */
export const NARROW_NAVIGATION = { from: 320, to: 1600 } as const;

/** What becomes of the action of a header where its navigation is behind a button. */
export const ACTION_GOES = ['stays', 'inside'] as const;

const className = z.string().check(z.regex(/^[a-z][a-z0-9-]*$/), z.maxLength(40), ownName);
const reference = z.string().check(z.regex(REFERENCE));

/** Which variants of one’s own the components of a part of a page are, by the class of what they follow. */
export const wears = z.record(className, id);

/** A variant of one’s own: it follows what it is a copy of but for what it takes, by the second part of the name. */
export const ownVariantSchema = z.strictObject({
  name: label,
  of: className,
  takes: z.record(className, reference),
});

/** How all components look and answer at once, and where single parts depart from it. */
export const componentsSchema = z.strictObject({
  manner: z.strictObject({ surface: z.enum(SURFACES), states: z.enum(TELLINGS) }),
  /** From which screen down the navigation is behind a button, and what that says; in a row everywhere where absent. */
  narrow: z.optional(
    z.strictObject({
      below: z.int().check(z.gte(NARROW_NAVIGATION.from), z.lte(NARROW_NAVIGATION.to)),
      open: label,
      close: label,
      /** What becomes of the action of the header there; it stays beside the button where absent. */
      action: z.optional(z.enum(ACTION_GOES)),
    }),
  ),
  /** By the name of the part: `button.background-hover`. */
  departures: z.record(
    z.string().check(z.regex(/^[a-z][a-z0-9-]*\.[a-z][a-z0-9-]*$/), z.maxLength(80), ownName),
    reference,
  ),
  /** Variants of one’s own; none where absent. */
  variants: z.optional(collection(ownVariantSchema)),
  /** Labels of drawings of components that were moved by hand, in px of the drawing; none where absent. */
  labels: z.optional(
    collection(
      z.strictObject({
        drawing: z.string().check(z.minLength(1), z.maxLength(140)),
        measure: z.string().check(z.minLength(1), z.maxLength(400)),
        x: z.number().check(z.gte(-2000), z.lte(2000)),
        y: z.number().check(z.gte(-2000), z.lte(2000)),
      }),
    ),
  ),
});

export type Manner = z.infer<typeof componentsSchema>['manner'];
