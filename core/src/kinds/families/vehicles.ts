import { tableFamily, type Family } from '../kind.js';

/** Switches of vehicles and engines (common practice). */
export const VEHICLES: readonly Family[] = [
  tableFamily(
    'ignition',
    'common practice: accessories drop out while it starts',
    'B A I S',
    'OFF: | ACC: B-A | ON: B-A-I | START: B-I-S',
  ),
  tableFamily(
    'engine-key',
    'common practice: the magneto is grounded at OFF',
    'M G B L S',
    'OFF: M-G | RUN: B-L | START: B-L-S',
  ),
  tableFamily(
    'turn-signal-stop',
    'common practice: the rear lamps of one side flash, those of the other show the brake',
    'F S LF LR RF RR',
    'LEFT: F-LF-LR S-RR | OFF: S-LR-RR | RIGHT: F-RF-RR S-LR',
  ),
  tableFamily(
    'window',
    'common practice: both leads of the motor rest on ground',
    'P G A B',
    'UP: P-A B-G | OFF: A-B-G | DOWN: P-B A-G',
  ),
];
