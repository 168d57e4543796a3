import type { SwitchMap } from '../continuity/index.js';
import { polesWithContacts } from '../table/index.js';
import {
  contactsOf,
  diagnose,
  diagnosisQuestion,
  expectedOf,
  withCause,
  type Cause,
} from '../verify/index.js';
import type { Pattern } from '../partition/index.js';
import type { Misassembly, PutTogetherWrong } from './faults.js';
import { truthOf } from './truth.js';
import type { SimulatedSwitch } from './simulated-switch.js';

/** The same switch put together wrong; as it is where that would change nothing of what it does. */
export function misassembled(
  hidden: SimulatedSwitch,
  how: Misassembly,
  random: () => number,
): SimulatedSwitch {
  const should = truthOf(hidden);
  for (let tries = 0; tries < 20; tries += 1) {
    const truth = withCause(should, contactsOf(should), causeOf(how, should, random));
    if (JSON.stringify(truth) === JSON.stringify(should)) continue;
    return { ...hidden, contacts: contactsFor(truth, random), wrong: { how, should } };
  }
  return hidden;
}

function causeOf(how: Misassembly, should: Pattern, random: () => number): Cause {
  const size = should[0]?.length ?? 0;
  const a = Math.floor(random() * size);
  const b = (a + 1 + Math.floor(random() * (size - 1))) % size;
  const terminals: [number, number] = [Math.min(a, b), Math.max(a, b)];
  switch (how) {
    case 'shifted':
      return { cause: 'shifted', by: random() < 0.5 ? 1 : -1 };
    case 'reversed':
      return { cause: 'reversed' };
    case 'swapped':
      return { cause: 'swapped', terminals };
    case 'bridged':
      return { cause: 'bridged', terminals };
  }
}

const contactsFor = (truth: Pattern, random: () => number): SimulatedSwitch['contacts'] =>
  polesWithContacts(truth).flatMap((pole) =>
    pole.contacts.map(([a, b]) => ({
      a,
      b,
      closedIn: truth.flatMap((partition, setting) => (partition[a] === partition[b] ? [setting] : [])),
      ohms: Number((0.005 + random() * 0.15).toFixed(4)),
    })),
  );

/** Whether the diagnosis of a map names among its likeliest how the switch was put together; null: nothing to compare with. */
export function diagnosedRight(map: SwitchMap, { how }: PutTogetherWrong): boolean | null {
  const table = expectedOf(map);
  if (!table) return null;
  const { expected, known, rows } = diagnosisQuestion(map, table);
  const [first] = diagnose(expected, known, rows).classes;
  return first?.explanations.some((causes) => causes.some(({ cause }) => cause === how)) ?? false;
}
