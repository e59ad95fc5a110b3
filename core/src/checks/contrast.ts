import type { StyleDocument } from '../system/document.ts';
import { repairsOf } from './contrast-repairs.ts';
import { checkOf, type Finding, type Repair } from './finding.ts';
import { judgedAll, ratioText, selectorOf, sizesText, titleOf, type Judged } from './judge.ts';

const REASONS = {
  text: 'Text of this size and weight needs this contrast to be read by people with low vision.',
  large:
    'Large text needs less contrast than small text, and this is still too little to be read by everyone.',
  part: 'What shows that something can be used, or is chosen, has to be seen against what is around it.',
  beside: 'Without an underline, only this difference tells a link from the text around it.',
  exempt: '',
} as const;

const SOURCES = {
  text: 'WCAG 2.2, 1.4.3 and 1.4.6',
  part: 'WCAG 2.2, 1.4.11',
  beside: 'WCAG 2.2, 1.4.1, technique G183',
  exempt: '',
} as const;

type Read = Pick<StyleDocument, 'brief' | 'type'>;

/** What departs from its manner, or from what it is a variant of, and falls short follows it again. */
const lettingGo = ({ departs = [] }: Judged['need']): readonly Repair[] => {
  if (departs.length === 0) return [];
  const names = departs.map(({ name }) => name);
  return [
    {
      label: `Let ${names.join(' and ')} follow again`,
      patch: departs.map(({ path }) => ({ op: 'remove', path })),
      before: departs.map(({ to }) => to).join(', '),
      after: 'as what it follows',
    },
  ];
};

function findingOf(judged: Judged, document: Read): Finding {
  const { need, mode, ratio, needed, large } = judged;
  const [departs] = need.departs ?? [];
  const [repair, ...ways] = [...lettingGo(need), ...repairsOf(judged, document)];
  const at = need.style ? `, at ${sizesText(judged)}, weight ${need.style.weight}` : '';
  const wide =
    judged.wideRatio === undefined ? '' : `, ${ratioText(judged.wideRatio)} on wide-gamut screens`;
  return {
    id: `contrast:${need.id}:${mode}`,
    severity: 'repair',
    area: departs === undefined ? 'color' : 'components',
    decision:
      departs === undefined
        ? need.decided
          ? `/color/texts/items/${need.id}`
          : `/color/roles/items/${need.color.id}`
        : departs.path,
    title: `${titleOf(need)} falls short in ${mode}`,
    // One color that is too near to its grounds is one thing to mend, wherever it stands.
    ...(departs === undefined && {
      cause: {
        id: `contrast of ${need.color.id} in ${mode}`,
        title: `${need.color.name} falls short in ${mode}`,
      },
    }),
    figures: `${ratioText(ratio)} of ${needed.toFixed(2)}${wide}${at}`,
    reason: REASONS[need.kind === 'text' && large ? 'large' : need.kind],
    source: SOURCES[need.kind],
    where: { selector: selectorOf(need), mode },
    ...(repair && { repair }),
    ...(ways.length > 0 && { ways }),
  };
}

/** Every color on the ground that it is used on, in both themes. */
export const contrastCheck = checkOf(
  ['brief', 'type', 'components'],
  ['needs', 'themes'],
  (document, derived) =>
    judgedAll(derived)
      .filter(({ passes }) => !passes)
      .map((judged) => findingOf(judged, document)),
);
