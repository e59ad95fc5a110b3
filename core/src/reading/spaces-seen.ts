import { MOST_ALTERNATIVES, type Proposal, type ProposalId, type Proposed } from './proposal.ts';
import { round } from './said.ts';
import { componentOf, type SeenElement } from './seen.ts';

/** The steps of a new system, as multiples of its unit. Source: the space of a new system. */
const STEPS: readonly (readonly [id: string, multiple: number])[] = [
  ['xs', 0.5],
  ['s', 1],
  ['m', 2],
  ['l', 3],
  ['xl', 5],
  ['xxl', 8],
];
const USUAL_UNIT_PX = 8;

/** Less is no space between things, more none that somebody has decided for all. Common practice. */
const [LEAST_PX, MOST_PX] = [2, 400] as const;
/** What goes over so much of the page is a band of it. Common practice. */
const WHOLE = 0.8;
const LEAST_SECTION_PX = 16;

interface Found {
  readonly px: number;
  readonly name: string;
}

/** Spaces with how often each stands, in whole px. */
function byOften(
  found: readonly Found[],
): readonly (readonly [px: number, list: readonly Found[]])[] {
  const lists = new Map<number, Found[]>();
  for (const one of found) {
    const px = Math.round(one.px);
    if (px < LEAST_PX || px > MOST_PX) continue;
    const list = lists.get(px) ?? [];
    lists.set(px, list);
    list.push(one);
  }
  return [...lists].toSorted(([, one], [, other]) => other.length - one.length);
}

const nearestStep = (px: number, unitPx: number): readonly [id: string, px: number] => {
  const [first = ['m', 2] as const] = STEPS.toSorted(
    ([, one], [, other]) =>
      Math.abs(Math.log((one * unitPx) / px)) - Math.abs(Math.log((other * unitPx) / px)),
  );
  return [first[0], first[1] * unitPx];
};

interface Role {
  readonly id: ProposalId;
  readonly name: string;
  /** What is decided of it: the role of space. */
  readonly role: string;
  readonly usual: string;
  readonly of: string;
}

/** A role of space, as most of its places have it. */
function roleFrom(
  { id, name, role, usual, of }: Role,
  found: readonly Found[],
  unitPx: number,
): readonly Proposal[] {
  const all = byOften(found);
  const total = all.reduce((sum, [, list]) => sum + list.length, 0);
  const proposed = (px: number, list: readonly Found[]): Proposed => {
    const [step, stepPx] = nearestStep(px, unitPx);
    return {
      value: stepPx === px ? `${px} px, ${step}` : `${px} px, ${step} of ${round(stepPx, 2)} px`,
      why: `${list.length} of ${total} ${of} have it`,
      explains: list.length / total,
      unexplained: all.flatMap(([other, [first]]) =>
        other === px ? [] : [`${other} px, ${first?.name ?? ''}`],
      ),
      patch: [
        { op: 'replace', path: `/space/roles/items/${role}/value`, value: { kind: 'step', step } },
      ],
    };
  };
  const [first, ...others] = all;
  return first && total > 1
    ? [
        {
          ...{ id, name, usual },
          ...proposed(...first),
          alternatives: others
            .filter(([, list]) => list.length > 1)
            .slice(0, MOST_ALTERNATIVES)
            .map((one) => proposed(...one)),
        },
      ]
    : [];
}

const sides = (one: SeenElement, list: readonly (number | undefined)[]): readonly Found[] =>
  list.flatMap((px) => (px === undefined ? [] : [{ px, name: one.name }]));

/** The insets of buttons by their text: em at the sides, and above and below. */
function controlFrom(buttons: readonly SeenElement[]): readonly Proposal[] {
  const told = buttons.flatMap(({ padding: [top = 0, right = 0, bottom = 0, left = 0], sizePx }) =>
    sizePx > 0 && right > 0 && Math.abs(right - left) < 1 && Math.abs(top - bottom) < 2
      ? [
          `${round(right / sizePx, 2)} em, ${round((top + bottom) / 2 / sizePx, 2)} em above and below`,
        ]
      : [],
  );
  const counts = new Map<string, number>();
  for (const one of told) counts.set(one, (counts.get(one) ?? 0) + 1);
  const [first, ...others] = [...counts].toSorted(([, one], [, other]) => other - one);
  if (!first) return [];
  const proposed = ([value, count]: readonly [string, number]): Proposed => {
    const [side = 1.25, above = 0.625] = value.split(/ em,? ?/).map(Number);
    const em = (length: number) => ({ kind: 'own', value: length, unit: 'em' });
    return {
      value,
      why: `${count} of ${told.length} buttons have it`,
      explains: count / told.length,
      unexplained: [...counts.keys()].filter((other) => other !== value),
      patch: [
        { op: 'replace', path: '/space/roles/items/control/value', value: em(side) },
        { op: 'replace', path: '/space/roles/items/control/block', value: em(above) },
      ],
    };
  };
  return [
    {
      id: 'control inset',
      name: 'insets of buttons',
      usual: '1.25 em, 0.625 em above and below',
      ...proposed(first),
      alternatives: others.slice(0, MOST_ALTERNATIVES).map(proposed),
    },
  ];
}

/**
 * What spaces do on a page, from where they stand: within bands of the page, within cards, between blocks of text,
 * within buttons. Each is the step that is nearest.
 * @param unitPx the unit that the steps are multiples of
 */
export function spacesSeen(
  seen: readonly SeenElement[],
  unitPx: number = USUAL_UNIT_PX,
): readonly Proposal[] {
  const wide = Math.max(1, ...seen.map(({ box }) => box.left + box.width));
  const isBand = ({ box, name }: SeenElement): boolean =>
    box.width >= WHOLE * wide && !/^(?:body|html|header|nav)(?:\.|$)/.test(name);
  const cards = seen.filter((one) => componentOf(one) === 'card' && one.box.width < WHOLE * wide);
  const text = seen.filter(
    (one) => one.signs > 0 && one.level === undefined && one.acts === undefined && !one.isLink,
  );
  return [
    ...roleFrom(
      {
        ...{ id: 'section space', name: 'space of sections', role: 'section' },
        ...{ usual: 'xxl, 64 px', of: 'bands of the page' },
      },
      seen
        .filter(isBand)
        .flatMap((one) => sides(one, [one.padding[0], one.padding[2]]))
        .filter(({ px }) => px >= LEAST_SECTION_PX),
      unitPx,
    ),
    ...roleFrom(
      {
        ...{ id: 'card inset', name: 'insets of cards', role: 'inset' },
        ...{ usual: 'l, 24 px', of: 'sides of cards' },
      },
      cards.flatMap((one) => sides(one, one.padding)),
      unitPx,
    ),
    ...roleFrom(
      {
        ...{ id: 'stack', name: 'space between blocks of text', role: 'stack' },
        ...{ usual: 'm, 16 px', of: 'blocks of text' },
      },
      text.flatMap((one) => sides(one, [Math.max(one.margin[0] ?? 0, one.margin[2] ?? 0)])),
      unitPx,
    ),
    ...controlFrom(seen.filter((one) => componentOf(one) === 'button')),
  ];
}
