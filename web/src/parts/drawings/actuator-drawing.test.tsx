import { describeSwitch, type Actuator } from '@which-way/core/switch';
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { newId } from '../../job/new-id.js';
import { ActuatorDrawing } from './actuator-drawing.js';

function handle(positions: number, positionNames: readonly string[] = []): Actuator {
  const { actuators } = describeSwitch(
    { terminals: 3, positions, form: 'rotary', layout: 'list', positionNames },
    newId,
  );
  return actuators[0] as Actuator;
}

const show = (actuator: Actuator, at: number | null, side: 'front' | 'terminal' = 'front') => {
  cleanup();
  render(
    <ActuatorDrawing
      actuator={actuator}
      at={at === null ? null : (actuator.positions[at]?.id ?? null)}
      side={side}
    />,
  );
  const drawing = screen.getByRole('img');
  return {
    words: drawing.getAttribute('aria-label'),
    names: [...drawing.querySelectorAll('text')].map(({ textContent }) => textContent),
    /** Left to right, where each name is. */
    across: [...drawing.querySelectorAll('text')]
      .toSorted((one, other) => Number(one.getAttribute('x')) - Number(other.getAttribute('x')))
      .map(({ textContent }) => textContent),
    marks: drawing.querySelectorAll('[data-mark]').length,
  };
};

describe('a turning handle', () => {
  afterEach(cleanup);

  it('says where it stands and from which side it is seen, and names its positions', () => {
    const four = show(handle(4, ['OFF', 'LOW', 'MEDIUM', 'HIGH']), 1);
    expect(four.words).toContain('at LOW, seen from the front');
    expect(four.names.toSorted()).toEqual(['HIGH', 'LOW', 'MEDIUM', 'OFF']);
    expect(show(handle(4), null).words).toContain('at not known');
  });

  it('is mirrored from the terminal side', () => {
    const names = ['A', 'B', 'C'];
    const front = show(handle(3, names), 0).across;
    expect(show(handle(3, names), 0, 'terminal').across).toEqual(front.toReversed());
  });

  it('has a mark for each of many positions, and a name at the one alone where it stands: names would overlap', () => {
    const many = show(handle(24), 6);
    expect(many.marks).toBe(24);
    expect(many.names).toEqual(['7']);
    expect(show(handle(8), 6).names).toHaveLength(8);
  });
});
