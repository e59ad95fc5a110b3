import { typeByName } from '@garnish/core/reading/assets';
import { textOfBytes } from '@garnish/core/reading/encoding';
import { MOST_CHARACTERS } from '@garnish/core/reading/read-sheet';
import { isSavedPage, readSavedPage, type Asset } from '@garnish/core/reading/saved-page';
import { sheetsIn, type ReadFile, type SheetsOfFile } from '@garnish/core/reading/sheets-in';
import type { Progress } from './answering.ts';
import { entriesOf, type FileBytes } from './text-files.ts';

/** What style sheets and pages are called. */
const SHEETS_AND_PAGES = /\.(css|x?html?)$/i;
/** What of an archive is wanted: those, pages saved as one file, and what pages show. */
const WANTED = /\.(css|x?html?|mht(?:ml)?|png|jpe?g|gif|webp|avif|svg|ico|bmp|woff2?|ttf|otf)$/i;

/** Files that were read for their style sheets. */
export interface ReadSheets {
  readonly files: readonly ReadFile[];
  readonly sheets: readonly SheetsOfFile[];
  /** Everything that came, pictures and fonts too. */
  readonly assets: readonly Asset[];
  /** Why others were not, in words. */
  readonly refused: readonly string[];
}

export const NOTHING_READ: ReadSheets = { files: [], sheets: [], assets: [], refused: [] };

/** A file with its type; of a page saved as one file all of its parts, under its name. */
async function assetsOf({ name, bytes }: FileBytes): Promise<readonly Asset[]> {
  if (!isSavedPage(bytes)) return [{ name, type: typeByName(name), bytes }];
  const parts = await readSavedPage(bytes);
  return parts.map((part) => ({ ...part, name: `${name}/${part.name}` }));
}

/** Reads style sheets and pages with what they show, and tells how far it is. */
export async function readSheetFiles(
  given: readonly File[],
  tell: (progress: Progress) => void,
): Promise<ReadSheets> {
  const assets: Asset[] = [];
  const refused: string[] = [];
  for (const [done, file] of given.entries()) {
    tell({ kind: 'progress', words: `reading ${file.name}`, done, of: given.length });
    try {
      const found = await entriesOf(file, WANTED);
      if (!found.ok) refused.push(found.problem);
      else if (found.entries.length === 0)
        refused.push(`There is no file of style sheets or pages in ${file.name}.`);
      else for (const entry of found.entries) assets.push(...(await assetsOf(entry)));
    } catch (error) {
      const why = error instanceof Error ? `: ${error.message}` : '';
      refused.push(`${file.name} cannot be read${why}.`);
    }
  }
  const files: ReadFile[] = [];
  for (const { name, bytes } of assets) {
    if (!SHEETS_AND_PAGES.test(name)) continue;
    const text = textOfBytes(bytes);
    if (text === undefined) refused.push(`${name} is no text.`);
    else if (text.length > MOST_CHARACTERS)
      refused.push(
        `${name} has ${Math.round(text.length / 1e6)} million signs; ${MOST_CHARACTERS / 1e6} are read.`,
      );
    else files.push({ file: name, text });
  }
  // What is too long to be read is too long to be shown.
  const read = new Set(files.map(({ file }) => file));
  return {
    files,
    sheets: files.map(sheetsIn),
    assets: assets.filter(({ name }) => !SHEETS_AND_PAGES.test(name) || read.has(name)),
    refused,
  };
}
