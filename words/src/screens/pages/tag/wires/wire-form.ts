/** What wire form says. */
export const WIRE_FORM_TEXT = {
  aTagHasANumber: 'A tag has a number or a letter on it.',
  thereIsATagAlready: (wanted: string | number) => `There is a tag ${wanted} already.`,
  tag: 'Tag',
  size: 'Size',
  endsIn: 'Ends in',
  sitsOn: 'Sits on',
  goesTo: 'Goes to',
  liveThoughItsColourSays: 'Live though its colour says otherwise: re-mark it',
  done: 'Done',
  removeTheWire: 'Remove the wire',
  colour: 'Colour ',
  tapTwoForAStriped: ' tap two for a striped wire',
};
