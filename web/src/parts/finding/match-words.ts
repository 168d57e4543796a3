import type { MatchResult, NoRequirement } from '@which-way/core/match';
import type { KnownSwitch } from '@which-way/core/switch';
import { MATCH_WORDS_TEXT } from '@which-way/words/screens/parts/finding/match-words';

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
        result.spareTerminals.length > 0
          ? MATCH_WORDS_TEXT.leftOver(many(result.spareTerminals.length, 'terminal'))
          : '',
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
  'nothing-mapped': MATCH_WORDS_TEXT.theSwitchIsNotMapped,
  'nothing-joins': MATCH_WORDS_TEXT.noContactIsKnownYet,
  'more-than-one-actuator': MATCH_WORDS_TEXT.thisSwitchHasMoreThan,
  'too-many-positions': MATCH_WORDS_TEXT.thisSwitchHasMoreThan2,
  'nothing-expected': MATCH_WORDS_TEXT.nobodyHasSaidWhatIt,
  'no-position-matters': MATCH_WORDS_TEXT.everyPositionWasSaidNot,
  'nothing-of-another': MATCH_WORDS_TEXT.chooseTheJobOrThe,
  'no-machine': MATCH_WORDS_TEXT.noLoadIsOnA,
  working: MATCH_WORDS_TEXT.itIsBeingWorkedOut,
  'too-many-wires': MATCH_WORDS_TEXT.moreThanTerminalsCarryWires,
  'took-too-long': MATCH_WORDS_TEXT.itTookMoreThanSeconds,
  disputed: MATCH_WORDS_TEXT.readingsContradictSettleThatOn,
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
