import { Bench } from '../at-the-bench.js';
import { practise } from '../practice-job.js';
import { expect, test, type Served } from '../served.js';

const PLAIN = { kind: 'none', host: '', port: 5025, device: '', baud: 9600, mode: 'two-wire' };

/** Sets the meter of the bench. */
async function setMeter({ base }: Served, kind: string): Promise<void> {
  const response = await fetch(`${base}/api/meter`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ ...PLAIN, kind }),
  });
  if (!response.ok) throw new Error(await response.text());
}

test('four lugs and two positions are mapped by a SCPI meter alone, in ohms, as the meter’s', async ({
  page,
  served,
}) => {
  await setMeter(served, 'stand-in-scpi');
  const address = await practise(served, 4, [[0, 1]], [[0, 1], [2, 3]]); // prettier-ignore
  await page.goto(address);
  await page.getByRole('button', { name: 'Use the bench meter' }).click();
  const band = page.getByRole('group', { name: 'Which Way Simulated meter' });
  await expect(band).toBeVisible();
  await band.getByRole('combobox', { name: 'Open after' }).click();
  await page.getByRole('option', { name: 'Open after 1.5 s' }).click();
  if (process.env['SHOT']) await page.screenshot({ path: '/tmp/wire1.png' });
  await expect(page.getByText('The map is complete')).toBeVisible({ timeout: 120_000 });
  await expect(new Bench(page).save).toHaveText('Saved');
  const kept = await (await fetch(`${served.base}/api${address.replace(/\/map$/, '')}`)).text();
  expect(kept).toContain('"source":"meter"');
  expect(kept).not.toContain('"source":"typed"');
  expect(kept).not.toContain('"source":"simulated"');
});
