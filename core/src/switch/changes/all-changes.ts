import { actuatorAdded } from './actuator-added.js';
import { actuatorDescribed } from './actuator-described.js';
import { described } from './described.js';
import { laidOut } from './laid-out.js';
import { placed } from './placed.js';
import { positionAdded } from './position-added.js';
import { positionMerged } from './position-merged.js';
import { positionPosed } from './position-posed.js';
import { positionRenamed } from './position-renamed.js';
import { positionRetired } from './position-retired.js';
import { positionsClosed } from './positions-closed.js';
import { relabelled } from './relabelled.js';
import { settingAdded } from './setting-added.js';
import { settingNeeded } from './setting-needed.js';
import { terminalAdded } from './terminal-added.js';
import { terminalRenamed } from './terminal-renamed.js';
import { terminalRetired } from './terminal-retired.js';
import { terminalRole } from './terminal-role.js';

/** Every kind of change to what the switch is made of. Nothing is ever deleted; what is retired keeps its readings, parked. */
export const CHANGES = {
  described: described,
  'terminal-added': terminalAdded,
  'terminal-renamed': terminalRenamed,
  relabelled: relabelled,
  'terminal-role': terminalRole,
  'terminal-retired': terminalRetired,
  'position-added': positionAdded,
  'position-renamed': positionRenamed,
  'position-posed': positionPosed,
  'position-retired': positionRetired,
  'position-merged': positionMerged,
  'positions-closed': positionsClosed,
  'actuator-described': actuatorDescribed,
  'actuator-added': actuatorAdded,
  'setting-added': settingAdded,
  'setting-needed': settingNeeded,
  'laid-out': laidOut,
  placed: placed,
} as const;
