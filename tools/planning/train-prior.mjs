// Trains the chance that two terminals join in a setting, from what the settings showed: a small network, on switches
// drawn from the generated families (never from the corpus). Two rounds: the first maps them with one chance for all
// pairs, the second with what the first learnt. Writes core/src/planner/chance/prior-weights.ts; run by hand
// (`npm run train-prior`) when the features change. With `-- --leave-out` it writes nothing and prints instead, for each
// family, the loss on it of what was trained without it, beside that of a constant chance.
import { writeFileSync } from 'node:fs';
import prettier from 'prettier';
import { partitionFromGroups } from '@which-way/core/partition';
import {
  byTime,
  experienceOf,
  FEATURES,
  featuresOf,
  isUnknown,
  ladder,
  learntChance,
  likelyFirst,
  likenessOf,
  ORDINARY_HANDS,
  positionFirst,
} from '@which-way/core/planner';
import { seededRandom } from '@which-way/core/switch';
import { chanceBy, fitPrior, lossOf } from './fit-prior.mjs';
import { run } from './measure.mjs';
import { FAMILIES, switchOf } from './switch-families.mjs';

const SEED = 1126;
const PER_FAMILY = 110;
const CLIPS = { ...ORDINARY_HANDS, clipsOwned: 24 };
const PLANNERS = [
  [likelyFirst, ORDINARY_HANDS],
  [byTime, ORDINARY_HANDS],
  [positionFirst, ORDINARY_HANDS],
  [ladder, CLIPS],
];

/** Samples of one family: features of pairs that are open at some moment of a mapping, and whether they join. */
function samplesOf(family, chance, random) {
  const samples = [];
  for (let made = 0; made < PER_FAMILY;) {
    const { terminals, positions } = switchOf(family, FAMILIES[family].draw(random), random);
    if (terminals > 26) continue;
    made += 1;
    const pattern = positions.map((groups) => partitionFromGroups(terminals, groups));
    const note = (move, field) => {
      const setting = move.kind === 'sweep' ? move.setting : move.settings[0];
      const experience = experienceOf(field);
      const likeness = likenessOf(field, experience);
      for (let tries = 0; tries < 4; tries += 1) {
        const [a, b] =
          tries === 0
            ? [move.red[0] ?? move.red, move.black.at(-1)]
            : [0, 0].map(() => Math.floor(random() * terminals));
        const [low, high] = [Math.min(a, b), Math.max(a, b)];
        if (low === high || !isUnknown(field, setting, low, high)) continue;
        samples.push({
          features: featuresOf({ field, experience, likeness }, setting, low, high),
          label: pattern[setting][low] === pattern[setting][high] ? 1 : 0,
          // Each switch weighs the same, however many pairs it has.
          weight: 1 / (terminals * positions.length),
        });
      }
    };
    const [planner, costs] = PLANNERS[made % PLANNERS.length];
    run(pattern, planner, costs, { chance, onMove: note });
  }
  return samples;
}

const families = Object.keys(FAMILIES);
const drawn = (seed, chance) => {
  const random = seededRandom(seed);
  return new Map(families.map((family) => [family, samplesOf(family, chance, random)]));
};
const plain = (field) => () => 0.7 / field.places.length;
const first = fitPrior([...drawn(SEED, plain).values()].flat(), 10);
const byFamily = drawn(SEED + 1, (field) => learntChance(field, first));
const everything = [...byFamily.values()].flat();
if (process.argv.includes('--leave-out')) leaveOut();
else {
  const weights = fitPrior(everything, 30);
  process.stdout.write(
    `${everything.length} samples, loss ${lossOf(everything, chanceBy(weights)).toFixed(4)}\n`,
  );
  await write(weights);
}

function leaveOut() {
  for (const family of families) {
    const others = families.filter((one) => one !== family).flatMap((one) => byFamily.get(one));
    const own = byFamily.get(family);
    const constant =
      others.reduce((sum, { label, weight }) => sum + label * weight, 0) /
      others.reduce((sum, { weight }) => sum + weight, 0);
    const [left, plainly] = [lossOf(own, chanceBy(fitPrior(others, 8))), lossOf(own, () => constant)];
    process.stdout.write(
      `${family.padEnd(24)} left out: loss ${left.toFixed(3)}, constant ${plainly.toFixed(3)}\n`,
    );
  }
}

async function write({ bias, direct, hidden }) {
  const list = (values) => `[${values.join(', ')}]`;
  const units = hidden.map(
    ({ bias: own, of, counts }) => `    { bias: ${own}, of: ${list(of)}, counts: ${counts} },`,
  );
  const names = FEATURES.map((name, at) => `    ${direct[at]}, // ${name}`).join('\n');
  const path = new URL('../../core/src/planner/chance/prior-weights.ts', import.meta.url).pathname;
  const text = `import type { PriorWeights } from './prior.js';

/** Weights of the learnt chance, by feature. Data: written by tools/planning/train-prior.mjs, never by hand. */
export const PRIOR_WEIGHTS: PriorWeights = {
  bias: ${bias},
  direct: [
${names}
  ],
  hidden: [
${units.join('\n')}
  ],
};
`;
  const options = await prettier.resolveConfig(path);
  writeFileSync(path, await prettier.format(text, { ...options, parser: 'typescript' }));
}
