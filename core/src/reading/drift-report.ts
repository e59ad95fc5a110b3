import type { Derived } from '../derive/derived.ts';
import { inCell, inCode, plain } from '../formats/markdown.ts';
import { namingOf } from '../formats/naming.ts';
import { stateOf } from '../components/states.ts';
import type { StyleDocument } from '../system/document.ts';
import { driftOf, MATCHES, shareOf, type Counts, type Drift, type DriftRow } from './drift.ts';
import { FAULT_KINDS, FAULT_REASONS, faultsIn, type Fault } from './faults.ts';
import { missingStates, type MissingStates } from './missing-states.ts';
import type { ReadFile, SheetsOfFile } from './sheets-in.ts';
import type { SheetProblem } from './read-sheet.ts';

/** Everything that is told of how far some sheets have drifted. */
export interface DriftReport {
  readonly system: string;
  /** Which state of it: a release, or as it stands. */
  readonly state: string;
  readonly drift: Drift;
  readonly states: readonly MissingStates[];
  /** What is wrong with the sheets by themselves. */
  readonly faults: readonly Fault[];
  readonly problems: readonly SheetProblem[];
}

/** Everything that is told of some files, and what they ask for that is not among them. */
export function reportOf(
  document: StyleDocument,
  derived: Derived,
  read: { readonly files: readonly ReadFile[]; readonly sheets: readonly SheetsOfFile[] },
  state: string,
): { readonly report: DriftReport; readonly missing: readonly string[] } {
  const sheets = read.sheets.flatMap((one) => one.sheets);
  const drift = driftOf(document, derived, sheets);
  const hasOwn = drift.own.length > 0;
  const names = new Set(read.files.map(({ file }) => baseOf(file)));
  const linked = new Set(read.sheets.flatMap((one) => one.linked));
  return {
    report: {
      system: document.name,
      state,
      drift,
      // Where the system’s own sheet stands beside, the states are its.
      states: hasOwn ? [] : missingStates(sheets, namingOf(document.tokens.sheet, derived)),
      faults: faultsIn(sheets.filter(({ file }) => !drift.own.includes(file))),
      problems: sheets.flatMap(({ problems }) => problems),
    },
    missing: [...linked].filter((one) => !names.has(baseOf(one))),
  };
}

/** The last part of an address or a path, without what is asked of it. */
const baseOf = (address: string): string =>
  (address.split(/[?#]/)[0] ?? '').split('/').at(-1) ?? address;

/** A share in per cent, never rounded up to all: 99.96 % is not everything. */
export const percent = (share: number): string =>
  share === 1 ? '100 %' : `${(Math.floor(share * 1000) / 10).toFixed(1)} %`;

export const countsInWords = (counts: Counts): string =>
  MATCHES.map((match) => `${counts[match]} ${match}`).join(', ');

/** What is told of values that are of no component. */
export const NO_COMPONENT = 'none of the components';

/** So many values of each match are told in words; all of them stand in the JSON. */
const MOST_TOLD = 200;
const MOST_PLACES = 4;

const placesOf = ({ places }: Pick<DriftRow | Fault, 'places'>): string =>
  [
    ...places
      .slice(0, MOST_PLACES)
      .map(({ file, line, selector }) => `${file}:${line} ${selector}`),
    ...(places.length > MOST_PLACES ? [`and ${places.length - MOST_PLACES} more`] : []),
  ].join('; ');

function tableOf(rows: readonly DriftRow[]): readonly string[] {
  if (rows.length === 0) return ['None.', ''];
  return [
    '| value | kind | should be | away | places | where |',
    '| --- | --- | --- | --- | ---: | --- |',
    ...rows
      .slice(0, MOST_TOLD)
      .map(
        (row) =>
          `| ${inCode(row.value)} | ${row.kind}${row.theme === 'dark' ? ', dark' : ''} | ${row.token ? inCode(`var(${row.token.property})`) : ''} | ${inCell(row.away ?? '')} | ${row.places.length} | ${inCell(placesOf(row))} |`,
      ),
    ...(rows.length > MOST_TOLD ? ['', `And ${rows.length - MOST_TOLD} more.`] : []),
    '',
  ];
}

/** Faults, kind by kind, each kind with its reason. */
const faultLines = (faults: readonly Fault[]): readonly string[] =>
  FAULT_KINDS.flatMap((kind) => {
    const own = faults.filter((one) => one.kind === kind);
    if (own.length === 0) return [];
    return [
      `### ${kind.charAt(0).toUpperCase()}${kind.slice(1)}`,
      '',
      FAULT_REASONS[kind],
      '',
      ...own
        .slice(0, MOST_TOLD)
        .map((one) => `- ${one.values.map(inCode).join(', ')}: ${plain(placesOf(one))}`),
      ...(own.length > MOST_TOLD ? [`- and ${own.length - MOST_TOLD} more`] : []),
      '',
    ];
  });

/** A report of drift as Markdown. */
export function driftMarkdown({
  system,
  state,
  drift,
  states,
  faults,
  problems,
}: DriftReport): string {
  const { rows, all, byKind, byFile, byComponent, unjudged, own, nowhere } = drift;
  const counted = (title: string, list: readonly (readonly [string, Counts])[]): string[] => [
    `| ${title} | equal | near | foreign | share |`,
    '| --- | ---: | ---: | ---: | ---: |',
    ...list.map(
      ([name, counts]) =>
        `| ${inCell(name)} | ${counts.equal} | ${counts.near} | ${counts.foreign} | ${percent(shareOf(counts))} |`,
    ),
    '',
  ];
  return [
    `# Drift from ${plain(system)}`,
    '',
    `${percent(shareOf(all))} of ${all.equal + all.near + all.foreign} values are those of the system (${plain(state)}): ${countsInWords(all)}. ${unjudged} more hang on what sheets alone do not tell.`,
    '',
    ...(own.length > 0
      ? [`Not counted, because it is the system’s own sheet: ${own.map(inCode).join(', ')}.`, '']
      : []),
    ...counted('kind', byKind),
    ...counted('file', byFile),
    ...(byComponent.some(([name]) => name !== '')
      ? counted(
          'component',
          byComponent.map(([name, counts]) => [name === '' ? NO_COMPONENT : name, counts]),
        )
      : []),
    '## Nearly a token',
    '',
    ...tableOf(rows.filter(({ match }) => match === 'near')),
    '## Foreign',
    '',
    ...tableOf(rows.filter(({ match }) => match === 'foreign')),
    ...(states.length > 0
      ? [
          '## States that are missing',
          '',
          ...states.map(
            ({ name, states: all }) =>
              `- ${inCode(`.${name}`)}: ${all.map((one) => stateOf(one).name).join(', ')}`,
          ),
          '',
        ]
      : []),
    ...(nowhere.length > 0
      ? ['## Tokens that stand nowhere', '', nowhere.map(inCode).join(', '), '']
      : []),
    ...(faults.length > 0 ? ['## In the sheets themselves', '', ...faultLines(faults)] : []),
    ...(problems.length > 0
      ? [
          '## Not read',
          '',
          ...problems.map(
            ({ file, line, message }) => `- ${inCode(`${file}:${line}`)}: ${plain(message)}`,
          ),
          '',
        ]
      : []),
  ].join('\n');
}
