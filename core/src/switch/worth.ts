/** What the repair-or-replace sum is made of; null: not said. Money in the shop's own currency. */
export interface WorthInputs {
  part: number | null;
  minutes: number | null;
  ratePerHour: number | null;
  postage: number | null;
  /** A new machine of the same use. */
  newMachine: number | null;
  /** Years that a new one lasts, and that this one would still last once repaired. */
  newLife: number | null;
  lifeLeft: number | null;
  /** The owner's own limit for the repair. */
  limit: number | null;
  /** A machine that cannot be made safe is not kept for money's sake. */
  dangerous: boolean;
}
