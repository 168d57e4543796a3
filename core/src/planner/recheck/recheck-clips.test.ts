import { describe, expect, it } from 'vitest';
import { deriveMap } from '../../continuity/index.js';
import { PLAIN_APPROACH, readingsAsked, type Value } from '../../log/index.js';
import type { Partition, Pattern } from '../../partition/index.js';
import { seededRandom, type PromptId, type SettingId, type TerminalId } from '../../switch/index.js';
import { bench, byRows, CLOSED, OPEN, type Bench } from '../../testing/generated.js';
import { mapWithClips, someSwitch, wrongIn } from '../../testing/map-with-clips.js';
import { runs } from '../../testing/runs.js';
import { answerTo } from '../field/answer.js';
import { planNext } from '../next/plan.js';

/** Maps by pairs, row by row; one answer of all is the other way round. */
function mapByPairs(on: Bench, hidden: Pattern, slip: number): void {
  byRows(on);
  for (let read = 0; ;) {
    const plan = planNext(deriveMap(on.events), null);
    if (plan.kind !== 'ask') return;
    const prompt = { id: on.newId<PromptId>(), ask: plan.ask };
    on.add({ kind: 'prompt-shown', prompt });
    const values = new Map<TerminalId | SettingId, Value>();
    for (const { setting, red, black, key } of readingsAsked(plan.ask)) {
      const truth = hidden[on.settings.indexOf(setting)] as Partition;
      const nets = [red, black].map(([lug]) => truth[on.terminals.indexOf(lug as TerminalId)]);
      values.set(key, (nets[0] === nets[1]) === (read !== slip) ? CLOSED : OPEN);
      read += 1;
    }
    on.add(answerTo(prompt, { values, source: 'typed', inCircuit: false }, on.newId));
  }
}

describe('a re-check with clips on both leads, of which one or two fail', () => {
  it('passes no map on which a reading is wrong, where the closing touches are answered truthfully', () => {
    let [passed, wrong, found, black] = [0, 0, 0, 0];
    for (let sample = 0; sample < 8; sample += 1) {
      const random = seededRandom(sample + 40);
      const { lugs, hidden } = someSwitch(random);
      for (let fault = 0; fault < runs(2); fault += 1) {
        const on = bench(lugs, hidden.length, sample + 1);
        const pairs = (hidden.length * lugs * (lugs - 1)) / 2;
        // Every other map has no slip: what the clips do there makes nothing wrong either.
        mapByPairs(on, hidden, fault % 2 === 1 ? -1 : Math.floor((random() * pairs) / 2));
        const begins = deriveMap(on.events);
        if (!begins.complete) continue;
        on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, order: 'time', clips: lugs } });
        on.add({ kind: 'recheck-begun' });
        const some = () => on.terminals[Math.floor(random() * lugs)] as TerminalId;
        const failures = [some(), some()]
          .filter((clip, at, both) => both.indexOf(clip) === at)
          .map((clip) => ({ clip, from: Math.floor(random() * 6), every: 1 + Math.floor(random() * 2) }));
        const { map, plan } = mapWithClips(hidden, on, { failures, truthful: true, stopAtDispute: true });
        black += map.tape.some(({ reading }) => reading.red.length > 1 && reading.black.length > 1) ? 1 : 0;
        if (plan.kind !== 'rechecked') found += 1;
        else {
          passed += 1;
          wrong += wrongIn(map, hidden, on) > 0 ? 1 : 0;
        }
      }
    }
    expect(wrong).toBe(0);
    expect(Math.min(passed, found, black)).toBeGreaterThan(runs(2));
  });
});
