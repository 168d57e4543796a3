import type { TDocumentDefinitions } from 'pdfmake/interfaces';

/** The layout of a table whose lines are cut along. */
export const CUT_OUT = 'cut-out';

/** What is laid out on paper: plain data, since it goes to another thread; what would be a function is said as a wish. */
export interface Paper extends Omit<
  TDocumentDefinitions,
  'header' | 'footer' | 'pageBreakBefore' | 'background'
> {
  /** Stands at the foot of every page, before 'page of pages'. */
  foot?: string;
  /** A heading (`headlineLevel: 1`) is not left alone at the foot of a page. */
  keepHeadings?: boolean;
}
