// Fits the network of core/src/planner/chance/prior.ts to samples, by Adam (Kingma and Ba, "Adam: a method for stochastic
// optimization", 2015) on the logistic loss, with a small ridge. Seeded: the same samples give the same weights.
import { bend, priorChance } from '@which-way/core/planner';
import { seededRandom, shuffled } from '@which-way/core/switch';

const HIDDEN = 16;
const BATCH = 64;
const RIDGE = 1e-5;

/** Samples are {features, label, weight}. */
export function fitPrior(samples, epochs, seed = 7) {
  const random = seededRandom(seed);
  const size = samples[0].features.length;
  const usual = samples.reduce((sum, { weight }) => sum + weight, 0) / samples.length;
  // One row for the direct part and one for each hidden unit: a bias and a weight for each feature; last what units count.
  const spread = (count) => Float64Array.from({ length: count }, () => (random() - 0.5) * 2);
  const scaled = (values, by) => values.map((value) => value * by);
  const rows = [new Float64Array(size + 1)];
  rows[0][0] = -2;
  for (let unit = 0; unit < HIDDEN; unit += 1) {
    rows.push(scaled(spread(size + 1), 1 / Math.sqrt(size)));
    rows.at(-1)[0] = 0;
  }
  rows.push(scaled(spread(HIDDEN), 1 / Math.sqrt(HIDDEN)));
  const counts = rows.at(-1);
  const like = () => rows.map((row) => new Float64Array(row.length));
  const [gradient, first, second] = [like(), like(), like()];
  const bent = new Float64Array(HIDDEN);
  const sumOf = (row, features) => {
    let sum = row[0];
    for (let at = 0; at < size; at += 1) sum += row[at + 1] * features[at];
    return sum;
  };
  const addTo = (row, by, features) => {
    row[0] += by;
    for (let at = 0; at < size; at += 1) row[at + 1] += by * features[at];
  };
  let step = 0;
  for (let epoch = 0; epoch < epochs; epoch += 1) {
    const rate = 0.004 * (1 - epoch / epochs) + 0.0002;
    const order = shuffled(samples, random);
    for (let start = 0; start < order.length; start += BATCH) {
      for (const row of gradient) row.fill(0);
      for (const { features, label, weight } of order.slice(start, start + BATCH)) {
        let sum = sumOf(rows[0], features);
        for (let unit = 0; unit < HIDDEN; unit += 1) {
          bent[unit] = bend(sumOf(rows[unit + 1], features));
          sum += counts[unit] * bent[unit];
        }
        const off = ((1 / (1 + Math.exp(-sum)) - label) * weight) / usual / BATCH;
        addTo(gradient[0], off, features);
        for (let unit = 0; unit < HIDDEN; unit += 1) {
          gradient.at(-1)[unit] += off * bent[unit];
          addTo(gradient[unit + 1], off * counts[unit] * (1 - Math.abs(bent[unit])) ** 2, features);
        }
      }
      step += 1;
      rows.forEach((row, at) => {
        for (let place = 0; place < row.length; place += 1) {
          const slope = gradient[at][place] + RIDGE * row[place];
          first[at][place] = 0.9 * first[at][place] + 0.1 * slope;
          second[at][place] = 0.999 * second[at][place] + 0.001 * slope * slope;
          const [mean, square] = [
            first[at][place] / (1 - 0.9 ** step),
            second[at][place] / (1 - 0.999 ** step),
          ];
          row[place] -= (rate * mean) / (Math.sqrt(square) + 1e-8);
        }
      });
    }
  }
  const rounded = (value) => Number(value.toFixed(3));
  const [direct, ...hidden] = rows.slice(0, -1).map((row) => [...row].map(rounded));
  return {
    bias: direct[0],
    direct: direct.slice(1),
    hidden: hidden.map(([bias, ...of], unit) => ({ bias, of, counts: rounded(counts[unit]) })),
  };
}

/** Mean logistic loss, each sample by its weight, of a chance taken from its features. */
export function lossOf(samples, chanceOf) {
  let [loss, total] = [0, 0];
  for (const { features, label, weight } of samples) {
    const chance = Math.min(0.999, Math.max(0.001, chanceOf(features)));
    loss -= weight * Math.log(label ? chance : 1 - chance);
    total += weight;
  }
  return loss / total;
}

export const chanceBy = (weights) => (features) => priorChance(features, weights);
