/** What live records says. */
export const LIVE_RECORDS_TEXT = {
  liveRecords: 'Live records',
  liveMeasurements: 'Live measurements',
  recordedOnlyTheyMapNothing:
    'Recorded only: they don’t count for the map or unlock it. For a competent person, where it cannot be done dead.',
  v: ' V',
  at: 'at ',
  by: ', by ',
  recordALiveMeasurement: 'Record a live measurement',
  betweenWhichPointsInWhich: 'Between which points, in which position',
  acOrDc: 'AC or DC',
  whyItCannotBeDone: 'Why it cannot be done dead',
  competentPerson: 'Competent person',
  dialOnVoltsRedLead: 'Dial on volts, red lead in the volts socket',
  stillNeeded: 'Still needed: ',
  keepTheRecord: 'Save the record',
  close: 'Close',
};
