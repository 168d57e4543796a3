import { plainTexts } from '@which-way/core/schema';
import { svgText } from '@which-way/drawing/svg-text';
import { KNOWN_WORDS, type Piece, type ReportDocument } from '@which-way/words/report/document';
import type { Content } from 'pdfmake/interfaces';
import type { Paper } from '../../../parts/paper/paper.js';
import type { ReportPictures } from './report-maker.js';
import { REPORT_PAGE_TEXT } from '@which-way/words/screens/pages/refit/report/report-page';

export const PAPER_SIZES = ['A4', 'LETTER'] as const;
export type PaperSize = (typeof PAPER_SIZES)[number];

/** Points across the paper between its margins, by size. */
const ACROSS: Record<PaperSize, number> = { A4: 595 - 80, LETTER: 612 - 80 };

/** The report as paper: the same sections and words as the page. */
export function reportPaper(said: ReportDocument, pictures: ReportPictures, size: PaperSize): Paper {
  const report = plainTexts(said);
  return {
    pageSize: size,
    pageMargins: [40, 48, 40, 48],
    info: { title: report.title },
    defaultStyle: { fontSize: 10, lineHeight: 1.15 },
    foot: report.title,
    keepHeadings: true,
    content: [
      { text: report.title, fontSize: 18, bold: true },
      { text: report.subtitle, margin: [0, 0, 0, 6] },
      ...report.sections.flatMap(({ heading, pieces }): Content[] => [
        { text: heading, fontSize: 12, bold: true, margin: [0, 12, 0, 4], headlineLevel: 1 },
        ...pieces.flatMap((piece) => pieceContent(piece, pictures, ACROSS[size])),
      ]),
    ],
  };
}

function pieceContent(piece: Piece, { positions, photos }: ReportPictures, across: number): Content[] {
  switch (piece.kind) {
    case 'facts': {
      const [first] = piece.facts;
      return first
        ? [...piece.facts.map(({ text }): Content => ({ text })), knownLine(KNOWN_WORDS[first.known])]
        : [];
    }
    case 'table': {
      const columns = Math.max(piece.head.length, ...piece.rows.map((row) => row.length));
      const filled = (cells: readonly string[]) =>
        Array.from({ length: columns }, (_, at) => cells[at] ?? '');
      const wide = columns > 8;
      return [
        {
          layout: 'lightHorizontalLines',
          ...(wide && { fontSize: 7 }),
          table: {
            headerRows: 1,
            dontBreakRows: true,
            widths: Array.from({ length: columns }, () => (wide ? 'auto' : '*')),
            body: [filled(piece.head).map((text) => ({ text, bold: true })), ...piece.rows.map(filled)],
          },
        },
        knownLine(KNOWN_WORDS[piece.known]),
      ];
    }
    case 'picture':
      return positions ? [{ svg: svgText(positions), width: Math.min(across, positions.width) }] : [];
    case 'photo': {
      const address = photos.get(piece.photo);
      return [
        ...(address ? [{ image: address, fit: [across, 260] as [number, number] }] : []),
        {
          text: address ? piece.caption : REPORT_PAGE_TEXT.photoNotRead(piece.caption),
          margin: [0, 2, 0, 8],
        },
      ];
    }
  }
}

const knownLine = (text: string): Content => ({ text, fontSize: 8, color: '#55635d', margin: [0, 1, 0, 5] });
