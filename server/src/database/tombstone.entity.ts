import { Column, Entity, PrimaryColumn } from 'typeorm';

/** What stays of a deleted job, and it is no word of it: so that events of it that come late are told apart from those of a job that never was. */
@Entity('tombstone')
export class TombstoneRow {
  @PrimaryColumn('text', { name: 'job_id' }) jobId: string;
  @Column('integer') number: number;
  @Column('text') deleted: string;
}
