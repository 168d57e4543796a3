import { ANOTHER_SWITCH_LETTERS } from '@which-way/core/schema';
import { createWriter, recordsOf, type Sister } from '@which-way/core/log';
import { type JobId, type SisterId } from '@which-way/core/switch';
import { useMemo, useState, type FormEvent } from 'react';
import { Link } from 'react-router';
import { toast } from '../../controls/toast.js';
import { api, toldOf } from '../../api/client.js';
import { useJobState, useSession } from '../../job/job-context.js';
import { newId } from '../../job/new-id.js';
import { PlainButton } from '../../controls/plain-button.js';
import { SISTERS_TEXT } from '@which-way/words/screens/pages/intake/sisters';
import { TextInput } from '../../controls/fields/text-input.js';

/** Other switches that control the same thing: any may be the bad one, and each can become a job linked to this one. */
export function Sisters() {
  const log = useJobState((state) => state.map.log);
  const job = useJobState((state) => state.job);
  const session = useSession();
  const sisters = useMemo(() => recordsOf(log, 'sister-noted'), [log]);
  const [text, setText] = useState('');
  const [busy, setBusy] = useState<SisterId | null>(null);
  const note = (sister: Sister) => session.emit({ kind: 'sister-noted', sister });
  const add = (event: FormEvent) => {
    event.preventDefault();
    if (text.trim() === '') return;
    note({ id: newId<SisterId>(), text: text.trim(), job: null, removed: false });
    setText('');
  };
  const makeJob = async (sister: Sister) => {
    if (!job || busy) return;
    setBusy(sister.id);
    try {
      const id = newId<JobId>();
      const title = SISTERS_TEXT.titleOf(sister.text, job.number).slice(0, 120);
      await api.makeJob({ id, title, place: job.place, outOfMachine: false });
      const back: Sister = {
        id: newId<SisterId>(),
        text: `Job ${job.number}: ${job.title}`.slice(0, 200),
        job: job.id,
        removed: false,
      };
      const writer = createWriter({ newId, now: () => new Date().toISOString() });
      await api.postEvents(id, {
        after: 0,
        events: [writer.write([], { kind: 'sister-noted', sister: back })],
      });
      note({ ...sister, job: id });
    } catch (error) {
      const { message, hint } = toldOf(error);
      toast.error(SISTERS_TEXT.noJobWasMade(message), { description: hint });
    } finally {
      setBusy(null);
    }
  };
  return (
    <section aria-label={SISTERS_TEXT.sisterSwitches}>
      <h2 className="text-title font-bold">{SISTERS_TEXT.otherSwitchesThatControlThe}</h2>
      <p className="mt-1 text-quiet">{SISTERS_TEXT.anyOfThemMayBe}</p>
      <ul className="mt-3 grid gap-2">
        {sisters.map((sister) => (
          <li key={sister.id} className="flex flex-wrap items-center gap-3 border-b border-line pb-2">
            <span className="grow font-semibold">{sister.text}</span>
            {sister.job ? (
              <Link to={`/jobs/${sister.job}`} className="flex min-h-12 items-center px-2 underline">
                {SISTERS_TEXT.openItsJob}
              </Link>
            ) : (
              <PlainButton disabled={busy !== null} onClick={() => void makeJob(sister)}>
                {SISTERS_TEXT.makeItAJob}
              </PlainButton>
            )}
            <PlainButton
              look="quiet"
              aria-label={SISTERS_TEXT.remove(sister.text)}
              onClick={() => note({ ...sister, removed: true })}
            >
              {SISTERS_TEXT.remove2}
            </PlainButton>
          </li>
        ))}
      </ul>
      <form onSubmit={add} className="mt-3 flex flex-wrap gap-2">
        <TextInput
          aria-label={SISTERS_TEXT.whereTheOtherSwitchIs}
          placeholder={SISTERS_TEXT.whereAndWhatItDoes}
          value={text}
          maxLength={ANOTHER_SWITCH_LETTERS}
          onChange={(event) => setText(event.target.value)}
          className="grow"
        />
        <PlainButton type="submit">{SISTERS_TEXT.noteIt}</PlainButton>
      </form>
    </section>
  );
}
