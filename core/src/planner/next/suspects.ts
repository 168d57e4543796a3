import type { ClipUse, Contradiction, SwitchMap } from '../../continuity/index.js';
import type { ReadingId, SettingId, TerminalId } from '../../switch/index.js';
import { learntChance } from '../chance/chance.js';
import type { Outlook } from './plan.js';
import { fieldOf, settingsInOrder } from '../field/field-of-map.js';
import { doubtfulActs } from '../hands/meter-check.js';

/** A reading that may be wrong, with what speaks against it; the highest suspicion first. */
export interface Suspect {
  reading: ReadingId;
  /** Had it alone been wrong, the rest would agree. */
  enough: boolean;
  suspicion: number;
  because: ('doubtful-meter' | 'tone' | 'unsteady' | 'against-prediction')[];
}

/**
 * The readings of a contradiction in the order in which to read them again: first those whose removal alone settles it;
 * among them what was read with a meter that failed its next check, what only a beeper said, where the pair was unsteady,
 * and what the other settings speak against.
 */
export function rankSuspects(
  map: SwitchMap,
  setting: SettingId,
  { opens, joins, enough }: Contradiction,
  outlook: Outlook = {},
): Suspect[] {
  const doubtful = new Set(doubtfulActs(map));
  const field = fieldOf(map);
  const chance = (outlook.chance ?? learntChance)(field);
  const at = settingsInOrder(map).indexOf(setting);
  // The learnt chance speaks for what the other settings showed: without any it has nothing to say.
  const compared =
    outlook.chance !== undefined ||
    map.tape.some(({ reading, standing }) => standing === 'counts' && reading.setting !== setting);
  const lines = new Map(map.tape.map((line) => [line.reading.id, line]));
  const flickers = (ends: string) =>
    map.tape.some(({ reading, evidence }) => evidence.because === 'unsteady' && endsOf(reading) === ends);
  const suspects = [...new Set([...opens, ...joins])].map((reading): Suspect => {
    const line = lines.get(reading);
    const because: Suspect['because'] = [];
    let suspicion = enough.includes(reading) ? 10 : 0;
    if (line && doubtful.has(line.event.id)) {
      because.push('doubtful-meter');
      suspicion += 4;
    }
    if (line?.evidence.by === 'tone') {
      because.push('tone');
      suspicion += 2;
    }
    if (line && flickers(endsOf(line.reading))) {
      because.push('unsteady');
      suspicion += 2;
    }
    const [a, b] = [line?.reading.red, line?.reading.black].map((lead) =>
      map.structure.terminals.findIndex(({ id }) => id === lead?.[0]),
    );
    if (compared && line && at >= 0 && a !== undefined && b !== undefined && a >= 0 && b >= 0) {
      const likely = chance(at, a, b);
      const against = line.evidence.says === 'joins' ? 1 - likely : likely;
      if (against > 0.5) because.push('against-prediction');
      suspicion += against;
    }
    return { reading, enough: enough.includes(reading), suspicion, because };
  });
  return suspects.sort((one, other) => other.suspicion - one.suspicion);
}

const endsOf = ({ setting, red, black }: { setting: string; red: string[]; black: string[] }): string =>
  [setting, ...[red.join('+'), black.join('+')].sort()].join(' ');

/** A clip that may explain a contradiction, and the readings that would no longer count without it. */
export interface SuspectClip {
  terminal: TerminalId;
  uses: ClipUse[];
  proved: boolean;
}

/** The clips any one of which explains a contradiction, had it made no contact: those first that nobody proved since. */
export function suspectClips(
  { settings, clips }: SwitchMap,
  setting: SettingId,
  of: Contradiction,
): SuspectClip[] {
  const terminals = settings.get(setting)?.settled.terminals ?? [];
  const suspects = of.clips.flatMap((place): SuspectClip[] => {
    const terminal = terminals[place];
    const uses = clips.uses.filter(
      (use) => use.terminal === terminal && use.readings.some((reading) => of.opens.includes(reading)),
    );
    const proved = uses.every(({ standing }) => standing === 'proved');
    return terminal === undefined ? [] : [{ terminal, uses, proved }];
  });
  return [...suspects.filter(({ proved }) => !proved), ...suspects.filter(({ proved }) => proved)];
}
