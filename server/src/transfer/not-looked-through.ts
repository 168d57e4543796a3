import { Refusal } from '../errors/refusal.js';

/** The refusal of a file that was not looked through, or is not known any more. */
export const notLookedThrough = (): Refusal =>
  new Refusal(409, {
    code: 'not-waiting',
    message: 'This file was not looked through, or was taken in already.',
    path: '',
    hint: 'Choose it again.',
  });
