import type { MeterProfile } from '@which-way/core/log';
import type { Taught } from '@which-way/core/sense/ear';
import type { KnownCheck } from '@which-way/core/sense/meter';
import { ohms } from '../../../quantity.js';

const number = (value: number): string => String(Number(value.toPrecision(4)));

/** What the meters’ profiles say. */
export const METER_PROFILES_TEXT = {
  meters: 'Your meters',
  using: (name: string | null) => name ?? 'none chosen: an ordinary handheld is assumed',
  about:
    'What a reading is worth depends on the meter. The shop keeps its meters; which one is in use is set on each device, and recorded with the next check of the leads.',
  which: 'In use',
  noneChosen: 'As each job had it last',
  facts: (meter: MeterProfile, isOwn: boolean, ear: Pick<Taught, 'delayMs' | 'holdMs'> | null): string => {
    const { testMilliamps, testVolts, leadOhms, autoOffMinutes } = meter;
    const known: (string | null)[] = [
      `${number(meter.resolutionOhms)} Ω steps, ±${number(meter.percent)} % ±${number(meter.counts)} digits`,
      isOwn ? `silent from ${number(meter.beeperOhms)} Ω` : 'beeper not tried: anything up to 200 Ω may beep',
      ear &&
        `beeps ${Math.round(ear.delayMs)} ms after the touch, hides gaps under ${Math.round(ear.holdMs)} ms`,
      testMilliamps === null ? null : `tests with ${number(testMilliamps)} mA`,
      testVolts === null ? null : `${number(testVolts)} V across open leads`,
      leadOhms === null ? null : `its leads read ${number(leadOhms)} Ω`,
      autoOffMinutes === null ? 'stays on' : `sleeps after ${number(autoOffMinutes)} min`,
    ];
    return known.filter(Boolean).join('; ');
  },
  addOwn: 'Add a meter',
  name: 'What you call it',
  resolution: 'Smallest step in ohms',
  percent: 'Accuracy, % of reading',
  counts: 'Accuracy, digits',
  beeper: 'Smallest resistor that stays silent, Ω',
  current: 'Test current in ohms, mA',
  volts: 'Across open leads, V',
  leads: 'Clean leads together, Ω',
  sleeps: 'Sleeps after, min (0: never)',
  save: 'Save meter',
  remove: (name: string) => `Remove ${name}`,
  wrong: {
    name: 'Give it a name of up to 80 letters that no kind here has.',
    figures:
      'Numbers as in its data sheet: 0.1, 0.8, 3; the resistor from 1 to 1000 Ω. Leave the last four empty if you don’t know.',
  },
  known: 'Check it against a known resistor',
  knownOhms: 'The resistor, Ω',
  tolerance: 'Its tolerance, %',
  reads: 'The meter reads, Ω, leads subtracted',
  told: (known: number, reads: number, { within, allowed }: KnownCheck) =>
    `Your ${ohms(known)} reads ${ohms(reads)}: ${
      within
        ? `within its ±${ohms(Number(allowed.toPrecision(2)))}.`
        : `more than its ±${ohms(Number(allowed.toPrecision(2)))} off. Check the battery and leads, or enter a larger accuracy.`
    }`,
};
