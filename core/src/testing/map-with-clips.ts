import { createMapper, factAt, type SwitchMap } from '../continuity/index.js';
import { PLAIN_APPROACH, readingsAsked, type Deed, type Value } from '../log/index.js';
import { partitionFromGroups, type Partition, type Pattern } from '../partition/index.js';
import { answerTo, clipChangeFor, clipTouch, planNext } from '../planner/index.js';
import { shuffled, type PromptId, type ReadingId, type SettingId, type TerminalId } from '../switch/index.js';
import { bench, CLOSED, OPEN, type Bench } from './generated.js';

/** How a clip fails: it comes loose at a reading, is loose from the start, or is loose at some readings only. */
type Failure = { clip: TerminalId; from: number; every: number };

/** A clip that leans on another lug while it is on: from a bundle on, so many times. */
type Lean = { clip: TerminalId; onto: TerminalId; from: number; until: number };

interface Hands {
  failures: Failure[];
  leans?: Lean[];
  /** Whether they touch and wiggle every clip before it comes off; else they say that all sounded. */
  truthful: boolean;
  /** Whether they type a pair of their own in the middle, and so take the clips off untouched. */
  hasty?: boolean;
  /** Whether they stop where readings disagree; else they take the low bundle out. */
  stopAtDispute?: boolean;
}

/** Clips of which some fail, and how many bundles were read with them. */
class BadClips {
  #bundles = 0;

  constructor(
    private readonly terminals: readonly TerminalId[],
    private loose: readonly Failure[],
    private readonly leans: readonly Lean[],
  ) {}

  isLoose(clip: TerminalId): boolean {
    return this.#looseAt(clip) !== undefined;
  }

  /** Found silent, they are put on anew, and hold. */
  putOnAnew(silent: readonly TerminalId[]): void {
    this.loose = this.loose.filter((one) => !silent.includes(one.clip));
  }

  /** What the meter says: without clips that are loose now, with what a clip leans on. */
  joins(truth: Partition, red: readonly TerminalId[], black: readonly TerminalId[]): boolean {
    const clipped = red.length + black.length > 2 ? [...red, ...black] : [];
    if (clipped.length > 0) this.#bundles += 1;
    const bundles = this.#bundles;
    const place = (terminal: TerminalId) => this.terminals.indexOf(terminal);
    const holds = (clip: TerminalId) => {
      const failure = this.#looseAt(clip);
      return !failure || bundles % failure.every !== 0;
    };
    const touching = (lead: readonly TerminalId[]) => (lead.length > 1 ? lead.filter(holds) : lead);
    const leaning = this.leans.find(
      ({ clip, from, until }) => clipped.includes(clip) && bundles >= from && bundles < until,
    );
    const nets = leaning ? mergedAt(truth, place(leaning.clip), place(leaning.onto)) : truth;
    return touching(red).some((a) => touching(black).some((b) => nets[place(a)] === nets[place(b)]));
  }

  #looseAt(clip: TerminalId): Failure | undefined {
    return this.loose.find((one) => one.clip === clip && this.#bundles >= one.from);
  }
}

/** Maps a hidden pattern with clips of which one may fail, until the plan asks for nothing more. */
export function mapWithClips(
  hidden: Pattern,
  on: Bench,
  { failures, truthful, hasty = false, leans = [], stopAtDispute = false }: Hands,
) {
  const mapper = createMapper();
  let at = on.settings[0] as SettingId;
  let [closings, hastened] = [0, false];
  const clips = new BadClips(on.terminals, failures, leans);
  const plans: string[] = [];
  for (let guard = 0; guard < 3000; guard += 1) {
    const map = mapper(on.events);
    const plan = planNext(map, at);
    const ask = plan.kind === 'ask' ? plan.ask : null;
    if (plan.kind !== 'ask') plans.push(plan.kind);
    if (hasty && !hastened && map.clips.now.red.length > 3) {
      hastened = true;
      on.read(0, 0, 1, hidden[0]?.[0] === hidden[0]?.[1] ? CLOSED : OPEN);
      continue;
    }
    const wanted = clipTouch(map, ask)?.touched ?? [];
    if (wanted.length > 0) {
      const silent = wanted.filter((clip) => truthful && clips.isLoose(clip));
      on.add(clipTouch(map, ask, silent) as Deed);
      if (clipChangeFor(map, ask)?.closing === true) closings += wanted.length;
      clips.putOnAnew(silent);
      continue;
    }
    if (plan.kind === 'clips-unproved') {
      on.add({
        kind: 'clips-doubted',
        clips: plan.uses.map(({ terminal, readings }) => ({ terminal, readings })),
      });
      continue;
    }
    const lie = plan.kind === 'disputed' && !stopAtDispute ? lowBundleIn(map, plan.setting) : null;
    if (lie) {
      on.add({ kind: 'superseded', reading: lie, replacement: null, source: 'typed' });
      continue;
    }
    if (!ask) return { map, plan, plans, closings };
    const prompt = { id: on.newId<PromptId>(), ask };
    on.add({ kind: 'prompt-shown', prompt });
    const values = new Map<TerminalId | SettingId, Value>();
    for (const { setting, red, black, key } of readingsAsked(ask)) {
      at = setting;
      const truth = hidden[on.settings.indexOf(setting)] as Partition;
      values.set(key, clips.joins(truth, red, black) ? CLOSED : OPEN);
    }
    on.add(answerTo(prompt, { values, source: 'typed', inCircuit: false }, on.newId));
  }
  throw new Error('the plan did not come to an end');
}

/** A partition with two nets made one. */
const mergedAt = (nets: Partition, one: number, other: number): Partition =>
  partitionFromGroups(nets.length, [...nets.map((net, place) => [net, place]), [one, other]]);

/** A low bundle of what contradicts in a setting. */
function lowBundleIn(map: SwitchMap, setting: SettingId): ReadingId | null {
  const suspects = map.settings.get(setting)?.settled.contradictions.flatMap(({ joins }) => joins) ?? [];
  const found = map.tape.find(
    ({ reading: { id, red, black } }) => suspects.includes(id) && red.length + black.length > 2,
  );
  return found?.reading.id ?? null;
}

/** Pairs that a map says differently from the truth. */
export function wrongIn(map: SwitchMap, hidden: Pattern, on: Bench): number {
  return on.settings.reduce((sum, id, index) => {
    const settled = map.settings.get(id)?.settled;
    const truth = hidden[index] as Partition;
    let wrong = 0;
    for (let a = 0; a < truth.length; a += 1)
      for (let b = 0; b < a; b += 1) {
        const { joined } = settled ? factAt(settled, a, b) : { joined: null };
        if (joined !== null && joined !== (truth[a] === truth[b])) wrong += 1;
      }
    return sum + wrong;
  }, 0);
}

/** A switch of a seed: some lugs, some positions, in each of them some lugs joined. */
export function someSwitch(random: () => number): { lugs: number; hidden: Pattern } {
  const lugs = 6 + Math.floor(random() * 4);
  const hidden = Array.from({ length: 2 + Math.floor(random() * 2) }, () => {
    const order = shuffled(
      Array.from({ length: lugs }, (_, place) => place),
      random,
    );
    const pairs = 1 + Math.floor(random() * 3);
    return partitionFromGroups(
      lugs,
      Array.from({ length: pairs }, (_, at) => order.slice(2 * at, 2 * at + 2)),
    );
  });
  return { lugs, hidden };
}

export const withClips = (lugs: number, settings: number, seed: number): Bench => {
  const on = bench(lugs, settings, seed);
  on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, order: 'time', clips: lugs } });
  return on;
};
