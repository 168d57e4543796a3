import type { JobWithEvents } from '@which-way/contract';
import { expect, Served, test } from '../served.js';
import { Bench } from '../at-the-bench.js';

test.use({ serviceWorkers: 'allow' });

test('a reload while the server is away shows the job; what is answered meanwhile goes up in order, once', async ({
  browser,
}) => {
  const served = new Served();
  await served.start();
  try {
    const page = await (await browser.newContext({ baseURL: served.base })).newPage();
    const bench = new Bench(page);
    await bench.startReal(5, '2');
    await page.evaluate(async () => {
      await navigator.serviceWorker.ready;
    });
    await bench.answer('Enter');
    await bench.type('3');
    await bench.answer('Enter');
    await expect(bench.save).toHaveText('Saved');
    await served.kill();
    await bench.answer('Space');
    await expect(bench.save).toHaveText(/Waiting/);
    const prompt = (await bench.prompt.textContent()) ?? '';

    await page.reload();
    await expect(bench.prompt).toHaveText(prompt);
    await expect(page.getByRole('button', { name: /^1–3 at Position 1: Closed/ })).toBeVisible();
    await bench.answer('Space');
    await bench.answer('Space');
    const later = (await bench.prompt.textContent()) ?? '';
    await page.reload();
    await expect(bench.prompt).toHaveText(later);
    await expect(bench.save).toHaveText(/Waiting/);

    await served.start();
    await expect(bench.save).toHaveText('Saved', { timeout: 20_000 });
    const { events } = await served.get<JobWithEvents>(`/api/jobs/${bench.jobId()}`);
    const answers = events.filter(({ what }) => what.kind === 'answered');
    expect(answers).toHaveLength(4);
    expect(new Set(events.map(({ id }) => id)).size).toBe(events.length);
    expect(answers.map(({ clock }) => clock)).toEqual(
      answers.map(({ clock }) => clock).sort((a, b) => a - b),
    );
    await page.context().close();
  } finally {
    await served.end();
  }
});
