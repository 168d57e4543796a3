import { uuidFromBytes, type NewId } from '@which-way/core/switch';

/** Ids from the browser's random source (randomUUID is missing on plain http). */
export const newId: NewId = <Id extends string>() =>
  uuidFromBytes<Id>(crypto.getRandomValues(new Uint8Array(16)));
