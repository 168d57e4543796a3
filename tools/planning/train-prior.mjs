// Trains the chance that two terminals join in a setting, from what the other settings showed: logistic regression on
// switches drawn from the generated families (never from the corpus), by Newton's method with a small ridge. Checked by
// leaving each family out in turn: the loss on it, trained without it, beside that of a constant chance.
// Writes core/src/planner/prior-weights.ts; run by hand (`npm run train-prior`) when the features change.
import { writeFileSync } from 'node:fs';
import { partitionFromGroups } from '@which-way/core/partition';
import {
  byTime,
  experienceOf,
  FEATURES,
  featuresOf,
  isOpen,
  learntChance,
  likelyFirst,
  logistic,
  PRIOR_WEIGHTS,
} from '@which-way/core/planner';
import { seededRandom } from '@which-way/core/switch';
import { run } from './measure.mjs';
import { FAMILIES, switchOf } from './switch-families.mjs';

const SEED = 1126;
const PER_FAMILY = 30;
const ROUNDS = 2;
const RIDGE = 1e-5;

/** Samples of one family: features of pairs that are open at some moment of a mapping, and whether they join. */
function samplesOf(family, weights, random) {
  const samples = [];
  for (let made = 0; made < PER_FAMILY;) {
    const { terminals, positions } = switchOf(family, FAMILIES[family].draw(random), random);
    if (terminals > 26) continue;
    made += 1;
    const pattern = positions.map((groups) => partitionFromGroups(terminals, groups));
    const note = (move, field) => {
      const experience = experienceOf(field);
      for (let tries = 0; tries < 3; tries += 1) {
        const setting = move.kind === 'sweep' ? move.setting : move.settings[0];
        const [a, b] =
          tries === 0
            ? [move.red[0] ?? move.red, move.black[0]]
            : [0, 0].map(() => Math.floor(random() * terminals));
        const [low, high] = [Math.min(a, b), Math.max(a, b)];
        if (low === high || !isOpen(field, setting, low, high)) continue;
        samples.push({
          features: featuresOf(field, experience, setting, low, high),
          label: pattern[setting][low] === pattern[setting][high] ? 1 : 0,
          // Each switch weighs the same, however many pairs it has.
          weight: 1 / (terminals * positions.length),
        });
      }
    };
    const chance = (field) => learntChance(field, weights);
    run(pattern, made % 2 ? likelyFirst : byTime, undefined, { chance, onMove: note });
  }
  return samples;
}

function fit(samples) {
  const size = FEATURES.length;
  let weights = new Array(size).fill(0);
  const total = samples.reduce((sum, { weight }) => sum + weight, 0);
  for (let round = 0; round < 30; round += 1) {
    const gradient = weights.map((value) => -RIDGE * value);
    const hessian = weights.map((_, at) => weights.map((__, other) => (at === other ? RIDGE : 0)));
    for (const { features, label, weight } of samples) {
      const chance = logistic(features, weights);
      const share = weight / total;
      for (let at = 0; at < size; at += 1) {
        if (features[at] === 0) continue;
        gradient[at] += share * (label - chance) * features[at];
        for (let other = 0; other < size; other += 1)
          hessian[at][other] += share * chance * (1 - chance) * features[at] * features[other];
      }
    }
    const step = solve(hessian, gradient);
    weights = weights.map((value, at) => value + Math.max(-2, Math.min(2, step[at])));
  }
  return weights.map((value) => Number(value.toFixed(3)));
}

function solve(matrix, right) {
  const rows = matrix.map((row, at) => [...row, right[at]]);
  for (let column = 0; column < rows.length; column += 1) {
    const pivot = rows
      .slice(column)
      .reduce(
        (best, row, at) => (Math.abs(row[column]) > Math.abs(rows[best][column]) ? at + column : best),
        column,
      );
    [rows[column], rows[pivot]] = [rows[pivot], rows[column]];
    for (let row = 0; row < rows.length; row += 1) {
      if (row === column) continue;
      const factor = rows[row][column] / rows[column][column];
      for (let at = column; at <= rows.length; at += 1) rows[row][at] -= factor * rows[column][at];
    }
  }
  return rows.map((row, at) => row[rows.length] / row[at]);
}

function lossOf(samples, chanceOf) {
  let [loss, total] = [0, 0];
  for (const sample of samples) {
    const chance = Math.min(0.999, Math.max(0.001, chanceOf(sample)));
    loss -= sample.weight * Math.log(sample.label ? chance : 1 - chance);
    total += sample.weight;
  }
  return loss / total;
}

const families = Object.keys(FAMILIES);
let weights = PRIOR_WEIGHTS;
let byFamily = new Map();
for (let round = 0; round < ROUNDS; round += 1) {
  const random = seededRandom(SEED + round);
  byFamily = new Map(families.map((family) => [family, samplesOf(family, weights, random)]));
  weights = fit([...byFamily.values()].flat());
}
const constantOf = (samples) =>
  samples.reduce((sum, { label, weight }) => sum + label * weight, 0) /
  samples.reduce((sum, { weight }) => sum + weight, 0);
for (const family of families) {
  const others = families.filter((one) => one !== family).flatMap((one) => byFamily.get(one));
  const without = fit(others);
  const [own, constant] = [byFamily.get(family), constantOf(others)];
  const [left, plain] = [
    lossOf(own, ({ features }) => logistic(features, without)),
    lossOf(own, () => constant),
  ];
  process.stdout.write(
    `${family.padEnd(24)} left out: loss ${left.toFixed(3)}, constant ${plain.toFixed(3)}\n`,
  );
}
const lines = FEATURES.map((name, at) => `  ${String(weights[at])}, // ${name}`).join('\n');
writeFileSync(
  new URL('../../core/src/planner/prior-weights.ts', import.meta.url),
  `/** Weights of the learnt chance, by feature. Data: written by tools/planning/train-prior.mjs, never by hand. */\nexport const PRIOR_WEIGHTS: readonly number[] = [\n${lines}\n];\n`,
);
