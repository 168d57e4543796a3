import type { MatchResult, NoRequirement } from '@which-way/core/match';
import type { KnownSwitch } from '@which-way/core/switch';
import { plural as many } from '../plural.js';

/** What came out for a candidate, in a line; `loosened`: something was said not to matter. */
export function resultWords(result: MatchResult, loosened: boolean | 'machine' = false): string {
  switch (result.kind) {
    case 'same-wiring':
    case 'fits-so-far': {
      const extras = [
        result.jumpers > 0 ? `with ${many(result.jumpers, 'added junction')}` : '',
        result.between.length > 0 ? `${many(result.between.length, 'position')} in between` : '',
        result.order === 'reversed' ? 'positions in reverse order' : '',
        result.sparePositions.length > 0 ? many(result.sparePositions.length, 'spare position') : '',
        result.spareTerminals.length > 0 ? `${many(result.spareTerminals.length, 'terminal')} left over` : '',
      ].filter(Boolean);
      const same =
        loosened === 'machine'
          ? 'does the same in this machine, not the same switch'
          : loosened
            ? 'does what matters'
            : 'same wiring';
      const head = result.kind === 'same-wiring' ? same : 'not ruled out by what is known';
      return [head, ...extras].join('; ');
    }
    case 'undecided':
      return result.because === 'search-cap'
        ? `undecided: the search stopped after ${result.steps} steps`
        : 'undecided: too many wires or positions for this search';
    case 'no':
      switch (result.because) {
        case 'too-few-terminals':
          return `no: ${many(result.has, 'terminal')}, ${result.needed} are needed`;
        case 'too-few-positions':
          return `no: ${many(result.has, 'position')}, ${result.needed} are needed`;
        case 'spares':
          return `no: ${many(result.has, 'position')}, and none may be to spare`;
        case 'returns':
          return 'no: it springs back or stays in different positions';
        case 'wiring':
          return 'no: it can’t do this, however its terminals are named';
      }
  }
}

/** Why there is nothing to match. */
export const NO_REQUIREMENT_WORDS: Record<NoRequirement, string> = {
  'nothing-mapped': 'The switch is not mapped yet.',
  'nothing-joins': 'No contact is known yet: nothing joins in any position.',
  'more-than-one-actuator': 'This switch has more than one handle: not compared in this version.',
  'too-many-positions': 'This switch has more than 64 positions: not compared in this version.',
  'nothing-expected': 'You haven’t said what it should do. Do that at Verify.',
  'no-position-matters': 'You said that no position matters.',
  'nothing-of-another': 'Choose the job or entry it should match.',
  'no-machine':
    'No wire leads to a load yet: enter where each wire ends at Wires and jumpers. What the switch should do must also be fully known.',
  working: 'Calculating what matters to the machine…',
  'too-many-wires':
    'More than 8 terminals carry wires: that’s too many to calculate what matters to the machine.',
  'took-too-long': 'Calculating what matters to the machine took over 2 seconds and was stopped.',
  disputed: 'Readings disagree. Settle that on the Map first: no match is built on a dispute.',
};

/** What a candidate's position is called. */
export function positionName(known: KnownSwitch, index: number): string {
  return known.positions[index]?.name ?? `position ${index + 1}`;
}

/** What a position that is left over joins. */
export function spareWords(known: KnownSwitch, index: number): string {
  const joined = known.positions[index]?.joined ?? [];
  const what =
    joined.length === 0 ? 'joins nothing' : `joins ${joined.map((group) => group.join('–')).join(', ')}`;
  return `${positionName(known, index)} ${what}`;
}
