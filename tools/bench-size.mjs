/** Whether whole corpora are measured (`npm run bench:deep`), or seeded samples of them (`npm run bench`). */
export const DEEP = process.argv.includes('--deep');

/** Every so manieth of a corpus, the same ones each time; all of it in the deep run. */
export const sample = (corpus, every) => (DEEP ? corpus : corpus.filter((_, at) => at % every === 0));

/** A number of something that is made: as many in the sample, or in the deep run. */
export const many = (few, deep) => (DEEP ? deep : few);
