import { createWriter } from '@which-way/core/log';
import { simulateKnown } from '@which-way/core/simulated';
import { describeSwitch, type ActuatorForm, type JobId, type KnownSwitch } from '@which-way/core/switch';
import { api } from '../../api/client.js';
import { newId } from '../../job/new-id.js';
import { MAKE_JOB_TEXT } from '@which-way/words/screens/parts/begin/make-job';

/** A job as it is begun. */
interface Start {
  terminals: number;
  positions: number | null;
  seed: number;
  title: string;
  known: KnownSwitch | undefined;
  outOfMachine: boolean;
  /** What the hand moves, where it was said; of a simulated switch it is its own. */
  form: ActuatorForm | null;
}

/** Puts a new job on the bench with its switch described; the address of its first page. */
export async function makeJob({
  terminals,
  positions,
  seed,
  title,
  known,
  outOfMachine,
  form: said,
}: Start): Promise<string> {
  const id = newId<JobId>();
  const simulation = known ? simulateKnown(known, seed, true) : null;
  const name =
    title ||
    (known
      ? MAKE_JOB_TEXT.simulatedSwitchTerminals(terminals)
      : MAKE_JOB_TEXT.switchWithTerminals(terminals));
  await api.makeJob({ id, title: name, outOfMachine, simulation });
  const writer = createWriter({ newId, now: () => new Date().toISOString() });
  const form = known?.form ?? said ?? 'unsaid';
  const layout = terminals <= 3 ? 'one-row' : terminals <= 16 ? 'two-rows' : 'list';
  const change = describeSwitch({ terminals, positions, form, layout }, newId);
  const event = writer.write([], { kind: 'restructured', change, basedOn: null });
  await api.postEvents(id, { after: 0, events: [event] });
  return `/jobs/${id}/${outOfMachine ? 'map' : 'safe'}`;
}
