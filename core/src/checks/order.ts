import type { StyleDocument } from '../system/document.ts';
import { modesOf, type Themes } from '../system/themes.ts';
import { causeIdOf, type Finding, type ToldFinding } from './finding.ts';

/** What is to be repaired comes before what is to be looked at; else the order stays. */
export const inOrderOfWeight = (findings: readonly Finding[]): readonly Finding[] => [
  ...findings.filter(({ severity }) => severity === 'repair'),
  ...findings.filter(({ severity }) => severity === 'look'),
];

/** Findings of a theme that the site does not have are none. */
export const inThemes = (findings: readonly Finding[], themes: Themes): readonly Finding[] => {
  const modes = modesOf(themes);
  return findings.filter(({ where: { mode } }) => mode === undefined || modes.includes(mode));
};

type Accepted = Pick<StyleDocument, 'accepted'>;

/** Why something told stays as it is: accepted by itself, or with what causes it. */
export const acceptedReason = (
  { accepted }: Accepted,
  { id, of = id }: Pick<ToldFinding, 'id' | 'of'>,
): string | undefined => {
  const name = [id, of].find((one) => Object.hasOwn(accepted, one));
  return name === undefined ? undefined : accepted[name]?.reason;
};

/** A finding that was accepted as it is, by itself or with its cause, stays known and becomes quiet. */
export const isAccepted = (document: Accepted, finding: Finding): boolean =>
  acceptedReason(document, { id: finding.id, of: causeIdOf(finding) }) !== undefined;
