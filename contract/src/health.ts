import { FieldsOrNull, Text, TextOrNull, YesNo } from './answered.js';

export class Health {
  @Text()
  status: 'ok';

  @Text()
  version: string;

  /** Whether this data folder holds the demo. */
  @YesNo()
  demo: boolean;

  /** When a backup was made last; null: never. */
  @TextOrNull()
  backedUp: string | null;

  /** Events that were acknowledged once and are missing from the database; null when none are. */
  @FieldsOrNull()
  missing: { count: number; noticed: string } | null;

  /** Whether this device came in with the shop's code, and can sign out. */
  @YesNo()
  signedIn: boolean;
}
