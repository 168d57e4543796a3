import { Bench } from '../at-the-bench.js';
import { mappedSwitch, seedJob } from '../seeded-job.js';
import { expect, test } from '../served.js';

test('a pickup selector is told in words: what reaches the output, and how', async ({ page, served }) => {
  const address = await seedJob(served, 'Pickup selector of a club guitar', (newId) =>
    mappedSwitch(newId, {
      labels: 'a b c',
      positions: [['UP', 'a-c'], ['MIDDLE', 'a-b-c'], ['DOWN', 'b-c']], // prettier-ignore
    }),
  );
  const bench = new Bench(page);
  await page.goto(address.replace(/map$/, 'tag/wires'));
  const common = page.getByRole('region', { name: 'Common arrangements' });
  await common.getByRole('combobox').click();
  await page.getByRole('option', { name: 'Two pickups on one output: one, both, the other' }).click();
  await expect(common.getByRole('listitem')).toHaveText([/Neck, hot/, /Bridge, hot/, 'c: Output, hot']);
  // Nothing here takes watts, so none are asked.
  await expect(common.getByText('Without figures, no watts are calculated.')).toBeHidden();
  await common.getByRole('button', { name: 'Use it' }).click();
  await expect(bench.save).toHaveText('Saved');

  await page.goto(address.replace(/map$/, 'table/machine'));
  const heading = page.getByRole('heading', { level: 1 });
  await expect(heading).toHaveText(/^At UP: Output has (Neck|Bridge)$/);
  await page.keyboard.press('ArrowRight');
  await expect(heading).toHaveText('At MIDDLE: Output has Neck and Bridge in parallel');
  const table = page.getByRole('table', { name: 'What each load does' });
  await expect(table.getByRole('row', { name: /^MIDDLE/ })).toContainText('Neck and Bridge in parallel');
  await expect(page.getByText(/\bW\b/)).toBeHidden();
  await expect(page.getByText(/live|short/i)).toBeHidden();
});

test('a contactor that holds itself in is told: off until started, and on from then', async ({
  page,
  served,
}) => {
  const address = await seedJob(served, 'Start switch of a drill press', (newId) =>
    mappedSwitch(newId, {
      labels: 'a b c',
      positions: [['STOP', ''], ['RUN', 'a-b'], ['START', 'a-b-c']], // prettier-ignore
    }),
  );
  const bench = new Bench(page);
  await page.goto(address.replace(/map$/, 'tag/wires'));
  const common = page.getByRole('region', { name: 'Common arrangements' });
  await common.getByRole('combobox').click();
  await page
    .getByRole('option', { name: 'Stop, run and sprung start with a contactor that holds itself in' })
    .click();
  await common.getByRole('button', { name: 'Use it' }).click();
  await expect(bench.save).toHaveText('Saved');

  await page.goto(address.replace(/map$/, 'table/machine'));
  const table = page.getByRole('table', { name: 'What each load does' });
  await expect(table.getByRole('row', { name: /^STOP/ })).not.toContainText('once started');
  await expect(table.getByRole('row', { name: /^RUN/ })).toContainText('released; once started, on');
  await expect(table.getByRole('row', { name: /^START/ })).toContainText('pulled in');
  // Nobody has said that START springs back.
  await expect(
    page.getByText(/^At START Motor starts by itself after a power cut if the handle stays there/),
  ).toBeVisible();
});
