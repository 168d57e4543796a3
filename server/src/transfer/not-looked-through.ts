import { Refusal, refused } from '../errors/refusal.js';

/** The refusal of a file that was not looked through, or is not known any more. */
export const notLookedThrough = (): Refusal => refused(409, 'not-waiting');
