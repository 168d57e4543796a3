// The check before power on the corpus: a wire on every lug, put back on the same switch. Readings of the check beside those of an
// inferred map of the whole switch, and what it takes beside the fewest that are possible.
import { sample } from './bench-size.mjs';
import { checkOf, joinedWith, mistakesOf } from '@which-way/core/refit';
import { likelyFirst, ORDINARY_HANDS } from '@which-way/core/planner';
import { seededRandom } from '@which-way/core/switch';
import { readCases, run } from './planning/measure.mjs';

/** Pairs of mistakes that are tried on each switch. */
const DOUBLES = 60;

/** A switch with a wire on every lug. */
const benchOf = (pattern) => {
  const lugs = pattern[0].length;
  const at = Array.from({ length: lugs }, (_, lug) => lug);
  return { lugs, at, jumpers: [], strays: [], nets: pattern };
};

/** A bench with a mistake made, so that another can be made besides. */
function withMistake(bench, mistake) {
  const moved = (place) => ({ ...bench, at: bench.at.map((lug, wire) => place(wire, lug)) });
  switch (mistake.kind) {
    case 'wrong-lug':
      return moved((wire, lug) => (wire === mistake.wire ? mistake.lug : lug));
    case 'swapped': {
      const [one, other] = mistake.wires;
      return moved((wire, lug) => (wire === one ? bench.at[other] : wire === other ? bench.at[one] : lug));
    }
    case 'not-on':
      // On a lug of its own, that nothing reaches.
      return {
        ...moved((wire, lug) => (wire === mistake.wire ? bench.lugs : lug)),
        ...{ lugs: bench.lugs + 1, nets: bench.nets.map((nets) => nets && [...nets, bench.lugs]) },
      };
    default:
      return { ...bench, nets: bench.nets.map((_, at) => bench.nets[at + mistake.by] ?? null) };
  }
}

/** Whether the readings show two mistakes at once, drawn from all that there are; null: they were one and the same. */
function doubleShows(bench, mistakes, readings, random) {
  const upTo = (most) => Math.floor(random() * most);
  const [first, second] = [mistakes[upTo(mistakes.length)], mistakes[upTo(mistakes.length)]];
  if (first === second || (first.kind === 'detent-off' && second.kind === 'detent-off')) return null;
  const there = withMistake(bench, first);
  return readings.some(({ position, a, b, joins }) => {
    const nets = joinedWith(there, position, second);
    return nets !== null && (nets[a] === nets[b]) !== joins;
  });
}

/** One switch of the corpus with its check, and what it takes to map it. */
function checked(pattern, random) {
  const bench = benchOf(pattern);
  const begun = performance.now();
  const { readings, atLeast, cannot } = checkOf(bench);
  const milliseconds = performance.now() - begun;
  const mistakes = mistakesOf(bench);
  const doubles = Array.from({ length: DOUBLES }, () =>
    doubleShows(bench, mistakes, readings, random),
  ).filter((one) => one !== null);
  return {
    ...{ lugs: bench.lugs, readings: readings.length, atLeast, milliseconds },
    map: run(pattern, likelyFirst, ORDINARY_HANDS).readings,
    mistakes: mistakes.length,
    cannot: cannot.length,
    shown: doubles.length === 0 ? 1 : doubles.filter(Boolean).length / doubles.length,
  };
}

export function benchCheck({ note, atMost, round }, path) {
  const area = 'check';
  const random = seededRandom(181);
  const mean = (values) => values.reduce((sum, value) => sum + value, 0) / values.length;
  const rows = sample(readCases(path), 3).map(({ pattern }) => checked(pattern, random));
  const small = rows.filter(({ lugs }) => lugs <= 8);
  const ratio = ({ readings, map }) => readings / map;
  note(area, 'switches, a wire on every lug', rows.length, 'maps');
  note(area, 'readings of a check, mean', round(mean(rows.map(({ readings }) => readings)), 1), 'readings');
  atMost(
    area,
    'readings / readings of an inferred map, up to 8 lugs, mean',
    round(mean(small.map(ratio))),
    'ratio',
    0.25,
  );
  atMost(
    area,
    'readings / readings of an inferred map, sum over all',
    round(rows.reduce((sum, one) => sum + one.readings, 0) / rows.reduce((sum, one) => sum + one.map, 0)),
    'ratio',
    0.06,
  );
  const sure = small.filter(({ readings, atLeast }) => atLeast > 0 && readings > 0);
  atMost(
    area,
    'readings / fewest that are proved possible, up to 8 lugs, mean',
    round(mean(sure.map(({ readings, atLeast }) => readings / atLeast))),
    'ratio',
    1.05,
  );
  note(
    area,
    'the same over all, mean',
    round(mean(rows.filter(({ atLeast }) => atLeast > 0).map(({ readings, atLeast }) => readings / atLeast))),
    'ratio',
  );
  note(
    area,
    'single mistakes that nothing can show',
    round(
      rows.reduce((sum, { cannot }) => sum + cannot, 0) /
        rows.reduce((sum, { mistakes }) => sum + mistakes, 0),
    ),
    'of all',
  );
  note(
    area,
    'two mistakes at once, of any kinds, that show, mean',
    round(mean(rows.map(({ shown }) => shown))),
    'of all',
  );
  note(
    area,
    'time to work one out, longest',
    Math.round(Math.max(...rows.map(({ milliseconds }) => milliseconds))),
    'ms',
  );
}
