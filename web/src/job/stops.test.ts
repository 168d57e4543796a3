import { STEPS, type Route } from '@which-way/core/route';
import { describe, expect, it } from 'vitest';
import { STOPS, stopAt, wayOn } from './stops.js';

const nothing = Object.fromEntries(STEPS.map((step) => [step, false])) as Route['done'];
const route = (passed: Route['passed'] = [], done: Partial<Route['done']> = {}, at: Route['at'] = 'map') => ({
  done: { ...nothing, ...done },
  passed,
  at,
});

describe('the way on from each page of a job', () => {
  it('goes through all stops, from the bench on and to the report', () => {
    const walked = [STOPS[0] as (typeof STOPS)[number]];
    for (let next = wayOn(STOPS[0], route()).next; next; next = wayOn(next, route()).next) walked.push(next);
    expect(walked).toEqual(STOPS);
    expect(wayOn('intake', route()).back).toBeNull();
    expect(wayOn('refit/report', route()).next).toBeNull();
    for (const [at, stop] of walked.entries())
      if (at > 0) expect(wayOn(stop, route()).back).toBe(walked[at - 1]);
  });

  it('passes what was passed over: a switch in the hand', () => {
    expect(wayOn('intake', route(['safe', 'tag'])).next).toBe('map');
    expect(wayOn('map', route(['safe', 'tag'])).back).toBe('intake');
  });

  it('is a skip where a step may be done without and nothing was done; never at Make safe or the Map', () => {
    const skips = STOPS.filter((stop) => wayOn(stop, route()).skip);
    expect(skips).toEqual(['intake', 'tag', 'match']);
    expect(wayOn('tag', route([], { tag: true })).skip).toBe(false);
  });

  it('is what is wanted only where the job has come so far', () => {
    const wanted = STOPS.filter((stop) => wayOn(stop, route([], {}, 'map')).reached);
    expect(wanted).toEqual(['intake', 'safe', 'tag', 'map']);
    expect(wayOn('verify', route([], {}, 'match')).reached).toBe(true);
    expect(wayOn('refit/sign', route([], {}, 'refit')).reached).toBe(true);
  });

  it('is known for every page below a stop, and for none that is not a step', () => {
    expect(['tag/wires', 'table/machine', 'intake/worth', 'refit/jumper', 'refit/sign/'].map(stopAt)).toEqual(
      ['tag', 'table', 'intake', 'refit/check', 'refit/sign'],
    );
    expect(stopAt('practice')).toBeNull();
    expect(stopAt('')).toBeNull();
  });
});
