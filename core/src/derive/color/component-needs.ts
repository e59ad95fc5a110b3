import { COMPONENTS } from '../../components/components.ts';
import type { Part } from '../../components/component.ts';
import { STATES, stateOf, statesIn, type StateId } from '../../components/states.ts';
import type { StyleDocument } from '../../system/document.ts';
import { isOf, nameOf, partsOf } from '../components.ts';
import type { NeedPlan } from '../derived.ts';

/** What a component without a ground of its own may stand on: surfaces; on vivid colors it takes the color of words. */
const GROUNDS = ['page', 'surface', 'raised'] as const;

const SURFACES: ReadonlySet<string> = new Set(GROUNDS);

/** Signs, edges and other parts of controls. Source: WCAG 2.2, 1.4.11. */
const PART_NEEDS = 3;

interface Given {
  readonly components: StyleDocument['components'];
  /** Whether a color role is there, by id. */
  readonly has: (id: string) => boolean;
  /** The contrast that the words of a text role need; nothing where there is no such role. */
  readonly neededBy: (text: string) => number | undefined;
}

/** The color role that a part takes: the one it departs to, or the first of its usual ones that there is. */
function roleOf(part: Part | undefined, { components, has }: Given): string | undefined {
  if (!part) return undefined;
  const name = nameOf(part);
  const { departures } = components;
  const own = Object.hasOwn(departures, name) ? [departures[name] ?? ''] : [];
  return [...own, ...part.from]
    .flatMap((id) => (id.startsWith('color.') ? id.slice('color.'.length) : []))
    .find(has);
}

/** What is known of what tokens begin with: the component it is of, and the text role of its words. */
const KNOWN = COMPONENTS.flatMap(({ name, classes, parts = [], variants = [] }) =>
  [...new Set(parts.map(({ of }) => of))]
    // The mark is a logo, which needs no contrast, and its letter has its own.
    .filter((of) => !of.startsWith('mark-'))
    .map((of) => ({
      of,
      name: `${name}${variants.length > 1 ? `, ${variants.find((one) => one.of === of)?.name ?? of}` : ''}`,
      text: classes.find((one) => one.name === of)?.text ?? 'label',
    })),
);

/** What properties say in a state, by their parts: those of rest where the state has none of its own. */
function partsIn(own: readonly Part[], state: StateId | undefined): ReadonlyMap<string, Part> {
  const layers = state === undefined ? [undefined] : [undefined, ...statesIn(state)];
  return new Map(
    layers.flatMap((layer) =>
      own.filter((part) => part.state === layer).map((part) => [part.property, part] as const),
    ),
  );
}

/**
 * The contrasts that components need in their manner and with what departs from it: words on their ground in every
 * state in which they can be used, signs and edges that tell a control from what is around it. What has no ground of
 * its own is needed on every surface. Colors are ids of roles. Source: WCAG 2.2, 1.4.3, 1.4.6 and 1.4.11.
 */
export function componentNeeds(given: Given): readonly NeedPlan[] {
  const needs = new Map<string, NeedPlan>();
  const need = (
    ink: string,
    ground: string,
    needed: number,
    said: Pick<NeedPlan, 'what' | 'of' | 'departs' | 'text'>,
  ): void => {
    // Words in the color of a surface: contrast is the same the other way round, and a surface stays one.
    const [color, on] = SURFACES.has(ink) ? [ground, ink] : [ink, ground];
    const id = `${color}:${on}`;
    if (!given.has(on) || (needs.get(id)?.needed ?? 0) >= needed) return;
    needs.set(id, {
      id,
      kind: said.text === undefined ? 'part' : 'text',
      color,
      on,
      ...said,
      ...(said.text !== undefined && { part: 'words' as const }),
      needed,
      decided: false,
    });
  };
  const { manner, departures } = given.components;
  for (const { of, name, text } of KNOWN) {
    const own = partsOf(of).filter((part) => isOf(part, manner));
    const textId = given.neededBy(text) === undefined ? 'body' : text;
    for (const state of [undefined, ...STATES.map(({ id }) => id)]) {
      // What cannot be used is exempt.
      if (state === 'off' || (state && !own.some((part) => part.state === state))) continue;
      const parts = partsIn(own, state);
      const said = state === undefined ? name : `${name}, ${stateOf(state).name}`;
      const ground = roleOf(parts.get('background-color'), given);
      const grounds = ground === undefined ? GROUNDS : [ground];
      const by = (what: string, ...taking: readonly (Part | undefined)[]) => {
        const departs = taking
          .flatMap((part) => (part ? nameOf(part) : []))
          .filter((part) => Object.hasOwn(departures, part));
        return { what, of, ...(departs.length > 0 && { departs }) };
      };
      const ink = parts.get('color');
      const color = roleOf(ink, given);
      const words = by(said, ink, parts.get('background-color'));
      if (ink && color !== undefined)
        for (const on of grounds)
          if (ink.isSign) need(color, on, PART_NEEDS, words);
          else need(color, on, given.neededBy(textId) ?? 0, { ...words, text: textId });
      const edge = parts.get('border-color');
      const edgeColor = edge?.isEdge ? roleOf(edge, given) : undefined;
      if (edgeColor !== undefined)
        for (const on of GROUNDS) need(edgeColor, on, PART_NEEDS, by(`edge of ${said}`, edge));
    }
  }
  return [...needs.values()];
}
