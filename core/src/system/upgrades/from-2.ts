import { changed, isRaw, ordered, same, type Raw, type UpgradeStep } from './upgrade-step.ts';

/** Gradients and veils came later: an older system has none. */
export const from2: UpgradeStep = {
  document: (document) =>
    changed(document, ['color'], (color) =>
      isRaw(color) ? { ...color, gradients: ordered([]), veils: ordered([]) } : color,
    ) as Raw,
  operation: same,
};
