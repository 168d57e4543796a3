import type { Deed } from '@which-way/core/log';
import type { StructureChange } from '@which-way/core/switch';

/** What an event is, for a person who reads that it was refused. */
const WORDS: Record<Deed['kind'], string> = {
  answered: 'readings',
  withdrawn: 'an undo',
  restored: 'a redo',
  superseded: 'a reading put in the place of another',
  restructured: 'a change of the switch',
  explained: 'what a middle reading is',
  assumed: 'an assumption',
  'part-declared': 'a part or jumper',
  'meter-checked': 'a meter check',
  'meter-failed': 'a failed meter check',
  'prompt-shown': 'a prompt',
  skipped: 'a prompt passed over',
  approached: 'how to map',
  'recheck-begun': 'the begin of a re-check',
  'return-begun': 'the begin of the way back',
  'pairs-named': 'the pairs of a quick check',
  'clips-touched': 'clips that were touched',
  expected: 'the expected table',
  chosen: 'the chosen replacement',
  noted: 'a note',
  transcribed: 'a marking',
  'sister-noted': 'a sister switch',
  'photo-taken': 'a photo',
  'worth-noted': 'the sum of repair or replace',
  'safety-begun': 'a safety list',
  'safety-answered': 'an answer of the safety list',
  'safety-signed': 'the signature of the safety list',
  're-energised': 'that it had power again',
  'live-recorded': 'a live record',
  'wires-off': 'whether the wires are off',
  'path-laid': 'the supply path',
  'path-tested': 'a test of the supply path',
  'wire-tagged': 'a wire',
  stripped: 'a step of the strip log',
  measured: 'a measure of what must fit',
  signed: 'a signature',
  'left-out': 'something left out',
  'safety-answered-together': 'answers of the safety list',
  'terminal-looked': 'what a terminal looks like',
  'insulation-tested': 'a test of the insulation',
  'offer-noted': 'what somebody offers',
  'wire-ended': 'where a wire ends',
  'load-tied': 'where an end of a load goes',
  'loads-seen': 'what the loads did',
  'mechanics-noted': 'what was seen of the mechanics',
  'verdict-signed': 'the signature of the verdict',
  'worked-on': 'that it was worked on',
  'limit-set': 'by what contacts are judged',
  'drop-measured': 'the drop of a contact',
  'contact-repeated': 'a contact worked again and again',
  'passing-probed': 'what was seen between two positions',
  'tried-in-place': 'a pair watched in the machine',
  'supply-named': 'a supply',
  'load-named': 'a load',
  'requirement-refined': 'what a replacement has to do',
  'put-beside': 'another switch beside this one',
  'odd-answered': 'whether something odd is meant',
  'case-noted': 'a case of the trade',
  'symptoms-said': 'what kind of complaint it is',
  'path-looked': 'what was seen of the supply path',
  'meter-ranged': 'the range of the meter',
  'ends-capped': 'what was done about bare ends',
};

const CHANGES: Record<StructureChange['change'], string> = {
  described: 'the description of the switch',
  'terminal-added': 'one more lug',
  'terminal-renamed': 'the name of a lug',
  relabelled: 'the labels of the lugs',
  'terminal-role': 'what a lug is',
  'terminal-retired': 'a lug taken away',
  'position-added': 'one more position',
  'position-renamed': 'the name of a position',
  'position-posed': 'how a position rests',
  'position-retired': 'a position taken away',
  'position-merged': 'two positions put together',
  'positions-closed': 'that there are no more positions',
  'actuator-described': 'what the handle is',
  'actuator-added': 'one more handle',
  'setting-added': 'one more setting',
  'setting-needed': 'whether a setting matters',
  'laid-out': 'how the lugs lie',
  placed: 'where lugs lie',
};

/** What an event is, in a few words. */
export const deedWords = (what: Deed): string =>
  what.kind === 'restructured' ? CHANGES[what.change.change] : WORDS[what.kind];

/** What is wrong, without the place in the event, which says nothing to a person. */
export function wrongWords({ message, path }: { message: string; path: string }): string {
  const place = `${path}: `;
  return path !== '' && message.startsWith(place) ? message.slice(place.length) : message;
}
