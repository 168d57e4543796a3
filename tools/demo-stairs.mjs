// Two switches of one lamp: what is written down of each, and of both together.
import { ended, fed, note, supplied, tied } from './demo-deeds.mjs';

/** One of two switches that work one lamp: its common to the line or to the lamp, the others to the other switch. */
export const stairsBefore = (foot) => (change, add) => {
  note(add, { machine: 'Light on the stairs of the boathouse', complaint: 'At times it will not go out.' });
  const [common, ...travellers] = change.terminals;
  const line = supplied(add, 'L', 'L', 230, 'AC');
  const back = supplied(add, 'N', 'N', null, 'AC');
  const lamp = fed(add, 'stair lamp', 'lamp', 40, 230, 'AC');
  const ends = { termination: 'screw', size: '1.5 mm2' };
  ended(add, 1, foot ? 'BN' : 'BK', common, [foot ? line : lamp('1')], ends);
  const wires = travellers.map((lug, at) =>
    ended(add, at + 2, ['GY', 'BK'][at], lug, [{ at: 'elsewhere' }], ends),
  );
  tied(add, lamp('2').load, '2', back);
  return wires;
};

/** Both switches of the stairs in one machine: what goes where, and the complaint as it was seen. */
export function stairsTogether([foot, head], add) {
  for (const { job } of [foot, head]) add({ kind: 'system-member', job: job.id, belongs: true });
  const wiresOf = ({ job }) =>
    job.events.flatMap(({ what }) =>
      what.kind === 'wire-tagged' && what.wire.tag !== '1' ? [what.wire.id] : [],
    );
  const settingsOf = ({ job }) => job.events[0].what.change.settings.map(({ id }) => id);
  const [from, to] = [wiresOf(foot), wiresOf(head)];
  from.forEach((wire, at) =>
    add({
      kind: 'system-joined',
      from: { at: 'wire', job: foot.job.id, wire },
      to: { at: 'wire', job: head.job.id, wire: to[at] },
    }),
  );
  const { load } = foot.job.events.find(({ what }) => what.kind === 'load-named').what;
  const seen = ['right', 'on', 'right', 'right'].map((what, at) => ({
    at: [foot, head].map((one, place) => ({
      ...{ of: 'switch', job: one.job.id },
      setting: settingsOf(one)[place === 0 ? at >> 1 : at & 1],
    })),
    ...{ load: load.id, seen: what },
  }));
  add({ kind: 'system-looked', seen });
}
