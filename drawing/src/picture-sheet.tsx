/** @jsxImportSource @which-way/drawing */
import { piecesOf, type Picture } from './shape.js';

/** A picture with what stands above it. */
export interface TitledPicture {
  title: string;
  picture: Picture;
}

const TITLE = 60;
const GAP = 40;

/** Several pictures of one width on one sheet, row by row, each under its title. */
export function pictureSheet(pictures: readonly TitledPicture[], across: number, caption: string): Picture {
  const width = Math.max(...pictures.map(({ picture }) => picture.width), 1);
  const rows = Math.ceil(pictures.length / across);
  const heights = Array.from({ length: rows }, (_, row) =>
    Math.max(...pictures.slice(row * across, (row + 1) * across).map(({ picture }) => picture.height)),
  );
  const shapes = pictures.map(({ title, picture }, at) => {
    const row = Math.floor(at / across);
    const x = (at % across) * (width + GAP);
    const y = heights.slice(0, row).reduce((sum, height) => sum + height + TITLE + GAP, 0);
    return (
      <g transform={`translate(${x} ${y})`}>
        <text x={width / 2} y={40} fontSize={40} fontWeight={700} textAnchor="middle" fill="var(--ink)">
          {title}
        </text>
        <g transform={`translate(0 ${TITLE})`}>{[...picture.shapes]}</g>
      </g>
    );
  });
  return {
    width: Math.min(across, pictures.length) * (width + GAP) - GAP,
    height: heights.reduce((sum, height) => sum + height + TITLE + GAP, 0) - GAP,
    shapes: piecesOf(shapes),
    caption,
  };
}
