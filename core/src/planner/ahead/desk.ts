import type { SwitchMap } from '../../continuity/index.js';
import type { Approach } from '../../log/index.js';
import type { SettingId } from '../../switch/index.js';
import { approachOf } from '../schools/approach.js';
import type { Hypothesis } from '../schools/certify.js';
import { forecastCourse, followUpsOf, type Expected, type FollowUps } from './forecast.js';
import { planNext, type Plan } from '../next/plan.js';
import { createCourseMemory } from '../recheck/course-memory.js';
import { recheckCourse, type RecheckCost } from '../recheck/recheck-plan.js';

/** What a planner's desk is asked: the state of the job, and by which approaches to forecast it. */
export interface DeskQuestion {
  /** Counts up; an answer carries the version of its question, and a newer question drops an older one. */
  version: number;
  map: SwitchMap;
  at: SettingId | null;
  /** The time, ISO: a meter may have gone to sleep. */
  now: string;
  /** What the switch may be; asked for when it is first needed. */
  hypotheses: () => readonly Hypothesis[];
  approaches: readonly Approach[];
}

/** What it answers, piece by piece, in this order. */
export type DeskAnswer =
  | { version: number; kind: 'plan'; plan: Plan }
  | { version: number; kind: 'follow-ups'; followUps: FollowUps }
  /** What the re-check of a complete map still takes. */
  | { version: number; kind: 'recheck'; cost: RecheckCost }
  /** The forecast of one approach, by its place in the question. */
  | { version: number; kind: 'forecast'; approach: number; expected: Expected };

/** The clock, the pauses and the way out of a desk: passed in, so that it can be tested and run anywhere. */
export interface DeskOutside {
  /** Milliseconds. */
  now: () => number;
  /** Lets messages in; the desk goes on when it resolves. */
  pause: () => Promise<void>;
  /**
   * A longer one: a moment after the plan, before the follow-ups; a while before forecasts, which can wait until the hands
   * have come to rest, and would only take the processor from the screen.
   */
  rest: (howLong: 'moment' | 'while') => Promise<void>;
  reply: (answer: DeskAnswer) => void;
}

/** Milliseconds at a stretch before it looks up. */
const SLICE = 12;

/**
 * Works questions out in slices of time, the plan first. While one is worked on a newer one may come: then the older is
 * dropped, and none of its answers is given any more.
 */
export function createDesk({ now, pause, rest, reply }: DeskOutside): {
  ask: (question: DeskQuestion) => Promise<void>;
} {
  let newest = -1;
  const memory = createCourseMemory();
  return {
    async ask({ version, map, at, hypotheses, approaches, now: time }) {
      newest = Math.max(newest, version);
      const stale = () => version < newest;
      let began = now();
      /** Runs a course in slices; null when the question has become stale meanwhile. */
      const run = async <T>(course: Generator<T, T>): Promise<T | null> => {
        for (;;) {
          const { done, value } = course.next();
          if (done) return stale() ? null : value;
          if (now() - began < SLICE) continue;
          await pause();
          began = now();
          if (stale()) return null;
        }
      };
      await pause();
      if (stale()) return;
      const expects = approachOf(map).order === 'expected';
      const outlook = { now: time, memory, ...(expects && { hypotheses: hypotheses() }) };
      reply({ version, kind: 'plan', plan: planNext(map, at, outlook) });
      await rest('moment');
      if (stale()) return;
      const ahead = { now: time, hypotheses: hypotheses() };
      reply({ version, kind: 'follow-ups', followUps: followUpsOf(map, at, ahead) });
      if (map.complete) {
        const cost = await run(recheckCourse(map, undefined, memory));
        if (!cost) return;
        reply({ version, kind: 'recheck', cost });
      }
      await rest('while');
      if (stale()) return;
      began = now();
      for (const [place, approach] of approaches.entries()) {
        const expected = await run(forecastCourse(map, at, ahead, approach));
        if (!expected) return;
        reply({ version, kind: 'forecast', approach: place, expected });
      }
    },
  };
}
