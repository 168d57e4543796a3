import type { SwitchMap } from '../continuity/index.js';
import { pathVerdict, supplyPathOf } from '../path/index.js';
import { mostLeft } from '../planner/index.js';
import { safetyStanding, type SafetyTrouble } from '../safety/index.js';
import { liveEvents, notesOf, recordsOf } from '../log/index.js';
import { isWholeSignature, signedRefitOf } from '../refit/index.js';
import { type SettingId } from '../switch/index.js';
import { judge, type Judgement } from '../verdict/index.js';
import type { RouteStep } from './steps.js';

/** What a job should do next: a code and what it is about; the words belong to whoever shows it. */
export type NextThing =
  | { code: 'make-safe'; trouble: SafetyTrouble['code'] }
  | { code: 'not-the-switch' }
  | { code: 'describe' }
  | { code: 'readings-left'; readings: number; setting: SettingId | null }
  | { code: 'find-positions' }
  | { code: 'tangled' }
  | { code: 'contradiction'; count: number }
  | { code: 'look-again'; count: number }
  /** Nothing is asked any more; a person left so many pairs not known. */
  | { code: 'left-not-known'; count: number }
  | { code: 'compare' }
  /** It is mapped and compared: the verdict, and what keeps it from more. */
  | ({ code: 'judged' } & Pick<Judgement, 'whole' | 'open'>)
  | { code: 'refit'; replacement: string | null }
  /** `whole`: nothing had failed or was left undone. */
  | { code: 'signed'; by: string; whole: boolean };

/** Goes up when the same log gives another route or summary than before, so that what was stored of it is worked out anew. */
export const ROUTE_ENGINE = 9;

/** Where a job is on its route: derived; what a bench keeps of it is a copy that is worked out anew. */
export interface Route {
  done: Record<RouteStep, boolean>;
  /** Steps that were passed over by choice: nothing was done there, and nothing need be. */
  passed: RouteStep[];
  at: RouteStep;
  next: NextThing;
}

/** What the route needs to know of a job besides its map. */
export interface JobStanding {
  outOfMachine: boolean;
}

/**
 * Reads a job's route from its map.
 * @example
 * routeOf({ outOfMachine: true }, mapped(3, '1-2', '1-3')).next // => { code: 'compare' }
 */
export function routeOf({ outOfMachine }: JobStanding, map: SwitchMap): Route {
  const judgement = judge(map);
  const chosen = liveEvents(map.log, 'chosen').at(-1)?.what.replacement ?? null;
  const signed = signedRefitOf(map);
  const { whole, open, comparison } = judgement;
  const agrees = comparison?.outcome === 'agrees';
  const asks = open.some(({ code }) => code === 'questions' || code === 'not-in-ohms');
  const fails = whole === 'fails' || whole === 'intermittent';
  const safety = safetyStanding(map.log, outOfMachine);
  // A switch in the hand, with nothing of the machine on it, has no supply to prove dead and no wires to tag.
  const nothingOfTheMachine = outOfMachine && liveEvents(map.log, 'safety-begun').length === 0;
  const done: Record<RouteStep, boolean> = {
    intake: [...notesOf(map.log).values()].some((text) => text !== ''),
    safe: safety.open && !nothingOfTheMachine,
    tag: recordsOf(map.log, 'wire-tagged').length > 0,
    map: map.complete,
    table: map.complete,
    verify: map.complete && agrees && (fails || !asks),
    match: chosen !== null,
    refit: signed?.stands === true,
  };
  const trouble = safety.troubles[0]?.code ?? null;
  const { at, next } = whereTo(map, {
    trouble,
    judgement,
    chosen: chosen?.name ?? null,
    signed: signed?.stands ? { by: signed.signed.by, whole: isWholeSignature(signed.signed) } : null,
  });
  const passed = (['safe', 'tag'] as const).filter((step) => outOfMachine && !done[step]);
  return { done, passed, at, next };
}

function whereTo(
  map: SwitchMap,
  job: {
    trouble: SafetyTrouble['code'] | null;
    judgement: Judgement;
    chosen: string | null;
    signed: { by: string; whole: boolean } | null;
  },
): Pick<Route, 'at' | 'next'> {
  if (job.trouble) return { at: 'safe', next: { code: 'make-safe', trouble: job.trouble } };
  if (map.tape.length === 0 && pathVerdict(supplyPathOf(map.log)).outcome === 'not-the-switch')
    return { at: 'tag', next: { code: 'not-the-switch' } };
  if (map.structure.terminals.length === 0) return { at: 'map', next: { code: 'describe' } };
  const settings = [...map.settings.values()];
  if (settings.some(({ coverage }) => coverage.tangled)) return { at: 'map', next: { code: 'tangled' } };
  const disputes = settings.reduce((sum, { settled }) => sum + settled.contradictions.length, 0);
  if (disputes > 0) return { at: 'map', next: { code: 'contradiction', count: disputes } };
  const left = mostLeft(map);
  if (left.readings > 0) {
    const setting = settings.find(({ coverage }) => coverage.unknown > 0)?.settled.setting ?? null;
    return { at: 'map', next: { code: 'readings-left', readings: left.readings, setting } };
  }
  const items = settings.flatMap(({ settled }) => settled.lookAgain);
  const again = items.filter((item) => !item.left).length;
  if (again > 0) return { at: 'map', next: { code: 'look-again', count: again } };
  if (items.length > 0) return { at: 'map', next: { code: 'left-not-known', count: items.length } };
  if (!map.complete) return { at: 'map', next: { code: 'find-positions' } };
  if (job.signed !== null) return { at: 'refit', next: { code: 'signed', ...job.signed } };
  if (job.chosen !== null || recordsOf(map.log, 'refit-begun') !== null)
    return { at: 'refit', next: { code: 'refit', replacement: job.chosen } };
  const { whole, open, comparison } = job.judgement;
  const next: NextThing = { code: 'judged', whole, open };
  if (comparison?.outcome === 'differs') return { at: 'verify', next };
  if (comparison?.outcome !== 'agrees') return { at: 'verify', next: { code: 'compare' } };
  if (whole === 'fails' || whole === 'intermittent') return { at: 'match', next };
  const asks = open.some(({ code }) => code === 'questions' || code === 'not-in-ohms');
  return { at: asks ? 'verify' : 'match', next };
}
