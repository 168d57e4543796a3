import { describe, expect, it } from 'vitest';
import { SUPPLIES, type SafetyAnswer } from '../log/index.js';
import type { LineId } from '../switch/index.js';
import { begun, GOOD, goodProof } from '../testing/safety-list.js';
import { wantedAnswer } from './standing.js';

describe('the safety list', () => {
  it('takes no value from a tap for several lines, nor a tester proved before and after at once: only that is asked again', () => {
    const { on, lines, answer, sign, standing, codes } = begun('plug-in');
    on.add({
      kind: 'safety-answered-together',
      answers: lines.map(({ id, kind }) => ({
        line: id,
        answer: kind === 'prove-dead' ? goodProof('plug-in') : GOOD[wantedAnswer(kind)],
      })),
    });
    sign();
    expect(standing()).toMatchObject({ open: false, signed: null });
    expect(
      standing().troubles.map((one) => ('line' in one ? `${one.code} ${one.line.kind}` : one.code)),
    ).toEqual(['given-with-others prove-again', 'given-with-others discharge']);
    expect(standing().answers.size).toBe(lines.length - 2);
    answer('prove-again');
    answer('discharge');
    expect(codes()).toEqual(['unsigned']);
  });

  it.each(SUPPLIES)(
    'of %s proves dead after isolation or not at all: worked from its end, nothing counts',
    (supply) => {
      const { lines, answer, sign, codes, standing } = begun(supply);
      lines.toReversed().forEach(({ kind }) => answer(kind));
      sign();
      expect(codes()).toEqual(lines.slice(1).map(() => 'before-isolation'));
      expect([...standing().answers.values()].map(({ kind }) => kind)).toEqual(['done', 'proof']);
      const proof = [...standing().answers.values()].find(({ kind }) => kind === 'proof');
      expect(proof).toMatchObject({ after: [] });
      lines.slice(1).forEach(({ kind }) => answer(kind));
      expect(codes()).toEqual(['unsigned']);
      sign();
      expect(standing().open).toBe(true);
    },
  );

  it('keeps what was read while it was live, and wants what was read after isolation read again when that changes', () => {
    const { answer, answerAll, sign, codes, standing, lines } = begun('fixed');
    const whole = goodProof('fixed') as SafetyAnswer & { kind: 'proof' };
    answer('prove-dead', { ...whole, after: [] });
    answer('isolate');
    (['other-circuits', 'lock', 'prove-tester'] as const).forEach((kind) => answer(kind));
    // One reading after another, each kept as it comes.
    whole.after.forEach((_, upTo) =>
      answer('prove-dead', { ...whole, after: whole.after.slice(0, upTo + 1) }),
    );
    (['prove-again', 'discharge', 'meter'] as const).forEach((kind) => answer(kind));
    expect(codes()).toEqual(['unsigned']);
    sign();
    answer('isolate', { kind: 'done', note: 'breaker 7' });
    expect(codes()).toEqual(['unsigned']);
    sign();
    expect(standing().open).toBe(true);
    answer('isolate', { kind: 'done', note: 'breaker 8, it was' });
    expect(codes()).toEqual(lines.slice(1).map(() => 'before-isolation'));
    const proof = standing().answers.get(lines.find(({ kind }) => kind === 'prove-dead')?.id as LineId);
    expect(proof).toMatchObject({ before: whole.before, after: [] });
    answer('isolate', null);
    expect(codes()).toContain('unanswered');
    expect(codes().filter((code) => code === 'before-isolation')).toHaveLength(lines.length - 1);
    answerAll();
    sign();
    expect(standing().open).toBe(true);
  });

  it('wants the tester proved before the first reading, not only before the last', () => {
    const { answer, codes } = begun('fixed');
    const whole = goodProof('fixed') as SafetyAnswer & { kind: 'proof' };
    (['isolate', 'other-circuits', 'lock'] as const).forEach((kind) => answer(kind));
    answer('prove-dead', { ...whole, after: whole.after.slice(0, 1) });
    answer('prove-tester');
    answer('prove-dead', whole);
    (['prove-again', 'discharge', 'meter'] as const).forEach((kind) => answer(kind));
    expect(codes()).toEqual(['out-of-order']);
  });

  it('stops at a store of high voltage, isolated or not', () => {
    const { answer, codes } = begun('plug-in');
    answer('discharge', GOOD['high-voltage']);
    expect(codes()).toContain('high-voltage');
    answer('isolate');
    expect(codes()).toContain('high-voltage');
  });

  it('may say that stored energy was not measured, and then says that it is not proved gone; no other line may', () => {
    const { answer, answerAll, sign, standing, codes } = begun('plug-in');
    answerAll();
    answer('discharge', GOOD['not-measured']);
    sign();
    expect(standing()).toMatchObject({ open: true, unproved: [{ kind: 'discharge' }] });
    answer('prove-dead', GOOD['not-measured']);
    expect(codes()).toContain('answer-does-not-fit');
  });
});
