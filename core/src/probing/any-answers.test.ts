import { describe, expect, it } from 'vitest';
import { isComplete } from '../continuity/index.js';
import { partitionFromGroups, type Pattern } from '../partition/index.js';
import { PLAIN_APPROACH, readingsAsked, type Deed, type Part } from '../log/index.js';
import { seededRandom, type PartId } from '../switch/index.js';
import { atTheKeys, type AtTheKeys } from '../testing/at-the-keys.js';
import { bench, type Bench } from '../testing/generated.js';
import { runs } from '../testing/runs.js';
import { answersTo } from './answers-to.js';

const OPEN = [' '];
const CLOSED = [...'0,3', 'Enter'];
/** What a hand may type besides: between the bands, a leak, a flicker, and the two others wrongly. */
const ANY = [OPEN, CLOSED, [...'150', 'Enter'], [...'30', 'Enter'], [...'3M', 'Enter'], ['~']];

/** Answers whatever is asked, now and then with anything at all; false: nothing more is asked. */
function answerSomehow(keys: AtTheKeys, wrong: () => boolean, random: () => number): boolean {
  const { task, map } = keys.moment();
  const any = () => ANY[Math.floor(random() * ANY.length)] ?? OPEN;
  const value = (joined: boolean) => (wrong() ? any() : joined ? CLOSED : OPEN);
  if (task?.kind === 'correct') {
    const { setting, red, black } = task.reading;
    keys.press(...value(keys.joins(setting, red, black)));
    return true;
  }
  if (task?.kind === 'prompt') {
    const { ask } = task.prompt;
    if (ask.kind === 'pair') {
      const [only] = readingsAsked(ask);
      if (only) keys.press(...value(keys.joins(only.setting, only.red, only.black)));
      return true;
    }
    for (const { setting, red, black, key } of readingsAsked(ask)) {
      const typed = value(keys.joins(setting, red, black));
      if (typed === OPEN) continue;
      const label =
        map.structure.terminals.find(({ id }) => id === key)?.label ??
        String(map.structure.settings.findIndex(({ id }) => id === key) + 1);
      keys.press(...label, '=', ...(typed[0] === '~' ? ['~', 'Enter'] : typed));
    }
    const none = keys.moment().found.size === 0;
    keys.press(none ? ' ' : 'Enter');
    return true;
  }
  const [main] = answersTo(keys.moment());
  if (task?.kind === 'clips' && main) {
    keys.act(main.act);
    return true;
  }
  if (task?.kind !== 'plan' || task.plan.kind === 'done' || !main || main.look !== 'main') return false;
  if (task.plan.kind === 'check-meter') keys.press(...'0,2', 'Enter');
  else keys.act(main.act);
  return true;
}

/** A switch of 3 to 6 lugs and 1 to 3 positions. */
function someSwitch(random: () => number): { lugs: number; hidden: Pattern } {
  const lugs = 3 + Math.floor(random() * 4);
  const hidden = Array.from({ length: 1 + Math.floor(random() * 3) }, () =>
    partitionFromGroups(
      lugs,
      Array.from({ length: 2 }, () => [Math.floor(random() * lugs), Math.floor(random() * lugs)]),
    ),
  );
  return { lugs, hidden };
}

/** A lamp that may read as low as a contact lies across two lugs. */
const lampAcross = (on: Bench, a: number, b: number): Deed => ({
  kind: 'part-declared',
  part: {
    id: on.newId<PartId>(),
    form: 'lamp',
    terminals: [on.terminals[a], on.terminals[b]] as Part['terminals'],
    ...{ ohms: null, note: '', on: true, removed: false },
  },
});

describe('any answers in any order', () => {
  it('come to an end, never to skips that nobody made, and are complete only where all is settled', () => {
    const ends = new Map<string, number>();
    let most = 0;
    for (let seed = 1; seed <= runs(150); seed += 1) {
      const random = seededRandom(seed);
      const { lugs, hidden } = someSwitch(random);
      const share = [0, 0.1, 0.3][seed % 3] as number;
      const on = bench(lugs, hidden.length, seed);
      const order = (['position', 'pair', 'likely', 'time'] as const)[seed % 4] ?? 'position';
      on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, order, clips: seed % 5 === 1 ? 8 : 0 } });
      if (seed % 6 === 2) on.add(lampAcross(on, 0, lugs - 1));
      const keys = atTheKeys(on, hidden, { sense: 'ohms' });
      const asked = new Set<string>();
      const bound = 4 * ((lugs * (lugs - 1)) / 2) * hidden.length;
      // The meter check comes before all of it.
      let acts = -1;
      while (answerSomehow(keys, () => random() < share, random)) {
        acts += 1;
        const now = `${on.events.length} ${JSON.stringify(keys.moment().task)}`;
        // The same again on the same evidence would be asked for ever.
        expect(asked.has(now)).toBe(false);
        asked.add(now);
        if (acts > bound) break;
      }
      const { task, map } = keys.moment();
      const end = task?.kind === 'plan' ? task.plan.kind : (task?.kind ?? 'nothing');
      if (acts > bound) process.stdout.write(`seed ${seed}: ${acts} acts, ${end}\n`);
      ends.set(acts > bound ? 'no end' : end, (ends.get(acts > bound ? 'no end' : end) ?? 0) + 1);
      most = Math.max(most, acts / bound);
      const settled = [...map.settings.values()].every(({ coverage }) => isComplete(coverage));
      expect(map.complete).toBe(settled);
    }
    process.stdout.write(`any answers: ${[...ends].join(' · ')}, at most ${most.toFixed(2)} of the bound\n`);
    // Answered truthfully it is always done.
    expect(ends.get('done') ?? 0).toBeGreaterThanOrEqual(runs(150) / 3);
    expect([...ends.keys()].filter((end) => end === 'no end' || end === 'skipped-left')).toEqual([]);
  });
});
