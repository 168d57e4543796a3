import { Column, Entity, PrimaryColumn } from 'typeorm';

/** What is kept of a deleted job, without a word of its contents: late events are told that it was deleted, not that it never existed. */
@Entity('tombstone')
export class TombstoneRow {
  @PrimaryColumn('text', { name: 'job_id' }) jobId: string;
  @Column('integer') number: number;
  @Column('text') deleted: string;
}
