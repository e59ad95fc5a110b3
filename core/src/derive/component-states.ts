import { COMPONENTS } from '../components/components.ts';
import { oklabDistance, oklabOf } from '../color/oklab.ts';
import { isHex, rgbOf } from '../color/srgb.ts';
import type { Part, Variant } from '../components/component.ts';
import { statesIn, type StateId } from '../components/states.ts';
import type { Manner } from '../system/component-schema.ts';
import type { Mode } from '../system/document.ts';
import { FIXED, isOf, nameOf, partsOf } from './components.ts';
import type { Derived } from './derived.ts';
import { STRUCTURE } from './structure.ts';
import { TEXT } from './text-parts.ts';

/** How a state of a component is told from another. */
export interface Difference {
  /** The largest distance of a color that differs, in OKLab; 0 where none does. */
  readonly distance: number;
  /** The part whose color that is. */
  readonly part?: string;
  /** Whether it differs by more than color: a line, an edge, a level. */
  readonly isMore: boolean;
}

/** What is declared of a state beside its look. */
const LOOKLESS: ReadonlySet<string> = new Set(['cursor']);

interface Given {
  readonly manner: Manner;
  readonly tokenById: Derived['tokenById'];
  readonly mode: Mode;
}

/** Rest, and all states that something is in, in the order of their rules. */
const layers = (state: StateId | undefined): readonly (StateId | undefined)[] =>
  state === undefined ? [undefined] : [undefined, ...statesIn(state)];

/** The parts of a component in a state, by the property that each says: those at rest, unless the state has its own. */
function partsIn(of: string, state: StateId | undefined, { manner }: Given): Map<string, Part> {
  const own = partsOf(of).filter((part) => isOf(part, manner));
  return new Map(
    layers(state).flatMap((layer) =>
      own.filter((part) => part.state === layer).map((part) => [part.property, part]),
    ),
  );
}

/** The lines, levels and the like that a component says in a state without a token, by where and what. */
function saidIn(
  of: string,
  state: StateId | undefined,
  { manner }: Given,
): ReadonlyMap<string, string> {
  const own = FIXED.filter((fixed) => fixed.of === of && isOf(fixed, manner));
  return new Map(
    layers(state).flatMap((layer) =>
      own
        .filter((fixed) => fixed.state === layer)
        .flatMap(({ inside = '', declarations }) =>
          Object.entries(declarations)
            // What only hands on a color is that color’s difference.
            .filter(([property, value]) => !LOOKLESS.has(property) && value !== 'inherit')
            .map(([property, value]) => [`${inside} ${property}`.trim(), value] as const),
        ),
    ),
  );
}

const asText = (said: ReadonlyMap<string, string>): string =>
  JSON.stringify([...said].sort(([one], [other]) => (one < other ? -1 : 1)));

/**
 * All that a variant looks like at rest, as text: what is emitted, by property, whichever rule says it; the color of
 * its words where that is what is meant. Nothing where it takes no token.
 */
export function looksOf({ of }: Pick<Variant, 'of'>, given: Given): string {
  const parts = [...partsIn(of, undefined, given)].map(
    ([property, part]) =>
      [property, given.tokenById.get(nameOf(part))?.values[given.mode].css ?? ''] as const,
  );
  if (parts.length === 0) return '';
  const text = given.tokenById.get(`${of}.${TEXT}`)?.values[given.mode].reference;
  const looks = new Map([
    ...(text === undefined ? [] : [[TEXT, text] as const]),
    ...Object.entries(STRUCTURE.find(({ name }) => name === of)?.own ?? {}),
    ...saidIn(of, undefined, given),
    ...parts,
  ]);
  const ink = looks.get('color') ?? 'currentcolor';
  return asText(
    new Map(
      [...looks].map(([property, value]) => [property, value === 'currentcolor' ? ink : value]),
    ),
  );
}

/** The focus is told by a ring around every control, which the sheet draws for all at once. */
const RINGED: StateId = 'focus';

/** The colors by which one state is told from rest, where no part but the use of a text decides them. */
const colorsTelling = (
  of: string,
  from: StateId | undefined,
  to: StateId,
): readonly string[] | undefined =>
  from === undefined ? COMPONENTS.find(({ told }) => told?.[of])?.told?.[of]?.[to] : undefined;

/**
 * How two states of a variant differ in a theme, in what is emitted: 8-bit colors by their distance in OKLab, all else
 * by whether it is the same.
 */
export function differenceOf(
  { of }: Pick<Variant, 'of'>,
  from: StateId | undefined,
  to: StateId,
  given: Given,
): Difference {
  const [before, now] = [partsIn(of, from, given), partsIn(of, to, given)];
  const cssOf = (part: Part | undefined): string | undefined =>
    part && given.tokenById.get(nameOf(part))?.values[given.mode].css;
  let distance = 0;
  let found: string | undefined;
  let isMore =
    (to === RINGED) !== (from === RINGED) ||
    asText(saidIn(of, from, given)) !== asText(saidIn(of, to, given));
  for (const property of new Set([...before.keys(), ...now.keys()])) {
    const part = now.get(property) ?? before.get(property);
    const [one, other] = [cssOf(before.get(property)), cssOf(now.get(property))];
    if (one === other) continue;
    if (one !== undefined && other !== undefined && isHex(one) && isHex(other)) {
      const apart = oklabDistance(oklabOf(rgbOf(one)), oklabOf(rgbOf(other)));
      if (apart > distance) [distance, found] = [apart, part?.part];
    } else isMore = true;
  }
  const told = colorsTelling(of, from, to);
  const [rest, seen] = (told ?? []).map(
    (id) => given.tokenById.get(`color.${id}`)?.values[given.mode].css,
  );
  if (rest !== undefined && seen !== undefined && isHex(rest) && isHex(seen))
    distance = Math.max(distance, oklabDistance(oklabOf(rgbOf(rest)), oklabOf(rgbOf(seen))));
  return { distance, isMore, ...(found !== undefined && { part: found }) };
}
