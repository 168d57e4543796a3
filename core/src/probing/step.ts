import type { Ask, Deed, Value } from '../log/index.js';
import type { NewId, PromptId, SettingId, TerminalId } from '../switch/index.js';
import { idleHands, type ProbingHands } from './hands.js';
import type { Measurement } from './measurement.js';
import type { Message } from './message.js';
import type { Moment } from './moment.js';

/** What an act came to: the hands after it, what goes into the log, and what is wanted of the meter. */
export interface ProbingStep {
  hands: ProbingHands;
  deeds: Deed[];
  wants: Measurement | null;
}

/** Where the machine gets what it has not: ids. */
export interface Means {
  newId: NewId;
}

/** Does one act in one moment. */
export type Doing<Act> = (moment: Moment, act: Act, means: Means) => ProbingStep;

/** Nothing happened but what is said. */
export const saysOnly = ({ hands }: Moment, message: Message): ProbingStep => ({
  hands: { ...hands, message },
  deeds: [],
  wants: null,
});

/** The hands after something else than an answer. */
export const handsAre = ({ hands }: Moment, change: Partial<ProbingHands>): ProbingStep => ({
  hands: { ...hands, ...change },
  deeds: [],
  wants: null,
});

/** Something is written down, and what was begun is done with. */
export const writes = ({ hands }: Moment, ...deeds: Deed[]): ProbingStep => ({
  hands: idleHands(hands.sense),
  deeds,
  wants: null,
});

/** The meter is asked. */
export const asksMeter = ({ hands }: Moment, wants: Measurement): ProbingStep => ({
  hands,
  deeds: [],
  wants,
});

/** Nothing at all. */
export const stays = ({ hands }: Moment): ProbingStep => ({ hands, deeds: [], wants: null });

/** Something is asked of the hands under a new id. */
export const shows = (moment: Moment, ask: Ask, { newId }: Means): ProbingStep =>
  writes(moment, { kind: 'prompt-shown', prompt: { id: newId<PromptId>(), ask } });

/** A value for one terminal or setting of the prompt, or none after all. */
export function sets(moment: Moment, of: TerminalId | SettingId, value: Value | null): ProbingStep {
  const values = new Map(moment.found);
  if (value) values.set(of, value);
  else values.delete(of);
  return handsAre(moment, { tapped: { prompt: moment.prompt?.id ?? null, values }, message: null });
}
