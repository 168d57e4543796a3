export { ACTS_OF, DEED_KINDS, deedSchema, kindOf, looksBack, type Deed, type DeedKind } from './deed.js';
export type { JobEvent } from './event.js';
export {
  EXTENTS,
  ORDERS,
  PLAIN_APPROACH,
  type Approach,
  type HandSeconds,
  type Order,
} from './kinds/approach.js';
export { CASES, type Case, type NotedCase } from './kinds/cases.js';
export type { ChosenReplacement } from './kinds/chosen.js';
export type { ExpectedTable } from './kinds/expected.js';
export { CONTACT_LOADS, type ContactDrop, type ContactLimit, type ContactLoad } from './kinds/fitness.js';
export type { Explanation } from './kinds/explanations.js';
export {
  runsOf,
  SURENESS,
  SYMPTOMS,
  surenessOf,
  type Marking,
  type NoteField,
  type Sister,
  type Sureness,
  type Symptom,
} from './kinds/intake.js';
export { HOW_KNOWN, MECHANICS, type MechanicsFact, type MechanicsField } from './kinds/mechanics.js';
export { ORDINARY_METER, type MeterProfile } from './kinds/meter.js';
export { ODD_ANSWERS, type OddAbout, type OddAnswer, type OddCode } from './kinds/odd.js';
export type { Photo, PhotoBox, PhotoPurpose } from './kinds/photo.js';
export { firstSetting, namedIn, readingsAsked, sameAsk, type Ask, type Prompt } from './kinds/prompt.js';
export type { Lead, Reading, Value } from './kinds/reading.js';
export {
  CURRENTS,
  POINT_KINDS,
  type Current,
  type DeadPoint,
  type DeadProof,
  type PointKind,
  type VoltReading,
} from './kinds/dead-proof.js';
export {
  BARE_ENDS,
  SAFETY_LINES,
  STORES,
  SUPPLIES,
  TESTERS,
  type BareEnds,
  type HighVoltageStore,
  type SafetyAnswer,
  type SafetyLine,
  type SafetyLineKind,
  type SafetyList,
  type SupplyKind,
  type Tester,
} from './kinds/safety.js';
export { FASTENERS, type Fastener, type FastenerKind, type StripStep } from './kinds/strip.js';
export {
  LINK_KINDS,
  SIGNS,
  TEST_WAYS,
  type Conductor,
  type LinkKind,
  type PathLink,
  type PathLook,
  type PathNode,
  type PathTest,
  type Sign,
  type TestResult,
  type TestWay,
} from './kinds/supply-path.js';
export {
  MECHANICAL_SIGNS,
  type InsulationTest,
  type MechanicalSign,
  type SignedVerdict,
} from './kinds/verdict.js';
export { parseValue } from './kinds/value.js';
export {
  colorsOf,
  newWire,
  PART_FORMS,
  TERMINATIONS,
  WIRE_COLORS,
  type Part,
  type PartForm,
  type Termination,
  type Wire,
} from './kinds/wire.js';
export { WORKS_DONE, type WorkDone } from './kinds/worked-on.js';
export type { WorthInputs } from './kinds/worth.js';
export {
  compareEvents,
  createLogReader,
  lastChange,
  lastCheckedMeter,
  liveEvents,
  nextClock,
  openPrompt,
  readLog,
  redoDeed,
  structureOf,
  undoDeed,
  withdrawDeed,
  type Log,
} from './log.js';
export {
  liveRecordsOf,
  markingsOf,
  mechanicsOf,
  newestOf,
  notesOf,
  partsOf,
  photosOf,
  sinceWork,
  sistersOf,
  stripStepsOf,
  symptomsOf,
  casesOf,
  oddAnswersOf,
  oddKey,
  insulationTestOf,
  mechanicalSignsOf,
  looksOf,
  wiresOf,
  wiresOffOf,
  bareEndsOf,
  worthOf,
} from './notebook.js';
export { dependentsOf, namedBy } from './references.js';
export { movedAct, strandedActs, type Destinations } from './stranded.js';
export { ageOf, upgradeEvent, versionOf } from './upgrade.js';
export { createWriter, type Writer } from './writer.js';
