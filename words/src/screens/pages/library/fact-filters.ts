/** What fact filters says. */
export const FACT_FILTERS_TEXT = {
  terminalsExactly: 'Terminals, exactly',
  positionsExactly: 'Positions, exactly',
  aThatOnlyHeatAt: 'A that only heat, at least',
  aOfAMotorAt: 'A of a motor, at least',
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
  whatAnEntryDoesNot: 'What an entry does not state it is not found by: it may still have it.',
  isNoNumberWriteOr: '” isn’t a number: enter 12 or 12.5.',
};
