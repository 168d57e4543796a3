import type { KnownSwitch } from '../switch/index.js';

/**
 * Terminals and positions as the text of one cell. A name that holds a space or a separator stands in double quotes, a double quote
 * in it doubled.
 */

/** A name as it stands in a cell: in quotes where it holds anything that separates. */
const shown = (name: string): string =>
  /^[^\s;:,"*-]+$/.test(name) ? name : `"${name.replaceAll('"', '""')}"`;

const meant = (text: string): string =>
  text.length >= 2 && text.startsWith('"') && text.endsWith('"')
    ? text.slice(1, -1).replaceAll('""', '"')
    : text;

/** Whether every quote is closed again. */
export const quotesClose = (text: string): boolean => (text.split('"').length - 1) % 2 === 0;

/** Splits at a separating letter where it stands outside quotes. */
function split(text: string, separates: RegExp): string[] {
  const parts = [''];
  let quoted = false;
  for (const letter of text) {
    if (letter === '"') quoted = !quoted;
    if (!quoted && separates.test(letter)) parts.push('');
    else parts[parts.length - 1] += letter;
  }
  return parts;
}

/** Labels that stand apart by spaces. */
export const readTerminals = (text: string): string[] => split(text, /\s/).filter(Boolean).map(meant);

export const terminalsText = (terminals: readonly string[]): string => terminals.map(shown).join(' ');

/**
 * Positions apart by semicolons, each with a name, a colon and what joins: `OFF: ; LOW: L-A N-C`. A star behind the name: it springs
 * back. Null: one of them has no colon.
 */
export function readPositions(text: string): KnownSwitch['positions'] | null {
  const positions: KnownSwitch['positions'] = [];
  for (const part of split(text, /;/)) {
    if (part.trim() === '') continue;
    const pieces = split(part, /:/);
    const nets = pieces.pop() ?? '';
    if (pieces.length === 0) return null;
    const name = pieces.join(':').trim();
    const sprung = name.endsWith('*');
    const called = meant(sprung ? name.slice(0, -1).trim() : name);
    positions.push({
      name: called === '' ? null : called,
      rests: sprung ? 'momentary' : 'maintained',
      joined: split(nets, /[\s,]/)
        .filter((net) => net !== '' && net !== '-')
        .map((net) => split(net, /-/).map(meant)),
    });
  }
  return positions;
}

export const positionsText = (positions: KnownSwitch['positions']): string =>
  positions
    .map(({ name, rests, joined }) => {
      const called = name && (/[;:"*]|^\s|\s$/.test(name) ? `"${name.replaceAll('"', '""')}"` : name);
      return `${called ?? ''}${rests === 'momentary' ? '*' : ''}: ${joined.map((net) => net.map(shown).join('-')).join(' ')}`;
    })
    .join('; ');
