import { partitionFromGroups, type Pattern } from '../../partition/index.js';
import { codeOf, type SHOWN_CODES } from '../codes.js';
import type { Family, Kind, PoleCode } from '../kind.js';

// Poles of a common and so many throws, side by side; terminals in the order pole by pole, common first.

/** Throws that are closed in a setting; null: there is no such kind with so many ways and settings. */
type Closed = (ways: number, settings: number) => ((setting: number) => number[]) | null;

const each = (ways: number): number[] => Array.from({ length: ways }, (_, way) => way);
const PRACTICE = 'common practice';

const CLOSED: Record<Exclude<PoleCode, 'intermediate' | 'crossing-off'>, Closed> = {
  'on-off': (ways, settings) => (ways === 1 && settings === 2 ? (at) => (at === 1 ? [0] : []) : null),
  changeover: (ways, settings) => (ways === 2 && settings === 2 ? (at) => [at] : null),
  'changeover-centre-off': (ways, settings) =>
    ways === 2 && settings === 3 ? (at) => (at === 1 ? [] : [at / 2]) : null,
  selector: (ways, settings) => (ways > 2 && settings === ways ? (at) => [at] : null),
  'selector-off': (ways, settings) =>
    ways > 1 && settings === ways + 1 ? (at) => (at === 0 ? [] : [at - 1]) : null,
  bridging: (ways, settings) =>
    ways > 1 && settings === 2 * ways - 1
      ? (at) => (at % 2 === 0 ? [at / 2] : [(at - 1) / 2, (at + 1) / 2])
      : null,
  progressive: (ways, settings) =>
    ways > 1 && settings === ways + 1 ? (at) => each(ways).slice(0, at) : null,
  // Of two ways it would be a changeover whose throws are bridged.
  'progressive-from-first': (ways, settings) =>
    ways > 2 && settings === ways ? (at) => each(ways).slice(0, at + 1) : null,
  'one-missing': (ways, settings) =>
    ways > 2 && settings === ways ? (at) => each(ways).filter((way) => way !== at) : null,
  repeating: (ways, settings) =>
    ways > 1 && settings > ways && settings % ways === 0 ? (at) => [at % ways] : null,
  binary: coded('binary'),
  gray: coded('gray'),
  complement: coded('complement'),
  'both-outputs': coded('both-outputs'),
  quadrature: coded('quadrature'),
};

function coded(code: (typeof SHOWN_CODES)[number]): Closed {
  return (ways, settings) => codeOf(code, ways, settings);
}

const SOURCES: Partial<Record<PoleCode, string>> = {
  gray: 'reflected binary code: published since 1953, from memory',
  binary: 'binary and BCD (8-4-2-1): arithmetic',
  complement: 'each bit inverted: arithmetic',
  quadrature: 'two tracks a quarter apart: reflected binary code, repeating',
};

const poleFamily = (code: keyof typeof CLOSED): Family<PoleCode> => ({
  codes: [code],
  source: SOURCES[code] ?? PRACTICE,
  kinds: (terminals, settings) =>
    each(terminals).flatMap((ways): Kind[] => {
      if (ways === 0 || terminals % (ways + 1) !== 0) return [];
      const closed = CLOSED[code](ways, settings);
      const poles = terminals / (ways + 1);
      return closed ? [{ kind: code, poles, ways, pattern: patternOf(poles, ways, settings, closed) }] : [];
    }),
  example: EXAMPLES[code],
});

const EXAMPLES: Record<keyof typeof CLOSED, { terminals: number; settings: number }> = {
  'on-off': { terminals: 2, settings: 2 },
  changeover: { terminals: 3, settings: 2 },
  'changeover-centre-off': { terminals: 3, settings: 3 },
  selector: { terminals: 5, settings: 4 },
  'selector-off': { terminals: 4, settings: 4 },
  bridging: { terminals: 4, settings: 5 },
  progressive: { terminals: 4, settings: 4 },
  'progressive-from-first': { terminals: 4, settings: 3 },
  'one-missing': { terminals: 4, settings: 3 },
  repeating: { terminals: 3, settings: 4 },
  binary: { terminals: 5, settings: 10 },
  gray: { terminals: 4, settings: 8 },
  complement: { terminals: 5, settings: 10 },
  'both-outputs': { terminals: 9, settings: 10 },
  quadrature: { terminals: 3, settings: 8 },
};

function patternOf(
  poles: number,
  ways: number,
  settings: number,
  closed: (setting: number) => number[],
): Pattern {
  const width = ways + 1;
  return Array.from({ length: settings }, (_, setting) =>
    partitionFromGroups(
      poles * width,
      Array.from({ length: poles }, (__, pole) => [
        pole * width,
        ...closed(setting).map((way) => pole * width + 1 + way),
      ]),
    ),
  );
}

/** Two ways in, two ways out, straight or crossed. */
const crossing = (code: 'intermediate' | 'crossing-off', settings: number): Family<PoleCode> => ({
  codes: [code],
  source: PRACTICE,
  kinds: (terminals, wanted) => {
    if (wanted !== settings || terminals % 4 !== 0) return [];
    const poles = terminals / 4;
    const groups = (crossed: boolean) =>
      each(poles).flatMap((pole) =>
        crossed ? [[4 * pole, 4 * pole + 3], [4 * pole + 1, 4 * pole + 2]]
          : [[4 * pole, 4 * pole + 2], [4 * pole + 1, 4 * pole + 3]],
      ); // prettier-ignore
    const nets = (crossed: boolean) => partitionFromGroups(terminals, groups(crossed));
    const off = settings === 3 ? [partitionFromGroups(terminals, [])] : [];
    return [{ kind: code, poles, ways: 2, pattern: [nets(false), ...off, nets(true)] }];
  },
  example: { terminals: 4, settings },
});

export const POLES: readonly Family<PoleCode>[] = [
  ...(Object.keys(CLOSED) as (keyof typeof CLOSED)[]).map(poleFamily),
  crossing('intermediate', 2),
  crossing('crossing-off', 3),
];
