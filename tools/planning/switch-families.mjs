// Generated switches of the usual families, as patterns: what the corpus is drawn from and what the prior is trained on.
// A family is a function (size of it, random) -> { terminals, positions: groups of places per position }.
import { shuffled } from '@which-way/core/switch';

const range = (size) => Array.from({ length: size }, (_, index) => index);
const pick = (random, from, to) => from + Math.floor(random() * (to - from + 1));

/** Poles of a common and its throws, side by side: `closed(pole, position)` names the throws that the common meets. */
function selector(poles, ways, positions, closed) {
  const base = (pole) => pole * (ways + 1);
  return {
    terminals: poles * (ways + 1),
    positions: range(positions).map((position) =>
      range(poles).map((pole) => [
        base(pole),
        ...closed(pole, position).map((way) => base(pole) + 1 + (way % ways)),
      ]),
    ),
  };
}

/** For each family: the sizes that the corpus takes of it, one drawn by chance for training, and how one of a size is built. */
export const FAMILIES = {
  'on-off': {
    draw: (random) => [pick(random, 1, 5)],
    sizes: [[1], [2], [4]],
    build: ([poles]) => selector(poles, 1, 2, (_, at) => (at ? [0] : [])),
  },
  changeover: {
    draw: (random) => [pick(random, 1, 6)],
    sizes: [[1], [2], [4], [8]],
    build: ([poles]) => selector(poles, 2, 2, (_, at) => [at]),
  },
  'changeover, centre off': {
    draw: (random) => [pick(random, 1, 5)],
    sizes: [[1], [2], [4]],
    build: ([poles]) => selector(poles, 2, 3, (_, at) => (at === 1 ? [] : [at / 2])),
  },
  'selector, one pole': {
    draw: (random) => [pick(random, 3, 12)],
    sizes: [[5], [8], [11], [12]],
    build: ([ways]) => selector(1, ways, ways, (_, at) => [at]),
  },
  'selector, poles': {
    draw: (random) => [pick(random, 2, 4), pick(random, 3, 5)],
    sizes: [
      [2, 4],
      [2, 6],
      [3, 4],
      [4, 3],
      [4, 5],
      [3, 7],
    ],
    build: ([poles, ways]) => selector(poles, ways, ways, (_, at) => [at]),
  },
  progressive: {
    draw: (random) => [pick(random, 1, 3), pick(random, 3, 6)],
    sizes: [
      [1, 4],
      [1, 7],
      [2, 4],
      [2, 6],
    ],
    build: ([poles, ways]) => selector(poles, ways, ways + 1, (_, at) => range(at)),
  },
  'bridging selector': {
    draw: (random) => [pick(random, 1, 3), pick(random, 3, 5)],
    sizes: [
      [1, 5],
      [2, 4],
      [2, 6],
    ],
    build: ([poles, ways]) =>
      selector(poles, ways, 2 * ways - 1, (_, at) => (at % 2 ? [(at - 1) / 2, (at + 1) / 2] : [at / 2])),
  },
  'one missing': {
    draw: (random) => [pick(random, 1, 3), pick(random, 3, 6)],
    sizes: [
      [1, 5],
      [1, 8],
      [2, 5],
    ],
    build: ([poles, ways]) => selector(poles, ways, ways, (_, at) => range(ways).filter((way) => way !== at)),
  },
  reversing: {
    draw: (random) => [pick(random, 0, 4)],
    sizes: [[0], [1], [2]],
    build: ([spare]) => ({
      terminals: 6 + 2 * spare,
      positions: [
        [
          [0, 2],
          [1, 3],
        ],
        [],
        [
          [0, 3],
          [1, 2],
        ],
      ].map((groups, at) => [
        ...groups,
        ...range(spare).flatMap((one) => (at === 1 ? [] : [[6 + 2 * one, 7 + 2 * one]])),
      ]),
    }),
  },
  'coded output': {
    draw: (random) => [pick(random, 3, 5), pick(random, 6, 12), pick(random, 0, 1)],
    sizes: [
      [3, 8, 0],
      [4, 10, 0],
      [4, 12, 1],
    ],
    build: ([bits, positions, gray]) => ({
      terminals: bits + 1,
      positions: range(positions).map((at) => {
        const code = gray ? at ^ (at >> 1) : at;
        return [[0, ...range(bits).flatMap((bit) => ((code >> bit) & 1 ? [bit + 1] : []))]];
      }),
    }),
  },
  'heat selector': {
    draw: (random) => [pick(random, 0, 2) ? pick(random, 3, 4) : 7],
    sizes: [[3], [4], [7]],
    build: ([positions]) => ({
      terminals: positions === 7 ? 7 : 5,
      positions: [
        [],
        [
          [0, 2],
          [1, 4],
        ],
        [
          [0, 2],
          [1, 3],
        ],
        [
          [0, 3],
          [1, 2, 4],
        ],
        [
          [0, 2],
          [1, 5],
          [4, 6],
        ],
        [
          [0, 2, 5],
          [1, 4],
        ],
        [
          [0, 2, 5],
          [1, 3, 6],
        ],
      ].slice(0, positions),
    }),
  },
  'star-delta': {
    draw: (random) => [pick(random, 0, 4)],
    sizes: [[0], [2]],
    build: ([spare]) => ({
      terminals: 9 + spare,
      positions: [
        [],
        [
          [0, 3],
          [1, 4],
          [2, 5],
          [6, 7, 8],
        ],
        [
          [0, 3, 8],
          [1, 4, 6],
          [2, 5, 7],
        ],
      ],
    }),
  },
  'interlocked keys': {
    draw: (random) => [pick(random, 2, 4), pick(random, 1, 2)],
    sizes: [
      [3, 1],
      [5, 1],
      [4, 2],
    ],
    build: ([keys, poles]) => ({
      terminals: keys * 3 * poles,
      positions: range(keys + 1).map((down) =>
        range(keys * poles).map((cell) => {
          const at = cell * 3;
          return Math.floor(cell / poles) === down ? [at, at + 2] : [at, at + 1];
        }),
      ),
    }),
  },
  'rest to common': {
    draw: (random) => [pick(random, 4, 11)],
    sizes: [
      [6, 2],
      [10, 2],
    ],
    build: ([throws]) => ({
      terminals: throws + 2,
      positions: range(throws).map((at) => [
        [0, 2 + at],
        [1, ...range(throws).flatMap((one) => (one === at ? [] : [2 + one]))],
      ]),
    }),
  },
  intermediate: {
    draw: (random) => [pick(random, 1, 4)],
    sizes: [[1], [3]],
    build: ([sets]) => ({
      terminals: sets * 4,
      positions: [0, 1].map((at) =>
        range(sets).flatMap((set) => [
          [set * 4, set * 4 + 2 + at],
          [set * 4 + 1, set * 4 + 3 - at],
        ]),
      ),
    }),
  },
  'cams of no named kind': {
    draw: (random) => [2 * pick(random, 3, 11), pick(random, 3, 10)],
    sizes: [
      [8, 4],
      [12, 6],
      [16, 4],
      [20, 8],
      [24, 12],
    ],
    build: ([terminals, positions], random) => ({
      terminals,
      positions: range(positions).map(() =>
        range(terminals / 2).flatMap((pair) => (random() < 0.4 ? [[2 * pair, 2 * pair + 1]] : [])),
      ),
    }),
  },
  'two wafers': {
    draw: (random) => [2 * pick(random, 6, 12), pick(random, 3, 5)],
    sizes: [
      [12, 4],
      [18, 5],
      [24, 6],
    ],
    build: ([terminals, ways], random) => {
      const half = terminals / 2;
      const lugs = shuffled(range(half).slice(1), random);
      return {
        terminals,
        positions: range(ways).map((at) => [
          [0, lugs[at]],
          [half, half + 1 + (at % 3), ...(at % 2 ? [half + 4] : [])],
        ]),
      };
    },
  },
  'ways apart': {
    draw: (random) => [pick(random, 9, 14), pick(random, 4, 6)],
    sizes: [
      [9, 5],
      [14, 7],
    ],
    build: ([terminals, ways], random) => {
      const order = shuffled(range(terminals), random);
      return {
        terminals,
        positions: range(ways).map((at) => [
          [order[0], order[1 + at]],
          ...(pick(random, 0, 1) ? [[order[ways + 1] ?? order[0], order[2 + ways] ?? order[1]]] : []),
        ]),
      };
    },
  },
};

/** A switch of a family with its terminals shuffled: {terminals, positions} as groups of places. */
export function switchOf(family, size, random) {
  const { terminals, positions } = FAMILIES[family].build(size, random);
  const order = shuffled(range(terminals), random);
  return {
    terminals,
    positions: positions.map((groups) =>
      groups.filter((group) => group.length > 1).map((group) => group.map((place) => order[place])),
    ),
  };
}
