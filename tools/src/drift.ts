import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { derive } from '@garnish/core/derive/derive';
import { driftMarkdown, percent, reportOf } from '@garnish/core/reading/drift-report';
import { shareOf } from '@garnish/core/reading/drift';
import { patchOf } from '@garnish/core/reading/mending';
import { sheetsIn, type ReadFile } from '@garnish/core/reading/sheets-in';
import type { StyleDocument } from '@garnish/core/system/document';
import { readDocument } from '@garnish/core/system/upgrade';
import * as z from 'zod';
import { Misuse, systemNamed, withServer } from './one-system.ts';
import { Advice, end, say } from './say.ts';

const USE = `npm run drift -- --system NAME [--release NUMBER] [--least PER CENT]
                 [--json FILE] [--markdown FILE] [--patch FILE] FILE|FOLDER …`;

/** Files of folders that are read. */
const READ = /\.(?:css|x?html?)$/i;
/** Folders that nobody wrote. */
const LEFT = /^(?:node_modules|\..*)$/;
const MOST_FILES = 2000;

/**
 * npm run drift: how far style sheets and pages have drifted from a system, for a build. Ends with 0; with 1 where it
 * could not be done, with 2 where it was not understood, with 3 where less than the wanted share is the system’s.
 */
function read(given: readonly string[]) {
  const { values, positionals } = (() => {
    try {
      return parseArgs({
        args: [...given],
        allowPositionals: true,
        options: {
          system: { type: 'string' },
          release: { type: 'string' },
          least: { type: 'string' },
          json: { type: 'string' },
          markdown: { type: 'string' },
          patch: { type: 'string' },
        },
      });
    } catch (error) {
      throw new Misuse(
        `${error instanceof Error ? error.message : 'that is not understood'}\n${USE}`,
      );
    }
  })();
  if (values.system === undefined)
    throw new Misuse(`which system? It is named by --system.\n${USE}`);
  if (positionals.length === 0) throw new Misuse(`which files?\n${USE}`);
  const least = values.least === undefined ? undefined : Number(values.least);
  if (least !== undefined && !(least >= 0 && least <= 100))
    throw new Misuse(`--least is a number from 0 to 100, not “${values.least ?? ''}”.\n${USE}`);
  return { ...values, system: values.system, least, places: positionals };
}

/** The files at some places, those of folders with what is in them. */
function filesAt(places: readonly string[]): readonly string[] {
  const found: string[] = [];
  const waiting = [...places].reverse();
  for (let place = waiting.pop(); place !== undefined; place = waiting.pop()) {
    const stat = statSync(place, { throwIfNoEntry: false });
    if (!stat) throw new Advice(`there is no ${place}.`);
    if (!stat.isDirectory()) found.push(place);
    else
      for (const name of readdirSync(place).sort().reverse()) {
        const inside = path.join(place, name);
        if (!LEFT.test(name) && (READ.test(name) || statSync(inside).isDirectory()))
          waiting.push(inside);
      }
    if (found.length > MOST_FILES)
      throw new Advice(`there are more than ${MOST_FILES} files. Name the folders that are meant.`);
  }
  return [...new Set(found)];
}

/** A system, as it stands or as it was released. */
async function documentOf(
  server: Parameters<typeof systemNamed>[0],
  { system, release }: { readonly system: string; readonly release?: string | undefined },
): Promise<StyleDocument> {
  const id = await systemNamed(server, system);
  const address = release === undefined ? '' : `/releases/${encodeURIComponent(release)}/document`;
  const answer = await server.inject(`/api/systems/${id}${address}`);
  if (answer.statusCode !== 200)
    throw new Advice(
      release === undefined ? 'it cannot be read now.' : `there is no release ${release} of it.`,
    );
  const told = z.object({ document: z.unknown() }).parse(answer.json());
  const result = readDocument(told.document);
  if (!result.ok) throw new Advice('it cannot be read: it is not as systems are.');
  return result.document;
}

async function run(): Promise<void> {
  const { places, least, json, markdown, patch, ...which } = read(process.argv.slice(2));
  const files = filesAt(places).map((file): ReadFile => ({
    file: file.split(path.sep).join('/'),
    text: readFileSync(file, 'utf8'),
  }));
  const sheets = files.map(sheetsIn);
  await withServer(async (server) => {
    const document = await documentOf(server, which);
    const derived = derive(document);
    const state = which.release === undefined ? 'as it stands' : `release ${which.release}`;
    const { report, missing } = reportOf(document, derived, { files, sheets }, state);
    const { drift } = report;
    const share = shareOf(drift.all);
    if (json !== undefined)
      writeFileSync(json, `${JSON.stringify({ ...report, share, missing }, null, 2)}\n`);
    if (markdown !== undefined) writeFileSync(markdown, driftMarkdown(report));
    if (patch !== undefined) writeFileSync(patch, patchOf(files, drift));
    if (json === undefined && markdown === undefined) console.log(driftMarkdown(report));
    for (const one of new Set(missing)) say(`not read, because nothing is fetched: ${one}`);
    say(`${percent(share)} of the values are those of ${document.name}`);
    if (least !== undefined && share * 100 < least) {
      say(`that is less than ${least} %`);
      process.exitCode = 3;
    }
  });
}

run().catch((error: unknown) => {
  if (!(error instanceof Misuse)) end(error);
  console.error(`garnish: ${error.message}`);
  process.exit(2);
});
