/** What client says. */
export const CLIENT_TEXT = {
  answerNotJson: (path: string) => `The answer to ${path} is not JSON.`,
  answerWithout: (path: string, field: string) => `The answer to ${path} has no ${field} that can be read.`,
  theServerDoesNotAnswer: 'The server isn’t answering.',
  reloadThePage: 'Reload the page.',
  theAnswerWasNotFrom: (status: string | number) => `The answer (${status}) was not from Which Way.`,
  startItAgainItIs: 'Start it again; this page retries by itself.',
};
