/** What taking readings from a bench meter says. */
export const METER_TEXT = {
  take: 'Use the bench meter',
  takeItOver: (who: string) => `Take the bench meter from ${who}`,
  giveBack: 'Stop',
  name: (name: string) => (name === '' ? 'Bench meter' : name),
  openAfter: 'Open after',
  dwell: (seconds: number | null) => (seconds === null ? 'Open: by pedal' : `Open after ${seconds} s`),
  over: 'over range',
  open: 'open',
  overRange: (range: string) => `above ${range}`,
  nothing: '–',
  standing: {
    off: 'None is set.',
    connecting: 'Connecting to the bench meter…',
    late: 'The meter hasn’t answered for a while. Nothing is recorded until it does.',
    lost: 'The meter is gone. It reconnects by itself; nothing is recorded meanwhile.',
  },
  why: (trouble: string) =>
    ({
      silent: 'It didn’t answer.',
      nonsense: 'What came wasn’t a meter’s answer.',
      closed: 'The connection was closed.',
      timeout: 'It can’t be reached.',
      ECONNREFUSED: 'Nothing answers at that address and port.',
      ENOTFOUND: 'No computer with that name was found.',
      EHOSTUNREACH: 'It can’t be reached.',
      'cannot-open': 'The serial port can’t be opened. Is it plugged in, and free?',
    })[trouble] ?? `It says: ${trouble}.`,
  aside: {
    'not-lifted': 'Same contact as before: lift the leads. If the handle moved, tap OL.',
    'nothing-asked': 'A reading, but none is asked for now.',
  },
  steady: 'Hold the leads still: it takes three readings alike.',
} as const;
