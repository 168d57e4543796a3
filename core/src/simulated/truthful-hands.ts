import type { Settled } from '../continuity/index.js';
import type { Partition } from '../partition/index.js';
import { impliedBySounded } from '../planner/index.js';
import type { Ask, TerminalId, Value } from '../switch/index.js';

/** What a value looks like for a pair that joins and one that does not. */
export interface MeterWords {
  closed: (red: number, black: number) => Value;
  open: () => Value;
}

/**
 * What error-free hands find for a prompt on a switch whose nets are known: a value for each touch they make.
 * What follows from those that joined is not touched. For demo data, benchmarks and tests.
 */
export function truthfulValues(
  ask: Ask,
  settled: Settled,
  truth: Partition,
  words: MeterWords,
): Map<TerminalId, Value> {
  const place = (id: TerminalId) => settled.terminals.indexOf(id);
  const black = (ask.kind === 'sweep' ? ask.black : [ask.black]).map(place);
  const red = place(ask.red);
  const joined = new Set(black.filter((spot) => truth[spot] === truth[red]));
  const implied = impliedBySounded(settled, { red, black }, joined);
  return new Map(
    black
      .filter((spot) => !implied.has(spot))
      .map((spot) => [
        settled.terminals[spot] as TerminalId,
        joined.has(spot) ? words.closed(red, spot) : words.open(),
      ]),
  );
}
