import type { Difference } from './difference.ts';

/** What somebody who builds from the files has to do: change their own code, nothing, or only look. */
export const KINDS = ['major', 'minor', 'patch'] as const;
export type ReleaseKind = (typeof KINDS)[number];

/** The parts of a release's number, which is written `1.4.2`. */
export type ReleaseNumber = readonly [major: number, minor: number, patch: number];

/** No part of a number is larger. */
export const LARGEST_PART = 99_999;

/** The number of the first release. */
export const FIRST_RELEASE = '1.0.0';

/**
 * The parts of a number; nothing where it is none. Source: Semantic Versioning 2.0.0, rule 2: three whole numbers
 * without zeros before them. Signs for what comes before a release are not taken.
 */
export function readNumber(text: string): ReleaseNumber | undefined {
  const parts = /^(0|[1-9]\d*)\.(0|[1-9]\d*)\.(0|[1-9]\d*)$/.exec(text)?.slice(1).map(Number);
  if (!parts || parts.some((part) => part > LARGEST_PART)) return undefined;
  const [major = 0, minor = 0, patch = 0] = parts;
  return [major, minor, patch];
}

export const writeNumber = (number: ReleaseNumber): string => number.join('.');

/** Below 0 where the first comes before the other. Source: Semantic Versioning 2.0.0, rule 11. */
export const compareNumbers = (one: ReleaseNumber, other: ReleaseNumber): number =>
  one[0] - other[0] || one[1] - other[1] || one[2] - other[2];

/** The next number of a kind. Source: Semantic Versioning 2.0.0, rules 6 to 8. */
export function nextNumber([major, minor, patch]: ReleaseNumber, kind: ReleaseKind): ReleaseNumber {
  if (kind === 'major') return [major + 1, 0, 0];
  return kind === 'minor' ? [major, minor + 1, 0] : [major, minor, patch + 1];
}

/** Why a release is of its kind: so many of something. */
export interface KindReason {
  readonly kind: ReleaseKind;
  readonly count: number;
  /** With its number: `2 tokens removed`. */
  readonly what: string;
}

const SEVERAL = { token: 'tokens', class: 'classes', rule: 'rules', page: 'pages' } as const;

const counted = (count: number, one: keyof typeof SEVERAL, became: string): string =>
  `${count} ${count === 1 ? one : SEVERAL[one]} ${became}`;

/**
 * Why the number has to change as it does, what matters most first; nothing where nothing changed. What is removed,
 * or called otherwise without its old name staying, breaks what others have built: major. What is there in addition
 * is minor, what only looks otherwise a patch.
 */
export function kindReasons({
  tokens,
  classes,
  rules,
  content,
}: Difference): readonly KindReason[] {
  const lost = tokens.renamed.filter(({ keepsName }) => !keepsName).length;
  const reasons: readonly (readonly [ReleaseKind, number, keyof typeof SEVERAL, string])[] = [
    ['major', tokens.removed.length, 'token', 'removed'],
    ['major', lost, 'token', 'renamed'],
    ['major', classes.removed.length, 'class', 'removed'],
    ['major', classes.renamed.length, 'class', 'renamed'],
    ['minor', tokens.added.length, 'token', 'added'],
    ['minor', tokens.renamed.length - lost, 'token', 'renamed whose old name stays'],
    ['minor', classes.added.length, 'class', 'added'],
    ['patch', tokens.changed.length, 'token', 'changed'],
    ['patch', rules, 'rule', 'changed'],
    ['patch', content, 'page', 'changed'],
  ];
  return reasons
    .filter(([, count]) => count > 0)
    .map(([kind, count, one, became]) => ({ kind, count, what: counted(count, one, became) }));
}

/** The kind of release that a difference asks for; nothing where nothing changed. */
export const kindOf = (difference: Difference): ReleaseKind | undefined =>
  kindReasons(difference)[0]?.kind;

/** The number that a difference from the last release asks for; nothing where nothing changed. */
export function proposedNumber(last: string, difference: Difference): string | undefined {
  const number = readNumber(last);
  const kind = kindOf(difference);
  return number && kind ? writeNumber(nextNumber(number, kind)) : undefined;
}
