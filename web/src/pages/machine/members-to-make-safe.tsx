import type { SwitchMap } from '@which-way/core/continuity';
import { safetyStanding } from '@which-way/core/safety';
import { Link } from 'react-router';
import { useNow } from '../../controls/use-now.js';
import { LOOK_AGAIN_MS } from '../../parts/safety/use-safety.js';
import { Notice } from '../../controls/notice.js';
import type { Member } from './use-members.js';
import { MEMBERS_TO_MAKE_SAFE_TEXT } from '@which-way/words/screens/pages/machine/members-to-make-safe';

/** Which switches of a system are not answered for yet, each with the way to its own list; nothing where all are. */
export function MembersToMakeSafe({ members }: { members: readonly Member[] }) {
  const now = useNow(LOOK_AGAIN_MS);
  const open = members.filter(({ map, outOfMachine }) => map !== null && !isSafe(map, outOfMachine, now));
  if (open.length === 0) return null;
  return (
    <Notice look="brick" title={MEMBERS_TO_MAKE_SAFE_TEXT.firstMakeItSafe}>
      {MEMBERS_TO_MAKE_SAFE_TEXT.ohmsAndFingersInsideOnly}{' '}
      {open.map(({ job, name }, at) => (
        <span key={job}>
          {at > 0 && ', '}
          <Link to={`/jobs/${job}/safe`} className="inline-flex min-h-11 items-center underline">
            {name}
          </Link>
        </span>
      ))}
    </Notice>
  );
}

const isSafe = ({ log }: Pick<SwitchMap, 'log'>, outOfMachine: boolean, now: string): boolean =>
  safetyStanding(log, outOfMachine, now).open;
