import {
  type JumperOutcome,
  type LinkKind,
  type Load,
  type LoadKind,
  type Log,
  partsTriedOf,
  type PathLink,
  type PathTest,
  recordsOf,
  type Supply,
  type TestResult,
} from '../log/index.js';
import type { LinkId, LoadId, SupplyId, TestId } from '../switch/index.js';
import { inSeries } from './link-cost.js';

/** Links through which a supply comes to the switch, or goes back from the load. */
const BRINGS: ReadonlySet<LinkKind> = new Set(['plug', 'fuse', 'battery', 'cord']);
/** What kind of load a link of the load is part of. */
const LOAD_OF: Partial<Record<LinkKind, LoadKind>> = {
  motor: 'motor',
  brushes: 'motor',
  element: 'resistive',
  lamp: 'lamp',
  electronics: 'electronics',
};
const RETURNS: ReadonlySet<Supply['kind']> = new Set(['N', '0']);

const only = <Item>(list: readonly Item[]): Item | undefined => (list.length === 1 ? list[0] : undefined);
const plain = (text: string | null): string => (text ?? '').trim().toLowerCase();

function loadOf({ name, kind }: PathLink, loads: readonly Load[]): LoadId | undefined {
  const named = loads.filter((load) => name !== null && plain(load.name) === plain(name));
  const ofKind = loads.filter((load) => load.kind === LOAD_OF[kind]);
  return (only(named) ?? only(loads) ?? only(ofKind))?.id;
}

/**
 * Which load or supply of the circuit each link of the supply path is part of. Where two might be meant it is none: the one load there
 * is, the one of the link's name or kind; the one supply that is live for what brings it, the one return for what takes it back.
 */
export function partsOfLinks(log: Log, links: readonly PathLink[]): Map<LinkId, LoadId | SupplyId> {
  const loads = recordsOf(log, 'load-named');
  const supplies = recordsOf(log, 'supply-named').filter(({ kind }) => kind !== 'earth');
  const live = only(supplies.filter(({ kind }) => !RETURNS.has(kind)))?.id;
  const back = only(supplies.filter(({ kind }) => RETURNS.has(kind)))?.id;
  return new Map(
    links.flatMap((link): [LinkId, LoadId | SupplyId][] => {
      const brings = link.conductor === 'feed' ? live : link.conductor === 'return' ? back : undefined;
      const part =
        link.conductor === 'load' ? loadOf(link, loads) : BRINGS.has(link.kind) ? brings : undefined;
      return part ? [[link.id, part]] : [];
    }),
  );
}

const RESULTS: Record<JumperOutcome, TestResult> = { runs: 'pass', 'does-not': 'fail', stops: 'unsteady' };

/**
 * What is known of the links without a test on this page: parts that were tried in the machine, and all but the switch by a jumper test.
 * Nothing is asked twice.
 */
export function toldOfLinks(log: Log, links: readonly PathLink[]): PathTest[] {
  const parts = partsOfLinks(log, links);
  const through = { way: 'through', flexed: false, ohms: null } as const;
  const tried = partsTriedOf(log).flatMap(({ part, whole }): PathTest[] => {
    const its = links.filter(({ id }) => parts.get(id) === part).map(({ id }) => id);
    if (its.length === 0) return [];
    return [{ ...through, id: part as string as TestId, links: its, result: whole ? 'pass' : 'fail' }];
  });
  const beside = links.filter((link) => inSeries(link) && link.kind !== 'switch').map(({ id }) => id);
  const joined = recordsOf(log, 'jumper-tested').map(({ setting, outcome }): PathTest => ({
    ...through,
    id: setting as string as TestId,
    links: beside,
    result: RESULTS[outcome],
  }));
  return [...tried, ...(beside.length > 0 ? joined : [])];
}
