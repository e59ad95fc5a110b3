import { nearestWeight, type FontFamily } from '../fonts/family.ts';
import { jsonOf } from '../system/patch.ts';
import type { Proposal } from './proposal.ts';
import { facesSeen, type SeenElement } from './seen.ts';

/** A name of a family without what says how its files are made. */
const plain = (name: string): string =>
  name
    .toLowerCase()
    .replaceAll(/\b(?:variable|vf|web|pro|std)\b/g, '')
    .replaceAll(/[^\p{L}\p{N}]/gu, '');

/** The family of a catalogue that goes by a name; nothing where none does. */
export const familyCalled = (
  name: string,
  catalogue: readonly FontFamily[],
): FontFamily | undefined =>
  name === '' ? undefined : catalogue.find((family) => plain(family.name) === plain(name));

/** The faces that a page is set in, where the catalogue has them: what headings and what running text is set in. */
export function facesFrom(
  seen: readonly SeenElement[],
  catalogue: readonly FontFamily[],
): readonly Proposal[] {
  const { heading, text } = facesSeen(seen);
  const words = seen.filter(({ signs }) => signs > 0);
  const proposal = (
    of: 'heading' | 'text',
    name: string,
    weight: number | undefined,
  ): readonly Proposal[] => {
    const family = familyCalled(name, catalogue);
    if (!family) return [];
    const set = words.filter(({ face }) => face === name).length;
    return [
      {
        id: `${of} face`,
        name: `face of ${of === 'heading' ? 'headings' : 'text'}`,
        value: family.name,
        usual: 'the pair of a new system',
        why: `${set} of ${words.length} things with words are set in it, and the catalogue has it`,
        explains: set / words.length,
        unexplained: [],
        patch: [
          { op: 'replace', path: `/fonts/roles/${of}/family`, value: jsonOf(family) },
          ...(weight === undefined
            ? []
            : [
                {
                  op: 'replace' as const,
                  path: `/fonts/roles/${of}/weight`,
                  value: nearestWeight(family, weight),
                },
              ]),
        ],
      },
    ];
  };
  return [
    ...(heading ? proposal('heading', heading.face, heading.weight) : []),
    ...(text === undefined ? [] : proposal('text', text, undefined)),
  ];
}
