import { once } from '../once.ts';
import type { ShownPicture } from '../proof/sections/kind.ts';
import { allSections } from '../proof/texts.ts';
import { inOrder, type PageSection, type StyleDocument } from './document.ts';

const isPicture = (value: unknown): value is ShownPicture =>
  typeof value === 'object' && value !== null && 'file' in value && 'width' in value;

/** The pictures of the things of a section, whatever kind it is of. */
const picturesOfSection = (own: PageSection): readonly ShownPicture[] =>
  Object.values(own).flatMap((value: unknown) => {
    if (typeof value !== 'object' || value === null || !('items' in value)) return [];
    return Object.values(value.items as object).flatMap((thing: unknown) => {
      const { picture } = (typeof thing === 'object' ? thing : {}) as {
        readonly picture?: unknown;
      };
      return isPicture(picture) ? [picture] : [];
    });
  });

/** Every picture that a system has, each file once: those with text on them first, then those of its pages. */
export const picturesOf = once(
  ({ color, content }: Pick<StyleDocument, 'color' | 'content'>): readonly ShownPicture[] => {
    const all = [
      ...inOrder(color.veils).map(([, { picture }]) => picture),
      ...allSections(content).flatMap(({ own }) => picturesOfSection(own)),
    ];
    return [...new Map(all.map((picture) => [picture.file, picture])).values()];
  },
);
