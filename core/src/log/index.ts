export {
  ACTS_OF,
  DEED_KINDS,
  deedSchema,
  kindOf,
  looksBack,
  type Deed,
  type DeedKind,
  type DeedOf,
} from './deed.js';
export { JOB_ABOUT, type JobAbout } from './about.js';
export type { JobEvent } from './event.js';
export {
  EXTENTS,
  ORDERS,
  IN_OHMS_APPROACH,
  PLAIN_APPROACH,
  type Approach,
  type HandSeconds,
  type Order,
} from './kinds/map/approach.js';
export { CASES, type Case } from './kinds/before/cases.js';
export { LOAD_SEEN } from './kinds/judge/load-seen.js';
export { CONDUCTS, type Conducts } from './kinds/judge/machine-probed.js';
export { deadReadsOf, loadsLookedOf, partsTriedOf } from './machine-found.js';
export {
  standingKey,
  type LoadLooked,
  type MachinePlace,
  type SettingOfJob,
} from './kinds/several/found-out.js';
export { loadTiesOf, wireEndsOf } from './machine-wiring.js';
export { asAnswered, restOf, restsUnsaid, springAnswersOf } from './rests.js';
export { type SpringAnswer } from './kinds/tag/spring.js';
export { type StandingMark } from './kinds/judge/mark-seen.js';
export { type NamedSource, type Reference } from './kinds/tag/source.js';
export { type LoadEnd, type WireEnd } from './kinds/tag/wire-end.js';
export {
  DEVICE_CONTACTS,
  DEVICE_KINDS,
  type DeviceContact,
  type DeviceKind,
  type DevicePin,
  type SystemDevice,
  type SystemPoint,
} from './kinds/several/system.js';
export { devicesOf, membersOf, pointKey, systemJoinsOf } from './system-notes.js';
export { REFIT_WAYS, type RefitWay } from './kinds/back/putting-back.js';
export {
  JUMPER_OUTCOMES,
  REPORT_PARTS,
  type BeforePower,
  type FunctionLine,
  type FunctionResult,
  type FunctionTry,
  type JumperOutcome,
  type PowerRecord,
  type RefitNote,
  type ReportPart,
  type SignedRefit,
} from './kinds/back/tried.js';
export { LINK_LETTERS, type Offer } from './kinds/judge/offer.js';
export { type Refinement } from './kinds/judge/requirement.js';
export { REQUIREMENT_SOURCES, type ChosenReplacement } from './kinds/judge/chosen.js';
export type { ExpectedTable } from './kinds/judge/expected.js';
export type { ContactLimit } from './kinds/judge/fitness.js';
export { BESIDE_AS, type JobBeside, type BesideAs } from './kinds/judge/beside.js';
export type { Passing } from './kinds/judge/between.js';
export { REPEATED_UNDER, type RepeatedUnder, type RepeatRun } from './kinds/judge/repeat.js';
export type { InPlaceTrial } from './kinds/before/in-place.js';
export {
  loadSchema,
  ampsOf,
  LOAD_KINDS,
  makeOf,
  MAKES_OF,
  POTENTIALS,
  type Load,
  type LoadKind,
  type LoadMake,
  type Potential,
  type Supply,
} from './kinds/tag/supply-and-load.js';
export type { Explanation } from './kinds/map/explanations.js';
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
} from './kinds/before/intake.js';
export { HOW_KNOWN, MECHANICS, type MechanicsFact, type MechanicsField } from './kinds/tag/mechanics.js';
export { meterSchema, ORDINARY_METER, type MeterProfile } from './kinds/map/meter.js';
export { oddKey, type OddAbout, type OddAnswer } from './kinds/judge/odd.js';
export type { Photo, PhotoBox, PhotoPurpose } from './kinds/before/photo.js';
export { firstSetting, namedIn, readingsAsked, sameAsk, type Ask, type Prompt } from './kinds/map/prompt.js';
export type { Lead, Reading, Value } from './kinds/map/reading.js';
export {
  CURRENTS,
  POINT_KINDS,
  type Current,
  type DeadPoint,
  type DeadProof,
  type PointKind,
  type VoltReading,
} from './kinds/before/dead-proof.js';
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
} from './kinds/before/safety.js';
export { FASTENERS, type Fastener, type FastenerKind, type StripStep } from './kinds/tag/strip.js';
export {
  LINK_KINDS,
  type Conductor,
  type LinkKind,
  type PathLink,
  type PathLook,
  type PathNode,
  type PathTest,
  type Sign,
  type TestResult,
  type TestWay,
} from './kinds/before/supply-path.js';
export {
  MECHANICAL_SIGNS,
  WHOLES,
  type MechanicalSign,
  type SignedVerdict,
  type Whole,
} from './kinds/judge/verdict.js';
export { parseValue } from './kinds/map/value.js';
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
} from './kinds/tag/wire.js';
export { WORKS_DONE, type WorkDone } from './kinds/map/worked-on.js';
export type { WorthInputs } from './kinds/before/worth.js';
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
  insulationTestOf,
  liveRecordsOf,
  looksOf,
  mechanicalSignsOf,
  mechanicsOf,
  notesOf,
  oddAnswersOf,
  refinementOf,
  refitNotesOf,
  refitSignedOf,
  reportPhotosOf,
  reportShapeOf,
  ticksOf,
  wiresLaidOf,
  type MechanicalNote,
} from './notebook.js';
export { deedsOf, newestOf, recordsOf } from './records.js';
export { dependentsOf, namedBy } from './references.js';
export { movedAct, strandedActs, type Destinations } from './stranded.js';
export { ageOf, upgradeEvent, versionOf } from './upgrade.js';
export { createWriter, type Writer } from './writer.js';
