import { Text, YesNo } from './answered.js';

/** A device that came in with the shop's code. */
export class SignedIn {
  @Text()
  id: string;

  @Text()
  device: 'phone' | 'tablet' | 'computer';

  /** In the local network, when it signed in. */
  @Text()
  address: string;

  /** ISO 8601. */
  @Text()
  opened: string;

  @Text()
  seen: string;
}

/** The same as a page lists it. */
export class SignedInDevice extends SignedIn {
  /** Whether it is the device that asks. */
  @YesNo()
  own: boolean;
}
