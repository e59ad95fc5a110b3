import { changed, isRaw, same, type Raw, type UpgradeStep } from './upgrade-step.ts';

/** Zooms up to so many per cent were assumed before they were decided. */
const ZOOM = 500;

export const from4: UpgradeStep = {
  document: (document) =>
    changed(document, ['brief'], (brief) =>
      isRaw(brief) ? { ...brief, zoom: ZOOM } : brief,
    ) as Raw,
  operation: same,
};
