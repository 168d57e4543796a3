import { doubtfulActs } from '@which-way/core/planner';
import { useDeferredValue, useMemo } from 'react';
import { useSession } from '../../../job/job-context.js';
import { Notice } from '../../../controls/notice.js';
import { PlainButton } from '../../../controls/plain-button.js';
import type { Probing } from '../probing/use-probing.js';
import { DOUBTFUL_TEXT } from '@which-way/words/screens/pages/map/panels/doubtful';

/** Readings taken with a meter that failed its next check: asked again in one go, or kept by undoing the failed check. */
export function Doubtful({ probing }: { probing: Probing }) {
  const map = useDeferredValue(probing.map);
  const session = useSession();
  const acts = useMemo(() => doubtfulActs(map), [map]);
  if (acts.length === 0) return null;
  const count = map.tape.filter(
    ({ event, standing }) => standing === 'counts' && acts.includes(event.id),
  ).length;
  return (
    <Notice
      look="amber"
      title={count === 1 ? DOUBTFUL_TEXT.oneReadingIsDoubtful : DOUBTFUL_TEXT.readingsAreDoubtful(count)}
    >
      <p>{DOUBTFUL_TEXT.theyWereTakenAfterThe}</p>
      <PlainButton className="mt-2" onClick={() => acts.forEach((id) => session.withdraw(id))}>
        {DOUBTFUL_TEXT.askJustThoseAgain}
      </PlainButton>
      <p className="mt-1 text-small">{DOUBTFUL_TEXT.ifTheCheckItselfWas}</p>
    </Notice>
  );
}
