import { createMapper } from '@which-way/core/continuity';
import type { Approach, JobEvent } from '@which-way/core/log';
import { recognise, type Recognised } from '@which-way/core/match';
import { createDesk, type DeskAnswer } from '@which-way/core/planner';
import type { KnownSwitch, SettingId } from '@which-way/core/switch';
import { expose } from 'comlink';

/** A question to the planner: how the log goes on from the first `from` events that it has already, and what to forecast. */
export interface PlannerQuestion {
  version: number;
  from: number;
  added: JobEvent[];
  at: SettingId | null;
  /** The time, ISO. */
  now: string;
  approaches: Approach[];
  /** Known switches that this one may turn out to be; null: those sent before. */
  library: KnownSwitch[] | null;
}

/** What comes back, piece by piece, with the version of its question. */
export type PlannerAnswer = DeskAnswer | { version: number; kind: 'recognised'; recognised: Recognised[] };

/** Milliseconds that the hands are left alone before it looks further ahead than the next prompt. */
const RESTS = { moment: 120, while: 700 };

const mapper = createMapper();
let events: JobEvent[] = [];
let library: KnownSwitch[] = [];
let listener: (answer: PlannerAnswer) => void = () => undefined;
const reply = (answer: PlannerAnswer) => listener(answer);
const desk = createDesk({
  now: () => performance.now(),
  pause: () => new Promise((resolve) => setTimeout(resolve)),
  rest: (howLong) => new Promise((resolve) => setTimeout(resolve, RESTS[howLong])),
  reply,
});

/** What the screen may call. */
const planner = {
  /** Who hears what is worked out. */
  listen(who: (answer: PlannerAnswer) => void): void {
    listener = who;
  },
  /** A newer question ends the work on those before. */
  ask({ version, from, added, at, now, approaches, library: sent }: PlannerQuestion): void {
    events = [...events.slice(0, from), ...added];
    library = sent ?? library;
    const map = mapper(events);
    let recognised: Recognised[] | null = null;
    const hypotheses = () => {
      if (recognised) return recognised;
      recognised = recognise(map, library);
      reply({ version, kind: 'recognised', recognised });
      return recognised;
    };
    void desk.ask({ version, map, at, now, hypotheses, approaches });
  },
};
export type PlannerWorker = typeof planner;

expose(planner);
