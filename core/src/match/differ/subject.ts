import type { SwitchMap } from '../../continuity/index.js';
import { type Case, type Load, recordsOf, restOf, springAnswersOf } from '../../log/index.js';
import { decodeTranscription } from '../../rating/index.js';
import { requiredSettings, type PartFacts, type SettingId } from '../../switch/index.js';

/** A position of the switch that is to be replaced. */
export interface SubjectPosition {
  /** null: nobody has said. */
  rests: 'maintained' | 'momentary' | null;
  /** By place among the required positions: where it springs back to; null: it stays, or nobody has said. */
  returnsTo: number | null;
}

/** The switch that is to be replaced, as far as it matters beside its wiring; plain data, so that it can travel. */
export interface Subject {
  positions: SubjectPosition[];
  /** What its contacts carry. */
  loads: Load[];
  /** The most wires on one of its terminals. */
  mostWires: number;
  /** What is known of it, from its markings and from what was said. */
  facts: PartFacts;
  /** A brake contact opens before run makes: a replacement must be shown to do the same. */
  brake: boolean;
  /** Places of positions from which a machine starts by a sprung START. */
  startsAt: number[];
  /** Places of positions in which a contact that closes stops something, as a case says: a brake, an engine's ignition. */
  stopsAt: { brake: number[]; kill: number[]; stop: number[] };
  /** The position in which nothing joins was said not to matter. */
  offLeftOut: boolean;
}

/** Nobody said that it stops anything. */
export const STOPS_NOTHING: Subject['stopsAt'] = { brake: [], kill: [], stop: [] };

/** What is known of the switch of a job; `settings` are those that a replacement has to have, in order. */
export function subjectOf(
  map: SwitchMap,
  settings: readonly SettingId[] = requiredSettings(map.structure).map(({ id }) => id),
  offLeftOut = false,
): Subject {
  const { structure, log } = map;
  const [actuator] = structure.actuators;
  const required = settings.flatMap((id) => structure.settings.find((one) => one.id === id) ?? []);
  const places = required.map(({ at }) => (actuator ? at[actuator.id] : undefined));
  const springs = springAnswersOf(log);
  const positions = places.map((id): SubjectPosition => {
    const position = actuator?.positions.find((one) => one.id === id);
    const rest = actuator && position ? restOf(actuator, position, springs) : null;
    const back = rest?.returnsTo ? places.indexOf(rest.returnsTo) : -1;
    const rests = rest?.rests === 'not-said' ? null : (rest?.rests ?? 'maintained');
    return { rests, returnsTo: back >= 0 ? back : null };
  });
  const perTerminal = new Map<string, number>();
  for (const { terminal } of recordsOf(log, 'wire-tagged'))
    if (terminal) perTerminal.set(terminal, (perTerminal.get(terminal) ?? 0) + 1);
  const cases = new Set(recordsOf(log, 'case-noted').map(({ what }) => what));
  const keyed = recordsOf(log, 'case-noted').flatMap(({ what, position }) =>
    what === 'key-out' && position ? [places.indexOf(position)] : [],
  );
  return {
    positions,
    loads: recordsOf(log, 'load-named'),
    mostWires: Math.max(0, ...perTerminal.values()),
    brake: cases.has('run-and-brake'),
    startsAt: recordsOf(log, 'case-noted').flatMap(({ what, position }) =>
      what === 'sprung-start' && position && places.includes(position) ? [places.indexOf(position)] : [],
    ),
    stopsAt: stopsAt(map, positions, settings, cases),
    offLeftOut,
    facts: {
      ...markedFacts(map),
      ...(cases.has('no-volt') && { noVoltRelease: true }),
      ...(cases.has('gold-contacts') && { contacts: 'gold' as const }),
      ...(wasSeenToShort(map) && { makesBeforeBreaks: true }),
      ...(structure.terminals.some(({ role }) => role === 'earth') && { earthTerminal: true }),
      ...(keyed.length > 0 && { keyOut: keyed.filter((place) => place >= 0) }),
    },
  };
}

/**
 * Where it stops something, by the cases that were said: a brake where the handle rests, an engine where something joins and nothing else
 * does, a stop button where it opens. Empty where that is not clear.
 */
function stopsAt(
  { settings: mapped, contacts }: SwitchMap,
  positions: readonly SubjectPosition[],
  settings: readonly SettingId[],
  cases: ReadonlySet<Case>,
): Subject['stopsAt'] {
  const joins = settings.map((id) => {
    const settled = mapped.get(id)?.settled;
    return contacts.some((a) =>
      contacts.some((b) => a !== b && settled && settled.nets[a] === settled.nets[b]),
    );
  });
  const places = positions.map((_, at) => at);
  const rest = places.filter((at) => positions.some(({ returnsTo }) => returnsTo === at));
  const closed = places.filter((at) => joins[at] && positions[at]?.rests !== 'momentary');
  return {
    brake: cases.has('run-and-brake') ? rest.filter((at) => joins[at]) : [],
    kill: cases.has('kill-contact') && closed.length === 1 ? closed : [],
    stop: cases.has('stop-button') ? places.filter((at) => !joins[at]) : [],
  };
}

/** Whether it was seen to make before it breaks; that nothing was seen proves nothing. */
const wasSeenToShort = ({ log }: SwitchMap): boolean =>
  recordsOf(log, 'passing-probed').some(({ seen, passes }) => seen && passes > 0);

/** What the markings say, where every character of it is certain. */
function markedFacts({ log }: SwitchMap): PartFacts {
  const facts: PartFacts = {};
  for (const { runs } of recordsOf(log, 'transcribed')) {
    if (runs.some(({ sure }) => sure !== 'certain')) continue;
    const decoded = decodeTranscription({ runs });
    if (decoded.disconnection) facts.disconnection = decoded.disconnection;
    if (decoded.protection) facts.protection = decoded.protection;
  }
  return facts;
}
