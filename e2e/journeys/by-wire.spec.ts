import type { Page } from '@playwright/test';
import { Bench } from '../at-the-bench.js';
import { practise } from '../practice-job.js';
import { expect, test, type Served } from '../served.js';

const PLAIN = { kind: 'none', host: '', port: 5025, device: '', baud: 9600, mode: 'two-wire' };

async function send({ base }: Served, method: string, path: string, body: object): Promise<void> {
  const response = await fetch(`${base}/api/meter${path}`, {
    method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (!response.ok) throw new Error(await response.text());
}
/** Sets the meter of the bench. */
const setMeter = (served: Served, kind: string) => send(served, 'PUT', '', { ...PLAIN, kind });
/** The simulated meter's own power switch. */
const power = (served: Served, on: boolean) => send(served, 'POST', '/leads', { on });

/** A job as the bench has it. */
const kept = async ({ base }: Served, address: string): Promise<string> =>
  (await fetch(`${base}/api${address.replace(/\/map$/, '')}`)).text();

/** Takes the meter's readings here; over range counts as open after a while. */
async function takeMeter(page: Page, name = 'Which Way Simulated meter'): Promise<void> {
  await page.getByRole('button', { name: /bench meter/ }).click();
  const band = page.getByRole('group', { name });
  await band.getByRole('combobox', { name: 'Open after' }).click();
  await page.getByRole('option', { name: 'Open after 1.5 s' }).click();
}

// Other journeys on the same server have no meter.
test.afterEach(({ served }) => setMeter(served, 'none'));

test('four lugs and two positions are mapped by a SCPI meter alone; it is switched off and on in the middle', async ({
  page,
  served,
}) => {
  await setMeter(served, 'stand-in-scpi');
  const address = await practise(served, 4, [[0, 1]], [[0, 1], [2, 3]]); // prettier-ignore
  await page.goto(address);
  await takeMeter(page);
  await expect(page.getByText(/^[1-5] of 6/)).toBeVisible({ timeout: 60_000 });
  // Nothing is taken while it is gone, and it goes on by itself.
  await power(served, false);
  await expect(page.getByText(/The meter is gone/)).toBeVisible({ timeout: 20_000 });
  const before = await page.getByTestId('prompt-small').innerText();
  await page.waitForTimeout(2500);
  expect(await page.getByTestId('prompt-small').innerText()).toBe(before);
  await power(served, true);
  await expect(page.getByText('The map is complete')).toBeVisible({ timeout: 120_000 });
  await expect(new Bench(page).save).toHaveText('Saved');
  const log = await kept(served, address);
  expect(log).toContain('"source":"meter"');
  expect(log).not.toMatch(/"source":"(typed|simulated|heard)"/);
});

test('twelve lugs in four positions by SCPI', { tag: '@deep' }, async ({ page, served }) => {
  test.setTimeout(900_000);
  await setMeter(served, 'stand-in-scpi');
  const ways = [1, 2, 3, 4].map((way) => [[0, way], [6, 6 + way]]); // prettier-ignore
  const address = await practise(served, 12, ...ways);
  await page.goto(address);
  await takeMeter(page);
  await page.keyboard.press('/');
  await page.keyboard.press('4');
  await page.keyboard.press('Escape');
  await expect(page.getByText(/^[2-9]\d of 66/)).toBeVisible({ timeout: 300_000 });
  await power(served, false);
  await expect(page.getByText(/The meter is gone/)).toBeVisible({ timeout: 20_000 });
  await power(served, true);
  await expect(page.getByText('The map is complete')).toBeVisible({ timeout: 800_000 });
  await expect(new Bench(page).save).toHaveText('Saved');
  expect(await kept(served, address)).not.toMatch(/"source":"(typed|simulated|heard)"/);
});

test('a handheld that goes to sleep: nothing is taken, and it goes on when it wakes', async ({
  page,
  served,
}) => {
  await setMeter(served, 'stand-in-lines');
  const address = await practise(served, 4, [[0, 1]], [[2, 3]]); // prettier-ignore
  await page.goto(address);
  await takeMeter(page, 'Bench meter');
  const band = page.getByRole('group', { name: 'Bench meter' });
  await expect(page.getByText(/^[1-5] of 6/)).toBeVisible({ timeout: 60_000 });
  await power(served, false);
  await expect(band.getByText(/hasn’t answered for a while/)).toBeVisible({ timeout: 20_000 });
  await power(served, true);
  await expect(band.getByText(/hasn’t answered/)).toBeHidden({ timeout: 30_000 });
  await expect(page.getByText('The map is complete')).toBeVisible({ timeout: 120_000 });
});

test('two devices, one meter: who claims it last has it, and the other sees who', async ({
  page,
  served,
  context,
}) => {
  await setMeter(served, 'stand-in-lines');
  const address = await practise(served, 4, [[0, 1]], [[2, 3]]); // prettier-ignore
  await page.goto(address);
  await takeMeter(page, 'Bench meter');
  const other = await context.newPage();
  await other.goto(address);
  await other.getByRole('button', { name: 'Take the bench meter from a computer' }).click();
  await expect(other.getByRole('group', { name: 'Bench meter' })).toBeVisible();
  // The first has it no more, and may take it back.
  await page.bringToFront();
  await expect(page.getByRole('group', { name: 'Bench meter' })).toBeHidden();
  await expect(page.getByRole('button', { name: 'Take the bench meter from a computer' })).toBeVisible();
});

test('the meter is set on this computer, says what it reads, and what is wrong with a setting', async ({
  page,
  served,
}) => {
  await page.goto('/settings');
  const meter = page.getByRole('region', { name: 'Bench meter' });
  await expect(meter.getByText('None is set.')).toBeVisible();
  await meter.getByText('Change').click();
  await meter.getByRole('radio', { name: 'SCPI, over the network' }).click();
  await meter.getByRole('button', { name: 'Save' }).click();
  await expect(meter.getByText('The meter’s address is missing.')).toBeVisible();
  await meter.getByLabel('Host name or address').fill('127.0.0.1');
  await meter.getByRole('textbox', { name: 'Port' }).fill('1');
  await meter.getByRole('button', { name: 'Save' }).click();
  await expect(meter.getByText('Nothing answers at that address and port.')).toBeVisible();
  await meter.getByRole('radio', { name: 'Simulated bench meter' }).click();
  await meter.getByRole('button', { name: 'Save' }).click();
  await expect(meter.getByText(/Which Way Simulated meter · over range/)).toBeVisible();
  await send(served, 'POST', '/leads', { ohms: 47 });
  await expect(meter.getByText(/Which Way Simulated meter · 47 Ω/)).toBeVisible();
  await meter.getByText('Last lines from the meter').click();
  await expect(meter.getByText(/E\+01/).first()).toBeVisible();
});
