import { NEUTRAL_SHAPE, USUAL_SHAPE, type RampShape } from '@garnish/core/color/ramp';
import { colorName } from '@garnish/core/color/names';
import type { Hex } from '@garnish/core/color/srgb';
import { mergeSources } from '@garnish/core/derive/color/palette';
import { adding, removing } from '@garnish/core/system/collection';
import { inOrder, type StyleDocument } from '@garnish/core/system/document';
import { NEUTRAL } from '@garnish/core/system/validate';
import { Plus, X } from 'lucide-react';
import { memo, useCallback, useDeferredValue, useMemo, useState } from 'react';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useDecided, useStore, useSystemLater } from '../../system/system-context.ts';
import { TrySelect } from '../../system/try-select.tsx';
import { OnDisplay } from './on-display.tsx';
import { ColorField } from '../../ui/color-field.tsx';
import { NameField } from '../../ui/name-field.tsx';
import { RampEditor } from './ramp-editor.tsx';
import { Related } from './related.tsx';

/** A ramp from paper to ink; it follows what the hand moves a moment later. */
function RampBands({ id }: { readonly id: string }) {
  const ramp = useSystemLater(({ decided }) => decided.derived.ramps.get(id));
  if (!ramp) return null;
  const { colors, seat, name, rungNames } = ramp;
  return (
    <div>
      <div
        className="flex h-8"
        role="img"
        aria-label={`${name}, from ${colors[0] ?? ''} to ${colors.at(-1) ?? ''}`}
      >
        {colors.map((color, index) => (
          <span
            key={index}
            className="grow"
            title={`${rungNames[index] ?? index + 1}  ${color}`}
            style={{ background: color }}
          />
        ))}
      </div>
      <div className="relative h-2.5" aria-hidden>
        {seat !== undefined && (
          <span
            className="absolute top-0 h-[7px] w-[7px] -translate-x-1/2 rotate-45 bg-base-content"
            style={{ insetInlineStart: `${((seat + 0.5) / colors.length) * 100}%` }}
          />
        )}
      </div>
    </div>
  );
}

/** What a color is called in words; found a moment later. */
function ColorName({ value }: { readonly value: Hex }) {
  const calm = useDeferredValue(value);
  return useMemo(() => colorName(calm), [calm]);
}

/** What another color begins as. */
const NEW_COLOR: Hex = '#5b6c8f';

interface SourceProps {
  readonly id: string;
  readonly source: StyleDocument['color']['sources']['items'][string];
  readonly removable: boolean;
  readonly isRampOpen: boolean;
  readonly isRelatedOpen: boolean;
  /** All sources, by id and name: one of the others it can become. */
  readonly others: readonly (readonly [id: string, name: string])[];
  readonly onRamp: (id: string) => void;
  readonly onRelated: (id: string) => void;
}

/** A color with its ramp; drawn anew only when one of them is another. */
const Source = memo(function Source(props: SourceProps) {
  const { id, source, removable, isRampOpen, isRelatedOpen } = props;
  const { onRamp, onRelated, others } = props;
  const { name, value, wide, ramp: shape } = source;
  const store = useStore();
  const setValue = (next: Hex, gesture?: string, beyond?: string): void => {
    const path = `/color/sources/items/${id}`;
    store.change(
      [
        { op: 'replace', path: `${path}/value`, value: next },
        ...(beyond === undefined
          ? wide === undefined
            ? []
            : [{ op: 'remove' as const, path: `${path}/wide` }]
          : [{ op: 'add' as const, path: `${path}/wide`, value: beyond }]),
      ],
      `${name} ${beyond ?? next}`.slice(0, 80),
      gesture === undefined ? {} : { gesture },
    );
  };
  return (
    <div data-decision={`/color/sources/items/${id}`}>
      <div className="mb-1.5 grid grid-cols-[minmax(0,1fr)_10.5rem_1.5rem] items-start gap-x-3">
        <NameField
          label={`Name of ${name}`}
          hideLabel
          value={name}
          onChange={(next) =>
            store.change(
              [{ op: 'replace', path: `/color/sources/items/${id}/name`, value: next }],
              `color ${next}`,
            )
          }
        />
        <ColorField
          label={`Value of ${name}`}
          hideLabel
          value={value}
          wide={wide}
          onChange={setValue}
        >
          <OnDisplay name={name} hex={value} onSnap={(next) => setValue(next)} />
        </ColorField>
        {removable && (
          <button
            type="button"
            className="grid h-7 w-6 place-items-center text-quiet hover:text-base-content"
            aria-label={`Remove ${name}`}
            title={`Remove ${name}: no role uses it`}
            onClick={() =>
              store.change(
                removing('/color/sources', store.state().decided.document.color.sources, id),
                `without ${name}`,
              )
            }
          >
            <X size={13} aria-hidden />
          </button>
        )}
      </div>
      <RampBands id={id} />
      <p className="flex items-center gap-x-3 text-xs @max-[20rem]:flex-wrap">
        <button
          type="button"
          className="act text-xs whitespace-nowrap"
          aria-expanded={isRampOpen}
          onClick={() => onRamp(id)}
        >
          {isRampOpen ? 'Close the ramp' : 'Adjust the ramp'}
          <span className="sr-only"> of {name}</span>
        </button>
        <button
          type="button"
          className="act text-xs whitespace-nowrap"
          aria-expanded={isRelatedOpen}
          onClick={() => onRelated(id)}
        >
          Related colors
          <span className="sr-only"> of {name}</span>
        </button>
        {others.length > 1 && (
          <TrySelect
            aria-label={`Merge ${name} into`}
            className="select bare w-24 text-xs text-quiet"
            value=""
            onChange={({ currentTarget: { value: into } }) => {
              const { color } = store.state().decided.document;
              if (into !== '') store.change(mergeSources(color, id, into), `${name} merged`);
            }}
          >
            <option value="">merge into …</option>
            {others
              .filter(([other]) => other !== id)
              .map(([other, called]) => (
                <option key={other} value={other}>
                  {called}
                </option>
              ))}
          </TrySelect>
        )}
        <span className="w-0 grow truncate text-end text-quiet">
          <ColorName value={value} />
        </span>
      </p>
      {isRampOpen && (
        <RampEditor
          id={id}
          name={name}
          path={`/color/sources/items/${id}/ramp`}
          decided={shape as Partial<RampShape> | undefined}
          usual={USUAL_SHAPE}
          source={value}
        />
      )}
      {isRelatedOpen && <Related name={name} value={value} />}
    </div>
  );
});

/** The colors that everything comes from, each with its ramp, and the neutrals they tint. */
export const Sources = memo(function Sources() {
  const store = useStore();
  const decided = useDecided(['color']);
  const [open, setOpen] = useState<string>();
  const [related, setRelated] = useState<string>();
  const toggleRamp = useCallback(
    (id: string) => setOpen((before) => (before === id ? undefined : id)),
    [],
  );
  const toggleRelated = useCallback(
    (id: string) => setRelated((before) => (before === id ? undefined : id)),
    [],
  );
  const { sources, neutral, roles } = decided.document.color;
  /** The sources that roles or the neutrals are made of. */
  const used = useMemo(() => {
    const paints = inOrder(roles).flatMap(([, { light, dark }]) => [light, dark]);
    const named = paints.map((paint) =>
      paint.kind === 'rung' || paint.kind === 'near'
        ? paint.ramp
        : paint.kind === 'source'
          ? paint.source
          : undefined,
    );
    return new Set([neutral.source, ...named]);
  }, [neutral.source, roles]);

  const add = useCallback(
    (value: Hex, called?: string): void => {
      const all = store.state().decided.document.color.sources;
      const id = `color-${crypto.randomUUID().slice(0, 8)}`;
      const name = called ?? `color ${all.order.length + 1}`;
      store.change(adding('/color/sources', all, id, { name, value }), 'another color');
    },
    [store],
  );

  // The same while no name changes: a row is drawn anew only for its own color.
  const names = inOrder(sources)
    .map(([id, { name }]) => JSON.stringify([id, name]))
    .join('\n');
  const others = useMemo(
    () => names.split('\n').map((line) => JSON.parse(line) as readonly [id: string, name: string]),
    [names],
  );
  return (
    <div className="grid gap-3">
      {inOrder(sources).map(([id, source]) => (
        <Source
          key={id}
          id={id}
          source={source}
          removable={sources.order.length > 1 && !used.has(id)}
          isRampOpen={open === id}
          isRelatedOpen={related === id}
          onRamp={toggleRamp}
          onRelated={toggleRelated}
          others={others}
        />
      ))}
      <button type="button" className="act gap-1 justify-self-start" onClick={() => add(NEW_COLOR)}>
        <Plus size={13} aria-hidden /> Another color
      </button>
      <div data-decision="/color/neutral">
        <div className="mb-1.5 grid grid-cols-[minmax(0,1fr)_7rem_4.5rem] items-end gap-x-3">
          <NameField
            label="neutrals"
            value={neutral.name}
            onChange={(name) =>
              store.change(
                [{ op: 'replace', path: '/color/neutral/name', value: name }],
                `neutrals ${name}`,
              )
            }
          />
          <label className="min-w-0">
            <span className="block text-quiet">tinted by</span>
            <TrySelect
              className="select w-full"
              value={neutral.source}
              onChange={(event) =>
                store.change(
                  [
                    {
                      op: 'replace',
                      path: '/color/neutral/source',
                      value: event.currentTarget.value,
                    },
                  ],
                  'tint of the neutrals',
                )
              }
            >
              {inOrder(sources).map(([id, { name }]) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </TrySelect>
          </label>
          <DecidedNumber
            path="/color/neutral/tint"
            value={neutral.tint}
            factor={0.01}
            name="tint of the neutrals"
            label="tint"
            step={1}
            decimals={0}
            unit="%"
          />
        </div>
        <RampBands id={NEUTRAL} />
        <p className="text-xs">
          <button
            type="button"
            className="act text-xs"
            aria-expanded={open === NEUTRAL}
            onClick={() => setOpen(open === NEUTRAL ? undefined : NEUTRAL)}
          >
            {open === NEUTRAL ? 'Close the ramp' : 'Adjust the ramp'}
            <span className="sr-only"> of {neutral.name}</span>
          </button>
        </p>
        {open === NEUTRAL && (
          <RampEditor
            id={NEUTRAL}
            name={neutral.name}
            path="/color/neutral/ramp"
            decided={neutral.ramp as Partial<RampShape> | undefined}
            usual={NEUTRAL_SHAPE}
          />
        )}
      </div>
    </div>
  );
});
