import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, test } from '@jest/globals';

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../..');

/** Spellings that are not American, and forms of words that are; parts of words count too. */
const SPELLINGS: readonly (readonly [wrong: RegExp, right: string])[] = [
  [/\bgrey/i, 'gray'],
  [/colour/i, 'color'],
  [/neighbour/i, 'neighbor'],
  [/harbour/i, 'harbor'],
  [/behaviour/i, 'behavior'],
  [/favour/i, 'favor'],
  [/\bcentre/i, 'center'],
  [/\bmetres\b/i, 'meters'],
  [
    /(emphas|sanit|virtual|recogn|organ|normal|minim|memor|summar|capital)is(e|ed|es|er|ing)\b/i,
    '-ize',
  ],
  [/(cancell|travell|modell|labell)(ed|ing)\b(?!by)/i, 'one l'],
  // The stored name of a family's license is older than this list.
  [/\b(the|a|its|whose|own|with) licence\b|licences\b/i, 'license'],
];

/** Words of ours where the trade has one, in what people read. */
const WORDS: readonly (readonly [wrong: RegExp, right: string])[] = [
  [/[>'"`]Take (away|in)\b/, 'Export, Import'],
  [/[>'"`]Let go of\b/, 'Remove'],
  [/[>'"`]Bring (your|a|an|another|them)\b/, 'Import'],
  [/stand-in fonts?[<'"`]|fitted stand-ins/, 'fallback font'],
  [/lines held to/, 'baseline grid'],
  [/figures of (un)?equal width[<"`]/, 'tabular figures'],
  [/GIMP palette[<'"`,]/, 'palette as GPL'],
];

const files = execFileSync('git', ['ls-files'], { cwd: root, encoding: 'utf8' })
  .split('\n')
  .filter((file) => /\.(ts|tsx|mjs|css|md|html)$/.test(file))
  // What CSS itself spells so, and this list.
  .filter((file) => !/color-forms|parse-color|spelling\.test/.test(file));

test.each([
  ['spelled as in American English', SPELLINGS],
  ['called as the trade calls it', WORDS],
] as const)('everything is %s', (_, list) => {
  const found = files.flatMap((file) =>
    readFileSync(path.join(root, file), 'utf8')
      .split('\n')
      .flatMap((line, index) =>
        list
          .filter(([wrong]) => wrong.test(line))
          .map(([wrong, right]) => `${file}:${index + 1} ${wrong.exec(line)?.[0] ?? ''}: ${right}`),
      ),
  );
  expect(found).toEqual([]);
});
