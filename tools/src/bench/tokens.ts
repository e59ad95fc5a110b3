import { derive } from '@garnish/core/derive/derive';
import { writeChosen } from '@garnish/core/formats/chosen';
import { readDtcg } from '@garnish/core/formats/read-dtcg';
import { countOfUses, tokenUse } from '@garnish/core/proof/token-uses';
import { searchTokens } from '@garnish/core/tokens/token-search';
import { jsonOf } from '@garnish/core/system/patch';
import { collectionOf } from '@garnish/core/system/new-document';
import { readSheet } from '@garnish/core/reading/read-sheet';
import { partsOfDeclaration } from '@garnish/core/reading/values';
import { fork } from 'css-tree';
import * as z from 'zod';
import { after, brackwater } from './core.ts';
import { median, ratio, took, type Row } from './measure.ts';

const COUNT = 5000;

/** A system with so many tokens from elsewhere: colors and lengths. */
function large() {
  const tokens = Array.from({ length: COUNT - derive(brackwater).tokens.length }, (_, at) => [
    `own-${at}`,
    {
      path: `elsewhere.group-${at % 60}.token-${at}`,
      ...(at % 2 === 0
        ? { type: 'dimension', value: { value: at % 400, unit: 'px' } }
        : {
            type: 'color',
            value: {
              colorSpace: 'srgb',
              components: [(at % 256) / 255, (at % 97) / 97, (at % 31) / 31],
              alpha: 1,
            },
          }),
      description: `What token ${at} is for, in a few words.`,
    },
  ]) as [string, object][];
  return derive(
    after(brackwater, [
      { op: 'replace', path: '/tokens/custom', value: jsonOf(collectionOf(tokens)) },
    ]),
  );
}

/** What somebody types into the search, one sign after the other. */
const TYPED = ['b', 'bu', 'button', 'button back', '16px', '#b5391a', 'no such token', 'few words'];

function searching(): Row[] {
  const derived = large();
  const isUsed = (id: string): boolean => countOfUses(tokenUse(derived, id)) > 0;
  const first = took(() => searchTokens(derived.tokens, { words: 'button' }, isUsed));
  const slowest = Math.max(
    ...TYPED.flatMap((words) =>
      [undefined, 'unused' as const].map((use) =>
        median(
          Array.from({ length: 9 }, () =>
            took(() => searchTokens(derived.tokens, { words, use }, isUsed)),
          ),
        ),
      ),
    ),
  );
  return [
    {
      name: `search ${COUNT} tokens, the slowest of ${TYPED.length} searches`,
      value: slowest,
      unit: 'ms',
      limit: 16,
      against: `the first of all ${first.toFixed(1)} ms`,
    },
    {
      name: 'write 500 chosen tokens as text, with what they take',
      value: median(
        Array.from({ length: 9 }, () =>
          took(() =>
            writeChosen(
              brackwater,
              derived,
              derived.tokens.slice(0, 500).map(({ id }) => id),
              {
                form: 'as a sheet',
                selector: '.mine',
                references: 'kept',
                theme: 'both',
                units: 'px',
                isMinified: false,
              },
            ),
          ),
        ),
      ),
      unit: 'ms',
      against: '',
    },
  ];
}

/** The open token format as far as Zod sees it: groups in groups, tokens with a value. */
const tree: z.ZodType = z.lazy(() =>
  z.union([
    z.object({
      $type: z.string().optional(),
      $value: z.json(),
      $description: z.string().optional(),
    }),
    z.record(z.string(), z.union([tree, z.string()])),
  ]),
);

/** A token file of five megabytes, as many tokens as are taken, against reading and checking it by a library alone. */
const SHEET_BYTES = 5_000_000;

/** A sheet of so many bytes, as somebody might have written it: rules in conditions, nested, with values of all kinds. */
function largeSheet(): string {
  const rules: string[] = [];
  for (let at = 0, length = 0; length < SHEET_BYTES; at += 1) {
    const rule = `.block-${at} > .part-${at % 97}:hover, a[href^="x"] .c${at} {
  padding: ${at % 40}px calc(${at % 9}rem + 1vw) var(--space-${at % 12}, 1rem);
  color: #${(at * 7919).toString(16).padStart(6, '0').slice(-6)}; border: ${at % 4}px solid rgb(${at % 255} 12 40 / ${at % 100}%);
  font: 700 ${12 + (at % 30)}px/1.${at % 9} "Face ${at % 7}", serif;
  background-image: linear-gradient(${at % 360}deg, red, color-mix(in oklab, #123 ${at % 100}%, white));
}
`;
    const own = at % 5 === 0 ? `@media (min-width: ${at % 90}em) { ${rule} }\n` : rule;
    rules.push(own);
    length += own.length;
  }
  return rules.join('');
}

function readingSheets(): Row {
  // A parser of its own: one that has read a large sheet is slower at everything after it.
  const other = fork({});
  const css = largeSheet();
  return ratio(
    `read ${(css.length / 1e6).toFixed(1)} MB of style sheet, with what each declaration decides`,
    () => readSheet(css, 'x.css').declarations.map(partsOfDeclaration),
    '`parse` of css-tree, with values and places',
    () => other.parse(css, { positions: true }),
    { limit: 2, rounds: 3 },
  );
}

function reading(): Row {
  const file: Record<string, Record<string, object>> = {};
  for (let at = 0; at < COUNT; at += 1) {
    const group = (file[`group-${at % 50}`] ??= {});
    group[`token-${at}`] = {
      $type: 'shadow',
      $value: [0, 1, 2].map((layer) => ({
        color: {
          colorSpace: 'srgb',
          components: [(at % 256) / 255, (at % 97) / 97, layer / 3],
          alpha: 0.25,
        },
        offsetX: { value: 0, unit: 'px' },
        offsetY: { value: at % 40, unit: 'px' },
        blur: { value: at % 60, unit: 'px' },
        spread: { value: 0, unit: 'px' },
      })),
      $description: `Token ${at}. `.repeat(24),
    };
  }
  const text = JSON.stringify(file);
  return ratio(
    `read ${(text.length / 1e6).toFixed(1)} MB of the open token format`,
    () => readDtcg(text),
    '`JSON.parse` and a check by Zod alone',
    () => tree.safeParse(JSON.parse(text)),
    { limit: 2, rounds: 8 },
  );
}

export const tokenRows = (): readonly Row[] => [...searching(), reading(), readingSheets()];
