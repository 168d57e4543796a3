import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { LinkId } from '../switch/index.js';
import type { LinkKind, PathLink, PathLook, PathTest } from '../log/index.js';
import { at, chain, looked, newId, test } from '../testing/paths.js';
import { linkCost, inSeries, needsFlexing } from './link-cost.js';
import { lookShows, signsOf } from './look.js';
import { layPath, PATH_PRESETS, type PathPreset } from './preset.js';
import { nextStep, type ProposedStep } from './next-step.js';
import { pathVerdict } from './verdict.js';

/** The tests alone: what is proposed when all has been looked at.*/
const nextTest = (links: PathLink[], tests: PathTest[]) => {
  const step = nextStep(
    at(
      links,
      tests,
      links.flatMap((link) => looked(link)),
    ),
  );
  return step?.kind === 'test' ? step : null;
};
const presets = Object.keys(PATH_PRESETS) as PathPreset[];

describe('the next test', () => {
  /** Follows the proposals with one hidden fault until the verdict stands; a look shows it or does not. */
  const follow = (links: PathLink[], fault: LinkId | null, shows = false) => {
    const tests: PathTest[] = [];
    const looks: PathLook[] = [];
    const steps: Exclude<ProposedStep, { kind: 'flexing' }>[] = [];
    for (let guard = 0; guard < 120; guard += 1) {
      const step = nextStep(at(links, tests, looks));
      if (!step) return { steps, tests, looks, verdict: pathVerdict(at(links, tests, looks)) };
      if (step.kind === 'flexing') throw new Error('all was flexed');
      steps.push(step);
      if (step.kind === 'look') {
        const found = shows && step.link === fault ? 'at-fault' : 'good';
        looks.push(...step.signs.map((sign) => ({ link: step.link, sign, found, photo: null }) as const));
        continue;
      }
      const result = fault !== null && step.links.includes(fault) ? 'fail' : 'pass';
      const what = links.filter(({ id }) => step.links.includes(id));
      tests.push(test(what, result, step.flex));
    }
    throw new Error('the proposals do not end');
  };

  it.each(presets)(
    'finds any single fault of the preset %s by measurement or look, and never blames a sound link',
    (preset) => {
      const { links } = layPath(preset, newId);
      const series = links.filter(inSeries);
      for (const shows of [true, false])
        for (const { id, kind } of series) {
          const { verdict, tests } = follow(links, id, shows);
          expect(verdict.faults).toEqual([id]);
          expect(verdict.outcome).toBe(kind === 'switch' ? 'switch' : 'not-the-switch');
          expect(tests.length).toBeLessThanOrEqual(series.length + 2);
        }
      expect(follow(links, null).verdict).toMatchObject({ faults: [], outcome: 'not-the-switch' });
    },
  );

  it('begins with the whole machine at its plug where it can be measured through, else with a part of it', () => {
    const whole = nextStep(at(layPath('heater', newId).links));
    expect(whole).toMatchObject({ kind: 'test', whole: true });
    const motor = nextStep(at(layPath('motor', newId).links));
    expect(motor).not.toMatchObject({ whole: true });
  });

  it('looks first where a look is quicker than any measurement, and not again', () => {
    const links = chain('brushes', 'motor');
    const failed = [test(links, 'fail')];
    const step = nextStep(at(links, failed));
    expect(step).toMatchObject({ kind: 'look', link: links[0]?.id, signs: signsOf('brushes') });
    const again = nextStep(at(links, failed, looked(links[0] as PathLink)));
    expect(again).not.toMatchObject({ kind: 'look', link: links[0]?.id });
  });

  it('finds the fault of a chain of equal links in about as many tests as halving takes', () => {
    const links = chain(...Array.from({ length: 16 }, () => 'terminals' as const));
    const needed = links.map(({ id }) => follow(links, id).tests.length);
    const mean = needed.reduce((sum, count) => sum + count, 0) / needed.length;
    // Binary search over 16 places takes log2(16) = 4 tests; the work of reaching places costs a little more.
    expect(mean).toBeLessThanOrEqual(5.5);
    expect(Math.max(...needed)).toBeLessThanOrEqual(8);
  });

  it('asks for a cord again, to be bent, when it passed at rest', () => {
    const links = chain('plug', 'cord', 'lamp');
    const [plug, cord, lamp] = links as [PathLink, PathLink, PathLink];
    const tests = [test([plug], 'pass'), test([lamp], 'pass'), test([cord], 'pass', false)];
    const all = links.flatMap((link) => looked(link));
    expect(nextStep(at(links, tests, all))).toEqual({ kind: 'flexing', links: [cord.id] });
    expect(nextTest(links, [...tests, test([cord], 'pass')])).toBeNull();
  });

  it('has nothing to propose when a stretch failed and its parts pass: it comes and goes', () => {
    const links = chain('plug', 'fuse', 'cord', 'lamp');
    const [plug, fuse] = links as [PathLink, PathLink];
    const tests = [test([plug, fuse], 'fail'), test([plug], 'pass'), test([fuse], 'pass')];
    expect(nextTest(links, tests)).toBeNull();
  });

  it('never measures through a battery or electronics', () => {
    const links = chain('battery', 'fuse', 'switch', 'electronics', 'motor');
    const tests: PathTest[] = [];
    for (let proposed = nextTest(links, tests); proposed; proposed = nextTest(links, tests)) {
      if (tests.length > 20) throw new Error('the proposals do not end');
      const stretch = links.filter(({ id }) => proposed?.links.includes(id));
      const kinds = stretch.map(({ kind }) => kind);
      if (kinds.includes('battery') || kinds.includes('electronics')) expect(kinds).toHaveLength(1);
      tests.push(test(stretch, 'pass'));
    }
    expect(pathVerdict(at(links, tests)).outcome).toBe('not-the-switch');
  });

  it('brings the most bits per minute of all tests and looks, by a count of its own over every single fault', () => {
    const kinds = fc.constantFrom<LinkKind>(
      'plug',
      'fuse',
      'cord',
      'terminals',
      'switch',
      'motor',
      'lamp',
      'brushes',
    );
    fc.assert(
      fc.property(fc.array(kinds, { minLength: 2, maxLength: 8 }), (list) => {
        const links = chain(...list);
        const failed = test(links, 'fail');
        const proposed = nextStep(at(links, [failed]));
        const chances = links.map(({ kind }) => linkCost(kind).chance);
        const total = chances.reduce((sum, chance) => sum + chance, 0);
        const reach = (place: number) =>
          place === 0 || place === links.length
            ? 0.1
            : Math.min(
                ...[links[place - 1], links[place]].flatMap((link) =>
                  link ? [linkCost(link.kind).reach] : [],
                ),
              );
        let best = 0;
        for (let from = 0; from < links.length; from += 1)
          for (let to = from; to < links.length; to += 1) {
            // Expected surprise, outcome by outcome, instead of the entropy formula.
            const fail = chances.slice(from, to + 1).reduce((sum, chance) => sum + chance, 0) / total;
            const bits = [fail, 1 - fail].reduce(
              (sum, chance) => sum + (chance > 0 ? chance * Math.log2(1 / chance) : 0),
              0,
            );
            const flex = links.slice(from, to + 1).some(({ kind }) => needsFlexing(kind)) ? 0.5 : 0;
            best = Math.max(best, bits / (reach(from) + reach(to + 1) + 0.5 + flex));
          }
        const surprise = (parts: number[]) =>
          parts.reduce((bits, part) => bits + (part > 0 ? (part / total) * Math.log2(total / part) : 0), 0);
        links.forEach(({ kind }, place) => {
          // A look splits a link into what it would show and what it would not; shown it is known for certain.
          const shown = (chances[place] ?? 0) * lookShows(kind);
          const rest = total - shown;
          const left = chances.map((chance, index) => (index === place ? chance - shown : chance));
          const after = left.reduce((bits, part) => bits + (part / rest) * Math.log2(rest / part), 0);
          const bits = surprise(chances) - (rest / total) * after;
          const reached = Math.min(reach(place), reach(place + 1), linkCost(kind).reach);
          best = Math.max(best, bits / (reached + 0.2 * signsOf(kind).length));
        });
        expect(proposed?.kind === 'flexing' ? 0 : proposed?.bitsPerMinute).toBeCloseTo(best, 9);
      }),
      { numRuns: 200 },
    );
  });
});

describe('what passed at rest', () => {
  it('is not asked twice in a row, ends in flexing, and is cleared or blamed by that', () => {
    const links = chain('plug', 'cord', 'switch', 'lamp');
    const all = links.flatMap((link) => looked(link));
    const tests: PathTest[] = [];
    const asked: string[] = [];
    for (let guard = 0; guard < 30; guard += 1) {
      const step = nextStep(at(links, tests, all));
      if (step?.kind !== 'test') break;
      expect(step.links.join()).not.toBe(asked.at(-1));
      asked.push(step.links.join());
      // Somebody who never bends anything.
      const stretch = links.filter(({ id }) => step.links.includes(id));
      tests.push(test(stretch, 'pass', false));
    }
    expect(asked.length).toBeLessThan(12);
    const cord = links[1] as PathLink;
    const left = nextStep(at(links, tests, all));
    expect(left).toEqual({ kind: 'flexing', links: [cord.id] });
    expect(pathVerdict(at(links, [...tests, test([cord], 'pass')], all)).suspects).toEqual([]);
    expect(pathVerdict(at(links, [...tests, test([cord], 'unsteady')], all)).faults).toEqual([cord.id]);
  });
});

describe('a switch that passed', () => {
  const links = chain('plug', 'cord', 'switch', 'lamp');
  const all = links.flatMap((link) => looked(link));
  const theSwitch = links[2] as PathLink;
  const stands = (tests: PathTest[]) => {
    const { states, outcome } = pathVerdict(at(links, tests, all));
    return [states.get(theSwitch.id), outcome];
  };

  it('is not cleared by one reading at the plug, and is read by itself when nothing else is left', () => {
    const tests = [test(links, 'pass')];
    expect(stands(tests)).toEqual(['unproved', 'looking']);
    expect(nextStep(at(links, tests, all))).toMatchObject({ links: [theSwitch.id], inOhms: false });
  });

  it('stays suspect by a tone alone, is asked for in ohms once, and cleared by them', () => {
    const beeped = [test(links, 'pass'), test([theSwitch], 'pass', true, 'through', 'tone')];
    expect(stands(beeped)).toEqual(['unproved', 'looking']);
    expect(nextStep(at(links, beeped, all))).toMatchObject({ links: [theSwitch.id], inOhms: true });
    const read = [...beeped, test([theSwitch], 'pass')];
    expect(stands(read)).toEqual(['pass', 'not-the-switch']);
    expect(nextStep(at(links, read, all))).toBeNull();
  });

  it('is not cleared where nobody said by what it passed', () => {
    const unsaid: PathTest = { ...test([theSwitch], 'pass'), by: undefined };
    expect(stands([test(links, 'pass'), unsaid])).toEqual(['unproved', 'looking']);
  });

  it('and where another link is at fault, it is said that the switch is not proved', () => {
    const tests = [test(links, 'fail'), test(links.slice(1), 'pass')];
    expect(stands(tests)).toEqual(['unproved', 'found']);
    expect(nextStep(at(links, tests, all))).toMatchObject({ links: [theSwitch.id] });
  });

  it('that only beeped takes no blame off itself: a stretch with it that fails is not the other link', () => {
    const [, cord] = links as [PathLink, PathLink];
    const failed = test([cord, theSwitch], 'fail');
    const suspects = (...tests: PathTest[]) => pathVerdict(at(links, [failed, ...tests], all)).suspects;
    const [beep, ohms] = [test([theSwitch], 'pass', true, 'through', 'tone'), test([theSwitch], 'pass')];
    expect(suspects(beep)).toEqual([cord.id, theSwitch.id]);
    // Read in ohms it is cleared, and the cord is at fault; the cord cleared, the switch that beeped is.
    expect(pathVerdict(at(links, [failed, ohms], all))).toMatchObject({ faults: [cord.id] });
    const other = pathVerdict(at(links, [failed, beep, test([cord], 'pass')], all));
    expect(other).toMatchObject({ faults: [theSwitch.id], outcome: 'switch' });
    expect(other.states.get(theSwitch.id)).toBe('fail');
    // Together with others it passed the same meter as what failed.
    expect(
      pathVerdict(at(links, [failed, beep, test([theSwitch, links[3] as PathLink], 'pass')], all)).faults,
    ).toEqual([cord.id]);
  });
});
