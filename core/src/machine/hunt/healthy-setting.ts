import type { Partition } from '../../partition/index.js';
import type { SettingId } from '../../switch/index.js';

/** A setting with the nets that the switch should make there, over its places. */
export interface Healthy {
  setting: SettingId;
  nets: Partition;
  /** Of several switches: how each of them stands, by owner. A reading of one is the same however the others stand. */
  each?: readonly string[];
}
