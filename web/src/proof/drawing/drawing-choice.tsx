import {
  CHAPTERS,
  GROUNDS,
  SCALES,
  TELLS,
  type Chapter,
  type DrawingChoice,
} from '@garnish/core/drawings/drawing';
import { MEASURE_KINDS } from '@garnish/core/drawings/measures';
import { FACT_UNITS } from '@garnish/core/measures/facts';
import { useId, type ReactNode } from 'react';
import { Choice } from '../../ui/choice.tsx';
import { Toggles } from '../../ui/toggles.tsx';

const NAMES: Readonly<Record<Chapter, string>> = {
  measures: 'measures',
  anatomy: 'parts',
  states: 'states',
  widths: 'narrow to wide',
};

const named = <Value extends string>(values: readonly Value[]) =>
  values.map((value) => ({ value, name: value }));

const Row = ({ says, children }: { readonly says: string; readonly children: ReactNode }) => (
  <div className="grid grid-cols-[6.5rem_minmax(0,1fr)] items-center gap-x-3 border-t border-line py-0.5 first:border-t-0">
    <span className="text-quiet" aria-hidden>
      {says}
    </span>
    {children}
  </div>
);

export const SCREENS_PX = [375, 720, 1440] as const;

interface DrawingChoicesProps {
  readonly choice: DrawingChoice;
  readonly onChoice: (choice: DrawingChoice) => void;
  readonly screenPx: number;
  readonly onScreen: (px: number) => void;
  /** What can be measured alone: its place, and what it is called. */
  readonly things: readonly (readonly [place: string, name: string])[];
}

/** How a drawing is made. */
export function DrawingChoices(props: DrawingChoicesProps) {
  const { choice, onChoice, screenPx, onScreen, things } = props;
  const id = useId();
  const set = (next: Partial<DrawingChoice>): void => onChoice({ ...choice, ...next });
  const { only: chosen, ...all } = choice;
  const onlyHere = things.filter(([place]) => chosen?.has(place) ?? true);
  return (
    <div>
      <Row says="drawn">
        <Toggles
          label="What is drawn"
          options={CHAPTERS}
          chosen={choice.chapters}
          least={1}
          nameOf={(chapter) => NAMES[chapter]}
          onChange={(next) => set({ chapters: CHAPTERS.filter((one) => next.includes(one)) })}
        />
      </Row>
      <Row says="measures">
        <Toggles
          label="Which measures"
          options={MEASURE_KINDS}
          chosen={choice.kinds}
          onChange={(next) => set({ kinds: MEASURE_KINDS.filter((one) => next.includes(one)) })}
        />
      </Row>
      <Row says="told as">
        <div className="flex flex-wrap gap-x-6">
          <Choice
            label="What labels tell"
            options={named(TELLS)}
            value={choice.tells}
            onChange={(tells) => set({ tells })}
          />
          <Choice
            label="Unit of the drawing"
            options={named(FACT_UNITS)}
            value={choice.unit}
            onChange={(unit) => set({ unit })}
          />
        </div>
      </Row>
      <Row says="screen, px">
        <Choice
          label="Width of the screen, px"
          options={named(SCREENS_PX.map(String))}
          value={String(screenPx)}
          onChange={(px) => onScreen(Number(px))}
        />
      </Row>
      <Row says="ground, size">
        <div className="flex flex-wrap gap-x-6">
          <Choice
            label="Ground of the drawing"
            options={named(GROUNDS)}
            value={choice.ground}
            onChange={(ground) => set({ ground })}
          />
          <Choice
            label="Size of the drawing"
            options={SCALES.map((scale) => ({
              value: String(scale),
              name: scale === 1 ? 'as it is' : 'twice',
            }))}
            value={String(choice.scale)}
            onChange={(value) => set({ scale: SCALES.find((one) => String(one) === value) ?? 1 })}
          />
        </div>
      </Row>
      {things.length > 1 && (
        <details>
          <summary id={id} className="min-h-6 cursor-pointer text-quiet">
            {chosen === undefined
              ? `everything in it is measured`
              : `${onlyHere.length} of ${things.length} things are measured`}
          </summary>
          <Toggles
            label="What is measured"
            options={things.map(([place]) => place)}
            chosen={onlyHere.map(([place]) => place)}
            least={1}
            nameOf={(place) => things.find(([one]) => one === place)?.[1] ?? place}
            onChange={(next) =>
              onChoice(next.length === things.length ? all : { ...choice, only: new Set(next) })
            }
          />
        </details>
      )}
    </div>
  );
}
