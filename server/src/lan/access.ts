import { createHmac, randomBytes, randomInt, timingSafeEqual } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { readNote, writeNote } from '../database/note.js';

/** No letters or digits that look alike. */
const ALPHABET = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
const CODE_LENGTH = 8;

const plainCode = (code: string): string => code.toUpperCase().replace(/[^A-Z0-9]/g, '');

/** The shop's access code. */
export class Access {
  /** Both codes are compared as digests, so that the time it takes says nothing. */
  readonly #key = randomBytes(32);

  constructor(readonly code: string) {}

  /** Whether a typed code is the right one; spaces, dashes and lower case do not matter. */
  accepts(typed: string): boolean {
    const digest = (text: string) => createHmac('sha256', this.#key).update(text).digest();
    return timingSafeEqual(digest(plainCode(typed)), digest(plainCode(this.code)));
  }
}

/** The access of this database: made once, then kept. `anew` makes another code. */
export async function keptAccess(manager: EntityManager, anew: boolean): Promise<Access> {
  const kept = anew ? null : await readNote(manager, 'access');
  if (kept !== null) return new Access(kept);
  const letters = Array.from({ length: CODE_LENGTH }, () => ALPHABET.charAt(randomInt(ALPHABET.length))).join(
    '',
  );
  const code = `${letters.slice(0, 4)}-${letters.slice(4)}`;
  await writeNote(manager, 'access', code);
  return new Access(code);
}
