import { createWriter } from '@which-way/core/log';
import { ordinarySwitches } from '@which-way/core/partition';
import { simulateKnown, simulatePattern, type SimulatedSwitch } from '@which-way/core/simulated';
import { describeSwitch, type JobId } from '@which-way/core/switch';
import { ordinaryWords } from '@which-way/words/approach';
import { api } from '../api/client.js';
import { newId } from '../job/new-id.js';

/** Ordinary switches to practise on: terminals by positions, small ones first. */
const SHAPES: readonly [terminals: number, positions: number][] = [
  [3, 2],
  [6, 2],
  [6, 3],
  [9, 8],
  [10, 4],
  [12, 5],
  [16, 3],
  [15, 4],
];

export const ORDINARY = SHAPES.flatMap(([terminals, positions]) =>
  ordinarySwitches(terminals, positions).map((one) => ({
    key: `${one.kind} ${one.poles} ${one.ways}`,
    ...one,
  })),
);

/** The switch that was chosen, or for a surprise one of the ordinary ones and of the library's first page. */
export async function switchFor(
  choice: string,
  library: readonly string[],
  seed: number,
): Promise<{ hidden: SimulatedSwitch; title: string } | null> {
  const all = [...ORDINARY.map(({ key }) => key), ...library];
  const wanted = choice === 'surprise' ? all[seed % all.length] : choice;
  const title = choice === 'surprise' ? 'Practice: a surprise' : null;
  const ordinary = ORDINARY.find(({ key }) => key === wanted);
  if (ordinary) {
    const name = ordinaryWords(ordinary.kind, ordinary.poles, ordinary.ways);
    return {
      hidden: simulatePattern(ordinary.pattern, name, seed, true),
      title: title ?? `Practice: ${name}`,
    };
  }
  if (wanted === undefined) return null;
  const known = await api.entry(wanted);
  return { hidden: simulateKnown(known, seed, true), title: title ?? `Practice: ${known.name}` };
}

/** Puts a simulated switch on the bench as a job; the address of its Map. */
export async function makePractice(hidden: SimulatedSwitch, title: string): Promise<string> {
  const id = newId<JobId>();
  await api.makeJob({ id, title, outOfMachine: true, simulation: hidden });
  const writer = createWriter({ newId, now: () => new Date().toISOString() });
  const { terminals } = hidden;
  const layout = terminals <= 3 ? 'one-row' : terminals <= 16 ? 'two-rows' : 'list';
  const change = describeSwitch({ terminals, positions: null, form: 'rotary', layout }, newId);
  const event = writer.write([], { kind: 'restructured', change, basedOn: null });
  await api.postEvents(id, { after: 0, events: [event] });
  return `/jobs/${id}/map`;
}
