import type { Supply } from '@which-way/core/log';
import type { SupplyId } from '@which-way/core/switch';

/** What may come of two live potentials of one kind that are joined: which of the two it is, nobody has said. */
export function joinedSourcesWords(ids: readonly SupplyId[], supplies: readonly Supply[]): string {
  const direct = supplies.some(({ id, kind }) => ids.includes(id) && kind === '+');
  return direct
    ? 'If they are two batteries, a flat one draws heavy current from the full one. If they are one battery behind two fuses, only a fuse is bypassed.'
    : 'If they are two sources, one feeds back into the other and can kill on the line. If they are one source behind two fuses, pulling one leaves it live.';
}
