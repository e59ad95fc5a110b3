import type { Derived } from '../derive/derived.ts';
import type { StyleDocument } from '../system/document.ts';
import { picturesOf } from '../system/pictures.ts';
import type { Known } from './known.ts';

/** Whom files are for, in the order in which they are told. */
export const DOWNLOAD_GROUPS = [
  'for the site',
  'for builds and other programs',
  'for applications',
  'to read and to keep',
  'pictures, icons and fonts',
] as const;
export type DownloadGroup = (typeof DOWNLOAD_GROUPS)[number];

/** A file that a system is handed over as. */
export interface Format {
  readonly file: string;
  /** What is in it, in words. */
  readonly about: string;
  readonly type: string;
  /** Whom it is for. */
  readonly group: DownloadGroup;
  /** Its text; what writes it is loaded when somebody asks. */
  readonly write: (document: StyleDocument, derived: Derived, known?: Known) => Promise<string>;
  /** Whether it goes into the archive of everything. */
  readonly isArchived: (document: StyleDocument, known?: Known) => boolean;
}

const CSS = 'text/css; charset=utf-8';
const always = (): boolean => true;

const JSON_TYPE = 'application/json; charset=utf-8';
const TEXT = 'text/plain; charset=utf-8';
const never = (): boolean => false;

/** The tokens for what is no style sheet, and for what style sheets are made with; taken one by one. */
const others: readonly Format[] = [
  {
    file: 'tokens-theme.json',
    group: 'for builds and other programs',
    about: 'the open token format, of the first theme alone',
    type: JSON_TYPE,
    write: async (document, derived) =>
      (await import('./dtcg.ts')).writeDtcgTheme(derived, document, 0),
    isArchived: never,
  },
  {
    file: 'tokens-other-theme.json',
    group: 'for builds and other programs',
    about: 'the same, of the other theme',
    type: JSON_TYPE,
    write: async (document, derived) =>
      (await import('./dtcg.ts')).writeDtcgTheme(derived, document, 1),
    isArchived: never,
  },
  {
    file: 'tokens.resolver.json',
    group: 'for builds and other programs',
    about: 'how these two are put together',
    type: JSON_TYPE,
    write: async (document, derived) =>
      (await import('./dtcg.ts')).writeResolver(derived, document),
    isArchived: never,
  },
  {
    file: 'tokens.scss',
    group: 'for builds and other programs',
    about: 'Sass variables, and a map for each theme',
    type: 'text/x-scss; charset=utf-8',
    write: async (document, derived) => (await import('./sass.ts')).writeSass(document, derived),
    isArchived: never,
  },
  {
    file: 'tokens.less',
    group: 'for builds and other programs',
    about: 'Less variables, and a map for each theme',
    type: 'text/x-less; charset=utf-8',
    write: async (document, derived) => (await import('./less.ts')).writeLess(document, derived),
    isArchived: never,
  },
  {
    file: 'theme.css',
    group: 'for builds and other programs',
    about: 'the theme block for Tailwind CSS, beside tokens.css',
    type: CSS,
    write: async (document, derived) =>
      (await import('./theme-block.ts')).writeThemeBlock(document, derived),
    isArchived: never,
  },
  {
    file: 'tokens.js',
    group: 'for builds and other programs',
    about: 'a module: an object for each theme',
    type: 'text/javascript; charset=utf-8',
    write: async (document, derived) =>
      (await import('./module.ts')).writeModule(document, derived),
    isArchived: never,
  },
  {
    file: 'tokens.d.ts',
    group: 'for builds and other programs',
    about: 'the types of the module',
    type: TEXT,
    write: async (document, derived) =>
      (await import('./module.ts')).writeModuleTypes(document, derived),
    isArchived: never,
  },
  {
    file: 'tokens-flat.json',
    group: 'for builds and other programs',
    about: 'plain JSON by custom property, in each theme',
    type: JSON_TYPE,
    write: async (document, derived) =>
      (await import('./json.ts')).writeFlatJson(document, derived),
    isArchived: never,
  },
  {
    file: 'tokens-nested.json',
    group: 'for builds and other programs',
    about: 'plain JSON in groups, in each theme',
    type: JSON_TYPE,
    write: async (document, derived) =>
      (await import('./json.ts')).writeNestedJson(document, derived),
    isArchived: never,
  },
  {
    file: 'tokens.csv',
    group: 'to read and to keep',
    about: 'a table for spreadsheets',
    type: 'text/csv; charset=utf-8',
    write: async (document, derived) =>
      (await import('./token-tables.ts')).writeCsv(document, derived),
    isArchived: never,
  },
  {
    file: 'tokens.md',
    group: 'to read and to keep',
    about: 'tables to read, in Markdown',
    type: 'text/markdown; charset=utf-8',
    write: async (document, derived) =>
      (await import('./token-tables.ts')).writeMarkdown(document, derived),
    isArchived: never,
  },
  {
    file: 'tokens.xml',
    group: 'for applications',
    about: 'Android resources, in the first theme',
    type: 'application/xml; charset=utf-8',
    write: async (document, derived) =>
      (await import('./xml-resources.ts')).writeXml(document, derived),
    isArchived: never,
  },
  {
    file: 'tokens-other.xml',
    group: 'for applications',
    about: 'what differs in the other theme',
    type: 'application/xml; charset=utf-8',
    write: async (document, derived) =>
      (await import('./xml-resources.ts')).writeXmlOther(document, derived),
    isArchived: never,
  },
  {
    file: 'Tokens.swift',
    group: 'for applications',
    about: 'constants of Swift',
    type: TEXT,
    write: async (document, derived) => (await import('./swift.ts')).writeSwift(document, derived),
    isArchived: never,
  },
  {
    file: 'Tokens.kt',
    group: 'for applications',
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
    group: 'for the site',
    about: 'custom properties, font faces, classes',
    type: CSS,
    write: async ({ tokens }, derived) =>
      (await import('./css.ts')).writeCss(derived, tokens.sheet),
    isArchived: always,
  },
  {
    file: 'tokens-stepped.css',
    group: 'for the site',
    about: 'the same without clamp(), sizes in steps',
    type: CSS,
    write: async (document, derived) =>
      (await import('./stepped.ts')).writeStepped(document, derived),
    isArchived: () => false,
  },
  {
    file: 'utilities.css',
    group: 'for the site',
    about: 'classes for padding, margin and gap, where Space, Classes asks for them',
    type: CSS,
    write: async (document, derived) =>
      (await import('./utilities.ts')).writeUtilities(document, derived),
    isArchived: ({ space }) => space.utilities !== undefined,
  },
  {
    file: 'classes.md',
    group: 'for the site',
    about: 'the markup of each class',
    type: 'text/markdown; charset=utf-8',
    write: async (document, derived) =>
      (await import('./classes.ts')).writeClasses(document, derived),
    isArchived: always,
  },
  {
    file: 'components.html',
    group: 'for the site',
    about: 'every component in every state, with its HTML',
    type: 'text/html; charset=utf-8',
    write: async (document, derived) =>
      (await import('./components-page.ts')).writeComponentsPage(document, derived),
    isArchived: always,
  },
  {
    file: 'icons.svg',
    group: 'pictures, icons and fonts',
    about: 'every icon as a symbol of one file',
    type: 'image/svg+xml; charset=utf-8',
    write: async (document, derived) =>
      (await import('./icon-files.ts')).writeSprite(document, derived),
    isArchived: always,
  },
  {
    file: 'icon-licenses.txt',
    group: 'pictures, icons and fonts',
    about: 'where the icons come from, and their licenses',
    type: 'text/plain; charset=utf-8',
    write: async (document, derived) =>
      (await import('./icon-files.ts')).writeIconLicenses(document, derived),
    isArchived: ({ icons }) => icons.named.order.length > 0,
  },
  {
    file: 'pictures.md',
    group: 'pictures, icons and fonts',
    about: 'the markup of every picture, with the widths that it is offered in',
    type: 'text/markdown; charset=utf-8',
    write: async (document, derived) =>
      (await import('./picture-files.ts')).writePictures(document, derived),
    isArchived: (document) => picturesOf(document).length > 0,
  },
  {
    file: 'tokens.json',
    group: 'for builds and other programs',
    about: 'the open token format, with all decisions',
    type: JSON_TYPE,
    write: async (document, derived) => (await import('./dtcg.ts')).writeDtcg(derived, document),
    isArchived: always,
  },
  ...others,
  {
    file: 'handoff.md',
    group: 'to read and to keep',
    about: 'what was decided and why, in words',
    type: 'text/markdown; charset=utf-8',
    write: async (document, derived, known) =>
      (await import('./handoff.ts')).writeHandoff(document, derived, known),
    isArchived: always,
  },
  {
    file: 'verified.md',
    group: 'to read and to keep',
    about: 'what came out when these files were read in a browser',
    type: 'text/markdown; charset=utf-8',
    write: async (document, _derived, known) =>
      (await import('./verified.ts')).writeVerified(document, known?.verified),
    isArchived: (_document, known) => known?.verified !== undefined,
  },
];

/** What is handed over as an archive; its bytes are put together where the font files are. */
export const ARCHIVES = [
  {
    file: 'tokens.zip',
    group: 'for the site',
    about: 'the files above, with the font files and licenses',
  },
  {
    file: 'icons.zip',
    group: 'pictures, icons and fonts',
    about: 'the icons as SVG files, with their licenses',
  },
  {
    file: 'pictures.zip',
    group: 'pictures, icons and fonts',
    about: 'the pictures of the pages as WebP, each in several widths',
  },
  {
    file: 'fonts.zip',
    group: 'pictures, icons and fonts',
    about: 'the font files alone, to be installed for mock-ups',
  },
] as const;

export type ArchiveFile = (typeof ARCHIVES)[number]['file'];

/** Everything that can be taken away, by its name and in words. */
export const DOWNLOADS: readonly Pick<Format, 'file' | 'about' | 'group'>[] = [
  ...FORMATS,
  ...ARCHIVES,
];
