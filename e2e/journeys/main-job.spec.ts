import type { JobWithEvents } from '@which-way/contract';
import { expect, test } from '../served.js';
import { Bench } from '../at-the-bench.js';

/** Which terminals join in a position of the hidden switch, as groups of labels 1, 2, 3 ... */
function truthOf(job: JobWithEvents['job'], position: number, a: string, b: string): boolean {
  const contacts = job.simulation?.contacts.filter(({ closedIn }) => closedIn.includes(position)) ?? [];
  const [one, other] = [Number(a) - 1, Number(b) - 1];
  return contacts.some(
    (contact) => [contact.a, contact.b].includes(one) && [contact.a, contact.b].includes(other),
  );
}

test('from Map a switch to a chosen replacement, on a simulated switch with 8 terminals and 3 positions', async ({
  page,
  served,
}) => {
  const bench = new Bench(page);
  await bench.startSimulated(/Two-pole three-way slide/, '3', '7');
  await expect(page.getByText('simulated switch').first()).toBeVisible();
  await bench.byRows();
  await bench.answer('Enter');
  await expect(bench.prompt).toHaveText('Red to 1, black over 2 to 8');

  // The first sweep touch by touch: the meter shows each value.
  for (const label of ['2', '3', '4', '5', '6', '7', '8']) await bench.terminal(label).click();
  await expect(page.getByText('OL', { exact: true }).first()).toBeVisible();
  await bench.answer('Enter');
  await bench.probeOn();
  await expect(bench.prompt).toHaveText('The map is complete');
  await expect(bench.save).toHaveText('Saved');

  await bench.go('Truth table');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('2-pole 3-way selector, commons');
  await expect(page.getByText('84 of 84 pairs settled')).toBeVisible();
  const stored = await served.get<JobWithEvents>(`/api/jobs/${bench.jobId()}`);
  for (const [place, position] of ['Position 1', 'Position 2', 'Position 3'].entries()) {
    const closed = page.getByRole('button', { name: new RegExp(`^\\d–\\d at ${position}: Closed`) });
    await expect(closed).toHaveCount(2);
    for (const cell of await closed.all()) {
      const [, a = '', b = ''] = /^(\d)–(\d)/.exec((await cell.getAttribute('aria-label')) ?? '') ?? [];
      expect(truthOf(stored.job, place, a, b)).toBe(true);
    }
  }

  await bench.go('Verify');
  await page.getByRole('button', { name: 'Fill it in by hand' }).click();
  // Nothing is said yet, so nothing differs.
  await expect(page.getByTestId('outcome')).toContainText('nothing specified yet');
  await page.getByRole('button', { name: 'Everything else should be open' }).click();
  await expect(page.getByTestId('outcome')).toContainText('0 missing and 6 extra');
  await page.getByText('6 differences', { exact: true }).click();
  await expect(page.getByLabel('Differences').getByRole('listitem')).toHaveCount(6);
  const open = await page.getByRole('button', { name: /should be open$/ }).all();
  const names = await Promise.all(open.map(async (cell) => (await cell.getAttribute('aria-label')) ?? ''));
  for (const name of names) {
    const [, a = '', b = '', position = ''] = /^(\d)–(\d) at Position (\d)/.exec(name) ?? [];
    if (truthOf(stored.job, Number(position) - 1, a, b))
      await page.getByRole('button', { name, exact: true }).click();
  }
  await expect(page.getByTestId('outcome')).toContainText('agrees in every pair and position');

  await bench.go('Match');
  await expect(page.getByText(/^\d+ possible of \d+$/)).toBeVisible();
  await expect(page.getByText('same wiring doesn’t mean it fits').first()).toBeVisible();
  await page.getByText(/^Ruled out: \d+/).click();
  await expect(page.getByText(/^no: \d+ terminals, 8 are needed$/).first()).toBeVisible();
  const first = page
    .getByRole('list', { name: 'Library, best first' })
    .getByRole('button', { name: /Marrowby slide 23/ });
  await expect(first).toContainText('same wiring');
  await first.click();
  const lines = page.getByRole('table', { name: 'Terminal by terminal' }).getByRole('row');
  const map = new Map<string, string>();
  for (const row of (await lines.all()).slice(1)) {
    const [from = '', , to = ''] = await row.getByRole('cell').allTextContents();
    map.set(to, from);
  }
  expect(map.size).toBe(8);
  for (const pole of ['A', 'B']) {
    for (const way of [1, 2, 3]) {
      expect(truthOf(stored.job, way - 1, map.get(`${pole}0`) ?? '', map.get(`${pole}${way}`) ?? '')).toBe(
        true,
      );
    }
  }
  await page.getByRole('button', { name: 'Choose this one' }).click();
  await expect(page.getByRole('button', { name: 'Chosen. Undo' })).toBeVisible();
  await expect(bench.save).toHaveText('Saved');

  await page.goto('/');
  await expect(page.getByText('Chosen: Marrowby slide 23').first()).toBeVisible();
});

test('positions unknown: found on the way, and the list is closed by the stop', async ({ page }) => {
  const bench = new Bench(page);
  await bench.startSimulated(/Three-heat selector/, '?', '3');
  await bench.probeOn();
  await expect(bench.prompt).toHaveText('Turn one click on');
  await page.keyboard.press('End');
  await expect(page.getByRole('status')).toContainText('still clicks on');
  for (let position = 2; position <= 4; position += 1) {
    await page.keyboard.press('ArrowRight');
    await expect(page.getByRole('list').getByText(`Position ${position}`).first()).toBeVisible();
  }
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('status')).toContainText('at its stop');
  await bench.answer('End');
  await bench.probeOn();
  await expect(bench.prompt).toHaveText('The map is complete');
  await bench.go('Match');
  await expect(
    page
      .getByRole('list', { name: 'Library, best first' })
      .getByRole('button', { name: /Emberling heat four/ }),
  ).toBeVisible();
});

test('a real switch is at its first probe after three inputs, and a lug and names are added on the way', async ({
  page,
}) => {
  const bench = new Bench(page);
  await bench.startReal(2);
  await bench.answer('Enter');
  await expect(bench.prompt).toHaveText('Red to 1, black to 2');
  await page.keyboard.press('+');
  await expect(bench.terminal('3')).toBeVisible();
  await expect(bench.prompt).toHaveText('Red to 1, black to 2');
  await bench.answer('Enter');
  await expect(bench.prompt).toHaveText('Black to 3');
  await bench.answer('Space');
  await expect(bench.prompt).toHaveText('Move it one click on');
  await page.getByRole('button', { name: 'Position 1 settled' }).click();
  await page.getByLabel('Name of the position').fill('LOW');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'LOW settled' })).toBeVisible();
  await page.getByRole('button', { name: 'The switch' }).click();
  await bench.pick('Terminal', '3');
  await page.getByLabel('New label').fill('2');
  await page.getByRole('button', { name: 'Rename' }).click();
  await expect(page.getByText('There is already a terminal 2.')).toBeVisible();
  await page.getByLabel('New label').fill('L1');
  await page.getByRole('button', { name: 'Rename' }).click();
  await page.getByLabel('Circle').check();
  await page.keyboard.press('Escape');
  await expect(bench.terminal('L1')).toBeVisible();
  await bench.type('2-l1');
  await expect(bench.prompt).toHaveText('Red to 2, black to L1');
});
