export { compareWithExpected, isAmong, type ComparedCell, type Comparison } from './compare.js';
export { lineUp } from './expected/line-up.js';
export { contactsWith, withCause, type Cause } from './diagnosis/cause.js';
export { contactCauses, contactsOf, singleCauses } from './diagnosis/causes.js';
export { diagnose, type Diagnosis, type DiagnosisClass } from './diagnosis/diagnose.js';
export {
  diagnosisQuestion,
  oddReading,
  type OddReading,
  type DiagnosisQuestion,
} from './diagnosis/diagnosis-of.js';
export { afterMarks, marksOf, marksTell } from './diagnosis/marks.js';
export { expectedKind, kindsFor } from './expected/expected-kind.js';
export { readExpected, type TextTrouble } from './expected/expected-text.js';
export {
  contactLimitOf,
  judgedContacts,
  limitOhms,
  type ContactVerdict,
  type JudgedContact,
} from './fitness.js';
export { leaksOf, type Leak } from './leaks.js';
export { loadTrue, type LoadTrue } from './load-true.js';
export { verdictOf, type LineOutcome, type LineReason, type Verdict } from './verdict.js';
export { fnv1a } from './hash.js';
export { beforeAndAfter, lastStretch, type BeforeAndAfter } from './before-after.js';
export {
  FEWEST_CYCLES,
  repeatedOf,
  repeatsOf,
  repeatStanding,
  type Repeated,
  type RepeatDue,
} from './repeatability.js';
export { CYCLING_KEYS, cycleAt, cyclingStep, endedRun, type Cycling, type CyclingAct } from './cycling.js';
export {
  compareBeside,
  expectedFromJob,
  layBeside,
  type BesideCell,
  type BesideComparison,
} from './beside.js';
export { expectedOf, expectedPattern } from './expected/expected-pattern.js';
export { readExpectedRows, type RowsTrouble } from './expected/expected-rows.js';
export { laidOtherwise } from './expected/laid-otherwise.js';
export { shownOf, type Shown } from './must-show.js';
export { askedOdd, calledFault, isOddOpen, type AskedOdd } from './odd-by-table.js';
