import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { deriveMap } from '../continuity/index.js';
import { partitionFromGroups, relabel, type Pattern } from '../partition/index.js';
import { seededRandom, shuffled } from '../switch/index.js';
import { anyPattern, bench, CLOSED, mapHidden, switchLikePattern } from '../testing/generated.js';
import { runs } from '../testing/runs.js';
import { PLAIN_RULES } from './fit/fit.js';
import { isTrueMatch, matchPattern, type Requirement } from './match.js';
import { requirementOf } from './requirement.js';

const all = (size: number) => Array.from({ length: size }, (_, index) => index);
const needing = (pattern: Pattern): Requirement => ({
  pattern,
  terminals: all(pattern[0]?.length ?? 0),
  known: null,
});

/** Contiguous runs of candidate positions, in the same order and reversed. */
const positionRuns = (wanted: number, given: number): number[][] =>
  all(given - wanted + 1).flatMap((offset) => {
    const run = all(wanted).map((at) => offset + at);
    return [run, run.toReversed()];
  });

/** The definition, tried in full: every injective map, every run of positions. */
function bruteForce(required: Pattern, candidate: Pattern): boolean {
  const [needed, has] = [required[0]?.length ?? 0, candidate[0]?.length ?? 0];
  const fits = (map: number[], run: readonly number[]) =>
    run.every((to, from) =>
      all(needed).every((a) =>
        all(needed).every(
          (b) =>
            (required[from]?.[a] === required[from]?.[b]) ===
            (candidate[to]?.[map[a] as number] === candidate[to]?.[map[b] as number]),
        ),
      ),
    );
  const extend = (map: number[], run: readonly number[]): boolean =>
    map.length === needed
      ? fits(map, run)
      : all(has).some((next) => !map.includes(next) && extend([...map, next], run));
  return positionRuns(required.length, candidate.length).some((run) => extend([], run));
}

describe('matching', () => {
  it('agrees with brute force on patterns of no named kind, and every map reproduces the wiring', () => {
    const verdicts = { 'same-wiring': 0, no: 0 };
    fc.assert(
      fc.property(switchLikePattern(5, 2), switchLikePattern(6, 3), (required, candidate) => {
        const result = matchPattern(needing(required), candidate);
        expect(result.kind).not.toBe('undecided');
        expect(result.kind === 'same-wiring').toBe(bruteForce(required, candidate));
        if (result.kind === 'same-wiring')
          expect(isTrueMatch(needing(required), candidate, result)).toBe(true);
        if (result.kind === 'same-wiring' || result.kind === 'no') verdicts[result.kind] += 1;
      }),
      { numRuns: runs(400), seed: 7 },
    );
    expect(Math.min(verdicts.no, verdicts['same-wiring'])).toBeGreaterThan(20);
  });

  it('finds every pattern again under any renaming, reversed and with positions and terminals to spare', () => {
    fc.assert(
      fc.property(anyPattern(8, 4), fc.integer(), fc.boolean(), (pattern, seed, reversed) => {
        const size = pattern[0]?.length ?? 0;
        const order = shuffled(all(size + 2), seededRandom(seed)).filter((place) => place < size + 2);
        const wider = pattern.map((partition) => [...partition, size, size + 1]);
        const turned = reversed ? wider.toReversed() : wider;
        const candidate = relabel([all(size + 2), ...turned], order);
        const result = matchPattern(needing(pattern), candidate);
        expect(result.kind).toBe('same-wiring');
        if (result.kind === 'same-wiring')
          expect(isTrueMatch(needing(pattern), candidate, result)).toBe(true);
      }),
      { numRuns: runs(150) },
    );
  });

  it('answers undecided at its cap, never no', () => {
    const pattern = [
      partitionFromGroups(6, [
        [0, 1],
        [2, 3, 4],
      ]),
      partitionFromGroups(6, [
        [1, 2],
        [4, 5],
      ]),
    ];
    const candidate = relabel(pattern, [3, 5, 0, 4, 1, 2]);
    expect(matchPattern(needing(pattern), candidate).kind).toBe('same-wiring');
    expect(matchPattern(needing(pattern), candidate, { ...PLAIN_RULES, nodes: 2 }).kind).toBe('undecided');
  });

  it('proves a no on many equal poles without trying their permutations', () => {
    const groups = (poles: number, last: number) => [
      partitionFromGroups(
        poles * 3,
        all(poles).map((pole) => [pole * 3, pole * 3 + 1]),
      ),
      partitionFromGroups(
        poles * 3,
        all(poles).map((pole) => [pole * 3, pole * 3 + (pole === poles - 1 ? last : 2)]),
      ),
    ];
    const result = matchPattern(needing(groups(8, 2)), groups(8, 1));
    expect(result).toMatchObject({ kind: 'no', because: 'wiring' });
  });

  it('says why not: too few positions, too few terminals', () => {
    const three = [0, 1, 2].map(() => partitionFromGroups(4, []));
    expect(matchPattern(needing(three), three.slice(1))).toMatchObject({
      kind: 'no',
      because: 'too-few-positions',
    });
    expect(matchPattern(needing(three), [[0, 1]])).toMatchObject({
      kind: 'no',
      because: 'too-few-terminals',
    });
  });
});

describe('what a map asks of a replacement', () => {
  const hidden = [partitionFromGroups(4, [[0, 1]]), partitionFromGroups(4, [[0, 2]])];

  it('leaves out terminals that join nothing', () => {
    const found = requirementOf(mapHidden(hidden, bench(4, 2)).map);
    expect(found).toMatchObject({ kind: 'requirement', requirement: { terminals: [0, 1, 2], known: null } });
  });

  it('says only fits so far while facts are unknown, and rules out on those that are known', () => {
    const on = bench(4, 2);
    on.read(0, 0, 1, CLOSED);
    const found = requirementOf(deriveMap(on.events));
    if (found.kind !== 'requirement') throw new Error(found.because);
    expect(matchPattern(found.requirement, hidden).kind).toBe('fits-so-far');
    expect(matchPattern(found.requirement, [all(4), all(4)]).kind).toBe('no');
  });

  it('builds nothing on a dispute', () => {
    const on = bench(3, 1);
    on.read(0, 0, 1, CLOSED);
    on.read(0, 0, 1, { kind: 'over' });
    expect(requirementOf(deriveMap(on.events))).toEqual({ kind: 'none', because: 'disputed' });
  });
});
