import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import type { Act } from '@which-way/core/probing';
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
const seen = (what: 'pair' | 'sweep' | 'zero', sense: 'tone' | 'ohms' = 'ohms', found: string[] = []) => {
  const acts: Act[] = [];
  const probing = {
    hands: { sense },
    task:
      what === 'zero'
        ? { kind: 'plan', plan: { kind: 'check-meter' } }
        : { kind: 'prompt', prompt: { ask: { kind: what } } },
    many: what === 'sweep' ? { kind: 'sweep', red: 'a', black: ['b', 'c'] } : null,
    map: { structure },
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
});
