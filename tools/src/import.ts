import { readFileSync } from 'node:fs';
import path from 'node:path';
import { parseArgs } from 'node:util';
import type { LeftOut } from '@garnish/core/formats/read-dtcg';
import { takeFiles } from '@garnish/core/formats/take-files';
import { readDocument } from '@garnish/core/system/upgrade';
import * as z from 'zod';
import { Misuse, systemNamed, withServer } from './one-system.ts';
import { Advice, end, say } from './say.ts';

const USE = 'npm run import -- --system NAME FILE…';

const opened = z.object({ document: z.unknown(), sequence: z.number() });

const reasons = (words: string, all: readonly LeftOut[]): void => {
  if (all.length === 0) return;
  console.error(`garnish: ${all.length} ${words}`);
  for (const { path: at, reason } of all) console.error(`  ${at}: ${reason}`);
};

/** npm run import: token files into a system, read as one as in the application. Ends with 1 where they gave nothing. */
async function run(): Promise<void> {
  const { values, positionals: files } = (() => {
    try {
      return parseArgs({ allowPositionals: true, options: { system: { type: 'string' } } });
    } catch (error) {
      throw new Misuse(
        `${error instanceof Error ? error.message : 'that is not understood'}\n${USE}`,
      );
    }
  })();
  const { system } = values;
  if (system === undefined) throw new Misuse(`which system? It is named by --system.\n${USE}`);
  if (files.length === 0) throw new Misuse(`which files?\n${USE}`);
  const texts = files.map((file) => ({ name: file, text: readFileSync(file, 'utf8') }));
  await withServer(async (server) => {
    const id = await systemNamed(server, system);
    const [only] = files;
    const name = files.length === 1 && only !== undefined ? only : `${files.length} files`;
    const now = opened.parse((await server.inject(`/api/systems/${id}`)).json());
    const read = readDocument(now.document);
    if (!read.ok) throw new Advice(`${system} cannot be read. Open it in the application first.`);
    const taken = takeFiles(
      read.document,
      texts,
      () => `token-${crypto.randomUUID().slice(0, 13)}`,
    );
    if (taken.kind === 'problem')
      throw new Advice(`${name}: ${taken.message} Nothing of it was taken.`);
    if (taken.kind === 'tokens') {
      reasons(`of ${name} left out:`, taken.leftOut);
      reasons(`of ${name} have no custom property:`, taken.silent);
    }
    if (taken.patch.length === 0) {
      if (taken.kind === 'tokens') throw new Advice(`${name}: no token of it could be taken.`);
      say(`${name} holds what is decided already`);
      return;
    }
    const answer = await server.inject({
      method: 'POST',
      url: `/api/systems/${id}/changes`,
      payload: {
        id: crypto.randomUUID(),
        base: now.sequence,
        label:
          `${taken.kind === 'system' ? 'decisions' : 'tokens'} of ${path.basename(name)}`.slice(
            0,
            120,
          ),
        window: crypto.randomUUID(),
        gesture: crypto.randomUUID(),
        patch: taken.patch,
      },
    });
    if (answer.statusCode >= 300)
      throw new Advice(`${name}: the server refused it: ${answer.payload.slice(0, 400)}`);
    say(
      taken.kind === 'system'
        ? `all decisions of ${taken.name} from ${name}`
        : `${taken.count} ${taken.count === 1 ? 'token' : 'tokens'} from ${name}`,
    );
  });
}

run().catch((error: unknown) => {
  if (!(error instanceof Misuse)) end(error);
  console.error(`garnish: ${error.message}`);
  process.exit(2);
});
