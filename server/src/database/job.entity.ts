import type { JobAbout } from '@which-way/core/log';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A job as stored; its log is in job_event. */
@Entity('job')
export class JobRow {
  @PrimaryColumn('text') id: string;
  @Column('integer') number: number;
  @Column('text') title: string;
  @Column('text') place: string;
  @Column('boolean', { name: 'out_of_machine' }) outOfMachine: boolean;
  /** JSON of the simulated switch; null for a real one. */
  @Column('text', { nullable: true }) simulation: string | null;
  @Column('text') created: string;
  @Column('text') updated: string;
  @Column('integer') version: number;
  /** Put away: not in the list unless asked for. */
  @Column('boolean', { default: false }) archived: boolean;
  /** What its log is of: a switch, or a system of several. */
  @Column('text', { default: 'switch' }) about: JobAbout;
  /** Row of its last event; 0 before the first. */
  @Column('integer', { default: 0 }) cursor: number;
  /** The highest clock of its events. */
  @Column('integer', { default: 0 }) clock: number;
  /** The import that brings it in, as long as that is not finished: nobody sees it until then. */
  @Column('text', { nullable: true }) import: string | null;
}
