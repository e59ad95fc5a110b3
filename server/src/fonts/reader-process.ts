import { compress } from 'wawoff2';
import { factsOf, openFont } from './font-facts.ts';
import type { MeasureAnswer, ReaderAnswer, ReaderRequest } from './font-reader.ts';
import { checkSfnt } from './sfnt-checks.ts';
import { unpacked } from './unpack.ts';

/** Measures one uploaded file; whatever is wrong with it comes back as words. */
async function measure(bytes: Uint8Array): Promise<MeasureAnswer> {
  try {
    const plain = await unpacked(bytes);
    checkSfnt(plain);
    const font = openFont(plain);
    const axis = font.variationAxes['wght'] as { min: number; max: number } | undefined;
    const { usWeightClass } = font['OS/2'];
    const characters = font.characterSet;
    if (characters.length < 26) throw new Error('it holds hardly any letters');
    const weight = axis
      ? { min: Math.round(axis.min), max: Math.round(axis.max) }
      : { min: usWeightClass, max: usWeightClass };
    return {
      ok: true,
      facts: factsOf(font, new Set(characters)),
      characters,
      familyName: font.familyName || font.fullName || 'Own face',
      style: font.italicAngle === 0 ? 'normal' : 'italic',
      weight,
      axes: Object.fromEntries(
        Object.entries(font.variationAxes).flatMap(([name, range]) =>
          range ? [[name, { min: range.min, max: range.max }]] : [],
        ),
      ),
    };
  } catch (error) {
    return { ok: false, problem: error instanceof Error ? error.message : 'it cannot be read' };
  }
}

/** The file as it is served, whatever it came as. */
const pack = async (bytes: Uint8Array): Promise<Uint8Array> =>
  (await compress(await unpacked(bytes))).slice();

process.on('message', ({ ticket, task, bytes }: ReaderRequest) => {
  const work = task === 'measure' ? measure(bytes) : pack(bytes);
  work
    .then((answer) => {
      const { user, system } = process.cpuUsage();
      const cpuMs = (user + system) / 1000;
      process.send?.({ ticket, answer, cpuMs } satisfies ReaderAnswer);
    })
    // What cannot even be said ends the process, which is what its reader listens for.
    .catch(() => process.exit(1));
});
process.on('disconnect', () => process.exit(0));
