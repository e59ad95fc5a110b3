import type { StyleDocument } from '../system/document.ts';

/** How the sheet is written for the site that it goes into. */
export type Naming = NonNullable<StyleDocument['tokens']['sheet']>;

/** A text of CSS with its strings left as they are. */
const outsideStrings = (css: string, change: (part: string) => string): string =>
  css.replaceAll(/"(?:[^"\\]|\\.)*"|[^"]+/g, (part) =>
    part.startsWith('"') ? part : change(part),
  );

/** The name of a custom property with the prefix: `--color-page` becomes `--rc-color-page`. */
export const namedProperty = (property: string, { properties }: Naming = {}): string =>
  properties === undefined ? property : property.replace(/^--/, `--${properties}-`);

/** The name of a class, without its dot, with the prefix. */
export const namedClass = (name: string, { classes }: Naming = {}): string =>
  classes === undefined ? name : `${classes}-${name}`;

/** The names of an attribute `class`, each with the prefix. */
export const namedClasses = (names: string, naming: Naming = {}): string =>
  names
    .split(/\s+/)
    .filter((name) => name !== '')
    .map((name) => namedClass(name, naming))
    .join(' ');

/** A value with the custom properties that it takes. */
export const namedValue = (value: string, { properties }: Naming = {}): string =>
  properties === undefined
    ? value
    : outsideStrings(value, (part) =>
        part.replaceAll(/(?<![\w-])--(?=[\p{L}\p{N}_])/gu, `--${properties}-`),
      );

/** A selector with its classes; attributes and their values stay. */
export const namedSelector = (selector: string, { classes }: Naming = {}): string =>
  classes === undefined
    ? selector
    : outsideStrings(selector, (part) => part.replaceAll(/\.(?=[\p{L}_-])/gu, `.${classes}-`));
