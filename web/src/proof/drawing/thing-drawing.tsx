import { ownVariantsOf } from '@garnish/core/derive/own-variants';
import type { Derived } from '@garnish/core/derive/derived';
import type { Moved } from '@garnish/core/drawings/placing';
import type { SheetBlock } from '@garnish/core/formats/sheet';
import { variantsOf } from '@garnish/core/proof/specimens';
import type { Mode, StyleDocument } from '@garnish/core/system/document';
import { labelsMoved } from '@garnish/core/system/label-places';
import { useMemo, useState } from 'react';
import { Choice } from '../../ui/choice.tsx';
import type { DrawableThing } from './drawable.ts';
import type { Drawn } from './make-drawing.ts';
import { Specification } from './specification.tsx';
import { componentSubject, sectionSubject, type Subject } from './subject.ts';

/** What is drawn is drawn of this. */
export interface Made {
  readonly document: StyleDocument;
  readonly derived: Derived;
  readonly sheet: readonly SheetBlock[];
}

/** The subjects of a thing: each variant of a component, or the section; by the id of the variant. */
export function subjectsOf(
  { of }: Pick<DrawableThing, 'of'>,
  { document, derived }: Pick<Made, 'document' | 'derived'>,
): readonly { readonly id: string; readonly name: string; readonly subject: Subject }[] {
  if (of.kind === 'component')
    return variantsOf(of.component, ownVariantsOf(document.components)).map((variant) => ({
      id: variant.id,
      name: variant.name,
      subject: componentSubject(of.component, variant, derived),
    }));
  const subject = sectionSubject(of.section, document, derived);
  return subject ? [{ id: '', name: of.section.name, subject }] : [];
}

interface ThingDrawingProps {
  readonly thing: DrawableThing;
  /** The variant of a component, by its id; the first one where there is no such. */
  readonly variant: string | undefined;
  readonly onVariant: (id: string) => void;
  readonly made: Made;
  readonly theme: Mode;
  /** Moves a label of a drawing; nobody does where absent. */
  readonly onMove?: (drawing: string, measure: string, to: Moved) => void;
}

/** A component of a system, drawn variant by variant, or a section of a page. */
export function ThingDrawing(props: ThingDrawingProps) {
  const { thing, variant: wanted, onVariant, made, theme, onMove } = props;
  const { document, derived, sheet } = made;
  const { name, components } = document;
  const [screenPx, setScreen] = useState<number>(720);
  const subjects = useMemo(
    () => subjectsOf(thing, { document, derived }),
    [thing, document, derived],
  );
  const { id, subject } = subjects.find((one) => one.id === wanted) ?? subjects[0] ?? {};
  const drawn = useMemo(
    (): Drawn | undefined => subject && { system: name, derived, sheet, subject, theme, screenPx },
    [subject, name, derived, sheet, theme, screenPx],
  );
  const moved = useMemo(
    () => labelsMoved(components.labels, subject?.id ?? ''),
    [components.labels, subject?.id],
  );
  if (!subject || !drawn || id === undefined)
    return <p className="text-quiet">There is nothing of it to be drawn.</p>;
  return (
    <>
      {subjects.length > 1 && (
        <div className="mb-1">
          <Choice
            label="Variant"
            options={subjects.map((one) => ({ value: one.id, name: one.name }))}
            value={id}
            onChange={onVariant}
          />
        </div>
      )}
      <Specification
        drawn={drawn}
        moved={moved}
        screenPx={screenPx}
        onScreen={setScreen}
        {...(onMove && {
          onMove: (measure: string, to: Moved) => onMove(subject.id, measure, to),
        })}
      />
    </>
  );
}
