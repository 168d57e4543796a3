import { Count, FieldsOrNull, Text, TextOrNull } from './answered.js';
import type { ApiError } from './error.js';
import type { Imported, ImportPreview } from './files.js';

/** Long work on the server: it goes on when the page that began it is closed. */
export class Work {
  @Text()
  id: string;

  @Text()
  kind: 'import' | 'export' | 'backup' | 'restore';

  /** `ready`: an import that was looked through, and waits for a person to take it in. */
  @Text()
  state: 'waiting' | 'running' | 'ready' | 'done' | 'failed' | 'cancelled';

  /** What it does just now. */
  @TextOrNull()
  step: 'reading' | 'checking' | 'taking-in' | 'database' | 'photos' | 'putting-in-place' | null;

  @Count()
  done: number;

  /** 0 where nobody knows yet. */
  @Count()
  total: number;

  @FieldsOrNull()
  preview: ImportPreview | null;

  @FieldsOrNull()
  imported: Imported | null;

  /** A file to fetch at /api/works/{id}/file, with its name and size; null when there is none. */
  @FieldsOrNull()
  file: { name: string; bytes: number } | null;

  @FieldsOrNull()
  error: ApiError | null;
}
