import type { Operation } from '../patch.ts';

export type Raw = Record<string, unknown>;

/**
 * The way from one schema number to the next. A step is frozen: it holds literals of its own and reads
 * none of today’s defaults, so that a document comes out the same whenever it is opened.
 */
export interface UpgradeStep {
  readonly document: (document: Raw) => Raw;
  /** A change that was made under the older schema, in its place and in its value. */
  readonly operation: (operation: Operation) => Operation;
  /**
   * What is kept beside systems, by its kind, where this step changes the form of it. A step that changes the
   * families in documents changes those in kept pairs, and kept families, here.
   */
  readonly kept?: Partial<Readonly<Record<KeptKind, (content: unknown) => unknown>>>;
}

/** What is kept beside systems: pairs and palettes set aside, families that somebody brought. */
export type KeptKind = 'pair' | 'palette' | 'family';

export const isRaw = (value: unknown): value is Raw =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Changes what stands at a path of a plain record; what is not there stays away. */
export function changed(
  value: unknown,
  path: readonly string[],
  change: (there: unknown) => unknown,
): unknown {
  const [head, ...rest] = path;
  if (head === undefined) return change(value);
  if (!isRaw(value) || !Object.hasOwn(value, head)) return value;
  return { ...value, [head]: changed(value[head], rest, change) };
}

/** Things by their ids, in the order given, as collections are kept. */
export const ordered = (things: readonly (readonly [id: string, thing: unknown])[]): Raw => ({
  order: things.map(([id]) => id),
  items: Object.fromEntries(things),
});

export const same = (operation: Operation): Operation => operation;
