import { createWriter, type ExpectedTable, type JobEvent } from '@which-way/core/log';
import { exampleKinds, kindsOf, type Kind } from '@which-way/core/kinds';
import { blocks, type Pattern } from '@which-way/core/partition';
import { simulateKnown, simulatePattern, type SimulatedSwitch } from '@which-way/core/simulated';
import { describeSwitch, type JobId, type TerminalId } from '@which-way/core/switch';
import { kindWords } from '@which-way/words/kinds';
import { api } from '../../api/client.js';
import { newId } from '../../job/new-id.js';
import { MAKE_PRACTICE_TEXT } from '@which-way/words/screens/pages/practice/make-practice';

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

const sizeOf = ({ pattern }: Kind): number => pattern.length * (pattern[0]?.length ?? 0);

/** These, and one of every family; the smallest first. */
export const ORDINARY = [
  ...new Map(
    [...SHAPES.flatMap(([terminals, positions]) => kindsOf(terminals, positions)), ...exampleKinds()].map(
      (one) => [`${one.kind} ${one.poles} ${one.ways}`, one] as const,
    ),
  ),
]
  .map(([key, one]) => ({ key, ...one }))
  .toSorted((one, other) => sizeOf(one) - sizeOf(other));

/** The switch that was chosen, or for a surprise one of the ordinary ones and of the library's first page. */
export async function switchFor(
  choice: string,
  library: readonly string[],
  seed: number,
): Promise<{ hidden: SimulatedSwitch; title: string } | null> {
  const all = [...ORDINARY.map(({ key }) => key), ...library];
  const wanted = choice === 'surprise' ? all[seed % all.length] : choice;
  const title = choice === 'surprise' ? MAKE_PRACTICE_TEXT.practiceASurprise : null;
  const ordinary = ORDINARY.find(({ key }) => key === wanted);
  if (ordinary) {
    const name = kindWords(ordinary.kind, ordinary.poles, ordinary.ways);
    return {
      hidden: simulatePattern(ordinary.pattern, name, seed, true),
      title: title ?? `Practice: ${name}`,
    };
  }
  if (wanted === undefined) return null;
  const known = await api.entry(wanted);
  return { hidden: simulateKnown(known, seed, true), title: title ?? `Practice: ${known.name}` };
}

/** Puts a simulated switch on the bench as a job; the address of its Map. `heard`: no key is needed there, so its positions are known. */
export async function makePractice(hidden: SimulatedSwitch, title: string, heard: boolean): Promise<string> {
  const id = newId<JobId>();
  await api.makeJob({ id, title, outOfMachine: true, simulation: hidden });
  const writer = createWriter({ newId, now: () => new Date().toISOString() });
  const { terminals, wrong } = hidden;
  const layout = terminals <= 3 ? 'one-row' : terminals <= 16 ? 'two-rows' : 'list';
  const change = describeSwitch(
    // What it should do is said by position: then their number is known.
    { terminals, positions: wrong || heard ? hidden.positions.length : null, form: 'rotary', layout },
    newId,
  );
  const events = [writer.write([], { kind: 'restructured', change, basedOn: null })] as JobEvent[];
  if (wrong) events.push(writer.write(events, { kind: 'expected', table: tableOf(wrong.should, change) }));
  await api.postEvents(id, { after: 0, events });
  return `/jobs/${id}/map`;
}

/** What a switch should do, on the terminals and settings of its description. */
const tableOf = (should: Pattern, change: ReturnType<typeof describeSwitch>): ExpectedTable => ({
  source: { kind: 'text' },
  settings: change.settings.map(({ id }, at) => ({
    setting: id,
    joined: blocks(should[at] ?? [])
      .filter((net) => net.length > 1)
      .map((net) => net.map((place) => change.terminals[place]?.id as TerminalId)),
    unsaid: [],
  })),
});
