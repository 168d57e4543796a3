import type { SettingId } from '../../switch/index.js';
import { isUnsteady, type HuntEvidence, type Worked } from './evidence.js';
import { comesAndGoes, isOfSwitch, type Fault } from './fault.js';
import type { FaultModel, ModelledFault } from './fault-model.js';
import { lookKey, shownBy, type Observation, type Seen } from './seen.js';

/** A fault with its chance, and how many of the observations it explains. */
export interface RankedFault extends ModelledFault {
  chance: number;
  explains: number;
}

/** A person's look is wrong this often (a figure to reckon with, not measured). */
const WRONG = 0.03;
/** A reading at bare lugs, or of a dead machine, is wrong this often. */
const MISREAD = 0.005;
/** What comes and goes is there half the time (nothing better is known). */
export const THERE = 0.5;
/** A contact that fails now and then fails in one of twenty cycles (a figure to reckon with). */
const MISSES = 0.05;

/**
 * How often a contact that fails under its load passes a tone, or a meter's small current (figures to reckon with; that it does is common
 * practice).
 */
export const HIDES = { tone: 0.6, ohms: 0.2 } as const;

/** Weights of faults before anything was seen (common practice: contacts wear first, loads burn, wires come off). */
const PRIOR: Record<Fault['kind'], number> = {
  none: 0.2,
  'never-closes': 1,
  'never-opens': 0.5,
  high: 0.7,
  'load-open': 0.8,
  'wire-off': 0.6,
  'supply-missing': 0.5,
  'wires-swapped': 0.15,
};

/** How often something is found with a fault: as the fault has it, or half the time as if nothing were wrong where it comes and goes. */
function likelihood<Outcome>(
  found: Outcome,
  withFault: Outcome | undefined,
  without: Outcome | undefined,
  unsteady: boolean,
  wrong: number,
): number {
  const alike = (would: Outcome | undefined) =>
    would === undefined ? 1 : would === found ? 1 - wrong : wrong;
  return unsteady ? THERE * alike(withFault) + (1 - THERE) * alike(without) : alike(withFault);
}

/** How often a contact that was worked so does what it did, with a fault. */
function workedLikelihood(
  fault: Fault,
  { contact, cycles, missed, stuck }: Worked,
  unsteady: boolean,
): number {
  const itself = 'contact' in fault && fault.contact.every((place) => contact.includes(place));
  const closes = !(itself && fault.kind !== 'never-opens');
  const opens = !(itself && fault.kind === 'never-opens');
  const one = (good: boolean, times: number) => {
    if (good) return times === 0 ? 1 - MISREAD : MISREAD;
    if (times > 0) return 1 - MISREAD;
    return unsteady ? Math.max(MISREAD, (1 - MISSES) ** cycles) : MISREAD;
  };
  return one(closes, missed) * one(opens, stuck);
}

/** Chance that a contact which fails now and then shows it in so many cycles. */
export const showsInCycles = (cycles: number): number => 1 - (1 - MISSES) ** cycles;

/** Faults that may explain all that was found out, the likeliest first; those that nothing tells apart share their chance. */
export function rankFaults({ faults, healthy }: FaultModel, evidence: HuntEvidence): RankedFault[] {
  const goes = isUnsteady(evidence);
  const [none] = faults;
  const ranked = faults.map((one) => {
    const unsteady = goes && comesAndGoes(one.fault);
    let [weight, explains] = [PRIOR[one.fault.kind], 0];
    for (const { setting, load, seen } of evidence.seen) {
      const key = lookKey(setting, load);
      const [would, should] = [one.shows.get(key), healthy.get(key)];
      if (would === undefined) continue;
      const { chance, fits } = lookedAt(seen, would, should, unsteady);
      weight *= chance;
      if (fits) explains += 1;
    }
    const metered = <Outcome>(
      found: Outcome,
      would: Outcome | undefined,
      should: Outcome | undefined,
      by: keyof typeof HIDES,
    ) =>
      one.fault.kind === 'high' && would !== should && found === should && !unsteady
        ? HIDES[by]
        : likelihood(found, would, should, unsteady, MISREAD);
    for (const { setting, contact, joins, by } of evidence.read)
      weight *= metered(joins, one.joins(setting, contact), none?.joins(setting, contact), by);
    for (const {
      setting,
      between: [a, b],
      conducts,
    } of evidence.probed)
      weight *= metered(
        ...([conducts, one.conducts(setting, a, b), none?.conducts(setting, a, b)] as const),
        'ohms',
      );
    for (const { part, whole } of evidence.tried)
      weight *= likelihood(whole, one.whole(part), true, unsteady, MISREAD);
    for (const { setting, runs } of evidence.joined)
      weight *= likelihood(runs, runsWithout(one, setting, healthy), true, unsteady, WRONG);
    for (const worked of evidence.worked) weight *= workedLikelihood(one.fault, worked, goes);
    return { one, weight, explains };
  });
  const sum = ranked.reduce((all, { weight }) => all + weight, 0);
  return ranked
    .map(({ one, weight, explains }) => ({ ...one, explains, chance: weight / sum }))
    .toSorted((one, other) => other.chance - one.chance);
}

/** Whether all runs in a setting with wires joined instead of the switch: what is wrong with the switch does not matter then. */
function runsWithout(
  { fault, shows }: ModelledFault,
  setting: SettingId,
  healthy: ReadonlyMap<string, Seen>,
): boolean {
  const here = [...healthy].filter(([key]) => key.startsWith(`${setting} `));
  return isOfSwitch(fault) || here.every(([key, should]) => shows.get(key) === should);
}

/** How often something is seen that a fault shows so, and whether the fault explains it. */
function lookedAt(
  seen: Observation['seen'],
  would: Seen,
  should: Seen | undefined,
  unsteady: boolean,
): { chance: number; fits: boolean } {
  const changes = would !== should;
  if (seen === 'sometimes') {
    const fits = unsteady && changes;
    return { chance: fits ? 1 - WRONG : WRONG, fits };
  }
  const what = seen === 'right' ? should : shownBy(seen, should);
  const fits = would === what || (unsteady && should === what);
  return { chance: likelihood(what as string, would, should, unsteady, WRONG), fits };
}
