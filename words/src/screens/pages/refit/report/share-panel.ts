/** What share panel says. */
export const SHARE_PANEL_TEXT = {
  theLinkWasNotChanged: (message: string | number) => `The link was not changed. ${message}`,
  share: 'Share',
  aPhoneAtTheMachine: 'A phone at the machine',
  qrCodeOf: (address: string | number) => `QR code of ${address}`,
  anyoneWithTheLinkCan: 'Anyone with the link can read this report until ',
  theyCantChangeAnything: '. They can’t change anything.',
  endTheLink: 'End the link',
  createAReadOnlyLink: 'Create a read-only link',
  noLocalNetworkWasFound: 'No local network was found.',
  theServerIsNotOpen: 'The server is not open to the local network.',
  connectThisMachineToIt: 'Connect this machine to it.',
  startItWithLanThen: 'Start it with --lan: then the link has an address that a phone reaches.',
};
