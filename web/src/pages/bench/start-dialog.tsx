import type { ActuatorForm } from '@which-way/core/switch';
import { TITLE_LETTERS } from '@which-way/core/schema';
import { lazy, Suspense, useState, type FormEvent } from 'react';
import { useNavigate } from 'react-router';
import { api, toldOf } from '../../api/client.js';
import { DialogPanel } from '../../controls/dialog-panel.js';
import { Notice } from '../../controls/notice.js';
import { untilItComes } from '../../controls/patiently.js';
import { PlainButton } from '../../controls/plain-button.js';
import { FormPictures } from '../../parts/drawings/form-pictures.js';
import { readStart } from './start-form.js';
import { START_DIALOG_TEXT } from '@which-way/words/screens/pages/bench/start-dialog';
import { TextInput } from '../../controls/fields/text-input.js';

/** Asks the least that is needed to begin: how many terminals, how many positions if known, and out of the machine or not. */
export function StartDialog({
  open,
  onOpenChange,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
}) {
  return (
    <DialogPanel open={open} onOpenChange={onOpenChange} title={START_DIALOG_TEXT.mapASwitchNow}>
      <StartForm onClose={() => onOpenChange(false)} />
    </DialogPanel>
  );
}

const makingJobs = () => import('../../parts/begin/make-job.js');

/** Only a simulated switch is chosen from the library. */
const LibrarySelect = lazy(async () => ({
  default: (await untilItComes(() => import('../../controls/fields/library-select.js'))).LibrarySelect,
}));

function StartForm({ onClose }: { onClose: () => void }) {
  const navigate = useNavigate();
  const [simulated, setSimulated] = useState(false);
  const [terminals, setTerminals] = useState('');
  const [positions, setPositions] = useState('?');
  const [title, setTitle] = useState('');
  const [form, setForm] = useState<ActuatorForm | null>(null);
  const [entry, setEntry] = useState('');
  const [seed, setSeed] = useState('1');
  const [trouble, setTrouble] = useState<{ message: string; hint: string } | null>(null);
  const [busy, setBusy] = useState(false);

  const start = async (outOfMachine: boolean) => {
    setTrouble(null);
    try {
      const known = simulated && entry !== '' ? await api.entry(entry) : undefined;
      const read = readStart({ terminals, positions, seed, simulated, known });
      if (!read.ok) return setTrouble(read);
      setBusy(true);
      // What a job is made of is loaded while the person looks for the keys.
      const { makeJob } = await makingJobs();
      navigate(await makeJob({ ...read, title: title.trim(), known, outOfMachine, form }));
    } catch (error) {
      setTrouble(toldOf(error));
      setBusy(false);
    }
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void start(true);
  };

  return (
    <form onSubmit={submit} noValidate className="mt-4 grid gap-4">
      {simulated ? (
        <SimulatedChoice {...{ entry, setEntry, seed, setSeed }} />
      ) : (
        <label>
          {START_DIALOG_TEXT.howManyTerminals}
          <TextInput
            autoFocus
            inputMode="numeric"
            autoComplete="off"
            value={terminals}
            onChange={(event) => setTerminals(event.target.value)}
            className="mt-1 min-h-14 w-full text-large"
          />
          <span className="text-small text-quiet">{START_DIALOG_TEXT.markOneLugWithA}</span>
        </label>
      )}
      <label>
        {START_DIALOG_TEXT.howManyPositions}
        <TextInput
          value={positions}
          autoComplete="off"
          onChange={(event) => setPositions(event.target.value)}
          className="mt-1 min-h-14 w-full text-large"
        />
        <span className="text-small text-quiet">{START_DIALOG_TEXT.isAnAnswerTheyAre}</span>
      </label>
      {!simulated && <FormPictures chosen={form} onChoose={setForm} />}
      <label>
        {START_DIALOG_TEXT.whatIsIt}
        <span className="text-quiet">{START_DIALOG_TEXT.canWait}</span>
        <TextInput
          value={title}
          maxLength={TITLE_LETTERS}
          onChange={(event) => setTitle(event.target.value)}
          className="mt-1 min-h-14 w-full text-large"
        />
      </label>
      {trouble && (
        <Notice look="brick" title={trouble.message}>
          {trouble.hint}
        </Notice>
      )}
      <div className="flex flex-wrap gap-3">
        <PlainButton type="submit" look="strong" disabled={busy} className="min-h-16 grow text-large">
          {simulated ? START_DIALOG_TEXT.startWithTheSimulatedSwitch : START_DIALOG_TEXT.itIsOutOfThe}
        </PlainButton>
        {!simulated && (
          <PlainButton disabled={busy} onClick={() => void start(false)} className="min-h-16">
            {START_DIALOG_TEXT.itIsStillInThe}
          </PlainButton>
        )}
      </div>
      <div className="flex flex-wrap justify-between gap-3 border-t border-line pt-3">
        <PlainButton look="quiet" onClick={() => setSimulated(!simulated)}>
          {simulated ? START_DIALOG_TEXT.iHaveASwitchIn : START_DIALOG_TEXT.noSwitchAtHandTry}
        </PlainButton>
        <PlainButton look="quiet" onClick={onClose}>
          {START_DIALOG_TEXT.close}
        </PlainButton>
      </div>
    </form>
  );
}

interface SimulatedChoiceProps {
  entry: string;
  setEntry: (id: string) => void;
  seed: string;
  setSeed: (seed: string) => void;
}

function SimulatedChoice({ entry, setEntry, seed, setSeed }: SimulatedChoiceProps) {
  return (
    <div className="grid gap-4 sm:grid-cols-[1fr_8rem]">
      <div>
        <Suspense>
          <LibrarySelect
            label={START_DIALOG_TEXT.wiredLike}
            autoFocus
            sized
            large
            value={entry}
            onChange={setEntry}
            placeholder={START_DIALOG_TEXT.chooseOneOfTheLibrary}
          />
        </Suspense>
        <span className="text-small text-quiet">{START_DIALOG_TEXT.itsTerminalsAreMixedUp}</span>
      </div>
      <label>
        {START_DIALOG_TEXT.seed}
        <TextInput
          value={seed}
          inputMode="numeric"
          onChange={(event) => setSeed(event.target.value)}
          className="mt-1 min-h-14 w-full text-large"
        />
        <span className="text-small text-quiet">{START_DIALOG_TEXT.anotherNumberAnotherMix}</span>
      </label>
    </div>
  );
}
