import { useProofTheme } from '../../system/proof-theme.ts';
import { sectionsOf } from '@garnish/core/proof/texts';
import type { Patch } from '@garnish/core/system/patch';
import { neededContrast } from '@garnish/core/color/contrast';
import { isHex, type Hex } from '@garnish/core/color/srgb';
import { veilColor } from '@garnish/core/derive/color/veil';
import { removing } from '@garnish/core/system/collection';
import { inOrder, VEIL_SIDES, type Veil } from '@garnish/core/system/document';
import { ROOT_PX } from '@garnish/core/type/fluid';
import { X } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { measureHero, type PictureFrame } from '../../proof/measure-hero.ts';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useDecided, useStore, useSystem } from '../../system/system-context.ts';
import { Choice } from '../../ui/choice.tsx';
import { NameField } from '../../ui/name-field.tsx';
import { usePreferences } from '../../ui/preferences.ts';
import { RoleSelect } from './role-select.tsx';
import { useVeilAnswer } from './use-veil-answer.ts';
import { VeilFrame, type Marking } from './veil-frame.tsx';
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
  const { document, derived } = useDecided(['color', 'content', 'brief'], ['colors', 'styles']);
  const mode = useProofTheme();
  const { proofWidth } = usePreferences();
  const [marking, setMarking] = useState<Marking>('none');
  const [measured, setMeasured] = useState<readonly PictureFrame[]>([]);
  const { color: colors, content, brief } = document;
  const openings = sectionsOf(content, 'opening');
  const shown = openings.filter(({ own, page: on }) => own.veil === id && on !== undefined);
  const inHero = shown.length > 0;
  const page = shown[0]?.page;
  const path = `/color/veils/items/${id}`;
  const ink = derived.colors.get(veil.ink)?.colors[mode] ?? '#ffffff';
  const color = veilColor(veil, derived.colors, mode);

  // The words of the hero are measured where they really stand, whenever the page may have moved.
  const layout = useSystem(({ decided }) => (inHero ? decided : undefined));
  useEffect(() => {
    if (!layout) return;
    let gone = false;
    const timer = setTimeout(() => {
      measureHero(layout, WIDTHS, page ?? '')
        .then((frames) => !gone && setMeasured(frames))
        .catch(() => undefined);
    }, 250);
    return () => {
      gone = true;
      clearTimeout(timer);
    };
  }, [layout, page]);

  const frames = useMemo((): readonly PictureFrame[] => {
    if (inHero) return measured;
    const { width, height } = veil.picture;
    return [{ screenPx: 0, width, height, boxes: inOrder(veil.boxes).map(([, box]) => box) }];
  }, [inHero, measured, veil]);
  const needs = frames.map((frame) => ({
    ...frame,
    needed: frame.boxes.map(({ text }) => {
      const style = derived.styles.get(text);
      return style
        ? neededContrast(style.size.minRem * ROOT_PX, style.weight, brief.conformance)
        : 4.5;
    }),
  }));
  const nearest = frames.reduce(
    (best, { screenPx }, index) =>
      Math.abs(screenPx - proofWidth) < Math.abs((frames[best]?.screenPx ?? 0) - proofWidth)
        ? index
        : best,
    0,
  );
  const other: Hex = ink === '#ffffff' ? '#000000' : '#ffffff';
  const answer = useVeilAnswer(`/proof/pictures/${veil.picture.file}`, {
    frames: needs,
    inks: [ink, other],
    color,
    side: veil.side,
    pixels: veil.pixels,
    strength: veil.strength,
    marked: nearest,
  });
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
          in the opening of the proof
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
      <div className="mt-1 grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_5rem_7rem] items-start gap-x-3 @max-[26rem]:grid-cols-2">
        <RoleSelect
          label="text in"
          value={veil.ink}
          onChange={(next) => replace('ink', next, `text on ${veil.name}`)}
        />
        <RoleSelect
          label="veil of"
          value={veil.color}
          onChange={(next) => replace('color', next, `veil of ${veil.name}`)}
        >
          <option value="#000000">black</option>
          <option value="#ffffff">white</option>
          {isHex(veil.color) && !['#000000', '#ffffff'].includes(veil.color) && (
            <option value={veil.color}>{veil.color}</option>
          )}
        </RoleSelect>
        <DecidedNumber
          path={`${path}/pixels`}
          value={veil.pixels}
          factor={0.01}
          name={`pixels that pass on ${veil.name}`}
          label="pixels"
          step={1}
          decimals={1}
          unit="%"
        />
        <DecidedNumber
          path={`${path}/strength`}
          name={`veil of ${veil.name}`}
          label="of 255"
          value={veil.strength}
          step={1}
          decimals={0}
          slider
        />
      </div>
      <div className="mt-1 flex flex-wrap items-center gap-x-3">
        <span className="text-quiet">from</span>
        <Choice
          label="Where the veil comes from"
          options={VEIL_SIDES.map((value) => ({ value, name: value }))}
          value={veil.side}
          onChange={(next) => replace('side', next, `veil from ${next}`)}
        />
      </div>
      {!inHero && <VeilTexts id={id} veil={veil} />}
      <VeilProof
        veil={veil}
        frames={needs}
        answer={answer}
        other={other}
        onTake={(strength) => replace('strength', strength, `least veil of ${veil.name}`)}
      />
    </div>
  );
}
