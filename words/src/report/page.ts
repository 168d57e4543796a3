import { plainText } from '@which-way/core/schema';
import { KNOWN_WORDS, type Piece, type ReportDocument } from './document.js';

/** What a report's page is shown with: the drawing of the positions as SVG, and the address of each photo that can be read. */
export interface PagePictures {
  positions: string | null;
  photos: ReadonlyMap<string, string>;
  /** The product's typeface as addresses of its two weights; null: what the reader's machine has. */
  typeface: Typeface | null;
}

/** A typeface as the addresses of two files: they hold it whole, or are the server's own. */
export interface Typeface {
  normal: string;
  bold: string;
}

const faces = ({ normal, bold }: Typeface): string =>
  [
    [400, normal],
    [700, bold],
  ]
    .map(
      ([weight, address]) =>
        `@font-face { font-family: "Atkinson Hyperlegible Next"; font-weight: ${weight}; src: url("${address}") format("woff"); }`,
    )
    .join('\n');

const ESCAPES: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&#39;',
};
export const escaped = (text: string): string =>
  plainText(text).replace(/[&<>"']/g, (letter) => ESCAPES[letter] ?? '');

const STYLE = `
:root { color-scheme: light; background: #fff; }
body { font: 16px/1.45 "Atkinson Hyperlegible Next", "Atkinson Hyperlegible", Verdana, sans-serif; color: #16201c; background: #fff; margin: 0 auto; max-width: 52rem; padding: 1.5rem; }
h1 { font-size: 1.7rem; margin: 0; } h2 { font-size: 1.15rem; margin: 1.6rem 0 .4rem; border-bottom: 2px solid #16201c; }
ul { margin: .3rem 0; padding-left: 1.2rem; } li { break-inside: avoid; }
table { border-collapse: collapse; width: 100%; } td, th { text-align: left; vertical-align: top; border-bottom: 1px solid #bcc7c2; padding: .25rem .5rem .25rem 0; }
.known { color: #55635d; font-size: .85rem; } .wide { overflow-x: auto; } figure { margin: .6rem 0; } img { max-width: 100%; max-height: 22rem; }
svg { max-width: 100%; height: auto; } @media print { h2 { break-after: avoid; } }
@media screen { .part { content-visibility: auto; contain-intrinsic-height: auto 150rem; } }`;

/** What stands around a report that is read by a link. */
export interface AroundReport {
  /** Lines above it, such as those of a card that is being worked through. */
  above: { heading: string; lines: string[] } | null;
  /** A script of our own that keeps the page up to date; null: none. */
  script: string | null;
}

/** The report as a web page in one file: nothing is fetched when it is opened, but photos and a typeface whose addresses say so. */
export function reportHtml(
  report: ReportDocument,
  pictures: PagePictures,
  { above, script }: AroundReport = { above: null, script: null },
): string {
  const sections = report.sections.map(
    ({ heading, pieces }) =>
      `<section><h2>${escaped(heading)}</h2>${pieces.map((piece) => pieceHtml(piece, pictures)).join('\n')}</section>`,
  );
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
${script === null ? '' : `<script defer src=\"${script}\"></script>\n`}<title>${escaped(report.title)}</title><style>${pictures.typeface ? faces(pictures.typeface) : ''}${STYLE}</style></head>
<body><main><header><h1>${escaped(report.title)}</h1><p>${escaped(report.subtitle)}</p></header>
${above ? `<section><h2>${escaped(above.heading)}</h2><ol>${above.lines.map((line) => `<li>${escaped(line)}</li>`).join('\n')}</ol></section>\n` : ''}${sections.join('\n')}
</main></body></html>
`;
}

/** So many lines are laid out together; of thousands, those in sight. */
const LINES_TOGETHER = 100;

/** Lines as a list, a long one in parts that are laid out when they come into sight. */
function inParts(lines: readonly string[]): string {
  if (lines.length <= LINES_TOGETHER) return `<ul>${lines.join('\n')}</ul>`;
  const parts = Array.from({ length: Math.ceil(lines.length / LINES_TOGETHER) }, (_, at) =>
    lines.slice(at * LINES_TOGETHER, (at + 1) * LINES_TOGETHER),
  );
  return parts.map((part) => `<ul class="part">${part.join('\n')}</ul>`).join('\n');
}

function pieceHtml(piece: Piece, { positions, photos }: PagePictures): string {
  switch (piece.kind) {
    case 'facts': {
      const [first] = piece.facts;
      if (!first) return '';
      const lines = piece.facts.map(({ text }) => `<li>${escaped(text)}</li>`);
      return `${inParts(lines)}<p class="known">${KNOWN_WORDS[first.known]}</p>`;
    }
    case 'table': {
      const row = (cells: readonly string[], of: 'td' | 'th') =>
        `<tr>${cells.map((text) => `<${of}>${escaped(text)}</${of}>`).join('')}</tr>`;
      return `<div class="wide"><table><thead>${row(piece.head, 'th')}</thead><tbody>${piece.rows
        .map((cells) => row(cells, 'td'))
        .join('\n')}</tbody></table></div><p class="known">${KNOWN_WORDS[piece.known]}</p>`;
    }
    case 'picture':
      return positions ? `<figure>${positions}</figure>` : '';
    case 'photo': {
      const address = photos.get(piece.photo);
      const caption = `<figcaption>${escaped(piece.caption)}${address ? '' : ' (the photo could not be read)'}</figcaption>`;
      return `<figure>${address ? `<img alt="${escaped(piece.caption)}" src="${address}">` : ''}${caption}</figure>`;
    }
  }
}
