import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import type { Made } from '@garnish/core/image/made/made';
import type { ShownPicture } from '@garnish/core/proof/sections/kind';

const SIDE_PX = 480;

/** Found by the name of the package, so that a bundle of this finds them too. */
const FOLDER = path.dirname(
  createRequire(import.meta.url).resolve('@garnish/server/demo/portraits'),
);

const bytesOf = (name: string): Buffer => readFileSync(path.join(FOLDER, `${name}.webp`));

const PEOPLE = {
  commuter: { manner: 'flat', seed: 'commuter' },
  walker: { manner: 'flat', seed: 'walker-3' },
  teacher: { manner: 'dusk', seed: 'teacher' },
  guest: { manner: 'dusk', seed: 'guest-2' },
} as const satisfies Readonly<Record<string, Pick<Made, 'manner' | 'seed'>>>;

/** The files of people who do not exist, drawn by ourselves in the palettes of the demo. */
export const portraitFiles = (): readonly Buffer[] => Object.keys(PEOPLE).map(bytesOf);

/** One of them as a picture on a page, under the name that its bytes give. */
export function portrait(person: keyof typeof PEOPLE, name: string): ShownPicture {
  const hash = createHash('sha256').update(bytesOf(person)).digest('hex').slice(0, 16);
  return {
    name,
    file: `${hash}.webp`,
    width: SIDE_PX,
    height: SIDE_PX,
    made: { of: 'portrait', ...PEOPLE[person] },
  };
}
