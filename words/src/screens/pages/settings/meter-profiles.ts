import type { MeterProfile } from '@which-way/core/log';
import type { KnownCheck } from '@which-way/core/sense/meter';
import { ohms } from '../../../quantity.js';

const number = (value: number): string => String(Number(value.toPrecision(4)));

/** What the meters’ profiles say. */
export const METER_PROFILES_TEXT = {
  meters: 'Your meters',
  using: (name: string | null) => name ?? 'none chosen: an ordinary handheld is assumed',
  about:
    'What a reading is worth depends on the meter. The one in use is recorded with the next check of the leads, in every job.',
  which: 'In use',
  noneChosen: 'As each job had it last',
  facts: ({ resolutionOhms, percent, counts, beeperOhms }: MeterProfile, isOwn: boolean) =>
    `${number(resolutionOhms)} Ω steps, ±${number(percent)} % ±${number(counts)} digits, ${
      isOwn ? `silent from ${number(beeperOhms)} Ω` : 'beeper not tried: anything up to 200 Ω may beep'
    }`,
  addOwn: 'A meter of your own',
  name: 'What you call it',
  resolution: 'Smallest step in ohms',
  percent: 'Accuracy, % of reading',
  counts: 'Accuracy, digits',
  beeper: 'Smallest resistor that stays silent, Ω',
  save: 'Save meter',
  remove: (name: string) => `Remove ${name}`,
  wrong: {
    name: 'Give it a name of up to 80 letters that no kind here has.',
    figures: 'Numbers as in its data sheet: 0.1, 0.8, 3; the resistor from 1 to 1000 Ω.',
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
