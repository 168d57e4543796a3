import type { Difference, DifferenceCode, Gravity, NearMiss } from '@which-way/core/match';
import type { KnownSwitch, SettingId, Structure, TerminalId } from '@which-way/core/switch';
import { settingName, terminalName } from './terminals.js';

export const GRAVITY_WORDS: Record<Gravity, string> = {
  safety: 'Safety',
  difference: 'Differs',
  question: 'Ask the seller',
};

/** What a difference is; `about` is the name of a load or of a position. */
const WORDS: Record<DifferenceCode, (about: string) => string> = {
  'spring-lost': (at) => `${at} sprang back, and here it stays: what stopped on release goes on.`,
  'spring-gained': (at) => `${at} stayed, and here it springs back.`,
  reversed: () => 'The positions run the other way: the handle turns against what is written on the machine.',
  'off-moved': (at) =>
    `${at}, where nothing joins, lies at another end or between: the hand finds OFF elsewhere.`,
  'jumpers-live': (many) =>
    `${many === '1' ? 'One junction is' : `${many} junctions are`} added: they stay live, each has to be insulated and enclosed.`,
  'supplies-meet-in-spare': (at) =>
    `In ${at}, which is to spare, two supplies meet: a short unless a stop keeps the handle from it.`,
  'supplies-meet-in-passing': () => 'It makes before it breaks: two supplies meet while the handle passes.',
  'in-passing-unknown': () => 'Does it break before it makes? If not, two supplies meet in passing.',
  'ac-rating-on-dc': (load) =>
    `${load}: only figures for AC are stated, and it is DC: an arc that does not go out.`,
  'rating-lower': (load) => `${load}: it is rated for less than it takes.`,
  'volts-lower': (load) => `${load}: it is rated for a lower voltage.`,
  'rating-unknown': (load) => `${load}: what is it rated for with such a load, at that voltage, AC or DC?`,
  'minimum-not-reached': (load) => `${load}: it is less than its contacts need to stay clean.`,
  'minimum-unknown': (load) =>
    `${load}: what is its least load? Contacts for large currents may not carry a signal.`,
  'disconnection-lower': () => 'The old one disconnects fully, this one by a smaller gap or electronically.',
  'disconnection-unknown': () => 'Does it disconnect fully, as the old one does?',
  'protection-lower': () => 'It keeps out less dust or water than the old one.',
  'protection-unknown': () => 'How well does it keep out dust and water?',
  'direct-opening-lost': () => 'The old one is forced open by the hand; this one is not.',
  'no-volt-release-lost': () => 'The old one falls off when the supply fails; this one does not.',
  'earth-lost': () => 'The old one has an earth terminal; this one has none.',
  'earth-unknown': () => 'Has it an earth terminal, and an insulated shaft, as the old one has?',
  'insulated-shaft-lost': () => 'The old one’s shaft is insulated; this one’s is not.',
  'key-lost': () => 'The key does not come out where it came out before.',
  'key-unknown': () => 'Has it a key, and where does that come out?',
  'two-wires-in-one': () => 'Two wires sit on one terminal; here only one may.',
  'wires-unknown': () => 'May two wires go into one terminal?',
  'brake-to-be-shown': () =>
    'The old one brakes: it has to be shown that this brake contact opens before run makes.',
};

/** What a difference says, positions and loads by their names. */
export function differenceText(
  { code, about }: Difference,
  structure: Structure,
  settings: readonly SettingId[],
  known: KnownSwitch,
): string {
  const setting = settings[Number(about)];
  if (code === 'supplies-meet-in-spare') {
    const place = Number(about);
    return WORDS[code](known.positions[place]?.name ?? `position ${place + 1}`);
  }
  const place = code === 'spring-lost' || code === 'spring-gained' || code === 'off-moved';
  return WORDS[code](place && setting ? settingName(structure, setting) : about);
}

/** What a candidate falls short of by one thing. */
export function nearWords(near: NearMiss, structure: Structure, settings: readonly SettingId[]): string {
  switch (near.kind) {
    case 'one-junction-more':
      return 'one added junction more, and it does';
    case 'all-but-position': {
      const setting = settings[near.position];
      return `all but ${setting ? settingName(structure, setting) : `position ${near.position + 1}`}`;
    }
    case 'all-but-wire': {
      const terminal = structure.terminals[near.terminal]?.id as TerminalId;
      return `all but what goes on ${terminalName(structure, terminal)}`;
    }
  }
}

/** The questions of a candidate, to be sent to a seller. */
export const questionsText = (name: string, questions: readonly string[]): string =>
  [`About ${name}:`, ...questions.map((question, at) => `${at + 1}. ${question}`)].join('\n');
