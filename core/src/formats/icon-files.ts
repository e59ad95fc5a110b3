import type { Derived } from '../derive/derived.ts';
import { licenseText } from '../icons/licenses.ts';
import { usualStroke } from '../icons/usual.ts';
import { writeSvg, writeSymbol, type Drawn } from '../icons/write-svg.ts';
import type { StyleDocument } from '../system/document.ts';
import type { SystemIcon } from '../system/icons.ts';
import { namedClass, namedClasses } from './naming.ts';

/** How an icon is handed over: in the one stroke of the system, where it is drawn with strokes. */
const drawnAs = ({ drawing }: SystemIcon, { icons: { stroke, faint } }: StyleDocument): Drawn => ({
  ...(usualStroke(drawing) !== undefined && { stroke }),
  ...(faint !== undefined && { faint }),
});

/** Each icon as an SVG file of its own, by its name; within a page the class `icon` sizes and places it. */
export const iconFiles = (
  document: StyleDocument,
  { icons }: Pick<Derived, 'icons'>,
): readonly (readonly [file: string, svg: string])[] => {
  const naming = document.tokens.sheet ?? {};
  return [...icons.values()].map((icon) => [
    `${icon.slug}.svg`,
    `${writeSvg(icon.drawing, drawnAs(icon, document), ` class="${namedClasses('icon', naming)}"`)}\n`,
  ]);
};

/** All icons as the symbols of one file: `<svg class="icon"><use href="icons.svg#icon-NAME"/></svg>`. */
export function writeSprite(document: StyleDocument, { icons }: Pick<Derived, 'icons'>): string {
  const naming = document.tokens.sheet ?? {};
  return [
    '<svg xmlns="http://www.w3.org/2000/svg">',
    ...[...icons.values()].map((icon) =>
      writeSymbol(namedClass(`icon-${icon.slug}`, naming), icon.drawing, drawnAs(icon, document)),
    ),
    '</svg>',
    '',
  ].join('\n');
}

/** Where the icons come from and under which license, with its text; those of our own and brought ones say so. */
export function writeIconLicenses(
  { icons: { named } }: StyleDocument,
  { icons }: Pick<Derived, 'icons'>,
): string {
  const groups = new Map<
    string,
    { readonly license: string; readonly author: string; readonly lines: string[] }
  >();
  const others: string[] = [];
  for (const { id, slug } of icons.values()) {
    const own = named.items[id];
    if (!own?.from) {
      others.push(
        `${slug}: ${own ? 'brought by whoever made this system' : 'drawn for every system, free to use'}`,
      );
      continue;
    }
    const { set, icon, author, license } = own.from;
    const key = `${set} (${license})`;
    const group = groups.get(key) ?? { license, author, lines: [] };
    group.lines.push(`${slug}: ${icon}`);
    groups.set(key, group);
  }
  return [
    ...[...groups].flatMap(([key, { license, author, lines }]) => [
      key,
      '='.repeat(key.length),
      '',
      ...lines,
      '',
      licenseText(license, author),
      '',
      '',
    ]),
    ...(others.length === 0 ? [] : ['Others', '======', '', ...others, '']),
  ].join('\n');
}
