import type { StyleDocument } from '../system/document.ts';
import { modesOf, type Themes } from '../system/themes.ts';
import type { Finding } from './finding.ts';

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

/** A finding that was accepted as it is stays known and becomes quiet. */
export const isAccepted = ({ accepted }: StyleDocument, { id }: Pick<Finding, 'id'>): boolean =>
  Object.hasOwn(accepted, id);
