import type { LoadId, SettingId, SupplyId, WireId } from '../../switch/index.js';
import { isUnsteady, type HuntEvidence } from './evidence.js';
import type { FaultModel, ModelledFault } from './fault-model.js';
import { probeSeconds } from './hands-in-machine.js';
import { steadyOr, type Outcomes } from './outcomes.js';
import { comesAndGoes } from './fault.js';
import { HIDES, showsInCycles, THERE } from './rank.js';
import { lookKey } from './seen.js';

/**
 * A look is at all loads of a setting that were not seen there yet; a reading is of a pair of freed lugs; a probe between two places of
 * the dead machine, wires on; a contact is worked again and again where the fault comes and goes; a load or a wire is tried by itself; a
 * supply is seen to.
 */
export type Test = { seconds: number } & (
  | { kind: 'look'; setting: SettingId; loads: LoadId[] }
  | { kind: 'read'; setting: SettingId; contact: readonly [number, number] }
  | { kind: 'probe'; setting: SettingId; between: readonly [number, number] }
  | { kind: 'work'; setting: SettingId; contact: readonly [number, number] }
  | { kind: 'try'; part: LoadId | WireId }
  | { kind: 'supply'; supply: SupplyId }
);

/**
 * To bring the handle there, and to look at each load; to read freed lugs; to work a contact; to free
 * and try a part; to see to a supply: seconds to reckon with, not measured.
 */
const TEST_SECONDS = { handle: 3, look: 2, read: 20, work: 60, try: 25, supply: 25 } as const;
/** Cycles that working a contact is reckoned with. */
const CYCLES = 20;

/** A test with what it would find of each fault. */
export interface Candidate {
  test: Test;
  outcomes: Outcomes;
}

/** How a test with one outcome of each fault is turned into one where faults come and go, or hide from a meter. */
type Steady = (outcomeOf: (one: ModelledFault) => unknown, by?: 'meter') => Outcomes;

/** All that could be looked at, read, probed, worked or tried next, and was not yet. */
export function candidateTests(model: FaultModel, evidence: HuntEvidence): Candidate[] {
  const unsteady = isUnsteady(evidence);
  const steady: Steady = (outcomeOf, by) =>
    steadyOr(outcomeOf, model.faults[0], (fault) => {
      if (unsteady && comesAndGoes(fault)) return THERE;
      return by === 'meter' && fault.kind === 'high' ? 1 - HIDES.ohms : 1;
    });
  return [
    ...looks(model, evidence, steady),
    ...(unsteady ? works(model, evidence) : reads(model, evidence, steady)),
    ...probes(model, evidence, steady),
    ...parts(model, evidence, steady),
  ];
}

function looks({ circuit, settings }: FaultModel, { seen }: HuntEvidence, steady: Steady): Candidate[] {
  const done = new Set(seen.map(({ setting, load }) => lookKey(setting, load)));
  return settings.flatMap(({ setting }): Candidate[] => {
    const loads = circuit.loads.map(({ id }) => id).filter((id) => !done.has(lookKey(setting, id)));
    if (loads.length === 0) return [];
    const seconds = TEST_SECONDS.handle + TEST_SECONDS.look * loads.length;
    const outcomeOf = ({ shows }: ModelledFault) => loads.map((id) => shows.get(lookKey(setting, id))).join();
    return [{ test: { kind: 'look', setting, loads, seconds }, outcomes: steady(outcomeOf) }];
  });
}

const pairKey = ([a, b]: readonly [number, number]): string => (a < b ? `${a},${b}` : `${b},${a}`);

/** A contact in a setting by a name: of several switches, however the others stand. */
function contactNames({ settings, circuit }: FaultModel) {
  const standing = new Map(settings.map(({ setting, each }) => [setting, each]));
  return (setting: SettingId, pair: readonly [number, number]): string =>
    `${standing.get(setting)?.[circuit.owner?.[pair[0]] ?? 0] ?? setting} ${pairKey(pair)}`;
}

/** Every contact in every setting that was not read there yet, once for each standing of its own switch. */
function reads(model: FaultModel, { read }: HuntEvidence, steady: Steady): Candidate[] {
  const nameOf = contactNames(model);
  const done = new Set(read.map(({ setting, contact }) => nameOf(setting, contact)));
  return model.settings.flatMap(({ setting }) =>
    model.contacts.flatMap((contact): Candidate[] => {
      const name = nameOf(setting, contact);
      if (done.has(name)) return [];
      done.add(name);
      return [
        {
          test: { kind: 'read', setting, contact, seconds: TEST_SECONDS.read },
          outcomes: steady(({ joins }) => joins(setting, contact), 'meter'),
        },
      ];
    }),
  );
}

/** Contacts to be worked where they should close: a bad one misses now and then. */
function works(model: FaultModel, { worked }: HuntEvidence): Candidate[] {
  const done = new Set(worked.map(({ contact }) => pairKey(contact)));
  const misses = showsInCycles(CYCLES);
  return model.contacts.flatMap((contact): Candidate[] => {
    const closed = model.settings.find(({ nets }) => nets[contact[0]] === nets[contact[1]]);
    if (!closed || done.has(pairKey(contact))) return [];
    return [
      {
        test: { kind: 'work', setting: closed.setting, contact, seconds: TEST_SECONDS.work },
        outcomes: ({ fault }) =>
          'contact' in fault && pairKey(fault.contact) === pairKey(contact)
            ? [[true, misses], [false, 1 - misses]] // prettier-ignore
            : [[false, 1]],
      },
    ];
  });
}

/** Of more probes than this those are thought of that are in settings where something was wrong. */
const MOST_PROBES = 3000;

/** Two places of the dead machine, its wires on, in every setting, or in those that the complaint is about. */
function probes({ settings, reached }: FaultModel, evidence: HuntEvidence, steady: Steady): Candidate[] {
  const done = new Set(evidence.probed.map(({ setting, between }) => `${setting} ${pairKey(between)}`));
  const pairs = reached.flatMap((a, at) => reached.slice(at + 1).map((b): [number, number] => [a, b]));
  const wrong = new Set(evidence.seen.flatMap(({ setting, seen }) => (seen === 'right' ? [] : [setting])));
  const told = settings.toSorted((a, b) => Number(wrong.has(b.setting)) - Number(wrong.has(a.setting)));
  return told.slice(0, Math.max(1, Math.floor(MOST_PROBES / pairs.length))).flatMap(({ setting }) =>
    pairs
      .filter((between) => !done.has(`${setting} ${pairKey(between)}`))
      .map((between): Candidate => ({
        test: { kind: 'probe', setting, between, seconds: probeSeconds(evidence, setting, between) },
        outcomes: steady(({ conducts }) => conducts(setting, ...between), 'meter'),
      })),
  );
}

/** Loads and wires by themselves, and supplies, that were not tried yet. */
function parts({ circuit, wires }: FaultModel, { tried }: HuntEvidence, steady: Steady): Candidate[] {
  const done = new Set(tried.map(({ part }) => part));
  const supplies = circuit.supplies.filter(({ id, kind }) => kind !== 'earth' && !done.has(id));
  return [
    ...[...circuit.loads.map(({ id }) => id), ...wires]
      .filter((part) => !done.has(part))
      .map((part): Candidate => ({
        test: { kind: 'try', part, seconds: TEST_SECONDS.try },
        outcomes: steady(({ whole }) => whole(part)),
      })),
    ...supplies.map(({ id }): Candidate => ({
      test: { kind: 'supply', supply: id, seconds: TEST_SECONDS.supply },
      outcomes: steady(({ whole }) => whole(id)),
    })),
  ];
}
