import { recordsOf } from '@which-way/core/log';
import { voltsLeft } from '@which-way/core/safety';
import { Link } from 'react-router';
import { useJobState, useSession } from '../../../job/job-context.js';
import { Notice } from '../../../controls/notice.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { useSafety } from '../../../parts/safety/use-safety.js';
import { SAFETY_WARNING_TEXT } from '@which-way/words/screens/pages/map/panels/safety-warning';

/** On the Map of a switch that is still in its machine: an old list, and wires that make readings lie. */
export function SafetyWarning() {
  const standing = useSafety();
  const session = useSession();
  const wiresOff = useJobState((state) => recordsOf(state.map.log, 'wires-off'));
  const left = voltsLeft(standing);
  if (standing.by !== 'list') return null;
  return (
    <>
      {standing.staleHours !== null && (
        <Notice look="amber" title={SAFETY_WARNING_TEXT.theSafetyListIsHours(standing.staleHours)}>
          {SAFETY_WARNING_TEXT.isItStillIsolatedProve}{' '}
          <Link to="../safe" relative="path" className="underline">
            {SAFETY_WARNING_TEXT.toTheList}
          </Link>
        </Notice>
      )}
      {wiresOff !== true && (
        <Notice look="amber" title={SAFETY_WARNING_TEXT.inCircuitTheWiresAre}>
          <p>{SAFETY_WARNING_TEXT.anOpenProvesApartA}</p>
          <PlainButton className="mt-2" onClick={() => session.emit({ kind: 'wires-off', off: true })}>
            {SAFETY_WARNING_TEXT.theWiresAreOffNow}
          </PlainButton>
        </Notice>
      )}
      {left !== null && left > 0 && (
        <p className="text-amber-ink">
          {left}
          {SAFETY_WARNING_TEXT.vWereLeftInIt}
        </p>
      )}
      <PlainButton look="quiet" onClick={() => session.emit({ kind: 're-energised', reason: '' })}>
        {SAFETY_WARNING_TEXT.itHadPowerAgain}
      </PlainButton>
    </>
  );
}
