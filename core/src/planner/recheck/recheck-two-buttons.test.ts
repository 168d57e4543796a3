import { describe, expect, it } from 'vitest';
import { deriveMap } from '../../continuity/index.js';
import { ORDINARY_METER, type JobEvent, type Reading } from '../../log/index.js';
import { type Pattern } from '../../partition/index.js';
import { type Actuator, type ActuatorId, type Setting, type SettingId } from '../../switch/index.js';
import { newPosition } from '../../switch/new-switch.js';
import { bench, CLOSED, mapHidden, OPEN, type Bench } from '../../testing/generated.js';
import { writtenPattern } from '../../testing/written-pattern.js';

/** Two buttons that spring back, with every setting of both: at rest, A, B, A and B. */
function twoButtons(lugs: number, both: Setting['need']): Bench {
  const on = bench(lugs, 1);
  const described = on.events[0]?.what;
  if (described?.kind !== 'restructured' || described.change.change !== 'described')
    throw new Error('not so');
  const button = (name: string): Actuator => {
    const [rest, pressed] = [newPosition('out', on.newId), newPosition('in', on.newId)];
    return {
      id: on.newId<ActuatorId>(),
      name,
      form: 'push',
      positions: [rest, { ...pressed, rests: 'momentary', returnsTo: rest.id }],
      closed: 'declared',
    };
  };
  const [a, b] = [button('A'), button('B')] as const;
  const settings = b.positions.flatMap((ofB, low) =>
    a.positions.map((ofA, high): Setting => {
      const need = low + high === 2 ? both : 'required';
      return { id: on.newId<SettingId>(), at: { [a.id]: ofA.id, [b.id]: ofB.id }, condition: null, need };
    }),
  );
  on.events.splice(0);
  on.add({
    kind: 'restructured',
    change: { ...described.change, actuators: [a, b], settings },
    basedOn: null,
  });
  on.add({ kind: 'meter-checked', leadsTogether: { kind: 'ohms', ohms: 0.2 }, meter: ORDINARY_METER });
  on.settings = settings.map(({ id }) => id);
  return on;
}

const flipped = (reading: Reading): Reading => ({
  ...reading,
  value: reading.value.kind === 'over' ? CLOSED : OPEN,
});
const shows = (events: JobEvent[]) =>
  [...deriveMap(events).settings.values()].some(
    ({ settled }) => settled.contradictions.length + settled.lookAgain.length > 0,
  );
const withReadings = (event: JobEvent, change: (reading: Reading) => Reading): JobEvent =>
  event.what.kind === 'answered'
    ? { ...event, what: { ...event.what, readings: event.what.readings.map(change) } }
    : event;

/** Mapped in position order with one answer of that number wrong, then re-checked; null when there were not so many. */
function withSlip(hidden: Pattern, both: Setting['need'], slip: number): JobEvent[] | null {
  const on = twoButtons(hidden[0]?.length ?? 0, both);
  let given = 0;
  const turned = (reading: Reading) => (given++ === slip ? flipped(reading) : reading);
  mapHidden(hidden, {
    ...on,
    add: (what) => on.add(what.kind === 'answered' ? { ...what, readings: what.readings.map(turned) } : what),
  });
  if (given <= slip) return null;
  on.add({ kind: 'recheck-begun' });
  mapHidden(hidden, on);
  return on.events;
}

describe('the re-check of two buttons that spring back', () => {
  it.each([
    ['two changeovers', 'ac df | ab df | ac de | ab de', 'required'],
    ['START and STOP on one common', 'ab | abc | - | bc', 'required'],
    ['a window switch of which nobody holds both', 'bde | ab de | ad be | abd', 'impossible'],
  ] as const)('shows any one slip, made in passing or afterwards: %s', (_, text, both) => {
    const hidden = writtenPattern(text);
    let slips = 0;
    for (; ; slips += 1) {
      const events = withSlip(hidden, both, slips);
      if (!events) break;
      expect(shows(events), `slip ${slips}`).toBe(true);
    }
    expect(slips).toBeGreaterThan(9);

    const on = twoButtons(hidden[0]?.length ?? 0, both);
    mapHidden(hidden, on);
    on.add({ kind: 'recheck-begun' });
    mapHidden(hidden, on);
    expect(shows(on.events)).toBe(false);
    const taken = on.events.flatMap(({ what }) => (what.kind === 'answered' ? what.readings : []));
    for (const { id } of taken)
      expect(
        shows(on.events.map((event) => withReadings(event, (one) => (one.id === id ? flipped(one) : one)))),
      ).toBe(true);
  });
});
