import { isLeak, type ReadingEvidence, type Quantity } from '@which-way/core/sense';
import type { Value } from '@which-way/core/log';

const STEPS: readonly [number, string][] = [
  [1e9, 'GΩ'],
  [1e6, 'MΩ'],
  [1e3, 'kΩ'],
  [1, 'Ω'],
];

/** Ohms as a meter shows them: three or four figures and a prefix. */
export function ohms(value: number): string {
  const [scale, unit] = STEPS.find(([step]) => Math.abs(value) >= step) ?? [1, 'Ω'];
  const scaled = value / scale;
  const figures = Math.abs(scaled) >= 100 ? 0 : scale === 1 ? 1 : Math.abs(scaled) >= 10 ? 1 : 2;
  return `${Number(scaled.toFixed(figures))} ${unit}`;
}

/** A measured quantity; what the meter cannot tell from nothing is said as that. */
export function quantity({ ohms: net, belowResolution }: Quantity, resolution = 0.1): string {
  return belowResolution ? `under ${ohms(resolution)}` : ohms(net);
}

/** What the meter said, without judging it. */
export function valueWords(value: Value): string {
  switch (value.kind) {
    case 'ohms':
      return ohms(value.ohms);
    case 'over':
      return 'OL';
    case 'tone':
      return value.sounded ? 'beeped' : 'silent';
    case 'unsteady':
      return 'unsteady';
  }
}

/** What one reading proves, in a few words. */
export function evidenceWords(evidence: ReadingEvidence): string {
  const { because, quantity: measured } = evidence;
  const net = measured ? quantity(measured) : '';
  switch (because) {
    case 'low':
      return `${net} closed`;
    case 'sounded':
      return 'closed, by tone';
    case 'over':
      return 'OL, open';
    case 'none':
      return isLeak(evidence) ? `${net}, open; a leak, noted under insulation` : `${net}, open`;
    case 'silent':
      return 'silent, open';
    case 'above-range':
      return `above ${evidence.aboveOhms === undefined ? 'the range' : ohms(evidence.aboveOhms)}, open, as silent`;
    case 'middle':
      return `${net}, look again`;
    case 'unsteady':
      return 'unsteady, look again';
    case 'in-circuit':
      return `${net} in circuit: no proof`;
  }
}
