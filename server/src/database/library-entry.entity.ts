import { Column, Entity, PrimaryGeneratedColumn } from 'typeorm';

/** A known switch or part: what it is found by as columns, and the whole entry beside them. */
@Entity('library_entry')
export class LibraryEntryRow {
  @PrimaryGeneratedColumn('increment', { type: 'integer' }) row: number;
  @Column('text') id: string;
  @Column('text') kind: string;
  @Column('text') name: string;
  @Column('text', { nullable: true }) maker: string | null;
  @Column('text') family: string;
  @Column('text') form: string;
  @Column('integer') terminals: number;
  @Column('integer') positions: number;
  @Column('text', { nullable: true }) note: string | null;
  @Column('text', { nullable: true }) number: string | null;
  /** Maker and number as they are compared; the same of two entries is one part. */
  @Column('text', { nullable: true }) same: string | null;
  @Column('real', { nullable: true }) amps: number | null;
  @Column('real', { nullable: true }) motor_amps: number | null;
  @Column('real', { nullable: true }) volts_ac: number | null;
  @Column('real', { nullable: true }) volts_dc: number | null;
  @Column('real', { nullable: true }) price: number | null;
  @Column('integer', { nullable: true }) in_stock: number | null;
  @Column('text', { nullable: true }) disconnection: string | null;
  @Column('integer', { nullable: true }) springs: number | null;
  /** Its wiring without names, as the match interns it, of that version. */
  @Column('text', { nullable: true }) making: string | null;
  @Column('text', { nullable: true }) making_order: string | null;
  @Column('integer', { nullable: true }) making_version: number | null;
  /** JSON of the whole entry. */
  @Column('text') body: string;
  /** The import that brings it in, as long as that is not finished. */
  @Column('text', { nullable: true }) import: string | null;
}
