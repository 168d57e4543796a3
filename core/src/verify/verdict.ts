import type { SwitchMap } from '../continuity/index.js';
import {
  insulationTestOf,
  liveEvents,
  MECHANICAL_SIGNS,
  mechanicalSignsOf,
  deedsOf,
  newestOf,
  restOf,
  springAnswersOf,
} from '../log/index.js';
import { supplyPathOf } from '../path/index.js';
import { recordedInsulation } from './recorded-insulation.js';
import { canShock, LEAST_INSULATION } from '../safety/index.js';
import { askedOdd, isOddOpen } from './odd-by-table.js';
import { compareWithExpected } from './compare.js';
import { contactLimitOf, judgedContacts } from './fitness.js';
import { leaksOf } from './leaks.js';
import { repeatStanding } from './repeatability.js';
import { metalSide } from './to-metal.js';

/** What one line of the verdict comes to. */
export type LineOutcome = 'pass' | 'fail' | 'not-yet' | 'cannot-tell';

/** Why a line is what it is, as a code. */
export type LineReason =
  | 'agrees'
  | 'agrees-where-said'
  | 'differs'
  | 'nothing-expected'
  | 'not-complete'
  | 'disputed'
  | 'odd-open'
  | 'odd-fault'
  | 'in-circuit'
  | 'all-good'
  | 'missed'
  | 'not-repeated'
  | 'contacts-high'
  | 'high-by-handheld'
  | 'contacts-look'
  | 'meter-cannot-tell'
  | 'not-at-signal-level'
  | 'no-ohms'
  | 'no-contacts'
  | 'leak-found'
  | 'frame-joined'
  | 'leak-to-frame'
  | 'leak-to-frame-supply'
  | 'leak-to-frame-test'
  | 'no-insulation-test'
  | 'seen-at-fault'
  | 'spring-broken'
  | 'not-looked-at'
  | 'insulation-low'
  | 'insulation-good'
  | 'mechanics-good';

export interface VerdictLine {
  outcome: LineOutcome;
  reasons: LineReason[];
}

/** The four lines: what they come to as a whole is judged above. */
export interface Verdict {
  pattern: VerdictLine;
  contacts: VerdictLine;
  insulation: VerdictLine;
  mechanics: VerdictLine;
}

/**
 * What is said of a switch, line by line; never a pass with anything unsettled, disputed, in circuit, or by tone for contacts.
 * @example
 * verdictOf(mapped(3, '1-2', '1-3')).pattern.outcome // => 'not-yet'
 */
export const verdictOf = (map: SwitchMap): Verdict => ({
  pattern: patternLine(map),
  contacts: contactsLine(map),
  insulation: insulationLine(map),
  mechanics: mechanicsLine(map),
});

const line = (outcome: LineOutcome, ...reasons: LineReason[]): VerdictLine => ({ outcome, reasons });

function patternLine(map: SwitchMap): VerdictLine {
  const table = liveEvents(map.log, 'expected').at(-1)?.what.table ?? null;
  const compared = table ? compareWithExpected(map, table) : null;
  const odd = askedOdd(map, compared);
  if (compared?.outcome === 'differs') return line('fail', 'differs');
  if (odd.some(({ answer }) => answer === 'fault')) return line('fail', 'odd-fault');
  const why: LineReason[] = [];
  if ([...map.settings.values()].some(({ settled }) => settled.contradictions.length > 0))
    why.push('disputed');
  if (!map.complete) why.push('not-complete');
  if ([...map.settings.values()].some(({ settled }) => settled.inCircuit.length > 0)) why.push('in-circuit');
  if (odd.some(isOddOpen)) why.push('odd-open');
  if (!compared) why.push('nothing-expected');
  else if (compared.outcome !== 'agrees') why.push('not-complete');
  if (why.length > 0) return line('not-yet', ...new Set(why));
  return compared?.unsaid ? line('cannot-tell', 'agrees-where-said') : line('pass', 'agrees');
}

function contactsLine(map: SwitchMap): VerdictLine {
  const verdicts = new Set(judgedContacts(map).map(({ verdict }) => verdict));
  if (verdicts.size === 0) return line('not-yet', 'no-contacts');
  // A handheld alone condemns no contact at its load: that takes millivolts at amperes.
  const condemns = contactLimitOf(map).school !== 'load';
  if (verdicts.has('bad') || (condemns && verdicts.has('high'))) return line('fail', 'contacts-high');
  const repeats = repeatStanding(map);
  if (repeats.failed) return line('fail', 'missed');
  if (!map.complete) return line('not-yet', 'not-complete');
  if (repeats.wanted && repeats.left.length > 0) return line('not-yet', 'not-repeated');
  if (verdicts.has('high')) return line('cannot-tell', 'high-by-handheld');
  if (verdicts.has('no-ohms')) return line('not-yet', 'no-ohms');
  if (verdicts.has('unsteady') || verdicts.has('look')) return line('cannot-tell', 'contacts-look');
  const limit = contactLimitOf(map);
  if (limit.school === 'load' && limit.kind === 'signal') return line('cannot-tell', 'not-at-signal-level');
  return verdicts.has('cannot-tell') ? line('cannot-tell', 'meter-cannot-tell') : line('pass', 'all-good');
}

/**
 * A join to the frame is a hazard, and so is a leak to it below the limit of live parts to earth where the machine is on the mains or on as many volts; a
 * recorded insulation test alone would pass either.
 */
function insulationLine(map: SwitchMap): VerdictLine {
  const { tape, structure, log } = map;
  const sideOf = metalSide(structure);
  const joinsFrame = tape.some(
    ({ standing, reading, evidence }) =>
      standing === 'counts' && evidence.says === 'joins' && sideOf(reading) === 'to-metal',
  );
  if (joinsFrame) return line('fail', 'frame-joined');
  const test = insulationTestOf(log);
  const recorded = recordedInsulation(map);
  if (recorded === 'low' || (test && (test.megohms ?? 0) < test.limitMegohms))
    return line('fail', 'insulation-low');
  const leaks = leaksOf(map);
  const toFrame = leaks.filter((leak) => leak.toFrame);
  const shocks = canShock(log);
  if (shocks === true && toFrame.some(({ quantity }) => quantity.ohms < LEAST_INSULATION))
    return line('fail', 'leak-to-frame');
  const found: LineReason[] =
    leaks.length === 0
      ? []
      : toFrame.length === 0 || shocks === false
        ? ['leak-found']
        : [shocks ? 'leak-to-frame-test' : 'leak-to-frame-supply'];
  // A test between other points does not clear a leak that was read.
  if (test || recorded === 'good')
    return found.length > 0
      ? line('cannot-tell', ...found, 'insulation-good')
      : line('pass', 'insulation-good');
  return line('not-yet', ...found, 'no-insulation-test');
}

function mechanicsLine({ log, structure }: SwitchMap): VerdictLine {
  const signs = mechanicalSignsOf(log);
  if ([...signs.values()].includes('at-fault')) return line('fail', 'seen-at-fault');
  const answers = springAnswersOf(log);
  const isBroken = structure.actuators.some((actuator) =>
    actuator.positions.some((position) => restOf(actuator, position, answers).broken),
  );
  if (isBroken) return line('fail', 'spring-broken');
  const switches = new Set(
    supplyPathOf(log).links.flatMap(({ id, kind }) => (kind === 'switch' ? [id] : [])),
  );
  const looks = newestOf(
    deedsOf(log, 'path-looked', 'work').map(({ look }) => look),
    ({ link, sign }) => `${link} ${sign}`,
  ).filter(({ link }) => switches.has(link));
  return looks.some(({ found }) => found === 'at-fault')
    ? line('fail', 'seen-at-fault')
    : MECHANICAL_SIGNS.every((sign) => signs.get(sign) === 'good')
      ? line('pass', 'mechanics-good')
      : line('not-yet', 'not-looked-at');
}
