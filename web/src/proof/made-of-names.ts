import type { View } from '../system/views.ts';

/** What the elements of pages are made of: the site’s words and the names of the rules, never sizes or colors. */
export const madeOfNames = ({ document, derived }: View) => ({
  name: document.name,
  content: document.content,
  veils: document.color.veils,
  languages: document.brief.languages,
  logo: document.layout.logo,
  cards: document.shape.cards,
  pictures: document.layout.pictures,
  pictureRoles: document.layout.pictureRoles,
  narrow: document.components.narrow,
  selectors: derived.selectors,
});
