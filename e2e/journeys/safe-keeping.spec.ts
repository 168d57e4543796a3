import type { JobWithEvents } from '@which-way/contract';
import { expect, Served, test } from '../served.js';
import { Bench } from '../at-the-bench.js';

test('a reload in the middle returns to the same prompt, with everything answered so far', async ({
  page,
}) => {
  const bench = new Bench(page);
  await bench.startReal(5, '2');
  await bench.answer('Enter');
  await bench.type('3');
  await bench.answer('Enter');
  await expect(bench.save).toHaveText('Saved');
  const before = await bench.prompt.textContent();
  await page.reload();
  await expect(bench.prompt).toHaveText(before ?? '');
  await expect(page.getByRole('button', { name: /^1–3 at Position 1: Closed/ })).toBeVisible();
  await bench.answer('Space');
  await expect(page.getByText('kept aside')).toHaveCount(0);
});

test('a server killed right after an answer has lost nothing that it acknowledged; what waited is sent when it is back', async ({
  page,
}) => {
  const served = new Served();
  await served.start();
  try {
    const bench = new Bench(page);
    await page.goto(served.base);
    await page.getByRole('heading', { name: 'On the bench' }).waitFor();
    await page.keyboard.press('n');
    await page.getByLabel('How many terminals?').fill('6');
    await page.keyboard.press('Enter');
    await expect(bench.prompt).toHaveText('Hold the leads together');
    await bench.answer('Enter');
    await bench.answer('Space');
    await expect(bench.save).toHaveText('Saved');
    const saved = await served.get<JobWithEvents>(`/api/jobs/${bench.jobId()}`);
    await served.kill();

    await bench.answer('Space');
    await expect(bench.save).toHaveText(/Waiting: \d+ not saved yet/);
    await bench.answer('Space');
    const prompt = await bench.prompt.textContent();
    await served.start();
    const after = await served.get<JobWithEvents>(`/api/jobs/${bench.jobId()}`);
    expect(after.events.slice(0, saved.events.length)).toEqual(saved.events);
    await expect(bench.save).toHaveText('Saved', { timeout: 20_000 });
    const sent = await served.get<JobWithEvents>(`/api/jobs/${bench.jobId()}`);
    expect(sent.events.filter(({ what }) => what.kind === 'answered')).toHaveLength(3);
    expect(new Set(sent.events.map(({ id }) => id)).size).toBe(sent.events.length);
    await page.reload();
    await expect(bench.prompt).toHaveText(prompt ?? '');

    // The same with a reload while something waits: it is still in the browser.
    await served.kill();
    await bench.answer('Space');
    await expect(bench.save).toHaveText(/Waiting/);
    const waiting = await bench.prompt.textContent();
    await served.start();
    await page.reload();
    await expect(bench.prompt).toHaveText(waiting ?? '');
    await expect(bench.save).toHaveText('Saved');
    const all = await served.get<JobWithEvents>(`/api/jobs/${bench.jobId()}`);
    expect(all.events.filter(({ what }) => what.kind === 'answered')).toHaveLength(4);
  } finally {
    await served.end();
  }
});

test('two tabs do not overwrite each other: a change made on an older switch is set aside, and made again on the switch as it is', async ({
  page,
  context,
}) => {
  const bench = new Bench(page);
  await bench.startReal(3, '1');
  await expect(bench.save).toHaveText('Saved');
  const other = await context.newPage();
  // This tab hears nothing by itself, as where a proxy swallows the stream, and does not get through when it only asks.
  await other.route('**/api/stream**', (route) => route.abort());
  await other.route('**/api/jobs/*/events', (route) => {
    const { events } = route.request().postDataJSON() as { events: unknown[] };
    return events.length === 0 ? route.abort() : route.continue();
  });
  await other.goto(page.url());
  await expect(other.getByTestId('prompt')).toHaveText('Hold the leads together');
  await page.keyboard.press('+');
  await expect(bench.save).toHaveText('Saved');
  await other.getByRole('heading', { name: 'Map' }).waitFor({ state: 'attached' });
  await other.keyboard.press('+');
  await expect(other.getByText('A change was not saved')).toBeVisible();
  await expect(other.getByTestId('save-state')).toHaveText(/Failed/);
  await expect(new Bench(other).terminal('4')).toHaveCount(1);
  await other.reload();
  await expect(other.getByText('Not saved: one more lug.')).toBeVisible();
  await other.getByRole('button', { name: 'Leave it out' }).click();
  await expect(other.getByTestId('save-state')).toHaveText('Saved');
  await expect(new Bench(other).terminal('4')).toHaveCount(1);
});

test('wrong files and wrong values are refused clearly, and nothing of them is taken in', async ({
  page,
  served,
}) => {
  const jobs = async () => (await served.get<unknown[]>('/api/jobs')).length;
  await page.goto('/');
  await page.getByRole('heading', { name: 'On the bench' }).waitFor();
  const before = await jobs();
  const give = (name: string, text: string) =>
    page
      .getByLabel('Import a Which Way file')
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
  await give('holiday.json', '{"photos": 12}');
  await expect(
    page.getByText('The file wasn’t imported. format: This is not a Which Way file.'),
  ).toBeVisible();
  await give('cut.json', '{"format":"which-way","version":1,"jobs":[');
  await expect(page.getByText(/The file is not JSON \(it ends in the middle\)/)).toBeVisible();
  await give('old.json', '{"format":"which-way","version":9,"jobs":[],"library":[]}');
  await expect(page.getByText(/version 9, which this program does not know/)).toBeVisible();
  expect(await jobs()).toBe(before);

  await page.getByRole('button', { name: 'Map a switch' }).click();
  const start = page.getByRole('button', { name: 'It is out of the machine: start' });
  await start.click();
  await expect(page.getByRole('alert')).toContainText('The number of terminals is missing.');
  await page.getByLabel('How many terminals?').fill('two');
  await start.click();
  await expect(page.getByRole('alert')).toContainText('Enter a whole number from 2 to 48.');
  await page.getByLabel('How many terminals?').fill('4');
  await page.getByLabel('How many positions?').fill('0');
  await start.click();
  await expect(page.getByRole('alert')).toContainText('or ? if you do not know');
  expect(await jobs()).toBe(before);

  await page.goto('/jobs/00000000-0000-4000-8000-000000000000/map');
  await expect(page.getByText('There’s no job at this address.')).toBeVisible();
  await page.goto('/nowhere');
  await expect(page.getByText('There is nothing at this address.')).toBeVisible();
});

test('a piece that only stands beside the page does not come: the page stays, and the piece comes later', async ({
  page,
  served,
}) => {
  let cut = 0;
  await page.route('**/assets/*.js', async (route) => {
    const response = await route.fetch();
    const isBeside = (await response.text()).includes('data-sonner-toaster');
    if (!isBeside || cut > 0) return route.fulfill({ response });
    cut += 1;
    return route.abort();
  });
  await page.goto(served.base);
  await expect.poll(() => cut).toBe(1);
  await expect(page.getByRole('link', { name: 'Which Way: the bench' })).toBeVisible();
  await expect(page.getByRole('region', { name: /^Notifications/ })).toBeAttached({ timeout: 15_000 });
  await expect(page.getByRole('link', { name: 'Which Way: the bench' })).toBeVisible();
});
