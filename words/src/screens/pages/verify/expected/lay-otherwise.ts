/** What lay otherwise says. */
export const LAY_OTHERWISE_TEXT = {
  asFar: ', as far as was searched',
  bestFound: ' (the best found)',
  perhapsItsTerminalsAreNumbered: 'Are the terminals numbered differently?',
  certain: 'Certain:',
  terminalsWhoseNumbersAreCertain: 'Terminals whose numbers are certain',
  findTheBestWay: 'Find the best way',
  noOtherWayDiffersIn: (now: string | number, value: string | number) =>
    `No other way differs in fewer than ${now}${value}.`,
  differsInInsteadOfIf: (
    differs: string | number,
    now: string | number,
    value: string | number,
    join: string | number,
  ) => `Differs in ${differs} instead of ${now}${value}, if ${join}.`,
  layItSo: 'Use this order',
  couldNotBeCalculated: "This couldn't be calculated. Try again.",
};
