import { partitionFromGroups, type Pattern } from '../partition/index.js';

/** What a kind of switch is called, in words. */
export type KindCode = PoleCode | WholeCode;

/** Kinds that are so many poles alike side by side. */
export const POLE_CODES = [
  'on-off',
  'changeover',
  'changeover-centre-off',
  'selector',
  'selector-off',
  'bridging',
  'progressive',
  'progressive-from-first',
  'one-missing',
  'repeating',
  'intermediate',
  'crossing-off',
  'binary',
  'gray',
  'complement',
  'both-outputs',
  'quadrature',
] as const;
export type PoleCode = (typeof POLE_CODES)[number];

/** Kinds whose contacts make sense together. */
export const WHOLE_CODES = [
  'reversing',
  'reversing-brake',
  'reversing-three-phase',
  'reversing-single-phase',
  'drum-controller',
  'star-delta',
  'star-delta-contacts',
  'star-delta-reversing',
  'pole-changing',
  'three-heat',
  'four-heat',
  'three-elements',
  'oven-programme',
  'energy-regulator',
  'series-parallel',
  'ignition',
  'engine-key',
  'turn-signal-stop',
  'window',
  'shorted-idle',
  'voltmeter-lines',
  'voltmeter-all',
  'ammeter',
  'joystick',
  'joystick-contacts',
] as const;
export type WholeCode = (typeof WHOLE_CODES)[number];

/** A switch of a named kind: what it joins, position by position, in handle order. */
export interface Kind {
  kind: KindCode;
  /** Poles alike, and throws of each; of a whole, one pole, and the number that makes its size where it has one. */
  poles: number;
  ways: number;
  pattern: Pattern;
  /** Terminals and positions as the trade names them; absent where it has no names for them. */
  terminals?: readonly string[];
  positions?: readonly string[];
}

/** A family of kinds: all of it that there is with so many terminals and positions. */
export interface Family<Code extends KindCode = KindCode> {
  codes: readonly Code[];
  /** Where its name and its table are from. */
  source: string;
  kinds: (terminals: number, settings: number) => readonly Kind[];
  /** One of it, small. */
  example: { terminals: number; settings: number };
}

/** A table as one writes it: `OFF: | LOW: L-A N-B`. Terminals in the order given. */
function drawn(terminals: string, table: string): Pick<Kind, 'pattern' | 'terminals' | 'positions'> {
  const labels = terminals.split(' ');
  const rows = table.split('|').map((row) => row.trim().split(':') as [string, string]);
  const place = (label: string) => {
    const at = labels.indexOf(label);
    if (at < 0) throw new Error(`no terminal is called ${label}`);
    return at;
  };
  return {
    terminals: labels,
    positions: rows.map(([name]) => name),
    pattern: rows.map(([, joins = '']) =>
      partitionFromGroups(
        labels.length,
        joins.trim().split(' ').filter(Boolean).map((net) => net.split('-').map(place)),
      ),
    ),
  };
} // prettier-ignore

/** A family of one table. */
export function tableFamily<Code extends WholeCode>(
  code: Code,
  source: string,
  terminals: string,
  ...tables: string[]
): Family<Code> {
  const kinds = tables.map((table): Kind => ({ kind: code, poles: 1, ways: 1, ...drawn(terminals, table) }));
  const size = terminals.split(' ').length;
  return {
    codes: [code],
    source,
    kinds: (wanted, settings) =>
      wanted === size ? kinds.filter(({ pattern }) => pattern.length === settings) : [],
    example: { terminals: size, settings: kinds[0]?.pattern.length ?? 0 },
  };
}

/** A family of one table for each size. */
export function sizedFamily<Code extends WholeCode>(
  code: Code,
  source: string,
  { least, most }: { least: number; most: number },
  tableOf: (size: number) => { terminals: string; table: string },
): Family<Code> {
  const kinds = Array.from({ length: most - least + 1 }, (_, at): Kind => {
    const { terminals, table } = tableOf(at + least);
    return { kind: code, poles: 1, ways: at + least, ...drawn(terminals, table) };
  });
  return {
    codes: [code],
    source,
    kinds: (terminals, settings) =>
      kinds.filter(
        ({ pattern }) =>
          pattern.length === settings && (pattern[0] as readonly number[]).length === terminals,
      ),
    example: { terminals: kinds[0]?.pattern[0]?.length ?? 0, settings: kinds[0]?.pattern.length ?? 0 },
  };
}
