import type { Load, LoadKind, Potential, Supply } from '@which-way/core/log';

export const POTENTIAL_WORDS: Record<Potential, string> = {
  L: 'L, live',
  N: 'N, neutral',
  L1: 'L1',
  L2: 'L2',
  L3: 'L3',
  '+': 'plus',
  '0': '0, minus or common',
  earth: 'earth',
};

export const LOAD_WORDS: Record<LoadKind, string> = {
  resistive: 'resistive: a heater',
  motor: 'motor or coil',
  lamp: 'lamp',
  electronics: 'electronics, LED, switch-mode supply',
  signal: 'signal',
};

const number = (value: number): string => String(Number(value.toPrecision(4)));

/** A supply in a few words. */
export const supplyWords = ({ name, kind, volts, current }: Supply): string =>
  [
    name || POTENTIAL_WORDS[kind],
    name ? kind : '',
    volts === null ? 'volts not said' : `${number(volts)} V ${current}`,
  ]
    .filter(Boolean)
    .join(', ');

/** A load in a few words; `amps`: what it takes, typed or from its watts. */
export const loadWords = ({ name, kind, watts, volts, current }: Load, amps: number | null): string =>
  [
    name,
    kind,
    watts === null ? '' : `${number(watts)} W`,
    amps === null ? 'amps not said' : `${number(amps)} A`,
    volts === null ? current : `${number(volts)} V ${current}`,
  ]
    .filter(Boolean)
    .join(', ');
