import type { Json, Operation } from '../patch.ts';
import { changed, isRaw, type Raw, type UpgradeStep } from './upgrade-step.ts';

/** Labels may have a face of their own; until they do they are set in that of the headings. */
const labelFace = (face: unknown): unknown => (face === 'heading' ? 'label' : face);

const inOrder = (anchors: Raw): Raw => ({ order: Object.keys(anchors), items: anchors });

/** Anchors may be more than two, and so stand by their id in an order. */
const anchorsInOrder = (type: unknown): unknown =>
  isRaw(type) && isRaw(type['anchors'])
    ? { ...type, anchors: inOrder(type['anchors']), scale: 'one ratio', rounding: 'none' }
    : type;

/** What was assumed of lines before it was decided. */
const LINE = { from: 30, to: 75 };

const LABEL_FACE = '/type/roles/items/label/face';

function operation(given: Operation): Operation {
  const path = given.path.replace(
    /^\/type\/anchors\/(narrow|wide)(?=\/|$)/,
    '/type/anchors/items/$1',
  );
  if (given.op === 'remove') return { ...given, path };
  const { value } = given;
  if (path === LABEL_FACE) return { ...given, path, value: labelFace(value) as Json };
  if (path === '/type/anchors' && isRaw(value) && !Object.hasOwn(value, 'order'))
    return { ...given, path, value: inOrder(value) as Json };
  return { ...given, path };
}

export const from1: UpgradeStep = {
  document(document) {
    const labels = changed(document, LABEL_FACE.split('/').slice(1), labelFace);
    const anchors = changed(labels, ['type'], anchorsInOrder);
    return changed(anchors, ['brief'], (brief) =>
      isRaw(brief) ? { ...brief, line: LINE } : brief,
    ) as Raw;
  },
  operation,
};
