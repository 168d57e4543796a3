import { Column, Entity, PrimaryGeneratedColumn } from 'typeorm';

/** One event of a job's append-only log, in order of arrival. Triggers refuse update and delete. */
@Entity('job_event')
export class JobEventRow {
  @PrimaryGeneratedColumn('increment', { type: 'integer' }) row: number;
  @Column('text') id: string;
  @Column('text', { name: 'job_id' }) jobId: string;
  @Column('text') device: string;
  @Column('integer') sequence: number;
  @Column('integer') clock: number;
  @Column('text') at: string;
  @Column('integer') schema: number;
  @Column('text') kind: string;
  /** JSON of the event's body. */
  @Column('text') what: string;
  /** Sum over all of it, by which damage is found. */
  @Column('integer', { nullable: true }) seal: number | null;
}
