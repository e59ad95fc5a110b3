import { namesIn } from '../proof/made-of.ts';

/** The sides of a box in the order in which CSS names them. Source: CSS Box Model 3. */
export const SIDES = ['top', 'right', 'bottom', 'left'] as const;
export type Side = (typeof SIDES)[number];

/** What is said of each side, in the order of `SIDES`. */
export type OfSides<Value> = readonly [Value, Value, Value, Value];

/** A side by its logical names, the block axis first. Source: CSS Logical Properties 1. */
const logical = (side: Side, isRightToLeft: boolean): readonly [axis: string, end: string] => {
  if (side === 'top' || side === 'bottom')
    return ['block', side === 'top' ? 'block-start' : 'block-end'];
  return ['inline', (side === 'left') === isRightToLeft ? 'inline-end' : 'inline-start'];
};

/** The values of a shorthand, parted by spaces that stand in no parentheses. */
const valuesIn = (text: string): readonly string[] =>
  text.match(/(?:[^\s(]|\((?:[^()]|\([^()]*\))*\))+/g) ?? [];

/**
 * The value that a rule says for each side, from a property and its longhands; the one that says least wins, as the
 * sheet writes longhands behind their shorthand. Nothing where no rule says anything.
 */
export function saidOfSides(
  property: 'padding' | 'margin',
  declared: ReadonlyMap<string, string>,
  isRightToLeft = false,
): OfSides<string | undefined> {
  const all = valuesIn(declared.get(property) ?? '');
  const [top, right = top, bottom = top, left = right] = all;
  const whole = [top, right, bottom, left] as const;
  const of = (side: Side, index: 0 | 1 | 2 | 3): string | undefined => {
    const [axis, end] = logical(side, isRightToLeft);
    const pair = valuesIn(declared.get(`${property}-${axis}`) ?? '');
    return (
      declared.get(`${property}-${side}`) ??
      declared.get(`${property}-${end}`) ??
      (end.endsWith('end') ? (pair[1] ?? pair[0]) : pair[0]) ??
      whole[index]
    );
  };
  return [of('top', 0), of('right', 1), of('bottom', 2), of('left', 3)];
}

/** The tokens in what is said, in their order. */
export const tokensSaid = (
  said: string | undefined,
  tokensOf: (property: string) => readonly string[],
): readonly string[] => [...new Set(namesIn(said ?? '').flatMap(tokensOf))];
