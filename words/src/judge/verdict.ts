import type {
  CyclingAct,
  ContactVerdict,
  JudgedContact,
  Leak,
  LineOutcome,
  LineReason,
  Repeated,
} from '@which-way/core/verify';
import type {
  ContactLimit,
  MechanicalSign,
  RepeatedUnder,
  SignedVerdict,
  WorkDone,
} from '@which-way/core/log';
import type { Structure } from '@which-way/core/switch';
import { ohms, quantity } from '../quantity.js';
import { pairWords, settingName } from '../terminals.js';

export const LINE_OUTCOME_WORDS: Record<LineOutcome, string> = {
  pass: 'pass',
  fail: 'fail',
  'not-yet': 'not yet',
  'cannot-tell': 'cannot tell',
};

export const REASON_WORDS: Record<LineReason, string> = {
  agrees: 'agrees in every pair and position',
  'agrees-where-said': 'matches where specified; other pairs not specified',
  differs: 'differs from what it should do',
  'nothing-expected': 'you haven’t said what it should do',
  'not-complete': 'not all pairs are tested',
  disputed: 'readings disagree',
  'odd-open': 'an open question needs your answer',
  'odd-fault': 'you marked an oddity as the fault',
  'in-circuit': 'measured in circuit, so not conclusive',
  missed: 'failed under repeated operation',
  'not-repeated': 'it fails sometimes: not every contact was worked 20 times',
  'all-good': 'all closed contacts within the limit',
  'contacts-high': 'high resistance',
  'high-by-handheld': 'reads high; a voltage-drop test under load would settle it',
  'contacts-look': 'look again at some',
  'meter-cannot-tell': 'this meter cannot tell at that limit',
  'not-at-signal-level': 'not tested at signal level',
  'no-ohms': 'some contacts not measured in ohms (only by beep, or inferred)',
  'no-contacts': 'no contact is known',
  'leak-found': 'a leak was noted',
  'frame-joined': 'a terminal is joined to the frame or earth: a hazard',
  'leak-to-frame': 'a leak below 1 MΩ to the frame or earth: a hazard',
  'leak-to-frame-supply':
    'a leak to the frame or earth: a hazard on the mains, and the supply is not entered',
  'leak-to-frame-test':
    'a leak to the frame or earth: treat it as a hazard until an insulation test clears it',
  'no-insulation-test': 'no test with an insulation tester',
  'seen-at-fault': 'visibly faulty',
  'spring-broken': 'a position doesn’t spring back as it should',
  'not-looked-at': 'inspection incomplete',
  'insulation-low': 'below the limit on the insulation tester',
  'insulation-good': 'tested with an insulation tester, within the limit',
  'mechanics-good': 'everything in order',
};

export const MECHANICAL_WORDS: Record<MechanicalSign, string> = {
  detents: 'Detents are firm',
  returns: 'It stays and springs back where it should',
  'moves-freely': 'It moves freely',
  'not-charred': 'Nothing is charred',
  'rivets-tight': 'Rivets and lugs are tight',
};

/** The verdict as a whole, as it was signed: in a few words. */
export const WHOLE_WORDS: Record<SignedVerdict['whole'], string> = {
  pass: 'Passed',
  fail: 'Failed',
  'as-far-as-tested': 'Passed as far as tested',
  'not-yet': 'No verdict yet',
  'nothing-mapped': 'Nothing mapped',
  'not-finished': 'Not finished',
  disputed: 'Disputed',
  'by-ear': 'Wiring agrees by ear',
  questions: 'Questions open',
  fails: 'Fails',
  intermittent: 'Fails now and then',
  'wiring-passes': 'Wiring passes',
  'wiring-and-contacts-pass': 'Wiring and contacts pass',
  passes: 'Passes',
};

export const CONTACT_WORDS: Record<ContactVerdict, string> = {
  good: 'good',
  look: 'look',
  high: 'high resistance',
  bad: 'bad (voltage drop)',
  'cannot-tell': 'this meter cannot tell',
  unsteady: 'unsteady',
  'no-ohms': 'not read in ohms',
};

/** What judges the contacts, in a few words. */
export function limitWords(limit: ContactLimit): string {
  switch (limit.school) {
    case 'fixed':
      return `at most ${ohms(limit.ohms)}, for any load`;
    case 'hard-zero':
      return 'no resistance the meter can detect';
    case 'load':
      return `${limit.amps} A ${limit.current}, ${limit.kind}: up to 50 mV good, above 200 mV bad (common practice)`;
  }
}

/** Ohms with what the meter may be out by; the drop and heat at the load. */
export function judgedWords({ ohms: value, uncertainty, byDrop, drop, heat }: JudgedContact): string {
  if (value === null) return '';
  const sure = `${ohms(value)} ± ${ohms(uncertainty)}${byDrop ? ' (voltage drop)' : ''}`;
  if (drop === null || heat === null) return sure;
  const millivolts = Math.round(drop * 1000);
  return `${sure}; about ${millivolts} mV${heat.warns ? `, ${heat.watts.toFixed(1)} W: it gets warm` : ''}`;
}

/** What would tell, where the meter cannot. */
export const WOULD_TELL =
  'To decide: work it ten times, clean it, then pass 1 to 5 A from a limited supply of at most 6 V and measure millivolts across the lugs.';

export const WORK_WORDS: Record<WorkDone, string> = {
  cleaned: 'cleaned',
  rebuilt: 'rebuilt',
  'contact-bent': 'contact re-bent',
  other: 'worked on',
};

/** What the keys of a run of cycles do. */
export const CYCLING_WORDS: Record<CyclingAct | 'end', string> = {
  miss: 'It missed',
  stick: 'It stuck',
  'drop-out': 'It cut out',
  undo: 'Undo',
  end: 'End',
};

export const UNDER_WORDS: Record<RepeatedUnder, string> = {
  bench: 'on the bench',
  wiggled: 'wiggled',
  warm: 'warm',
  load: 'at its load',
};

/** An upper bound in per cent, with a digit where it is small. It is rounded up: 28.3 is not below 28. */
function bound(share: number): string {
  const digits = share < 0.1 ? 1 : 0;
  const scale = 10 ** digits;
  return `${(Math.ceil(share * 100 * scale - 1e-6) / scale).toFixed(digits)} %`;
}

/** What a run of cycles says, and no more: n of n is evidence, never a proof. */
export function repeatedWords({ run, failed, below, ohms: spread }: Repeated): string {
  const { cycles, misses, sticks, dropOuts, under } = run;
  const what = [
    misses.length > 0 ? `${misses.length} missed` : '',
    sticks.length > 0 ? `${sticks.length} stuck` : '',
    dropOuts > 0 ? `${dropOuts} dropped out` : '',
  ].filter(Boolean);
  const seen = what.length > 0 ? `${what.join(', ')} of ${cycles}` : `none of ${cycles} missed`;
  const rate = below < 1 ? `the rate is below ${bound(below)} (95 %)` : 'it may fail every time';
  const spreads = spread ? `; ${ohms(spread.least)} to ${ohms(spread.most)}` : '';
  const beyond = under === 'load' ? '' : ', says nothing of load, heat or vibration';
  return `${seen}, ${UNDER_WORDS[under]}: ${rate}${spreads}${failed === 0 ? beyond : ''}.`;
}

/** A leak with where it was read and the least that it read: '3–FRAME at OFF, ON: 0.6 MΩ, to the frame or earth'. */
export function leakWords(structure: Structure, leak: Leak): string {
  const where = leak.settings.map((setting) => settingName(structure, setting)).join(', ');
  return `${pairWords(structure, leak)} at ${where}: ${quantity(leak.quantity)}${leak.toFrame ? ', to the frame or earth' : ''}`;
}
