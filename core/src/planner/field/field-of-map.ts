import { PairMarks } from '../../partition/index.js';
import { ASSUMED_APART, type Settled, type SwitchMap } from '../../continuity/index.js';
import { asAnswered, liveEvents, looksOf, readingsAsked, recordsOf } from '../../log/index.js';
import { type SettingId, type TerminalId } from '../../switch/index.js';
import { liveClauses, type Field, type FieldSetting } from './field.js';
import { type Hands, EMPTY_HANDS } from '../hands/hands.js';

/** The required settings in handle order: what a field's settings stand for. */
export function settingsInOrder({ structure }: SwitchMap): SettingId[] {
  return structure.settings.filter(({ need }) => need === 'required').map(({ id }) => id);
}

/**
 * What planners plan from, of a map: skipped pairs, pairs in dispute, assumed apart, or read without result left out.
 */
export function fieldOf(map: SwitchMap, { assumed = true }: { assumed?: boolean } = {}): Field {
  const size = map.structure.terminals.length;
  const skips = skippedPairs(map);
  const closedProvesNothing = wiresOn(map);
  const settings = settingsInOrder(map).map((id): FieldSetting => {
    const settled = map.settings.get(id)?.settled;
    if (!settled) throw new Error('a setting of the structure is not in the map');
    const leaveOut = unasked(settled, assumed).copy();
    const odd = PairMarks.of(
      size,
      settled.lookAgain.map(({ a, b }): [number, number] => [a, b]),
    );
    for (const { a, b } of settled.lookAgain) leaveOut.mark(a, b);
    if (closedProvesNothing) for (const { a, b } of settled.inCircuit) leaveOut.mark(a, b);
    for (const [a, b] of skips.get(id) ?? []) leaveOut.mark(a, b);
    const clauses = liveClauses(settled.state, settled.clauses);
    const pairsOnly = bundlesSayNothing(map, settled);
    return { pairsOnly, nets: settled.state, clauses, leaveOut, odd, held: isHeld(map, id) };
  });
  let bundles: Field['bundles'] | null = null;
  return {
    size,
    places: map.contacts,
    settings,
    commons: commonsOf(map),
    // Counted when it is first asked for: only a ladder does.
    get bundles() {
      return (bundles ??= bundlesOf(map));
    },
  };
}

/** Places of terminals that look like a common. */
function commonsOf({ log, structure }: SwitchMap): ReadonlySet<number> {
  const looks = looksOf(log);
  return new Set(
    structure.terminals.flatMap(({ id }, place) => ((looks.get(id)?.length ?? 0) > 0 ? [place] : [])),
  );
}

/** Whether a setting is for pairs only: its readings contradict, or a bundle in it came out between closed and open. */
export function bundlesSayNothing({ tape }: SwitchMap, settled: Settled): boolean {
  if (settled.contradictions.length > 0) return true;
  if (settled.unused.length === 0) return false;
  const unused = new Set(settled.unused);
  return tape.some(({ reading }) => unused.has(reading.id) && reading.red.length + reading.black.length > 2);
}

/** Pairs in dispute, and those assumed apart where they are left to the end; worked out once for each settling. */
function unasked(settled: Settled, assumed: boolean): PairMarks {
  const known = worked.get(settled)?.[assumed ? 1 : 0];
  if (known) return known;
  const { facts, contradictions, terminals } = settled;
  const size = terminals.length;
  const leave = (states: readonly string[]): PairMarks => {
    const out = PairMarks.none(size);
    facts.forEach(({ state }, cell) => {
      if (states.includes(state)) out.mark(Math.floor(cell / size), cell % size);
    });
    return out;
  };
  const nothing = contradictions.length === 0 && !facts.includes(ASSUMED_APART);
  const none = PairMarks.none(size);
  const both: [PairMarks, PairMarks] = nothing
    ? [none, none]
    : [leave(['disputed']), leave(['disputed', 'assumed'])];
  worked.set(settled, both);
  return both[assumed ? 1 : 0];
}

const worked = new WeakMap<Settled, [PairMarks, PairMarks]>();

/** Whether the handle springs back in a setting, so that it has to be held. */
export function isHeld({ structure, log }: Pick<SwitchMap, 'structure' | 'log'>, id: SettingId): boolean {
  const { actuators, settings } = asAnswered(structure, log, 'found');
  const setting = settings.find((one) => one.id === id);
  return actuators.some(({ id: actuator, positions }) =>
    positions.some((position) => position.id === setting?.at[actuator] && position.rests === 'momentary'),
  );
}

function bundlesOf({ tape }: SwitchMap): Field['bundles'] {
  const bundles = { all: 0, low: 0 };
  for (const { standing, evidence } of tape) {
    if (standing !== 'counts' || (evidence.red.length < 2 && evidence.black.length < 2)) continue;
    bundles.all += 1;
    if (evidence.says === 'joins') bundles.low += 1;
  }
  return bundles;
}

/** Where the leads and clips were left: at the reading last taken. The handle is where `at` says. */
export function handsOf(map: SwitchMap, at: SettingId | null): Hands {
  const setting = at === null ? null : settingsInOrder(map).indexOf(at);
  const last = map.tape.findLast(({ standing }) => standing === 'counts')?.reading;
  if (!last) return { ...EMPTY_HANDS, setting };
  const places = (ids: readonly TerminalId[]) =>
    ids.map((id) => map.structure.terminals.findIndex((terminal) => terminal.id === id));
  const [red, black] = [places(last.red), places(last.black)];
  const several = (lead: number[]) => (lead.length > 1 ? lead : []);
  return {
    setting: setting === -1 ? null : setting,
    red: red[0] ?? null,
    black: black[0] ?? null,
    tied: { red: several(red), black: several(black) },
  };
}

/** Pairs of prompts that were skipped, by setting and place. Skipped bundles are not among them. */
export function skippedPairs(map: SwitchMap): Map<SettingId, [number, number][]> {
  const place = new Map(map.structure.terminals.map(({ id }, index) => [id, index]));
  const pairs = new Map<SettingId, [number, number][]>();
  for (const { what } of liveEvents(map.log, 'skipped')) {
    if (what.prompt.ask.kind === 'bundle') continue;
    for (const { setting, red, black } of readingsAsked(what.prompt.ask)) {
      const [a, b] = [place.get(red[0] as TerminalId), place.get(black[0] as TerminalId)];
      if (a === undefined || b === undefined) continue;
      pairs.set(setting, [...(pairs.get(setting) ?? []), [a, b]]);
    }
  }
  return pairs;
}

/** Whether a person passed over a bundle: then no more are proposed until that is taken back. */
export const bundlesPassedOver = ({ log }: SwitchMap): boolean =>
  liveEvents(log, 'skipped').some(({ what }) => what.prompt.ask.kind === 'bundle');

/** Whether the hands are still in circuit: the last act was, and nobody has said since that the wires are off. */
export function wiresOn({ log }: SwitchMap): boolean {
  const last = liveEvents(log, 'answered').at(-1);
  return last?.what.inCircuit === true && recordsOf(log, 'wires-off') !== true;
}
