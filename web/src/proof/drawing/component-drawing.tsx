import { COMPONENTS } from '@garnish/core/components/components';
import { GROUPS, type Component } from '@garnish/core/components/component';
import { ownVariantsOf } from '@garnish/core/derive/own-variants';
import type { Derived } from '@garnish/core/derive/derived';
import type { Moved } from '@garnish/core/drawings/placing';
import type { SheetBlock } from '@garnish/core/formats/sheet';
import { variantsOf } from '@garnish/core/proof/specimens';
import type { Mode, StyleDocument } from '@garnish/core/system/document';
import { drawingName, labelsMoved } from '@garnish/core/system/label-places';
import { useMemo, useState } from 'react';
import { Choice } from '../../ui/choice.tsx';
import type { Drawn } from './make-drawing.ts';
import { Specification } from './specification.tsx';

/** The components that can be drawn, in their order. */
export const DRAWABLE: readonly Component[] = GROUPS.flatMap(([group]) =>
  COMPONENTS.filter((one) => one.group === group && (one.variants ?? []).length > 0),
);

/** How much a component has for itself at most, in px. */
export const ROOM_PX = 360;

interface ComponentDrawingProps {
  readonly component: Component;
  /** The variant, by its id; the first one where there is no such. */
  readonly variant: string | undefined;
  readonly onVariant: (id: string) => void;
  readonly made: {
    readonly document: StyleDocument;
    readonly derived: Derived;
    readonly sheet: readonly SheetBlock[];
  };
  readonly theme: Mode;
  /** Moves a label of a drawing; nobody does where absent. */
  readonly onMove?: (drawing: string, measure: string, to: Moved) => void;
}

/** A component of a system, drawn variant by variant. */
export function ComponentDrawing(props: ComponentDrawingProps) {
  const { component, variant: wanted, onVariant, made, theme, onMove } = props;
  const { document, derived, sheet } = made;
  const { name, components } = document;
  const [screenPx, setScreen] = useState<number>(720);
  const variants = useMemo(
    () => variantsOf(component, ownVariantsOf(components)),
    [component, components],
  );
  const variant = variants.find(({ id }) => id === wanted) ?? variants[0];
  const drawn = useMemo(
    (): Drawn | undefined =>
      variant && {
        system: name,
        derived,
        sheet,
        component,
        variant,
        theme,
        screenPx,
        roomPx: Math.min(ROOM_PX, screenPx),
      },
    [component, variant, name, derived, sheet, theme, screenPx],
  );
  const drawing = drawingName(component.id, variant?.id ?? '');
  const moved = useMemo(
    () => labelsMoved(components.labels, drawing),
    [components.labels, drawing],
  );
  if (!variant || !drawn) return <p className="text-quiet">There is nothing of it to be drawn.</p>;
  return (
    <>
      {variants.length > 1 && (
        <div className="mb-1">
          <Choice
            label="Variant"
            options={variants.map(({ id, name: called }) => ({ value: id, name: called }))}
            value={variant.id}
            onChange={onVariant}
          />
        </div>
      )}
      <Specification
        drawn={drawn}
        moved={moved}
        fileName={`${component.id}-${variant.id}`}
        screenPx={screenPx}
        onScreen={setScreen}
        {...(onMove && {
          onMove: (measure: string, to: Moved) => onMove(drawing, measure, to),
        })}
      />
    </>
  );
}
