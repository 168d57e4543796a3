import {
  nameOfSetting,
  settingName,
  type SettingId,
  type Structure,
  type TerminalId,
} from '@which-way/core/switch';

export { nameOfSetting, settingName };

/** What a terminal is called; a retired one is still called something. */
export function terminalName(structure: Structure, id: TerminalId): string {
  return structure.terminals.find((terminal) => terminal.id === id)?.label ?? 'one that was removed';
}

/** Whether one label counts on from another: 4 from 3, A2 from A1. */
function countsOn(from: string, to: string): boolean {
  const [one, other] = [from, to].map((label) => /^(\D*)(\d+)$/.exec(label));
  return !!one && !!other && one[1] === other[1] && Number(one[2]) + 1 === Number(other[2]);
}

/** Terminals as one says them: runs of three or more whose labels count on become 'a to b'. */
export function terminalList(structure: Structure, ids: readonly TerminalId[]): string {
  const name = (at: number) => terminalName(structure, ids[at] as TerminalId);
  const parts: string[] = [];
  for (let from = 0; from < ids.length;) {
    let to = from;
    while (to + 1 < ids.length && countsOn(name(to), name(to + 1))) to += 1;
    if (to - from >= 2) parts.push(`${name(from)} to ${name(to)}`);
    else for (let at = from; at <= to; at += 1) parts.push(name(at));
    from = to + 1;
  }
  return parts.join(', ');
}

/** The name of a setting where there is little room. */
export function shortSettingName(structure: Structure, id: SettingId): string {
  return settingName(structure, id).replace(/^Position /, 'P');
}

/** Two leads as a pair: '3–7', or '1, 2–7' where several are tied together. */
export function pairWords(
  structure: Structure,
  { red, black }: { red: readonly TerminalId[]; black: readonly TerminalId[] },
): string {
  return `${terminalList(structure, red)}–${terminalList(structure, black)}`;
}
