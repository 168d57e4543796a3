import type { LoadTrue } from '@which-way/core/verify';

type Recipe = Extract<LoadTrue, { refused: null }>;

const figure = (value: number): string => String(Number(value.toPrecision(3)));

/** What the recipe for a drop at a contact's own current says. */
export const LOAD_TRUE_TEXT = {
  title: ({ amps }: Recipe) => `Test a contact at ${figure(amps)} A`,
  testCurrent: (milliamps: number, amps: number) =>
    `In ohms your meter sends ${figure(milliamps)} mA. A dirty contact can pass that and still fail at ${figure(amps)} A.`,
  refused:
    'Don’t pass current through a signal or gold contact: it burns the plating. Clean it and measure at its own level instead.',
  steps: ({ amps, isOwn, seriesOhms, seriesWatts, goodMillivolts, badMillivolts }: Recipe): string[] => [
    'Take the switch out of the machine, or have it proven dead with all wires off.',
    `Supply off. Set it to at most 6 V, limited to ${figure(amps)} A. Without a limit, add ${figure(seriesOhms)} Ω, ${figure(seriesWatts)} W in series.`,
    'Clip the supply to the outer ends of the two lugs.',
    'Clip the meter, on millivolts, to the same lugs inside those clips: between them and the contact.',
    'Close the contact. Then switch the supply on, for a few seconds only.',
    `Read millivolts: up to ${figure(goodMillivolts)} mV is good, above ${figure(badMillivolts)} mV is bad${isOwn ? '' : ' (scaled to the load’s current)'}.`,
    'Switch the supply off before you move the handle or a clip.',
    'Enter the reading beside the contact, under mV at A.',
  ],
  cautions:
    'Never on electronics, and never by a mains or vehicle supply. The resistor and a bad contact get hot. Limits are common practice; the maker’s own and local rules come first.',
};
