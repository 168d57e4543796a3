import type { TapeLine } from '@which-way/core/sense';
import type { Structure } from '@which-way/core/switch';
import { STANDING_WORDS } from './facts.js';
import { evidenceWords } from '../quantity.js';
import { shortSettingName, terminalList } from '../terminals.js';

/** An act of the hands as one says it: what they did, and what came of it. */
export interface ActWords {
  /** 'Red 5, black over 6 to 9'. */
  hands: string;
  /** '8 sounded', 'none', '0.3 Ω'. */
  result: string;
}

/** Whether the leads stayed and the handle was turned. */
const isHeldAct = ([first]: readonly TapeLine[]): boolean => {
  const what = first?.event.what;
  return what?.kind === 'answered' && (what.act === 'turn' || what.act === 'bundle');
};

/** In which position, or from which to which, an act was done. */
export function placesOfAct(lines: readonly TapeLine[], structure: Structure): string {
  const names = [...new Set(lines.map(({ reading }) => shortSettingName(structure, reading.setting)))];
  return names.length < 3 ? names.join(', ') : `${names[0]} … ${names.at(-1)}`;
}

/** The words of an act with its readings. */
export function actWords(lines: readonly TapeLine[], structure: Structure): ActWords {
  const [first] = lines;
  if (!first) return { hands: '', result: '' };
  const held = isHeldAct(lines);
  const blacks = (some: readonly TapeLine[]) =>
    terminalList(
      structure,
      some.flatMap(({ reading }) => reading.black),
    );
  const over = !held && lines.length > 1 ? 'over ' : '';
  const hands = `red ${terminalList(structure, first.reading.red)}, black ${over}${blacks(held ? [first] : lines)}`;
  const told = lines.filter(({ evidence }) => evidence.says !== 'parts');
  const each = (line: TapeLine) => {
    const what = held ? shortSettingName(structure, line.reading.setting) : blacks([line]);
    return line.evidence.because === 'sounded' ? `${what} beeped` : `${what} ${evidenceWords(line.evidence)}`;
  };
  const standing = STANDING_WORDS[first.standing];
  const result =
    lines.length === 1
      ? evidenceWords(first.evidence)
      : told.length === 0
        ? 'none'
        : told.map(each).join('; ');
  return { hands, result: standing ? `${result} (${standing})` : result };
}
