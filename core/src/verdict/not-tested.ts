import type { SwitchMap } from '../continuity/index.js';
import { recordsOf } from '../log/index.js';
import { checkStanding, refitOf, type Check, type CheckStanding, type Mistake } from '../refit/index.js';
import { requiredSettings } from '../switch/index.js';
import { judgedContacts, type Verdict } from '../verify/index.js';

/** Something that nobody has tested, or that nothing can show. */
export type NotTested =
  | { code: 'pairs'; count: number }
  | { code: 'contacts'; count: number }
  | { code: 'insulation' }
  | { code: 'mechanics' }
  /** What joins while the handle passes from one position to the next. */
  | { code: 'between' }
  | { code: 'check-readings'; count: number }
  | { code: 'mistake'; mistake: Mistake };

/** How the check before power stands, where a switch goes back. */
export interface CheckTaken {
  check: Check;
  at: CheckStanding;
}

/** How a check before power stands on a map; null: nothing goes back, or it is not worked out yet. */
export function takenCheck(map: SwitchMap, check: Check | null): CheckTaken | null {
  const refit = refitOf(map);
  return refit && check ? { check, at: checkStanding(map, refit, check) } : null;
}

/** What was not tested of a switch, and of putting it back where that is begun. */
export function notTestedOf(map: SwitchMap, lines: Verdict, taken: CheckTaken | null): NotTested[] {
  const required = requiredSettings(map.structure);
  const pairs = required.reduce((sum, { id }) => {
    const coverage = map.settings.get(id)?.coverage;
    return sum + (coverage ? coverage.unknown + coverage.assumed : 0);
  }, 0);
  const contacts = judgedContacts(map).filter(({ verdict }) => verdict === 'no-ohms').length;
  const passed = recordsOf(map.log, 'passing-probed').length > 0;
  const left = taken?.at.left.length ?? 0;
  return [
    ...(pairs > 0 ? [{ code: 'pairs' as const, count: pairs }] : []),
    ...(contacts > 0 ? [{ code: 'contacts' as const, count: contacts }] : []),
    ...(lines.insulation.reasons.includes('no-insulation-test') ? [{ code: 'insulation' as const }] : []),
    ...(lines.mechanics.reasons.includes('not-looked-at') ? [{ code: 'mechanics' as const }] : []),
    ...(required.length > 1 && !passed ? [{ code: 'between' as const }] : []),
    ...(left > 0 ? [{ code: 'check-readings' as const, count: left }] : []),
    ...(taken?.check.cannot ?? []).map((mistake): NotTested => ({ code: 'mistake', mistake })),
  ];
}
