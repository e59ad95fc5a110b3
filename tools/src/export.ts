import { mkdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { DOWNLOADS } from '@garnish/core/formats/formats';
import { Misuse, systemNamed, withServer } from './one-system.ts';
import { Advice, end, say } from './say.ts';

const USE = `npm run export -- --system NAME [--format FILE,…] [--out FOLDER]
npm run export -- --list`;

const USUAL = 'tokens.css,tokens.json';

/**
 * npm run export: files of a system into a folder, by the very code that the application downloads them by. A file
 * that is there stays until the new one is whole. Ends with 0; with 1 where it could not be done, with 2 where it was
 * not understood.
 */
function read(given: readonly string[]) {
  const { values, positionals } = (() => {
    try {
      return parseArgs({
        args: [...given],
        allowPositionals: true,
        options: {
          system: { type: 'string' },
          format: { type: 'string', multiple: true },
          out: { type: 'string', default: '.' },
          list: { type: 'boolean', default: false },
        },
      });
    } catch (error) {
      throw new Misuse(
        `${error instanceof Error ? error.message : 'that is not understood'}\n${USE}`,
      );
    }
  })();
  if (positionals.length > 0)
    throw new Misuse(`“${positionals[0] ?? ''}” is not understood.\n${USE}`);
  const files = (values.format ?? [USUAL])
    .flatMap((one) => one.split(','))
    .map((one) => one.trim())
    .filter((one) => one !== '');
  const known = new Set(DOWNLOADS.map(({ file }) => file));
  const unknown = files.find((file) => !known.has(file));
  if (unknown !== undefined)
    throw new Misuse(`there is no format “${unknown}”. All of them: npm run export -- --list`);
  if (!values.list && values.system === undefined)
    throw new Misuse(`which system? It is named by --system.\n${USE}`);
  return {
    system: values.system ?? '',
    files: [...new Set(files)],
    out: values.out,
    isList: values.list,
  };
}

async function run(): Promise<void> {
  const { system, files, out, isList } = read(process.argv.slice(2));
  if (isList) {
    console.log(DOWNLOADS.map(({ file, about }) => `${file.padEnd(22)} ${about}`).join('\n'));
    return;
  }
  await withServer(async (server) => {
    const id = await systemNamed(server, system);
    const folder = path.resolve(out);
    mkdirSync(folder, { recursive: true });
    for (const file of files) {
      const answer = await server.inject(`/api/systems/${id}/export/${file}`);
      if (answer.statusCode !== 200)
        throw new Advice(`${file} could not be made: ${answer.statusMessage}.`);
      const begun = path.join(folder, `${file}.part`);
      try {
        writeFileSync(begun, answer.rawPayload);
        renameSync(begun, path.join(folder, file));
      } catch (error) {
        rmSync(begun, { force: true });
        throw error;
      }
      say(`${path.join(out, file)}, ${answer.rawPayload.length.toLocaleString('en-US')} bytes`);
    }
  });
}

run().catch((error: unknown) => {
  if (!(error instanceof Misuse)) end(error);
  console.error(`garnish: ${error.message}`);
  process.exit(2);
});
