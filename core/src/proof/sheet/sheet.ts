import type { Derived } from '../../derive/derived.ts';
import type { Mode, StyleDocument } from '../../system/document.ts';
import { builder } from '../build.ts';
import { logoOf } from '../mark.ts';
import { element, type ProofElement } from '../node.ts';
import type { Chapter, Given } from './chapter.ts';
import { grounded, ramps, roles } from './color.ts';
import { components } from './components.ts';
import { icons } from './icons.ts';
import { imported } from './imported.ts';
import { levels, motion, shapes } from './shape.ts';
import { grid, pictures, spaces } from './space.ts';
import { states } from './states.ts';
import { faces, texts } from './type.ts';

/** The chapters of the sheet in their order; a new one is a file and a line here. */
export const CHAPTERS: readonly Chapter[] = [
  faces,
  texts,
  ramps,
  roles,
  grounded,
  spaces,
  grid,
  pictures,
  shapes,
  icons,
  levels,
  motion,
  states,
  components,
  imported,
];

/** What the sheet is set from, in a theme. */
export const givenOf = (document: StyleDocument, derived: Derived, mode: Mode): Given => ({
  document,
  derived,
  mode,
  build: builder(document, derived),
});

/** The head of the sheet: whose it is. */
export const sheetHead = ({ build, document: { name, content, layout } }: Given): ProofElement =>
  element(
    'header',
    { class: 'sheet-head' },
    ...logoOf(content.mark, layout.logo),
    build.text('h1', 'h1', [name]),
    build.text('p', 'caption', ['Sheet of parts']),
  );

/** A chapter under its name; nothing where the system has none of its things. */
export function chapterOf(
  { id, name, isOfPages, nodes }: Chapter,
  given: Given,
): ProofElement | undefined {
  const made = nodes(given);
  const text = given.derived.styles.get('body');
  return made.length === 0
    ? undefined
    : element(
        'section',
        { class: `sheet-chapter sheet-of-${id}` },
        given.build.text('h2', 'label', [name], undefined, 'sheet-heading'),
        element(
          'div',
          {
            class: ['sheet-content', isOfPages !== true && text && `type-${text.slug}`]
              .filter(Boolean)
              .join(' '),
          },
          ...made,
        ),
      );
}

/** The ground that all of it stands on. */
export const sheetGround = ({ build }: Given): ProofElement =>
  build.ground('div', 'page', { class: 'sheet', lang: 'en' }, []);

/**
 * The sheet of parts: one page that is made and not written, on which everything that is decided stands, by the
 * classes of the exported sheet and by specimens of tokens (`specimenRules`).
 */
export function sheetPage(document: StyleDocument, derived: Derived, mode: Mode): ProofElement {
  const given = givenOf(document, derived, mode);
  return {
    ...sheetGround(given),
    children: [sheetHead(given), ...CHAPTERS.flatMap((one) => chapterOf(one, given) ?? [])],
  };
}
