import { createWriteStream, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { writeArchive } from '@garnish/server/storage/archive';
import { withDatabase } from './database.ts';
import { end, say } from './say.ts';

/** npm run backup [-- FILE]: everything into one archive; a file that is there already stays until it is whole. */
const day = new Date().toISOString().slice(0, 10);
const file = path.resolve(process.argv[2] ?? `garnish-${day}.zip`);
const begun = `${file}.part`;

withDatabase(async (database) => {
  try {
    await pipeline(Readable.from(writeArchive(database)), createWriteStream(begun));
    renameSync(begun, file);
  } catch (error) {
    rmSync(begun, { force: true });
    throw error;
  }
  say(`everything is in ${file}`);
}).catch(end);
