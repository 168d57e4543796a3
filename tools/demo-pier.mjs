// Two switches of one lamp: what is written down of each, and of both together.
import { ended, fed, note, supplied, tied } from './demo-deeds.mjs';

/** One of two switches that work one lamp: its common to the line or to the lamp, the others to the other switch. */
export const pierBefore = (shore) => (change, add) => {
  note(add, {
    machine: 'Beacon of the pier, worked from either end',
    complaint: 'At times it will not go out.',
  });
  const [common, ...travellers] = change.terminals;
  const line = supplied(add, 'L', 'L', 230, 'AC');
  const back = supplied(add, 'N', 'N', null, 'AC');
  const lamp = fed(add, 'beacon', 'lamp', 40, 230, 'AC');
  const ends = { termination: 'screw', size: '1.5 mm2' };
  ended(add, 1, shore ? 'BN' : 'BK', common, [shore ? line : lamp('1')], ends);
  const wires = travellers.map((lug, at) =>
    ended(add, at + 2, ['GY', 'BK'][at], lug, [{ at: 'elsewhere' }], ends),
  );
  tied(add, lamp('2').load, '2', back);
  return wires;
};

/** Both switches of the beacon in one machine: what goes where, and the complaint as it was seen. */
export function pierTogether([shore, end], add) {
  for (const { job } of [shore, end]) add({ kind: 'system-member', job: job.id, belongs: true });
  const wiresOf = ({ job }) =>
    job.events.flatMap(({ what }) =>
      what.kind === 'wire-tagged' && what.wire.tag !== '1' ? [what.wire.id] : [],
    );
  const settingsOf = ({ job }) => job.events[0].what.change.settings.map(({ id }) => id);
  const [from, to] = [wiresOf(shore), wiresOf(end)];
  from.forEach((wire, at) =>
    add({
      kind: 'system-joined',
      from: { at: 'wire', job: shore.job.id, wire },
      to: { at: 'wire', job: end.job.id, wire: to[at] },
    }),
  );
  const { load } = shore.job.events.find(({ what }) => what.kind === 'load-named').what;
  const seen = ['right', 'on', 'right', 'right'].map((what, at) => ({
    at: [shore, end].map((one, place) => ({
      ...{ of: 'switch', job: one.job.id },
      setting: settingsOf(one)[place === 0 ? at >> 1 : at & 1],
    })),
    ...{ load: load.id, seen: what },
  }));
  add({ kind: 'machine-looked', seen });
}
