import { createWriter, type JobEvent } from '@which-way/core/log';
import { partitionFromGroups } from '@which-way/core/partition';
import { simulatePattern, type SimulatedSwitch } from '@which-way/core/simulated';
import { describeSwitch, newIdFrom, seededRandom } from '@which-way/core/switch';
import type { Served } from './served.js';

/** A practice switch with its positions said; the address of its Map. */
export const practise = (served: Served, terminals: number, ...settings: number[][][]): Promise<string> =>
  practiseFaulty(served, undefined, terminals, ...settings);

/** As `practise`, with a fault in each contact that closes. */
export async function practiseFaulty(
  served: Served,
  fault: SimulatedSwitch['contacts'][number]['fault'],
  terminals: number,
  ...settings: number[][][]
): Promise<string> {
  const newId = newIdFrom(seededRandom(Date.now() % 2 ** 31));
  const made = simulatePattern(
    settings.map((groups) => partitionFromGroups(terminals, groups)),
    'by ear',
    5,
    true,
  );
  const hidden = fault ? { ...made, contacts: made.contacts.map((one) => ({ ...one, fault })) } : made;
  const id = newId<never>();
  const change = describeSwitch(
    { terminals, positions: settings.length, form: 'rotary', layout: 'one-row' },
    newId,
  );
  const writer = createWriter({ newId, now: () => new Date().toISOString() });
  const events: JobEvent[] = [writer.write([], { kind: 'restructured', change, basedOn: null })];
  for (const [path, body] of [
    ['/api/jobs', { id, title: 'By ear', outOfMachine: true, simulation: hidden }],
    [`/api/jobs/${String(id)}/events`, { after: 0, events }],
  ] as const) {
    const response = await fetch(served.base + path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (!response.ok) throw new Error(await response.text());
  }
  return `/jobs/${String(id)}/map`;
}
