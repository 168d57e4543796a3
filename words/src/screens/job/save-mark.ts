/** What save mark says. */
export const SAVE_MARK_TEXT = {
  waitingNotSavedYet: (count: string | number) => `Waiting: ${count} not saved yet`,
  onlyInThisOpenPage: (count: string | number) => `Only in this open page: ${count}. Do not close it`,
  failedNotSaved: (count: string | number) => `Failed: ${count} not saved`,
  pressToTryAgain: (reason: string | number) => `${reason} Press to try again.`,
  browserKeepsNone: (why: string, reason: string) => `${why} The browser doesn’t keep it: ${reason}`,
  onTheServersDisk: 'On the server’s disk',
};
