import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bench } from '../testing/generated.js';
import { begun, GOOD, goodProof } from '../testing/safety-list.js';
import { readLog, SUPPLIES, type SafetyAnswer, type SafetyLineKind } from '../log/index.js';
import { listProblems, standardLists } from './standard-list.js';
import { usualPoints } from './proof-of-dead.js';
import { mayBeLeftOut, safetyStanding, wantedAnswer } from './standing.js';

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
    const { on, lines, answer, sign, codes, standing } = begun('plug-in');
    const together = (kinds: SafetyLineKind[]) =>
      on.add({
        kind: 'safety-answered-together',
        answers: lines
          .filter(({ kind }) => kinds.includes(kind))
          .map(({ id, kind }) => ({ line: id, answer: GOOD[wantedAnswer(kind)] })),
      });
    const looks = together(['isolate', 'lock', 'other-circuits']);
    (['prove-tester', 'prove-dead', 'prove-again', 'discharge'] as const).forEach((kind) => answer(kind));
    together(['meter']);
    sign();
    expect(standing().open).toBe(true);
    on.add({ kind: 'withdrawn', target: looks.id, basedOn: null });
    // What was proved after them is not proved any more.
    expect(codes().filter((code) => code === 'unanswered')).toHaveLength(3);
    expect(codes().filter((code) => code === 'before-isolation')).toHaveLength(5);
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
          if (one?.kind === 'not-measured') return kind === 'discharge';
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
