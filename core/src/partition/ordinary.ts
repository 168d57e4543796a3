import { partitionFromGroups } from './partition.js';
import type { Pattern } from './pattern.js';

/** A switch of an ordinary kind: so many poles of a common and so many throws each. */
export interface OrdinarySwitch {
  kind:
    | 'on-off'
    | 'changeover'
    | 'changeover-centre-off'
    | 'selector'
    | 'progressive'
    | 'one-missing'
    | 'bridging';
  poles: number;
  ways: number;
  pattern: Pattern;
}

/**
 * The ordinary switches with so many terminals in use and so many settings, terminals in the order pole by pole, common
 * first (kinds and names: common practice). Those of the same pattern are listed once.
 */
export function ordinarySwitches(terminals: number, settings: number): OrdinarySwitch[] {
  const found: OrdinarySwitch[] = [];
  for (let ways = 1; ways < terminals; ways += 1) {
    if (terminals % (ways + 1) !== 0) continue;
    const poles = terminals / (ways + 1);
    const add = (kind: OrdinarySwitch['kind'], closed: (setting: number) => number[]) =>
      found.push({ kind, poles, ways, pattern: patternOf(poles, ways, settings, closed) });
    const all = Array.from({ length: ways }, (_, way) => way);
    if (ways === 1 && settings === 2) add('on-off', (at) => (at === 1 ? [0] : []));
    if (ways === 2 && settings === 3) add('changeover-centre-off', (at) => (at === 1 ? [] : [at / 2]));
    if (ways === settings && ways >= 2) add(ways === 2 ? 'changeover' : 'selector', (at) => [at]);
    if (settings === ways + 1 && ways >= 2) add('progressive', (at) => all.slice(0, at));
    if (ways === settings && ways >= 3) add('one-missing', (at) => all.filter((way) => way !== at));
    if (settings === 2 * ways - 1 && ways >= 2)
      add('bridging', (at) => (at % 2 === 0 ? [at / 2] : [(at - 1) / 2, (at + 1) / 2]));
  }
  return found;
}

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
