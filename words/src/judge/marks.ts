import type { StandingMark } from '@which-way/core/log';
import type { Structure } from '@which-way/core/switch';
import { plural } from '../plural.js';
import { settingName, terminalName } from '../terminals.js';

/** Where a mark should be and is. */
export function markWords(structure: Structure, mark: StandingMark): string {
  if (mark.of === 'lug') {
    const [should, is] = [mark.should, mark.is].map((id) => terminalName(structure, id));
    return should === is
      ? `The mark on the contacts is at lug ${is}, where it should be.`
      : `The mark on the contacts should be at lug ${should}; it is at lug ${is}.`;
  }
  const [should, is] = [mark.should, mark.is].map((id) => settingName(structure, id));
  return should === is
    ? `The stop or flat of the handle is at ${is}, where it should be.`
    : `The stop or flat of the handle should be at ${should}; it is at ${is}.`;
}

/** What the marks that were looked at come to. */
export function marksResultWords({
  said,
  ruledOut,
  noneFits,
}: {
  said: number;
  ruledOut: number;
  noneFits: boolean;
}): string {
  if (said === 0) return 'can tell these causes apart';
  if (noneFits) return 'no listed cause fits them: look again';
  return ruledOut === 0 ? 'fit every cause listed' : `rule out ${plural(ruledOut, 'cause')}`;
}
