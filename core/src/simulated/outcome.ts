import { factAt, type SwitchMap } from '../continuity/index.js';
import type { Pattern } from '../partition/index.js';
import {
  blankField,
  byTime,
  certify,
  costOf,
  EMPTY_HANDS,
  ladder,
  positionFirst,
  runCourse,
  type HandCosts,
  type Hands,
  type Move,
} from '../planner/index.js';
import type { JobEvent } from '../log/index.js';
import type { TerminalId } from '../switch/index.js';
import type { ContactFault, MeterFaults, Misassembly, SimulatedPart } from './faults.js';
import { diagnosedRight } from './misassembly.js';
import type { SimulatedSwitch } from './simulated-switch.js';
import { truthOf } from './truth.js';

/** What was wrong with a simulated switch or its meter, and whether the map shows it. */
export interface HiddenFault {
  what:
    | { kind: 'contact'; a: number; b: number; fault: ContactFault['kind'] }
    | { kind: 'part'; a: number; b: number; form: SimulatedPart['form'] }
    | { kind: 'meter'; fault: keyof MeterFaults }
    | { kind: 'assembly'; how: Misassembly };
  /** Whether the map has it, or for how it was put together the diagnosis; null: neither can show it. */
  shown: boolean | null;
}

/** How mapping a simulated switch went. */
export interface Outcome {
  /** Pairs in the positions that were found, against the truth; unknown ones are neither right nor wrong. */
  pairs: { right: number; wrong: number; unknown: number };
  positions: { found: number; all: number };
  faults: HiddenFault[];
  /** What the readings took, with these hands. */
  took: { readings: number; touches: number; seconds: number };
  /** What plans would have taken from the start: set and walk, by time, with clips, and knowing the answer. */
  plans: { name: 'position' | 'time' | 'clips' | 'certify'; touches: number; seconds: number }[];
}

/** Compares a map with the simulated switch behind it. Positions are taken in handle order, as they were found. */
export function outcomeOf(map: SwitchMap, hidden: SimulatedSwitch, costs: HandCosts): Outcome {
  const truth = truthOf(hidden);
  const pairs = { right: 0, wrong: 0, unknown: 0 };
  [...map.settings.values()].forEach(({ settled }, position) => {
    const nets = truth[position];
    if (!nets) return;
    for (const a of map.contacts)
      for (const b of map.contacts) {
        if (a >= b || b >= hidden.terminals) continue;
        const { joined, state } = factAt(settled, a, b);
        if (state !== 'measured' && state !== 'follows') pairs.unknown += 1;
        else pairs[joined === (nets[a] === nets[b]) ? 'right' : 'wrong'] += 1;
      }
  });
  return {
    pairs,
    positions: { found: map.settings.size, all: hidden.positions.length },
    faults: faultsOf(map, hidden),
    took: tookOf(map, costs),
    plans: plansFor(truth, costs),
  };
}

function plansFor(truth: Pattern, costs: HandCosts): Outcome['plans'] {
  const size = truth[0]?.length ?? 0;
  const joined = (setting: number, a: number, b: number) => truth[setting]?.[a] === truth[setting]?.[b];
  const clips = { ...costs, clipsOwned: Math.max(8, costs.clipsOwned) };
  const plans = [
    { name: 'position', planner: positionFirst, costs },
    { name: 'time', planner: byTime, costs },
    { name: 'clips', planner: ladder, costs: clips },
    { name: 'certify', planner: certify({ name: '', pattern: truth }), costs },
  ] as const;
  return plans.map(({ name, planner, costs: own }) => {
    const { touches, seconds } = runCourse(blankField(size, truth.length), {
      hands: EMPTY_HANDS,
      costs: own,
      planner,
      joined,
    });
    return { name, touches, seconds };
  });
}

/** Every act that still counts, costed one after another as hands would have made them. */
function tookOf(map: SwitchMap, costs: HandCosts): Outcome['took'] {
  const order = map.structure.settings.map(({ id }) => id);
  const place = (id: TerminalId) => map.structure.terminals.findIndex((one) => one.id === id);
  const acts = new Map<JobEvent, SwitchMap['tape']>();
  for (const line of map.tape) {
    if (line.standing === 'aside' || line.standing === 'parked') continue;
    acts.set(line.event, [...(acts.get(line.event) ?? []), line]);
  }
  const took = { readings: 0, touches: 0, seconds: 0 };
  let hands: Hands = EMPTY_HANDS;
  for (const lines of acts.values()) {
    const readings = lines.map(({ reading }) => reading);
    const [first] = readings;
    if (!first) continue;
    const [red, black] = [first.red.map(place), first.black.map(place)];
    const oneSetting = readings.every(({ setting }) => setting === first.setting);
    const single = red.length === 1 && black.length === 1;
    const move: Move =
      oneSetting && single
        ? {
            kind: 'sweep',
            setting: order.indexOf(first.setting),
            red: red[0] as number,
            black: readings.map((reading) => place(reading.black[0] as TerminalId)),
          }
        : { kind: 'hold', red, black, settings: readings.map(({ setting }) => order.indexOf(setting)) };
    const { seconds, touches, after } = costOf(move, hands, costs, () => false);
    hands = after;
    took.readings += readings.length;
    took.touches += touches;
    took.seconds += seconds;
  }
  return took;
}

function faultsOf(map: SwitchMap, hidden: SimulatedSwitch): HiddenFault[] {
  const between = (a: number, b: number) =>
    map.tape.filter(({ reading, standing }) => {
      const ends = [...reading.red, ...reading.black].map((id) =>
        map.structure.terminals.findIndex((one) => one.id === id),
      );
      return standing !== 'aside' && ends.length === 2 && ends.includes(a) && ends.includes(b);
    });
  const settledAt = (position: number) => [...map.settings.values()][position]?.settled;
  const contacts = hidden.contacts.flatMap(({ a, b, closedIn, fault }): HiddenFault[] => {
    if (!fault) return [];
    const seen = between(a, b);
    const odd = seen.some(({ evidence }) => ['middle', 'unsteady'].includes(evidence.because));
    const alters = fault.kind === 'welded' || fault.kind === 'broken';
    const where = hidden.positions
      .map((_, at) => at)
      .filter((at) => closedIn.includes(at) === (fault.kind === 'broken'));
    const mapped = where.every((at) => {
      const settled = settledAt(at);
      return settled !== undefined && factAt(settled, a, b).joined === (fault.kind === 'welded');
    });
    const shown = fault.kind === 'one-sided' || fault.kind === 'sometimes' ? null : alters ? mapped : odd;
    return [{ what: { kind: 'contact', a, b, fault: fault.kind }, shown }];
  });
  const parts = (hidden.parts ?? []).map(({ a, b, form }): HiddenFault => ({
    what: { kind: 'part', a, b, form },
    shown: between(a, b).some(({ evidence }) => evidence.because === 'middle'),
  }));
  const faults = hidden.meter.faults;
  const names = faults
    ? (Object.keys(faults) as (keyof MeterFaults)[]).filter(
        (name) => faults[name] !== null && faults[name] !== 0 && faults[name] !== false,
      )
    : [];
  const { wrong } = hidden;
  return [
    ...(wrong
      ? [{ what: { kind: 'assembly' as const, how: wrong.how }, shown: diagnosedRight(map, wrong) }]
      : []),
    ...contacts,
    ...parts,
    ...names.map((fault): HiddenFault => ({ what: { kind: 'meter', fault }, shown: null })),
  ];
}
