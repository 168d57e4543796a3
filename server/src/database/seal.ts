import { crc32 } from 'node:zlib';

/** The columns of an event that its seal is made over. */
export interface Sealed {
  id: string;
  job_id: string;
  device: string;
  sequence: number;
  clock: number;
  at: string;
  schema: number;
  what: string;
}

/**
 * A sum over an event as it is stored (CRC-32, as in IEEE 802.3), kept beside it: every single flipped bit, and every burst of
 * up to 32, shows. It guards against failing disks, not against people.
 */
export function sealOf({ id, job_id, device, sequence, clock, at, schema, what }: Sealed): number {
  return crc32(JSON.stringify([id, job_id, device, sequence, clock, at, schema, what]));
}
