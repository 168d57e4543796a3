/** How a setting is drawn everywhere: a colour, a dash pattern, and its name beside it. Never colour alone. */
export interface Strand {
  color: string;
  /** SVG dash array for a line about 4 wide; empty is solid. */
  dash: string;
}

const COLORS = 6;
const DASHES = ['', '14 7', '1 10', '15 6 4 6', '7 6', '20 5 4 5 4 5'];

/** The strand of the setting at this place in the list: six colours, and dashes that differ from neighbour to neighbour. */
export function strandOf(index: number): Strand {
  const round = Math.floor(index / COLORS);
  return {
    color: `var(--strand-${(index % COLORS) + 1})`,
    dash: DASHES[(index + round) % DASHES.length] ?? '',
  };
}
