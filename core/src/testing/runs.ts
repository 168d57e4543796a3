const deep = Boolean(process.env['WHICH_WAY_DEEP']);

/** How many cases a property is tried on: a sample in the ordinary tests, twenty times as many in the deep ones. */
export const runs = (sample: number): number => (deep ? sample * 20 : sample);

/** The same of a property whose cases take long: a third of the sample, twenty times the sample in the deep ones. */
export const fewRuns = (sample: number): number => (deep ? sample * 20 : Math.ceil(sample / 3));

/** The same of a list of seeds that is all there is: a third of them, or all. */
export const fewSeeds = (first: number, last: number): number[] =>
  Array.from({ length: deep ? last - first + 1 : Math.ceil((last - first + 1) / 3) }, (_, at) => first + at);
