/** What route line says. */
export const ROUTE_LINE_TEXT = {
  stepsOfThisJob: 'Steps of this job',
  stepOf: (step: string, at: number, all: number) => `${step} · ${at} of ${all}`,
  done: ', done',
  passedOverItIsIn: ', passed over: it is in the hand',
  notInThisVersionYet: ', not in this version yet',
  notInThisVersionYet2: 'Not in this version yet',
  passedOverTheSwitchIs: 'Passed over: the switch is in the hand, out of the machine',
};
