import { readFileSync } from 'node:fs';
import { Problem } from '@garnish/server/problems';
import { restoreArchive } from '@garnish/server/storage/archive';
import { withDatabase } from './database.ts';
import { Advice, end, say } from './say.ts';

/** npm run restore -- FILE [--replace]: an archive back into the database, all of it or nothing. */
const file = process.argv.slice(2).find((word) => !word.startsWith('--'));
const replace = process.argv.includes('--replace');

async function restore(): Promise<void> {
  if (file === undefined) throw new Advice('name the archive: npm run restore -- garnish-….zip');
  const bytes = Uint8Array.from(readFileSync(file));
  await withDatabase(async (database) => {
    const done = await restoreArchive(database, bytes, { replace }).catch((error: unknown) => {
      if (!(error instanceof Problem)) throw error;
      const how = error.kind === 'archive-differs' ? ' To replace them: add --replace.' : '';
      throw new Advice(`${error.message}${how}`);
    });
    say(
      `brought back ${done.systems} systems with ${done.changes} changes, ${done.keepers} things set aside, ` +
        `${done.families} families and ${done.pictures} pictures; ${done.same} systems were here already.`,
    );
  });
}

restore().catch(end);
