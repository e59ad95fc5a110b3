import type { Hex } from '../color/srgb.ts';
import type { Derived } from '../derive/derived.ts';
import { NARROW_SCREEN_PX, type StyleDocument } from '../system/document.ts';
import type { AreaId } from '../system/areas.ts';
import type { Patch } from '../system/patch.ts';

/** How serious: to be repaired, or to be looked at. */
export type Severity = 'repair' | 'look';

/** The area that a finding belongs to; in Review all of them are told. */
export type Area = Exclude<AreaId, 'review' | 'handoff'>;

/** The smallest change that ends a finding. */
export interface Repair {
  /** What the button says: “Use #616d69”. */
  readonly label: string;
  readonly patch: Patch;
  readonly before: string;
  readonly after: string;
  /** Colors to show before and after, where it is a color that changes. */
  readonly swatches?: readonly [before: Hex, after: Hex];
  /** The findings that it ends, by their ids; not said before it was tried. */
  readonly ends?: readonly string[];
}

export interface Finding {
  /** The same as long as it is about the same things, so that it can be accepted and linked. */
  readonly id: string;
  readonly severity: Severity;
  readonly area: Area;
  /** The decision that causes it (a JSON Pointer). */
  readonly decision: string;
  readonly title: string;
  /** The evidence, with its figures. */
  readonly figures: string;
  readonly reason: string;
  readonly source: string;
  /**
   * What it comes from together with others; the same decision for the same kind of finding in
   * one theme where nothing is said.
   */
  readonly cause?: { readonly id: string; readonly title: string };
  /** Where it is seen in the proof: a selector of the exported classes, and the theme it shows in. */
  readonly where: {
    readonly selector: string;
    readonly mode?: 'light' | 'dark';
    readonly widthPx?: number;
    /** The page that it is on, by id; any that has it where absent. */
    readonly page?: string;
    /** Only seen on screens narrower than this. */
    readonly belowPx?: number;
  };
  readonly repair?: Repair;
  /** Other ways to end it, where there are several. */
  readonly ways?: readonly Repair[];
}

/** What causes a finding: those of one cause are told together. At most as long as something can be accepted by. */
export const causeIdOf = ({
  id,
  decision,
  cause,
  where: { mode },
}: Pick<Finding, 'id' | 'decision' | 'cause' | 'where'>): string =>
  (
    cause?.id ??
    `${id.slice(0, id.indexOf(':') < 0 ? id.length : id.indexOf(':'))} of ${decision}${mode === undefined ? '' : ` in ${mode}`}`
  ).slice(0, 200);

/** What is told of a finding where nothing can be done about it. */
export interface ToldFinding extends Pick<Finding, 'id' | 'severity' | 'title' | 'figures'> {
  /** What causes it, where that was told: `causeIdOf`. */
  readonly of?: string | undefined;
}

type DocumentPart = keyof StyleDocument;
type DerivedPart = keyof Derived;

/** A check reads the document and what was derived, and changes nothing. */
export interface Check {
  /** What it reads: as long as each of these is the same, so are its findings. */
  readonly reads: (document: StyleDocument, derived: Derived) => readonly unknown[];
  readonly find: (document: StyleDocument, derived: Derived) => readonly Finding[];
}

const picked = <Whole extends object, Key extends keyof Whole>(
  whole: Whole,
  keys: readonly Key[],
): Pick<Whole, Key> => Object.fromEntries(keys.map((key) => [key, whole[key]])) as Pick<Whole, Key>;

/**
 * A check of the named parts of the document and of what was derived. It is given these and nothing
 * else, so that what it says that it reads is what it can read.
 */
export const checkOf = <const Of extends DocumentPart, const From extends DerivedPart>(
  of: readonly Of[],
  from: readonly From[],
  find: (document: Pick<StyleDocument, Of>, derived: Pick<Derived, From>) => readonly Finding[],
): Check => ({
  reads: (document, derived) => [
    ...of.map((part) => document[part]),
    ...from.map((part) => derived[part]),
  ],
  find: (document, derived) => find(picked(document, of), picked(derived, from)),
});

/** Where the pair for narrow screens is seen, and only there. */
export const onNarrow = ({ narrow }: StyleDocument['fonts']): Partial<Finding['where']> => ({
  widthPx: NARROW_SCREEN_PX,
  ...(narrow && { belowPx: narrow.below }),
});
