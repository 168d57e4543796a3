import { factAt, isSettled, type SwitchMap } from '../continuity/index.js';
import { asAnswered } from '../log/index.js';
import { blocks, partitionOf } from '../partition/index.js';
import { contactTerminals, requiredSettings, type EntryId, type KnownSwitch } from '../switch/index.js';

/**
 * What was mapped as an entry for the library: labels name its terminals, positions as they are. What is not settled joins
 * nothing in it, so say how far it was mapped beside it.
 * @throws RangeError for a switch with more than one handle: an entry has one list of positions
 */
export function asKnownSwitch(map: SwitchMap, id: EntryId, name: string): KnownSwitch {
  const structure = asAnswered(map.structure, map.log);
  const [actuator, ...more] = structure.actuators;
  if (!actuator || more.length > 0) throw new RangeError('an entry has one handle');
  const terminals = contactTerminals(structure);
  const labels = terminals.map(({ label }) => label);
  return {
    id,
    kind: 'switch',
    name,
    maker: null,
    family: '',
    form: actuator.form,
    terminals: labels,
    positions: requiredSettings(structure).map((setting) => {
      const position = actuator.positions.find((one) => one.id === setting.at[actuator.id]);
      const settled = map.settings.get(setting.id)?.settled;
      const pairs: [number, number][] = [];
      map.contacts.forEach((a, one) =>
        map.contacts.slice(one + 1).forEach((b, other) => {
          const fact = settled && factAt(settled, a, b);
          if (fact && isSettled(fact) && fact.joined) pairs.push([one, one + 1 + other]);
        }),
      );
      return {
        name: position?.name ?? null,
        rests: position?.rests ?? 'maintained',
        joined: blocks(partitionOf(labels.length, pairs))
          .filter((net) => net.length > 1)
          .map((net) => net.map((place) => labels[place] as string)),
      };
    }),
    note: null,
  };
}
