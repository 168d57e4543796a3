import { liveEvents, type JobEvent, type Log } from '../../log/index.js';
import { ORDINARY_HANDS, type HandCosts } from './hands.js';

/** Waits longer than this are no work of the hands: the person was away. */
const LONGEST_SECONDS = 60;
/** As many answers as the ordinary figures count for. */
const PRIOR_ANSWERS = 8;

/**
 * The costs of these hands, learnt from the time stamps of a log: for each answer, the seconds since the event before it
 * against what the ordinary hands would have taken, most of them by far counting and the rest left out. All costs are
 * scaled by the middle ratio, held between a third and three times; a position change is scaled by acts that began with one.
 */
export function learnHands(log: Log, ordinary: HandCosts = ORDINARY_HANDS): HandCosts {
  const samples = samplesOf(log, ordinary);
  const ratioOf = (turned: boolean) =>
    shrunk(samples.filter((one) => one.turned === turned).map(({ seconds, expected }) => seconds / expected));
  const still = ratioOf(false);
  const turnedToo = ratioOf(true);
  const scaled = (cost: number) => Number((cost * still).toFixed(2));
  return {
    ...ordinary,
    moveLead: scaled(ordinary.moveLead),
    moveBoth: scaled(ordinary.moveBoth),
    read: scaled(ordinary.read),
    turn: Number((ordinary.turn * turnedToo).toFixed(2)),
  };
}

interface Sample {
  seconds: number;
  expected: number;
  turned: boolean;
}

function samplesOf(log: Log, { moveLead, moveBoth, turn, read }: HandCosts): Sample[] {
  const samples: Sample[] = [];
  let before: JobEvent | null = null;
  let at: string | null = null;
  const live = new Set(liveEvents(log, 'answered').map(({ id }) => id));
  for (const event of log.ordered) {
    const { what } = event;
    if (what.kind === 'answered' && live.has(event.id) && what.readings.length > 0) {
      const setting = what.readings[0]?.setting ?? null;
      const many = what.readings.length;
      const turned = at !== null && setting !== at;
      const expected = (turned ? turn : 0) + moveBoth + (many - 1) * moveLead + many * read;
      const seconds = before ? (Date.parse(event.at) - Date.parse(before.at)) / 1000 : Number.NaN;
      const simulated = what.source === 'simulated';
      if (
        !simulated &&
        seconds > 0 &&
        seconds <= LONGEST_SECONDS &&
        what.act !== 'turn' &&
        what.act !== 'bundle'
      )
        samples.push({ seconds, expected, turned });
      at = what.readings.at(-1)?.setting ?? at;
    }
    before = event;
  }
  return samples;
}

/** The median, drawn towards 1 while there are few, between a third and three. */
function shrunk(ratios: number[]): number {
  if (ratios.length === 0) return 1;
  const sorted = ratios.toSorted((one, other) => one - other);
  const middle = sorted[Math.floor(sorted.length / 2)] as number;
  const weight = ratios.length / (ratios.length + PRIOR_ANSWERS);
  return Math.min(3, Math.max(1 / 3, 1 + weight * (middle - 1)));
}
