import { parseValue, type Value } from '../log/index.js';
import {
  terminalNamed,
  type Setting,
  type SettingId,
  type Structure,
  type TerminalId,
} from '../switch/index.js';
import type { Message } from './message.js';

/** What a typed line means. */
export type Entry =
  | { kind: 'pair'; red: TerminalId; black: TerminalId; value: Value | null }
  | { kind: 'terminal'; terminal: TerminalId; value: Value | null }
  | { kind: 'setting'; setting: SettingId; value: Value | null }
  | { kind: 'value'; value: Value }
  | { kind: 'wrong'; message: Message };

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
  if (expects === 'setting') return { kind: 'wrong', message: { code: 'no-such-position', typed: left } };
  if (expects === 'value') {
    const alone = parseValue(left);
    if (alone.ok && right === undefined) return { kind: 'value', value: alone.value };
    return wrongValue(left, alone.ok ? 'not-a-value' : alone.code);
  }
  if (whole) return { kind: 'terminal', terminal: whole.id, value: given };
  const example = structure.terminals[0]?.label ?? '1';
  return { kind: 'wrong', message: { code: 'no-such-terminal', typed: left, example } };
}

/** A setting by its number in the rail, or by the names of its positions, `OFF` or `OFF, P2`. */
function settingNamed(text: string, structure: Structure): SettingId | null {
  const wanted = text.toLowerCase();
  const named = structure.settings.find(
    (setting) => wanted !== '' && namesOf(structure, setting).toLowerCase() === wanted,
  );
  const byNumber = /^\d+$/.test(text) ? structure.settings[Number(text) - 1] : undefined;
  return (named ?? byNumber)?.id ?? null;
}

/** The names of a setting's positions; P and the number where one has none. */
function namesOf({ actuators }: Structure, { at }: Setting): string {
  return actuators
    .flatMap(({ id, positions }) =>
      positions.flatMap((position, index) =>
        position.id === at[id] ? [position.name ?? `P${index + 1}`] : [],
      ),
    )
    .join(', ');
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

/** Pairs as they are named for a quick check, or the part that is none. */
export type PairList = { ok: true; pairs: [TerminalId, TerminalId][] } | { ok: false; wrong: string | null };

/** Pairs as they are named for a quick check, `1-2, 3-4`: each once. `wrong` is null where nothing is named. */
export function readPairs(text: string, structure: Structure): PairList {
  const pairs = new Map<string, [TerminalId, TerminalId]>();
  for (const part of text.split(/[\s,;]+/).filter((piece) => piece !== '')) {
    const pair = readPair(part, structure);
    if (!pair) return { ok: false, wrong: part };
    pairs.set([pair.red, pair.black].sort().join(), [pair.red, pair.black]);
  }
  return pairs.size === 0 ? { ok: false, wrong: null } : { ok: true, pairs: [...pairs.values()] };
}

function wrongValue(typed: string, code: 'not-a-value' | 'negative'): Entry {
  return { kind: 'wrong', message: { code: code === 'negative' ? 'negative-value' : 'not-a-value', typed } };
}
