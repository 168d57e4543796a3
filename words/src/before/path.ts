import type {
  ExpectedOhms,
  Likelihood,
  LinkState,
  PathOutcome,
  PathPreset,
  PathVerdict,
} from '@which-way/core/path';
import type { LinkKind, PathLink, Sign, TestWay } from '@which-way/core/log';
import { ohms } from '../quantity.js';

export const LINK_WORDS: Record<LinkKind, string> = {
  plug: 'Plug',
  fuse: 'Fuse',
  battery: 'Battery',
  cord: 'Cord',
  terminals: 'Terminals',
  switch: 'Switch',
  electronics: 'Electronics',
  motor: 'Motor',
  brushes: 'Brushes',
  element: 'Element',
  lamp: 'Lamp',
  coil: 'Coil',
  suppressor: 'Suppressor',
  earth: 'Earth',
};

export const PATH_PRESET_WORDS: Record<PathPreset, string> = {
  heater: 'Heater',
  motor: 'Motor with brushes',
  fan: 'Fan, no brushes',
  lamp: 'Lamp',
  radio: 'Radio, amplifier',
  vehicle: 'Boat or vehicle',
};

export const STATE_WORDS: Record<LinkState, string> = {
  pass: 'passed',
  fail: 'failed',
  seen: 'visibly faulty',
  leaks: 'short or leak',
  unsteady: 'comes and goes',
  'at-rest': 'passed at rest, not flexed',
  unproved: 'passed, not in ohms by itself',
  suspect: 'suspect',
  'not-tested': 'not tested',
};

/** What a link is called; on the way back that is said. */
export const linkName = ({ kind, name, conductor }: PathLink): string =>
  `${name ?? LINK_WORDS[kind]}${conductor === 'return' ? ', return' : ''}`;

export const SIGN_WORDS: Record<Sign, { look: string; fault: string }> = {
  'pins-burnt': { look: 'Pins clean and bright', fault: 'pins burnt' },
  'insulation-nicked': { look: 'Insulation whole', fault: 'insulation nicked' },
  'screw-loose': { look: 'Screws tight', fault: 'screw loose' },
  'wire-broken': { look: 'Wires whole', fault: 'wire broken' },
  'fuse-blown': { look: 'Fuse wire whole', fault: 'fuse blown' },
  'spring-off': { look: 'Spring seated', fault: 'spring off its seat' },
  'brush-stuck': { look: 'Brush free in its holder', fault: 'brush stuck' },
  'brush-short': { look: 'Brush long enough', fault: 'brush worn short' },
  commutator: { look: 'Commutator smooth and clean', fault: 'commutator burnt or grooved' },
  'contact-pitted': { look: 'Contacts clean', fault: 'contact pitted or burnt' },
  charred: { look: 'Nothing charred', fault: 'charred' },
  dust: { look: 'Free of dust', fault: 'full of dust' },
  jammed: { look: 'Moves freely', fault: 'jammed' },
  'rotor-out': { look: 'Rotor in register', fault: 'rotor out of register' },
  broken: { look: 'Whole', fault: 'broken' },
  leaking: { look: 'Dry, not swollen', fault: 'leaking or swollen' },
};

/** How likely a test passes, as one says it. */
export const LIKELY_WORDS: Record<Likelihood, string> = {
  'very-likely': 'very likely to pass',
  likely: 'likely to pass',
  even: 'as likely to pass as to fail',
  unlikely: 'likely to fail',
  'very-unlikely': 'very likely to fail',
};

export const WAY_WORDS: Record<TestWay, string> = {
  through: 'from end to end',
  across: 'to the other conductor',
  'to-earth': 'to earth',
};

/** What a load should read, and where that comes from. */
export const expectedWords = ({ low, high, by }: ExpectedOhms): string =>
  `${ohms(low)} to ${ohms(high)}, cold${by === 'nameplate' ? ', by its nameplate' : ', as such loads usually do (common practice)'}`;

/** Faults that were seen or leak, in words: 'brushes: spring off its seat'. */
export function foundWords(links: readonly PathLink[], { seen, leaks }: PathVerdict): string[] {
  const name = (id: string) =>
    links
      .filter((link) => link.id === id)
      .map(linkName)
      .join();
  return [
    ...seen.map(({ link, sign }) => `${name(link)}: ${SIGN_WORDS[sign].fault}`),
    ...leaks.map(({ link, way }) => `${name(link)}: not open ${WAY_WORDS[way]}`),
  ];
}

/** What the tests say, as a heading and what it means. */
export const PATH_OUTCOME_WORDS: Record<PathOutcome, { title: string; about: string }> = {
  empty: { title: 'No path yet', about: 'Pick the closest machine, then add or remove parts.' },
  looking: {
    title: 'Still looking',
    about: 'One fault is assumed, as is usual; only tests decide.',
  },
  switch: { title: 'It is the switch', about: 'The switch failed a test of its own. Map it to see how.' },
  'switch-and-more': {
    title: 'The switch, and something else',
    about: 'A new switch alone won’t fix it. What killed the other may have killed the switch.',
  },
  found: {
    title: 'The fault is elsewhere; the switch isn’t proven yet',
    about: 'Measure the switch by itself in ohms before it goes back, or tell the owner.',
  },
  'not-the-switch': {
    title: 'Not the switch',
    about: 'The switch passed by itself in ohms. Fix what failed, or look outside this path.',
  },
  'all-pass': { title: 'Everything passed', about: 'There is no switch in this path.' },
};

/** A stretch in words: one link by its name, more as 'from the first to the last'. */
export function stretchWords(links: readonly PathLink[], ids: readonly string[]): string {
  const named = links.filter(({ id }) => ids.includes(id)).map(linkName);
  return named.length > 1 ? `From ${named[0]} to ${named.at(-1)}` : (named[0] ?? '');
}
