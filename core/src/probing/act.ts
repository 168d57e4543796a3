import type { ClipUse } from '../continuity/index.js';
import type { Approach, Ask, Value } from '../log/index.js';
import type { ClosedBy, PromptId, ReadingId, SettingId, TerminalId } from '../switch/index.js';
import type { Measured } from './measurement.js';
import type { Sense } from './task.js';

/** Something that the hands do at the bench, by key, pedal, tap or voice; or that a meter or the plan brings. */
export type Act =
  /** The main answer: done, it sounds, take what was typed, measure. */
  | { do: 'yes'; heard?: true }
  /** None sounded; open. */
  | { do: 'no'; heard?: true }
  /**
   * A pedal: this one sounded or did not, and on to the next; or back by one. `heard`: by the ear, or by a pedal beside it; `flickered`: so
   * often the beep dropped out or came up once more, which is neither closed nor open.
   */
  | { do: 'step'; sounded: boolean; heard?: true; flickered?: number }
  /** What a meter on a wire held steady, or that it stayed over range as long as a person chose: the touch that is asked. */
  | { do: 'takes'; value: Value }
  /** A sweep that clicks led, as heard: what beeped; the rest was silent. Of another prompt than the one that is asked it is set aside. */
  | { do: 'swept'; prompt: PromptId; sounded: readonly TerminalId[] }
  | { do: 'step-back' }
  | { do: 'touch'; terminal: TerminalId }
  | { do: 'touch-setting'; setting: SettingId }
  | { do: 'turn-to'; setting: SettingId }
  | { do: 'type'; text: string }
  | { do: 'type-instead'; text: string }
  | { do: 'rub-out' }
  | { do: 'escape' }
  | { do: 'undo' }
  | { do: 'redo' }
  | { do: 'skip'; reason: 'later' | 'cannot-reach' }
  | { do: 'flickers' }
  | { do: 'other-side' }
  | { do: 'pick-pair' }
  | { do: 'ask-pair'; red: TerminalId; black: TerminalId; setting: SettingId | null }
  | { do: 'ask'; ask: Ask }
  | { do: 'correct'; reading: ReadingId }
  | { do: 'click-on' }
  | { do: 'close-list'; by: ClosedBy }
  | { do: 'add-lug' }
  | { do: 'sense'; sense: Sense }
  /** The meter is set by hand to so many ohms, or ranges by itself: null. */
  | { do: 'range'; rangeOhms: number | null }
  | { do: 'approach'; change: Partial<Approach> }
  | { do: 'ask-skipped' }
  /** Clips may have made no contact: what they parted is asked again. */
  | { do: 'doubt-clips'; uses: Pick<ClipUse, 'terminal' | 'readings'>[] }
  | { do: 'recheck' }
  | { do: 'way-back' }
  | { do: 'wires-off' }
  /** What the meter said to a measurement that was wanted. */
  | { do: 'measured'; measured: Measured }
  /** The plan is there: what it asks is shown. */
  | { do: 'go-on' };

export type ActName = Act['do'];
export type ActOf<Name extends ActName> = Extract<Act, { do: Name }>;
