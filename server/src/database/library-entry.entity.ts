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
  /** JSON of the whole entry. */
  @Column('text') body: string;
  /** The import that brings it in, as long as that is not finished. */
  @Column('text', { nullable: true }) import: string | null;
}
