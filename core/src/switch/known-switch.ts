import type { EntryId } from './id.js';
import type { ActuatorForm } from './actuator.js';

/** A switch whose wiring is known: an entry of the library. Labels name its terminals. */
export interface KnownSwitch {
  id: EntryId;
  /** `switch`: a pattern to compare with. `part`: something that can be bought and fitted. */
  kind: 'switch' | 'part';
  name: string;
  maker: string | null;
  /** What sort of thing it is, in the shop's words: 'slide switch', 'two-deck wafer'. */
  family: string;
  form: ActuatorForm;
  terminals: string[];
  positions: KnownPosition[];
  note: string | null;
}

export interface KnownPosition {
  name: string | null;
  rests: 'maintained' | 'momentary';
  /** Groups of terminal labels that join in this position. */
  joined: string[][];
}
