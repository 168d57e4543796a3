import {
  id,
  list,
  MOST_SETTINGS,
  MOST_TERMINALS,
  object,
  oneOf,
  says,
  tagged,
  type TypeOf,
} from '../../../schema/index.js';
import type { PromptId, SettingId, TerminalId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';
import { fromOtherSideSchema, leadSchema, type Lead } from './reading.js';

const terminal = id<TerminalId>();
const settings = list(id<SettingId>(), { minItems: 1, maxItems: MOST_SETTINGS });

export const askSchema = tagged('kind', {
  sweep: {
    setting: id<SettingId>(),
    red: terminal,
    black: list(terminal, { minItems: 1, maxItems: MOST_TERMINALS }),
  },
  pair: { setting: id<SettingId>(), red: terminal, black: terminal, fromOtherSide: fromOtherSideSchema },
  turn: { red: terminal, black: terminal, settings },
  bundle: { red: leadSchema, black: leadSchema, settings },
});
/**
 * What a person is asked to do next. Once shown it is frozen under its id.
 * `sweep`: red stays, black goes over the rest. `pair`: one lead on each; the last of a row, or the person's choice.
 * `turn`: both leads stay, the handle goes through the settings. `bundle`: the same with terminals tied together by clips
 * on one lead, or on both.
 */
export type Ask = TypeOf<typeof askSchema>;

export const promptSchema = object({ id: id<PromptId>(), ask: askSchema });
export type Prompt = TypeOf<typeof promptSchema>;

export const promptShown = defineKind('prompt-shown', {
  says: 'a prompt with its id: a `pair`, a `sweep`, a `turn` of the handle with a pair held, or a `bundle`',
  fields: { prompt: promptSchema },
  undo: [],
  reading: 'extends',
});

export const skipped = defineKind('skipped', {
  says: 'a prompt that was passed over',
  fields: { prompt: promptSchema, reason: says('Whether it comes again.', oneOf(['later', 'cannot-reach'])) },
  undo: ['map'],
  reading: 'extends',
});

/** Whether two asks are the same request to the hands. */
export function sameAsk(one: Ask, other: Ask): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}

/** One reading that an ask is for. */
export interface AskedReading {
  setting: SettingId;
  red: Lead;
  black: Lead;
  /** What tells it from the others of the same ask: the terminal that black touches, or the setting of the handle. */
  key: TerminalId | SettingId;
  fromOtherSide?: true;
}

/** The readings that an ask is for, in the order in which the hands come to them. */
export function readingsAsked(ask: Ask): AskedReading[] {
  switch (ask.kind) {
    case 'sweep':
      return ask.black.map((black) => ({ setting: ask.setting, red: [ask.red], black: [black], key: black }));
    case 'pair':
      return [
        {
          setting: ask.setting,
          red: [ask.red],
          black: [ask.black],
          key: ask.black,
          ...(ask.fromOtherSide && { fromOtherSide: true }),
        },
      ];
    case 'turn':
      return ask.settings.map((setting) => ({ setting, red: [ask.red], black: [ask.black], key: setting }));
    case 'bundle':
      return ask.settings.map((setting) => ({ setting, red: ask.red, black: ask.black, key: setting }));
  }
}

/** The setting in which an ask begins. */
export function firstSetting(ask: Ask): SettingId | undefined {
  return ask.kind === 'sweep' || ask.kind === 'pair' ? ask.setting : ask.settings[0];
}

/** Every terminal and setting that an ask names. */
export function namedIn(ask: Ask): (TerminalId | SettingId)[] {
  return [...new Set(readingsAsked(ask).flatMap(({ setting, red, black }) => [setting, ...red, ...black]))];
}
