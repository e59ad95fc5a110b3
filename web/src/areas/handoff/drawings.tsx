import { COMPONENTS } from '@garnish/core/components/components';
import { GROUPS } from '@garnish/core/components/component';
import { ownVariantsOf } from '@garnish/core/derive/own-variants';
import { variantsOf } from '@garnish/core/proof/specimens';
import { drawingName, labelsMoved, movingLabel } from '@garnish/core/system/label-places';
import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { Specification } from '../../proof/drawing/specification.tsx';
import type { Drawn } from '../../proof/drawing/make-drawing.ts';
import { useProofTheme } from '../../system/proof-theme.ts';
import { useStore, useSystemLater } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { Choice } from '../../ui/choice.tsx';

const DRAWABLE = COMPONENTS.filter(({ variants = [] }) => variants.length > 0);
/** How much a component has for itself at most, in px. */
const ROOM_PX = 360;

/** Components, drawn with their measures. */
export function Drawings() {
  const store = useStore();
  const theme = useProofTheme();
  const [parameters, setParameters] = useSearchParams();
  const { document, derived, sheet } = useSystemLater(({ decided }) => decided);
  const [screenPx, setScreen] = useState<number>(720);
  const component =
    DRAWABLE.find(({ id }) => id === parameters.get('component')) ??
    DRAWABLE.find(({ id }) => id === 'card') ??
    DRAWABLE[0];
  const variants = useMemo(
    () => (component ? variantsOf(component, ownVariantsOf(document.components)) : []),
    [component, document.components],
  );
  const variant = variants.find(({ id }) => id === parameters.get('variant')) ?? variants[0];
  const { name, components } = document;
  const drawn = useMemo((): Drawn | undefined => {
    if (!component || !variant) return undefined;
    return {
      system: name,
      derived,
      sheet,
      component,
      variant,
      theme,
      screenPx,
      roomPx: Math.min(ROOM_PX, screenPx),
    };
  }, [component, variant, name, derived, sheet, theme, screenPx]);
  const drawing = component && variant && drawingName(component.id, variant.id);
  const moved = useMemo(
    () => labelsMoved(components.labels, drawing ?? ''),
    [components.labels, drawing],
  );
  const choose = (next: Readonly<Record<string, string>>): void =>
    setParameters({ view: 'drawings', ...next });
  if (!component || !variant || !drawn || drawing === undefined)
    return <p className="p-4 text-quiet">There is no component to be drawn.</p>;
  return (
    <Section
      full
      title="Drawings"
      aside={
        <label className="flex items-baseline gap-x-2">
          component
          <select
            className="min-h-7 border-b border-line-strong bg-transparent"
            value={component.id}
            onChange={({ target }) => choose({ component: target.value })}
          >
            {GROUPS.map(([group, words]) => (
              <optgroup key={group} label={words}>
                {DRAWABLE.filter((one) => one.group === group).map(({ id, name: called }) => (
                  <option key={id} value={id}>
                    {called}
                  </option>
                ))}
              </optgroup>
            ))}
          </select>
        </label>
      }
    >
      {variants.length > 1 && (
        <div className="mb-1">
          <Choice
            label="Variant"
            options={variants.map(({ id, name: called }) => ({ value: id, name: called }))}
            value={variant.id}
            onChange={(id) => choose({ component: component.id, variant: id })}
          />
        </div>
      )}
      <Specification
        drawn={drawn}
        moved={moved}
        fileName={`${component.id}-${variant.id}`}
        screenPx={screenPx}
        onScreen={setScreen}
        onMove={(measure, { x, y }) => {
          const now = store.state().decided.document.components.labels;
          const patch = movingLabel(
            now,
            { drawing, measure, x, y },
            () => `label-${crypto.randomUUID().slice(0, 13)}`,
          );
          if (patch.length > 0) store.change(patch, `label of ${measure}`.slice(0, 120));
        }}
      />
    </Section>
  );
}
