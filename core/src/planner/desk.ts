import type { SwitchMap } from '../continuity/index.js';
import type { Approach, SettingId } from '../switch/index.js';
import { forecastCourse, followUpsOf, type Expected, type FollowUps } from './forecast.js';
import type { Outlook } from './plan.js';

/** What a planner's desk is asked: the state of the job, and by which approaches to forecast it. */
export interface DeskQuestion {
  /** Counts up; an answer carries the version of its question, and a newer question drops an older one. */
  version: number;
  map: SwitchMap;
  at: SettingId | null;
  outlook: Outlook;
  approaches: readonly Approach[];
}

/** What it answers, piece by piece. */
export type DeskAnswer =
  | { version: number; kind: 'follow-ups'; followUps: FollowUps }
  /** The forecast of one approach, by its place in the question. */
  | { version: number; kind: 'forecast'; approach: number; expected: Expected };

/** The clock, the pause and the way out of a desk: passed in, so that it can be tested and run anywhere. */
export interface DeskOutside {
  /** Milliseconds. */
  now: () => number;
  /** Lets messages in; the desk goes on when it resolves. */
  pause: () => Promise<void>;
  reply: (answer: DeskAnswer) => void;
}

/** Milliseconds at a stretch before it looks up. */
const SLICE = 12;

/**
 * Works questions out in slices of time. While one is worked on a newer one may come: then the older is dropped, and none
 * of its answers is given any more.
 */
export function createDesk({ now, pause, reply }: DeskOutside): {
  ask: (question: DeskQuestion) => Promise<void>;
} {
  let newest = -1;
  return {
    async ask({ version, map, at, outlook, approaches }) {
      newest = Math.max(newest, version);
      const stale = () => version < newest;
      let began = now();
      const lookUp = async (): Promise<boolean> => {
        if (now() - began >= SLICE) {
          await pause();
          began = now();
        }
        return !stale();
      };
      await pause();
      if (stale()) return;
      reply({ version, kind: 'follow-ups', followUps: followUpsOf(map, at, outlook) });
      for (const [place, approach] of approaches.entries()) {
        let expected: Expected = { acts: 0, readings: 0, touches: 0, seconds: 0 };
        for (const so of forecastCourse(map, at, outlook, approach)) {
          expected = so;
          if (!(await lookUp())) return;
        }
        if (stale()) return;
        reply({ version, kind: 'forecast', approach: place, expected });
      }
    },
  };
}
