import { isNote, isUnread, type FoundHazard } from '@which-way/core/machine';
import { hazardWords } from '@which-way/words/machine/hazards';
import type { MachineNames } from '@which-way/words/machine/places';
import { HAZARDS_TEXT } from '@which-way/words/screens/pages/machine/hazards';
import { Notice } from '../../controls/notice.js';
import type { MachineView } from './use-view.js';

/** What meets and hurts nobody: told as a fact. */
const isFact = ({ hazard }: FoundHazard): boolean => 'how' in hazard && isNote(hazard.how);
const isSure = ({ hazard }: FoundHazard): boolean => !('certain' in hazard) || hazard.certain;

/** Whether something of a machine is not known: then nothing can be said to be free of hazards. */
const isPartly = ({ machine, all }: MachineView): boolean =>
  machine.loose.length > 0 ||
  machine.handles.some(isUnread) ||
  (all?.results ?? []).some(({ loads }) => [...loads.values()].some(({ does }) => does === 'not-known'));

/** What can hurt for certain, and what is not known to be safe: the second is told beside the first. */
export function Hazards({ view, names }: { view: MachineView; names: MachineNames }) {
  if (!view.all) return null;
  const facts = view.all.hazards.filter(isFact);
  const hazards = view.all.hazards.filter((one) => !isFact(one));
  const [sure, unsure] = [hazards.filter(isSure), hazards.filter((one) => !isSure(one))];
  // Where nothing is fed, nothing is live.
  if (view.machine.circuit.supplies.length === 0 && view.all.hazards.length === 0) return null;
  const partly = isPartly(view);
  const lines = (list: readonly FoundHazard[]) => (
    <ul className="list-disc pl-5">
      {list.map((one) => {
        const words = hazardWords(one, names);
        return <li key={words}>{words}</li>;
      })}
    </ul>
  );
  return (
    <>
      {sure.length > 0 && (
        <Notice
          look="brick"
          title={sure.length === 1 ? HAZARDS_TEXT.oneThingCanHurt : HAZARDS_TEXT.thingsCanHurt(sure.length)}
        >
          {lines(sure)}
        </Notice>
      )}
      {(unsure.length > 0 || partly) && (
        <Notice look="amber" title={HAZARDS_TEXT.notKnownToBeSafe}>
          {unsure.length > 0 && lines(unsure)}
          {partly && <p>{HAZARDS_TEXT.notAllOfItIs}</p>}
        </Notice>
      )}
      {facts.length > 0 && (
        <Notice look="plain" title={HAZARDS_TEXT.goodToKnow}>
          {lines(facts)}
        </Notice>
      )}
      {sure.length + unsure.length === 0 && !partly && (
        <Notice look="plain" title={HAZARDS_TEXT.noShortAndNothingLive}>
          {HAZARDS_TEXT.asFarAsTheWires}
        </Notice>
      )}
    </>
  );
}
