import type { PromptId, SettingId, TerminalId } from './id.js';

/**
 * What a person is asked to do next. Once shown it is frozen under its id.
 * `sweep`: red stays, black goes over the rest. `pair`: one lead on each; the last of a row, or the person's choice.
 */
export type Ask =
  | { kind: 'sweep'; setting: SettingId; red: TerminalId; black: TerminalId[] }
  | { kind: 'pair'; setting: SettingId; red: TerminalId; black: TerminalId };

export interface Prompt {
  id: PromptId;
  ask: Ask;
}

/** Whether two asks are the same request to the hands. */
export function sameAsk(one: Ask, other: Ask): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}
