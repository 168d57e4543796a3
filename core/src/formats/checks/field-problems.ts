import type { Problem } from '../../switch/index.js';
import { checkers, problemsOf } from './checked.js';

const problemsIn =
  (name: 'checkId' | 'checkTitle' | 'checkPlace' | 'checkLoad' | 'checkPartFacts' | 'checkSpokenDriver') =>
  (value: unknown): Problem[] =>
    checkers[name](value) ? [] : problemsOf(checkers[name]);
/** What is wrong with what is claimed to be an id, wherever one comes in. */
export const idProblems = problemsIn('checkId');
/** What is wrong with a job's title, or the place where it stands. */
export const titleProblems = problemsIn('checkTitle');
export const placeProblems = problemsIn('checkPlace');
/** What is wrong with a load, or with what is stated of a part, that came from elsewhere. */
export const loadProblems = problemsIn('checkLoad');
export const partFactsProblems = problemsIn('checkPartFacts');
/** What is wrong with how a talking meter is said to write its lines. */
export const spokenDriverProblems = problemsIn('checkSpokenDriver');
