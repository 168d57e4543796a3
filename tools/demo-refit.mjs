// What is written down of a job once its switch goes back into the machine.
import {
  checkBench,
  checkOf,
  functionChecks,
  joinedWith,
  keptUnder,
  refitOf,
  refitStanding,
  signableRefit,
  transferCard,
} from '@which-way/core/refit';
import { createMapper } from '@which-way/core/continuity';
import { ended, fed, note, structural, supplied, tied } from './demo-deeds.mjs';
import { newId } from './demo-library.mjs';

const by = 'Imke';

/** A stall heater with two heats, its rocker cleaned. */
export function stallBefore({ terminals }, add) {
  note(add, {
    machine: 'Market stall heater, two elements of 600 W',
    complaint: 'On LOW it gets lukewarm only.',
    tried: 'Another socket.',
  });
  const ends = { termination: 'push-on', size: '1.5 mm2' };
  const [line, back] = [supplied(add, 'L', 'L', 230, 'AC'), supplied(add, 'N', 'N', null, 'AC')];
  const elements = ['front element', 'rear element'].map((name) =>
    fed(add, name, 'resistive', 600, 230, 'AC'),
  );
  ended(add, 1, 'BN', terminals[0], [line], ends);
  ended(add, 2, 'RD', terminals[1], [elements[0]('1')], ends);
  ended(add, 3, 'WH', terminals[2], [elements[1]('1')], ends);
  for (const element of elements) tied(add, element('2').load, '2', back);
}

/** The readings of the check before power, as they are with a mistake, or with none. */
function checked(map, add, mistake) {
  const refit = refitOf(map);
  const bench = checkBench(refit);
  for (const { position, a, b } of checkOf(bench).readings) {
    const nets = joinedWith(bench, position, mistake);
    add({ kind: 'check-read', ...keptUnder(refit, { position, a, b }), joins: nets[a] === nets[b] });
  }
}

/** Every wire back. */
function wiresBack(map, add) {
  add({ kind: 'refit-begun', way: 'same' });
  for (const { key } of transferCard(map).lines) add({ kind: 'line-ticked', line: key, done: true });
}

/** The whole way to the signature: wires, check, insulation and earth, function, what stays. */
export function stallBack(map, add, events) {
  const now = () => createMapper()(events);
  wiresBack(map, add);
  checked(now(), add, null);
  const record = (what, position, ohms, limit, instrument) => {
    const setting = refitOf(map).positions.find(({ name }) => name === position)?.setting;
    const at = { position, ...(setting && { setting }) };
    add({ kind: 'power-recorded', record: { what, ...at, ohms, limit, instrument, by } });
  };
  record('earth-to-case', '', 0.11, 0.3, 'bench meter, leads zeroed');
  record('cord', '', 2e9, 1e6, 'insulation tester, 500 V');
  for (const position of ['LOW', 'HIGH'])
    record('live-to-earth', position, 1.2e9, 1e6, 'insulation tester, 500 V');
  for (const [position, ohms] of [
    ['OFF', 1e7],
    ['LOW', 88],
    ['HIGH', 44],
  ])
    record('line-to-neutral', position, ohms, null, 'bench meter');
  for (const { key } of functionChecks(now()))
    add({ kind: 'function-tried', tried: [{ line: key, result: 'as-it-should', live: '', why: '' }] });
  add({
    kind: 'residual-noted',
    residual: {
      id: newId(),
      text: 'The legend of LOW is rubbed off',
      reason: 'the owner knows it, and marks it anew',
      removed: false,
    },
  });
  const noted = {
    done: 'Contacts cleaned and worked ten times, receptacle of tag 2 made anew.',
    advice: 'Unplug it by the plug, not by the cord.',
    'next-look': 'before next winter, the receptacles',
  };
  for (const [field, text] of Object.entries(noted)) add({ kind: 'refit-noted', field, text });
  const end = now();
  const standing = refitStanding(end, true, checkOf(checkBench(refitOf(end))));
  add({ kind: 'refit-signed', refit: signableRefit(end, standing, by, []) });
}

/** Two wires swapped as they went back: the check before power shows it. */
export function lampBack(map, add) {
  wiresBack(map, add);
  checked(map, add, { kind: 'swapped', wires: [1, 2] });
}

export function lampBefore({ terminals, actuators }, add) {
  structural(add, { change: 'positions-closed', actuator: actuators[0].id, by: 'stop' });
  note(add, { machine: 'Reading lamp with two bulbs', complaint: 'The knob was stiff.' });
  const ends = { termination: 'screw', size: '0.75 mm2' };
  const [line, back] = [supplied(add, 'L', 'L', 230, 'AC'), supplied(add, 'N', 'N', null, 'AC')];
  const bulbs = ['upper bulb', 'lower bulb'].map((name) => fed(add, name, 'lamp', 8, 230, 'AC'));
  ended(add, 1, 'BN', terminals[0], [line], ends);
  ended(add, 2, 'BK', terminals[1], [bulbs[0]('1')], ends);
  ended(add, 3, 'GY', terminals[2], [bulbs[1]('1')], ends);
  for (const bulb of bulbs) tied(add, bulb('2').load, '2', back);
}
