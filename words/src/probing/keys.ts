import { KEY_TABLE, type Does } from '@which-way/core/probing';

/** What each key of the Map does, for the help and the guide. */
export const KEY_WORDS: Record<Does, string> = {
  take: 'Done; it beeps; enter what was typed; with the simulated meter: measure',
  none: 'None beeped; open',
  'type-label': 'Type a terminal’s label, Enter after each: it beeped',
  'type-value': 'A terminal and its ohms: 0,3  2k2  OL',
  'type-pair': 'Read a pair of your own choice; 2-5=OL answers it at once',
  'rub-out-or-undo': 'Delete what you typed, otherwise undo the last step (also Ctrl Z)',
  redo: 'Redo (also Ctrl Y)',
  skip: 'Skip: ask it later',
  flickers: 'It flickers; in a sweep 9=~',
  'other-side': 'One pair from the other side: turn past the position and back to it',
  'click-on': 'Click on: a new position',
  stop: 'Hit the stop: that was the last position',
  round: 'Back at the start: the handle goes round',
  lug: 'One more lug',
  approach: 'How to map; then 1 to 7 the way, t tone, o ohms, h clamp, c clips, q quick check, s seconds',
  escape: 'Cancel',
  'sounds-speech': 'Sounds, speech: on or off',
  help: 'These keys',
};

/** The keys of the two answers as a cap shows them, on every screen. */
export const ANSWER_CAPS = { yes: 'Enter', no: 'Space' };

/** The keys of the Map as a table in Markdown, one line to each in the order of the help. */
export const keyTable = (): string =>
  [
    '| key | does |',
    '| --- | --- |',
    ...KEY_TABLE.map(({ shown, does }) => `| \`${shown}\` | ${KEY_WORDS[does]} |`),
  ].join('\n');
