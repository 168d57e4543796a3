import {
  AS_MAPPED,
  AS_SHOULD,
  inEverySetting,
  laidPart,
  machineOfSwitch,
  withPart,
  type LoadState,
} from '../machine/index.js';
import type { SwitchMap } from '../continuity/index.js';
import { type FunctionLine, type FunctionTry, makeOf, recordsOf } from '../log/index.js';
import { requiredSettings, type LoadId, type SettingId } from '../switch/index.js';
import { sprungSettings } from '../table/index.js';
import { expectedOf } from '../verify/index.js';
import { chosenOf, wayOf } from './refit.js';

/** A thing to try under power, with what must happen. */
export type FunctionCheck = {
  key: string;
  tried: (FunctionTry & { result: NonNullable<FunctionTry['result']> }) | null;
} & (
  | { kind: 'load'; setting: SettingId; load: LoadId; must: LoadState }
  /** A load of which the circuit does not say what it must do: the words of a person are asked. */
  | { kind: 'unsaid'; setting: SettingId; load: LoadId }
  /** From a setting in which it runs to one in which nothing does: it stops, or is braked. */
  | { kind: 'stops'; setting: SettingId; at: SettingId; brakes: boolean }
  /** The handle springs back when it is let go. */
  | { kind: 'release'; setting: SettingId }
  | { kind: 'under-load' | 'warm' }
  | { kind: 'own'; line: FunctionLine }
);

/** Whether a line is answered by itself alone, never together with others: stop, brake and release. */
export const isOneByOne = (check: FunctionCheck): boolean =>
  check.kind === 'stops' ||
  check.kind === 'release' ||
  (check.kind === 'load' && check.must.does === 'braked');

/** Whether everything stops as it should, from every position: before that nothing else is answered together. */
export const stopsProved = (checks: readonly FunctionCheck[]): boolean =>
  checks.every(({ kind, tried }) => kind !== 'stops' || tried?.result === 'as-it-should');

/** What each load must do in each setting with what goes back, in setting order; null while no wire leads to a load. */
function musts(map: SwitchMap): { setting: SettingId; loads: ReadonlyMap<LoadId, LoadState> }[] | null {
  const machine = machineOfSwitch(map);
  if (!machine) return null;
  const chosen = wayOf(map) === 'part' ? chosenOf(map) : null;
  const laid = chosen && laidPart(map, chosen);
  const inPlace = expectedOf(map) ? AS_SHOULD : laid ? withPart(laid) : AS_MAPPED;
  return inEverySetting(machine, inPlace).settings;
}

/**
 * What is tried under power: every load in every setting as the switch should do it, every position that springs back, under load,
 * warm, and what a person asks for in words. What the circuit does not know is asked of the person, never supposed.
 */
export function functionChecks(map: SwitchMap): FunctionCheck[] {
  const { structure, log } = map;
  const tries = new Map(recordsOf(log, 'function-tried').map((one) => [one.line, one]));
  const own = recordsOf(log, 'function-asked');
  const settings = musts(map) ?? [];
  // What a source of a signal does is heard at the output.
  const loadsAround = (machineOfSwitch(map)?.circuit.loads ?? []).filter(
    (load) => makeOf(load) !== 'signal-source',
  );
  const sprung = sprungSettings(map);
  const springs = requiredSettings(structure).filter(({ id }) => sprung.has(id));
  const lines: FunctionCheck[] = [
    ...stopsOf(settings),
    ...settings.flatMap(({ setting, loads }) =>
      loadsAround.flatMap(({ id }): FunctionCheck[] => {
        const key = `load ${setting} ${id}`;
        const must = loads.get(id);
        const said = own.some((line) => line.setting === setting && line.load === id);
        if (!must || must.does === 'not-known')
          return said ? [] : [{ kind: 'unsaid', key, setting, load: id, tried: null }];
        return [{ kind: 'load', key, setting, load: id, must, tried: null }];
      }),
    ),
    ...springs.map(({ id }): FunctionCheck => ({
      kind: 'release',
      key: `release ${id}`,
      setting: id,
      tried: null,
    })),
    ...own.map((line): FunctionCheck => ({ kind: 'own', key: line.id, line, tried: null })),
    ...(['under-load', 'warm'] as const).map((kind): FunctionCheck => ({ kind, key: kind, tried: null })),
  ];
  return lines.map((line) => ({ ...line, tried: tries.get(line.key) ?? null }));
}

const RUNS: ReadonlySet<LoadState['does']> = new Set(['full', 'part', 'reversed']);

/** From each setting in which something runs to the nearest in which all rests: that is tried before anything else. */
function stopsOf(
  settings: readonly { setting: SettingId; loads: ReadonlyMap<LoadId, LoadState> }[],
): FunctionCheck[] {
  const fed = settings.map(({ loads }) => [...loads.values()].filter(({ signal }) => !signal));
  const runs = fed.map((loads) => loads.some(({ does }) => RUNS.has(does)));
  const rests = fed.map((loads) =>
    loads.every(({ does }) => does === 'off' || does === 'floating' || does === 'braked'),
  );
  return settings.flatMap(({ setting }, at): FunctionCheck[] => {
    if (!runs[at]) return [];
    const [near] = settings
      .map((_, place) => place)
      .filter((place) => rests[place])
      .toSorted((a, b) => Math.abs(a - at) - Math.abs(b - at));
    const stop = near === undefined ? undefined : settings[near];
    if (!stop) return [];
    const brakes = [...stop.loads.values()].some(({ does }) => does === 'braked');
    return [{ kind: 'stops', key: `stops ${setting}`, setting, at: stop.setting, brakes, tried: null }];
  });
}
