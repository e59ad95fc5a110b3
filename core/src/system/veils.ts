import { isSame } from '../same.ts';
import { jsonOf, type Operation, type Patch } from './patch.ts';
import { inOrder, MODES, type Mode, type StyleDocument, type Veil } from './document.ts';

/** What of a veil may be other from theme to theme: the role of the text, the veil’s own color and its strength. */
export type VeilLook = Pick<Veil, 'ink' | 'color' | 'strength'>;

/** How a veil is in a theme. */
export const veilIn = ({ ink, color, strength, dark }: Veil, mode: Mode): VeilLook =>
  mode === 'dark'
    ? {
        ink: dark?.ink ?? ink,
        color: dark?.color ?? color,
        strength: dark?.strength ?? strength,
      }
    : { ink, color, strength };

/**
 * The roles that text over a picture may be in, by id: the page, and whatever words are set in, each once; all roles
 * where these are gone.
 */
export function inksOf({ roles, texts }: StyleDocument['color']): readonly string[] {
  const words = inOrder(texts).flatMap(([, { part, color }]) => (part === 'words' ? [color] : []));
  const found = [...new Set(['page', 'text', ...words])].filter((id) =>
    Object.hasOwn(roles.items, id),
  );
  return found.length > 0 ? found : roles.order;
}

const PARTS = ['ink', 'color', 'strength'] as const;

/**
 * The change that gives a veil another look in some themes and leaves it as it is in the others; empty where it has
 * that look already. What was decided apart for the dark theme stays apart.
 */
export function settingVeil(
  id: string,
  veil: Veil,
  modes: readonly Mode[],
  look: Partial<VeilLook>,
): Patch {
  const path = `/color/veils/items/${id}`;
  const [light, dark] = MODES.map((mode) => ({
    ...veilIn(veil, mode),
    ...(modes.includes(mode) && look),
  })) as [VeilLook, VeilLook];
  const apart = Object.fromEntries(
    PARTS.filter((part) => dark[part] !== light[part] || veil.dark?.[part] !== undefined).map(
      (part) => [part, dark[part]],
    ),
  );
  const hasApart = veil.dark !== undefined || Object.keys(apart).length > 0;
  const changes: readonly (Operation | false)[] = [
    ...PARTS.map(
      (part) =>
        light[part] !== veil[part] &&
        ({ op: 'replace', path: `${path}/${part}`, value: light[part] } as const),
    ),
    hasApart &&
      !isSame(apart, veil.dark) && { op: 'add', path: `${path}/dark`, value: jsonOf(apart) },
  ];
  return changes.flatMap((change) => change || []);
}
