import { collectionOf, NOTHING, removing } from './collection.ts';
import { inOrder, type StyleDocument } from './document.ts';
import { jsonOf } from './json.ts';
import type { Patch } from './patch.ts';

export type SheetChoices = NonNullable<StyleDocument['tokens']['sheet']>;
/** What is decided of the names of tokens, now or before. */
export type TokenNaming = Pick<SheetChoices, 'properties' | 'tiers' | 'called'>;
export type TierNaming = NonNullable<NonNullable<TokenNaming['tiers']>['semantic']>;

const AT = '/tokens/sheet';

/** Each of them multiplies what a file holds. */
export const MOST_FORMER = 5;

/** Choices without those that say nothing. */
export function tidy({ properties, tiers = {}, called }: TokenNaming): TokenNaming {
  const said = Object.entries(tiers).flatMap(([tier, naming = {}]) => {
    const { prefix, groupLast, joint } = naming;
    const own: TierNaming = {
      ...(prefix !== undefined && prefix !== '' && { prefix }),
      ...(groupLast === true && { groupLast }),
      ...(joint !== undefined && { joint }),
    };
    return Object.keys(own).length === 0 ? [] : [[tier, own] as const];
  });
  return {
    ...(properties !== undefined && properties !== '' && { properties }),
    ...(said.length > 0 && { tiers: Object.fromEntries(said) }),
    ...(called && called.order.length > 0 && { called }),
  };
}

/** What the choices say of names. */
export const namingIn = ({ properties, tiers, called }: SheetChoices = {}): TokenNaming =>
  tidy({
    ...(properties !== undefined && { properties }),
    ...(tiers && { tiers }),
    ...(called && { called }),
  });

/** The choices with other names, and no names from before. */
export function withNaming(sheet: SheetChoices | undefined, next: TokenNaming): SheetChoices {
  const { properties: _p, tiers: _t, called: _c, former: _f, ...others } = sheet ?? {};
  return { ...others, ...tidy(next) };
}

const saysTheSame = (one: TokenNaming, other: TokenNaming): boolean =>
  JSON.stringify(tidy(one)) === JSON.stringify(tidy(other));

/**
 * The change that calls tokens otherwise; nothing where they are called so already.
 * @param kept the id under which the names from before stay, deprecated; they go where there is none
 */
export function namingPatch(
  sheet: SheetChoices | undefined,
  next: TokenNaming,
  kept?: string,
): Patch {
  const now = namingIn(sheet);
  if (saysTheSame(now, next)) return [];
  const former = sheet?.former ?? NOTHING;
  const left = inOrder<TokenNaming>(former).filter(
    ([, one]) => !saysTheSame(one, next) && !saysTheSame(one, now),
  );
  const entries = [...left, ...(kept === undefined ? [] : [[kept, now] as const])];
  return [
    {
      op: 'add',
      path: AT,
      value: jsonOf({
        ...withNaming(sheet, next),
        ...(entries.length > 0 && { former: collectionOf(entries) }),
      }),
    },
  ];
}

/** Why names from before cannot stay as well; nothing where they can. */
export const keepingProblem = (sheet: SheetChoices | undefined): string | undefined =>
  (sheet?.former?.order.length ?? 0) < MOST_FORMER
    ? undefined
    : `Names from ${MOST_FORMER} times before stay already; let those of one time go first.`;

/** Names from before go. */
export const withoutFormer = (sheet: SheetChoices, id: string): Patch =>
  sheet.former ? removing(`${AT}/former`, sheet.former, id) : [];

/** The choices with another name for one token, or none of its own. */
export function callingToken(
  sheet: SheetChoices | undefined,
  of: string,
  name: string | undefined,
  newId: string,
): TokenNaming {
  const now = namingIn(sheet);
  const left = inOrder(now.called ?? NOTHING).filter(([, one]) => one.of !== of);
  const called = name === undefined ? left : [...left, [newId, { of, name }] as const];
  return tidy({ ...now, called: collectionOf(called) });
}
