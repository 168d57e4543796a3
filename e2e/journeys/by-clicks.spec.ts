import type { JobWithEvents } from '@which-way/contract';
import type { Page } from '@playwright/test';
import { Bench } from '../at-the-bench.js';
import { practise } from '../practice-job.js';
import { expect, test, type Served } from '../served.js';

/** Chooses how it listens. */
async function option(page: Page, label: string, text: string): Promise<void> {
  await page.getByRole('button', { name: 'Options' }).click();
  await page.getByRole('combobox', { name: label }).click();
  await page.getByRole('option', { name: text }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog', { name: 'Options' })).toHaveCount(0);
}

/** Listens to the simulated beeper, and lets clicks lead the sweeps, position by position. */
async function listenOnClicks(page: Page): Promise<void> {
  await expect(page.getByRole('button', { name: /^Position first/ })).toBeVisible();
  await option(page, 'Sweeps', 'Sweep on clicks, 0.7 s');
  await page.getByRole('button', { name: 'Listen' }).click();
}

const sweepLine = (page: Page) => page.getByTestId('sweep').getByRole('status');

/** Goes on with the pedal alone until the map is complete: how often it was pressed, and how many sweeps and positions it took. */
async function byPedal(page: Page, most: number): Promise<{ pedals: number; sweeps: number }> {
  const prompt = page.getByTestId('prompt');
  let [pedals, sweeps] = [0, 0];
  for (let turn = 0; turn < most; turn += 1) {
    if ((await prompt.innerText()) === 'The map is complete') return { pedals, sweeps };
    const agreed = page.getByRole('button', { name: 'Confirm' });
    const sweeping = page.getByTestId('sweep');
    if (await sweeping.isVisible()) {
      await agreed.waitFor({ timeout: 60_000 });
      sweeps += 1;
    } else {
      // One touch alone beeps by itself; silence is the pedal’s.
      const before = await prompt.innerText();
      const went = await expect(prompt).not.toHaveText(before, { timeout: 2500 }).then(() => true, () => false); // prettier-ignore
      if (went || (await sweeping.isVisible())) continue;
    }
    const before = `${await prompt.innerText()}${await page.getByTestId('prompt-small').innerText()}`;
    await page.keyboard.press(' ');
    pedals += 1;
    await expect
      .poll(async () => `${await prompt.innerText()}${await page.getByTestId('prompt-small').innerText()}`)
      .not.toBe(before);
  }
  throw new Error('the map did not come to an end');
}

/** What was joined according to the log of a job: labels of each pair that was heard to join, by position. */
async function heardOf(served: Served, address: string) {
  const job = await served.get<JobWithEvents>(`/api${address.replace(/\/map$/, '')}`);
  return JSON.stringify(job.events);
}

test('a sweep is led by clicks and taken by one press: four lugs, two positions, by beep and pedal alone', async ({
  page,
  served,
}) => {
  const address = await practise(served, 4, [[0, 1]], [[0, 1], [2, 3]]); // prettier-ignore
  await page.goto(address);
  await listenOnClicks(page);
  const { sweeps } = await byPedal(page, 60);
  expect(sweeps).toBeGreaterThanOrEqual(2);
  await expect(new Bench(page).save).toHaveText('Saved');
  const log = await heardOf(served, address);
  expect(log).toContain('"source":"heard"');
  expect(log).not.toContain('"source":"typed"');
  await page.getByRole('link', { name: 'See the truth table' }).click();
  await expect(page.getByRole('button', { name: /^1–2 at Position 1: Closed/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^3–4 at Position 2: Closed/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /Closed/ })).toHaveCount(3);
});

test('a clip that falls off and a meter that sleeps void the sweep, and nothing of it is kept', async ({
  page,
  served,
}) => {
  const address = await practise(served, 5, [[0, 4]], [[0, 4], [1, 2]]); // prettier-ignore
  await page.goto(address);
  await listenOnClicks(page);
  const line = sweepLine(page);
  const meter = (state: string) => option(page, 'Simulated meter', state);
  await expect(line).toContainText('On each click, touch the marked terminal.', { timeout: 30_000 });
  await meter('The clip is off');
  await expect(line).toContainText(/^Check the clip on \d, then touch it to start again\.$/, {
    timeout: 30_000,
  });
  await expect(page.getByRole('button', { name: 'Confirm' })).toHaveCount(0);
  expect(await heardOf(served, address)).not.toContain('"source":"heard"');
  // Asleep it does not even begin: no click comes without the clip’s own beep.
  await meter('The meter is asleep');
  await page.waitForTimeout(3000);
  await expect(line).toContainText('touch it to start again');
  await meter('The meter works');
  await page.getByRole('button', { name: 'Undo sweep' }).waitFor({ timeout: 30_000 });
  const { sweeps } = await byPedal(page, 80);
  expect(sweeps).toBeGreaterThan(0);
  await page.getByRole('link', { name: 'See the truth table' }).click();
  await expect(page.getByRole('button', { name: /Closed/ })).toHaveCount(3);
});

test('a page that is hidden stops listening and says so', async ({ page, served }) => {
  await page.goto(await practise(served, 3, [[0, 1]], [[0, 2]])); // prettier-ignore
  await listenOnClicks(page);
  await expect(sweepLine(page)).toContainText('On each click', { timeout: 30_000 });
  await page.evaluate(() => {
    Object.defineProperty(document, 'hidden', { get: () => true, configurable: true });
    document.dispatchEvent(new Event('visibilitychange'));
  });
  await expect(page.getByText('Listening stopped while the page was hidden.')).toBeVisible();
  await expect(page.getByTestId('sweep')).toHaveCount(0);
});

test('twelve lugs in four positions by beep and pedal alone', { tag: '@deep' }, async ({ page, served }) => {
  test.setTimeout(1_200_000);
  const ways = [1, 2, 3, 4].map((way) => [[0, way], [6, 6 + way]]); // prettier-ignore
  const address = await practise(served, 12, ...ways);
  await page.goto(address);
  await listenOnClicks(page);
  const { pedals, sweeps } = await byPedal(page, 400);
  test.info().annotations.push({ type: 'pedals', description: `${pedals} for ${sweeps} sweeps` });
  await page.getByRole('link', { name: 'See the truth table' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('2-pole 4-way selector');
  expect(await heardOf(served, address)).not.toContain('"source":"typed"');
});
