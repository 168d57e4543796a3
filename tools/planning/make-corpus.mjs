// Writes the corpus on which planners are compared: tools/planning/corpus.json, a file in the project's own format.
// It was drawn once, before the planners were tuned, and is frozen: `npm run bench` prints its hash. Not run again by itself.
import { writeFileSync } from 'node:fs';
import { newIdFrom, seededRandom } from '@which-way/core/switch';
import { FAMILIES, switchOf } from './switch-families.mjs';

const random = seededRandom(20261125);
const newId = newIdFrom(seededRandom(4));
const library = Object.entries(FAMILIES).flatMap(([family, { sizes }]) =>
  sizes.map((size) => {
    const { terminals, positions } = switchOf(family, size, random);
    const label = (place) => String(place + 1);
    return {
      id: newId(),
      kind: 'switch',
      name: `${family} ${size.join(' x ')}`,
      maker: null,
      family,
      form: 'rotary',
      terminals: Array.from({ length: terminals }, (_, place) => label(place)),
      positions: positions.map((groups) => ({
        name: null,
        rests: 'maintained',
        joined: groups.map((group) => group.map(label)),
      })),
      note: null,
    };
  }),
);
const file = { format: 'which-way', version: 1, jobs: [], library };
writeFileSync(new URL('corpus.json', import.meta.url), `${JSON.stringify(file, null, 1)}\n`);
process.stdout.write(`${library.length} switches in ${Object.keys(FAMILIES).length} families\n`);
