/** What client says. */
export const CLIENT_TEXT = {
  theServerDoesNotAnswer: 'The server isn’t answering.',
  reloadThePage: 'Reload the page.',
  theAnswerWasNotFrom: (status: string | number) => `The answer (${status}) was not from Which Way.`,
  startItAgainItIs: 'Start it again; it is tried again by itself.',
};
