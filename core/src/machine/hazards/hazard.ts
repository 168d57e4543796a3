import type { LoadId, SettingId, SupplyId } from '../../switch/index.js';

/** Something that can hurt, with what makes it. */
export type Hazard =
  | { kind: 'short'; setting: SettingId; supplies: SupplyId[]; certain: boolean }
  /** Two live potentials of one kind meet, or may: two sources, or one behind two fuses. Not known to be safe. */
  | { kind: 'sources-joined'; setting: SettingId; supplies: SupplyId[]; certain: false }
  /** Everything is off, and a load is live all the same: only its return is broken. */
  | { kind: 'live-at-off'; setting: SettingId; loads: LoadId[] }
  /** While the handle passes: seen, or not known whether the old contact opens first. */
  | { kind: 'short-in-passing'; from: SettingId; to: SettingId; supplies: SupplyId[]; certain: boolean }
  /** The same while the handle passes; `seen`: it was seen to make before it breaks. */
  | {
      kind: 'sources-joined-in-passing';
      from: SettingId;
      to: SettingId;
      supplies: SupplyId[];
      seen: boolean;
      certain: false;
    }
  /** From one direction to the other with no stop between: a running motor may not turn about. */
  | { kind: 'reversed-at-once'; from: SettingId; to: SettingId; load: LoadId }
  /** A start winding stays fed in a setting that the handle rests in. */
  | { kind: 'start-stays'; setting: SettingId; load: LoadId };
