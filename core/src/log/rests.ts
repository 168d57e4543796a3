import {
  type Actuator,
  type Position,
  type PositionId,
  springSuggested,
  type Structure,
} from '../switch/index.js';
import type { SpringAnswer } from './kinds/tag/spring.js';
import type { Log } from './log.js';
import { recordsOf } from './records.js';

/** How a position rests: as it is meant, and whether it was found otherwise. */
export interface Rest {
  rests: 'maintained' | 'momentary' | 'not-said';
  /** Where it springs to; null: it stays, or nobody has said where to. */
  returnsTo: PositionId | null;
  /** It is meant to spring back, and stayed where it was pushed: a broken spring. Or the other way round. */
  broken: boolean;
}

/** How a position rests. Where the form suggests that it springs back, 'stays' counts once a person has said it. */
export function restOf(actuator: Actuator, position: Position, answers: readonly SpringAnswer[]): Rest {
  const answer = answers.find((one) => one.position === position.id);
  if (answer) {
    const meant = answer.meant === undefined ? answer.found : answer.meant;
    return {
      rests: meant === null ? 'maintained' : 'momentary',
      returnsTo: meant,
      broken: (meant === null) !== (answer.found === null),
    };
  }
  const { rests, returnsTo } = position;
  if (rests === 'momentary') return { rests, returnsTo, broken: false };
  const open = springSuggested(actuator, position) !== null;
  return { rests: open ? 'not-said' : 'maintained', returnsTo: null, broken: false };
}

/** What the log has of positions that were let go. */
export const springAnswersOf = (log: Log): SpringAnswer[] => recordsOf(log, 'spring-answered');

/**
 * A switch with its positions as a person answered them: as they are meant to rest, or as they were found. The very same where nobody
 * answered anything.
 */
export function asAnswered(structure: Structure, log: Log, as: 'meant' | 'found' = 'meant'): Structure {
  const answers = new Map(springAnswersOf(log).map((one) => [one.position, one]));
  if (answers.size === 0) return structure;
  const rested = (position: Position): Position => {
    const answer = answers.get(position.id);
    if (!answer) return position;
    const returnsTo = as === 'found' || answer.meant === undefined ? answer.found : answer.meant;
    return { ...position, rests: returnsTo === null ? 'maintained' : 'momentary', returnsTo };
  };
  const actuators = structure.actuators.map((one) => ({ ...one, positions: one.positions.map(rested) }));
  return { ...structure, actuators };
}

/** Positions of which the form suggests that they may spring back, and nobody has said whether they do. */
export function restsUnsaid({ actuators }: Structure, log: Log): Set<PositionId> {
  const answers = springAnswersOf(log);
  return new Set(
    actuators.flatMap((actuator) =>
      actuator.positions
        .filter((position) => restOf(actuator, position, answers).rests === 'not-said')
        .map(({ id }) => id),
    ),
  );
}
