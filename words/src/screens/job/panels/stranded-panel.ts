/** What stranded panel says. */
export const STRANDED_PANEL_TEXT = {
  aReadingIs: 'A reading is',
  readingsAre: (readings: string | number) => `${readings} readings are`,
  setAsideOnSomethingThat: (value: string | number) =>
    `${value} set aside: on something that was never added`,
  theChangeThatShouldHave:
    'The change that should have added it was refused. Choose what was meant, or remove them.',
  text: (value: string | number) => `, ${value}`,
  lugThatIsNotThere: (value: string | number) => `Lug that is not there${value}: it is`,
  chooseALug: 'Choose a lug',
  positionThatIsNotThere: (value: string | number) => `Position that is not there${value}: it is`,
  chooseAPosition: 'Choose a position',
  moveThemThere: 'Move them there',
  takeThemOut: 'Remove them',
};
