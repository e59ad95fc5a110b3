import { readFileSync } from 'node:fs';
import path from 'node:path';
import { parseArgs } from 'node:util';
import type { LeftOut } from '@garnish/core/formats/read-dtcg';
import { takeFile } from '@garnish/core/formats/taking';
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

/** npm run import: token files into a system, as in the application. Ends with 1 where a file gave nothing. */
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
  const texts = files.map((file) => [file, readFileSync(file, 'utf8')] as const);
  await withServer(async (server) => {
    const id = await systemNamed(server, system);
    for (const [file, text] of texts) {
      const now = opened.parse((await server.inject(`/api/systems/${id}`)).json());
      const read = readDocument(now.document);
      if (!read.ok) throw new Advice(`${system} cannot be read. Open it in the application first.`);
      const taken = takeFile(
        read.document,
        text,
        () => `token-${crypto.randomUUID().slice(0, 13)}`,
      );
      if (taken.kind === 'problem')
        throw new Advice(`${file}: ${taken.message} Nothing of it was taken.`);
      if (taken.kind === 'tokens') {
        reasons(`of ${file} left out:`, taken.leftOut);
        reasons(`of ${file} have no custom property:`, taken.silent);
      }
      if (taken.patch.length === 0) {
        if (taken.kind === 'tokens') throw new Advice(`${file}: no token of it could be taken.`);
        say(`${file} holds what is decided already`);
        continue;
      }
      const answer = await server.inject({
        method: 'POST',
        url: `/api/systems/${id}/changes`,
        payload: {
          id: crypto.randomUUID(),
          base: now.sequence,
          label:
            `${taken.kind === 'system' ? 'decisions' : 'tokens'} of ${path.basename(file)}`.slice(
              0,
              120,
            ),
          window: crypto.randomUUID(),
          gesture: crypto.randomUUID(),
          patch: taken.patch,
        },
      });
      if (answer.statusCode >= 300)
        throw new Advice(`${file}: the server refused it: ${answer.payload.slice(0, 400)}`);
      say(
        taken.kind === 'system'
          ? `all decisions of ${taken.name} from ${file}`
          : `${taken.count} ${taken.count === 1 ? 'token' : 'tokens'} from ${file}`,
      );
    }
  });
}

run().catch((error: unknown) => {
  if (!(error instanceof Misuse)) end(error);
  console.error(`garnish: ${error.message}`);
  process.exit(2);
});
