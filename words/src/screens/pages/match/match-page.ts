/** What match page says. */
export const MATCH_PAGE_TEXT = {
  withoutJunction: ' without an added junction',
  candidates: 'Candidates',
  whatCanTakeItsPlace: 'What can take its place',
  filters: (count: number) => (count === 0 ? 'Filters' : `Filters · ${count}`),
  needsBy: {
    'should-be': 'Needs what it should do',
    'as-mapped': 'Needs what it does, as mapped',
    machine: 'Needs what the machine needs',
  },
  gained: (count: number, asMapped: boolean) =>
    `${count === 0 ? 'No more parts' : count === 1 ? '1 more part' : `${count} more parts`} would do than with “${
      asMapped ? 'as mapped' : 'as it should be'
    }”.`,
  needsLike: (name: string) => `Needs what ${name} does`,
  terminalsAnd: ' terminals and ',
  position: 'position',
  positionsInThisOrder: 'positions in this order',
  moreWouldDoThanWas: ' More would do than was looked for: the search for that was cut off.',
  onlyThoseThatAreCalled: 'Filter by name',
  nameMakerNumberMarkingFamily: 'Name, maker, number, marking, family',
  searching: 'Searching.',
  whatCanTakeItsPlace2: 'Replacements appear here once the library has entries.',
  noneIsCalledSo: (words: string) => `Nothing in the library matches “${words}”.`,
  kindsThatWouldDo: 'Common kinds with this wiring',
  everyRatingIsAQuestion:
    'These are wiring patterns, not parts. Check each part’s volts, amps, kind of load, springs and make-before-break.',
  noneOfTheLibraryHas: (value: string | number) =>
    `Nothing in the library has this wiring${value}. The list says why for each, and what comes close.`,
  lookAgain: 'Look again',
  theLibraryIsEmpty: 'The library is empty.',
  takeInACatalogueOr: 'Import a catalogue or a file with known switches at',
  library: 'Library',
  theMapIsNotComplete: 'The map is not complete',
  notEverythingIsSaidOf: 'What it should do isn’t fully specified',
  pairs: ' pairs ',
  areNotSettled: 'are not settled',
  bindNothing: 'bind nothing',
  andThereMayBeMore: ', and there may be more positions',
  aCandidateCanBeRuled: '. A candidate can be ruled out, but none is a match yet.',
  match: 'Match',
  goToTheMap: 'Go to the Map',
  orSayAt: 'or say at',
  verify: 'Verify',
  whatItShouldDoA: 'what it should do: a dead switch is matched by that.',
};
