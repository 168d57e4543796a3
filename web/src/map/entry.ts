import { parseValue, type Value } from '@which-way/core/log';
import { terminalNamed, type SettingId, type Structure, type TerminalId } from '@which-way/core/switch';
import { nameOfSetting } from '../words/terminals.js';

/** What a typed line means. */
export type Entry =
  | { kind: 'pair'; red: TerminalId; black: TerminalId; value: Value | null }
  | { kind: 'terminal'; terminal: TerminalId; value: Value | null }
  | { kind: 'setting'; setting: SettingId; value: Value | null }
  | { kind: 'value'; value: Value }
  | { kind: 'wrong'; message: string };

/**
 * Reads a typed line. `7-9` chooses a pair, `7-9=0,3` answers it; while a sweep is shown `9` or `9=0,3` speaks of
 * a terminal; while the handle is turned they speak of a position, by number or name; while one value is asked `0,3`, `2k2` or `OL` is it.
 */
export function readEntry(
  typed: string,
  structure: Structure,
  expects: 'terminal' | 'setting' | 'value',
): Entry {
  const [left = '', right] = typed.split('=').map((part) => part.trim());
  const value = right === undefined ? null : parseValue(right);
  if (value && !value.ok) return wrongValue(right ?? '', value.code);
  const given = value?.ok ? value.value : null;
  if (expects === 'setting') {
    const setting = settingNamed(left, structure);
    if (setting) return { kind: 'setting', setting, value: given };
  }
  const whole = terminalNamed(structure, left);
  const pair = whole ? null : readPair(left, structure);
  if (pair) return { kind: 'pair', ...pair, value: given };
  if (expects === 'setting')
    return {
      kind: 'wrong',
      message: `There is no position “${left}”. Type its number or its name, Enter after each.`,
    };
  if (expects === 'value') {
    const alone = parseValue(left);
    if (alone.ok && right === undefined) return { kind: 'value', value: alone.value };
    return wrongValue(left, alone.ok ? 'not-a-value' : alone.code);
  }
  if (whole) return { kind: 'terminal', terminal: whole.id, value: given };
  return {
    kind: 'wrong',
    message: `There is no terminal “${left}”. Type a label, such as ${structure.terminals[0]?.label ?? '1'}, or two, such as 1-2.`,
  };
}

/** A setting by its number in the rail, or by its name. */
function settingNamed(text: string, structure: Structure): SettingId | null {
  const wanted = text.toLowerCase();
  const named = structure.settings.find(
    (setting, index) => wanted !== '' && nameOfSetting(structure, setting, index).toLowerCase() === wanted,
  );
  const byNumber = /^\d+$/.test(text) ? structure.settings[Number(text) - 1] : undefined;
  return (named ?? byNumber)?.id ?? null;
}

function readPair(text: string, structure: Structure): { red: TerminalId; black: TerminalId } | null {
  for (let at = text.indexOf('-', 1); at > 0; at = text.indexOf('-', at + 1)) {
    const [red, black] = [
      terminalNamed(structure, text.slice(0, at)),
      terminalNamed(structure, text.slice(at + 1)),
    ];
    if (red && black && red.id !== black.id) return { red: red.id, black: black.id };
  }
  return null;
}

/** Pairs as they are named for a quick check, `1-2, 3-4`: each once. */
export function readPairs(
  text: string,
  structure: Structure,
): { kind: 'pairs'; pairs: [TerminalId, TerminalId][] } | { kind: 'wrong'; message: string } {
  const pairs = new Map<string, [TerminalId, TerminalId]>();
  for (const part of text.split(/[\s,;]+/).filter((one) => one !== '')) {
    const pair = readPair(part, structure);
    if (!pair)
      return { kind: 'wrong', message: `“${part}” is no pair of terminals. Name pairs such as 1-2, 3-4.` };
    pairs.set([pair.red, pair.black].sort().join(), [pair.red, pair.black]);
  }
  if (pairs.size === 0) return { kind: 'wrong', message: 'No pair is named. Name pairs such as 1-2, 3-4.' };
  return { kind: 'pairs', pairs: [...pairs.values()] };
}

function wrongValue(text: string, code: 'not-a-value' | 'negative'): Entry {
  return {
    kind: 'wrong',
    message:
      code === 'negative'
        ? `“${text}” is below nothing. Hold the leads together again for the zero, and type what the meter shows.`
        : `“${text}” is not a value. Type ohms such as 0,3 or 2k2, or OL.`,
  };
}
