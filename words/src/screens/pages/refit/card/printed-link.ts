/** What printed link says. */
export const PRINTED_LINK_TEXT = {
  withALinkToRead: 'With a link to read this job, its QR code stands on the printed card: make one at',
  report: 'Report',
  qrCodeOnThePrinted: 'QR code on the printed card',
  qrCodeOf: (address: string | number) => `QR code of ${address}`,
  thisJobToBeRead: 'This job, to be read on a phone in the shop’s network until',
};
