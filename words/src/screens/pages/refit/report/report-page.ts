/** What report page says. */
export const REPORT_PAGE_TEXT = {
  report: 'Report',
  whichReport: 'Which report',
  webPageOneFile: 'Web page, one file',
  theReportAsItIs: 'The report as it is',
  theReportCouldNotBe: 'The report couldn’t be made.',
  nothingIsLostReloadThe: 'Nothing is lost. Reload the page and try again.',
  makingTheReport: 'Making the report.',
  whatItHolds: 'What it holds',
  photosInIt: 'Photos in it',
  aPhotoWithoutACaption: 'A photo without a caption',
  thePdfCouldNotBe: 'The PDF couldn’t be made.',
  reloadThePageAndTry: 'Reload the page and try again, or take the web page.',
  makingThePdf: 'Making the PDF.',
  stop: 'Stop',
  pdfA: 'PDF, A4',
  pdfLetter: 'PDF, Letter',
};
