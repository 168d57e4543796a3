import { blocks } from '../partition/index.js';
import type { Refit } from './refit.js';

/** What a check before power cannot show, whatever is read. */
export interface BlindSpots {
  /** Lugs that some position joins and that no tagged wire goes to: a wire there may lie anywhere. */
  untagged: string[];
  /** Positions that are not known in full: nothing is measured there. */
  unread: string[];
}

/** What the check of what goes back is blind to. */
export function blindSpots({ lugs, wires, positions }: Refit): BlindSpots {
  const wired = new Set(wires.flatMap(({ lug }) => lug ?? []));
  const used = new Set(
    positions.flatMap(({ nets }) => (nets ? blocks(nets).filter((net) => net.length > 1) : []).flat()),
  );
  return {
    untagged: lugs.filter((_, lug) => used.has(lug) && !wired.has(lug)),
    unread: positions.filter(({ nets, setting }) => !nets && setting !== null).map(({ name }) => name),
  };
}

/** Whether there is something that a check cannot show. */
export const isBlind = (refit: Refit): boolean => {
  const { untagged, unread } = blindSpots(refit);
  return untagged.length + unread.length > 0;
};
