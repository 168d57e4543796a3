import { createMapper } from '../continuity/index.js';
import { readingsAsked } from '../log/index.js';
import type { Partition, Pattern } from '../partition/index.js';
import {
  advance,
  idleHands,
  mapMoment,
  momentOf,
  nextProbe,
  planBegins,
  planLate,
  pressed,
  wantedAsk,
  type Act,
  type ProbingHands,
  type Measurement,
  type Moment,
  type Probe,
  type Scene,
  type Sense,
} from '../probing/index.js';
import type { SettingId, TerminalId } from '../switch/index.js';
import { CLOSED, OPEN, SILENT, SOUNDED, type Bench } from './generated.js';

const NOW = '2026-01-05T10:00:00.000Z';

/** The probing machine on a bench, without a screen: keys go in, events come out. */
export interface AtTheKeys {
  moment(): Moment;
  /** Presses keys one after another. */
  press(...keys: string[]): void;
  act(act: Act): void;
  /** What the last act wanted of the meter, and nobody has brought yet. */
  wanted(): Measurement | null;
  /** The meter answers what is wanted, by the truth. */
  measure(): void;
  /** What is joined between two terminals by the truth. */
  joins(setting: SettingId, red: readonly TerminalId[], black: readonly TerminalId[]): boolean;
}

/** Hands at the keys of a switch whose truth is known. */
export function atTheKeys(
  on: Bench,
  hidden: Pattern,
  {
    sense = 'tone',
    ...given
  }: Partial<Pick<Scene, 'meter' | 'pedals' | 'inCircuit'>> & { sense?: Sense } = {},
): AtTheKeys {
  const mapper = createMapper();
  let hands: ProbingHands = idleHands(sense);
  let wants: Measurement | null = null;
  const bySetting = new Map<string, Partition>(on.settings.map((id, index) => [id, hidden[index] ?? []]));
  const moment = (): Moment => {
    const map = mapper(on.events);
    const known = mapMoment(map);
    const { plan } = planLate(planBegins(map, known.handle, NOW, { alone: true, ahead: null }), NOW);
    const scene = {
      map,
      plan,
      open: true,
      inCircuit: false,
      meter: null,
      clicks: null,
      pedals: false,
      ...given,
    };
    return momentOf(scene, hands, known);
  };
  const one = (doing: Act): void => {
    const step = advance(moment(), doing, { newId: on.newId });
    hands = step.hands;
    wants = step.wants;
    for (const deed of step.deeds) on.add(deed);
  };
  const act = (doing: Act): void => {
    one(doing);
    const kept = wants;
    if (wantedAsk(moment())) one({ do: 'go-on' });
    wants = kept;
  };
  const joins: AtTheKeys['joins'] = (setting, red, black) => {
    const truth = bySetting.get(setting) ?? [];
    const net = (id: TerminalId) => truth[on.terminals.indexOf(id)];
    return red.some((a) => black.some((b) => net(a) === net(b)));
  };
  const read = (probe: Probe) => {
    if (probe.kind !== 'pair') return sense === 'tone' ? SOUNDED : { kind: 'ohms' as const, ohms: 0.2 };
    const joined = joins(probe.setting, probe.red, probe.black);
    return sense === 'tone' ? (joined ? SOUNDED : SILENT) : joined ? CLOSED : OPEN;
  };
  if (wantedAsk(moment())) one({ do: 'go-on' });
  return {
    moment,
    act,
    joins,
    wanted: () => wants,
    press(...keys) {
      for (const key of keys) {
        const said = pressed(moment(), key);
        if (said && !('open' in said)) act(said);
      }
    },
    measure() {
      const measurement = wants;
      if (!measurement) return;
      const values = new Map();
      for (let place = nextProbe(moment(), measurement, values); place !== null;) {
        values.set(place, read(measurement.probes[place]?.probe as Probe));
        place = nextProbe(moment(), measurement, values);
      }
      act({ do: 'measured', measured: { measurement, values } });
    },
  };
}

/** What a person presses to answer the task of the moment truthfully: labels that sounded, then Enter; Space for none. */
export function truthfulKeys(keys: AtTheKeys): string[] {
  const { task, map, meter, hands, implied } = keys.moment();
  if (meter !== null) return ['Enter'];
  const label = (id: TerminalId) =>
    map.structure.terminals.find((terminal) => terminal.id === id)?.label ?? '';
  if (task?.kind === 'clips') return ['Enter'];
  if (task?.kind === 'correct') {
    const { setting, red, black } = task.reading;
    return valueKeys(hands.sense, keys.joins(setting, red, black));
  }
  if (task?.kind !== 'prompt') return hands.sense === 'tone' ? ['Enter'] : [...'0,2', 'Enter'];
  const { ask } = task.prompt;
  const asked = readingsAsked(ask).filter(({ key }) => !implied.has(key));
  if (ask.kind === 'pair') {
    const [only] = asked;
    return valueKeys(hands.sense, only !== undefined && keys.joins(only.setting, only.red, only.black));
  }
  const number = (id: SettingId) =>
    String(map.structure.settings.findIndex((setting) => setting.id === id) + 1);
  const sounded = asked.filter(({ setting, red, black }) => keys.joins(setting, red, black));
  if (sounded.length === 0) return [' '];
  const value = hands.sense === 'tone' ? '' : '=0,3';
  const typed = sounded.flatMap(({ key }) => [
    ...(ask.kind === 'sweep' ? label(key as TerminalId) : number(key as SettingId)),
    ...value,
    'Enter',
  ]);
  return [...typed, 'Enter'];
}

const valueKeys = (sense: Sense, joined: boolean): string[] =>
  sense === 'tone' ? [joined ? 'Enter' : ' '] : joined ? [...'0,3', 'Enter'] : [' '];
