import { ratioText } from '@garnish/core/checks/judge';
import {
  gradientOf,
  gradientCss,
  gradientFacts,
  GRADIENT_SPACES,
  lowestContrast,
} from '@garnish/core/color/gradient';
import { allSections } from '@garnish/core/proof/texts';
import { adding, removing } from '@garnish/core/system/collection';
import { inOrder, type Gradient } from '@garnish/core/system/document';
import { Plus, X } from 'lucide-react';
import { memo, useDeferredValue, useMemo } from 'react';
import { useProofTheme } from '../../system/proof-theme.ts';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useDecidedLater, useStore, useSystem } from '../../system/system-context.ts';
import { TryChoice } from '../../system/try-choice.tsx';
import { NameField } from '../../ui/name-field.tsx';
import { RoleSelect } from './role-select.tsx';

/** The length over which bands are looked for: a wide screen. */
const LENGTH_PX = 1440;
const GRAY_MIDDLE = 0.55;
const WIDE_BAND_PX = 14;
const STRIPS = 96;

interface EditorProps {
  readonly id: string;
  readonly decided: Gradient;
}

/** One gradient: its stops, the space it runs in, what the eye would stumble over, and text on it. */
const GradientEditor = memo(function GradientEditor({ id, decided }: EditorProps) {
  const store = useStore();
  const roles = useSystem((state) => state.decided.document.color.roles);
  const conformance = useSystem((state) => state.decided.document.brief.conformance);
  const { colors } = useDecidedLater([], ['colors']).derived;
  const mode = useProofTheme();
  const { name, space, angle, stops: decidedStops } = decided;
  const path = `/color/gradients/items/${id}`;
  const text = decided.ink ?? 'text';
  const stops = useMemo(
    () =>
      inOrder(decidedStops)
        .map(([, { at, color }]) => ({ at, color: colors.get(color)?.colors[mode] ?? '#000000' }))
        .sort((one, other) => one.at - other.at),
    [decidedStops, colors, mode],
  );
  // While a color moves, what is measured along the gradient follows when there is time.
  const calm = useDeferredValue(stops);
  const colorAt = useMemo(() => gradientOf(stops, space), [stops, space]);
  const facts = useMemo(() => gradientFacts(calm, space, LENGTH_PX), [calm, space]);
  const ink = useDeferredValue(colors.get(text)?.colors[mode]);
  const lowest = useMemo(() => ink && lowestContrast(calm, space, ink), [calm, space, ink]);
  const needed = conformance === 'AAA' ? 7 : 4.5;
  const set = (part: string, value: string | number, label: string, gesture?: string): void => {
    store.change(
      [{ op: 'replace', path: `${path}/${part}`, value }],
      label,
      gesture ? { gesture } : {},
    );
  };
  const add = (): void => {
    const stop = `stop-${crypto.randomUUID().slice(0, 6)}`;
    const last = inOrder(decidedStops).at(-1)?.[1];
    store.change(
      adding(`${path}/stops`, decidedStops, stop, {
        at: 0.5,
        color: last?.color ?? roles.order[0] ?? 'page',
      }),
      `another color in ${name}`,
    );
  };
  return (
    <div role="group" aria-label={`Gradient ${name}`} data-decision={path} className="mb-4">
      <div className="flex items-end gap-3">
        <div className="min-w-0 grow">
          <NameField
            label={`Name of gradient ${name}`}
            hideLabel
            value={name}
            onChange={(next) => set('name', next, `gradient ${next}`)}
          />
        </div>
        <div className="w-20">
          <DecidedNumber
            path={`${path}/angle`}
            name={`angle of ${name}`}
            label={`Angle of ${name}`}
            hideLabel
            value={angle}
            step={5}
            decimals={0}
            unit="°"
          />
        </div>
        <button
          type="button"
          className="grid h-7 w-6 place-items-center text-quiet hover:text-base-content"
          aria-label={`Remove gradient ${name}`}
          onClick={() => {
            const { color, content } = store.state().decided.document;
            store.change(
              [
                // Sections that stood on it stand on the page again.
                ...allSections(content).flatMap(({ own, path: at }) =>
                  own.gradient === id ? [{ op: 'remove', path: `${at}/gradient` } as const] : [],
                ),
                ...removing('/color/gradients', color.gradients, id),
              ],
              `without gradient ${name}`,
            );
          }}
        >
          <X size={13} aria-hidden />
        </button>
      </div>
      <div
        className="mt-1.5 h-10"
        role="img"
        aria-label={`${name} in ${space}`}
        style={{
          backgroundImage: gradientCss(
            stops.map(({ at, color }) => ({ at, color, css: color })),
            space,
          ),
        }}
      />
      <div className="flex h-2" aria-hidden title="the emitted colors one by one">
        {Array.from({ length: STRIPS }, (_, index) => (
          <span
            key={index}
            className="grow"
            style={{ background: colorAt(index / (STRIPS - 1)) }}
          />
        ))}
      </div>
      <div className="mt-1 flex flex-wrap items-center gap-x-3">
        <span className="text-quiet">runs in</span>
        <TryChoice
          label={`Space of ${name}`}
          options={GRADIENT_SPACES.map((value) => ({ value, name: value }))}
          value={space}
          onChange={(next) => set('space', next, `${name} in ${next}`)}
        />
      </div>
      <ul aria-label={`Colors of ${name}`}>
        {inOrder(decidedStops).map(([stop, { at, color: role }]) => (
          <li
            key={stop}
            className="grid grid-cols-[1.5rem_minmax(0,1fr)_4.5rem_1.5rem] items-center gap-x-2"
          >
            <span
              className="h-4"
              style={{ background: colors.get(role)?.colors[mode] }}
              aria-hidden
            />
            <RoleSelect
              bare
              className="min-w-0"
              label={`Color in ${name}`}
              value={role}
              onChange={(next) => set(`stops/items/${stop}/color`, next, `color in ${name}`)}
            />
            <DecidedNumber
              path={`${path}/stops/items/${stop}/at`}
              value={at}
              factor={0.01}
              name={`place in ${name}`}
              label={`Place in ${name}`}
              hideLabel
              step={5}
              decimals={1}
              unit="%"
            />
            {decidedStops.order.length > 2 && (
              <button
                type="button"
                className="grid h-7 w-6 place-items-center text-quiet hover:text-base-content"
                aria-label={`Remove a color of ${name}`}
                onClick={() =>
                  store.change(
                    removing(`${path}/stops`, decidedStops, stop),
                    `a color less in ${name}`,
                  )
                }
              >
                <X size={12} aria-hidden />
              </button>
            )}
          </li>
        ))}
      </ul>
      <p className="flex flex-wrap gap-x-4">
        <button type="button" className="act gap-1" onClick={add}>
          <Plus size={13} aria-hidden /> Another color in it
        </button>
      </p>
      <p className="text-xs text-quiet">
        {facts.colors} colors over {LENGTH_PX} px;{' '}
        <span className={facts.widestBandPx > WIDE_BAND_PX ? 'text-warning' : ''}>
          widest band {facts.widestBandPx} px
        </span>
        {facts.grayest.left < GRAY_MIDDLE && (
          <span className="text-warning">
            ; grayest at {Math.round(facts.grayest.at * 100)} %, where{' '}
            {Math.round(facts.grayest.left * 100)} % of the chroma is left: try oklch
          </span>
        )}
        .
      </p>
      {lowest && (
        <p className="flex flex-wrap items-center gap-x-2 text-xs">
          <span className="text-quiet">text on it in</span>
          <RoleSelect
            bare
            className="max-w-32 text-xs"
            label={`Text on ${name}`}
            value={text}
            onChange={(ink) =>
              store.change([{ op: 'add', path: `${path}/ink`, value: ink }], `text on ${name}`)
            }
          />
          <span className={`figures ${lowest.ratio < needed ? 'font-bold text-error' : ''}`}>
            {ratioText(lowest.ratio)}
          </span>
          <span className="text-quiet">
            at its lowest, {Math.round(lowest.at * 100)} % of the way
            {lowest.ratio < needed ? `; ${needed} is needed` : ''}
          </span>
        </p>
      )}
    </div>
  );
});

/** Gradients between roles, which follow them into both themes. */
export const Gradients = memo(function Gradients() {
  const store = useStore();
  const { gradients, roles } = useSystem(({ decided }) => ({
    gradients: decided.document.color.gradients,
    roles: decided.document.color.roles,
  }));
  const add = (): void => {
    const id = `gradient-${crypto.randomUUID().slice(0, 8)}`;
    const has = (role: string): string =>
      Object.hasOwn(roles.items, role) ? role : (roles.order[0] ?? 'page');
    store.change(
      adding('/color/gradients', gradients, id, {
        name: `gradient ${gradients.order.length + 1}`,
        space: 'oklab',
        angle: 90,
        stops: {
          order: ['from', 'to'],
          items: { from: { at: 0, color: has('action') }, to: { at: 1, color: has('link') } },
        },
      }),
      'another gradient',
    );
  };
  return (
    <>
      {gradients.order.length === 0 && (
        <p className="pb-1 text-quiet">None yet. A gradient runs between two roles or more.</p>
      )}
      {inOrder(gradients).map(([id, decided]) => (
        <GradientEditor key={id} id={id} decided={decided} />
      ))}
      <button type="button" className="act gap-1" onClick={add}>
        <Plus size={13} aria-hidden /> Another gradient
      </button>
    </>
  );
});
