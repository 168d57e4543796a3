import { Injectable } from '@nestjs/common';
import type { JobShare } from '@which-way/contract';
import { randomBytes } from 'node:crypto';
import { Backroom } from '../backroom/backroom.js';
import { JobRow } from '../database/job.entity.js';
import { Writer } from '../database/writer.js';
import { notFound, refused } from '../errors/refusal.js';

const DAYS = 30;
/** Bytes of a token that nobody guesses. */
const TOKEN_BYTES = 24;
const TOKEN = /^[\w-]{32}$/;

/** Links to the report of one job each, read-only: at most one for a job, revocable, for thirty days. */
@Injectable()
export class Shares {
  constructor(
    private readonly writer: Writer,
    private readonly backroom: Backroom,
  ) {}

  /** The link to a job that holds now; null: none does. */
  async of(job: string): Promise<JobShare | null> {
    const kept = await this.backroom.read((desk) => desk.linkOf(job));
    return kept && Date.parse(kept.until) > Date.now() ? kept : null;
  }

  /**
   * Makes a link, and ends the one before it, in one write: so there never are two.
   * @throws Refusal where there is no such job, or it has no report.
   */
  async make(job: string): Promise<JobShare> {
    const share = {
      token: randomBytes(TOKEN_BYTES).toString('base64url'),
      until: new Date(Date.now() + DAYS * 86_400_000).toISOString(),
    };
    await this.writer.write(async (manager) => {
      const row = await manager.findOneBy(JobRow, { id: job });
      if (!row || row.import) throw notFound('job', job);
      if (row.about !== 'switch') throw refused(409, 'no-report');
      await manager.query('INSERT OR REPLACE INTO link (job_id, token, until) VALUES (?, ?, ?)', [
        job,
        share.token,
        share.until,
      ]);
    });
    return share;
  }

  async end(job: string): Promise<void> {
    await this.writer.write((manager) => manager.query('DELETE FROM link WHERE job_id = ?', [job]));
  }

  /** The job that a token opens; null: it was ended, has run out, or never was one. */
  async jobOf(token: string): Promise<string | null> {
    if (!TOKEN.test(token)) return null;
    const kept = await this.backroom.read((desk) => desk.jobOfLink(token));
    return kept && Date.parse(kept.until) > Date.now() ? kept.job : null;
  }
}
