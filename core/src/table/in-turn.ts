import { asAnswered, liveEvents } from '../log/index.js';
import { factAt, isSettled, type SwitchMap } from '../continuity/index.js';
import { blocks } from '../partition/index.js';
import type { Quantity } from '../sense/index.js';
import { positionsOf, type SettingId, type TerminalId } from '../switch/index.js';

/** What is known of one setting, to be told from the first to the last. */
export interface SettingTold {
  setting: SettingId;
  /** A handle springs back from here. */
  springsBack: boolean;
  /** All nets of two terminals and more, by evidence that is not in dispute. */
  nets: TerminalId[][];
  /** What lies across and is no contact: read, and accepted as a part. */
  parts: { between: [TerminalId, TerminalId]; quantity: Quantity }[];
  /** Pairs of contacts of which it is not known whether they are joined. */
  open: number;
}

/**
 * Setting by setting all that is joined there, so that no contact is left out however it is spread over poles; with what is not known.
 * @example
 * settingsInTurn(mapped(3, '1-2', '1-2-3')).map(({ nets }) => nets.map(({ length }) => length)) // => [[2], [3]]
 */
export function settingsInTurn(map: SwitchMap): SettingTold[] {
  const sprung = sprungSettings(map);
  const parts = partsRead(map);
  return [...map.settings].map(([setting, { settled }]) => {
    const name = (place: number) => settled.terminals[place] as TerminalId;
    let open = 0;
    map.contacts.forEach((a, at) => {
      for (const b of map.contacts.slice(at + 1)) if (!isSettled(factAt(settled, a, b))) open += 1;
    });
    return {
      setting,
      springsBack: sprung.has(setting),
      nets: blocks(settled.nets)
        .filter(({ length }) => length > 1)
        .map((net) => net.map(name)),
      parts: parts.get(setting) ?? [],
      open,
    };
  });
}

/** The settings in which a handle is held: it is meant to spring back from there. */
export function sprungSettings({ structure, log }: Pick<SwitchMap, 'structure' | 'log'>): Set<SettingId> {
  const meant = asAnswered(structure, log);
  const held = meant.settings.filter((setting) =>
    positionsOf(meant, setting).some(({ rests }) => rests === 'momentary'),
  );
  return new Set(held.map(({ id }) => id));
}

/** By setting the newest reading across each pair that a person accepted as a part. */
function partsRead({ log, tape }: SwitchMap): Map<SettingId, SettingTold['parts']> {
  const explained = new Map(
    liveEvents(log, 'explained').flatMap(({ what }) => what.readings.map((id) => [id, what.as] as const)),
  );
  const found = new Map<SettingId, Map<string, SettingTold['parts'][number]>>();
  for (const { reading, standing, evidence } of tape) {
    const [[red, ...moreRed], [black, ...moreBlack]] = [reading.red, reading.black];
    if (standing !== 'counts' || !red || !black || moreRed.length + moreBlack.length > 0) continue;
    const here = found.get(reading.setting) ?? new Map<string, SettingTold['parts'][number]>();
    const pair = [red, black].toSorted().join(' ');
    here.delete(pair);
    if (evidence.quantity && explained.get(reading.id) === 'part')
      here.set(pair, { between: [red, black], quantity: evidence.quantity });
    found.set(reading.setting, here);
  }
  return new Map([...found].map(([setting, byPair]) => [setting, [...byPair.values()]]));
}
