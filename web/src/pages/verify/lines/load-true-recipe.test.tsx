import { ORDINARY_METER, type ContactLimit } from '@which-way/core/log';
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { LoadTrueRecipe } from './load-true-recipe.js';

const load = (amps: number, kind: 'resistive' | 'signal' = 'resistive'): ContactLimit => ({
  ...{ school: 'load', amps, volts: 230, kind, current: 'AC', of: null },
});

describe('the recipe for a contact at its own current', () => {
  afterEach(cleanup);

  it('says its steps in the order of the hand, with the figures of the load', () => {
    render(
      <LoadTrueRecipe limit={load(10)} meter={{ ...ORDINARY_METER, testMilliamps: 0.5 }} isGold={false} />,
    );
    const steps = screen.getAllByRole('listitem', { hidden: true }).map(({ textContent }) => textContent);
    expect(steps).toHaveLength(8);
    screen.getByText(
      'In ohms your meter sends 0.5 mA. A dirty contact can pass that and still fail at 10 A.',
    );
    expect(steps[1]).toContain('at most 6 V, limited to 5 A. Without a limit, add 1.2 Ω, 30 W in series.');
    expect(steps[5]).toBe(
      'Read millivolts: up to 25 mV is good, above 100 mV is bad (scaled to the load’s current).',
    );
    // What makes and breaks the current is the supply, never the contact.
    expect(steps.findIndex((one) => one?.startsWith('Switch the supply off'))).toBeGreaterThan(
      steps.findIndex((one) => one?.startsWith('Read millivolts')),
    );
  });

  it('is refused for a signal, and not offered where no load is named', () => {
    const { rerender } = render(
      <LoadTrueRecipe limit={load(2, 'signal')} meter={ORDINARY_METER} isGold={false} />,
    );
    expect(screen.getByText(/^Don’t pass current through a signal or gold contact/)).toBeDefined();
    rerender(<LoadTrueRecipe limit={load(10)} meter={ORDINARY_METER} isGold />);
    expect(screen.getByText(/^Don’t pass current through a signal or gold contact/)).toBeDefined();
    rerender(<LoadTrueRecipe limit={{ school: 'fixed', ohms: 1 }} meter={ORDINARY_METER} isGold={false} />);
    expect(document.body.textContent).toBe('');
  });
});
