import { Bench } from '../at-the-bench.js';
import { mappedSwitch, seedJob } from '../seeded-job.js';
import { expect, test } from '../served.js';

test('three ways in: a machine that is dead goes to its supply path, and a mapped switch to its comparison', async ({
  page,
  served,
}) => {
  await page.goto('/');
  const ways = page.getByRole('region', { name: 'Ways in' });
  await ways.getByRole('button', { name: /^Is it the switch\?/ }).click();
  // Nothing is made before it is confirmed.
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
  await ways.getByRole('button', { name: /^Is it the switch\?/ }).click();
  await page.getByLabel(/^What’s the machine\?/).fill('Hedge trimmer, dead');
  await page.keyboard.press('Enter');
  await page.getByRole('heading', { level: 1, name: 'Is it the switch?' }).waitFor({ state: 'attached' });
  await expect(page.getByRole('button', { name: /^Motor with brushes/ })).toBeVisible();

  const title = 'Rocker of a lamp, mapped';
  await seedJob(
    served,
    title,
    (newId) =>
    mappedSwitch(newId, { labels: '1 2', positions: [['OFF', ''], ['ON', '1-2']] }), // prettier-ignore
  );
  await page.goto('/');
  await ways.getByRole('button', { name: /^Compare two switches/ }).click();
  const list = page.getByRole('dialog').getByRole('list');
  // Only what is mapped can be compared with.
  await expect(list.getByRole('link', { name: /Hedge trimmer/ })).toHaveCount(0);
  await list.getByRole('link', { name: new RegExp(title) }).click();
  await page.getByRole('button', { name: 'Measure another beside this one' }).click();
  await page.getByRole('link', { name: /^Job \d+: The new part beside job/ }).click();
  await expect(new Bench(page).prompt).toHaveText('Hold the leads together');
});
