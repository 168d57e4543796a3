import { STEPS, type Route, type RouteStep } from '@which-way/core/route';

/** Pages at which a job halts, in the order in which it is done, by their addresses below it. */
export const STOPS = [
  'intake',
  'safe',
  'tag',
  'map',
  'table',
  'verify',
  'match',
  'refit',
  'refit/check',
  'refit/function',
  'refit/sign',
  'refit/report',
] as const;
export type Stop = (typeof STOPS)[number];

/** Steps that a job may do without. Make safe is none of them. */
const OPTIONAL: ReadonlySet<RouteStep> = new Set(['intake', 'tag', 'match']);

/** The way on from a page of a job. */
export interface WayOn {
  /** null: the bench. */
  back: Stop | null;
  next: Stop | null;
  /** The step may be done without, and nothing was done there: on is a skip. */
  skip: boolean;
  /** The job has come as far as this: what lies before it is done, so that the way on is what is wanted. */
  reached: boolean;
}

const stepOf = (stop: Stop): RouteStep => stop.split('/')[0] as RouteStep;

/** The stop that an address below a job belongs to: itself, or the first of its step; of a jumper test the one before it. */
export function stopAt(below: string): Stop | null {
  const parts = below.split('/').filter(Boolean);
  const exact = STOPS.find((stop) => stop === parts.join('/'));
  if (exact) return exact;
  if (parts.join('/') === 'refit/jumper') return 'refit/check';
  return STOPS.find((stop) => stop === parts[0]) ?? null;
}

/** Back to the stop before, on to the one after; steps that were passed over by choice are passed on the way. */
export function wayOn(stop: Stop, { done, passed, at }: Pick<Route, 'done' | 'passed' | 'at'>): WayOn {
  const here = STOPS.indexOf(stop);
  const isOn = (other: Stop) => !passed.includes(stepOf(other));
  const step = stepOf(stop);
  return {
    back: STOPS.slice(0, here).findLast(isOn) ?? null,
    next: STOPS.slice(here + 1).find(isOn) ?? null,
    skip: OPTIONAL.has(step) && !done[step],
    reached: STEPS.indexOf(at) >= STEPS.indexOf(step),
  };
}
