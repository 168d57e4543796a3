import type { NextTest } from '@which-way/core/machine';
import type { Load } from '@which-way/core/log';
import type { LoadId, SettingId, SupplyId } from '@which-way/core/switch';
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { ComplaintTaps } from './complaint-taps.js';
import { NextStep, type HuntNames } from './next-step.js';
import { RankedFaults } from './ranked-faults.js';

afterEach(cleanup);

const load = (id: string, kind: 'lamp' | 'motor') =>
  ({ id: id as LoadId, name: id, kind, current: 'AC', removed: false }) as Load;
const loads = [load('lamp', 'lamp'), load('fan', 'motor')];
const HIGH = 'high' as SettingId;
const names: HuntNames = {
  at: () => 'HIGH',
  contact: (_, [a, b]) => `${a}–${b}`,
  place: (node) => `place ${node}`,
  part: (part) => part,
  supply: () => 'L',
};

function asked(next: NextTest) {
  const on = { onLook: vi.fn(), onProbe: vi.fn(), onPart: vi.fn() };
  render(
    <NextStep
      {...{ loads, next, names, ...on }}
      toMap={<a href="/map">map</a>}
      toRepeat={<a href="/verify">repeat</a>}
      toPath={<a href="/path">path</a>}
      caution={<p>First make it safe</p>}
    />,
  );
  return on;
}

describe('what to do next in a hunt', () => {
  it('a probe says both places and to read ohms, and takes one of three answers', () => {
    const { onProbe } = asked({
      ...{ kind: 'probe', setting: HIGH, between: [2, 7], seconds: 12, bits: 1 },
    });
    const box = screen.getByRole('group', { name: 'Probe next' });
    expect(box).toHaveTextContent('proved dead');
    expect(screen.getByText('First make it safe')).toBeVisible();
    expect(box).toHaveTextContent('one probe on place 2, the other on place 7');
    fireEvent.click(within(box).getByRole('button', { name: 'Some ohms' }));
    expect(onProbe).toHaveBeenCalledExactlyOnceWith(HIGH, [2, 7], 'ohms');
  });

  it('a contact that comes and goes is worked again and again, not read once', () => {
    asked({ kind: 'work', setting: HIGH, contact: [0, 3], seconds: 60, bits: 1 });
    const box = screen.getByRole('group', { name: 'Work next' });
    expect(box).toHaveTextContent('one reading proves nothing');
    expect(within(box).getByRole('link')).toHaveAttribute('href', '/verify');
  });

  it('a supply leads to its path, and is answered here too', () => {
    const { onPart } = asked({ kind: 'supply', supply: 'L' as SupplyId, seconds: 25, bits: 1 });
    expect(screen.getByRole('link')).toHaveAttribute('href', '/path');
    fireEvent.click(screen.getByRole('button', { name: 'It is missing' }));
    expect(onPart).toHaveBeenCalledExactlyOnceWith('L', false);
  });

  it('a look asks each load, and only a motor whether it turned the wrong way', () => {
    const ids = loads.map(({ id }) => id);
    const { onLook } = asked({ kind: 'look', setting: HIGH, loads: ids, seconds: 7, bits: 1 });
    expect(screen.queryByText('First make it safe')).not.toBeInTheDocument();
    const lamp = screen.getByRole('group', { name: 'lamp' });
    expect(within(lamp).queryByRole('button', { name: 'the wrong way' })).not.toBeInTheDocument();
    fireEvent.click(
      within(screen.getByRole('group', { name: 'fan' })).getByRole('button', { name: 'the wrong way' }),
    );
    expect(onLook).toHaveBeenCalledExactlyOnceWith(HIGH, 'fan', 'reversed');
  });
});

describe('what is wrong with a load, in a tap', () => {
  it('stands first where the story has it, is said, and is taken back', () => {
    const onSay = vi.fn();
    render(
      <ComplaintTaps
        loads={loads}
        told={new Set(['sometimes'])}
        isSaid={(id, complaint) => id === 'fan' && complaint === 'weak'}
        onSay={onSay}
      />,
    );
    const lamp = screen.getByRole('group', { name: 'What is wrong with lamp' });
    const texts = within(lamp)
      .getAllByRole('button')
      .map(({ textContent }) => textContent);
    expect(texts).toEqual(['sometimes', 'never on', 'never off', 'weak']);
    fireEvent.click(within(lamp).getByRole('button', { name: 'never off' }));
    const fan = screen.getByRole('group', { name: 'What is wrong with fan' });
    fireEvent.click(within(fan).getByRole('button', { name: 'weak', pressed: true }));
    expect(onSay.mock.calls).toEqual([
      ['lamp', 'never-off', true],
      ['fan', 'weak', false],
    ]);
  });
});

describe('faults that may explain it', () => {
  const fault = (chance: number, of: object) => ({ chance, explains: 1, fault: of }) as never;
  const shown = (...ranked: never[]) =>
    render(
      <RankedFaults
        ranked={ranked}
        words={({ kind, ...of }) => `${kind} ${JSON.stringify(of)}`}
        seen={1}
        notTheSwitch="Then it is not the switch."
      />,
    );

  it('say that it is not the switch only when hardly anything is left for it', () => {
    const open = fault(0.6, { kind: 'load-open', load: 'lamp' });
    const { unmount } = shown(open, fault(0.4, { kind: 'never-closes', contact: [0, 1] }));
    expect(screen.queryByText('Then it is not the switch.')).not.toBeInTheDocument();
    unmount();
    shown(fault(0.97, { kind: 'load-open', load: 'lamp' }), fault(0.03, { kind: 'none' }));
    expect(screen.getByText('Then it is not the switch.')).toBeVisible();
  });

  it('say how many more there are than stand here', () => {
    shown(...Array.from({ length: 8 }, (_, at) => fault(0.125, { kind: 'wire-off', wire: String(at) })));
    expect(screen.getAllByRole('listitem')).toHaveLength(5);
    expect(screen.getByText('and 3 more that may be it.')).toBeVisible();
  });
});
