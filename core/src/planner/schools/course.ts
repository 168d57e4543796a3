import { PairMarks } from '../../partition/index.js';
import { emptyState } from '../../continuity/index.js';
import { learntChance, type Chance } from '../chance/chance.js';
import { playMove, type Field } from '../field/field.js';
import { costOf, type HandCosts, type Hands } from '../hands/hands.js';
import type { Move } from '../hands/move.js';
import type { Planner } from './situation.js';

/** What mapping took, or will take. */
export interface Course {
  acts: number;
  readings: number;
  touches: number;
  seconds: number;
  /** Where the hands are at the end. */
  hands: Hands;
}

/** Who maps, and what is true. */
export interface CourseSetup {
  /** Where the hands are at first. */
  hands: Hands;
  costs: HandCosts;
  planner: Planner;
  /** Whether two terminals join in a setting, by place. */
  joined: (setting: number, a: number, b: number) => boolean;
}

/** How a course is run. */
export interface CourseOptions {
  /** Predictions from outside; the learnt chance otherwise. */
  chance?: (field: Field) => Chance;
  /** Infer from low bundles as deeply as the map does. */
  deep?: boolean;
  /** Acts after which it ends, whether done or not. */
  mostActs?: number;
  /** Called before each move is made. */
  onMove?: (move: Move, field: Field) => void;
}

/**
 * Runs a planner on a switch whose nets are known (or supposed) until it asks nothing more; changes the field in place.
 */
export function runCourse(
  field: Field,
  { hands, costs, planner, joined }: CourseSetup,
  { chance = learntChance, deep = false, mostActs = 20000, onMove }: CourseOptions = {},
): Course {
  const course: Course = { acts: 0, readings: 0, touches: 0, seconds: 0, hands };
  const held = (setting: number) => field.settings[setting]?.held ?? false;
  while (course.acts < mostActs) {
    const move = planner({ field, hands: course.hands, costs, chance: chance(field) });
    if (!move) break;
    onMove?.(move, field);
    const touched = playMove(field, move, joined, deep);
    if (!touched) throw new Error('the truth contradicts what was known of it');
    const { seconds, touches, after } = costOf(move, course.hands, costs, held, touched);
    course.acts += 1;
    course.readings += touched.length;
    course.seconds += seconds;
    course.touches += touches;
    course.hands = after;
  }
  return course;
}

/** A switch of which nothing is known yet: every terminal a contact, every setting required. */
export function blankField(size: number, settings: number): Field {
  return {
    size,
    places: Array.from({ length: size }, (_, place) => place),
    settings: Array.from({ length: settings }, () => ({
      nets: emptyState(size),
      clauses: [],
      leaveOut: PairMarks.none(size),
      held: false,
      pairsOnly: false,
    })),
    bundles: { all: 0, low: 0 },
  };
}
