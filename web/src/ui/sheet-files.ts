import { sheetsIn, type ReadFile, type SheetsOfFile } from '@garnish/core/reading/sheets-in';
import type { Progress } from './answering.ts';
import { textsOf } from './text-files.ts';

/** What style sheets and pages are called. */
const SHEETS_AND_PAGES = /\.(css|x?html?)$/i;

/** Files that were read for their style sheets. */
export interface ReadSheets {
  readonly files: readonly ReadFile[];
  readonly sheets: readonly SheetsOfFile[];
  /** Why others were not, in words. */
  readonly refused: readonly string[];
}

/** Reads style sheets and pages, and tells how far it is. */
export async function readSheetFiles(
  given: readonly File[],
  tell: (progress: Progress) => void,
): Promise<ReadSheets> {
  const files: ReadFile[] = [];
  const refused: string[] = [];
  for (const [done, file] of given.entries()) {
    tell({ kind: 'progress', words: `reading ${file.name}`, done, of: given.length });
    const found = await textsOf(file, SHEETS_AND_PAGES, 'style sheets or pages').catch(() => ({
      ok: false as const,
      problem: `${file.name} cannot be read.`,
    }));
    if (found.ok) files.push(...found.texts.map(({ name, text }) => ({ file: name, text })));
    else refused.push(found.problem);
  }
  return { files, sheets: files.map(sheetsIn), refused };
}
