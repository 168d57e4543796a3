import type { Signal, SignalState } from '@which-way/core/machine';
import type { Load } from '@which-way/core/log';
import type { LoadId } from '@which-way/core/switch';
import { describe, expect, it } from 'vitest';
import { endWords, stateWords } from './loads.js';
import { signalClauses, signalWords } from './signals.js';

const loads = ['Neck', 'Middle', 'Bridge', 'Volume', 'Output'].map((name) => ({ id: name, name }) as Load);
const source = (name: string, turned = false): Signal => ({ of: 'source', load: name as LoadId, turned });
const part = (name: string): Signal => ({ of: 'part', load: name as LoadId });
const series = (...parts: Signal[]): Signal => ({ of: 'series', parts });
const parallel = (...parts: Signal[]): Signal => ({ of: 'parallel', parts });

describe('what reaches an output, in words', () => {
  const said: [Signal, string][] = [
    [source('Neck'), 'Neck'],
    [parallel(source('Neck'), source('Bridge')), 'Neck and Bridge in parallel'],
    [series(source('Neck'), source('Bridge')), 'Neck and Bridge in series'],
    [parallel(source('Neck'), source('Middle'), source('Bridge')), 'Neck, Middle and Bridge in parallel'],
    [series(source('Neck', true), source('Bridge')), 'Neck and Bridge in series, out of phase'],
    [source('Neck', true), 'Neck, polarity reversed'],
    [
      parallel(source('Neck'), source('Middle', true), source('Bridge')),
      'Neck, Middle and Bridge in parallel, Middle out of phase',
    ],
    [
      series(parallel(source('Neck'), source('Middle')), source('Bridge')),
      'Neck and Middle in parallel, in series with Bridge',
    ],
    [series(source('Neck'), part('Volume')), 'Neck through Volume'],
    [parallel(source('Neck'), part('Volume')), 'Neck with Volume across'],
  ];
  it.each(said)('%j', (by, words) => expect(signalWords({ is: 'reached', by }, loads)).toBe(words));

  it('and of a load in the table', () => {
    const state = {
      does: 'full',
      share: 1,
      watts: 0,
      signal: { is: 'reached', by: source('Neck') },
    } as const;
    expect(stateWords(state, loads)).toBe('Neck');
    expect(stateWords({ does: 'off', share: 0, watts: 0, signal: { is: 'shorted' } }, loads)).toBe(
      'muted: its ends are joined',
    );
  });
});

it('a sentence names the output, and idle sources only where something is to be known of them', () => {
  const states: Record<string, SignalState> = {
    Neck: { is: 'reaches' },
    Middle: { is: 'grounded' },
    Bridge: { is: 'hangs' },
    Output: { is: 'reached', by: source('Neck') },
  };
  expect(signalClauses(loads, ({ name }) => states[name])).toEqual([
    'Output has Neck',
    'Middle grounded',
    'Bridge joined by one end only: may hum',
  ]);
  expect(signalClauses(loads, () => ({ is: 'apart' }))).toEqual([]);
});

it('the ends of what has a + and a - are called as its trade calls them', () => {
  expect(endWords({ name: 'Neck', make: 'signal-source' }, '+')).toBe('Neck, hot');
  expect(endWords({ name: 'Motor', make: 'permanent-magnet' }, '+')).toBe('Motor, + (forward)');
  expect(endWords({ name: 'Alternator', make: 'alternator' }, '+')).toBe('Alternator, end +');
});
