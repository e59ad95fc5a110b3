import { adding, collectionOf, removing } from './collection.ts';
import { inOrder, type StyleDocument } from './document.ts';
import { jsonOf, type Patch } from './patch.ts';

export type LabelPlaces = StyleDocument['components']['labels'];

/** How far a label of a drawing was moved from its place, in px of the drawing. */
export interface LabelPlace {
  /** What is drawn: a variant of a component, or a section of a page. */
  readonly drawing: string;
  /** The measure that it is of. */
  readonly measure: string;
  readonly x: number;
  readonly y: number;
}

/** A drawn variant of a component, as it is kept with places of labels. */
export const drawingName = (component: string, variant: string): string =>
  `${component} ${variant}`;

/** The same of a section of a page. */
export const sectionDrawing = (page: string, section: string): string =>
  drawingName(`page/${page}`, section);

/** The places of labels of a drawing that were chosen by hand, by their measures. */
export const labelsMoved = (
  labels: LabelPlaces,
  drawing: string,
): ReadonlyMap<string, Pick<LabelPlace, 'x' | 'y'>> =>
  new Map(
    labels &&
      inOrder(labels).flatMap(([, { x, y, ...of }]) =>
        of.drawing === drawing ? [[of.measure, { x, y }]] : [],
      ),
  );

/**
 * The change that moves a label, or lets it go back to its own place, where it is moved by nothing.
 * @param newId makes an id for a label that was not moved before
 */
export function movingLabel(
  labels: LabelPlaces,
  { drawing, measure, x, y }: LabelPlace,
  newId: () => string,
): Patch {
  const at = '/components/labels';
  const place = { drawing, measure, x: Math.round(x), y: Math.round(y) };
  const isBack = place.x === 0 && place.y === 0;
  if (!labels)
    return isBack
      ? []
      : [
          {
            op: 'add',
            path: at,
            value: jsonOf(collectionOf([[newId(), place] as const])),
          },
        ];
  const there = inOrder(labels).find(
    ([, one]) => one.drawing === drawing && one.measure === measure,
  );
  if (!there) return isBack ? [] : adding(at, labels, newId(), place);
  if (isBack) return removing(at, labels, there[0]);
  return [{ op: 'replace', path: `${at}/items/${there[0]}`, value: jsonOf(place) }];
}
