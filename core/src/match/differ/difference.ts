import type { MatchResult } from '../match.js';

/**
 * How grave: `safety`: one of the differences that are never hidden, each accepted before a part is chosen; `difference`: another
 * that the hand will notice; `question`: one side is unknown, to be asked of the seller: never a pass, and no hazard either.
 */
export type Gravity = 'safety' | 'difference' | 'question';

/** What differs between the old one and a part, or is not known of it, as a code with what it is about. */
export interface Difference {
  code: DifferenceCode;
  gravity: Gravity;
  /** What it is about: the place of a position, the name of a load; the same difference has the same. */
  about: string;
}

export type DifferenceCode =
  | 'spring-lost'
  | 'spring-gained'
  | 'spring-unknown'
  | 'reversed'
  | 'off-moved'
  | 'jumpers-live'
  | 'supplies-meet-in-spare'
  | 'supplies-meet-in-passing'
  | 'in-passing-unknown'
  | 'makes-before-lost'
  | 'makes-before-unknown'
  | 'makes-before-old-unknown'
  | 'restarts'
  | 'fed-together'
  | 'fed-together-unknown'
  | 'left-open'
  | 'left-open-unknown'
  | 'ac-rating-on-dc'
  | 'rating-lower'
  | 'start-lower'
  | 'volts-lower'
  | 'rating-unknown'
  | 'minimum-not-reached'
  | 'minimum-unknown'
  | 'gold-burns-off'
  | 'gold-lost'
  | 'gold-unknown'
  | 'disconnection-lower'
  | 'disconnection-unknown'
  | 'protection-lower'
  | 'protection-unknown'
  | 'direct-opening-lost'
  | 'direct-opening-unknown'
  | 'no-volt-release-unknown'
  | 'off-lost'
  | 'break-lost'
  | 'rest-contact-changed'
  | 'contact-differs'
  | 'brake-lost'
  | 'brake-contact-lost'
  | 'stop-lost'
  | 'kill-lost'
  | 'load-unsaid'
  | 'live-at-off'
  | 'runs-on'
  | 'load-differs'
  | 'short-in-machine'
  | 'spare-feeds'
  | 'no-volt-release-lost'
  | 'earth-lost'
  | 'earth-unknown'
  | 'insulated-shaft-lost'
  | 'key-lost'
  | 'key-unknown'
  | 'two-wires-in-one'
  | 'wires-unknown'
  | 'brake-to-be-shown';

/** A part that may be laid on the old one. */
export type FitOf = Extract<MatchResult, { terminals: unknown }>;

/** A difference, with what it is about. */
export const of = (code: DifferenceCode, gravity: Gravity, about = ''): Difference => ({
  code,
  gravity,
  about,
});
