export { LineBuffer, LONGEST_LINE } from './lines.js';
export {
  printable,
  SCPI_ERROR,
  SCPI_IDENTIFY,
  scpiError,
  scpiIdentity,
  scpiNumber,
  scpiRead,
  scpiReading,
  scpiSetUp,
  WIRED_MODES,
  type WiredMode,
} from './scpi.js';
export { checkKnown, METER_KINDS, type KnownCheck } from './profiles.js';
export { PLAIN_DRIVER, spokenDriverSchema, spokenReading, type SpokenDriver } from './spoken.js';
export { NO_READING, type WiredReading, type WiredValue } from './value.js';
