import type { ExpectedTable } from '../../log/index.js';
import { terminalNamed, type Structure, type TerminalId } from '../../switch/index.js';

/** Why a text is no expected table, and where. */
export interface TextTrouble {
  code: 'no-colon' | 'no-such-position' | 'position-twice' | 'no-such-terminal' | 'not-a-join';
  /** The line, from 1. */
  line: number;
  /** The part that is wrong. */
  at: string;
}

export type ReadExpected = { ok: true; table: ExpectedTable } | { ok: false; trouble: TextTrouble };

/**
 * Reads an expected table as one writes it, a position a line or apart by semicolons: `LEFT: 1-8 3-4 6-7`. Positions by
 * name or by their number; terminals that join with hyphens; `-` or nothing for none. Positions that are not there are not
 * compared.
 * @param nameOf what a setting is called, as it stands on the screen
 */
export function readExpected(
  text: string,
  structure: Structure,
  nameOf: (index: number) => string,
): ReadExpected {
  const lines = text.split(/[\n;]/).map((line) => line.trim());
  const settings: ExpectedTable['settings'] = [];
  for (const [index, line] of lines.entries()) {
    if (line === '') continue;
    const trouble = (code: TextTrouble['code'], at: string): ReadExpected => ({
      ok: false,
      trouble: { code, line: index + 1, at },
    });
    const colon = line.lastIndexOf(':');
    if (colon < 0) return trouble('no-colon', line);
    const name = line.slice(0, colon).trim();
    const named = structure.settings.find((_, at) => nameOf(at).toLowerCase() === name.toLowerCase());
    // A position that is called 1 may be the second: its name comes before its number.
    const setting = named ?? structure.settings.find((_, at) => String(at + 1) === name);
    if (!setting) return trouble('no-such-position', name);
    if (settings.some((one) => one.setting === setting.id)) return trouble('position-twice', name);
    const joined: TerminalId[][] = [];
    const unsaid: [TerminalId, TerminalId][] = [];
    for (const join of line
      .slice(colon + 1)
      .split(/[\s,]+/)
      .filter((part) => part !== '' && part !== '-')) {
      const net = netNamed(join.replace(/^\?/, ''), structure);
      if (typeof net === 'string') return trouble('no-such-terminal', net);
      if (net.length < 2) return trouble('not-a-join', join);
      if (join.startsWith('?')) unsaid.push(...pairsOf(net));
      else joined.push(net);
    }
    settings.push({ setting: setting.id, joined, unsaid });
  }
  return { ok: true, table: { source: { kind: 'text' }, settings } };
}

const pairsOf = (net: readonly TerminalId[]): [TerminalId, TerminalId][] =>
  net.flatMap((one, at) => net.slice(at + 1).map((other): [TerminalId, TerminalId] => [one, other]));

/** Terminals of one net, by their labels; the label that is none. */
function netNamed(text: string, structure: Structure): TerminalId[] | string {
  const ids: TerminalId[] = [];
  for (const label of text.split(/[-–]/)) {
    const terminal = terminalNamed(structure, label);
    if (!terminal) return label;
    ids.push(terminal.id);
  }
  return [...new Set(ids)];
}
