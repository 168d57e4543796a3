import type { MeetingKind } from '../power/meeting.js';
import type { LoadId, SettingId, SupplyId } from '../../switch/index.js';

/** Something that can hurt, with what makes it. */
export type Hazard =
  | { kind: 'short'; setting: SettingId; supplies: SupplyId[]; certain: boolean }
  /** Live potentials of one kind meet, or may, and what that comes to; what nobody has said is never certain. */
  | { kind: 'sources-meet'; how: MeetingKind; setting: SettingId; supplies: SupplyId[]; certain: boolean }
  /** Everything is off, and a load is live all the same: only its return is broken. */
  | { kind: 'live-at-off'; setting: SettingId; loads: LoadId[]; supplies: SupplyId[] }
  /** While the handle passes: seen, or not known whether the old contact opens first. */
  | { kind: 'short-in-passing'; from: SettingId; to: SettingId; supplies: SupplyId[]; certain: boolean }
  /** The same while the handle passes; `seen`: it was seen to make before it breaks. */
  | {
      kind: 'sources-meet-in-passing';
      how: MeetingKind;
      from: SettingId;
      to: SettingId;
      supplies: SupplyId[];
      seen: boolean;
      certain: boolean;
    }
  /** From one direction to the other with no stop between: a running motor may not turn about. */
  | { kind: 'reversed-at-once'; from: SettingId; to: SettingId; load: LoadId }
  /** Fed with more than a tenth over what it is rated for. */
  | { kind: 'over-volts'; setting: SettingId; load: LoadId; at: number; rated: number }
  /** Something live leaks to what a hand touches; terminals by their places in the machine. */
  | { kind: 'leak-to-frame'; setting: SettingId; places: number[]; ohms: number; certain: boolean }
  /** A load is off, and through a leak across an open contact not dead. */
  | {
      kind: 'leak-across';
      setting: SettingId;
      load: LoadId;
      places: number[];
      ohms: number;
      certain: boolean;
    }
  /** A motor, a coil or electronics with more than a tenth under it: it may not start, drop out, or overheat. */
  | { kind: 'under-volts'; setting: SettingId; load: LoadId; at: number; rated: number }
  /** A three-phase motor with a phase lost: it may not start, or run overloaded and burn out. */
  | { kind: 'phase-lost'; setting: SettingId; load: LoadId }
  /** A start winding stays fed in a setting that the handle rests in; not certain: nobody has said whether it springs back. */
  | { kind: 'start-stays'; setting: SettingId; load: LoadId; certain: boolean }
  /** A coil starts a motor where the handle rests: after a power cut it starts by itself. */
  | { kind: 'restarts'; setting: SettingId; load: LoadId; certain: boolean }
  /** Half a wave on a winding that is made for both: its iron saturates. */
  | { kind: 'half-wave'; setting: SettingId; load: LoadId }
  /** A coil that its own contact cuts off. */
  | { kind: 'chatters'; setting: SettingId; load: LoadId }
  /** A start winding is fed in no setting in which the motor is: it hums, and turns either way when pushed. */
  | { kind: 'no-start'; setting: SettingId; load: LoadId }
  /** An armature is fed without its field: it runs away, or burns. */
  | { kind: 'field-lost'; setting: SettingId; load: LoadId }
  /** Both windings of two speeds, or two taps of one winding, are fed together: turns are shorted. */
  | { kind: 'fed-together'; setting: SettingId; load: LoadId }
  | { kind: 'fed-together-in-passing'; from: SettingId; to: SettingId; load: LoadId; certain: boolean }
  /** What must stay closed is open: an alternator without its battery, the secondary of a current transformer. */
  | { kind: 'left-open'; setting: SettingId; load: LoadId }
  | { kind: 'left-open-in-passing'; from: SettingId; to: SettingId; load: LoadId; certain: boolean };
