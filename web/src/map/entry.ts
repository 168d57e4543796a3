import {
  parseValue,
  terminalNamed,
  type Structure,
  type TerminalId,
  type Value,
} from '@which-way/core/switch';

/** What a typed line means. */
export type Entry =
  | { kind: 'pair'; red: TerminalId; black: TerminalId; value: Value | null }
  | { kind: 'terminal'; terminal: TerminalId; value: Value | null }
  | { kind: 'value'; value: Value }
  | { kind: 'wrong'; message: string };

/**
 * Reads a typed line. `7-9` chooses a pair, `7-9=0,3` answers it; while a sweep is shown `9` or `9=0,3` speaks of
 * a terminal; while one value is asked `0,3`, `2k2` or `OL` is it.
 */
export function readEntry(typed: string, structure: Structure, expects: 'terminal' | 'value'): Entry {
  const [left = '', right] = typed.split('=').map((part) => part.trim());
  const value = right === undefined ? null : parseValue(right);
  if (value && !value.ok) return wrongValue(right ?? '', value.code);
  const given = value?.ok ? value.value : null;
  const whole = terminalNamed(structure, left);
  const pair = whole ? null : readPair(left, structure);
  if (pair) return { kind: 'pair', ...pair, value: given };
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

function wrongValue(text: string, code: 'not-a-value' | 'negative'): Entry {
  return {
    kind: 'wrong',
    message:
      code === 'negative'
        ? `“${text}” is below nothing. Hold the leads together again for the zero, and type what the meter shows.`
        : `“${text}” is not a value. Type ohms such as 0,3 or 2k2, or OL.`,
  };
}
