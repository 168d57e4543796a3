import type { Deed, Value } from '@which-way/core/log';
import { describe, expect, it } from 'vitest';
import { aSwitch } from '../../testing/a-switch.js';
import { fill, fireEvent, press, screen, until } from '../../testing/acts.js';
import { renderJob } from '../../testing/rendered-job.js';
import { MapPage } from './map-page.js';

const key = (...keys: string[]) => keys.forEach((one) => fireEvent.keyDown(document.body, { key: one }));
const type = (text: string) => key(...text, 'Enter');
const prompt = () => screen.getByTestId('prompt').textContent ?? '';
const prompted = (words: string) => until(() => expect(prompt()).toBe(words));
const small = () => screen.getByTestId('prompt-small').textContent ?? '';
const CLOSED: Value = { kind: 'ohms', ohms: 0.3 };
const OPEN: Value = { kind: 'over' };

describe('positions', () => {
  it('that read the same are told of, and put together as back at the start; undo parts them again', async () => {
    const { described, checked, approached } = aSwitch(2, null);
    const { written } = await renderJob(<MapPage />, [described, checked, approached({ order: 'position' })]);
    await prompted('Red to 1, black to 2');
    type('0,3');
    await prompted('Turn one click on');
    key('ArrowRight');
    await prompted('Black to 2');
    type('OL');
    await prompted('Turn one click on');
    expect(screen.queryByText(/reads as/)).toBeNull();
    key('ArrowRight');
    await prompted('Black to 2');
    type('0,3');
    await screen.findByText('Position 3 reads as Position 1 does');
    expect(screen.getAllByText(/^1–2 closed$/)).toHaveLength(2);
    press('Back at the start: they are one');
    await prompted('The map is complete');
    await until(() =>
      expect(
        written('restructured')
          .map(({ change }) => change.change)
          .slice(-2),
      ).toEqual(['position-merged', 'positions-closed']),
    );
    expect(screen.queryByText(/reads as/)).toBeNull();
    key('Backspace', 'Backspace');
    await screen.findByText('Position 3 reads as Position 1 does');
    press('They are two');
    expect(screen.queryByText(/reads as/)).toBeNull();
  });

  const mapped = (): { deeds: Deed[] } => {
    const { described, checked, read } = aSwitch(3, 3);
    const pair = (a: number, b: number, value: Value, setting: number) => read([a], [b], value, { setting });
    const deeds: Deed[] = [described, checked];
    for (const setting of [0, 1, 2])
      for (const [a, b] of [
        [0, 1],
        [0, 2],
        [1, 2],
      ] as const)
        deeds.push(pair(a, b, a === 0 && b === setting + 1 ? CLOSED : OPEN, setting));
    return { deeds };
  };

  it('are gone through once more from the other side, one pair each; what makes from one side only is said', async () => {
    const { written } = await renderJob(<MapPage />, mapped().deeds);
    await prompted('The map is complete');
    press('Check on the way back (one pair each)');
    await prompted('Red to 1, black to 3');
    expect(screen.getByTestId('turn').textContent).toBe(
      'Past Position 2, then back to it from the other side',
    );
    type('OL');
    await until(() => expect(prompt()).toBe('Black to 2'));
    await screen.findByText('Way back: different at Position 2');
    expect(written('answered').at(-1)?.readings[0]?.fromOtherSide).toBe(true);
    type('0,3');
    await until(() => expect(screen.getByText(/1 of 2 read the same/)).toBeVisible());
    expect(screen.getByText(/One to look at again/)).toBeVisible();
    expect(screen.getAllByText(/is closed from one side of the handle and open from the other/)).toHaveLength(
      2,
    );
  });

  it('may be come to from the other side for any one pair', async () => {
    const { described, checked, approached } = aSwitch(2, 2);
    const { written } = await renderJob(<MapPage />, [described, checked, approached({ order: 'position' })]);
    await prompted('Red to 1, black to 2');
    key('<');
    await until(() => expect(screen.getByTestId('turn').textContent).toContain('from the other side'));
    key('<');
    await until(() => expect(screen.getByTestId('turn').textContent).toBe('Turn the handle to Position 1'));
    key('<');
    await until(() => expect(screen.getByTestId('turn').textContent).toContain('from the other side'));
    type('0,3');
    await until(() => expect(written('answered')).toHaveLength(1));
    expect(written('answered')[0]?.readings[0]).toMatchObject({ fromOtherSide: true });
  });
});

describe('values between closed and open', () => {
  it('ask for hands off the tips before they count; an open then takes the place of what skin showed', async () => {
    const { described, checked } = aSwitch(2, 1);
    const { written } = await renderJob(<MapPage />, [described, checked]);
    await prompted('Red to 1, black to 2');
    type('800k');
    await prompted('Again: black to 2');
    expect(small()).toContain('Hands off the tips');
    type('OL');
    await prompted('The map is complete');
    await until(() => expect(written('superseded')).toHaveLength(1));
  });

  it('ask for ten strokes; what is still between stands beside the first, and is looked at again', async () => {
    const { described, checked } = aSwitch(2, 1);
    const { written } = await renderJob(<MapPage />, [described, checked]);
    await prompted('Red to 1, black to 2');
    type('22');
    await prompted('Again: black to 2');
    expect(small()).toContain('ten strokes');
    type('9');
    await until(() => expect(prompt()).toContain('Look again'));
    await until(() => expect(written('answered')).toHaveLength(2));
    expect(written('superseded')).toHaveLength(0);
    expect(screen.getByText(/it went from 21.8 Ω to 8.8 Ω/)).toBeVisible();
  });
});

describe('a quick check', () => {
  it('reads only the pairs that are named, and says how little that proves', async () => {
    const { described, checked } = aSwitch(5, 1);
    await renderJob(<MapPage />, [described, checked]);
    await prompted('Red to 1, black over 2 to 5');
    key('/');
    const panel = await screen.findByRole('dialog', { name: 'How to map' });
    fill(/^Quick check/, '2-9', panel);
    press('Check these', panel);
    expect(screen.getByRole('alert').textContent).toContain('“2-9” isn’t a pair');
    fill(/^Quick check/, '2-3, 3-4', panel);
    press('Check these', panel);
    key('Escape');
    fireEvent.keyDown(panel, { key: 'Escape' });
    key(' ');
    await prompted('Red to 2, black to 3');
    key('Enter');
    await until(() => expect(prompt()).toContain('4'));
    key(' ');
    await prompted('The named pairs are read');
    expect(small()).toContain('2 of their 2 readings are known, of 10 pairs');
    expect(small()).toContain('The rest isn’t tested');
    press('Map everything');
    await until(() => expect(prompt()).toContain('5'));
  });
});
