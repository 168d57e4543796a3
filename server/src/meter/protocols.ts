import {
  printable,
  SCPI_ERROR,
  SCPI_IDENTIFY,
  scpiError,
  scpiIdentity,
  scpiRead,
  scpiReading,
  scpiSetUp,
  spokenReading,
  type SpokenDriver,
  type WiredMode,
  type WiredReading,
} from '@which-way/core/sense/meter';
import { setTimeout as sleep } from 'node:timers/promises';
import { MeterLost, type Conversation } from './conversation.js';

/** What is heard of a meter while it is talked with. */
export interface Heard {
  ready(name: string): void;
  late(): void;
  read(reading: WiredReading): void;
  /** What its own queue of errors says; null: nothing any more. */
  error(text: string | null): void;
}

/** Talks with a meter until it is gone. */
export type Protocol = (meter: Conversation, heard: Heard) => Promise<never>;

/** Milliseconds in which an answer has to come: four-wire readings of high resistance take their time. */
const ANSWER_MS = 3000;
/** Milliseconds between two readings at least: no meter is asked faster, and none slower than it can. */
const PACE_MS = 20;
/** So many wrong answers in a row, and it isn’t taken for a meter any more. */
const MOST_NONSENSE = 10;
/** Readings after which its queue of errors is looked at, and errors of it that are read at once. */
const [LOOK_EVERY, MOST_ERRORS] = [50, 20];
/** Milliseconds in which a handheld that only talks has to say something. */
const TALK_MS = 6000;

/** SCPI over any wire: it is set up, triggered and read, one reading after the other. */
export const scpiProtocol =
  (mode: WiredMode): Protocol =>
  async (meter, heard) => {
    const name = scpiIdentity(await meter.ask(SCPI_IDENTIFY, ANSWER_MS, heard.late));
    if (name === null) throw new MeterLost('nonsense');
    for (const command of scpiSetUp(mode)) meter.say(command);
    heard.error(await oldestError(meter));
    heard.ready(name);
    let nonsense = 0;
    for (let read = 1; ; read += 1) {
      const began = Date.now();
      const reading = scpiReading(await meter.ask(scpiRead(mode), ANSWER_MS, heard.late));
      nonsense = reading ? 0 : nonsense + 1;
      if (nonsense >= MOST_NONSENSE) throw new MeterLost('nonsense');
      heard.read(reading ?? { value: { kind: 'none' }, rangeOhms: null });
      if (!reading || read % LOOK_EVERY === 0) heard.error(await oldestError(meter));
      await sleep(Math.max(0, PACE_MS - (Date.now() - began)));
    }
  };

/** The oldest error of its queue, which is emptied; null: there is none, or it keeps none. */
async function oldestError(meter: Conversation): Promise<string | null> {
  let oldest: string | null = null;
  for (let at = 0; at < MOST_ERRORS; at += 1) {
    const error = scpiError(await meter.ask(SCPI_ERROR, ANSWER_MS));
    if (!error || error.code === 0) return oldest;
    oldest ??= `${error.code} ${error.text}`;
  }
  return oldest;
}

/** A handheld that only talks: each of its lines that is a reading counts; what it says of something else is none. */
export const spokenProtocol =
  (driver: SpokenDriver): Protocol =>
  async (meter, heard) => {
    let isReady = false;
    for (;;) {
      const line = await meter.next(TALK_MS, heard.late);
      const reading = spokenReading(line, driver);
      if (!isReady && reading) heard.ready(printable(driver.start, 20));
      isReady ||= reading !== null;
      heard.read(reading ?? { value: { kind: 'none' }, rangeOhms: null });
    }
  };
