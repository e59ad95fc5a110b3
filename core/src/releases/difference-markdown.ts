import { ratioText } from '../checks/judge.ts';
import { code, inCell, inCode, plain } from '../formats/markdown.ts';
import { MODES } from '../system/document.ts';
import type { Cause, ContrastChange, Difference, ToldToken } from './difference.ts';
import { kindReasons } from './numbers.ts';

/** What a value became, in one theme or in both. */
function became(before: ToldToken, after: ToldToken): string {
  const differing = MODES.filter((mode) => before.values[mode] !== after.values[mode]);
  if (differing.length === 0) return 'elsewhere only, such as from a breakpoint up';
  const isSame =
    differing.length === MODES.length &&
    before.values.light === before.values.dark &&
    after.values.light === after.values.dark;
  return (isSame ? MODES.slice(0, 1) : differing)
    .map((mode) => {
      const values = `${inCode(before.values[mode])} → ${inCode(after.values[mode])}`;
      return isSame ? values : `${mode}: ${values}`;
    })
    .join('; ');
}

/** A decision, with what it said and says. */
export function causeWords({ label, before, after }: Cause): string {
  if (before === undefined && after === undefined) return label;
  if (before === undefined) return `${label}: ${after ?? ''}, new`;
  if (after === undefined) return `${label}: was ${before}`;
  return before === after
    ? `${label}: ${after}, came out otherwise`
    : `${label}: ${before} → ${after}`;
}

const ratio = (value: number | undefined): string =>
  value === undefined ? 'not there' : ratioText(value);

const contrastLine = ({ title, mode, before, after, needed }: ContrastChange): string =>
  `- ${plain(title)} in ${mode}: ${ratio(before)} → ${ratio(after)} of ${needed.toFixed(2)}`;

const section = (title: string, lines: readonly string[]): readonly string[] =>
  lines.length === 0 ? [] : [`## ${title}`, '', ...lines, ''];

const table = (head: readonly string[], rows: readonly (readonly string[])[]): readonly string[] =>
  rows.length === 0
    ? []
    : [
        `| ${head.join(' | ')} |`,
        `| ${head.map(() => '---').join(' | ')} |`,
        ...rows.map((row) => `| ${row.join(' | ')} |`),
      ];

/** A difference as Markdown, for a message or a file of changes. */
export function differenceMarkdown(
  difference: Difference,
  { name, from, to }: { readonly name: string; readonly from: string; readonly to: string },
): string {
  const { tokens, classes, causes, contrast, looks } = difference;
  const reasons = kindReasons(difference).map(({ kind, what }) => `- ${kind}: ${what}`);
  const underCauses = causes.flatMap((cause) => {
    const rows = [
      ...tokens.changed
        .filter((one) => one.cause === cause.path)
        .map(({ before, after }) => [inCode(after.property), became(before, after)]),
      ...tokens.added
        .filter((one) => one.cause === cause.path)
        .map(({ token }) => [inCode(token.property), `new: ${inCode(token.values.light)}`]),
      ...tokens.removed
        .filter((one) => one.cause === cause.path)
        .map(({ token }) => [inCode(token.property), 'removed']),
    ];
    return rows.length === 0
      ? []
      : [`### ${plain(causeWords(cause))}`, '', ...table(['token', 'became'], rows), ''];
  });
  return [
    `# ${plain(name)}: ${plain(from)} to ${plain(to)}`,
    '',
    ...(reasons.length === 0 ? ['Nothing changed.', ''] : [...reasons, '']),
    ...section(
      'Renamed',
      table(
        ['before', 'now', 'old name'],
        [
          ...tokens.renamed.map(({ before, after, keepsName }) => [
            inCode(before.property),
            inCode(after.property),
            keepsName ? 'stays, deprecated' : 'is gone',
          ]),
          ...classes.renamed.map((one) => [
            inCode(`.${one.before}`),
            inCode(`.${one.after}`),
            'is gone',
          ]),
        ],
      ),
    ),
    ...section('By decision', underCauses),
    ...section('Classes', [
      ...classes.added.map((one) => `- new: ${code(`.${one}`)}`),
      ...classes.removed.map((one) => `- removed: ${code(`.${one}`)}`),
    ]),
    ...section('Contrast lost', contrast.lost.map(contrastLine)),
    ...section('Contrast won', contrast.won.map(contrastLine)),
    ...section(
      'Looks different',
      looks.map(({ kind, name: called }) => `- ${kind} ${inCell(called)}`),
    ),
  ].join('\n');
}
