import { newId } from '../../job/new-id.js';

/** By which a page is told from the others that may take the meter's readings: a tab of this browser, for as long as it is open. */
export const thisDevice = { id: newId(), name: deviceName() };

/** What a person calls such a device. */
function deviceName(): string {
  const agent = typeof navigator === 'undefined' ? '' : navigator.userAgent;
  if (/iPhone|Android.*Mobile/.test(agent)) return 'a phone';
  return /iPad|Android/.test(agent) ? 'a tablet' : 'a computer';
}
