import type {
  Adapting,
  BehaviourTrouble,
  Difference,
  DifferenceCode,
  MechanicsAnswer,
  NearMiss,
  OfferFindings,
} from '@which-way/core/match';
import { OF_THE_OLD_ONE } from '@which-way/core/match';
import type { KnownSwitch, SettingId, Structure, TerminalId } from '@which-way/core/switch';
import { settingName, terminalName } from '../terminals.js';
import { MECHANICS_WORDS, mechanicsSaid } from '../tag/wires.js';
import type { Units } from '../units.js';

/** What a difference is; `about` is the name of a load or of a position. */
const WORDS: Record<DifferenceCode, (about: string) => string> = {
  'spring-lost': (at) =>
    `Spring return lost: ${at} sprang back, and here it stays: what stopped on release keeps going.`,
  'spring-unknown': (at) => `You haven’t said whether ${at} springs back: move it there, let go and see.`,
  'load-unsaid': (load) => `You haven’t said how many amps or watts ${load} takes, and at what volts.`,
  'spring-gained': (at) => `${at} stayed put; on this one it springs back.`,
  reversed: () => 'The positions run the other way: the handle turns opposite to the panel markings.',
  'off-moved': (at) =>
    `${at}, where nothing joins, is at another end or in between: OFF isn’t where the hand expects it.`,
  'jumpers-live': (many) =>
    many === '1'
      ? 'One junction is added: it stays live. Insulate and enclose it.'
      : `${many} junctions are added: they stay live. Insulate and enclose each.`,
  'supplies-meet-in-spare': (at) =>
    `In ${at}, a spare position, two supplies meet: a short unless a stop keeps the handle from it.`,
  'supplies-meet-in-passing': () => 'It makes before it breaks: two supplies meet while the handle passes.',
  'in-passing-unknown': () => 'Does it break before it makes? If not, two supplies meet in passing.',
  'makes-before-lost': () =>
    'The old one makes before it breaks. This one breaks first: a gap between positions.',
  'makes-before-unknown': () => 'Does it make before it breaks, as the old one does?',
  'makes-before-old-unknown': () =>
    'This one makes before it breaks. Does the old one? Check it between two positions.',
  restarts: (at) =>
    `${at} started it and sprang back. Here it stays: the machine restarts by itself when power comes back.`,
  'fed-together': (load) =>
    `It makes before it breaks: two speeds of ${load} are powered together while the handle moves.`,
  'fed-together-unknown': (load) =>
    `Does it break before it makes? If not, two speeds of ${load} are powered together while the handle moves.`,
  'left-open': (load) =>
    `It breaks before it makes: ${load}, which must stay closed, opens while the handle moves.`,
  'left-open-unknown': (load) =>
    `Does it make before it breaks? If not, ${load}, which must stay closed, opens while the handle moves.`,
  'ac-rating-on-dc': (load) => `${load}: only AC ratings are stated, and it is DC: the arc may not go out.`,
  'rating-lower': (load) => `${load}: it is rated for less than it takes.`,
  'start-lower': (load) => `${load}: its inrush current exceeds this switch’s rating.`,
  'volts-lower': (load) => `${load}: it is rated for a lower voltage.`,
  'rating-unknown': (load) => `${load}: what is it rated for with such a load, at that voltage, AC or DC?`,
  'minimum-not-reached': (load) => `${load}: it is less than its contacts need to stay clean.`,
  'gold-burns-off': (load) =>
    `${load}: gold contacts are for signals. Under a load like this the gold burns off.`,
  'minimum-unknown': (load) =>
    `${load}: what is its least load? Contacts for large currents may not carry a signal.`,
  'disconnection-lower': () => 'The old one disconnects fully, this one by a smaller gap or electronically.',
  'disconnection-unknown': () => 'Does it disconnect fully, as the old one does?',
  'protection-lower': () => 'It keeps out less dust or water than the old one.',
  'protection-unknown': () => 'How well does it keep out dust and water?',
  'direct-opening-lost': () => 'The old one is forced open by the hand; this one is not.',
  'direct-opening-unknown': () => 'Is it forced open by the hand, as the old one is?',
  'gold-lost': () => 'The old one’s contacts are gold; these are silver and may not carry a signal.',
  'gold-unknown': () => 'Are its contacts gold, as the old one’s are? Silver may not carry a signal.',
  'no-volt-release-unknown': () => 'Does it drop out when power fails, as the old one does?',
  'off-lost': () => 'You said OFF doesn’t matter, so we didn’t check that anything can be switched off.',
  'break-lost': (at) => `At ${at}, where the old one breaks every pole, something stays joined.`,
  'rest-contact-changed': (at) =>
    `At ${at}, where the handle rests, a contact differs from the old one: a stop or a brake may depend on it.`,
  'brake-lost': (load) => `Brake lost: ${load} is no longer braked where it was.`,
  'brake-contact-lost': (at) => `Brake lost: at ${at} the brake contact no longer closes.`,
  'stop-lost': (at) => `Stop lost: at ${at} it no longer opens.`,
  'kill-lost': (at) => `Kill contact lost: at ${at} it no longer stops the engine.`,
  'live-at-off': (load) => `${load} stays live where it was cut off on every side.`,
  'runs-on': (load) => `Stop lost: ${load} runs where it should be stopped.`,
  'load-differs': (load) => `${load} doesn’t do what it should in the machine.`,
  'short-in-machine': (at) => `At ${at} two potentials of the machine meet: a short.`,
  'spare-feeds': (at) => spareFeeds(at, []),
  'contact-differs': (at) => `At ${at}, a contact that doesn’t matter differs.`,
  'no-volt-release-lost': () =>
    'The old one drops out when power fails. This one doesn’t: the machine restarts by itself when power comes back.',
  'earth-lost': () => 'The old one has an earth terminal; this one has none.',
  'earth-unknown': () => 'Does it have an earth terminal and an insulated shaft, as the old one does?',
  'insulated-shaft-lost': () => 'The old one’s shaft is insulated; this one’s is not.',
  'key-lost': () => 'The key does not come out where it came out before.',
  'key-unknown': () => 'Does it have a key, and where does the key come out?',
  'two-wires-in-one': () => 'Two wires share one terminal; here only one fits.',
  'wires-unknown': () => 'May two wires go into one terminal?',
  'brake-to-be-shown': () => 'The old one brakes. Show that this brake contact opens before run makes.',
};

const OF_A_POSITION: ReadonlySet<DifferenceCode> = new Set([
  'restarts',
  'spring-lost',
  'spring-gained',
  'spring-unknown',
  'off-moved',
  'break-lost',
  'rest-contact-changed',
  'contact-differs',
  'short-in-machine',
  'brake-contact-lost',
  'stop-lost',
  'kill-lost',
]);

/** What a position to spare would run. */
const spareFeeds = (position: string, loads: readonly string[]): string =>
  `In ${position}, a spare position, ${loads.length > 0 ? loads.join(' and ') : 'something in the machine'} ${loads.length > 1 ? 'run' : 'runs'}: fit a stop, or accept it.`;

/** What a difference says, positions and loads by their names. */
export function differenceText(
  { code, about }: Difference,
  structure: Structure,
  settings: readonly SettingId[],
  known: KnownSwitch,
): string {
  if (code === 'supplies-meet-in-spare' || code === 'spare-feeds') {
    const [place = '', ...loads] = about.split('|');
    const name = known.positions[Number(place)]?.name ?? `position ${Number(place) + 1}`;
    return code === 'spare-feeds' ? spareFeeds(name, loads) : WORDS[code](name);
  }
  if (!OF_A_POSITION.has(code)) return WORDS[code](about);
  const names = about.split(',').map((place) => {
    const setting = settings[Number(place)];
    return setting ? settingName(structure, setting) : place;
  });
  return WORDS[code](
    names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} or ${names.at(-1)}`,
  );
}

/** What is asked of a seller, each once: what the person alone can answer is not among it. */
export const questionsForSeller = (
  differences: readonly Difference[],
  structure: Structure,
  settings: readonly SettingId[],
  known: KnownSwitch,
): string[] => [
  ...new Set(
    differences.flatMap((one) =>
      one.gravity === 'question' && !OF_THE_OLD_ONE.has(one.code)
        ? [differenceText(one, structure, settings, known)]
        : [],
    ),
  ),
];

/** What a candidate falls short of by one thing. */
export function nearWords(near: NearMiss, structure: Structure, settings: readonly SettingId[]): string {
  switch (near.kind) {
    case 'one-junction-more':
      return 'one more junction, and it does';
    case 'all-but-position': {
      const setting = settings[near.position];
      return `all but ${setting ? settingName(structure, setting) : `position ${near.position + 1}`}`;
    }
    case 'all-but-wire': {
      const terminal = structure.terminals[near.terminal]?.id as TerminalId;
      return `all but what goes to ${terminalName(structure, terminal)}`;
    }
    case 'all-but-contact': {
      const names = near.terminals.flatMap((at) => structure.terminals[at]?.id ?? []);
      return `all but the contact ${names.map((id) => terminalName(structure, id)).join('–')}`;
    }
  }
}

/** The questions of a candidate, to be sent to a seller. */
export const questionsText = (name: string, questions: readonly string[]): string =>
  [`About ${name}:`, ...questions.map((question, at) => `${at + 1}. ${question}`)].join('\n');

export const FIT_WORDS: Record<MechanicsAnswer['kind'], string> = {
  fits: 'fits',
  'can-be-adapted': 'can be adapted',
  'does-not': 'does not fit',
  unknown: 'not known',
};

export const ADAPTING_WORDS: Record<Adapting, string> = {
  'slot-the-holes': 'slot the holes',
  'reduce-the-hole': 'reduce the hole with washers or a plate',
  'open-the-hole': 'open the hole',
  'another-knob': 'another knob, or its hole opened',
  'sleeve-the-shaft': 'a sleeve on the shaft',
  'cut-the-shaft': 'cut the shaft',
  'new-wire-ends': 'new wire ends',
  'room-behind': 'check clearance behind',
};

/** What is asked of a seller about something that must fit. */
export const fitQuestion = ({ field, old }: MechanicsAnswer, units: Units): string =>
  `${MECHANICS_WORDS[field].label}: the old one is ${mechanicsSaid(field, old, units)}. What is it here?`;

/** What speaks against an offer, a line each. */
export function offerConflicts(
  { conflicts, doNotFit, known }: OfferFindings,
  structure: Structure,
  settings: readonly SettingId[],
  units: Units,
): string[] {
  return [
    ...conflicts.map((one) => differenceText(one, structure, settings, known)),
    ...doNotFit.map(
      ({ field, old, fresh }) =>
        `${MECHANICS_WORDS[field].label}: ${mechanicsSaid(field, fresh, units)}, and ${mechanicsSaid(field, old, units)} must fit.`,
    ),
  ];
}

/** Why a behaviour that was written down cannot be read, and what would be right. */
export function behaviourTroubleWords({ code, line, at }: BehaviourTrouble): string {
  switch (code) {
    case 'no-colon':
      return `Line ${line}: “${at}” has no colon. Write the position, a colon, and what joins there: LOW: 1-2.`;
    case 'not-a-join':
      return `Line ${line}: “${at}” isn’t a join. Write terminals with hyphens between: 1-2, or 1-2-5.`;
    case 'nothing-joins':
      return 'Nothing joins in any position. Write at least one join, such as ON: 1-2.';
    case 'too-many':
      return 'Too many terminals or positions: at most 96 and 64.';
  }
}
