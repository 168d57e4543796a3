import type { Value } from '../log/index.js';
import type { TerminalId } from '../switch/index.js';

/** What the machine says to something that the hands did, as a code; the words belong to whoever shows or speaks it. */
export type Message =
  /** No value can be taken before the leads were held together. */
  | { code: 'leads-together-first' }
  | { code: 'red-stays' }
  | { code: 'not-in-the-sweep'; terminal: TerminalId }
  | { code: 'clip-not-asked' }
  | { code: 'position-not-asked' }
  | { code: 'position-settled' }
  /** A typed line that names nothing, or is no value. */
  | { code: 'no-such-position'; typed: string }
  | { code: 'no-such-terminal'; typed: string; example: string }
  | { code: 'not-a-value'; typed: string }
  | { code: 'negative-value'; typed: string }
  /** A meter on this range cannot show so many ohms. */
  | { code: 'beyond-range'; ohms: number; rangeOhms: number }
  | { code: 'no-value-asked' }
  | { code: 'type-the-value' }
  | { code: 'type-the-zero' }
  | { code: 'nothing-tapped' }
  | { code: 'some-tapped' }
  | { code: 'tap-silent-clips' }
  /** Put on and silent: it is put on again. */
  | { code: 'clips-silent'; terminals: readonly TerminalId[] }
  /** Silent after it was read with: what it parted is asked again. */
  | { code: 'clips-were-silent'; terminals: readonly TerminalId[] }
  /** The leads together did not read as leads alone do. */
  | { code: 'zero-silent' }
  | { code: 'zero-broken'; value: Value }
  | { code: 'zero-too-much'; value: Value; most: number }
  /** They read more than this meter’s leads do when they are clean. */
  | { code: 'zero-high'; value: Value; leadOhms: number }
  /** Several leaks were the same with the hands off: the rest are not asked again. */
  | { code: 'leaks-kept' }
  | { code: 'which-flickers' }
  | { code: 'pick-two' }
  | { code: 'one-pair-only' }
  /** The handle of a simulated switch, which knows better. */
  | { code: 'at-its-stop' }
  | { code: 'clicks-on' };
