import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bench } from '../testing/generated.js';
import { newIdFrom, seededRandom, type LineId } from '../switch/index.js';
import { readLog, SUPPLIES, type SafetyAnswer, type SafetyLineKind, type SupplyKind } from '../log/index.js';
import { linesForJob, listProblems, standardLists } from './standard-list.js';
import { usualPoints, usualReadings } from './proof-of-dead.js';
import { mayBeLeftOut, safetyStanding, wantedAnswer } from './standing.js';

/** A proof with every usual reading as it should be. */
function goodProof(supply: SupplyKind): SafetyAnswer {
  const points = usualPoints(supply);
  const current = supply === 'battery' ? 'DC' : 'AC';
  const of = (wanted: string, volts: number) =>
    usualReadings({ points }, supply)
      .filter(({ when }) => when === wanted)
      .map(({ between }) => ({ between, position: null, volts, current, lowImpedance: true }) as const);
  return {
    kind: 'proof',
    points,
    positions: [],
    noEarth: false,
    before: of('before', 230),
    after: of('after', 0),
  };
}

const GOOD: Record<SafetyAnswer['kind'], SafetyAnswer> = {
  done: { kind: 'done', note: '' },
  'not-applicable': { kind: 'not-applicable', reason: 'nothing of the kind' },
  proved: { kind: 'proved', tester: 'two-pole', source: 'the bench socket' },
  dead: { kind: 'dead', volts: 0.2, everyPosition: true },
  discharged: { kind: 'discharged', before: 38, after: 0.4 },
  proof: goodProof('plug-in'),
  'high-voltage': { kind: 'high-voltage', store: 'microwave' },
};

/** A job with a list of this supply begun, and ways to answer it. */
function begun(supply: SupplyKind) {
  const on = bench(3, 2);
  const lines = linesForJob(standardLists(), supply, newIdFrom(seededRandom(5)));
  on.add({ kind: 'safety-begun', list: { supply, lines, codeNote: '' } });
  const idOf = (kind: SafetyLineKind) => lines.find((line) => line.kind === kind)?.id as LineId;
  const answer = (
    kind: SafetyLineKind,
    given: SafetyAnswer | null = kind === 'prove-dead' ? goodProof(supply) : GOOD[wantedAnswer(kind)],
  ) => on.add({ kind: 'safety-answered', line: idOf(kind), answer: given });
  const answerAll = () => lines.forEach(({ kind }) => answer(kind));
  const sign = () => on.add({ kind: 'safety-signed', by: 'Ada of the bench' });
  const codes = (now: string | null = null) =>
    safetyStanding(readLog(on.events), false, now).troubles.map(({ code }) => code);
  const standing = (now: string | null = null) => safetyStanding(readLog(on.events), false, now);
  return { on, lines, answer, answerAll, sign, codes, standing };
}

describe('the safety list', () => {
  it.each(SUPPLIES)(
    'of %s opens the Map when every line is answered and somebody answers for it',
    (supply) => {
      const { answerAll, sign, codes, standing } = begun(supply);
      expect(standing().open).toBe(false);
      answerAll();
      expect(codes()).toEqual(['unsigned']);
      sign();
      expect(standing()).toMatchObject({ open: true, by: 'list', signed: { by: 'Ada of the bench' } });
    },
  );

  it('opens it at one tap when the switch is out of the machine, and says nothing then', () => {
    const log = readLog(bench(3, 2).events);
    expect(safetyStanding(log, true)).toMatchObject({ open: true, by: 'out-of-machine', troubles: [] });
    expect(safetyStanding(log, false)).toMatchObject({ open: false, troubles: [{ code: 'not-begun' }] });
  });

  it.each<[string, SafetyLineKind, SafetyAnswer, string]>([
    [
      'a pen as tester',
      'prove-tester',
      { kind: 'proved', tester: 'pen', source: 'socket' },
      'pen-is-no-proof',
    ],
    ['230 V between conductors', 'prove-dead', { kind: 'dead', volts: 230, everyPosition: true }, 'not-dead'],
    [
      'dead in one position only',
      'prove-dead',
      { kind: 'dead', volts: 0, everyPosition: false },
      'not-every-position',
    ],
    ['a suppressor at 38 V', 'discharge', { kind: 'discharged', before: 38, after: 38 }, 'stored-energy'],
    ['exactly 5 V left', 'discharge', { kind: 'discharged', before: 38, after: 5 }, 'stored-energy'],
    ['a proof said to be not applicable', 'prove-dead', GOOD['not-applicable'], 'cannot-be-left-out'],
    ['a picture tube', 'discharge', { kind: 'high-voltage', store: 'picture-tube' }, 'high-voltage'],
    ['nothing measured', 'prove-dead', { ...goodProof('plug-in'), after: [] } as SafetyAnswer, 'not-proved'],
    ['a bare tick where volts are wanted', 'discharge', GOOD.done, 'answer-does-not-fit'],
  ])('stays shut at %s', (_, kind, given, code) => {
    const { answerAll, answer, sign, codes, standing } = begun('plug-in');
    answerAll();
    answer(kind, given);
    if (kind === 'prove-tester')
      ['prove-dead', 'prove-again'].forEach((later) => answer(later as SafetyLineKind));
    if (kind === 'prove-dead') answer('prove-again');
    sign();
    expect(codes()).toContain(code);
    expect(standing()).toMatchObject({ open: false, signed: null });
  });

  it('takes several answers with one tap, in their order', () => {
    const { on, lines, sign, codes, standing } = begun('plug-in');
    const together = (kinds: SafetyLineKind[]) =>
      on.add({
        kind: 'safety-answered-together',
        answers: lines
          .filter(({ kind }) => kinds.includes(kind))
          .map(({ id, kind }) => ({ line: id, answer: GOOD[wantedAnswer(kind)] })),
      });
    together(['isolate', 'lock', 'other-circuits']);
    const proofs = together(['prove-tester', 'prove-dead', 'prove-again']);
    together(['discharge', 'meter']);
    sign();
    expect(standing().open).toBe(true);
    on.add({ kind: 'withdrawn', target: proofs.id, basedOn: null });
    expect(codes()).toEqual(['unanswered', 'unanswered', 'unanswered']);
  });

  it('does not take an older proof, which says nothing of its references, where the breaker is elsewhere', () => {
    const { answerAll, answer, codes } = begun('fixed');
    answerAll();
    answer('prove-dead', GOOD.dead);
    expect(codes()).toContain('against-what');
  });

  it('takes a reason where a line may be left out', () => {
    const { answerAll, answer, sign, standing } = begun('plug-in');
    answerAll();
    answer('other-circuits', GOOD['not-applicable']);
    sign();
    expect(standing().open).toBe(true);
    expect(mayBeLeftOut('meter')).toBe(false);
  });

  it('wants the tester proved before and after, the same one', () => {
    const { answerAll, answer, codes } = begun('fixed');
    answerAll();
    answer('prove-dead');
    expect(codes()).toEqual(['out-of-order']);
    answer('prove-again', { kind: 'proved', tester: 'meter-on-volts', source: 'socket' });
    expect(codes()).toEqual(['other-tester']);
  });

  it('is void when an answer changes after the signature, when power was back, and when begun anew', () => {
    const { on, answerAll, answer, sign, codes, standing, lines } = begun('battery');
    answerAll();
    sign();
    answer('meter');
    expect(codes()).toEqual(['unsigned']);
    sign();
    const slip = on.add({ kind: 're-energised', reason: 'a thumb too many' });
    expect(codes()).toEqual(['re-energised']);
    on.add({ kind: 'withdrawn', target: slip.id, basedOn: null });
    expect(standing().open).toBe(true);
    on.add({ kind: 're-energised', reason: 'tried it once' });
    expect(codes()).toEqual(['re-energised']);
    on.add({ kind: 'safety-begun', list: { supply: 'battery', lines, codeNote: '' } });
    expect(codes()).toEqual(lines.map(() => 'unanswered'));
    expect(standing().answers.size).toBe(0);
  });

  it('warns after twelve hours', () => {
    const { answerAll, sign, standing } = begun('plug-in');
    answerAll();
    const { at } = sign();
    const later = (hours: number) => new Date(Date.parse(at) + hours * 3_600_000).toISOString();
    expect(standing(later(11.9)).staleHours).toBeNull();
    expect(standing(later(12.5))).toMatchObject({ open: true, staleHours: 12 });
  });

  it('never opens on any mix of answers that leaves a proof out (random answers)', () => {
    const answers = fc.constantFrom<SafetyAnswer | null>(
      null,
      ...Object.values(GOOD),
      { kind: 'proved', tester: 'pen', source: 'x' },
      { kind: 'proof', points: usualPoints('plug-in'), positions: [], noEarth: false, before: [], after: [] },
      { kind: 'dead', volts: 12, everyPosition: true },
      { kind: 'discharged', before: 9, after: 6 },
    );
    let opened = 0;
    fc.assert(
      fc.property(fc.array(answers, { minLength: 8, maxLength: 8 }), (given) => {
        const { lines, answer, sign, standing } = begun('plug-in');
        lines.forEach(({ kind }, place) => answer(kind, given[place] ?? null));
        sign();
        const right = lines.every(({ kind }, place) => {
          const one = given[place];
          if (one?.kind === 'not-applicable') return mayBeLeftOut(kind);
          if (one?.kind === 'proved') return wantedAnswer(kind) === 'proved' && one.tester !== 'pen';
          if (one?.kind === 'high-voltage') return false;
          if (one?.kind === 'proof') return kind === 'prove-dead' && one.after.length > 0;
          if (one?.kind === 'dead') return kind === 'prove-dead' && one.volts < 5;
          if (one?.kind === 'discharged') return kind === 'discharge' && one.after < 5;
          return one?.kind === 'done' && wantedAnswer(kind) === 'done';
        });
        if (right) opened += 1;
        expect(standing().open).toBe(right);
      }),
      { numRuns: 300, examples: [[standardLists()['plug-in'].map(({ kind }) => GOOD[wantedAnswer(kind)])]] },
    );
    expect(opened).toBeGreaterThan(0);
  });
});

describe('the lists of a shop', () => {
  it('may be reworded and added to, never thinned or put out of order', () => {
    const lists = standardLists();
    expect(listProblems(lists)).toEqual([]);
    const own = { kind: 'own' as const, text: 'Keep the cat out', why: null };
    expect(listProblems({ ...lists, fixed: [own, ...lists.fixed] })).toEqual([]);
    const without = lists.fixed.filter(({ kind }) => kind !== 'prove-again');
    expect(listProblems({ ...lists, fixed: without })[0]).toMatchObject({
      code: 'line-stays',
      path: 'safetyLists.fixed',
      params: { kind: 'prove-again' },
    });
    expect(listProblems({ ...lists, battery: lists.battery.toReversed() })[0]?.code).toBe(
      'lines-out-of-order',
    );
    expect(listProblems({ ...lists, fixed: [{ ...own, text: ' ' }, ...lists.fixed] })[0]?.code).toBe(
      'line-without-words',
    );
  });
});
