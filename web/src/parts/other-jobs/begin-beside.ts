import type { Job } from '@which-way/contract';
import type { SwitchMap } from '@which-way/core/continuity';
import {
  createWriter,
  lastChange,
  PLAIN_APPROACH,
  type BesideAs,
  type ExpectedTable,
  type JobEvent,
} from '@which-way/core/log';
import {
  contactTerminals,
  describeSwitch,
  requiredSettings,
  type JobId,
  type KnownSwitch,
} from '@which-way/core/switch';
import { expectedFromJob, layBeside, lineUp } from '@which-way/core/verify';
import { api } from '../../api/client.js';
import { newId } from '../../job/new-id.js';

/** What this switch is to the other one, by what the other is to it. */
const SEEN_FROM_THERE: Record<BesideAs, BesideAs> = {
  'new-part': 'old-one',
  'good-one': 'old-one',
  'old-one': 'new-part',
  'same-earlier': 'same-earlier',
};

const PLAIN_LAYOUTS = ['one-row', 'two-rows', 'circle', 'list', 'wires'] as const;

/**
 * Puts a job on the bench for a switch that is measured beside this one: described alike, with this one's map as what it should
 * follow, and the prompts set to prove that.
 * @returns its id; this job is still to be told of it
 */
export function beginBeside(job: Job, map: SwitchMap, title: string, as: BesideAs): Promise<JobId> {
  const { structure } = map;
  const terminals = contactTerminals(structure);
  const settings = requiredSettings(structure);
  const actuator = structure.actuators[0];
  const change = describeSwitch(
    {
      terminals: terminals.length,
      positions: settings.length,
      form: actuator?.form ?? 'unsaid',
      layout: PLAIN_LAYOUTS.find((kind) => kind === structure.layout.kind) ?? 'list',
      labels: terminals.map(({ label }) => label),
      positionNames: settings.map(
        ({ at }) => actuator?.positions.find((position) => position.id === at[actuator.id])?.name ?? null,
      ),
    },
    newId,
  );
  const laid = layBeside({ ...structure, ...change, merged: {}, placed: [] }, structure);
  const table = laid.kind === 'laid' ? expectedFromJob(map, laid, job.id, job.title) : null;
  return putOnBench(job, { title, change, as: SEEN_FROM_THERE[as], table });
}

/**
 * Puts a job on the bench for a part that is in hand: described as the library has it, with that as what it should follow, and the
 * prompts set to prove it.
 * @returns its id; the job of the switch that it may replace is still to be told of it
 */
export function beginFromEntry(job: Job, known: KnownSwitch, title: string): Promise<JobId> {
  const change = describeSwitch(
    {
      terminals: known.terminals.length,
      positions: known.positions.length,
      form: known.form,
      layout: 'two-rows',
      labels: known.terminals,
      positionNames: known.positions.map(({ name }) => name),
    },
    newId,
  );
  const lined = lineUp({ ...change, merged: {}, placed: [] }, known);
  const table = lined.kind === 'lined-up' ? lined.table : null;
  return putOnBench(job, { title, change, as: 'old-one', table });
}

interface OnTheBench {
  title: string;
  change: ReturnType<typeof describeSwitch>;
  /** What the switch of the first job is to this one. */
  as: BesideAs;
  /** What it should follow; then the prompts are set to prove that. */
  table: ExpectedTable | null;
}

/** A job for a switch that is described and named beside another. */
async function putOnBench(job: Job, { title, change, as, table }: OnTheBench): Promise<JobId> {
  const id = newId<JobId>();
  await api.makeJob({ id, title, place: job.place, outOfMachine: true });
  const writer = createWriter({ newId, now: () => new Date().toISOString() });
  const events: JobEvent[] = [];
  const add = (what: JobEvent['what']) => events.push(writer.write(events, what));
  add({ kind: 'restructured', change, basedOn: lastChange(events) });
  add({ kind: 'ends-capped', ends: 'none' });
  add({ kind: 'put-beside', beside: { job: job.id, title: job.title, as } });
  if (table) {
    add({ kind: 'expected', table });
    add({ kind: 'approached', approach: { ...PLAIN_APPROACH, order: 'expected' } });
  }
  await api.postEvents(id, { after: 0, events });
  return id;
}
