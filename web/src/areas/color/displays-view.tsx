import { differenceOf } from '@garnish/core/color/difference';
import { parseColor } from '@garnish/core/color/parse-color';
import { ratioText, titleOf } from '@garnish/core/checks/judge';
import type { Hex } from '@garnish/core/color/srgb';
import { DISPLAY_PALETTES, nearestOf } from '@garnish/core/image/displays';
import { DITHERINGS, type Dithering } from '@garnish/core/image/dither';
import { contrastOnDisplay } from '@garnish/core/image/on-display';
import { isSame } from '@garnish/core/same';
import { inOrder } from '@garnish/core/system/document';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useProofTheme } from '../../system/proof-theme.ts';
import { usePageInFrame } from '../../proof/page-in-frame.ts';
import { pictureOfProof } from '../../proof/picture-of-proof.ts';
import { snapRoles } from '@garnish/core/derive/color/snap';
import { useDecided, useStore } from '../../system/system-context.ts';
import { triedBy, useTrying } from '../../system/use-trying.ts';
import { Section } from '../../ui/bench.tsx';
import { Choice } from '../../ui/choice.tsx';
import { setPreferences, usePreferences } from '../../ui/preferences.ts';
import { FileDrop } from '../../ui/file-drop.tsx';
import { drawnPicture } from '../../ui/picture.ts';
import type { DitherAnswer, DitherQuestion } from './dither-worker.ts';

const LONGEST_PX = 960;
const SEEN = 0.02;

/** Colors of a list as people type it; what is no color is told. */
function readList(text: string): { readonly colors: readonly Hex[]; readonly wrong: string[] } {
  const words = text.split(/[\s,;]+/).filter((word) => word !== '');
  const read = words.map((word) => ({ word, color: parseColor(word) }));
  return {
    colors: [...new Set(read.flatMap(({ color }) => (color.ok ? [color.hex] : [])))],
    wrong: read.flatMap(({ word, color }) => (color.ok ? [] : [word])),
  };
}

interface ShownProps {
  readonly colors: readonly Hex[];
}

/** A picture, or the proof as it stands, as the display would show it. */
function Shown({ colors }: ShownProps) {
  const page = usePageInFrame();
  const store = useStore();
  const [source, setSource] = useState<{
    readonly name: string;
    readonly canvas: OffscreenCanvas;
  }>();
  const [dithering, setDithering] = useState<Dithering>('error diffusion');
  const [share, setShare] = useState<number>();
  const [told, setTold] = useState<string>();
  const canvas = useRef<HTMLCanvasElement>(null);
  const key = colors.join(' ');
  useEffect(() => {
    const context = source?.canvas.getContext('2d', { willReadFrequently: true });
    if (!source || !context || key === '') return;
    const { width, height } = source.canvas;
    const worker = new Worker(new URL('./dither-worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<DitherAnswer>) => {
      if (data.kind === 'share') {
        setShare(data.share);
        return;
      }
      setShare(undefined);
      if (!canvas.current) return;
      canvas.current.width = width;
      canvas.current.height = height;
      canvas.current.getContext('2d')?.putImageData(data.picture, 0, 0);
    };
    const question: DitherQuestion = {
      picture: context.getImageData(0, 0, width, height),
      colors: key.split(' ') as Hex[],
      dithering,
    };
    worker.postMessage(question);
    return () => worker.terminate();
  }, [source, key, dithering]);
  const take = (work: Promise<OffscreenCanvas>, name: string): void => {
    setTold(undefined);
    work
      .then((drawn) => setSource({ name, canvas: drawn }))
      .catch((error: unknown) =>
        setTold(error instanceof Error ? error.message : `${name} could not be shown.`),
      );
  };
  return (
    <FileDrop
      name="A picture for the display"
      label="Show a picture"
      accept="image/*"
      onFiles={([file]) => file && take(drawnPicture(file, LONGEST_PX), file.name)}
    >
      <button
        type="button"
        className="act ms-4"
        disabled={!page}
        onClick={() => page && take(pictureOfProof(page, store.state().decided.sheet), 'the proof')}
      >
        Show the proof
      </button>
      {told !== undefined && (
        <p role="alert" className="text-error">
          {told}
        </p>
      )}
      {source && (
        <>
          <div className="mt-1 flex flex-wrap items-center gap-x-3">
            <Choice
              label="How colors between are shown"
              options={DITHERINGS.map((value) => ({ value, name: value }))}
              value={dithering}
              onChange={setDithering}
            />
            <span role="status" className="text-xs text-quiet">
              {share !== undefined && `${Math.round(share * 100)} %`}
            </span>
          </div>
          <canvas
            ref={canvas}
            role="img"
            aria-label={`${source.name} in ${colors.length} colors, ${dithering}`}
            className="mt-1 block w-full border border-line [image-rendering:pixelated]"
          />
        </>
      )}
    </FileDrop>
  );
}

/** Signs, e-paper and old devices: what is left of the palette on a display of few colors. */
export function DisplaysView() {
  const store = useStore();
  const trying = useTrying();
  const decided = useDecided(['color'], ['needs']);
  const mode = useProofTheme();
  const [chosen, setChosen] = useState('web');
  const [typed, setTyped] = useState('#000000 #ffffff #c8102e');
  const custom = readList(typed);
  const palette = DISPLAY_PALETTES.find(({ id }) => id === chosen);
  const colors = useMemo(() => palette?.colors ?? readList(typed).colors, [palette, typed]);
  const { displayMark } = usePreferences();
  const isMarked = displayMark !== undefined && isSame(displayMark.colors, colors);
  const { sources } = decided.document.color;
  const { needs } = decided.derived;
  const rows = useMemo(
    () =>
      colors.length === 0
        ? []
        : inOrder(sources).map(([id, { name, value }]) => ({
            id,
            name,
            value,
            nearest: nearestOf(colors, value),
          })),
    [colors, sources],
  );
  const texts = useMemo(
    () =>
      colors.length === 0
        ? []
        : needs
            .filter(({ kind }) => kind === 'text')
            .map((need) => {
              const [text, ground] = [need.color.colors[mode], need.on.colors[mode]];
              return {
                need,
                flat: contrastOnDisplay(colors, text, ground, 'none'),
                dithered: contrastOnDisplay(colors, text, ground, 'ordered'),
              };
            }),
    [colors, mode, needs],
  );
  const short = texts.filter(({ need, flat }) => flat < need.needed);
  const patterned = texts.filter(
    ({ need, flat, dithered }) => flat >= need.needed && dithered < need.needed,
  );
  const snap = (only?: string): void => {
    const patch = rows
      .filter(
        ({ id, nearest, value }) => (only === undefined || only === id) && nearest.hex !== value,
      )
      .map(({ id, nearest }) => ({
        op: 'replace' as const,
        path: `/color/sources/items/${id}/value`,
        value: nearest.hex,
      }));
    if (patch.length > 0)
      store.change(patch, only === undefined ? 'all colors snapped' : 'snapped');
  };
  const snapAll = (): void => {
    const { document, derived } = store.state().decided;
    const patch = snapRoles(document, derived, colors);
    if (patch.length > 0) store.change(patch, 'all roles snapped');
  };
  return (
    <>
      <Section title="Limited displays" aside="signs, e-paper, old devices" full>
        <Choice
          label="What the display can show"
          options={[
            ...DISPLAY_PALETTES.map(({ id, name }) => ({ value: id, name })),
            { value: 'own', name: 'a list of your own' },
          ]}
          value={chosen}
          onChange={setChosen}
        />
        {!palette && (
          <>
            <input
              className="input figures mt-1 w-full"
              aria-label="Colors of the display"
              value={typed}
              onChange={(event) => setTyped(event.currentTarget.value)}
            />
            {custom.wrong.length > 0 && (
              <p role="alert" className="text-xs text-error">
                Not colors that CSS knows: {custom.wrong.slice(0, 4).join(', ')}. The others are in
                force.
              </p>
            )}
            {colors.length === 0 && (
              <p className="text-xs text-error">A display shows one color at least.</p>
            )}
          </>
        )}
        <div className="mt-2 flex h-5 flex-wrap overflow-clip border border-line" aria-hidden>
          {colors.map((hex) => (
            <span key={hex} className="h-full min-w-px grow" style={{ background: hex }} />
          ))}
        </div>
        <label className="mt-1 flex min-h-7 items-center gap-1.5">
          <input
            type="checkbox"
            className="h-4 w-4 accent-primary"
            checked={isMarked}
            disabled={colors.length === 0}
            onChange={() =>
              setPreferences({
                displayMark: isMarked
                  ? undefined
                  : { name: palette?.name ?? 'a list of your own', colors: [...colors] },
              })
            }
          />
          told beside every color field
        </label>
        <ul className="mt-2" aria-label="Nearest colors of the display">
          {rows.map(({ id, name, value, nearest }) => (
            <li
              key={id}
              className="grid grid-cols-[5rem_minmax(0,1fr)_9.5rem_3.5rem_3rem] items-center gap-x-3 @max-[26rem]:grid-cols-[3.5rem_minmax(0,1fr)_3rem] border-b border-line py-0.5"
            >
              <span className="flex h-5" aria-hidden>
                <span className="grow" style={{ background: value }} />
                <span className="grow" style={{ background: nearest.hex }} />
              </span>
              <span className="truncate font-semibold">{name}</span>
              <span className="figures">
                {value} → {nearest.hex}
              </span>
              <span
                className={`figures text-end ${nearest.difference > SEEN ? '' : 'text-quiet'}`}
                title={`Difference in OKLab, of which 0.02 is hardly seen; ${differenceOf(value, nearest.hex).toFixed(1)} in CIEDE2000`}
              >
                {nearest.difference.toFixed(3)}
              </span>
              {nearest.hex === value ? (
                <span className="text-quiet">same</span>
              ) : (
                <button
                  type="button"
                  className="act"
                  aria-label={`Snap ${name} to ${nearest.hex}`}
                  {...triedBy(trying, () => snap(id))}
                >
                  Snap
                </button>
              )}
            </li>
          ))}
        </ul>
        {rows.some(({ nearest, value }) => nearest.hex !== value) && (
          <button type="button" className="act mt-1 me-4" {...triedBy(trying, () => snap())}>
            Snap all sources
          </button>
        )}
        {colors.length > 0 && (
          <button type="button" className="act mt-1" {...triedBy(trying, snapAll)}>
            Snap all roles
          </button>
        )}
      </Section>
      <Section title="Text there" aside={mode} full>
        <p>
          {texts.length - short.length} of {texts.length} texts read on it in flat colors
          {patterned.length > 0 &&
            `; ${patterned.length} of these no longer where their ground is a pattern`}
          .
        </p>
        <ul
          className="max-h-40 overflow-y-auto text-xs"
          tabIndex={0}
          aria-label="Texts that fall short there"
        >
          {[...short, ...patterned].map(({ need, flat, dithered }) => (
            <li key={need.id} className="flex gap-x-3 border-b border-line">
              <span className="min-w-0 grow truncate">{titleOf(need)}</span>
              <span className="figures whitespace-nowrap">{ratioText(flat)} flat</span>
              <span className="figures whitespace-nowrap">{ratioText(dithered)} in a pattern</span>
              <span className="figures whitespace-nowrap text-quiet">of {need.needed}</span>
            </li>
          ))}
        </ul>
      </Section>
      <Section title="Seen there" full>
        {colors.length > 0 && <Shown colors={colors} />}
      </Section>
    </>
  );
}
