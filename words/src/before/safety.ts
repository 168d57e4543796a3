import type { ProofTrouble, SafetyTrouble } from '@which-way/core/safety';
import type {
  BareEnds,
  DeadPoint,
  HighVoltageStore,
  SafetyLine,
  SafetyLineKind,
  SupplyKind,
  Tester,
} from '@which-way/core/log';

export const SUPPLY_WORDS: Record<SupplyKind, { name: string; about: string }> = {
  'plug-in': { name: 'Plug-in mains', about: 'It has a plug, and the plug can be pulled.' },
  fixed: { name: 'Fixed mains', about: 'Wired in. Only for people allowed to work on it where you are.' },
  battery: { name: 'Battery or vehicle', about: 'Low voltage, very high current.' },
  'extra-low': { name: 'Extra-low voltage', about: 'A plug-top supply or transformer, below 50 V.' },
};

export const TESTER_WORDS: Record<Tester, string> = {
  'two-pole': 'Two-pole voltage tester',
  'meter-on-volts': 'Meter, dial on volts',
  pen: 'Pen-type detector',
};

type Words = { text: string; why: string };
const same = (text: string, why: string): Record<SupplyKind, Words> => ({
  'plug-in': { text, why },
  fixed: { text, why },
  battery: { text, why },
  'extra-low': { text, why },
});

/** The standard words of each line, by supply: what to do, and why in a sentence. */
const LINES: Record<Exclude<SafetyLineKind, 'own'>, Record<SupplyKind, Words>> = {
  isolate: {
    'plug-in': {
      text: 'Pull the plug and keep it in sight',
      why: 'A switch that is off leaves one side of the mains on.',
    },
    fixed: {
      text: 'Switch it off at its breaker or isolator; where a fuse feeds it, draw the fuse',
      why: 'A wall switch isn’t an isolator: it may break one pole only, or the wrong one.',
    },
    battery: {
      text: 'Take off rings and watch. Disconnect the battery: minus off first, and on again last',
      why: 'A spanner between live and frame welds itself in place. The battery itself is never dead.',
    },
    'extra-low': {
      text: 'Unplug the supply',
      why: 'A meter on ohms applies a small voltage of its own; any other upsets it.',
    },
  },
  lock: {
    ...same(
      'Lock it off, or keep the plug where you can see it',
      'Someone helpful may plug it back in while your hands are inside.',
    ),
    fixed: {
      text: 'Lock it off, keep the key, and hang a tag with your name',
      why: 'Someone who wants light may switch it on while your hands are inside.',
    },
    battery: {
      text: 'Tape the lead back and tag it',
      why: 'A lead that springs back onto its post makes it live again.',
    },
  },
  'prove-tester': same('Prove the tester on a known live source', 'A dead tester finds everything dead.'),
  'prove-dead': same(
    'Prove dead: every conductor to every other and to earth, with the switch in every position',
    'A conductor can be live in one position only, and fed from the other end.',
  ),
  'prove-again': same(
    'Prove the tester again on the same source',
    'It may have failed between the first proof and the measuring.',
  ),
  discharge: same(
    'Discharge stored energy through a resistor, then measure again: below 5 V',
    'A capacitor or suppressor keeps its charge; a screwdriver across it damages both, and it can destroy the meter.',
  ),
  'other-circuits': {
    ...same(
      'More than one feed? Isolate each',
      'Look for a control circuit, solar, an inverter, a generator, a timer. A second feed stays live when this one is off.',
    ),
    battery: {
      text: 'More than one feed? Disconnect each',
      why: 'Look for a second battery, a charger, solar, an inverter. A second feed stays live when this one is off.',
    },
  },
  meter: same(
    'Dial on ohms; the red lead not in the current socket',
    'In the current socket the meter is a dead short.',
  ),
};

/** What a line says: the shop's own words where it has them, else the standard ones. */
export function lineWords({ kind, text, why }: Omit<SafetyLine, 'id'>, supply: SupplyKind): Words {
  const standard = kind === 'own' ? { text: '', why: '' } : LINES[kind][supply];
  return { text: text ?? standard.text, why: why ?? standard.why };
}

export const PEN_WORDS =
  'A pen-type detector doesn’t prove it’s dead: it misses shielded and direct voltages. Use a two-pole tester, or a meter on volts.';

export const POINT_WORDS: Record<DeadPoint['is'], string> = {
  conductor: 'conductor',
  earth: 'earth of this box',
  'long-earth': 'earth on a long lead',
  'long-neutral': 'neutral on a long lead',
  box: 'the bare box',
};

export const STORE_WORDS: Record<HighVoltageStore, string> = {
  microwave: 'Microwave cooker',
  'picture-tube': 'Picture tube',
  flash: 'Flash lamp, strobe',
  other: 'Another store of high voltage',
};

/** Why the Map stays shut, and what would open it. */
function troubleWords(trouble: SafetyTrouble, supply: SupplyKind): string {
  const line = 'line' in trouble ? lineWords(trouble.line, supply).text : '';
  switch (trouble.code) {
    case 'not-begun':
      return 'The switch is still in the machine, and no safety list has been started.';
    case 're-energised':
      return `It had power again${trouble.reason ? ` (${trouble.reason})` : ''}, so dead is no longer proven. Start the list again.`;
    case 'unanswered':
      return `Not answered: ${line}.`;
    case 'before-isolation':
      return `Done before isolation, so it proves nothing. Do it again: ${line}.`;
    case 'given-with-others':
      return `This was answered together with other lines. Do it, then answer it on its own: ${line}.`;
    case 'cannot-be-left-out':
      return `This cannot be left out: ${line}.`;
    case 'answer-does-not-fit':
      return `Answer this one with what was measured: ${line}.`;
    case 'pen-is-no-proof':
      return PEN_WORDS;
    case 'other-tester':
      return 'The tester that was proved again is not the one that proved dead.';
    case 'not-every-position':
      return 'Dead was not proved with the switch in every position.';
    case 'not-dead':
      return `${trouble.volts} V was found: it is not dead. Find the feed, isolate it, and prove dead again.`;
    case 'against-what':
      return 'The reference point for “dead” isn’t recorded. Measure again: earth first shows the supply against a live conductor, then every conductor should read zero to it.';
    case 'not-proved':
      return proofWords(trouble.why);
    case 'high-voltage':
      return `Stop: not with this tool. ${STORE_WORDS[trouble.store]}: it kills with the plug out. Leave it to people trained for it.`;
    case 'stored-energy':
      return `${trouble.volts} V is still stored. Ohms only below 5 V: let it go through a resistor and measure again.`;
    case 'out-of-order':
      return `“${lineWords(trouble.before, supply).text}” was answered after “${line}”. Prove it again, in order.`;
    case 'unsigned':
      return 'Not signed yet: say who did it.';
  }
}

const at = (positions: readonly string[]): string =>
  positions.length === 0 ? '' : ` at ${positions.join(', ')}`;

/** What a proof of dead lacks, and what would mend it. */
function proofWords(trouble: ProofTrouble): string {
  const pair = 'between' in trouble ? trouble.between.join(' to ') : '';
  switch (trouble.code) {
    case 'volts-there':
      return `${trouble.volts} V from ${pair}${trouble.position ? ` at ${trouble.position}` : ''}: it is not dead. Find the feed, isolate it, and prove dead again.`;
    case 'ghost-perhaps':
      return `${trouble.volts} V from ${pair}, on a meter that doesn’t load the circuit: it may be ghost volts, and this meter can’t tell. Read again with a two-pole tester that loads.`;
    case 'high-volts':
      return `Stop: not with this tool. ${trouble.volts} V is high voltage: leave it to people trained for it.`;
    case 'wrong-dial':
      return `${pair}: read with the dial on ${trouble.wanted}; on the other setting this supply doesn’t show.`;
    case 'reference-unproved':
      return `0 V against ${trouble.point} proves nothing: it didn’t show the supply against a live conductor before isolation. It may not be earthed at all.`;
    case 'pair-unproved':
      return `0 V from ${pair} proves nothing${at(trouble.positions)}: that pair did not show the supply there before isolation. Two live wires of one line read 0 V between them.`;
    case 'conductor-unproved':
      return `Not proved dead: ${trouble.point}${at(trouble.positions)}.`;
    case 'earth-not-said':
      return 'Say whether there is an earth here. Without one, take an earth or a neutral there on a long lead.';
    case 'no-conductor':
      return 'Name the conductors that come into the box.';
  }
}

/** All troubles in words, what is wrong before what is only missing; many missing answers are one line. */
export function troubleList(troubles: readonly SafetyTrouble[], supply: SupplyKind): string[] {
  const missing = troubles.filter(({ code }) => code === 'unanswered');
  const wrong = troubles.filter(({ code }) => code !== 'unanswered');
  const [first] = missing;
  const many =
    missing.length > 1 && first
      ? [
          `${missing.length} lines are not answered yet. Next: ${lineWords('line' in first ? first.line : { kind: 'own', text: '', why: null }, supply).text}.`,
        ]
      : missing.map((one) => troubleWords(one, supply));
  return [...wrong.map((one) => troubleWords(one, supply)), ...many];
}

/** What was done about bare conductors that stay behind. */
export const BARE_END_WORDS: Record<BareEnds, string> = {
  capped: 'All capped or tagged',
  none: 'None left behind',
};
