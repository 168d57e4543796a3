/** What same origin says. */
export const SAME_ORIGIN_TEXT = {
  theHostIsNotThis: (host: string | number) => `The host "${host}" is not this machine.`,
  requestsFromAreNotAccepted: (origin: string | number) => `Requests from "${origin}" are not accepted.`,
  openWhichWayAtThe: 'Open Which Way at the address that it printed when it started.',
};
