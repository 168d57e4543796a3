import type { MatchResult, NoRequirement } from '@which-way/core/match';
import type { KnownSwitch } from '@which-way/core/switch';

const many = (count: number, one: string) => `${count} ${one}${count === 1 ? '' : 's'}`;

/** What came out for a candidate, in a line; `loosened`: something was said not to matter. */
export function resultWords(result: MatchResult, loosened: boolean | 'machine' = false): string {
  switch (result.kind) {
    case 'same-wiring':
    case 'fits-so-far': {
      const extras = [
        result.jumpers > 0 ? `with ${many(result.jumpers, 'added junction')}` : '',
        result.between.length > 0 ? many(result.between.length, 'position') + ' between' : '',
        result.order === 'reversed' ? 'positions in reverse order' : '',
        result.sparePositions.length > 0 ? many(result.sparePositions.length, 'spare position') : '',
        result.spareTerminals.length > 0 ? many(result.spareTerminals.length, 'terminal') + ' left over' : '',
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
          return 'no: what springs back and what stays is otherwise';
        case 'wiring':
          return 'no: no naming of its terminals gives this wiring, in either direction';
      }
  }
}

/** Why there is nothing to match. */
export const NO_REQUIREMENT_WORDS: Record<NoRequirement, string> = {
  'nothing-mapped': 'The switch is not mapped yet.',
  'nothing-joins': 'No contact is known yet: nothing joins in any position.',
  'more-than-one-actuator': 'This switch has more than one handle: not compared in this version.',
  'too-many-positions': 'This switch has more than 32 positions: not compared in this version.',
  'nothing-expected': 'Nobody has said what it should do: Verify is the place for that.',
  'no-position-matters': 'Every position was said not to matter.',
  'nothing-of-another': 'Choose the job or the entry that it should do as.',
  'no-machine':
    'No load is on a wire yet: say at Wires and jumpers where each wire ends. And what the switch should do has to be known in full.',
  working: 'It is being worked out what matters to the machine.',
  'too-many-wires':
    'More than 8 terminals carry wires: what matters to the machine is not worked out for so many.',
  'took-too-long': 'It took more than 2 seconds to work out what matters to the machine, and was given up.',
  disputed: 'Readings contradict. Settle that on the Map first: no match is built on a dispute.',
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
