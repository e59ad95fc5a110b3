import { COMPONENTS } from '../components/components.ts';
import { stateOf, type StateId } from '../components/states.ts';
import { differenceOf } from '../derive/component-states.ts';
import { isOf, nameOf, partsOf } from '../derive/components.ts';
import type { Manner } from '../system/component-schema.ts';
import { MODES, type Mode } from '../system/document.ts';
import { modesOf } from '../system/themes.ts';
import type { Finding, Repair } from './finding.ts';
import { checkOfComponents } from './of-components.ts';

/** A difference that is hardly seen, in OKLab. Source: CSS Color 4, 13.2 (just noticeable difference). */
export const SEEN = 0.02;

/** Each state is told from rest, and what is pressed from what is pointed at. */
const BEFORE: Partial<Readonly<Record<StateId, readonly (StateId | undefined)[]>>> = {
  pressed: [undefined, 'hover'],
};

const nameOfState = (state: StateId | undefined): string =>
  state === undefined ? 'at rest' : stateOf(state).name;

/** The part that tells a state, by its name; what its tokens begin with where none does. */
function decisive(of: string, state: StateId, manner: Manner): string {
  const own = partsOf(of).filter((part) => isOf(part, manner));
  const part = own.find((one) => one.state === state) ?? own[0];
  return part ? nameOf(part) : of;
}

interface Told {
  readonly of: string;
  readonly state: StateId;
  readonly before: StateId | undefined;
}

/** A departure that is in the way is let go; without it the usual color stands, which the assignment keeps apart. */
function repairOf(
  { of, state }: Told,
  manner: Manner,
  departures: Readonly<Record<string, string>>,
): Repair | undefined {
  const names = partsOf(of)
    .filter((part) => isOf(part, manner))
    .filter((part) => part.state === state || part.state === undefined)
    .map(nameOf)
    .filter((name) => Object.hasOwn(departures, name));
  const own = names.filter((name) => name.endsWith(`-${state}`));
  const [first] = own.length > 0 ? own : names;
  if (first === undefined) return undefined;
  return {
    label: `Let ${first} follow again`,
    patch: [{ op: 'remove', path: `/components/departures/${first}` }],
    before: departures[first] ?? '',
    after: 'as its manner',
  };
}

/** Every state of every component that its own parts tell looks other than what it comes from. */
export const componentStatesCheck = checkOfComponents(
  ({ components: { manner, departures }, tokenById, themes }) => {
    const seen = new Set<string>();
    return COMPONENTS.flatMap(({ name, told, variants = [] }) =>
      variants.flatMap((variant) =>
        variant.states
          .filter((state) => told?.[variant.of]?.[state] === undefined)
          .flatMap((state) =>
            (BEFORE[state] ?? [undefined]).flatMap((before) =>
              MODES.filter((mode) => modesOf(themes).includes(mode)).flatMap(
                (mode: Mode): Finding[] => {
                  const { of } = variant;
                  const id = `component:${of}:${state}:${before ?? 'rest'}:${mode}`;
                  const isThere = before === undefined || variant.states.includes(before);
                  if (seen.has(id) || !isThere) return [];
                  seen.add(id);
                  const { distance, isMore } = differenceOf(variant, before, state, {
                    manner,
                    tokenById,
                    mode,
                  });
                  if (isMore || distance >= SEEN) return [];
                  const repair = repairOf({ of, state, before }, manner, departures);
                  return [
                    {
                      id,
                      severity: 'repair',
                      area: 'components',
                      decision: `/components/departures/${decisive(of, state, manner)}`,
                      title: `${name}, ${variant.name}: ${stateOf(state).name} looks as ${nameOfState(before)} in ${mode}`,
                      figures: `${distance.toFixed(3)} apart in OKLab, and nothing else differs; ${SEEN} is hardly seen`,
                      reason: 'Who uses it sees nothing happen.',
                      source: 'CSS Color 4, 13.2, just noticeable difference; WCAG 2.2, 1.4.1',
                      where: { selector: `.${of}`, mode },
                      ...(repair && { repair }),
                    },
                  ];
                },
              ),
            ),
          ),
      ),
    );
  },
);
