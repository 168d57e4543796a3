/** What safety row says. */
export const SAFETY_ROW_TEXT = {
  answerAgain: 'Answer again',
  notApplicable: 'Not applicable',
  notApplicable2: (reason: string | number) => `Not applicable: ${reason}`,
  atMostV: (volts: string | number, value: string | number) => `At most ${volts} V${value}`,
  whyNot: 'Why not?',
  keepTheReason: 'Keep the reason',
  back: 'Back',
  done: 'Done',
  itShowedTheVoltage: 'It showed the voltage',
  voltsFound: 'Volts found',
  voltsAfterTheResistor: 'Volts after the resistor',
  noneOfThese: 'None of these',
  itStoresHighVoltageMicrowave: 'It stores high voltage: microwave, picture tube, flash',
  keep: 'Keep',
};
