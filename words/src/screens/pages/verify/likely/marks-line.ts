/** What the line says in which a mark closes a tie. */
export const MARKS_LINE_TEXT = {
  marks: 'Marks on the part',
  look: 'Look',
  remove: 'Remove',
  onTheContacts: 'Flat, key or marked lug of the contacts',
  tapWhereItShouldBe: 'Tap the lug where it should be.',
  tapWhereItIs: 'Now tap the lug where it is.',
  onTheHandle: 'Stop or flat of the handle',
  itShouldBeAt: 'It should be at',
  itIsAt: 'It is at',
  theSwitch: (side: string) => `The switch, ${side.charAt(0).toLowerCase()}${side.slice(1)}`,
};
