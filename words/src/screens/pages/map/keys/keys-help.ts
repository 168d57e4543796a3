/** What keys help says. */
export const KEYS_HELP_TEXT = {
  keysPedalsAndSounds: 'Keys, pedals and sounds',
  close: 'Close',
  itSoundsDone: 'It beeps; done',
  noneOpenHeldDownUndo: 'None; open. Held down: undo',
  soundsOnOrOff: 'Sounds on or off',
  speechOnOrOff: 'Speech on or off',
  pedalsAndKeysOfYour: 'Pedals and keys of your own',
  pressItNow: 'Press it now',
  learn: 'Learn',
  forgetTheKeyFor: (does: string | number) => `Forget the key for: ${does}`,
  forget: 'Forget',
  sounds: 'Sounds',
  soundsForJoinedNoneLook: 'Sounds for joined, none, look again, contradiction and done',
  sayTheNextPromptAnd: 'Say the next prompt, and what was answered',
  thisBrowserCannotSpeak: 'This browser cannot speak',
};
