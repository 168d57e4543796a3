import type { SignedIn } from '@which-way/contract';
import { Injectable } from '@nestjs/common';
import { createHash, randomBytes, randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { Writer } from '../database/writer.js';

const DAYS = 30;
export const SESSION_MS = DAYS * 86_400_000;
/** Bytes of a token that nobody guesses. */
const TOKEN_BYTES = 32;
const TOKEN = /^[\w-]{43}$/;
/** How often it is written down that a device was here; between, it is only remembered. */
const SEEN_MS = 10 * 60_000;

interface Session extends SignedIn {
  tokenHash: string;
  /** When `seen` was written down last. */
  noted: number;
}

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/**
 * The devices that came in with the shop's code. What a device holds is a random token, of which only the hash is kept; a session
 * ends by itself thirty days after it was opened, or when somebody ends it.
 */
@Injectable()
export class Sessions {
  readonly #open = new Map<string, Session>();

  constructor(private readonly writer: Writer) {}

  /** Reads what is kept; those that have run out are dropped. */
  load(): Promise<void> {
    return this.writer.write(async (manager) => {
      const oldest = new Date(Date.now() - SESSION_MS).toISOString();
      await manager.query('DELETE FROM session WHERE opened < ?', [oldest]);
      const rows = (await manager.query(
        'SELECT id, token_hash AS tokenHash, device, address, opened, seen FROM session ORDER BY opened',
      )) as Session[];
      this.#open.clear();
      for (const row of rows) this.#open.set(row.tokenHash, { ...row, noted: Date.parse(row.seen) });
    });
  }

  /** Opens a session for a device; its token, which is shown to nobody else. */
  async open({ device, address }: Pick<SignedIn, 'device' | 'address'>): Promise<string> {
    const token = randomBytes(TOKEN_BYTES).toString('base64url');
    const now = new Date();
    const session: Session = {
      id: randomUUID(),
      tokenHash: hashOf(token),
      device,
      address,
      opened: now.toISOString(),
      seen: now.toISOString(),
      noted: now.getTime(),
    };
    await this.writer.write((manager) => insert(manager, session));
    this.#open.set(session.tokenHash, session);
    return token;
  }

  /** The session that a token opens; null: it was ended, has run out, or never was one. */
  of(token: string): SignedIn | null {
    if (!TOKEN.test(token)) return null;
    const session = this.#open.get(hashOf(token));
    if (!session || Date.now() - Date.parse(session.opened) > SESSION_MS) return null;
    this.#wasSeen(session);
    return session;
  }

  list(): SignedIn[] {
    return [...this.#open.values()].map(({ id, device, address, opened, seen }) => ({
      id,
      device,
      address,
      opened,
      seen,
    }));
  }

  /** Ends one; false: there is none of that id. */
  async end(id: string): Promise<boolean> {
    const found = [...this.#open.values()].find((session) => session.id === id);
    if (!found) return false;
    await this.writer.write((manager) => manager.query('DELETE FROM session WHERE id = ?', [id]));
    this.#open.delete(found.tokenHash);
    return true;
  }

  /** Ends all of them. */
  async endAll(): Promise<void> {
    await this.writer.write((manager) => manager.query('DELETE FROM session'));
    this.#open.clear();
  }

  /** Writes down those that are open in a database that was put in the place of the one before. */
  async carryOver(manager: EntityManager): Promise<void> {
    for (const session of this.#open.values()) await insert(manager, session);
  }

  #wasSeen(session: Session): void {
    const now = Date.now();
    session.seen = new Date(now).toISOString();
    if (now - session.noted < SEEN_MS) return;
    session.noted = now;
    // Not worth a refusal: the next time says the same.
    this.writer
      .write(
        (manager) => manager.query('UPDATE session SET seen = ? WHERE id = ?', [session.seen, session.id]),
        'batch',
      )
      .catch(() => undefined);
  }
}

const insert = (manager: EntityManager, { id, tokenHash, device, address, opened, seen }: Session) =>
  manager.query(
    'INSERT OR REPLACE INTO session (id, token_hash, device, address, opened, seen) VALUES (?, ?, ?, ?, ?, ?)',
    [id, tokenHash, device, address, opened, seen],
  );
