import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A known switch or part. */
@Entity('library_entry')
export class LibraryEntryRow {
  @PrimaryColumn('text') id: string;
  @Column('text') kind: string;
  @Column('text') name: string;
  /** JSON of the whole entry. */
  @Column('text') body: string;
}
