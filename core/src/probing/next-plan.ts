import type { SwitchMap } from '../continuity/index.js';
import {
  approachOf,
  checkDue,
  findsPositions,
  foreseenAsk,
  plainPlan,
  planNext,
  recheckWanted,
  type FollowUps,
  type Plan,
} from '../planner/index.js';
import { firstSetting } from '../log/index.js';
import type { SettingId } from '../switch/index.js';

/** Milliseconds that the better plan is waited for: less than a hand notices, and a worse plan costs the hands seconds. */
const PATIENCE = 80;
/** In a re-check with clips, where a plan spares or costs several clips of three seconds each. */
const PATIENCE_WITH_CLIPS = 400;

/** What the planner beside the screen has to offer. */
export interface PlannerBeside {
  /** There is nobody beside the screen: everything is worked out here. */
  alone: boolean;
  /** The newest follow-ups there are, and the map that they are of: perhaps the one before an answer. */
  ahead: { map: SwitchMap; followUps: FollowUps } | null;
}

/** The plan for a map and where it came from: `here`, from `beside`, or worked out `late`, when patience was over. */
export interface NextPlan {
  map: SwitchMap;
  at: SettingId | null;
  plan: Plan | null;
  from: 'here' | 'beside' | 'late' | null;
  /** Milliseconds to wait for a better plan; null: there is nothing to wait for. */
  patience: number | null;
}

/**
 * What to do next on a map, as far as it is known at once. Position-first takes no thought, a small switch little; a re-check
 * with clips looks far ahead whatever the order of mapping was. Otherwise what was foreseen is taken where the answer was as
 * supposed; else a better plan is waited for.
 */
export function planBegins(
  map: SwitchMap,
  at: SettingId | null,
  now: string,
  beside: PlannerBeside,
): NextPlan {
  const { order, clips } = approachOf(map);
  const farAhead = clips >= 2 && map.complete && recheckWanted(map);
  const here = (plan: Plan): NextPlan => ({ map, at, plan, from: 'here', patience: null });
  if (order === 'position' && !farAhead) return here(plainPlan(map, at, { now }));
  if (findsPositions(map)) return here(planNext(map, at, { now, plain: true }));
  if (clips === 0 && isSmall(map)) return here(planNext(map, at, { now }));
  if (beside.alone) return here(planNext(map, at, { now, plain: true }));
  const plan = foreseen(map, at, now, beside.ahead);
  if (plan) return here(plan);
  return { map, at, plan: null, from: null, patience: farAhead ? PATIENCE_WITH_CLIPS : PATIENCE };
}

/**
 * Whether the better plan is there as soon as a worker would answer: a decision takes a millisecond or two, at first ten. What
 * looks like a known kind is worked out beside the screen all the same.
 */
function isSmall(map: SwitchMap): boolean {
  const [lugs, settings] = [map.contacts.length, map.structure.settings.length];
  return approachOf(map).order !== 'expected' && lugs * lugs * settings <= LITTLE;
}

/** Pairs of lugs, counted both ways, times positions. */
const LITTLE = 600;

/** The plan that came from beside: it is taken where there is none yet, or in the place of one of its own. */
export function planHeard(next: NextPlan, plan: Plan): NextPlan {
  if (next.from !== null && next.from !== 'beside') return next;
  return { ...next, plan, from: 'beside', patience: null };
}

/** Patience is over: where there is no plan, the plain one is taken, and stays. */
export function planLate(next: NextPlan, now: string): NextPlan {
  if (next.plan !== null) return next;
  return { ...next, plan: plainPlan(next.map, next.at, { now }), from: 'late', patience: null };
}

/** The plan that was worked out before the answer came, if that was as supposed. */
function foreseen(
  map: SwitchMap,
  at: SettingId | null,
  now: string,
  ahead: PlannerBeside['ahead'],
): Plan | null {
  const ask = ahead && checkDue(map, now) === null ? foreseenAsk(ahead.map, ahead.followUps, map) : null;
  return ask && { kind: 'ask', ask, turn: firstSetting(ask) !== at, why: 'map', reason: null };
}
