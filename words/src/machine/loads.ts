import type { LoadDoes, LoadState } from '@which-way/core/machine';
import type { Load, LoadEnd, LoadMake, Supply } from '@which-way/core/log';
import { signalWords } from './signals.js';

export const DOES_WORDS: Record<LoadDoes, string> = {
  off: 'off',
  full: 'full',
  part: 'part',
  reversed: 'reversed',
  braked: 'braked',
  floating: 'off but still live',
  stalled: 'fed, does not turn',
  chatters: 'chatters',
  'not-known': 'not known',
};

export const MAKE_WORDS: Record<LoadMake, string> = {
  'permanent-magnet': 'permanent magnet, DC',
  universal: 'series or universal',
  capacitor: 'capacitor-run, three leads',
  'run-start': 'split phase: run and start',
  reversible: 'run and start winding apart, four leads',
  'three-phase': 'three-phase, six ends',
  'series-wound': 'series motor, field and armature apart',
  'shunt-wound': 'shunt motor, DC',
  'shaded-pole': 'shaded pole',
  'two-speed': 'two speeds, two windings',
  tapped: 'one winding with taps',
  'half-wave': 'half power through a diode',
  alternator: 'an alternator',
  'current-transformer': 'secondary of a current transformer',
  'signal-source': 'signal source: a pickup, microphone or input',
  'signal-output': 'signal output',
  'double-coil': 'two-coil pickup, four leads',
  relay: 'relay with a changeover contact',
  contactor: 'contactor, three poles and auxiliaries',
};

/** The ends of what has a + and a -, by what it is. */
const POLE_WORDS: Partial<Record<LoadMake, Partial<Record<LoadEnd, string>>>> = {
  'permanent-magnet': { '+': '+ (forward)' },
  'signal-source': { '+': 'hot', '-': 'ground' },
  'signal-output': { '+': 'hot', '-': 'ground' },
  'double-coil': { A1: 'coil A hot', A2: 'coil A ground', B1: 'coil B hot', B2: 'coil B ground' },
  relay: {
    A1: 'coil A1',
    A2: 'coil A2',
    11: '11 (common)',
    12: '12 (closed at rest)',
    14: '14 (closed when on)',
  },
  contactor: {
    ...{ A1: 'coil A1', A2: 'coil A2', 1: '1 (pole 1)', 2: '2 (pole 1)', 3: '3 (pole 2)', 4: '4 (pole 2)' },
    ...{ 5: '5 (pole 3)', 6: '6 (pole 3)', 13: '13 (closed when on)', 14: '14 (closed when on)' },
    ...{ 21: '21 (closed at rest)', 22: '22 (closed at rest)' },
  },
};

const END_WORDS: Partial<Record<LoadEnd, string>> = {
  C: 'common',
  A: 'A (forward)',
  R: 'run',
  S: 'start',
  M1: 'run 1',
  M2: 'run 2',
  S1: 'start 1',
  S2: 'start 2',
  A1: 'armature 1',
  A2: 'armature 2',
  F1: 'field 1',
  F2: 'field 2',
  L1: 'low speed 1',
  L2: 'low speed 2',
  H1: 'high speed 1',
  H2: 'high speed 2',
  T1: 'tap 1, fastest',
  T2: 'tap 2',
  T3: 'tap 3',
};

/** An end of a load, as it is chosen. */
export const endWords = ({ name, make }: Pick<Load, 'name' | 'make'>, end: LoadEnd): string =>
  `${name}, ${(make && POLE_WORDS[make]?.[end]) ?? END_WORDS[end] ?? `end ${end}`}`;

/** A supply by its name or its kind. */
export const supplyName = ({ name, kind }: Pick<Supply, 'name' | 'kind'>): string => name || kind;

/** A supply among others: one of several of the same name is told by its number. */
export function supplyAmong(supply: Supply, all: readonly Supply[]): string {
  const name = supplyName(supply);
  const same = all.filter((one) => supplyName(one) === name);
  return same.length < 2 ? name : `${name} ${same.findIndex(({ id }) => id === supply.id) + 1}`;
}

const figure = (value: number): string => String(Number(value.toPrecision(3)));
export const wattsWords = (watts: number | null): string =>
  watts === null ? 'not known' : `${figure(Math.round(watts))} W`;

/** What a load does by itself, with its share where it is a part; a coil is in or out. */
const doesWords = ({ does, share, pulled }: LoadState): string => {
  if (pulled === true && does === 'full') return 'pulled in';
  if (pulled === false && does === 'off') return 'released';
  return does === 'part' && share !== null ? `part, ${Math.round(share * 100)} %` : DOES_WORDS[does];
};

/** What a load does; of a signal, what reaches what by the names of `loads`; what a coil may hold here is said with it. */
export const stateWords = (state: LoadState, loads: readonly Pick<Load, 'id' | 'name'>[]): string => {
  if (state.signal) return signalWords(state.signal, loads);
  const also = (state.held ?? []).map((does) => (does === 'full' ? 'on' : DOES_WORDS[does]));
  return also.length > 0 ? `${doesWords(state)}; once started, ${also.join(' or ')}` : doesWords(state);
};
