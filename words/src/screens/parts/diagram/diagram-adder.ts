/** What diagram adder says. */
export const DIAGRAM_ADDER_TEXT = {
  pageCannotBeDrawnTake: (number: string | number) =>
    `Page ${number} can’t be drawn. Use another page, or a screenshot of it.`,
  cannotBeReadAsA: (name: string | number) =>
    `${name} cannot be read as a PDF. Take one without a password, or a photo of the page.`,
  photoOrPdfOfThe: ' Photo or PDF of the diagram',
  drawingThePage: 'Drawing the page…',
  pageOf: 'Page, of ',
  takeThisPage: 'Take this page',
  aPageFromTo: 'A page from 1 to ',
};
