import { ORDINARY_METER } from '@which-way/core/log';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { chooseMeter, meterInUse, myMeters } from '../../parts/meters/my-meters.js';
import { MeterProfiles } from './meter-profiles.js';

const type = (label: string, text: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
const save = () => fireEvent.click(screen.getByRole('button', { name: 'Save meter' }));

describe('the meters of a bench', () => {
  beforeEach(() => {
    myMeters.setState({ own: [], using: null });
    render(<MeterProfiles />);
    fireEvent.click(screen.getByText('Your meters'));
  });
  afterEach(cleanup);

  it('nothing is chosen at first; one of one’s own is kept, used and removed', () => {
    expect(meterInUse()).toBeNull();
    type('What you call it', 'The grey one');
    type('Smallest resistor that stays silent, Ω', '30');
    type('Accuracy, % of reading', '1,2');
    save();
    expect(meterInUse()).toEqual({ ...ORDINARY_METER, name: 'The grey one', percent: 1.2, beeperOhms: 30 });
    expect(screen.getByText('0.1 Ω steps, ±1.2 % ±3 digits, silent from 30 Ω')).toBeDefined();
    fireEvent.click(screen.getByRole('button', { name: 'Remove The grey one' }));
    expect([meterInUse(), myMeters.getState().own]).toEqual([null, []]);
  });

  it.each([
    ['no name', '', '30', /Give it a name/],
    ['the name of a kind', 'Handheld, 0.1 ohm', '30', /Give it a name/],
    ['no resistor', 'Mine', '', /Numbers as in its data sheet/],
    ['a word for a number', 'Mine', 'few', /Numbers as in its data sheet/],
    ['a resistor of nothing', 'Mine', '0', /Numbers as in its data sheet/],
  ])('keeps nothing with %s, and says what would be right', (_, name, beeper, says) => {
    type('What you call it', name);
    type('Smallest resistor that stays silent, Ω', beeper);
    save();
    expect(screen.getByRole('alert').textContent).toMatch(says);
    expect(myMeters.getState().own).toEqual([]);
  });

  it('checks the one in use against a known resistor', () => {
    type('The meter reads, Ω, leads subtracted', '10.3');
    expect(screen.getByRole('status').textContent).toBe('Your 10 Ω reads 10.3 Ω: within its ±0.5 Ω.');
    type('The meter reads, Ω, leads subtracted', '11,5');
    expect(screen.getByRole('status').textContent).toMatch(
      /^Your 10 Ω reads 11\.5 Ω: more than its ±0\.5 Ω off\./,
    );
    type('The meter reads, Ω, leads subtracted', 'ten');
    expect(screen.queryByRole('status')).toBeNull();
    chooseMeter('Simple meter, 1 ohm');
  });
});
