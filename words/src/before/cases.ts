import type { Case } from '@which-way/core/log';

/** What it is called, and what it changes. */
export const CASE_WORDS: Record<Case, { name: string; about: string }> = {
  'key-out': {
    name: 'Key comes out here',
    about: 'A lock that releases its key in another position isn’t a match.',
  },
  'key-trapped': {
    name: 'Key is trapped here',
    about: 'Who holds the key has it switched elsewhere: a safety function.',
  },
  'cut-out-self': {
    name: 'Cut-out, resets by itself',
    about: 'Open may be doing its job: let it cool, then read again, cold and warm.',
  },
  'cut-out-button': {
    name: 'Cut-out with a button',
    about: 'Open may be doing its job: press the button, then read again.',
  },
  'cut-out-once': {
    name: 'Cut-out, never resets',
    about: 'Open means that it has done its job: find why before it is replaced by the same kind.',
  },
  'reversible-plug': {
    name: 'Plug goes in either way',
    about:
      'Either pin may be live: a switch that breaks one pole leaves the machine live at OFF, half of the time.',
  },
  'electronic-trigger': {
    name: 'Trigger with electronics',
    about:
      'Only its bare contacts are judged; the rest is electronics, not tested by ohms. A body diode reads one way.',
  },
  'half-wave': {
    name: 'Diode for half speed',
    about:
      'It gives about half the power; a reading in ohms can’t show that. Low one way and open the other is right.',
  },
  'sprung-start': {
    name: 'START springs back',
    about: 'START must open by itself on release while RUN stays: a stuck START burns the winding.',
  },
  'run-and-brake': {
    name: 'Brake contact',
    about: 'The brake contact opens before RUN makes: an overlap is a short of the supply.',
  },
  interlock: {
    name: 'Door, lid or seat switch',
    about: 'It protects whoever reaches in: never bridge it. A replacement opens when it is let go.',
  },
  'stop-button': {
    name: 'Stop or emergency stop',
    about: 'It must open whenever it is pressed: never bridge it. An emergency stop latches.',
  },
  limit: {
    name: 'Limit, float, pressure or flame',
    about: 'It stops the machine by itself: never bridge it, not even for a test.',
  },
  'neutral-only': {
    name: 'Starts in neutral or park only',
    about: 'It keeps the machine from starting in gear: never bridge it.',
  },
  'no-volt': {
    name: 'Drops out when power fails',
    about: 'Without it the machine restarts by itself when power comes back.',
  },
  'kill-contact': {
    name: 'Kill contact',
    about: 'It stops the engine by grounding it: a replacement that leaves it out can’t stop the engine.',
  },
  'gold-contacts': {
    name: 'Gold contacts',
    about:
      'They carry signals: a load’s current burns the gold off. A replacement for a signal needs gold too.',
  },
};
