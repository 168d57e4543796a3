import { plural } from './plural.js';
import type { Route, RouteStep } from '@which-way/core/route';
import type { Whole } from '@which-way/core/log';
import { verdictHeadline } from './judge/headline.js';
import { SAFETY_SHORT } from './before/safety-short.js';

export const STEP_WORDS: Record<RouteStep, string> = {
  intake: 'Intake',
  safe: 'Make safe',
  tag: 'Tag wires',
  map: 'Map',
  table: 'Truth table',
  verify: 'Verify',
  match: 'Match',
  refit: 'Refit',
};

/** What is known of a job on the bench. */
interface OnTheBench {
  route: Route | null;
  settingName: string | null;
  trouble: string | null;
  /** Of a system: its switches. */
  members?: readonly unknown[] | undefined;
}

interface NextWords {
  text: string;
  tone: 'plain' | 'amber' | 'brick';
}

/** Verdicts that want nothing at once. */
const CALM: ReadonlySet<Whole> = new Set(['passes', 'wiring-and-contacts-pass', 'wiring-passes', 'by-ear']);

/** What the job wants next, in a line. `tone` says whether it is a hazard, wants another look, or is plain. */
export function nextWords({ route, settingName, trouble, members }: OnTheBench): NextWords {
  if (trouble !== null) return { text: `Can’t open this job: ${trouble}`, tone: 'brick' };
  if (members)
    return {
      text:
        members.length > 0
          ? `${plural(members.length, 'switch', 'switches')} in one machine`
          : 'Choose its switches',
      tone: 'plain',
    };
  if (!route) return { text: 'Calculating…', tone: 'plain' };
  const { next } = route;
  switch (next.code) {
    case 'make-safe':
      return { text: `Make safe: ${SAFETY_SHORT[next.trouble]}`, tone: 'brick' };
    case 'not-the-switch':
      return { text: 'It’s not the switch: the fault is elsewhere in the supply path', tone: 'plain' };
    case 'describe':
      return { text: 'Map: enter how many terminals', tone: 'plain' };
    case 'readings-left': {
      const where = settingName ? `, next at ${settingName}` : '';
      return {
        text: `Map: up to ${plural(next.readings, 'reading')} left${where}`,
        tone: 'plain',
      };
    }
    case 'find-positions':
      return { text: 'Map: are there more positions?', tone: 'plain' };
    case 'tangled':
      return { text: 'Map: readings conflict too much; undo some', tone: 'amber' };
    case 'contradiction':
      return { text: `Map: ${plural(next.count, 'contradiction')}`, tone: 'amber' };
    case 'look-again':
      return { text: `Map: ${plural(next.count, 'pair')} to look at again`, tone: 'amber' };
    case 'left-not-known':
      return { text: `Map: ${plural(next.count, 'pair')} left as not known`, tone: 'amber' };
    case 'compare':
      return { text: 'Verify: compare with what it should be', tone: 'plain' };
    case 'judged':
      return { text: verdictHeadline(next), tone: CALM.has(next.whole) ? 'plain' : 'amber' };
    case 'refit':
      return {
        text: next.replacement === null ? 'Refit: the same switch goes back' : `Chosen: ${next.replacement}`,
        tone: 'plain',
      };
    case 'signed':
      return next.whole
        ? { text: `Signed off by ${next.by}`, tone: 'plain' }
        : { text: `Signed by ${next.by}, some checks not done`, tone: 'amber' };
  }
}
