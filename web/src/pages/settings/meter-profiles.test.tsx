import type { Shop } from '@which-way/contract';
import { ORDINARY_METER } from '@which-way/core/log';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { chooseMeter, meterInUse } from '../../parts/meters/my-meters.js';
import { aShop } from '../../testing/a-shop.js';
import { useMeterOfToday } from '../../parts/meters/use-meter-of-today.js';
import { MeterProfiles } from './meter-profiles.js';

/** What the shop keeps, on a server in memory. */
let shop: Shop;
let serverSays: number;

const type = (label: string, text: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
const save = () => fireEvent.click(screen.getByRole('button', { name: 'Save meter' }));

describe('the meters of a bench', () => {
  beforeEach(async () => {
    chooseMeter(null);
    serverSays = 200;
    shop = aShop();
    vi.stubGlobal('fetch', (_: string, init: RequestInit = {}) => {
      if (init.method === 'PUT' && serverSays === 200)
        shop = { ...(JSON.parse(String(init.body)) as Shop), version: shop.version + 1 };
      const refusal = {
        code: 'stale',
        message: 'It was changed elsewhere.',
        hint: 'Look at it again.',
        path: '',
      };
      const answer = init.method === 'PUT' && serverSays !== 200 ? refusal : shop;
      return Promise.resolve(
        new Response(JSON.stringify(answer), {
          status: init.method === 'PUT' ? serverSays : 200,
          headers: { 'content-type': 'application/json' },
        }),
      );
    });
    render(
      <QueryClientProvider client={new QueryClient()}>
        <MeterProfiles />
      </QueryClientProvider>,
    );
    fireEvent.click(screen.getByText('Your meters'));
    await screen.findByRole('button', { name: 'Save meter' });
  });
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });

  it('nothing is chosen at first; one of the shop’s own is kept, used and removed', async () => {
    expect(meterInUse()).toBeNull();
    type('What you call it', 'The grey one');
    type('Smallest resistor that stays silent, Ω', '30');
    type('Accuracy, % of reading', '1,2');
    type('Test current in ohms, mA', '0.5');
    type('Clean leads together, Ω', '0,2');
    type('Sleeps after, min (0: never)', '0');
    save();
    const grey = { ...ORDINARY_METER, name: 'The grey one', percent: 1.2, beeperOhms: 30 };
    const kept = { ...grey, testMilliamps: 0.5, leadOhms: 0.2, autoOffMinutes: null };
    await waitFor(() => expect(meterInUse()).toEqual(kept));
    expect(shop.meters).toEqual([kept]);
    await screen.findByText(
      '0.1 Ω steps, ±1.2 % ±3 digits; silent from 30 Ω; tests with 0.5 mA; its leads read 0.2 Ω; stays on',
    );
    fireEvent.click(screen.getByRole('button', { name: 'Remove The grey one' }));
    await waitFor(() => expect([meterInUse(), shop.meters]).toEqual([null, []]));
  });

  // A sleeping meter reads as open: where nobody knows, it is waited for.
  it('how long it stays on is never taken for always where it was left empty', async () => {
    type('What you call it', 'Plain');
    type('Smallest resistor that stays silent, Ω', '30');
    type('Sleeps after, min (0: never)', '');
    save();
    await waitFor(() => expect(meterInUse()?.autoOffMinutes).toBe(10));
  });

  it('one that was changed at another device is taken up as the shop has it', async () => {
    type('What you call it', 'Plain');
    type('Smallest resistor that stays silent, Ω', '30');
    save();
    await waitFor(() => expect(meterInUse()?.beeperOhms).toBe(30));
    const [plain] = shop.meters;
    shop = { ...shop, version: shop.version + 1, meters: [{ ...ORDINARY_METER, ...plain, beeperOhms: 45 }] };
    cleanup();
    function MapToday() {
      useMeterOfToday();
      return null;
    }
    render(
      <QueryClientProvider client={new QueryClient()}>
        <MapToday />
      </QueryClientProvider>,
    );
    await waitFor(() => expect(meterInUse()?.beeperOhms).toBe(45));
  });

  it('what the shop cannot take is told, stays typed, and is not used', async () => {
    serverSays = 409;
    type('What you call it', 'The grey one');
    type('Smallest resistor that stays silent, Ω', '30');
    save();
    await screen.findByText('It was changed elsewhere.');
    expect(screen.getByLabelText('What you call it')).toHaveProperty('value', 'The grey one');
    expect(meterInUse()).toBeNull();
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
    expect(shop.meters).toEqual([]);
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
  });
});
