/** What power records says. */
export const POWER_RECORDS_TEXT = {
  insulationAndEarth: 'Insulation and earth',
  measured: (done: number, all: number) => `${done} of ${all} measured`,
  yourOwnLimitsAndLocal: 'Your own limits and local rules come first.',
  onlyThoseWhoMayDo: 'Only for people permitted to do this locally. A record, not proof of safety.',
  whatIsMeasuredHangsOn:
    'What is measured depends on the supply: enter it at Make safe, or name the supply at Wires and jumpers.',
  forText: 'For ',
  commonPracticeTypeAnotherLimit: '. Common practice; type your own limit where it differs.',
  instrument: 'Instrument',
  measuredBy: 'Measured by',
  firstPowerThroughAResidual:
    'First power: through a residual-current device and a current limit, the tool off the machine, the plug last.',
  ohmsAsAFigureM: 'Ohms as a figure: 0.2, 470, 2M, 500M.',
  theLimitAsAFigure: 'The limit as a figure above 0: 0.3, 1M.',
  firstSayAboveWithWhich: 'First enter above which instrument, and who measured.',
  outside: ': outside',
  takeBack: (label: string | number) => `Remove: ${label}`,
  takeBack2: 'Remove',
  ohms: (label: string | number) => `${label}, ohms`,
  ohms2: 'ohms',
  limit: (label: string | number) => `${label}, limit`,
  keep: 'Save',
};
