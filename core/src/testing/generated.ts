import fc from 'fast-check';
import { partitionFromGroups, type Pattern } from '../partition/index.js';
import { answerTo, clipTouch, planNext, type Outlook } from '../planner/index.js';
import { truthfulValues } from '../simulated/index.js';
import { createMapper, type SwitchMap } from '../continuity/index.js';
import {
  createWriter,
  ORDINARY_METER,
  PLAIN_APPROACH,
  readingsAsked,
  type Deed,
  type JobEvent,
  type Reading,
  type Value,
  type Writer,
} from '../log/index.js';
import {
  describeSwitch,
  newIdFrom,
  seededRandom,
  type NewId,
  type PromptId,
  type ReadingId,
  type SettingId,
  type TerminalId,
} from '../switch/index.js';

export const OPEN: Value = { kind: 'over' };
export const CLOSED: Value = { kind: 'ohms', ohms: 0.3 };
export const SOUNDED: Value = { kind: 'tone', sounded: true };
export const SILENT: Value = { kind: 'tone', sounded: false };

/** A log being written by one device, with what tests need at hand. */
export interface Bench {
  newId: NewId;
  writer: Writer;
  events: JobEvent[];
  terminals: TerminalId[];
  settings: SettingId[];
  add<What extends Deed>(what: What): JobEvent<What>;
  /** A free pair reading in a setting, by place. */
  read(setting: number, a: number, b: number, value: Value): Reading;
  /** A reading of the person's own choice with terminals tied together on a lead. */
  bundle(setting: number, red: readonly number[], black: readonly number[], value: Value): Reading;
}

/** A described switch with a passed meter check (lead zero 0.2 ohm, so CLOSED is 0.1). */
export function bench(terminals: number, settings: number, seed = 1): Bench {
  const newId = newIdFrom(seededRandom(seed));
  const writer = createWriter({ newId, now: () => '2026-01-05T10:00:00.000Z' });
  const change = describeSwitch({ terminals, positions: settings, form: 'rotary', layout: 'circle' }, newId);
  const events: JobEvent[] = [];
  const self: Bench = {
    newId,
    writer,
    events,
    terminals: change.terminals.map(({ id }) => id),
    settings: change.settings.map(({ id }) => id),
    add(what) {
      const event = writer.write(events, what);
      events.push(event);
      return event;
    },
    read: (setting, a, b, value) => taken('pair', setting, [a], [b], value),
    bundle: (setting, red, black, value) => taken('bundle', setting, red, black, value),
  };
  const lead = (places: readonly number[]) => places.map((place) => self.terminals[place] as TerminalId);
  function taken(
    act: 'pair' | 'bundle',
    setting: number,
    red: readonly number[],
    black: readonly number[],
    value: Value,
  ): Reading {
    const reading: Reading = {
      id: newId<ReadingId>(),
      setting: self.settings[setting] as SettingId,
      red: lead(red),
      black: lead(black),
      value,
    };
    self.add({ kind: 'answered', act, prompt: null, source: 'typed', inCircuit: false, readings: [reading] });
    return reading;
  }
  self.add({ kind: 'restructured', change, basedOn: null });
  self.add({ kind: 'meter-checked', leadsTogether: { kind: 'ohms', ohms: 0.2 }, meter: ORDINARY_METER });
  return self;
}

/** Patterns of no named kind: random groups per setting. */
export const anyPattern = (maxTerminals: number, maxSettings: number): fc.Arbitrary<Pattern> =>
  fc
    .tuple(fc.integer({ min: 2, max: maxTerminals }), fc.integer({ min: 1, max: maxSettings }))
    .chain(([terminals, settings]) =>
      fc.array(
        fc
          .array(fc.integer({ min: 0, max: terminals - 1 }), { minLength: terminals, maxLength: terminals })
          .map((group) => {
            const groups = group.map((value) =>
              group.flatMap((other, place) => (other === value ? [place] : [])),
            );
            return partitionFromGroups(terminals, groups);
          }),
        { minLength: settings, maxLength: settings },
      ),
    );

/** Sparser ones, as switches are: most terminals alone. */
export const switchLikePattern = (maxTerminals: number, maxSettings: number): fc.Arbitrary<Pattern> =>
  fc
    .tuple(fc.integer({ min: 2, max: maxTerminals }), fc.integer({ min: 1, max: maxSettings }))
    .chain(([terminals, settings]) =>
      fc.array(
        fc
          .array(
            fc.tuple(fc.integer({ min: 0, max: terminals - 1 }), fc.integer({ min: 0, max: terminals - 1 })),
            { maxLength: Math.ceil(terminals / 2) },
          )
          .map((pairs) => partitionFromGroups(terminals, pairs)),
        { minLength: settings, maxLength: settings },
      ),
    );

/** What it took to map a switch. */
export interface Run {
  map: SwitchMap;
  readings: number;
  touches: number;
  asked: string[];
}

/** How a run is made: what the meter says, what is predicted, and what happens before each prompt. */
export interface RunOptions {
  tone?: boolean;
  outlook?: Outlook;
  onPrompt?: (map: SwitchMap) => void;
}

/** Maps a hidden pattern by answering every prompt truthfully, in ohms or by tone, until the plan is done. */
export function mapHidden(
  hidden: Pattern,
  on: Bench,
  { tone = false, outlook = {}, onPrompt }: RunOptions = {},
): Run {
  const mapper = createMapper();
  let at = on.settings[0] as SettingId;
  let [readings, touches] = [0, 0];
  const asked: string[] = [];
  for (let guard = 0; guard < 5000; guard += 1) {
    onPrompt?.(mapper(on.events));
    const map = mapper(on.events);
    const plan = planNext(map, at, outlook);
    const ask = plan.kind === 'ask' ? plan.ask : null;
    const touch = clipTouch(map, ask);
    if (touch) {
      on.add(touch);
      continue;
    }
    if (!ask) return { map, readings, touches, asked };
    const prompt = { id: on.newId<PromptId>(), ask };
    on.add({ kind: 'prompt-shown', prompt });
    const values = truthfulValues(
      ask,
      { terminals: on.terminals, settings: map.settings },
      (setting) => hidden[on.settings.indexOf(setting)] ?? [],
      { closed: () => (tone ? SOUNDED : CLOSED), open: () => (tone ? SILENT : OPEN) },
    );
    for (const { setting, red, black, key } of readingsAsked(ask)) {
      if (!values.has(key)) continue;
      at = setting;
      const [one, other] = [red, black].map((ids) => ids.map((id) => on.terminals.indexOf(id)).join('+'));
      asked.push(`${setting} ${one} ${other}`);
    }
    readings += values.size;
    touches += values.size + 1;
    on.add(answerTo(prompt, { values, source: 'typed', inCircuit: false }, on.newId));
  }
  throw new Error('the plan did not come to an end');
}

/** The bench with position first chosen: rows of sweeps, in the order of the terminals. */
export function byRows(on: Bench): Bench {
  on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, order: 'position' } });
  return on;
}
