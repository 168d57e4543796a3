import {
  circuitOf,
  contactsWithPart,
  faultModel,
  healthyOf,
  laidPart,
  NO_EVIDENCE,
  rankFaults,
  readingsOf,
  SEEN,
  seenOf,
  wiredTerminals,
  type HuntEvidence,
  type FaultModel,
  type Healthy,
  type LoadState,
  type Observation,
  type PartTried,
  type RankedFault,
} from '../machine/index.js';
import type { SwitchMap } from '../continuity/index.js';
import type { FunctionTry } from '../log/index.js';
import { requiredSettings } from '../switch/index.js';
import { functionChecks, type FunctionCheck } from './function-test.js';
import { keptReadings } from './kept-readings.js';
import { checkBench } from './check/mistakes.js';
import { chosenOf, refitOf, wayOf } from './refit.js';

/** What a load may do instead of what it should. */
export type DoesInstead = NonNullable<FunctionTry['does']>;

/** The faults of the machine as it was put back, by what the function test found; what was seen before the repair says nothing of it. */
export interface FunctionFaults {
  model: FaultModel;
  evidence: HuntEvidence;
  /** The likeliest first. */
  ranked: RankedFault[];
  /** Lines that fail and of which nobody has said what the load does instead: they tell nothing yet. */
  unsaid: number;
}

/** What goes back makes in every setting: the part that was chosen, else the switch as it should be; null where that is not known in full. */
function healthyBack(map: SwitchMap): Healthy[] | null {
  const chosen = wayOf(map) === 'part' ? chosenOf(map) : null;
  const laid = chosen && laidPart(map, chosen);
  if (!laid) return healthyOf(map);
  const contacts = requiredSettings(map.structure).map(({ id }) => ({
    setting: id,
    ...contactsWithPart(map, laid, id),
  }));
  return contacts.every(({ isKnown }) => isKnown(0, 0))
    ? contacts.map(({ setting, nets }) => ({ setting, nets }))
    : null;
}

/** Wires through whose far ends the check before power was read as joined: they conduct. */
function wiresThatConduct(map: SwitchMap): PartTried[] {
  const refit = refitOf(map);
  if (!refit) return [];
  const { laid } = checkBench(refit);
  const sounded = keptReadings(map, refit).flatMap(({ a, b, read }) => (read ? [a, b] : []));
  const wires = new Set(sounded.flatMap((node) => laid[node]?.wire.id ?? []));
  return [...wires].map((part) => ({ part, whole: true }));
}

/** What the lines of the function test have of each load. */
const seenIn = (checks: readonly FunctionCheck[]): Observation[] =>
  checks.flatMap((one): Observation[] => {
    if (one.kind !== 'load' || !one.tried) return [];
    const { setting, load, tried } = one;
    if (tried.result === 'as-it-should') return [{ setting, load, seen: 'right' }];
    return tried.result === 'fails' && tried.does ? [{ setting, load, seen: tried.does }] : [];
  });

/**
 * Ranks the single faults of the machine as it was put back; null while nothing fails, while nobody has said what a load does instead,
 * or where it is not known what should be.
 */
export function functionFaults(map: SwitchMap): FunctionFaults | null {
  const checks = functionChecks(map);
  const failing = checks.filter(({ tried }) => tried?.result === 'fails');
  if (failing.length === 0) return null;
  const seen = seenIn(checks);
  const unsaid = failing.filter(({ kind, tried }) => kind === 'load' && !tried?.does).length;
  const circuit = circuitOf(map);
  const healthy = healthyBack(map);
  if (!circuit || !healthy || seen.every((one) => one.seen === 'right')) return null;
  const model = faultModel(circuit, healthy);
  const settings = map.structure.settings.map(({ id }) => id);
  const evidence: HuntEvidence = {
    ...NO_EVIDENCE,
    seen,
    tried: wiresThatConduct(map),
    // The map is of the switch that was taken out: of a part in its place it says nothing.
    read: wayOf(map) === 'part' ? [] : readingsOf(map, wiredTerminals(circuit), settings),
  };
  return { model, evidence, ranked: rankFaults(model, evidence), unsaid };
}

/** What a load may do instead of what it must; backwards only what turns. */
export function insteadOf(must: LoadState, turns: boolean): DoesInstead[] {
  const should = seenOf(must.does, must.does);
  // The wrong way is told as that, forward or back.
  const right = should === 'reversed' ? 'on' : should;
  return [...SEEN.filter((one) => one !== right && (one !== 'reversed' || turns)), 'sometimes'];
}
