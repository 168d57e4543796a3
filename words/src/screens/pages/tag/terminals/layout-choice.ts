/** What layout choice says. */
export const LAYOUT_CHOICE_TEXT = {
  onAPhoto: 'On a photo',
  layout: 'Layout',
  edit: 'edit',
  howTheTerminalsLie: 'How the terminals lie',
  decks: 'Decks',
  clockPlaces: 'Clock places',
  deckIsNearestTheHandle:
    'Deck 1 is nearest the handle. Lugs of the front face lie on the outer ring, of the rear face on the inner.',
  rows: 'Rows',
  columns: 'Columns',
  addAPhotoOfThe: 'Add a photo of the terminals, straight on. Then drop a pin on each.',
  photoToLayThemOn: 'Photo to lay them on',
  layThemOnPhoto: (value: string | number) => `Lay them on photo ${value}`,
  thePhotoShows: 'The photo shows',
};
