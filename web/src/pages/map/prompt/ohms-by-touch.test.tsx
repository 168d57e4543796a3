import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { createWriter, readLog, type JobEvent } from '@which-way/core/log';
import type { Act } from '@which-way/core/probing';
import { newIdFrom, seededRandom } from '@which-way/core/switch';
import { afterEach, describe, expect, it } from 'vitest';
import type { Probing } from '../probing/use-probing.js';
import { OhmsByTouch } from './ohms-by-touch.js';

afterEach(cleanup);

const structure = {
  terminals: [
    { id: 'a', label: '1' },
    { id: 'b', label: '2' },
    { id: 'c', label: '3' },
  ],
  settings: [],
};

/** What the hands see: one pair, or a sweep over two lugs, of which one may have been answered. */
const seen = (
  what: 'pair' | 'sweep' | 'zero',
  sense: 'tone' | 'ohms' = 'ohms',
  found: string[] = [],
  events: readonly JobEvent[] = [],
) => {
  const acts: Act[] = [];
  const probing = {
    hands: { sense },
    task:
      what === 'zero'
        ? { kind: 'plan', plan: { kind: 'check-meter' } }
        : { kind: 'prompt', prompt: { ask: { kind: what } } },
    many: what === 'sweep' ? { kind: 'sweep', red: 'a', black: ['b', 'c'] } : null,
    map: { structure, log: readLog([...events]) },
    found: new Map(found.map((id) => [id, { kind: 'over' }])),
    implied: new Set(),
    act: (act: Act) => acts.push(act),
  } as unknown as Probing;
  render(<OhmsByTouch probing={probing} />);
  return acts;
};

describe('ohms by touch', () => {
  it('of one pair are typed and entered, and OL is a button of its own', () => {
    const acts = seen('pair');
    fireEvent.change(screen.getByLabelText('Ohms'), { target: { value: '0,3' } });
    fireEvent.click(screen.getByRole('button', { name: 'Enter' }));
    fireEvent.click(screen.getByRole('button', { name: 'OL' }));
    expect(acts).toEqual([
      { do: 'type-instead', text: '0,3' },
      { do: 'yes' },
      { do: 'type-instead', text: 'OL' },
      { do: 'yes' },
    ]);
    expect(screen.getByLabelText('Ohms')).toHaveValue('');
  });

  it('of a sweep are of its first lug without an answer, unless another is chosen', () => {
    const acts = seen('sweep', 'ohms', ['b']);
    fireEvent.change(screen.getByLabelText('Ohms'), { target: { value: '12' } });
    fireEvent.submit(screen.getByRole('form', { name: 'Enter a value by touch' }));
    expect(acts).toEqual([{ do: 'type-instead', text: '3=12' }, { do: 'yes' }]);
  });

  it('are asked of the leads held together too, never by tone, and nothing is entered where nothing is typed', () => {
    const acts = seen('zero');
    expect(screen.getByRole('button', { name: 'Enter' })).toBeDisabled();
    fireEvent.submit(screen.getByRole('form', { name: 'Enter a value by touch' }));
    expect(acts).toEqual([]);
    cleanup();
    seen('pair', 'tone');
    expect(screen.queryByLabelText('Ohms')).toBeNull();
  });

  it('that were read before are a tap each, the newest first and each once; OL is none of them', () => {
    const newId = newIdFrom(seededRandom(4));
    const writer = createWriter({ newId, now: () => '2026-01-05T10:00:00.000Z' });
    const events: JobEvent[] = [];
    for (const value of [0.3, null, 4700, 0.2, 0.3, 12, 0.1])
      events.push(
        writer.write(events, {
          ...{ kind: 'answered', act: 'pair', prompt: null, source: 'typed', inCircuit: false },
          readings: [
            {
              ...{ id: newId<never>(), setting: 's' as never, red: ['a' as never], black: ['b' as never] },
              value: value === null ? { kind: 'over' } : { kind: 'ohms', ohms: value },
            },
          ],
        }),
      );
    const acts = seen('pair', 'ohms', [], events);
    const recent = screen.getByRole('group', { name: 'Recent values' });
    expect([...recent.querySelectorAll('button')].map(({ textContent }) => textContent)).toEqual([
      '0.1 Ω',
      '12 Ω',
      '0.3 Ω',
      '0.2 Ω',
    ]);
    fireEvent.click(screen.getByRole('button', { name: '0.3 Ω' }));
    expect(acts).toEqual([{ do: 'type-instead', text: '0.3' }, { do: 'yes' }]);
  });
});
