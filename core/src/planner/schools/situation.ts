import type { Chance } from '../chance/chance.js';
import type { Field } from '../field/field.js';
import type { HandCosts, Hands } from '../hands/hands.js';
import type { Move } from '../hands/move.js';

/** What a planner plans from. */
export interface Situation {
  field: Field;
  hands: Hands;
  costs: HandCosts;
  chance: Chance;
}

/** The next move; null when there is nothing left that this planner would ask. */
export type Planner = (situation: Situation) => Move | null;
