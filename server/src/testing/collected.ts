import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';

setFlagsFromString('--expose-gc');
const collect = runInNewContext('gc') as () => void;

/** Bytes of the heap that are still referred to, after collections that reach what only a finished turn lets go. */
export async function bytesKept(): Promise<number> {
  for (let count = 0; count < 4; count += 1) {
    collect();
    await new Promise((resolve) => setTimeout(resolve, 5));
  }
  const { heapUsed, external, arrayBuffers } = process.memoryUsage();
  return heapUsed + external + arrayBuffers;
}

/** Collects garbage at once. */
export { collect };
