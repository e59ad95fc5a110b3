import { useProofTheme } from '../../system/proof-theme.ts';
import { sectionsOf, sectionsOverPictures } from '@garnish/core/proof/texts';
import type { Patch } from '@garnish/core/system/patch';
import type { Hex } from '@garnish/core/color/srgb';
import { treatedIn } from '@garnish/core/derive/color/treatments';
import { veilColor } from '@garnish/core/derive/color/veil';
import { removing } from '@garnish/core/system/collection';
import { MIDDLE } from '@garnish/core/image/veil';
import { inOrder, MODES, VEIL_SIDES, type Veil } from '@garnish/core/system/document';
import { settingVeil, veilIn } from '@garnish/core/system/veils';
import { X } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { measureHero, type PictureFrame } from '../../proof/measure-hero.ts';
import { neededOf } from '../../proof/starting-look.ts';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useDecided, useStore, useSystem } from '../../system/system-context.ts';
import { TryChoice } from '../../system/try-choice.tsx';
import { Choice } from '../../ui/choice.tsx';
import { NameField } from '../../ui/name-field.tsx';
import { usePreferences } from '../../ui/preferences.ts';
import { useVeilAnswer } from './use-veil-answer.ts';
import { VeilFrame, type Marking } from './veil-frame.tsx';
import { VeilLooks } from './veil-looks.tsx';
import { VeilProof } from './veil-proof.tsx';
import { VeilTexts } from './veil-texts.tsx';

/** The widths of the proof at which it is proved. */
const WIDTHS = [320, 375, 480, 720, 1024, 1440, 1600] as const;

interface VeilEditorProps {
  readonly id: string;
  readonly veil: Veil;
}

/** Text over one picture, and the least veil at which it reads, proved at every width. */
export function VeilEditor({ id, veil }: VeilEditorProps) {
  const store = useStore();
  const { document, derived } = useDecided(
    ['color', 'content', 'brief', 'layout'],
    ['colors', 'styles'],
  );
  const mode = useProofTheme();
  const { proofWidth } = usePreferences();
  const path = `/color/veils/items/${id}`;
  // Who comes from a finding sees at once which pixels fail.
  const [parameters] = useSearchParams();
  const isFinding = parameters.get('at') === `${path}/strength`;
  const [marking, setMarking] = useState<Marking>(isFinding ? 'after' : 'none');
  const [measured, setMeasured] = useState<readonly PictureFrame[]>([]);
  const { color: colors, content } = document;
  const openings = sectionsOf(content, 'opening');
  const shown = sectionsOverPictures(content).filter(
    ({ veil: own, page: on }) => own === id && on !== undefined,
  );
  const inHero = shown.length > 0;
  const page = shown[0]?.page;
  const role = shown[0]?.own.kind === 'call' ? 'background' : 'opening';
  const treated = inHero ? treatedIn(document.layout, role, derived.colors, mode) : undefined;
  const look = veilIn(veil, mode);
  const crop = veil.crop ?? MIDDLE;
  const ink = derived.colors.get(look.ink)?.colors[mode] ?? '#ffffff';
  const color = veilColor(veil, derived.colors, mode);

  // The words of the hero are measured where they really stand, whenever the page may have moved.
  const layout = useSystem(({ decided }) => (inHero ? decided : undefined));
  useEffect(() => {
    if (!layout) return;
    let gone = false;
    const timer = setTimeout(() => {
      measureHero(layout, WIDTHS, page ?? '', id)
        .then((frames) => !gone && setMeasured(frames))
        .catch(() => undefined);
    }, 250);
    return () => {
      gone = true;
      clearTimeout(timer);
    };
  }, [layout, page, id]);

  const frames = useMemo((): readonly PictureFrame[] => {
    if (inHero) return measured;
    const { width, height } = veil.picture;
    return [{ screenPx: 0, width, height, boxes: inOrder(veil.boxes).map(([, box]) => box) }];
  }, [inHero, measured, veil]);
  const needs = frames.map((frame) => ({
    ...frame,
    needed: frame.boxes.map(({ text }) => neededOf(text, { document, derived })),
  }));
  const nearest = frames.reduce(
    (best, { screenPx }, index) =>
      Math.abs(screenPx - proofWidth) < Math.abs((frames[best]?.screenPx ?? 0) - proofWidth)
        ? index
        : best,
    0,
  );
  const other: Hex = ink === '#ffffff' ? '#000000' : '#ffffff';
  const asked = useVeilAnswer(`/proof/pictures/${veil.picture.file}`, {
    frames: needs,
    inks: [ink, other],
    color,
    side: veil.side,
    pixels: veil.pixels,
    strength: look.strength,
    crop,
    ...(treated && { treated }),
    marked: nearest,
  });
  const answer = asked === 'unread' ? undefined : asked;
  const replace = (part: string, value: string | number, label: string): void => {
    store.change([{ op: 'replace', path: `${path}/${part}`, value }], label);
  };
  const [frame] = frames.slice(nearest);
  const withoutVeil: Patch = shown.map(({ path: at }) => ({ op: 'remove', path: `${at}/veil` }));
  return (
    <div role="group" aria-label={`Picture ${veil.name}`} data-decision={path} className="mb-6">
      <div className="mb-1.5 flex items-end gap-3">
        <div className="min-w-0 grow">
          <NameField
            label={`Name of picture ${veil.name}`}
            hideLabel
            value={veil.name}
            onChange={(next) => replace('name', next, `picture ${next}`)}
          />
        </div>
        <label className="flex min-h-7 items-center gap-1.5">
          <input
            type="checkbox"
            className="h-4 w-4 accent-primary"
            checked={inHero}
            disabled={openings.length === 0}
            onChange={() =>
              store.change(
                inHero
                  ? withoutVeil
                  : openings
                      .slice(0, 1)
                      .map(({ path: at }) => ({ op: 'add', path: `${at}/veil`, value: id })),
                inHero ? 'opening without picture' : `opening over ${veil.name}`,
              )
            }
          />
          in {role === 'background' ? 'a section' : 'the opening'} of the proof
        </label>
        <button
          type="button"
          className="grid h-7 w-6 shrink-0 place-items-center text-quiet hover:text-base-content"
          aria-label={`Remove picture ${veil.name}`}
          onClick={() =>
            store.change(
              [...withoutVeil, ...removing('/color/veils', colors.veils, id)],
              `without picture ${veil.name}`,
            )
          }
        >
          <X size={13} aria-hidden />
        </button>
      </div>
      {frame ? (
        <VeilFrame
          veil={veil}
          id={id}
          frame={frame}
          inHero={inHero}
          answer={answer}
          marking={marking}
          color={color}
          ink={ink}
          strength={look.strength}
          treated={treated}
        />
      ) : (
        <p className="py-6 text-quiet">Measuring where the words stand …</p>
      )}
      <div className="mt-1 flex flex-wrap items-center gap-x-3">
        <span className="text-quiet">mark failing pixels</span>
        <Choice
          label="Mark failing pixels"
          options={[
            { value: 'none', name: 'no' },
            { value: 'before', name: 'without the veil' },
            { value: 'after', name: 'with it' },
          ]}
          value={marking}
          onChange={setMarking}
        />
      </div>
      <VeilLooks id={id} veil={veil} />
      <div className="mt-1 flex flex-wrap items-center gap-x-3">
        <span className="text-quiet">from</span>
        <TryChoice
          label="Where the veil comes from"
          options={VEIL_SIDES.map((value) => ({ value, name: value }))}
          value={veil.side}
          onChange={(next) => replace('side', next, `veil from ${next}`)}
        />
      </div>
      {inHero && (
        <div className="mt-1 flex flex-wrap items-center gap-x-3">
          <span className="text-quiet">words at the</span>
          <TryChoice
            label="Where the words stand"
            options={[
              { value: 'foot', name: 'foot' },
              { value: 'head', name: 'head' },
            ]}
            value={veil.atHead ? 'head' : 'foot'}
            onChange={(next) =>
              store.change(
                next === 'head'
                  ? [{ op: 'add', path: `${path}/atHead`, value: true }]
                  : [{ op: 'remove', path: `${path}/atHead` }],
                `words at the ${next} of ${veil.name}`.slice(0, 120),
              )
            }
          />
        </div>
      )}
      <div className="mt-1 grid grid-cols-3 items-start gap-x-3">
        <DecidedNumber
          path={`${path}/pixels`}
          value={veil.pixels}
          factor={0.01}
          name={`pixels that pass on ${veil.name}`}
          label="pixels that pass"
          step={1}
          decimals={1}
          unit="%"
        />
        {(['x', 'y'] as const).map((axis) => (
          <DecidedNumber
            key={axis}
            path={`${path}/crop/${axis}`}
            value={crop[axis]}
            factor={0.01}
            name={`what stays in view of ${veil.name}`}
            label={axis === 'x' ? 'in view, across' : 'in view, down'}
            change={(share) => [
              { op: 'add', path: `${path}/crop`, value: { ...crop, [axis]: share } },
            ]}
            step={5}
            decimals={0}
            unit="%"
          />
        ))}
      </div>
      {!inHero && <VeilTexts id={id} veil={veil} />}
      <VeilProof
        veil={veil}
        strength={look.strength}
        frames={needs}
        answer={asked}
        other={other}
        onTake={(strength) =>
          store.change(
            settingVeil(id, veil, veil.dark ? [mode] : MODES, { strength }),
            `least veil of ${veil.name}`.slice(0, 120),
          )
        }
      />
    </div>
  );
}
