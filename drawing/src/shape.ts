/** A piece of a drawing as plain data, in the words of SVG. An empty tag is several pieces in a row. */
export interface Shape {
  tag: string;
  /** As React writes them: `strokeWidth`, `textAnchor`. Colours are names of the palette, such as `var(--ink)`. */
  attributes: Readonly<Record<string, string | number>>;
  children: readonly (Shape | string)[];
}

/** What a drawing function may give: a piece, several, a text, or nothing. */
export type Drawn = Shape | string | number | null | undefined | false | readonly Drawn[];

/** The pieces of what was given, without what is nothing. */
export function piecesOf(drawn: Drawn): (Shape | string)[] {
  if (drawn === null || drawn === undefined || drawn === false) return [];
  if (typeof drawn === 'number') return [String(drawn)];
  if (typeof drawn === 'string') return [drawn];
  return isList(drawn) ? drawn.flatMap(piecesOf) : [drawn];
}

const isList = (drawn: Shape | readonly Drawn[]): drawn is readonly Drawn[] => Array.isArray(drawn);

/** A whole drawing in a measure of its own. */
export interface Picture {
  width: number;
  height: number;
  shapes: readonly (Shape | string)[];
  /** What it shows, for those who do not see it. */
  caption: string;
}

/** A drawing without its words, such as for a small picture with its name beside it. */
export const withoutWords = (picture: Picture): Picture => ({ ...picture, shapes: wordless(picture.shapes) });

const wordless = (pieces: readonly (Shape | string)[]): (Shape | string)[] =>
  pieces.flatMap((piece): (Shape | string)[] =>
    typeof piece === 'string'
      ? [piece]
      : piece.tag === 'text'
        ? []
        : [{ ...piece, children: wordless(piece.children) }],
  );
