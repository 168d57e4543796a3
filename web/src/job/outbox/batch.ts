import { BATCH_BYTES, BATCH_EVENTS } from '@which-way/core/schema';
import { type JobEvent } from '@which-way/core/log';

const encoder = new TextEncoder();

/** The next events to send in one request: in order, as many as fit. One that is too large by itself goes alone. */
export function nextBatch(events: readonly JobEvent[]): JobEvent[] {
  const batch: JobEvent[] = [];
  let bytes = 0;
  for (const event of events) {
    const size = encoder.encode(JSON.stringify(event)).length;
    if (batch.length > 0 && (bytes + size > BATCH_BYTES || batch.length >= BATCH_EVENTS)) break;
    batch.push(event);
    bytes += size;
  }
  return batch;
}
