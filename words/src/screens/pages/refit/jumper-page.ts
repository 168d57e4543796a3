/** What jumper page says. */
export const JUMPER_PAGE_TEXT = {
  jumperTestDoesTheRest: 'Jumper test: does the rest work without the switch?',
  supplyOffWhileYouJoin: 'Supply off while you join, and off again while you part them.',
  onlyACompetentPersonWhere: 'Only a competent person, where local rules allow it.',
  enclosedConnectorsRatedForThe:
    'Enclosed connectors rated for the current; no bare ends, no clips on live parts.',
  nobodyInReachOfWhat:
    'Nobody in reach of what may move. The plug or the battery clamp is the only stop: keep hold of it.',
  secondsNotMinutesThenEverything: 'A few seconds only, then restore everything.',
  itCanBeSaidOnce: 'This needs a complete map, or, at',
  verify: 'Verify',
  whatTheSwitchShouldDo: 'what the switch should do.',
  triedBy: 'Tried by',
  join: 'Join',
  firstSayWhoTriesIt: 'First enter who does it.',
  thePlugIsNowYour: 'The plug is now your off switch.',
  theClampIsNowYour: 'The battery clamp is now your off switch: keep hold of it.',
  withoutBattery: 'Without power instead: take the battery off, join them, and read ohms at its leads.',
  withoutPower: 'Without power instead: plug out, join them, and read ohms at the plug.',
  doesThisContactStopOr: "Does this contact stop or guard anything? If you don't know, don't bridge it.",
  noNothing: 'No, nothing',
  yesOrIDont: "Yes, or I don't know",
  thenItStaysAsIt: "Don't bridge it.",
  askAgain: 'Answer again',
};
