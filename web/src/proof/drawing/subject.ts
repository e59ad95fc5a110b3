import type { Component, Variant } from '@garnish/core/components/component';
import type { StateId } from '@garnish/core/components/states';
import type { Derived } from '@garnish/core/derive/derived';
import type { ProofElement } from '@garnish/core/proof/node';
import { sectionAlone } from '@garnish/core/proof/site';
import { specimenOf } from '@garnish/core/proof/specimens';
import type { StyleDocument } from '@garnish/core/system/document';
import { drawingName, sectionDrawing } from '@garnish/core/system/label-places';
import type { NamedSection } from '@garnish/core/system/named-sections';

/** What can be drawn: a variant of a component, or a section of a page. */
export interface Subject {
  /** What the places of its labels are kept under. */
  readonly id: string;
  /** What its files are called. */
  readonly file: string;
  readonly title: string;
  readonly says: string;
  readonly states: readonly StateId[];
  /** How wide its room is from narrow to wide, in px; the screen is as wide as the room. */
  readonly rooms: readonly [number, number, number];
  /** The most that it has for itself on a screen, in px. */
  readonly roomOn: (screenPx: number) => number;
  /** What is laid out, with what it stands in. */
  readonly nodeIn: (state?: StateId) => ProofElement;
  /** What of it is drawn. */
  readonly rootIn: (laid: Element) => Element;
}

const sentence = (words: string): string => `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;

/** How much a component has for itself at most, in px. */
const ROOM_PX = 360;

export function componentSubject(
  component: Component,
  variant: Variant,
  derived: Derived,
): Subject {
  const { id, name, says } = component;
  const isNamedAlike = variant.name.toLowerCase() === name.toLowerCase();
  return {
    id: drawingName(id, variant.id),
    file: `${id}-${variant.id}`,
    title: isNamedAlike ? name : `${name}: ${variant.name}`,
    says: sentence(says),
    states: variant.states,
    rooms: [280, 440, 640],
    roomOn: (screenPx) => Math.min(ROOM_PX, screenPx),
    nodeIn: (state) => specimenOf(variant, derived, state),
    rootIn: (laid) => laid,
  };
}

/** A section as it stands on its page: as wide as the screen; nothing where it is gone. */
export function sectionSubject(
  { page, pageName, section, name, says }: NamedSection,
  document: StyleDocument,
  derived: Derived,
): Subject | undefined {
  const alone = sectionAlone(document, derived, page, section);
  if (!alone) return undefined;
  return {
    id: sectionDrawing(page, section),
    file: `${page}-${section}`,
    title: `${pageName}: ${name.toLowerCase()}`,
    says: sentence(says),
    states: [],
    rooms: [375, 720, 1280],
    roomOn: (screenPx) => screenPx,
    nodeIn: () => alone,
    rootIn(laid) {
      const around = laid.querySelector('.site-main') ?? laid;
      const [first] = around.children;
      return first && around.childElementCount === 1 ? first : around;
    },
  };
}
