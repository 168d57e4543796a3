/** What entry list says. */
export const ENTRY_LIST_TEXT = {
  openingIt: 'Opening it.',
  position: (value: string | number) => `position ${value}`,
  springsBack: ', springs back',
  nothing: 'nothing',
  nothingIsStatedBesidesThe: 'Only the wiring is known.',
  picturesOf: (name: string | number) => `Pictures of ${name}`,
  aPictureOf: (name: string | number) => `A picture of ${name}`,
};
