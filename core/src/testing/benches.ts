import { partitionFromGroups } from '../partition/index.js';
import type { Bench } from '../refit/index.js';
import { seededRandom } from '../switch/index.js';

/** A switch of 3 to 8 lugs with 2 to 5 positions, wires on most lugs and at times two on one, perhaps a junction. */
export function anyBench(seed: number): Bench {
  const random = seededRandom(seed);
  const upTo = (most: number) => Math.floor(random() * most);
  const lugs = 3 + upTo(6);
  const nets = Array.from({ length: 2 + upTo(4) }, () =>
    partitionFromGroups(
      lugs,
      Array.from({ length: upTo(3) }, () => [upTo(lugs), upTo(lugs)]),
    ),
  );
  const at = Array.from({ length: lugs }, (_, lug) => lug).filter(() => random() < 0.8);
  if (random() < 0.3) at.push(upTo(lugs));
  const jumpers: [number, number][] = random() < 0.4 ? [[0, lugs - 1]] : [];
  const strays: [number, number][] = random() < 0.2 ? [[1, 2]] : [];
  return { lugs, at, jumpers, strays, nets };
}
