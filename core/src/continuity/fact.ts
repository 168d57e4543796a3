/** How it is known whether two terminals join in a setting. */
export interface Fact {
  state: 'measured' | 'follows' | 'assumed' | 'predicted' | 'disputed' | 'unknown';
  /** null when disputed or unknown. */
  joined: boolean | null;
  /** True when it rests on a beeper: 'by tone' for a join, 'silent' for an open. */
  byTone: boolean;
}

const fact = (state: Fact['state'], joined: boolean | null, byTone = false): Fact =>
  Object.freeze({ state, joined, byTone });

/** The few facts there are, shared, so that a large map stays small. */
export const UNKNOWN = fact('unknown', null);
export const DISPUTED = fact('disputed', null);
/** A person said that two blocks do not touch each other; nothing read says so. */
export const ASSUMED_APART = fact('assumed', false);
const KNOWN = [false, true].flatMap((measured) =>
  [false, true].flatMap((joined) =>
    [false, true].map((byTone) => fact(measured ? 'measured' : 'follows', joined, byTone)),
  ),
);

/** The shared fact for something that is known. */
export function known(measured: boolean, joined: boolean, byTone: boolean): Fact {
  return KNOWN[(measured ? 4 : 0) + (joined ? 2 : 0) + (byTone ? 1 : 0)] as Fact;
}

/** Whether a fact may be built upon: measured or follows, never predicted, disputed or unknown. */
export function isSettled({ state }: Fact): boolean {
  return state === 'measured' || state === 'follows';
}
