import { Injectable } from '@nestjs/common';
import type { JobShare } from '@which-way/contract';
import { randomBytes } from 'node:crypto';
import { Backroom } from '../backroom/backroom.js';
import { writeNote } from '../database/note.js';
import { Writer } from '../database/writer.js';

const DAYS = 30;
/** Bytes of a token that nobody guesses. */
const TOKEN_BYTES = 24;
export const TOKEN = /^[\w-]{32}$/;

const ofJob = (job: string): string => `share-of ${job}`;
const ofToken = (token: string): string => `share ${token}`;

/** Links to one job each, read-only: a token for a job, revocable, for thirty days. */
@Injectable()
export class Shares {
  constructor(
    private readonly writer: Writer,
    private readonly backroom: Backroom,
  ) {}

  /** The link to a job that holds now; null: none does. */
  async of(job: string): Promise<JobShare | null> {
    const kept = await this.backroom.read((desk) => desk.note(ofJob(job)));
    const [token = '', until = ''] = kept?.split(' ') ?? [];
    return token !== '' && Date.parse(until) > Date.now() ? { token, until } : null;
  }

  /** Makes a link, and ends the one before it. */
  async make(job: string): Promise<JobShare> {
    await this.end(job);
    const share = {
      token: randomBytes(TOKEN_BYTES).toString('base64url'),
      until: new Date(Date.now() + DAYS * 86_400_000).toISOString(),
    };
    await this.writer.write(async (manager) => {
      await writeNote(manager, ofJob(job), `${share.token} ${share.until}`);
      await writeNote(manager, ofToken(share.token), `${job} ${share.until}`);
    });
    return share;
  }

  async end(job: string): Promise<void> {
    const kept = await this.backroom.read((desk) => desk.note(ofJob(job)));
    const [token = ''] = kept?.split(' ') ?? [];
    if (kept === null) return;
    await this.writer.write((manager) =>
      manager.query('DELETE FROM note WHERE key IN (?, ?)', [ofJob(job), ofToken(token)]),
    );
  }

  /** The job that a token opens; null: it was ended, has run out, or never was one. */
  async jobOf(token: string): Promise<string | null> {
    if (!TOKEN.test(token)) return null;
    const kept = await this.backroom.read((desk) => desk.note(ofToken(token)));
    const [job = '', until = ''] = kept?.split(' ') ?? [];
    return job !== '' && Date.parse(until) > Date.now() ? job : null;
  }
}
