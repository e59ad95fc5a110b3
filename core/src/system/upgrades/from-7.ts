import type { Json } from '../json.ts';
import { isRaw, ordered, type Raw, type UpgradeStep } from './upgrade-step.ts';

const FROM = '/shape/icon';

/** What was decided of icons was two numbers of the shape; further sizes and icons of one's own came later. */
const iconsOf = (icon: unknown): Raw => ({
  size: 1.25,
  stroke: 1.5,
  ...(isRaw(icon) && icon),
  sizes: ordered([]),
  named: ordered([]),
});

const withoutIcon = (shape: unknown): unknown => {
  if (!isRaw(shape)) return shape;
  const { icon: _icon, ...rest } = shape;
  return rest;
};

/** Icons became a part of their own. */
export const from7: UpgradeStep = {
  document: (document) => ({
    ...document,
    shape: withoutIcon(document['shape']),
    icons: iconsOf(isRaw(document['shape']) ? document['shape']['icon'] : undefined),
  }),
  operation(operation) {
    const { path } = operation;
    if (path === FROM && 'value' in operation)
      return { ...operation, path: '/icons', value: iconsOf(operation.value) as Json };
    if (path.startsWith(`${FROM}/`))
      return { ...operation, path: `/icons${path.slice(FROM.length)}` };
    return path === '/shape' && 'value' in operation
      ? { ...operation, value: withoutIcon(operation.value) as Json }
      : operation;
  },
};
