import type { PostedEvents } from '@which-way/contract';
import { nextClock, type JobEvent } from '@which-way/core/log';
import type { JobId } from '@which-way/core/switch';
import type { Keeping } from './keeping.js';
import { noted, type Outbox } from './outbox.js';
import { newId } from '../new-id.js';
import { leftOut, setAside, standsAgain, type SetAside } from './set-aside.js';

/** What the server refused of a job: kept by the browser, each with what hangs on it, until a person has decided. */
export class Asides {
  items: readonly SetAside[] = [];

  constructor(
    private readonly job: JobId,
    private readonly outbox: Outbox,
    private readonly keeping: Keeping,
    private readonly onChange: (items: readonly SetAside[]) => void,
  ) {}

  /** Takes up what was set aside before this page was opened. */
  takeUp(items: readonly SetAside[]): void {
    this.#are(items);
  }

  /**
   * Sets refused events of a batch aside; the ids of all that goes off the screen by it.
   * @param unsent what waits to be sent, the batch included; `events`: all that is on the screen.
   */
  refuse(
    batch: readonly JobEvent[],
    refused: PostedEvents['refused'],
    { unsent, events }: { unsent: readonly JobEvent[]; events: readonly JobEvent[] },
  ): Set<string> {
    const fallen = new Set<string>();
    const waits = new Set<string>(unsent.map(({ id }) => id));
    const standing = events.filter(({ id }) => !waits.has(id));
    for (const { id, error } of refused) {
      const event = batch.find((sent) => sent.id === id);
      if (!event || fallen.has(id)) continue;
      const waiting = unsent.filter((other) => other.id !== id && !fallen.has(other.id));
      const item = setAside(this.job, event, error, { standing, waiting });
      for (const gone of [event, ...item.dependents]) fallen.add(gone.id);
      this.keeping.keep(`aside ${id}`, () => this.outbox.putAside(item));
      this.#are([...this.items, item]);
    }
    return fallen;
  }

  /** Gives an item up: the events that stand in for it, so that the numbers have no gap. */
  leaveOut(item: SetAside, events: readonly JobEvent[]): JobEvent[] {
    this.settle(item);
    return leftOut(item, { newId, now: new Date().toISOString(), clock: nextClock(events) });
  }

  /** Takes an item up again by an event that was written in its place: that, with what hangs on it. */
  mend(item: SetAside, mended: JobEvent): JobEvent[] {
    const again = standsAgain(item);
    const gone = [item.event, ...item.dependents.filter((event) => !again.includes(event))];
    this.settle(item);
    const means = { newId, now: new Date().toISOString(), clock: mended.clock };
    return [...leftOut(item, means, gone), mended, ...again];
  }

  /** A person has decided: it is set aside no more. */
  settle({ id }: SetAside): void {
    this.#are(this.items.filter((item) => item.id !== id));
    this.keeping.release([`aside ${id}`]);
    void noted(() => this.outbox.removeAside(id));
  }

  #are(items: readonly SetAside[]): void {
    this.items = items;
    this.onChange(items);
  }
}
