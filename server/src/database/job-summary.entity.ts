import { Column, Entity, PrimaryColumn } from 'typeorm';

/** What the bench shows of a job, as it was worked out last, and of what: an older one is shown marked, and worked out anew. */
@Entity('job_summary')
export class JobSummaryRow {
  @PrimaryColumn('text', { name: 'job_id' }) jobId: string;
  @Column('integer') cursor: number;
  @Column('integer') version: number;
  @Column('integer') engine: number;
  /** JSON of a DerivedSummary. */
  @Column('text') body: string;
  /** Lower-case text that it is found by. */
  @Column('text') found: string;
}
