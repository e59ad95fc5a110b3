import { colorName } from '@garnish/core/color/names';
import { answersTo, PALETTE_MOODS, SHIPPED_PALETTES } from '@garnish/core/color/palettes';
import type { Hex } from '@garnish/core/color/srgb';
import {
  PALETTE_FORMATS,
  PALETTE_FORMAT_NAMES,
  readPalette,
  writePalette,
  type PaletteFile,
  type PaletteFormat,
} from '@garnish/core/formats/palette-files';
import { matchPalette, recoloring } from '@garnish/core/derive/color/match-palette';
import { inOrder } from '@garnish/core/system/document';
import { keptPalette } from '@garnish/core/system/keeper';
import { jsonOf } from '@garnish/core/system/patch';
import { X } from 'lucide-react';
import { memo, useState } from 'react';
import useSWR from 'swr';
import * as z from 'zod/mini';
import { get, send } from '../../api/client.ts';
import type { SystemStore } from '../../system/store.ts';
import { useDecidedLater, useStore } from '../../system/system-context.ts';
import { triedBy, useTrying } from '../../system/use-trying.ts';
import { FileDrop } from '../../ui/file-drop.tsx';
import { saveAs } from '../../ui/save-as.ts';
import { becoming, useBecomes, type Becomes } from './become.ts';
import { BecomesChoice } from './becomes-choice.tsx';

const ADDRESS = '/api/palettes';
const keptList = z.array(
  z.object({ id: z.string(), palette: keptPalette, note: z.string(), origin: z.string() }),
);
type Kept = z.infer<typeof keptList>[number];

interface RowProps {
  readonly name: string;
  readonly words: string;
  readonly colors: readonly { readonly name: string; readonly hex: Hex }[];
  readonly becomes: Becomes;
  readonly onLetGo?: () => void;
}

/** Takes a palette whole: its colors in the places of the system's own. */
function wear(store: SystemStore, name: string, colors: RowProps['colors']): void {
  const { document } = store.state().decided;
  const matches = matchPalette(
    document,
    colors.map(({ hex }) => hex),
  );
  const patch = recoloring(document.color, matches);
  if (patch.length > 0) store.change(patch, `palette ${name}`.slice(0, 120));
}

/**
 * One palette: pointing tries it, whole by its name or one color of it; a click takes it. It can be written as a file of
 * any open format.
 */
function Row({ name, words, colors, becomes, onLetGo }: RowProps) {
  const store = useStore();
  const trying = useTrying();
  const write = (format: PaletteFormat): void =>
    saveAs(
      `${name.toLowerCase().replaceAll(/[^\p{L}\p{N}]+/gu, '-')}.${format}`,
      new Blob([writePalette({ name, colors }, format)], { type: 'text/plain' }),
    );
  return (
    <li className="grid grid-cols-[9rem_minmax(0,1fr)_5.5rem_1.5rem] items-center gap-x-3 border-b border-line py-1">
      <button
        type="button"
        className="min-w-0 text-start hover:underline"
        aria-label={`Take ${name} whole`}
        title="In the places of brand, accent and what else there is; states and what is locked stay"
        {...triedBy(trying, () => wear(store, name, colors))}
      >
        <span className="block truncate font-semibold">{name}</span>
        <span className="block truncate text-xs text-quiet">{words}</span>
      </button>
      <span className="flex h-8 min-w-0">
        {colors.map((color, index) => (
          <button
            key={`${color.hex} ${index}`}
            type="button"
            className="min-w-0 grow focus-visible:z-10"
            style={{ background: color.hex }}
            aria-label={`Take ${color.name || color.hex} of ${name}, ${color.hex}`}
            title={`${color.name || colorName(color.hex)}  ${color.hex}: take it as ${becomes}`}
            {...triedBy(trying, () => becoming(store, color, becomes))}
          />
        ))}
      </span>
      <select
        className="bare select text-xs"
        aria-label={`Save ${name} as a file`}
        value=""
        onChange={(event) => {
          const format = PALETTE_FORMATS.find((one) => one === event.currentTarget.value);
          if (format) write(format);
        }}
      >
        <option value="">save as …</option>
        {PALETTE_FORMATS.map((format) => (
          <option key={format} value={format}>
            {PALETTE_FORMAT_NAMES[format]}
          </option>
        ))}
      </select>
      {onLetGo ? (
        <button
          type="button"
          className="grid min-h-6 min-w-6 place-items-center text-quiet hover:text-base-content"
          aria-label={`Remove ${name}`}
          onClick={onLetGo}
        >
          <X size={13} aria-hidden />
        </button>
      ) : (
        <span />
      )}
    </li>
  );
}

/** Palettes set aside across systems and those that are shipped: searched, taken from, read, saved. */
export const Palettes = memo(function Palettes() {
  const [becomes, setBecomes] = useBecomes();
  const decided = useDecidedLater(['color', 'name']);
  const { sources } = decided.document.color;
  const { data, error, mutate } = useSWR<Kept[], Error>(
    ADDRESS,
    (path: string) => get(path, keptList),
    { dedupingInterval: 0 },
  );
  const [sought, setSought] = useState('');
  const [words, setWords] = useState('');
  const [told, setTold] = useState<{ readonly words: string; readonly wrong: boolean }>();

  const act = (work: Promise<unknown>, done?: string): void => {
    work
      .then(() => mutate())
      .then(() => done !== undefined && setTold({ words: done, wrong: false }))
      .catch((reason: unknown) =>
        setTold({
          words: reason instanceof Error ? reason.message : 'That did not work.',
          wrong: true,
        }),
      );
  };
  const keep = (palette: PaletteFile, note: string, done: string): void =>
    act(
      send('POST', ADDRESS, {
        palette: jsonOf(palette),
        note,
        origin: decided.document.name,
      }),
      done,
    );
  const read = (file: File | undefined): void => {
    if (!file) return;
    file
      .text()
      .then((text) => {
        const found = readPalette(text, file.name);
        if (!found.ok) {
          setTold({ words: `${found.problem} Nothing was changed.`, wrong: true });
          return;
        }
        const left = found.leftOut > 0 ? ` ${found.leftOut} could not be read.` : '';
        keep(
          found.palette,
          '',
          `${found.palette.name}: ${found.palette.colors.length} colors set aside.${left}`,
        );
      })
      .catch(() => setTold({ words: `${file.name} could not be opened.`, wrong: true }));
  };
  const kept = (data ?? []).filter(({ palette, note, origin }) =>
    answersTo(
      {
        text: `${palette.name} ${note} ${origin} ${palette.colors.map(({ name }) => name).join(' ')}`,
        colors: palette.colors.map(({ hex }) => hex),
      },
      sought,
    ),
  );
  const shipped = SHIPPED_PALETTES.filter(({ name, mood, subject, colors }) =>
    answersTo({ text: `${name} ${mood} ${subject}`, colors }, sought),
  );
  return (
    <FileDrop
      name="Palettes from files"
      label="Read a palette file"
      accept=".gpl,.css,.json,.svg,.txt,.hex"
      onFiles={([file]) => read(file)}
    >
      <form
        className="mt-1 flex items-baseline gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          keep(
            {
              name: decided.document.name,
              colors: inOrder(sources).map(([, { name, value }]) => ({ name, hex: value })),
            },
            words.trim(),
            'The colors of this system are set aside.',
          );
          setWords('');
        }}
      >
        <input
          className="input min-w-0 grow"
          aria-label="Words to find this system’s colors by"
          placeholder="words to find them by"
          maxLength={200}
          value={words}
          onChange={(event) => setWords(event.currentTarget.value)}
        />
        <button className="act whitespace-nowrap">Set these sources aside</button>
      </form>
      {(told ?? error) !== undefined && (
        <p role="alert" className={told?.wrong === false ? 'text-quiet' : 'text-error'}>
          {told?.words ?? error?.message}
        </p>
      )}
      <div className="mt-2">
        <BecomesChoice value={becomes} onChange={setBecomes} />
      </div>
      <div className="mt-2 flex flex-wrap items-baseline gap-x-3">
        <input
          type="search"
          className="input w-full"
          aria-label="Search the palettes"
          placeholder="a word, a color or a mood"
          value={sought}
          onChange={(event) => setSought(event.currentTarget.value)}
        />
        {PALETTE_MOODS.map((mood) => (
          <button
            key={mood}
            type="button"
            aria-pressed={sought === mood}
            className="min-h-6 min-w-6 text-xs text-quiet hover:text-base-content aria-pressed:font-semibold aria-pressed:text-base-content"
            onClick={() => setSought(sought === mood ? '' : mood)}
          >
            {mood}
          </button>
        ))}
      </div>
      {kept.length > 0 && (
        <ul aria-label="Palettes set aside" className="mt-2">
          {kept.map(({ id, palette, note, origin }) => (
            <Row
              key={id}
              name={palette.name}
              words={note === '' ? `from ${origin}` : note}
              colors={palette.colors}
              becomes={becomes}
              onLetGo={() => act(send('DELETE', `/api/keepers/${id}`))}
            />
          ))}
        </ul>
      )}
      {data?.length === 0 && (
        <p className="py-2 text-quiet">
          Nothing is set aside yet. What is kept here can be taken from in every system.
        </p>
      )}
      <ul aria-label="Shipped palettes" className="mt-2 max-h-96 overflow-y-auto" tabIndex={0}>
        {shipped.map(({ name, mood, subject, colors }) => (
          <Row
            key={name}
            name={name}
            words={`${mood}, ${subject}`}
            colors={colors.map((hex) => ({ name: colorName(hex), hex }))}
            becomes={becomes}
          />
        ))}
      </ul>
      {shipped.length === 0 && kept.length === 0 && (
        <p className="py-2 text-quiet">No palette answers to all of these words.</p>
      )}
    </FileDrop>
  );
});
