/** How many cases a test tries: a small sample in `npm test`, twenty times as many in `npm run test:deep`. */
export const runs = (sample: number): number => (process.env['WHICH_WAY_DEEP'] ? sample * 20 : sample);
