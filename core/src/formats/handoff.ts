import type { Derived } from '../derive/derived.ts';
import {
  namedClass,
  namedProperty,
  namedSelector,
  namedValue,
  namingOf,
  type Naming,
} from './naming.ts';
import { tokenOf } from '../derive/space/space.ts';
import { findingsOf } from '../checks/checks.ts';
import { causeIdOf, type ToldFinding } from '../checks/finding.ts';
import { acceptedReason } from '../checks/order.ts';
import { reasonName, inOrder, type StyleDocument } from '../system/document.ts';
import { chosenFaces, faceWords } from '../system/faces.ts';
import { fluidCss } from '../type/fluid.ts';
import { modesOf } from '../system/themes.ts';
import { placeName } from '../type/scale.ts';
import { wordsOfFile } from '../verify/report.ts';
import type { Known } from './known.ts';
import { aboutComponents, aboutDrawings, aboutGrounds, aboutSetting } from './handoff-chapters.ts';
import { code, plain, table } from './markdown.ts';

const kilobytes = (bytes: number): string => `${Math.round(bytes / 1000)} kB`;

function aboutFaces({ fonts }: StyleDocument, { faces }: Derived): string[] {
  const { because, note } = fonts.reasons;
  const used = chosenFaces(fonts);
  const confirmed = [
    ...new Map(used.map(({ choice }) => [choice.family.id, choice.family])).values(),
  ]
    .filter((family) => family.confirmed !== undefined)
    .map((family) => `- ${plain(family.name)}: ${plain(family.confirmed ?? '')}`);
  return [
    '## Faces',
    '',
    ...table(
      ['for', 'family', 'weight', 'license', 'files'],
      used.map((face) => {
        const { family, weight } = face.choice;
        const files = faces.find((one) => one.family.id === family.id)?.files ?? [];
        return [
          faceWords(face),
          plain(family.name),
          String(weight),
          plain(family.licence),
          family.stack === undefined
            ? `${files.length}, ${kilobytes(files.reduce((sum, { bytes }) => sum + bytes, 0))}`
            : 'none: the reader’s own',
        ];
      }),
    ),
    '',
    ...(fonts.narrow ? [`Narrow screens are those below ${fonts.narrow.below} px.`, ''] : []),
    ...(because.length > 0 ? [`Chosen because: ${because.map(reasonName).join(', ')}.`, ''] : []),
    ...(note === '' ? [] : [plain(note), '']),
    ...(confirmed.length > 0
      ? ['Said by whoever brought files that forbid embedding:', '', ...confirmed, '']
      : []),
  ];
}

const aboutType = (derived: Derived, naming: Naming): string[] => [
  '## Type',
  '',
  'A class for each role; sizes flow with the screen.',
  '',
  ...table(
    ['role', 'class', 'place', 'size', 'line height', 'weight'],
    [...derived.styles.values()].map((style) => [
      plain(style.name),
      code(namedSelector(`.type-${style.slug}`, naming)),
      placeName(style.place),
      code(fluidCss(style.size)),
      String(style.lineHeight),
      String(style.weight),
    ]),
  ),
  '',
];

const aboutColor = (derived: Derived, naming: Naming): string[] => [
  '## Color',
  '',
  ...table(
    ['role', 'property', ...modesOf(derived.themes)],
    [...derived.colors.values()].map(({ name, slug, colors }) => [
      plain(name),
      code(namedProperty(`--color-${slug}`, naming)),
      ...modesOf(derived.themes).map((mode) => code(colors[mode])),
    ]),
  ),
  '',
  `Each surface has a class (\`${namedSelector('.on-page', naming)}\`); text roles in it take the colors that were checked there.`,
  '',
];

const aboutSpace = ({ space }: StyleDocument, derived: Derived, naming: Naming): string[] => [
  '## Space',
  '',
  `Base unit ${space.unit} px.`,
  '',
  ...table(
    ['step', 'property', 'px'],
    [...derived.steps.values()].map(({ name, slug, px }) => [
      plain(name),
      code(namedProperty(`--step-${slug}`, naming)),
      String(px),
    ]),
  ),
  '',
  ...table(
    ['role', 'for', 'property', 'is'],
    [...derived.spaces.values()].flatMap((one) =>
      (one.apart ? (['inline', 'block'] as const) : (['inline'] as const)).map((side) => {
        const { value, from } = one[side];
        const later = from.map(
          ({ fromPx, value: next }) => `${namedValue(next.css ?? '', naming)} from ${fromPx} px`,
        );
        return [
          plain(one.name),
          one.use,
          code(namedProperty(`--${tokenOf(one, side).replace('.', '-')}`, naming)),
          [namedValue(value.css ?? '', naming), ...later].join(', then '),
        ];
      }),
    ),
  ),
  '',
  ...table(
    ['grid from', 'container', 'columns', 'column', 'gutter', 'margin'],
    derived.grid.map(({ name, fromPx, grid }) => [
      `${plain(name)}, ${fromPx} px`,
      grid.fluid ? 'the screen' : `${grid.container} px`,
      String(grid.columns),
      grid.fluid ? 'what is left' : `${Number(grid.column.toFixed(2))} px`,
      `${grid.gutter} px`,
      `${grid.marginStart} px`,
    ]),
  ),
  '',
];

const aboutShape = ({ shape }: StyleDocument): string[] => [
  '## Shape, depth and motion',
  '',
  ...table(
    ['what', 'property', 'value'],
    [
      ...inOrder(shape.radii).map(([, { name, px }]) => [
        `radius ${plain(name)}`,
        'border-radius',
        `${px} px`,
      ]),
      ...inOrder(shape.borders).map(([, { name, px }]) => [
        `border ${plain(name)}`,
        'border-width',
        `${px} px`,
      ]),
      ...inOrder(shape.shadows).map(([, { name, height }]) => [
        `level ${plain(name)}`,
        'box-shadow',
        `${height} px over its ground`,
      ]),
      ...inOrder(shape.durations).map(([, { name, ms, reduced }]) => [
        `duration ${plain(name)}`,
        'transition-duration',
        `${ms} ms, with less motion ${reduced} ms`,
      ]),
    ],
  ),
  '',
];

const aboutIcons = (
  { icons: decided }: StyleDocument,
  { icons }: Derived,
  naming: Naming,
): string[] => [
  '## Icons',
  '',
  `${decided.size} em of the text beside them, strokes of ${decided.stroke} px at any size, in the color of the words.`,
  '',
  ...table(
    ['icon', 'class', 'drawn', 'departs', 'from'],
    [...icons.values()].map(({ name, slug, measures, decided: own }) => [
      plain(name),
      code(namedClass(`icon-${slug}`, naming)),
      measures.kind,
      plain(
        [
          own?.size === undefined ? '' : (decided.sizes.items[own.size]?.name ?? own.size),
          own?.color ?? '',
        ]
          .filter((one) => one !== '')
          .join(', '),
      ),
      own?.from ? plain(`${own.from.set}, ${own.from.license}`) : 'our own',
    ]),
  ),
  '',
];

function aboutFindings(
  document: StyleDocument,
  derived: Derived,
  measured: readonly ToldFinding[] | undefined,
): string[] {
  const all: readonly ToldFinding[] = [
    ...findingsOf(document, derived).map((finding) => ({ ...finding, of: causeIdOf(finding) })),
    ...(measured ?? []),
  ];
  const open = all.filter((finding) => acceptedReason(document, finding) === undefined);
  const accepted = all.filter((finding) => acceptedReason(document, finding) !== undefined);
  return [
    '## Open findings',
    '',
    measured
      ? 'The pages were measured in a browser as they are: their layout, words over pictures pixel by pixel, pictures against their places.'
      : 'What is measured in a browser (the layout of the pages, words over pictures, pictures against their places) was not measured since the last change.',
    '',
    ...(open.length === 0
      ? ['None.']
      : open.map(({ title, figures }) => `- ${plain(title)}: ${plain(figures)}`)),
    '',
    ...(accepted.length === 0
      ? []
      : [
          '## Accepted as they are',
          '',
          ...accepted.map(
            (one) => `- ${plain(one.title)}: ${plain(acceptedReason(document, one) ?? '')}`,
          ),
          '',
        ]),
  ];
}

/** Whether a browser found the values in the files, as the system is now. */
const aboutVerified = (verified: Known['verified']): string[] => [
  '## Verified files',
  '',
  ...(verified
    ? verified.files.map((one) => `- \`${one.file}\`: ${plain(wordsOfFile(one))}`)
    : ['The files were not verified in a browser since the last change.']),
  '',
];

/**
 * What whoever builds the site needs to know beside the tokens, as Markdown (CommonMark with
 * tables): what was decided and why, in the words of the system, and what the checks still say, with what browsers
 * found of it as it is.
 */
export function writeHandoff(
  document: StyleDocument,
  derived: Derived,
  { measured, verified }: Known = {},
): string {
  const { brief, description, name } = document;
  const naming = namingOf(document.tokens.sheet, derived);
  const lines = [
    `# ${plain(name)}`,
    '',
    ...(description === '' ? [] : [plain(description), '']),
    ...(brief.purpose === '' ? [] : [`Purpose: ${plain(brief.purpose)}`, '']),
    ...(brief.audience === '' ? [] : [`Audience: ${plain(brief.audience)}`, '']),
    'Values are in `tokens.css` and `tokens.json`, which were written from the same decisions; the markup of each class is in `classes.md`, every component in every state in `components.html`.',
    '',
    ...aboutFaces(document, derived),
    ...aboutType(derived, naming),
    ...aboutSetting(document, derived),
    ...aboutColor(derived, naming),
    ...aboutGrounds(derived),
    ...aboutDrawings(document, derived, naming),
    ...aboutSpace(document, derived, naming),
    ...aboutShape(document),
    ...aboutIcons(document, derived, naming),
    ...aboutComponents(document),
    ...aboutFindings(document, derived, measured),
    ...aboutVerified(verified),
  ];
  return `${lines.join('\n').trimEnd()}\n`;
}
