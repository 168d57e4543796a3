import type { WorthInputs } from '@which-way/core/log';

/** Nothing said yet. */
export const NO_WORTH: WorthInputs = {
  part: null,
  minutes: null,
  ratePerHour: null,
  postage: null,
  newMachine: null,
  newLife: null,
  lifeLeft: null,
  limit: null,
  dangerous: false,
};
