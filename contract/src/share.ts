import { FieldsOrNull, List, Text, YesNo } from './answered.js';

/** A link by which others in the local network may read the report of one job. */
export class JobShare {
  @Text()
  token: string;

  /** When it ends by itself. */
  @Text()
  until: string;
}

/** A link with the addresses under which it is reached. */
export class ShareAnswer {
  @FieldsOrNull()
  share: JobShare | null;

  @List()
  links: { address: string; qr: string }[];

  /** Whether the server is open to the local network at all. */
  @YesNo()
  lan: boolean;
}
