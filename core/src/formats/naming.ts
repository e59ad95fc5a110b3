import type { Derived } from '../derive/derived.ts';
import type { SheetChoices } from '../system/sheet-naming.ts';
import { tokenNamesOf, type FormerName } from './token-naming.ts';

/** The names that a file is written with. */
export interface Naming extends Pick<SheetChoices, 'properties' | 'classes' | 'layer' | 'base'> {
  /** Custom properties that are called otherwise than by the prefix alone. */
  readonly names?: ReadonlyMap<string, string>;
  /** Names from before that stay. */
  readonly former?: readonly FormerName[];
}

/** The names that a system is written with. */
export function namingOf(
  sheet: SheetChoices | undefined,
  derived: Pick<Derived, 'groups' | 'rules'>,
): Naming {
  const { properties, classes, layer, base } = sheet ?? {};
  const { tokens, former } = tokenNamesOf(sheet, derived);
  const names = [...tokens.values()].filter(({ property, usual }) => property !== usual);
  return {
    ...(properties !== undefined && { properties }),
    ...(classes !== undefined && { classes }),
    ...(layer !== undefined && { layer }),
    ...(base !== undefined && { base }),
    ...(names.length > 0 && {
      names: new Map(names.map(({ canonical, property }) => [canonical, property])),
    }),
    ...(former.length > 0 && { former }),
  };
}

/** A text of CSS with its strings left as they are. */
const outsideStrings = (css: string, change: (part: string) => string): string =>
  css.replaceAll(/"(?:[^"\\]|\\.)*"|[^"]+/g, (part) =>
    part.startsWith('"') ? part : change(part),
  );

/** The name of a custom property: with the prefix (`--color-page` becomes `--rc-color-page`), or as its tier is called. */
export const namedProperty = (property: string, { properties, names }: Naming = {}): string =>
  names?.get(property) ??
  (properties === undefined ? property : property.replace(/^--/, `--${properties}-`));

/** The name of a class, without its dot, with the prefix. */
export const namedClass = (name: string, { classes }: Pick<Naming, 'classes'> = {}): string =>
  classes === undefined ? name : `${classes}-${name}`;

/** The names of an attribute `class`, each with the prefix. */
export const namedClasses = (names: string, naming: Pick<Naming, 'classes'> = {}): string =>
  names
    .split(/\s+/)
    .filter((name) => name !== '')
    .map((name) => namedClass(name, naming))
    .join(' ');

/** A value with the custom properties that it takes. */
export const namedValue = (value: string, naming: Naming = {}): string =>
  naming.properties === undefined && naming.names === undefined
    ? value
    : outsideStrings(value, (part) =>
        part.replaceAll(/(?<![\w-])--[\p{L}\p{N}_][\p{L}\p{N}_-]*/gu, (property) =>
          namedProperty(property, naming),
        ),
      );

/** A selector with its classes; attributes and their values stay. */
export const namedSelector = (
  selector: string,
  { classes }: Pick<Naming, 'classes'> = {},
): string =>
  classes === undefined
    ? selector
    : outsideStrings(selector, (part) => part.replaceAll(/\.(?=[\p{L}_-])/gu, `.${classes}-`));
