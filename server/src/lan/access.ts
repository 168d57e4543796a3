import { createHmac, randomBytes, randomInt, timingSafeEqual } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { readNote, writeNote } from '../database/note.js';

/** No letters or digits that look alike. */
const ALPHABET = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
const CODE_LENGTH = 8;
const DAYS = 30;

const plainCode = (code: string): string => code.toUpperCase().replace(/[^A-Z0-9]/g, '');

/** The shop's access code, and the sessions that were opened with it. */
export class Access {
  constructor(
    readonly code: string,
    private readonly secret: string,
    private readonly now: () => number = Date.now,
  ) {}

  /** Whether a typed code is the right one; spaces, dashes and lower case do not matter. */
  accepts(typed: string): boolean {
    const digest = (text: string) => createHmac('sha256', this.secret).update(text).digest();
    return timingSafeEqual(digest(plainCode(typed)), digest(plainCode(this.code)));
  }

  /** A session's token: until when it holds, and a seal over that. */
  token(): string {
    const until = String(Math.floor(this.now() / 1000) + DAYS * 86400);
    return `${until}.${this.#seal(until)}`;
  }

  holds(token: string): boolean {
    const [until = '', seal = ''] = token.split('.');
    const right = Buffer.from(this.#seal(until));
    const given = Buffer.from(seal);
    return (
      given.length === right.length && timingSafeEqual(given, right) && Number(until) * 1000 > this.now()
    );
  }

  #seal(until: string): string {
    return createHmac('sha256', this.secret).update(`session ${until}`).digest('hex');
  }
}

/**
 * The access of this database: made once, then kept, so that a phone stays signed in. `anew` makes another code and
 * ends all sessions.
 */
export async function keptAccess(manager: EntityManager, anew: boolean): Promise<Access> {
  const kept = anew ? null : await readNote(manager, 'access');
  if (kept !== null) {
    const [code = '', secret = ''] = kept.split(' ');
    return new Access(code, secret);
  }
  const letters = Array.from({ length: CODE_LENGTH }, () => ALPHABET.charAt(randomInt(ALPHABET.length))).join(
    '',
  );
  const code = `${letters.slice(0, 4)}-${letters.slice(4)}`;
  const secret = randomBytes(32).toString('hex');
  await writeNote(manager, 'access', `${code} ${secret}`);
  return new Access(code, secret);
}
