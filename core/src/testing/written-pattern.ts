import { partitionFromGroups, type Pattern } from '../partition/index.js';

/** A pattern as one writes it: settings apart by `|`, nets by spaces, terminals by letters: `ab cd | - | ad bc`. */
export function writtenPattern(text: string): Pattern {
  const settings = text.split('|').map((part) => part.trim());
  const letters = [...new Set(text.replace(/[^a-z]/g, ''))].sort();
  return settings.map((nets) =>
    partitionFromGroups(
      letters.length,
      nets === '-' ? [] : nets.split(' ').map((net) => [...net].map((letter) => letters.indexOf(letter))),
    ),
  );
}
