import type { Patch } from '../system/patch.ts';

/** What can be proposed, in the order in which it is shown. */
export const PROPOSED = [
  'heading face',
  'text face',
  'scale',
  'flow',
  'text roles',
  'heading lines',
  'text lines',
  'page',
  'surface',
  'support',
  'text',
  'quiet',
  'link',
  'line',
  'action',
  'action-hover',
  'action-pressed',
  'unit',
  'section space',
  'card inset',
  'stack',
  'control inset',
  'breakpoints',
  'container',
  'columns',
  'gutter',
  'controls',
  'cards',
  'light',
] as const;
export type ProposalId = (typeof PROPOSED)[number];

/** A value with what speaks for it, and the change that decides it. */
export interface Proposed {
  readonly value: string;
  /** The figures that it rests on, in words. */
  readonly why: string;
  /** How much of what it is about it explains, 0 to 1. */
  readonly explains: number;
  /** Values that it does not explain, as they are written. */
  readonly unexplained: readonly string[];
  /** The change of a new system that decides it. */
  readonly patch: Patch;
}

/** What could be decided for a system, because sheets or a page say so. */
export interface Proposal extends Proposed {
  readonly id: ProposalId;
  /** What is decided. */
  readonly name: string;
  /** What a new system begins with. */
  readonly usual: string;
  /** What else it could be, what explains most first. */
  readonly alternatives?: readonly Proposed[];
}

/** No more alternatives are told. */
export const MOST_ALTERNATIVES = 4;
