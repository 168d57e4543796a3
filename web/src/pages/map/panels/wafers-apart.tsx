import { liveEvents } from '@which-way/core/log';
import { spotIn, type TerminalId } from '@which-way/core/switch';
import { useSession } from '../../../job/job-context.js';
import { PlainButton } from '../../../controls/plain-button.js';
import type { Probing } from '../probing/use-probing.js';
import { WAFERS_APART_TEXT } from '@which-way/words/screens/pages/map/panels/wafers-apart';

/** On request: take it that wafers do not touch each other. It stays marked as assumed, and is read at the end. */
export function WafersApart({ probing: { map } }: { probing: Probing }) {
  const session = useSession();
  const { layout, placed, terminals } = map.structure;
  const [made] = liveEvents(map.log, 'assumed').slice(-1);
  if (made)
    return (
      <PlainButton className="mb-2 w-full" onClick={() => session.withdraw(made.id)}>
        {WAFERS_APART_TEXT.wafersAssumedApartTakeIt}
      </PlainButton>
    );
  if (layout.kind !== 'wafers') return null;
  const decks = new Map<number, TerminalId[]>();
  for (const { id, role } of terminals) {
    const spot = role === 'frame' ? null : spotIn(layout, placed, id);
    if (spot?.on === 'wafers') decks.set(spot.deck, [...(decks.get(spot.deck) ?? []), id]);
  }
  const blocks = [...decks.values()].filter((block) => block.length > 0);
  if (blocks.length < 2) return null;
  return (
    <PlainButton
      className="mb-2 w-full"
      title={WAFERS_APART_TEXT.shownAsAssumedNeverCounted}
      onClick={() => session.emit({ kind: 'assumed', assumption: { kind: 'blocks-apart', blocks }, by: '' })}
    >
      {WAFERS_APART_TEXT.assumeThatWafersDoNot}
    </PlainButton>
  );
}
