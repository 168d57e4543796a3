import type { JobEvent } from '@which-way/core/log';

/** What a thread has of a job already, so that each event is handed over once. */
export class HandedOver {
  readonly #there = new Set<string>();

  /**
   * What is to be handed over so that it has these events and no others, in their order. Nothing is taken back from a thread: where it
   * has what is not there any more, as when something was set aside, it begins again with all of them.
   */
  next(events: readonly JobEvent[]): { again: boolean; fresh: JobEvent[] } {
    const wanted = new Set<string>(events.map(({ id }) => id));
    const again = [...this.#there].some((id) => !wanted.has(id));
    if (again) this.#there.clear();
    return { again, fresh: events.filter(({ id }) => !this.#there.has(id)) };
  }

  /** These were handed over. */
  took(events: readonly JobEvent[]): void {
    for (const { id } of events) this.#there.add(id);
  }
}
