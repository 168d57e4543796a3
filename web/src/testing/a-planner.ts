import type { PlannerAnswer, PlannerQuestion } from '../pages/map/probing/planner.worker.js';

/** A planner beside the screen that does nothing by itself: what it was asked, and a way to let it answer or break. */
export class FakePlanner {
  static made: FakePlanner[] = [];
  readonly asked: PlannerQuestion[] = [];
  ended = false;

  constructor(
    readonly answered: (answer: PlannerAnswer) => void,
    readonly broke: () => void,
  ) {
    FakePlanner.made.push(this);
  }

  ask(question: PlannerQuestion): void {
    this.asked.push(structuredClone(question));
  }

  end(): void {
    this.ended = true;
  }
}

/** The newest one that was opened. */
export function thePlanner(): FakePlanner {
  const newest = FakePlanner.made.at(-1);
  if (!newest) throw new Error('no planner was opened');
  return newest;
}
