/**
 * The least size of type in a drawing's own measure: what 11 px are where it is shown. 0 on paper, where a drawing is as
 * large as it is printed.
 */
export type Least = number;

/** A size of type that can be read where the drawing is shown. */
export const legible = (size: number, least: Least): number => Math.max(size, least);

/** About how far a text in the product's typeface reaches, in letters of a size: for keeping texts apart, never for cutting one. */
export const reach = (text: string, size: number): number => text.length * size * 0.62;

/** The size of type on the tag of a wire. */
export const TAG_SIZE = 21;

/** A tag that has to grow more than this says its number alone: its swatch stands beside it, its code in the list of wires. */
const MOST_GROWN = 1.4;

/** What stands on the tag of a wire: its number and the code of its colour, as far as there is room. */
export const tagText = (tag: string, color: string, grown: number): string =>
  color === '' || grown > MOST_GROWN ? tag : `${tag} ${color}`;

/** Half of what the tag of a wire takes up: its swatch and its text in the product’s even type, with room at both ends. */
export const tagHalf = (text: string): { width: number; height: number } => ({
  width: (50 + text.length * 14) / 2,
  height: 17,
});

/** How much larger the tag of a wire is drawn so that it can be read. */
export const tagGrowth = (least: Least): number => legible(TAG_SIZE, least) / TAG_SIZE;
