import type { SpacePart } from '../../components/component.ts';
import { SPACE_PARTS, SPACES_AND_SIDES, sideKey, sidesOf } from '../../components/spaces.ts';
import type { Space } from '../../system/document.ts';
import { everyMode, type MadeToken, type TokenValue } from '../../tokens/token.ts';
import type { DerivedSpace, Rule, SpaceStep } from '../derived.ts';
import { remValue } from './lengths.ts';
import { spacePx, tokenOf } from './space.ts';

/** The token of a part, and the declaration that it is used in. */
export interface Piece {
  readonly key: string;
  readonly token: string;
  readonly property: string;
  readonly reference?: string;
  readonly value: TokenValue;
}

interface PartSources {
  readonly spaces: ReadonlyMap<string, DerivedSpace>;
  readonly steps: ReadonlyMap<string, SpaceStep>;
  readonly root: number;
}

/** One token for a part, or two where its role has other lengths above and below than at the sides. */
function piecesOf(
  key: string,
  { property, role: usual }: SpacePart,
  decided: Space['parts'][string] | undefined,
  { spaces, steps, root }: PartSources,
): readonly Piece[] {
  const step = decided && 'step' in decided ? steps.get(decided.step) : undefined;
  if (step)
    return [
      { key, token: key, property, reference: `step.${step.slug}`, value: remValue(step.px, root) },
    ];
  if (decided && 'px' in decided)
    return [{ key, token: key, property, value: remValue(decided.px, root) }];
  const role = spaces.get((decided && 'role' in decided ? decided.role : undefined) ?? usual);
  if (!role) return [];
  const piece = (token: string, property1: string, side: 'inline' | 'block'): Piece => ({
    key,
    token,
    property: property1,
    reference: tokenOf(role, side),
    value: role[side].value,
  });
  if (!role.apart) return [piece(key, property, 'inline')];
  if (property === 'padding')
    return [
      piece(`${key}-block`, 'padding-block', 'block'),
      piece(`${key}-inline`, 'padding-inline', 'inline'),
    ];
  if (property === 'gap')
    return [
      piece(`${key}-block`, 'row-gap', 'block'),
      piece(`${key}-inline`, 'column-gap', 'inline'),
    ];
  const side =
    property.startsWith('padding-inline') || property === 'column-gap' ? 'inline' : 'block';
  return [piece(key, property, side)];
}

/** The pieces of a part, and those of its sides that are decided by themselves, which stand after them. */
function withSides(
  key: string,
  part: SpacePart,
  parts: Space['parts'],
  pieces: readonly Piece[],
  sources: PartSources,
): readonly Piece[] {
  const sides = sidesOf(key).flatMap((side) => {
    const own = sideKey(key, side);
    const decided = Object.hasOwn(parts, own) ? parts[own] : undefined;
    if (!decided) return [];
    const { property } = side;
    const found = piecesOf(own, { ...part, property }, decided, sources);
    // A role with other lengths above and below gives a side the one that it is.
    return found.map((piece) => ({ ...piece, key: own, token: own, property }));
  });
  const replaced = new Set(sides.map(({ token }) => token));
  return [...pieces.filter(({ token }) => !replaced.has(token)), ...sides];
}

/**
 * How long a space of a component is at the sides on a screen, in px: as decided, or as its usual
 * role is, 0 for none; the mean of both sides where they differ.
 */
export function partPx(
  key: string,
  screenPx: number,
  { parts, spaces, steps }: Omit<PartSources, 'root'> & { readonly parts: Space['parts'] },
): number {
  const lengthOf = (own: string): number | undefined => {
    const decided = Object.hasOwn(parts, own) ? parts[own] : undefined;
    if (decided && 'px' in decided) return decided.px;
    if (decided && 'step' in decided) return steps.get(decided.step)?.px;
    return decided && spacePx(spaces, decided.role, screenPx);
  };
  const role = SPACE_PARTS[key]?.role;
  const both = lengthOf(key) ?? (role === undefined ? 0 : spacePx(spaces, role, screenPx));
  const [start, end] = ['inline-start', 'inline-end'].map(
    (end) => lengthOf(sideKey(key, { end })) ?? both,
  );
  return ((start ?? both) + (end ?? both)) / 2;
}

/** Every space of the components with the token that holds it. */
export const derivePieces = (
  parts: Space['parts'],
  spaces: ReadonlyMap<string, DerivedSpace>,
  steps: ReadonlyMap<string, SpaceStep>,
  root: number,
): readonly Piece[] =>
  Object.entries(SPACE_PARTS).flatMap(([key, own]) =>
    withSides(
      key,
      own,
      parts,
      piecesOf(key, own, Object.hasOwn(parts, key) ? parts[key] : undefined, {
        spaces,
        steps,
        root,
      }),
      { spaces, steps, root },
    ),
  );

/** A component token for every space of the components. */
export const derivePartTokens = (pieces: readonly Piece[]): MadeToken[] =>
  pieces.map(({ key, token, reference, value: { extension, ...value } }) => ({
    id: token,
    path: token.split('.'),
    tier: 'component',
    type: 'dimension',
    values: everyMode(
      reference === undefined
        ? { ...value, ...(extension !== undefined && { extension }) }
        : { ...value, reference },
    ),
    trail: () => ({
      decisions: [
        {
          path: `/space/parts/${key}`,
          label: SPACES_AND_SIDES.get(key)?.says ?? key,
          value: reference ?? value.css ?? '',
        },
      ],
      steps: [reference === undefined ? 'a length of its own, on no scale' : 'as its role'],
    }),
  }));

/** The rules that use them: one for each part of a component. */
export function derivePartRules(
  pieces: readonly Pick<Piece, 'key' | 'token' | 'property'>[],
): Rule[] {
  const bySelector = new Map<string, (readonly [string, string])[]>();
  for (const { key, token, property } of pieces) {
    const selector = SPACES_AND_SIDES.get(key)?.selector ?? '';
    const there = bySelector.get(selector) ?? [];
    there.push([property, `var(--${token.replace('.', '-')})`]);
    bySelector.set(selector, there);
  }
  return [...bySelector].map(([selector, declarations]) => ({ selector, declarations }));
}
