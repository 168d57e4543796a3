import type { LinkState, PathOutcome, PathPreset } from '@which-way/core/path';
import type { LinkKind, PathLink } from '@which-way/core/log';

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

export const PRESET_WORDS: Record<PathPreset, string> = {
  heater: 'Heats',
  motor: 'Motor with brushes',
  fan: 'Fan, no brushes',
  lamp: 'Lamp',
  radio: 'Radio, amplifier',
  vehicle: 'Boat or vehicle',
};

export const STATE_WORDS: Record<LinkState, string> = {
  pass: 'passed',
  fail: 'failed',
  unsteady: 'comes and goes',
  'at-rest': 'passed at rest, not flexed',
  suspect: 'suspect: in a stretch that failed',
  'not-tested': 'not tested',
};

export const linkName = ({ kind, name }: PathLink): string => name ?? LINK_WORDS[kind];

/** What the tests say, as a heading and what it means. */
export const OUTCOME_WORDS: Record<PathOutcome, { title: string; about: string }> = {
  empty: { title: 'No path yet', about: 'Take the machine that is nearest, then tap links in and out.' },
  looking: {
    title: 'Still looking',
    about: 'One fault is assumed, as is usual; the tests decide, not the odds.',
  },
  switch: { title: 'It is the switch', about: 'The switch failed a test of its own. Map it to see how.' },
  'switch-and-more': {
    title: 'The switch, and not only the switch',
    about: 'A new switch alone will not mend it. What killed the other may have killed the switch.',
  },
  found: {
    title: 'The fault is elsewhere; the switch is not tested',
    about: 'Test the switch before it goes back, or say so to the owner.',
  },
  'not-the-switch': {
    title: 'Not the switch',
    about: 'The switch passed. Mend what failed, or look outside this path if nothing did.',
  },
  'all-pass': { title: 'All of it passed', about: 'There is no switch in this path.' },
};

/** A stretch in words: one link by its name, more as 'from the first to the last'. */
export function stretchWords(links: readonly PathLink[], ids: readonly string[]): string {
  const named = links.filter(({ id }) => ids.includes(id)).map(linkName);
  return named.length > 1 ? `From ${named[0]} to ${named.at(-1)}` : (named[0] ?? '');
}
