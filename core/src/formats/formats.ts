import type { ToldFinding } from '../checks/finding.ts';
import type { Derived } from '../derive/derived.ts';
import type { StyleDocument } from '../system/document.ts';
import { picturesOf } from '../system/pictures.ts';

/** A file that a system is handed over as. */
export interface Format {
  readonly file: string;
  /** What is in it, in words. */
  readonly about: string;
  readonly type: string;
  /** Its text; what writes it is loaded when somebody asks. */
  readonly write: (
    document: StyleDocument,
    derived: Derived,
    /** What was found on the pages as they are; nothing where they were not measured. */
    measured?: readonly ToldFinding[],
  ) => Promise<string>;
  /** Whether it goes into the archive of everything. */
  readonly isArchived: (document: StyleDocument) => boolean;
}

const CSS = 'text/css; charset=utf-8';
const always = (): boolean => true;

const JSON_TYPE = 'application/json; charset=utf-8';
const TEXT = 'text/plain; charset=utf-8';
const never = (): boolean => false;

/** The tokens for what is no style sheet, and for what style sheets are made with; taken one by one. */
const others: readonly Format[] = [
  {
    file: 'tokens.scss',
    about: 'Sass variables, and a map for each theme',
    type: 'text/x-scss; charset=utf-8',
    write: async (document, derived) => (await import('./sass.ts')).writeSass(document, derived),
    isArchived: never,
  },
  {
    file: 'tokens.less',
    about: 'Less variables, and a map for each theme',
    type: 'text/x-less; charset=utf-8',
    write: async (document, derived) => (await import('./less.ts')).writeLess(document, derived),
    isArchived: never,
  },
  {
    file: 'theme.css',
    about: 'the theme block for Tailwind CSS, beside tokens.css',
    type: CSS,
    write: async (document, derived) =>
      (await import('./theme-block.ts')).writeThemeBlock(document, derived),
    isArchived: never,
  },
  {
    file: 'tokens.js',
    about: 'a module: an object for each theme',
    type: 'text/javascript; charset=utf-8',
    write: async (document, derived) =>
      (await import('./module.ts')).writeModule(document, derived),
    isArchived: never,
  },
  {
    file: 'tokens.d.ts',
    about: 'the types of the module',
    type: TEXT,
    write: async (document, derived) =>
      (await import('./module.ts')).writeModuleTypes(document, derived),
    isArchived: never,
  },
  {
    file: 'tokens-flat.json',
    about: 'plain JSON by custom property, in each theme',
    type: JSON_TYPE,
    write: async (document, derived) =>
      (await import('./json.ts')).writeFlatJson(document, derived),
    isArchived: never,
  },
  {
    file: 'tokens-nested.json',
    about: 'plain JSON in groups, in each theme',
    type: JSON_TYPE,
    write: async (document, derived) =>
      (await import('./json.ts')).writeNestedJson(document, derived),
    isArchived: never,
  },
  {
    file: 'tokens.csv',
    about: 'a table for spreadsheets',
    type: 'text/csv; charset=utf-8',
    write: async (document, derived) =>
      (await import('./token-tables.ts')).writeCsv(document, derived),
    isArchived: never,
  },
  {
    file: 'tokens.md',
    about: 'tables to read, in Markdown',
    type: 'text/markdown; charset=utf-8',
    write: async (document, derived) =>
      (await import('./token-tables.ts')).writeMarkdown(document, derived),
    isArchived: never,
  },
  {
    file: 'tokens.xml',
    about: 'Android resources, in the first theme',
    type: 'application/xml; charset=utf-8',
    write: async (document, derived) =>
      (await import('./xml-resources.ts')).writeXml(document, derived),
    isArchived: never,
  },
  {
    file: 'tokens-other.xml',
    about: 'what differs in the other theme',
    type: 'application/xml; charset=utf-8',
    write: async (document, derived) =>
      (await import('./xml-resources.ts')).writeXmlOther(document, derived),
    isArchived: never,
  },
  {
    file: 'Tokens.swift',
    about: 'constants of Swift',
    type: TEXT,
    write: async (document, derived) => (await import('./swift.ts')).writeSwift(document, derived),
    isArchived: never,
  },
  {
    file: 'Tokens.kt',
    about: 'constants of Kotlin',
    type: TEXT,
    write: async (document, derived) =>
      (await import('./kotlin.ts')).writeKotlin(document, derived),
    isArchived: never,
  },
];

/**
 * Every text that a system is handed over as; a new one is a file and an entry here. The routes, the archive,
 * the lists on screen, the search and the tests read this list.
 */
export const FORMATS: readonly Format[] = [
  {
    file: 'tokens.css',
    about: 'custom properties, font faces, classes',
    type: CSS,
    write: async ({ tokens }, derived) =>
      (await import('./css.ts')).writeCss(derived, tokens.sheet),
    isArchived: always,
  },
  {
    file: 'tokens-stepped.css',
    about: 'the same without clamp(), sizes in steps',
    type: CSS,
    write: async (document, derived) =>
      (await import('./stepped.ts')).writeStepped(document, derived),
    isArchived: () => false,
  },
  {
    file: 'utilities.css',
    about: 'classes for padding, margin and gap, where Space, Classes asks for them',
    type: CSS,
    write: async (document, derived) =>
      (await import('./utilities.ts')).writeUtilities(document, derived),
    isArchived: ({ space }) => space.utilities !== undefined,
  },
  {
    file: 'classes.md',
    about: 'the markup of each class',
    type: 'text/markdown; charset=utf-8',
    write: async (document, derived) =>
      (await import('./classes.ts')).writeClasses(document, derived),
    isArchived: always,
  },
  {
    file: 'components.html',
    about: 'every component in every state, with its HTML',
    type: 'text/html; charset=utf-8',
    write: async (document, derived) =>
      (await import('./components-page.ts')).writeComponentsPage(document, derived),
    isArchived: always,
  },
  {
    file: 'icons.svg',
    about: 'every icon as a symbol of one file',
    type: 'image/svg+xml; charset=utf-8',
    write: async (document, derived) =>
      (await import('./icon-files.ts')).writeSprite(document, derived),
    isArchived: always,
  },
  {
    file: 'icon-licenses.txt',
    about: 'where the icons come from, and their licenses',
    type: 'text/plain; charset=utf-8',
    write: async (document, derived) =>
      (await import('./icon-files.ts')).writeIconLicenses(document, derived),
    isArchived: ({ icons }) => icons.named.order.length > 0,
  },
  {
    file: 'pictures.md',
    about: 'the markup of every picture, with the widths that it is offered in',
    type: 'text/markdown; charset=utf-8',
    write: async (document, derived) =>
      (await import('./picture-files.ts')).writePictures(document, derived),
    isArchived: (document) => picturesOf(document).length > 0,
  },
  {
    file: 'tokens.json',
    about: 'the open token format, with all decisions',
    type: JSON_TYPE,
    write: async (document, derived) => (await import('./dtcg.ts')).writeDtcg(derived, document),
    isArchived: always,
  },
  ...others,
  {
    file: 'handoff.md',
    about: 'what was decided and why, in words',
    type: 'text/markdown; charset=utf-8',
    write: async (document, derived, measured) =>
      (await import('./handoff.ts')).writeHandoff(document, derived, measured),
    isArchived: always,
  },
];

/** What is handed over as an archive; its bytes are put together where the font files are. */
export const ARCHIVES = [
  { file: 'tokens.zip', about: 'the files above, with the font files and licenses' },
  { file: 'icons.zip', about: 'the icons as SVG files, with their licenses' },
  { file: 'pictures.zip', about: 'the pictures of the pages as WebP, each in several widths' },
  { file: 'fonts.zip', about: 'the font files alone, to be installed for mock-ups' },
] as const;

export type ArchiveFile = (typeof ARCHIVES)[number]['file'];

/** Everything that can be taken away, by its name and in words. */
export const DOWNLOADS: readonly Pick<Format, 'file' | 'about'>[] = [...FORMATS, ...ARCHIVES];
