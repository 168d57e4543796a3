/** What looks like says. */
export const LOOKS_LIKE_TEXT = {
  looksLike: (recognisedWords: string | number) => `Looks like: ${recognisedWords}`,
  itMayAlsoBe: 'It may also be: ',
  notProvedYet: 'Not proved yet.',
  toProveItTouchesAbout: (touches: string | number, time: string | number) =>
    `To prove it: ${touches} touches, about ${time}.`,
  thePromptsNowProveIt: 'The prompts now prove it, joins first.',
  proveIt: 'Prove it',
};
