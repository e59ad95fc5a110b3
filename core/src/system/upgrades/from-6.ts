import { same, type UpgradeStep } from './upgrade-step.ts';

/** Components have a manner; those of older systems were filled, and told their states by shades. */
export const from6: UpgradeStep = {
  document: (document) => ({
    ...document,
    components: { manner: { surface: 'filled', states: 'shade' }, departures: {} },
  }),
  operation: same,
};
