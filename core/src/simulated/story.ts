import type { SwitchMap } from '../continuity/index.js';
import { liveEvents, type Lead } from '../log/index.js';
import { type SettingId } from '../switch/index.js';
import type { SimulatedBench } from './simulated-meter.js';

/** Strokes that a pair read again stands for: it is worked before it is read again. */
const STROKES_EACH = 5;

/**
 * The simulated bench as the log tells its story: the handle in a setting, where it came from, how often it was moved, what
 * was read before and since the leads were held together. So a reload changes nothing of what the meter will show.
 */
export function simulatedBench(
  map: SwitchMap,
  at: SettingId | null,
  dial: () => 'ohms' | 'tone',
  fromOtherSide = false,
): SimulatedBench {
  const { structure, tape, log } = map;
  const places = new Map(structure.terminals.map(({ id }, index) => [id, index]));
  const actuator = structure.actuators[0];
  const positionOf = (setting: SettingId | null): number =>
    actuator?.positions.findIndex(
      ({ id }) => id === structure.settings.find((one) => one.id === setting)?.at[actuator.id],
    ) ?? 0;
  const taken = tape.filter(({ standing }) => standing !== 'aside');
  const visited = taken.map(({ reading }) => positionOf(reading.setting));
  const here = positionOf(at);
  const turns = visited.filter((one, index) => index > 0 && one !== visited[index - 1]).length;
  const pairs = taken.map(
    ({ reading }) => `${positionOf(reading.setting)} ${keyOf(reading.red, reading.black)}`,
  );
  const again = pairs.length - new Set(pairs).size;
  const checkedAt = log.ordered.findLastIndex(({ what }) => what.kind === 'meter-checked');
  const checked = new Set(log.ordered.slice(checkedAt + 1).map(({ id }) => id));
  return {
    place: (terminal) => places.get(terminal) ?? null,
    position: () => here,
    dial,
    cameFrom: () =>
      fromOtherSide ? (actuator?.positions.length ?? 0) : (visited.findLast((one) => one !== here) ?? null),
    strokes: () => turns + STROKES_EACH * again,
    readBefore: (red, black) => ({
      all: taken.length,
      pair: pairs.filter((one) => one === `${here} ${keyOf(red, black)}`).length,
    }),
    clippedAnew: (terminal) =>
      liveEvents(log, 'clips-touched').some(({ what }) => what.silent.includes(terminal)),
    sinceCheck: () => taken.filter(({ event }) => checked.has(event.id)).length,
  };
}

const keyOf = (red: Lead, black: Lead): string => [red.join('+'), black.join('+')].join(' ');
