/**
 * Measures what speed is promised: ratios of two things timed in the same run, and movements in the
 * browser in milliseconds, medians of many. Fails where a limit is passed by more than the tolerance.
 * `core`, `tokens`, `pixels`, `moving`, `trying`, `turning`, `memory`, `list`, `scrolling` and `pages` as arguments measure only those; `--keep` writes the
 * table to docs/.
 */
import { writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { format, resolveConfig } from 'prettier';
import { end } from '../say.ts';
import { browserRows } from './browser.ts';
import { bundled } from './bundled.ts';
import type * as core from './core.ts';
import type * as tokens from './tokens.ts';
import { isOver, said, tableOf, TOLERANCE, type Row } from './measure.ts';
import { pixelRows } from './pixels.ts';

const TABLE = 'docs/bench.md';

const page = (rows: readonly Row[]): string => `# What speed is promised, and what was measured

Written by \`npm run bench -- --keep\` on ${cpus().length} cores (${cpus()[0]?.model.trim() ?? 'unknown'}). Ratios are of two
things timed in turn in the same run; milliseconds are medians, in Chromium without a screen. A limit may be
passed by ${TOLERANCE * 100} % before the command fails, because a machine does other things meanwhile.

${tableOf(rows)}`;

async function main(): Promise<void> {
  const given = process.argv.slice(2);
  const chosen = given.filter((name) => !name.startsWith('--'));
  const wants = (name: string): boolean => chosen.length === 0 || chosen.includes(name);
  const rows: Row[] = [];
  const add = (more: readonly Row[]): void => {
    rows.push(...more);
    for (const row of more) console.log(said(row));
  };
  if (wants('core')) {
    const { coreRows } = await bundled<typeof core>('tools/src/bench/core.ts');
    add(coreRows());
  }
  if (wants('tokens')) {
    const { tokenRows } = await bundled<typeof tokens>('tools/src/bench/tokens.ts');
    add(tokenRows());
  }
  if (wants('pixels')) add(await pixelRows());
  const inBrowser = chosen.filter((name) => !['core', 'tokens', 'pixels'].includes(name));
  if (chosen.length === 0 || inBrowser.length > 0) add(await browserRows(inBrowser));
  if (given.includes('--keep'))
    writeFileSync(
      TABLE,
      await format(page(rows), { parser: 'markdown', ...(await resolveConfig(TABLE)) }),
    );
  const over = rows.filter(isOver);
  if (over.length === 0) return;
  console.log(`${over.length} of ${rows.length} are over their limits.`);
  process.exitCode = 1;
}

main().catch(end);
