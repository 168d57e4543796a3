import type { Reading } from '../log/index.js';
import type { TapeLine } from '../sense/index.js';
import type { ReadingId, SettingId, TerminalId } from '../switch/index.js';
import { byReading, clipsOf, type ClipRecord, type ClipsByReading, type ClipUse } from './clips.js';
import { factAt, type Settled } from './settled.js';

/**
 * Through which clips low readings must have come, by what is settled: every other pair across the bundle is known to be apart, so the
 * one clip that is part of all the rest made contact.
 */
export function cameThroughOf(
  tape: readonly TapeLine[],
  settledIn: (setting: SettingId) => Settled | undefined,
): (reading: Reading) => TerminalId[] {
  const lows = new Map<ReadingId, Reading>();
  for (const { reading, standing, evidence } of tape) {
    const several = reading.red.length + reading.black.length > 2;
    if (several && standing === 'counts' && evidence.says === 'joins') lows.set(reading.id, reading);
  }
  return ({ id }) => {
    const low = lows.get(id);
    const settled = low && settledIn(low.setting);
    if (!low || !settled) return [];
    const place = (terminal: TerminalId) => settled.terminals.indexOf(terminal);
    const left = low.red.flatMap((red) =>
      low.black.flatMap((black) =>
        factAt(settled, place(red), place(black)).joined === false ? [] : [{ red, black }],
      ),
    );
    return [...clipsOf(low.red), ...clipsOf(low.black)].filter(
      (clip) => left.length > 0 && left.every(({ red, black }) => red === clip || black === clip),
    );
  };
}

/** What hung on clips that may explain a contradiction, as long as nobody settled it: all that each took part in since it was proved. */
export function doubtedClips(settings: Iterable<Settled>, { uses }: ClipRecord): ClipsByReading {
  const doubted = new Set<ClipUse>();
  for (const { terminals, contradictions } of settings)
    for (const { clips, opens } of contradictions)
      for (const clip of clips)
        for (const use of uses)
          if (use.terminal === terminals[clip] && use.readings.some((reading) => opens.includes(reading)))
            doubted.add(use);
  return byReading([...doubted]);
}

/** What each clip did that nobody proved afterwards. */
export const unprovedUses = ({ uses }: ClipRecord): ClipUse[] =>
  uses.filter(({ standing }) => standing === 'on' || standing === 'unproved');
