import { answered, superseded } from './answers.js';
import { approached, clipsTouched, pairsNamed, recheckBegun, returnBegun } from './approach.js';
import { caseNoted, terminalLooked } from './cases.js';
import { chosen } from './chosen.js';
import { expected } from './expected.js';
import { dropMeasured, limitSet } from './fitness.js';
import { assumed, explained } from './explanations.js';
import { noted, sisterNoted, symptomsSaid, transcribed } from './intake.js';
import { leftOut } from './left-out.js';
import { measured } from './mechanics.js';
import { meterChecked, meterFailed, meterRanged } from './meter.js';
import { oddAnswered } from './odd.js';
import { photoTaken } from './photo.js';
import { promptShown, skipped } from './prompt.js';
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
} from './safety.js';
import { signed } from './signed.js';
import { stripped } from './strip.js';
import { pathLaid, pathLooked, pathTested } from './supply-path.js';
import { insulationTested, mechanicsNoted, verdictSigned } from './verdict.js';
import { restored, withdrawn } from './undo.js';
import { partDeclared, wireTagged } from './wire.js';
import { workedOn } from './worked-on.js';
import { worthNoted } from './worth.js';

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
} as const;
