import type { JobSummary } from '@which-way/contract';
import { TITLE_LETTERS } from '@which-way/core/schema';
import type { JobId } from '@which-way/core/switch';
import { DOORS_TEXT } from '@which-way/words/screens/pages/bench/doors';
import { useState, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, toldOf } from '../../api/client.js';
import { DialogPanel } from '../../controls/dialog-panel.js';
import { TextInput } from '../../controls/fields/text-input.js';
import { Notice } from '../../controls/notice.js';
import { PlainButton } from '../../controls/plain-button.js';
import { newId } from '../../job/new-id.js';

interface DoorsProps {
  jobs: readonly JobSummary[];
  onMap: () => void;
}

/** The three ways in, each with what it is for; and a first try without a switch. */
export function Doors({ jobs, onMap }: DoorsProps) {
  const [door, setDoor] = useState<'path' | 'compare' | null>(null);
  const close = () => setDoor(null);
  return (
    <section aria-label={DOORS_TEXT.waysIn} className="pt-5">
      <div className="grid gap-3 sm:grid-cols-2 sm:gap-4 lg:grid-cols-[4fr_3fr_3fr]">
        <Door strong name={DOORS_TEXT.map} about={DOORS_TEXT.mapAbout} onOpen={onMap}>
          <kbd className="font-mono text-small font-normal text-on-enamel-quiet max-sm:hidden">N</kbd>
        </Door>
        <Door name={DOORS_TEXT.path} about={DOORS_TEXT.pathAbout} onOpen={() => setDoor('path')} />
        <Door name={DOORS_TEXT.compare} about={DOORS_TEXT.compareAbout} onOpen={() => setDoor('compare')} />
      </div>
      <p className="mt-2 text-quiet">
        {DOORS_TEXT.firstTime}
        <Link to="/practice" className="inline-flex min-h-11 items-center font-semibold text-ink underline">
          {DOORS_TEXT.practise}
        </Link>
      </p>
      <DialogPanel
        open={door !== null}
        onOpenChange={close}
        title={door === 'compare' ? DOORS_TEXT.compare : DOORS_TEXT.path}
      >
        {door === 'compare' ? <ToCompare jobs={jobs} /> : <ToPath onClose={close} />}
      </DialogPanel>
    </section>
  );
}

interface DoorProps {
  name: string;
  about: string;
  strong?: boolean;
  onOpen: () => void;
  children?: ReactNode;
}

const Door = ({ name, about, strong = false, onOpen, children }: DoorProps) => (
  <button
    type="button"
    onClick={onOpen}
    className={`flex min-h-14 flex-col items-start rounded-part border-2 px-5 py-3 text-left ${
      strong
        ? 'border-enamel bg-enamel text-on-enamel hover:bg-enamel-lift sm:max-lg:col-span-2 dark:border-brass'
        : 'border-edge bg-sheet hover:border-ink'
    }`}
  >
    <span className="flex w-full items-baseline justify-between gap-3 text-large leading-tight font-bold sm:text-[1.5rem]">
      {name}
      {children}
    </span>
    <span className="max-sm:text-small">{about}</span>
  </button>
);

/** A job for the way from plug to load, with nothing said of its switch yet. */
function ToPath({ onClose }: { onClose: () => void }) {
  const navigate = useNavigate();
  const [title, setTitle] = useState('');
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<{ message: string; hint: string } | null>(null);
  const start = async () => {
    setBusy(true);
    const id = newId<JobId>();
    try {
      const name = title.trim() || DOORS_TEXT.untitled;
      await api.makeJob({ id, title: name, outOfMachine: false, simulation: null });
      navigate(`/jobs/${id}/tag/path`);
    } catch (error) {
      setTrouble(toldOf(error));
      setBusy(false);
    }
  };
  return (
    <form
      className="mt-4 grid gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        void start();
      }}
    >
      <label>
        {DOORS_TEXT.whatMachine}
        <span className="text-quiet">{DOORS_TEXT.optional}</span>
        <TextInput
          autoFocus
          value={title}
          maxLength={TITLE_LETTERS}
          placeholder={DOORS_TEXT.machineExample}
          onChange={({ target }) => setTitle(target.value)}
          className="mt-1 min-h-14 w-full text-large"
        />
      </label>
      {trouble && (
        <Notice look="brick" title={trouble.message}>
          {trouble.hint}
        </Notice>
      )}
      <div className="flex gap-3">
        <PlainButton type="submit" look="strong" disabled={busy} className="min-h-14 grow text-large">
          {DOORS_TEXT.start}
        </PlainButton>
        <PlainButton onClick={onClose}>{DOORS_TEXT.cancel}</PlainButton>
      </div>
    </form>
  );
}

/** Which mapped switch another one is measured beside. */
function ToCompare({ jobs }: { jobs: readonly JobSummary[] }) {
  const mapped = jobs.filter(({ about, route }) => about === 'switch' && route?.done.map);
  if (mapped.length === 0) return <p className="mt-4">{DOORS_TEXT.noneMapped}</p>;
  return (
    <div className="mt-4 grid gap-2">
      <p>{DOORS_TEXT.compareWith}</p>
      <ul className="max-h-[50dvh] overflow-y-auto">
        {mapped.map(({ id, number, title }) => (
          <li key={id} className="border-b border-line">
            <Link
              to={`/jobs/${id}/verify#compare`}
              className="flex min-h-12 items-center gap-4 px-2 font-semibold hover:bg-paper"
            >
              <span className="w-8 font-mono text-quiet">{number}</span>
              {title}
            </Link>
          </li>
        ))}
      </ul>
    </div>
  );
}
