import { wiresOffOf } from '@which-way/core/log';
import { voltsLeft } from '@which-way/core/safety';
import { Link } from 'react-router';
import { useJobState, useSession } from '../job/job-context.js';
import { Notice } from '../shared/controls/notice.js';
import { PlainButton } from '../shared/controls/plain-button.js';
import { BareEnds } from './bare-ends.js';
import { useSafety } from './use-safety.js';

/** On the Map of a switch that is still in its machine: an old list, and wires that make readings lie. */
export function SafetyWarning() {
  const standing = useSafety();
  const session = useSession();
  const wiresOff = useJobState((state) => wiresOffOf(state.map.log));
  const left = voltsLeft(standing);
  const real = useJobState(({ job }) => job !== null && job.simulation === null);
  if (standing.by === 'out-of-machine') return real ? <BareEnds quietOnceSaid /> : null;
  if (standing.by !== 'list') return null;
  return (
    <>
      {standing.staleHours !== null && (
        <Notice look="amber" title={`The safety list is ${standing.staleHours} hours old`}>
          Is it still isolated? Prove dead again before you go on.{' '}
          <Link to="../safe" relative="path" className="underline">
            To the list
          </Link>
        </Notice>
      )}
      {wiresOff !== true && (
        <Notice look="amber" title="In circuit: the wires are still on">
          <p>
            An open proves apart. A closed proves nothing, since the circuit may be what conducts; it is kept,
            and not counted.
          </p>
          <PlainButton className="mt-2" onClick={() => session.emit({ kind: 'wires-off', off: true })}>
            The wires are off now
          </PlainButton>
        </Notice>
      )}
      {left !== null && left > 0 && (
        <p className="text-amber-ink">
          {left} V were left in it: read ohms both ways round, and take a difference as doubtful.
        </p>
      )}
      {wiresOff === true && <BareEnds quietOnceSaid />}
      <PlainButton look="quiet" onClick={() => session.emit({ kind: 're-energised', reason: '' })}>
        It had power again
      </PlainButton>
    </>
  );
}
