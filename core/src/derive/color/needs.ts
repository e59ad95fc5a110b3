import { neededContrast, type Conformance } from '../../color/contrast.ts';
import { FAMILIES } from '../../system/families.ts';
import { componentNeeds } from './component-needs.ts';
import { inOrder, type Part, type StyleDocument } from '../../system/document.ts';
import { ROOT_PX } from '../../type/fluid.ts';
import type { NeedPlan, TextStyle } from '../derived.ts';

type Color = StyleDocument['color'];

/** Controls, their parts and states, and links beside text. Source: WCAG 2.2, 1.4.11 and 1.4.1 (G183). */
const PART_NEEDS = 3;

const NAME_OF_PART: Readonly<Record<Part, (name: string) => string>> = {
  words: (name) => name,
  link: (name) => `link in ${name}`,
  visited: (name) => `visited link in ${name}`,
  button: () => 'quiet button',
};

/** A role that reaches for another, in words: `a:b` says that a stands on b. */
const PARTS_ON: readonly (readonly [color: string, on: readonly string[], what: string])[] = [
  ['line-strong', ['page', 'surface', 'raised'], 'edge of fields'],
  ['focus', ['page', 'surface', 'raised'], 'focus ring'],
];

/** The text of states and of buttons. */
const LABEL = ['label', 'body'] as const;

/** A text role by what it needs of colors alone: its sizes move, and that seldom changes. */
export interface NeedingText {
  readonly id: string;
  readonly name: string;
  readonly needed: number;
}

interface Given {
  readonly texts: Color['texts'];
  readonly roles: Color['roles'];
  readonly needing: ReadonlyMap<string, NeedingText>;
  readonly plainLinks: boolean;
  readonly components: StyleDocument['components'];
}

/** What each text role needs: the strictest that its sizes ask for, that of its smallest. */
export const needingTexts = (
  styles: ReadonlyMap<string, TextStyle>,
  level: Conformance,
): ReadonlyMap<string, NeedingText> =>
  new Map(
    [...styles].map(([key, { id, name, size, weight }]) => [
      key,
      { id, name, needed: neededContrast(size.minRem * ROOT_PX, weight, level) },
    ]),
  );

function decidedNeeds({ texts, needing }: Given): NeedPlan[] {
  return inOrder(texts).flatMap(([id, { text, part, color, on }]): NeedPlan[] => {
    const style = needing.get(text);
    if (!style) return [];
    return [
      {
        id,
        kind: 'text',
        what: NAME_OF_PART[part](style.name),
        color,
        on,
        text,
        part,
        needed: style.needed,
        decided: true,
      },
    ];
  });
}

/** Links that only their color tells from the text around them. */
const besideNeeds = ({ texts, needing, plainLinks }: Given): NeedPlan[] => {
  if (!plainLinks) return [];
  const all = inOrder(texts);
  return all.flatMap(([id, use]): NeedPlan[] => {
    if (use.part !== 'link' && use.part !== 'visited') return [];
    const around = all.find(
      ([, { text, part, on }]) => part === 'words' && text === use.text && on === use.on,
    )?.[1];
    const style = needing.get(use.text);
    if (!around || !style) return [];
    return [
      {
        id: `beside-${id}`,
        kind: 'beside',
        what: `${NAME_OF_PART[use.part](style.name)} beside its text`,
        color: use.color,
        on: around.color,
        needed: PART_NEEDS,
        decided: false,
      },
    ];
  });
};

function familyNeeds({ roles, needing }: Given): NeedPlan[] {
  const has = (id: string): boolean => Object.hasOwn(roles.items, id);
  const label = LABEL.map((id) => needing.get(id)).find(Boolean);
  const body = needing.get('body');
  const part = (color: string, on: string, what: string): NeedPlan[] =>
    has(color) && has(on)
      ? [
          {
            id: `${color}:${on}`,
            kind: 'part',
            what,
            color,
            on,
            needed: PART_NEEDS,
            decided: false,
          },
        ]
      : [];
  const exempt = (color: string, on: string, what: string): NeedPlan[] =>
    has(color) && has(on)
      ? [{ id: `${color}:${on}`, kind: 'exempt', what, color, on, needed: 0, decided: false }]
      : [];
  const text = (
    color: string,
    on: string,
    what: string,
    style: NeedingText | undefined,
  ): NeedPlan[] =>
    style && has(color) && has(on)
      ? [
          {
            id: `${color}:${on}`,
            kind: 'text',
            what,
            color,
            on,
            text: style.id,
            part: 'words',
            needed: style.needed,
            decided: false,
          },
        ]
      : [];
  return [
    ...PARTS_ON.flatMap(([color, grounds, what]) => grounds.flatMap((on) => part(color, on, what))),
    ...text('text', 'raised', 'text', body),
    ...text('quiet', 'raised', 'quiet text', needing.get('small') ?? body),
    ...text('faint', 'page', 'hints in fields', needing.get('small') ?? body),
    ...FAMILIES.flatMap((id) => [
      ...text(`${id}-ink`, id, `label on ${id}`, label),
      ...text(`${id}-ink`, `${id}-hover`, `label on ${id}, pointed at`, label),
      ...text(`${id}-ink`, `${id}-pressed`, `label on ${id}, pressed`, label),
      ...text('text', `${id}-wash`, `text on a wash of ${id}`, body),
      ...part(`${id}-edge`, 'page', `edge of ${id}`),
      ...part(`${id}-edge`, `${id}-wash`, `edge of ${id} against its wash`),
      ...exempt(`${id}-disabled`, 'page', `${id} that cannot be used`),
    ]),
    ...exempt('line', 'page', 'line that only divides'),
    ...['link', 'action']
      .flatMap((id) => exempt(id, 'page', 'logotype'))
      .map((need) => ({ ...need, id: `logotype:${need.color}` })),
    ...Object.keys(roles.items)
      .filter((id) => /^art-\d+$/.test(id))
      .flatMap((id) => exempt(id, 'page', 'illustration')),
  ];
}

/** Of what is needed of the same two colors that which asks for most, where the first of them stands. */
function strictest(needs: readonly NeedPlan[]): readonly NeedPlan[] {
  const found = new Map<string, NeedPlan>();
  for (const need of needs) {
    const before = found.get(need.id);
    if (!before || need.needed > before.needed) found.set(need.id, need);
  }
  return [...found.values()];
}

/**
 * Every color on every ground that the site uses, with the contrast that it needs: what was decided
 * for the text roles, what follows from the roles (labels on their colors in every state, text on
 * washes, edges, focus), what components need in their manner, links that stand beside their text without underline, and what is exempt
 * (illustrations, lines that only divide, controls that cannot be used). What was decided by hand
 * comes first; a pair of roles that stands there is not told again.
 * Source: WCAG 2.2, 1.4.1, 1.4.3, 1.4.6 and 1.4.11.
 */
export function needsOf(given: Given): readonly NeedPlan[] {
  const decided = decidedNeeds(given);
  // A logotype is exempt in the very colors in which a text is not.
  const told = new Map(
    [...strictest(decided.map((need) => ({ ...need, id: `${need.color}:${need.on}` })))].map(
      ({ id, needed }) => [id, needed],
    ),
  );
  const { roles, needing, components } = given;
  const ofComponents = componentNeeds({
    components,
    has: (id) => Object.hasOwn(roles.items, id),
    neededBy: (text) => needing.get(text)?.needed,
  });
  return [
    ...decided,
    ...besideNeeds(given),
    ...strictest([...familyNeeds(given), ...ofComponents]).filter(
      ({ id, needed }) => needed > (told.get(id) ?? -1),
    ),
  ];
}
