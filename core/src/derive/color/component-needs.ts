import { COMPONENTS } from '../../components/components.ts';
import type { Part } from '../../components/component.ts';
import { STATES, stateOf, statesIn, type StateId } from '../../components/states.ts';
import type { StyleDocument } from '../../system/document.ts';
import { isOf, nameOf, partsOf, type Departure } from '../components.ts';
import { departuresOf, ownVariantsOf } from '../own-variants.ts';
import { TEXT } from '../text-parts.ts';
import type { NeedPlan } from '../derived.ts';

/** What a component without a ground of its own may stand on: surfaces; on vivid colors it takes the color of words. */
const GROUNDS = ['page', 'surface', 'raised'] as const;

const SURFACES: ReadonlySet<string> = new Set(GROUNDS);

/** Signs, edges and other parts of controls. Source: WCAG 2.2, 1.4.11. */
const PART_NEEDS = 3;

interface Given {
  readonly components: Pick<StyleDocument['components'], 'manner' | 'departures' | 'variants'>;
  /** Whether a color role is there, by id. */
  readonly has: (id: string) => boolean;
  /** The contrast that the words of a text role need; nothing where there is no such role. */
  readonly neededBy: (text: string) => number | undefined;
}

/** What parts take otherwise, by their names; of one component alone, under a name of its own, or of all. */
interface Taking {
  readonly of?: string;
  readonly name?: string;
  readonly takes: ReadonlyMap<string, Departure>;
}

/** What departs from the manner, and each variant of one’s own as what it follows, with what it takes otherwise. */
function takingsOf(components: Given['components']): readonly Taking[] {
  const all = departuresOf(components);
  const byPart = (...variants: readonly (string | undefined)[]) =>
    new Map(
      variants.flatMap((one) =>
        all.filter(({ variant }) => variant === one).map((own) => [own.part, own] as const),
      ),
    );
  return [
    { takes: byPart(undefined) },
    ...ownVariantsOf(components).map(({ id, name, of }) => ({
      of,
      name,
      takes: byPart(undefined, id),
    })),
  ];
}

/** The color role that a part takes: the one it departs to, or the first of its usual ones that there is. */
function roleOf(
  part: Part | undefined,
  { takes }: Taking,
  { has }: Pick<Given, 'has'>,
): string | undefined {
  if (!part) return undefined;
  const own = takes.get(nameOf(part));
  return [...(own ? [own.to] : []), ...part.from]
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
  const { manner } = given.components;
  for (const taking of takingsOf(given.components))
    for (const { of, name, text } of KNOWN) {
      if (taking.of !== undefined && taking.of !== of) continue;
      const own = partsOf(of).filter((part) => isOf(part, manner));
      const departing = /^type\.(.+)$/.exec(taking.takes.get(`${of}.${TEXT}`)?.to ?? '')?.[1];
      const textId =
        [departing, text].find((id) => id !== undefined && given.neededBy(id) !== undefined) ??
        'body';
      for (const state of [undefined, ...STATES.map(({ id }) => id)]) {
        // What cannot be used is exempt.
        if (state === 'off' || (state && !own.some((part) => part.state === state))) continue;
        const parts = partsIn(own, state);
        const called = taking.name ?? name;
        const said = state === undefined ? called : `${called}, ${stateOf(state).name}`;
        const role = (property: string): string | undefined =>
          roleOf(parts.get(property), taking, given);
        const by = (what: string, ...properties: readonly string[]) => {
          const departs = properties.flatMap((property) => {
            const part = parts.get(property);
            const departure = part && taking.takes.get(nameOf(part));
            return departure ?? [];
          });
          return { what, of, ...(departs.length > 0 && { departs }) };
        };
        const ground = role('background-color');
        const [ink, color] = [parts.get('color'), role('color')];
        const words = by(said, 'color', 'background-color');
        if (ink && color !== undefined)
          for (const on of ground === undefined ? GROUNDS : [ground])
            if (ink.isSign) need(color, on, PART_NEEDS, words);
            else need(color, on, given.neededBy(textId) ?? 0, { ...words, text: textId });
        const edge = parts.get('border-color')?.isEdge ? role('border-color') : undefined;
        if (edge !== undefined)
          for (const on of GROUNDS)
            need(edge, on, PART_NEEDS, by(`edge of ${said}`, 'border-color'));
      }
    }
  return [...needs.values()];
}
