import type { Mode } from '@garnish/core/system/document';
import { modesOf, themesOf } from '@garnish/core/system/themes';
import { usePreferences } from '../ui/preferences.ts';
import { useSystem } from './system-context.ts';

/** The themes that the site has, the first one first. */
export const useModes = (): readonly [Mode, ...Mode[]] =>
  useSystem(({ shown }) => modesOf(themesOf(shown.document)));

/** The theme that the proof is shown in: the chosen one, where the site has it. */
export function useProofTheme(): Mode {
  const { proofTheme } = usePreferences();
  const modes = useModes();
  return proofTheme !== 'first' && modes.includes(proofTheme) ? proofTheme : modes[0];
}
