import type { Chance } from './chance.js';
import type { Field } from './field.js';
import type { HandCosts, Hands } from './hands.js';
import type { Move } from './move.js';

/** What a planner plans from. */
export interface Situation {
  field: Field;
  hands: Hands;
  costs: HandCosts;
  chance: Chance;
}

/** The next move; null when there is nothing left that this planner would ask. */
export type Planner = (situation: Situation) => Move | null;
