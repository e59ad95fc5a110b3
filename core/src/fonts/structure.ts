import { constructionOf, type Construction } from './construction.ts';
import type { FontFamily } from './family.ts';
import { traitsOf, type Traits } from './mood.ts';

/** How far apart two constructions are, 0 to 1. Common practice. */
function constructionsApart(one: Construction, other: Construction): number {
  if (one === other) return 0;
  const both = new Set([one, other]);
  if (both.has('hand')) return 1;
  if (both.has('serif') && both.has('slab')) return 0.4;
  if (both.has('mono')) return 0.7;
  return 1;
}

/**
 * Families that one skeleton was drawn for, in different kinds, by what their makers say of them (from
 * memory). A first word in common says nothing: many foundries put theirs before every name.
 */
const DRAWN_TOGETHER: readonly (readonly string[])[] = [
  ['alegreya', 'alegreya-sans'],
  ['fira-sans', 'fira-code'],
  ['geist', 'geist-mono'],
  ['ibm-plex-sans', 'ibm-plex-serif', 'ibm-plex-mono'],
  ['josefin-sans', 'josefin-slab'],
  ['noto-sans', 'noto-serif'],
  ['nunito', 'nunito-sans'],
  ['overpass', 'overpass-mono'],
  ['playfair', 'playfair-display'],
  ['pt-sans', 'pt-serif'],
  ['red-hat-display', 'red-hat-text'],
  ['roboto', 'roboto-condensed', 'roboto-mono', 'roboto-serif', 'roboto-slab'],
  ['source-sans-3', 'source-serif-4', 'source-code-pro'],
];

const GROUP_OF: ReadonlyMap<string, number> = new Map(
  DRAWN_TOGETHER.flatMap((ids, group) => ids.map((id) => [id, group] as const)),
);

/** What of a face decides how it stands beside another. */
export interface Structure {
  readonly family: FontFamily;
  readonly traits: Traits;
  readonly construction: Construction;
  /** The number of the group that was drawn together; none for most faces. */
  readonly group: number | undefined;
}

export const structureOf = (family: FontFamily): Structure => ({
  family,
  traits: traitsOf(family),
  construction: constructionOf(family),
  group: GROUP_OF.get(family.id),
});

/** Whether two families, of different construction, were drawn for one skeleton. */
export const drawnTogether = (one: Structure, other: Structure): boolean =>
  one.group !== undefined && one.group === other.group && one.construction !== other.construction;

const held = (value: number): number => Math.min(1, Math.max(0, value));

/** How far apart two structures are, 0 to about 1: construction, modulation, width and weight of strokes. */
const apart = (one: Structure, other: Structure): number =>
  0.45 * constructionsApart(one.construction, other.construction) +
  0.35 * Math.abs(one.traits.modulation - other.traits.modulation) +
  0.2 * Math.abs(one.traits.width - other.traits.width) +
  0.2 * Math.abs(one.traits.weight - other.traits.weight);

/**
 * Whether a difference looks deliberate, 0 to 1: none at all (one family, or two drawn together) does, a
 * clear one does, and a small one looks like a mistake. Common practice.
 */
export function difference(heading: Structure, text: Structure): number {
  if (heading.family === text.family) return 0.35;
  if (drawnTogether(heading, text)) return 0.8;
  return held(apart(heading, text) / 0.9);
}

/**
 * How well two faces stand in one line, 0 to 1: their small letters of one height, or the capitals where
 * one of them has no small letters, which is never as good. Common practice.
 */
export function inOneLine(
  { metrics: one }: FontFamily,
  { metrics: other }: FontFamily,
  small: boolean,
): number {
  return small
    ? held(1 - Math.abs(one.xHeight - other.xHeight) / 0.1)
    : 0.7 * held(1 - Math.abs(one.capHeight - other.capHeight) / 0.2);
}
