import type { StyleDocument } from '../system/document.ts';
import { wordsOfFile, type FileReport, type Verification } from '../verify/report.ts';
import { inCell, inCode, plain } from './markdown.ts';

const rowsOf = ({ told, unequal }: FileReport): readonly string[] =>
  told.length === 0
    ? []
    : [
        '| token | theme | width | shown | in the file |',
        '| --- | --- | ---: | --- | --- |',
        ...told.map(
          ({ token, mode, widthPx, shown, read }) =>
            `| ${inCell(token)} | ${mode} | ${widthPx} px | ${inCode(shown)} | ${inCode(read)} |`,
        ),
        '',
        ...(unequal > told.length ? [`And ${unequal - told.length} more.`, ''] : []),
      ];

const aboutFile = (one: FileReport): readonly string[] => [
  `## \`${one.file}\``,
  '',
  plain(wordsOfFile(one)),
  '',
  ...one.without.flatMap(({ reason, tokens }) => [
    `Left out: ${tokens} ${tokens === 1 ? 'token' : 'tokens'}, ${plain(reason)}.`,
    '',
  ]),
  ...rowsOf(one),
];

/** What came out when the files of a system were read in a browser, as Markdown. */
export function writeVerified(
  { name }: Pick<StyleDocument, 'name'>,
  verified: Verification | undefined,
): string {
  const lines = [
    `# ${plain(name)}: verified files`,
    '',
    ...(verified
      ? [
          'Each file was loaded into a page, and every value in it was computed by the browser beside the value that Garnish shows.',
          '',
          ...verified.files.flatMap(aboutFile),
        ]
      : [
          'The files were not verified since the last change. Tokens, Files, Verify reads them in a browser.',
        ]),
  ];
  return `${lines.join('\n').trimEnd()}\n`;
}
