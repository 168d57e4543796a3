import { describe, expect, it } from 'vitest';
import { kindsOf } from '../../kinds/index.js';
import { type Pattern } from '../../partition/index.js';
import { fewSeeds } from '../../testing/runs.js';
import { withCause, type Cause } from './cause.js';
import { contactsOf } from './causes.js';
import { diagnose, type KnownCells } from './diagnose.js';

const cellsOf = (pattern: Pattern): KnownCells =>
  pattern.map((nets) => nets.flatMap((net) => nets.map((other) => net === other)));

const SIZES: [number, number][] = [
  [4, 2],
  [6, 2],
  [4, 3],
  [6, 3],
  [8, 3],
  [7, 6],
  [10, 4],
  [12, 5],
  [3, 2],
  [3, 3],
  [5, 4],
  [6, 5],
  [8, 4],
  [8, 5],
  [9, 2],
  [9, 3],
  [10, 5],
  [12, 2],
  [12, 3],
  [12, 4],
  [14, 6],
  [14, 7],
  [15, 5],
  [16, 4],
];
const PATTERNS = SIZES.flatMap(([terminals, settings]) =>
  kindsOf(terminals, settings).map(({ pattern }) => pattern),
);

/** Every odd join and odd gap of a pattern: each two nets of a setting made one, each terminal taken off a net. */
function oddOnes(pattern: Pattern): Cause[] {
  return pattern.flatMap((nets, setting) => {
    const roots = [...new Set(nets)];
    const joins = roots.flatMap((a, at) =>
      roots.slice(at + 1).map((b): Cause => ({ cause: 'joined-at', terminals: [a, b], setting })),
    );
    const splits = nets.flatMap((net, terminal): Cause[] =>
      nets.filter((other) => other === net).length > 1 ? [{ cause: 'split-at', terminal, setting }] : [],
    );
    return [...joins, ...splits];
  });
}

describe('one odd join or one lug split off, in one setting', () => {
  it('gets a first class of one cause that explains all of it, on ordinary switches of 24 sizes', () => {
    let [cases, first, alone] = [0, 0, 0];
    const bad: string[] = [];
    for (const at of fewSeeds(0, PATTERNS.length - 1)) {
      const pattern = PATTERNS[(at * 7) % PATTERNS.length] as Pattern;
      for (const cause of oddOnes(pattern)) {
        const truth = withCause(pattern, contactsOf(pattern), cause);
        const { classes } = diagnose(pattern, cellsOf(truth), []);
        const [one] = classes;
        cases += 1;
        const explains = one !== undefined && one.leaves.length === 0 && one.explanations[0]?.length === 1;
        if (explains) first += 1;
        else if (bad.length < 5)
          bad.push(JSON.stringify([pattern, cause, one?.explanations[0], one?.leaves.length]));
        if (explains && classes.length === 1) alone += 1;
      }
    }
    process.stdout.write(
      `odd ones: ${first} of ${cases} first, ${alone} alone, ${PATTERNS.length} patterns\n${bad.join('\n')}\n`,
    );
    expect(PATTERNS.length).toBeGreaterThanOrEqual(40);
    expect(cases).toBeGreaterThan(1000);
    expect(first).toBe(cases);
  });
});
