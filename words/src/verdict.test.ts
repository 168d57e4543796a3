import { deriveMap, type SwitchMap } from '@which-way/core/continuity';
import {
  createWriter,
  MECHANICAL_SIGNS,
  ORDINARY_METER,
  type Deed,
  type JobEvent,
  type Value,
} from '@which-way/core/log';
import { routeOf } from '@which-way/core/route';
import {
  describeSwitch,
  newIdFrom,
  seededRandom,
  type ReadingId,
  type SettingId,
  type TerminalId,
} from '@which-way/core/switch';
import { judge, signable, signatureOf } from '@which-way/core/verdict';
import { askedOdd } from '@which-way/core/verify';
import { describe, expect, it } from 'vitest';
import { factsOf } from './report/document.js';
import { reportOf } from './report/report.js';
import { reportSource } from './report/source.js';
import { nextWords } from './route.js';
import { forUseWords, settlesWords, shownVerdict } from './verdict.js';
import { verdictHeadline } from './judge/headline.js';

const LOW: Value = { kind: 'ohms', ohms: 0.4 };
const OPEN: Value = { kind: 'over' };
const HEARD: Value = { kind: 'tone', sounded: true };

/** A described switch, its meter checked, with what a case needs at hand. */
function switchOf(lugs: number, positions: number, seed = 1) {
  const newId = newIdFrom(seededRandom(seed));
  const writer = createWriter({ newId, now: () => '2026-01-05T10:00:00.000Z' });
  const change = describeSwitch({ terminals: lugs, positions, form: 'rotary', layout: 'circle' }, newId);
  const events: JobEvent[] = [];
  const add = (what: Deed) => void events.push(writer.write(events, what));
  const lug = (place: number) => change.terminals[place - 1]?.id as TerminalId;
  const setting = (place: number) => change.settings[place - 1]?.id as SettingId;
  add({ kind: 'restructured', change, basedOn: null });
  add({ kind: 'meter-checked', leadsTogether: { kind: 'ohms', ohms: 0.2 }, meter: ORDINARY_METER });
  const read = (at: number, a: number, b: number, value: Value) => {
    const reading = { id: newId<ReadingId>(), setting: setting(at), red: [lug(a)], black: [lug(b)], value };
    add({
      kind: 'answered',
      act: 'pair',
      prompt: null,
      source: 'typed',
      inCircuit: false,
      readings: [reading],
    });
    return reading.id;
  };
  /** Nets by position, such as `1-2`. */
  const should = (nets: string[], unsaid: [number, number][] = []) =>
    add({
      kind: 'expected',
      table: {
        source: { kind: 'drawn' },
        settings: nets.map((joins, at) => ({
          setting: setting(at + 1),
          joined: joins
            .split(' ')
            .filter(Boolean)
            .map((net) => net.split('-').map((one) => lug(Number(one)))),
          unsaid: unsaid.map(([a, b]): [TerminalId, TerminalId] => [lug(a), lug(b)]),
        })),
      },
    });
  const map = () => deriveMap(events);
  return { events, add, lug, setting, read, should, map, newId };
}
type Case = ReturnType<typeof switchOf>;

const insulated = (on: Case, megohms = 200) =>
  on.add({
    kind: 'insulation-tested',
    test: { between: 'contacts to the frame', testVolts: 500, megohms, limitMegohms: 1 },
  });
const looked = (on: Case, found: 'good' | 'at-fault' = 'good') => {
  for (const sign of MECHANICAL_SIGNS)
    on.add({ kind: 'mechanics-noted', sign, found, terminal: null, photo: null });
};
const cycled = (on: Case, missed: number[]) =>
  on.add({
    kind: 'contact-repeated',
    run: {
      ...{ terminals: [on.lug(1), on.lug(2)], setting: on.setting(2), cycles: 20, sticks: [], dropOuts: 0 },
      ...{ misses: missed, ohms: [], under: 'bench' },
    },
  } as Deed);

/** An on-off switch, closed in position 2, by ohms or by ear; then what happens to it. */
const onOff = (closed: Value, ...more: ((on: Case) => void)[]) => {
  const on = switchOf(2, 2);
  on.read(1, 1, 2, closed.kind === 'tone' ? { kind: 'tone', sounded: false } : OPEN);
  on.read(2, 1, 2, closed);
  for (const one of more) one(on);
  return on;
};
const asOnOff = (on: Case) => on.should(['', '1-2']);
/** A changeover of three lugs: 1-2, then 1-3. */
const changeover = (...more: ((on: Case) => void)[]) => {
  const on = switchOf(3, 2);
  for (const [at, joined] of [
    [1, 2],
    [2, 3],
  ] as const)
    for (const [a, b] of [
      [1, 2],
      [1, 3],
      [2, 3],
    ] as const)
      on.read(at, a, b, a === 1 && b === joined ? LOW : OPEN);
  for (const one of more) one(on);
  return on;
};

/** What is said of a switch, as its page heads it; the act that settles it; and what its owner reads. Read by eye. */
const SAID: [string, () => Case, string, string, RegExp][] = [
  ['nothing is read', () => switchOf(2, 2), 'No verdict yet. Nothing measured yet.', 'Start the map', /not cleared for use yet/],
  ['nothing is read, and its mechanics are at fault', () => { const on = switchOf(2, 2); looked(on, 'at-fault'); return on; }, 'Fails: mechanics.', 'See mechanics', /Do not use it/],
  ['half of it is read', () => { const on = switchOf(3, 1); on.read(1, 1, 2, LOW); return on; }, 'No verdict yet. 2 pairs not known.', 'Continue the map', /not all pairs are tested/],
  ['half of it, and something is expected', () => { const on = switchOf(3, 1); on.read(1, 1, 2, LOW); on.should(['1-2']); return on; }, 'No verdict yet. 2 pairs not known.', 'Continue the map', /not cleared/],
  ['readings disagree', () => { const on = onOff(LOW, asOnOff); on.read(2, 1, 2, OPEN); return on; }, 'No verdict yet. 1 contradiction between readings.', 'Read again what disagrees', /readings disagree/],
  ['nothing says what it should do', () => onOff(LOW), 'No verdict yet. You haven’t said what it should do.', 'Enter what it should do', /you haven’t said/],
  ['it agrees in ohms', () => onOff(LOW, asOnOff), 'Wiring and contacts pass. Insulation and mechanics not tested.', 'Test the insulation', /not cleared for use yet: insulation .*, mechanics/],
  ['and insulation is tested', () => onOff(LOW, asOnOff, insulated), 'Wiring and contacts pass. Mechanics not tested.', 'Check the mechanics', /not cleared for use yet: mechanics/],
  ['and mechanics, not insulation', () => onOff(LOW, asOnOff, looked), 'Wiring and contacts pass. Insulation not tested.', 'Test the insulation', /not cleared for use yet: insulation/],
  ['and all of it', () => onOff(LOW, asOnOff, insulated, looked), 'Passes: pattern, contacts, insulation and mechanics.', '', /^This switch passes/],
  ['it agrees by ear', () => onOff(HEARD, asOnOff), 'Wiring agrees by ear; contacts not measured.', 'Read 1 closed contact in ohms', /not cleared/],
  ['by ear, all else tested', () => onOff(HEARD, asOnOff, insulated, looked), 'Wiring agrees by ear; contacts not measured.', 'Read 1 closed contact in ohms', /not cleared for use yet: contacts/],
  ['by ear, then in ohms', () => onOff(HEARD, asOnOff, (on) => void on.read(2, 1, 2, LOW), insulated, looked), 'Passes: pattern, contacts, insulation and mechanics.', '', /passes/],
  ['by ear, and nothing expected', () => onOff(HEARD), 'No verdict yet. You haven’t said what it should do.', 'Enter what it should do', /not cleared/],
  ['a contact missing', () => onOff(OPEN, asOnOff), 'Fails: pattern (1 missing).', 'See what differs', /^This switch fails: pattern .* Do not use it\./],
  ['one too many', () => onOff(LOW, (on) => on.should(['', ''])), 'Fails: pattern (1 extra).', 'See what differs', /Do not use it/],
  ['both', () => changeover((on) => on.should(['1-3', '1-2'])), 'Fails: pattern (2 missing, 2 extra).', 'See what differs', /fails: pattern/],
  ['the contact is high', () => onOff({ kind: 'ohms', ohms: 1.9 }, asOnOff, (on) => on.add({ kind: 'limit-set', limit: { school: 'fixed', ohms: 0.5 } })), 'Fails: contacts.', 'See contacts', /fails: contacts \(high resistance\)/],
  ['the insulation is low', () => onOff(LOW, asOnOff, (on) => insulated(on, 0.2)), 'Fails: insulation.', 'See insulation', /fails: insulation/],
  ['the mechanics are at fault', () => onOff(LOW, asOnOff, (on) => looked(on, 'at-fault')), 'Fails: mechanics.', 'See mechanics', /fails: mechanics/],
  ['several lines fail', () => onOff(OPEN, asOnOff, (on) => insulated(on, 0.2), (on) => looked(on, 'at-fault')), 'Fails: pattern (1 missing), insulation, mechanics.', 'See what differs', /pattern .*insulation .*mechanics/],
  ['it misses now and then', () => onOff(LOW, asOnOff, (on) => cycled(on, [3, 9])), 'Fails now and then: a contact missed while it was worked.', 'See contacts', /failed under repeated operation/],
  ['it misses, and all else passes', () => onOff(LOW, asOnOff, (on) => cycled(on, [3]), insulated, looked), 'Fails now and then: a contact missed while it was worked.', 'See contacts', /Do not use it/],
  ['worked twenty times without a miss', () => onOff(LOW, asOnOff, (on) => cycled(on, []), insulated, looked), 'Passes: pattern, contacts, insulation and mechanics.', '', /passes/],
  ['a lug joins nothing, and nobody said so', () => changeover((on) => { on.add({ kind: 'expected', table: null }); }), 'No verdict yet. You haven’t said what it should do.', 'Enter what it should do', /not cleared/],
  ['a changeover as it should be', () => changeover((on) => on.should(['1-2', '1-3'])), 'Wiring and contacts pass. Insulation and mechanics not tested.', 'Test the insulation', /not cleared/],
  ['of one pair nothing is said', () => changeover((on) => on.should(['1-2', '1-3'], [[2, 3]])), 'Wiring and contacts pass where specified. Insulation and mechanics not tested.', 'Enter the rest of what it should do', /not cleared/],
  ['of a position nothing is said', () => changeover((on) => on.should(['1-2'])), 'No verdict yet. What it should do is only partly specified.', 'Enter the rest of what it should do', /not cleared/],
  ['a middle value is left', () => { const on = onOff({ kind: 'ohms', ohms: 60 }, asOnOff); return on; }, 'No verdict yet. 1 pair not known.', 'Continue the map', /not cleared/],
  ['you marked an oddity as the fault', () => oddFault(), 'Fails: pattern.', 'See pattern', /you marked an oddity as the fault.*You marked this as the fault: .*3/],
  ['a question is open', () => lone(), 'Pattern matches. 1 question open.', 'Answer 1 question', /an open question needs your answer/],
]; // prettier-ignore

/** 1-2 closes in position 1; of 3, which joins nothing, the table says nothing. */
function lone(): Case {
  const on = switchOf(3, 2);
  for (const at of [1, 2]) {
    on.read(at, 1, 2, at === 1 ? LOW : OPEN);
    on.read(at, 1, 3, OPEN);
    on.read(at, 2, 3, OPEN);
  }
  on.should(['1-2', ''], [[1, 3], [2, 3]]); // prettier-ignore
  return on;
}

function oddFault(): Case {
  const on = lone();
  const answers = askedOdd(on.map()).map(({ about }) => ({ about, answer: 'fault' as const }));
  on.add({ kind: 'odd-answered', answers });
  return on;
}

describe('the verdict in words', () => {
  it.each(SAID)('%s', (_, made, headline, settles, owner) => {
    const map = made().map();
    const judgement = judge(map);
    const [first] = judgement.open;
    expect([verdictHeadline(judgement), first ? settlesWords(first) : '']).toEqual([headline, settles]);
    expect(forUseWords(map)).toMatch(owner);
  });

  it('are thirty or more', () => expect(SAID.length).toBeGreaterThanOrEqual(30));
});

/** Any log: readings of any kind, a table that agrees or not, tests and answers, in any order. */
function anyLog(seed: number): Case {
  const random = seededRandom(seed);
  const lugs = 2 + Math.floor(random() * 3);
  const positions = 1 + Math.floor(random() * 3);
  const on = switchOf(lugs, positions, seed);
  const truth = Array.from({ length: positions }, () =>
    Array.from({ length: lugs }, (_, at) => (random() < 0.4 ? 0 : at)),
  );
  const byEar = random() < 0.3;
  const slips = random() < 0.3 ? 0.1 : 0;
  const some = random() < 0.3 ? 0.8 : 1;
  truth.forEach((nets, at) => {
    for (let a = 1; a <= lugs; a += 1)
      for (let b = a + 1; b <= lugs; b += 1) {
        if (random() > some) continue;
        const joined = (nets[a - 1] === nets[b - 1]) !== random() < slips;
        if (random() < 0.02) on.read(at + 1, a, b, { kind: 'ohms', ohms: 60 });
        else on.read(at + 1, a, b, byEar ? { kind: 'tone', sounded: joined } : joined ? LOW : OPEN);
      }
  });
  const nets = (wrong: boolean) =>
    truth.map((one) => {
      const zero = one.flatMap((net, at) => (net === one[0] ? [at + 1] : []));
      return wrong && random() < 0.3 ? '1-2' : zero.length > 1 ? zero.join('-') : '';
    });
  if (random() < 0.8) on.should(nets(random() < 0.3));
  if (random() < 0.5) insulated(on, random() < 0.2 ? 0.2 : 200);
  if (random() < 0.5) looked(on, random() < 0.2 ? 'at-fault' : 'good');
  return on;
}

/** By hand, from the readings alone: whether every pair is read one way or follows, and every closed one from ohms. */
function soundly(map: SwitchMap): { known: boolean; inOhms: boolean } {
  let [known, inOhms] = [true, true];
  const lugs = map.structure.terminals.map(({ id }) => id);
  for (const { id } of map.structure.settings) {
    const here = map.tape.filter(({ reading }) => reading.setting === id).map(({ reading }) => reading);
    const closed = (value: Value) =>
      (value.kind === 'ohms' && value.ohms <= 2.2) || (value.kind === 'tone' && value.sounded);
    const groups = (of: (value: Value) => boolean) => {
      const net = new Map<string, string>(lugs.map((one) => [one, one]));
      for (let round = 0; round < lugs.length; round += 1)
        for (const { red, black, value } of here)
          if (of(value)) {
            const least = [net.get(red[0] ?? ''), net.get(black[0] ?? '')].toSorted()[0] as string;
            net.set(red[0] as string, least).set(black[0] as string, least);
          }
      return net;
    };
    const all = groups(closed);
    const ohms = groups((value) => value.kind === 'ohms' && closed(value));
    const parted = (a: string, b: string) =>
      here.some(
        ({ red, black, value }) =>
          (value.kind === 'over' || (value.kind === 'tone' && !value.sounded)) &&
          [[red[0], black[0]], [black[0], red[0]]].some(([x, y]) => all.get(x ?? '') === all.get(a) && all.get(y ?? '') === all.get(b)), // prettier-ignore
      );
    for (const a of lugs)
      for (const b of lugs) {
        if (a >= b) continue;
        const joined = all.get(a) === all.get(b);
        // Joined and parted at once is disputed; neither is not known.
        if (joined === parted(a, b)) known = false;
        if (joined && ohms.get(a) !== ohms.get(b)) inOhms = false;
      }
  }
  return { known, inOhms };
}

const RUNS = process.env['WHICH_WAY_DEEP'] ? 2000 : 250;
const PASSES = new Set(['passes', 'wiring-and-contacts-pass', 'wiring-passes', 'by-ear']);

describe('one verdict', () => {
  it(`is said alike by bench, heading, report and signature, and passes nothing unknown or heard, in ${RUNS} logs`, () => {
    const wholes = new Map<string, number>();
    for (let seed = 1; seed <= RUNS; seed += 1) {
      const on = anyLog(seed);
      const map = on.map();
      const judgement = judge(map);
      const { whole, lines, open } = judgement;
      wholes.set(whole, (wholes.get(whole) ?? 0) + 1);
      const headline = verdictHeadline(judgement);
      const job = { number: 1, title: 'x', place: '', outOfMachine: true };
      const report = reportOf(reportSource(job, map, () => ({ readings: [], atLeast: 0, cannot: [] })));
      const facts = factsOf(report).map(({ text }) => text);
      expect(facts).toContain(headline);
      const shown = shownVerdict(map, judgement);
      for (const text of [...shown.lines, ...shown.notTested]) expect(facts).toContain(text);
      on.add({ kind: 'verdict-signed', verdict: signable(map, 'Ada', '', shown) });
      expect(signatureOf(on.map())).toMatchObject({
        standing: 'stands',
        signed: { whole, shown: { headline } },
      });
      const route = routeOf({ outOfMachine: true }, map);
      if (route.next.code === 'judged')
        expect(nextWords({ route, settingName: null, trouble: null }).text).toBe(headline);
      else expect(PASSES.has(whole)).toBe(false);
      const outcomes = Object.values(lines).map(({ outcome }) => outcome);
      expect(whole === 'passes').toBe(outcomes.every((one) => one === 'pass'));
      expect(whole === 'fails' || whole === 'intermittent').toBe(outcomes.includes('fail'));
      expect(open.length === 0).toBe(whole === 'passes');
      const sound = soundly(map);
      if (PASSES.has(whole)) expect([seed, sound.known]).toEqual([seed, true]);
      if (whole === 'passes' || whole === 'wiring-and-contacts-pass')
        expect([seed, sound.inOhms]).toEqual([seed, true]);
    }
    process.stdout.write(
      `verdicts: ${[...wholes].map(([whole, count]) => `${whole} ${count}`).join(' · ')}\n`,
    );
    expect(wholes.size).toBeGreaterThanOrEqual(7);
  });
});
