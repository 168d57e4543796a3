import { plural } from '../../../plural.js';

/** What listening to the meter says. */
export const EAR_TEXT = {
  listen: 'Listen',
  stop: 'Stop',
  options: 'Options',
  listening: 'Listening for the beeper',
  silentAfter: 'Silent after',
  dwell: (seconds: number | null) => (seconds === null ? 'Silent: by pedal' : `Silent after ${seconds} s`),
  sweeps: 'Sweeps',
  pace: (seconds: number | null) =>
    seconds === null ? 'Sweep: touch by touch' : `Sweep on clicks, ${seconds} s`,
  sweep: {
    clipFirst: (clip: string) => `Touch the clip on ${clip} to start the clicks.`,
    leading: 'On each click, touch the marked terminal.',
    clipLast: (clip: string) => `On the click, touch the clip on ${clip}.`,
    rest: 'Lift the leads and touch nothing.',
    agree: (beeped: string) =>
      beeped === ''
        ? 'None beeped. Press the pedal to confirm.'
        : `${beeped} beeped. The rest silent? Press the pedal.`,
    again: (lugs: string) => `Again, ${lugs}.`,
    undo: 'Undo sweep',
    confirm: 'Confirm',
    voided: {
      'clip-silent': (clip: string) => `Check the clip on ${clip}, then touch it to start again.`,
      'out-of-step': (clip: string) =>
        `Touches and clicks were out of step. Touch the clip on ${clip} to start again.`,
      lost: (clip: string) => `The sound was lost. Touch the clip on ${clip} to start again.`,
      undone: (clip: string) => `Sweep undone. Touch the clip on ${clip} to start again.`,
    },
  },
  simulatedMeter: 'Simulated meter',
  fault: { none: 'The meter works', 'clip-off': 'The clip is off', asleep: 'The meter is asleep' },
  level: 'Loudness',
  opening: 'Opening the microphone…',
  teachAgain: 'Teach it again',
  teach: 'Teach it your beeper',
  once: 'Half a minute, once per meter. Only this device listens; no sound is kept or sent.',
  long: 'Hold the leads together for two seconds.',
  short: 'On each click, touch the leads together, as briefly as you can.',
  quick: 'Touch them together twice, as fast as you can.',
  keys: 'If your meter’s keys beep, press one now. If not, go on.',
  begin: 'Begin',
  next: 'Next',
  heardIt: 'Heard',
  learnt: (hertz: number, delay: number) =>
    `Learnt: ${Math.round(hertz)} Hz, beeps ${Math.round(delay)} ms after the touch.`,
  gap: (ms: number) => `Gaps shorter than ${Math.round(ms)} ms aren’t heard: a quick flicker may be missed.`,
  tryResistors:
    'Have you resistors from 10 to 200 Ω? Touch the leads across each: which is the smallest that stays silent?',
  smallestSilent: 'Smallest that stayed silent',
  noneTried: 'none tried',
  done: 'Start listening',
  below: (ohms: number) => `A beep only means below ${ohms} Ω. Measure in ohms to judge the contact.`,
  standing: {
    refused: 'The microphone was refused. Allow it for this page in the browser, then try again.',
    'no-microphone': 'No microphone was found. Plug one in, then try again.',
    'not-here': 'The browser allows the microphone only on this computer or over HTTPS.',
    unplugged: 'The microphone was disconnected. Listening has stopped.',
    hidden: 'Listening stopped while the page was hidden.',
    steady: 'A steady tone sounds like your beeper, so listening has stopped. Find it, or use the keys.',
  },
  aside: {
    'before-it-was-asked': 'That beep started before this prompt. Lift the leads, then touch again.',
    'not-lifted': 'Too soon after the last beep. Lift the leads, wait a moment, touch again.',
    'nothing-asked': 'A beep, but no reading is asked for now.',
    'still-sounds': 'The beeper still sounds. Lift the leads, then say what this touch was.',
  },
  flickered: (times: number, gapMs: number) =>
    `The beep dropped out ${plural(times, 'time')}: unsteady. Gaps shorter than ${Math.round(gapMs)} ms aren’t heard.`,
  notTaught: {
    'nothing-heard': 'No beep was heard. Move the meter closer and hold the leads together again.',
    'not-one-pitch': 'No steady pitch was heard. Try again somewhere quieter.',
    'too-short': 'Those touches were as short as a key’s beep. Touch for a little longer.',
    'missed-a-touch': 'Not every click had a touch. Try once more.',
  },
};
