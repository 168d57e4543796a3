import { liveEvents, type DeedKind, type Log } from '@which-way/core/log';
import { useSame } from '../../controls/use-same.js';

/** What the wiring of a system rests on; what was seen of its loads changes none of it. */
const WIRING: readonly DeedKind[] = ['system-member', 'system-device', 'system-joined', 'source-named'];

/** The log of a system, the same one as before while nothing of its wiring has changed: what is worked out from it stays. */
export function useWiringLog(log: Log): Log {
  const key = WIRING.flatMap((kind) => liveEvents(log, kind).map(({ id }) => id)).join();
  return useSame(log, key);
}
