import { answered, superseded } from './map/answers.js';
import {
  approached,
  clipsDoubted,
  ohmsAsked,
  clipsTouched,
  pairsNamed,
  recheckBegun,
  returnBegun,
} from './map/approach.js';
import { caseNoted, terminalLooked } from './before/cases.js';
import { chosen } from './judge/chosen.js';
import { expected } from './judge/expected.js';
import { dropMeasured, limitSet } from './judge/fitness.js';
import { assumed, explained } from './map/explanations.js';
import { noted, sisterNoted, symptomsSaid, transcribed } from './before/intake.js';
import { leftOut } from './left-out.js';
import { measured } from './tag/mechanics.js';
import { meterChecked, meterFailed, meterRanged } from './map/meter.js';
import { oddAnswered } from './judge/odd.js';
import { photoTaken } from './before/photo.js';
import { promptShown, skipped } from './map/prompt.js';
import { restructured } from './restructured.js';
import {
  endsCapped,
  liveRecorded,
  reEnergised,
  safetyAnswered,
  safetyAnsweredTogether,
  safetyBegun,
  safetySigned,
  wiresOff,
} from './before/safety.js';
import { signed } from './signed.js';
import { stripped } from './tag/strip.js';
import { pathLaid, pathLooked, pathTested } from './before/supply-path.js';
import { insulationTested, mechanicsNoted, verdictSigned } from './judge/verdict.js';
import { restored, withdrawn } from './undo.js';
import { partDeclared, wireTagged } from './tag/wire.js';
import { loadTied, wireEnded } from './tag/wire-end.js';
import { contactRepeated } from './judge/repeat.js';
import { passingProbed } from './judge/between.js';
import { loadsSeen, partTried } from './judge/load-seen.js';
import { offerNoted } from './judge/offer.js';
import { requirementRefined } from './judge/requirement.js';
import { putBeside } from './judge/beside.js';
import { triedInPlace } from './before/in-place.js';
import { checkRead, lineTicked, refitBegun, wireLaid } from './back/putting-back.js';
import {
  functionAsked,
  functionTried,
  jumperTested,
  powerRecorded,
  refitNoted,
  refitSigned,
  reportShaped,
  residualNoted,
} from './back/tried.js';
import { machineProbed } from './judge/machine-probed.js';
import {
  systemDevice,
  systemJoined,
  systemLooked,
  systemMember,
  systemPartTried,
  systemProbed,
} from './several/system.js';
import { machineLooked, machinePartTried, machineRead, interlockSaid } from './several/found-out.js';
import { markSeen } from './judge/mark-seen.js';
import { springAnswered } from './tag/spring.js';
import { sourceNamed } from './tag/source.js';
import { loadNamed, supplyNamed } from './tag/supply-and-load.js';
import { workedOn } from './map/worked-on.js';
import { worthNoted } from './before/worth.js';

/** Every kind of event there is or was: one that is no longer written stays here, and stays readable. */
export const KINDS = {
  answered: answered,
  withdrawn: withdrawn,
  restored: restored,
  superseded: superseded,
  restructured: restructured,
  explained: explained,
  assumed: assumed,
  'part-declared': partDeclared,
  'meter-checked': meterChecked,
  'meter-failed': meterFailed,
  'prompt-shown': promptShown,
  skipped: skipped,
  approached: approached,
  'recheck-begun': recheckBegun,
  'return-begun': returnBegun,
  'pairs-named': pairsNamed,
  'clips-touched': clipsTouched,
  expected: expected,
  chosen: chosen,
  noted: noted,
  transcribed: transcribed,
  'sister-noted': sisterNoted,
  'photo-taken': photoTaken,
  'worth-noted': worthNoted,
  'safety-begun': safetyBegun,
  'safety-answered': safetyAnswered,
  'safety-signed': safetySigned,
  're-energised': reEnergised,
  'live-recorded': liveRecorded,
  'wires-off': wiresOff,
  'path-laid': pathLaid,
  'path-tested': pathTested,
  'wire-tagged': wireTagged,
  stripped: stripped,
  measured: measured,
  signed: signed,
  'left-out': leftOut,
  'safety-answered-together': safetyAnsweredTogether,
  'ends-capped': endsCapped,
  'meter-ranged': meterRanged,
  'path-looked': pathLooked,
  'symptoms-said': symptomsSaid,
  'terminal-looked': terminalLooked,
  'case-noted': caseNoted,
  'odd-answered': oddAnswered,
  'worked-on': workedOn,
  'limit-set': limitSet,
  'insulation-tested': insulationTested,
  'mechanics-noted': mechanicsNoted,
  'verdict-signed': verdictSigned,
  'drop-measured': dropMeasured,
  'contact-repeated': contactRepeated,
  'passing-probed': passingProbed,
  'tried-in-place': triedInPlace,
  'supply-named': supplyNamed,
  'load-named': loadNamed,
  'put-beside': putBeside,
  'requirement-refined': requirementRefined,
  'offer-noted': offerNoted,
  'wire-ended': wireEnded,
  'load-tied': loadTied,
  'loads-seen': loadsSeen,
  'part-tried': partTried,
  'system-member': systemMember,
  'system-device': systemDevice,
  'system-joined': systemJoined,
  'source-named': sourceNamed,
  'spring-answered': springAnswered,
  'machine-looked': machineLooked,
  'machine-part-tried': machinePartTried,
  'machine-read': machineRead,
  'system-looked': systemLooked,
  'system-part-tried': systemPartTried,
  'refit-begun': refitBegun,
  'line-ticked': lineTicked,
  'check-read': checkRead,
  'power-recorded': powerRecorded,
  'jumper-tested': jumperTested,
  'function-tried': functionTried,
  'function-asked': functionAsked,
  'residual-noted': residualNoted,
  'refit-noted': refitNoted,
  'refit-signed': refitSigned,
  'report-shaped': reportShaped,
  'machine-probed': machineProbed,
  'system-probed': systemProbed,
  'wire-laid': wireLaid,
  'clips-doubted': clipsDoubted,
  'ohms-asked': ohmsAsked,
  'interlock-said': interlockSaid,
  'mark-seen': markSeen,
} as const;
