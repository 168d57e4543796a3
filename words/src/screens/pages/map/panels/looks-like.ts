import { touches } from '../../../../plural.js';

/** What looks like says. */
export const LOOKS_LIKE_TEXT = {
  looksLike: (recognisedWords: string | number) => `Looks like: ${recognisedWords}`,
  itMayAlsoBe: 'It may also be: ',
  notProvedYet: 'Not proved yet.',
  toProveItTouchesAbout: (count: number, time: string) => `To prove it: ${touches(count)}, about ${time}.`,
  thePromptsNowProveIt: 'The prompts now prove it, joins first.',
  proveIt: 'Prove it',
};
