/** What fact filters says. */
export const FACT_FILTERS_TEXT = {
  terminalsExactly: 'Terminals, exactly',
  positionsExactly: 'Positions, exactly',
  aThatOnlyHeatAt: 'A resistive, at least',
  aOfAMotorAt: 'A motor, at least',
  vAcAtLeast: 'V AC, at least',
  vDcAtLeast: 'V DC, at least',
  priceAtMost: 'Price, at most',
  byWhatIsStated: 'By what is stated',
  askedFor: (said: string | number) => `: ${said} asked for`,
  handle: 'Handle',
  disconnection: 'Disconnection',
  springsBack: 'springs back',
  inStock: 'in stock',
  partsAlone: 'parts alone',
  whatAnEntryDoesNot: 'An entry that doesn’t state it isn’t found, though it may have it.',
  isNoNumberWriteOr: '” isn’t a number: enter 12 or 12.5.',
};
