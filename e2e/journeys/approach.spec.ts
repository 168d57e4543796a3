import { looksSound } from '../looks-sound.js';
import { expect, test } from '../served.js';
import { Bench } from '../at-the-bench.js';
import type { JobWithEvents } from '@which-way/contract';

/** Chooses how to map: two keys, and the next is for the prompt again. */
async function choose({ page }: Bench, way: number): Promise<void> {
  await page.keyboard.press('/');
  const panel = page.getByRole('dialog', { name: 'How to map' });
  const ways = panel.getByRole('radiogroup', { name: /^How to map/ });
  await expect(ways.getByRole('radio', { checked: true })).toBeFocused();
  await page.keyboard.press(String(way));
  await expect(panel).toHaveCount(0);
}

/** Enter until the plan asks for something else than a reading, or so many times. */
async function probe(bench: Bench, most = 400): Promise<void> {
  for (let act = 0; act < most; act += 1) {
    if (/complete|working pairs|click on/i.test((await bench.prompt.textContent()) ?? '')) return;
    await bench.answer('Enter');
  }
}

test('a two-pole four-way wafer by every school, switching midway, by keyboard alone', async ({ page }) => {
  const bench = new Bench(page);
  await bench.startSimulated(/Two-pole four-way wafer/, '4', '3');
  await bench.byRows();
  await bench.answer('Enter');
  await expect(bench.prompt).toHaveText('Red to 1, black over 2 to 12');
  const words = async () => (await bench.prompt.textContent()) ?? '';
  const asked: string[] = [];
  for (const way of [1, 2, 3, 4, 5, 6, 7]) {
    await choose(bench, way);
    // The prompt that is shown stays; the choice is for the next one.
    for (let act = 0; act < 2; act += 1) {
      asked.push(await words());
      await bench.answer('Enter');
    }
  }
  // On a busy machine the plain plan stands in where the better one is late: then a later prompt turns the handle.
  const turns = () => asked.some((one) => one.includes('Turn: what does it read?'));
  await choose(bench, 2);
  for (let act = 0; act < 20 && !turns(); act += 1) {
    await bench.answer('Enter');
    asked.push(await words());
  }
  expect(turns()).toBe(true);
  expect(asked.some((one) => one.includes(', black over'))).toBe(true);
  await choose(bench, 6);
  await probe(bench);
  await expect(bench.prompt).toHaveText('The map is complete');
  await bench.go('Truth table');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('2-pole 4-way selector, commons');
  await expect(page.getByText('264 of 264 pairs settled')).toBeVisible();
});

test('goes on where the browser will not run the worker, and says that there is no forecast', async ({
  page,
}) => {
  await page.context().route('**/planner.worker*', (route) => route.abort());
  const bench = new Bench(page);
  await bench.startReal(4, '2');
  await bench.answer('Enter');
  await choose(bench, 4);
  for (let act = 0; act < 30 && !/complete/.test((await bench.prompt.textContent()) ?? ''); act += 1)
    await bench.answer('Space');
  await expect(bench.prompt).toHaveText('The map is complete');
  await page.keyboard.press('/');
  await expect(page.getByText('no forecast').first()).toBeVisible();
});

test('nine terminals, positions unknown: a practice switch is found to be what it is, and told how it went', async ({
  page,
}) => {
  const bench = new Bench(page);
  await page.goto('/practice');
  await expect(page.getByRole('button', { name: 'Put it on the bench' })).toBeVisible();
  await looksSound(page, 'the practice switch');
  await bench.pick(/^Which/, '1-pole 8-way selector');
  await page.getByRole('button', { name: 'Put it on the bench' }).click();
  await expect(bench.prompt).toHaveText('Hold the leads together');
  await bench.answer('Enter');
  // The first position by rows; then it is found how many there are, and the rest goes by what settles most per second.
  await probe(bench);
  for (let position = 2; position <= 8; position += 1) {
    await page.keyboard.press('ArrowRight');
    await expect(page.getByRole('list').getByText(`Position ${position}`).first()).toBeVisible();
  }
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('status').filter({ hasText: 'at its stop' })).toBeVisible();
  await page.keyboard.press('Escape');
  await bench.answer('End');
  await probe(bench);
  await expect(bench.prompt).toHaveText('The map is complete');
  await page.getByRole('link', { name: 'simulated switch' }).click();
  await expect(page.getByText('The map is complete, and it is the switch.')).toBeVisible();
  await expect(page.getByText('288 of 288 pairs')).toBeVisible();
  await looksSound(page, 'how the practice went');
  await bench.go('Truth table');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('1-pole 8-way selector');
});

test('one wrong answer, which the map says nothing of, is found by the re-check and settled', async ({
  page,
  served,
}) => {
  const bench = new Bench(page);
  await bench.startSimulated(/Two-pole three-way slide/, '3', '5');
  const { job } = await served.get<JobWithEvents>(`/api/jobs/${bench.jobId()}`);
  const first = job.simulation?.contacts.find(({ closedIn }) => closedIn.includes(0));
  const [a, b] = [(first?.a ?? 0) + 1, (first?.b ?? 0) + 1];
  await bench.answer('Enter');
  // The slip: a pair that joins here is written down as open.
  await bench.type(`${a}-${b}=OL`);
  await bench.thought();
  await probe(bench);
  await expect(bench.prompt).toHaveText('The map is complete');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.getByRole('button', { name: 'Re-check' }).click();
  await bench.thought();
  await expect(page.getByText(/^Re-check: \d+ touches more/)).toBeVisible();
  const contradiction = page.getByRole('alert').filter({ hasText: 'Contradiction at Position 1' });
  for (let act = 0; act < 40 && (await contradiction.count()) === 0; act += 1) await bench.answer('Enter');
  await expect(contradiction).toBeVisible();
  // Of its suspects the one that was typed is read again, and what is read now takes its place.
  await contradiction
    .getByTestId('reading')
    .filter({ hasText: `${a} to ${b}` })
    .filter({ hasText: 'OL' })
    .getByRole('button', { name: 'Read again' })
    .click();
  await bench.answer('Enter');
  await expect(contradiction).toHaveCount(0);
  await probe(bench);
  await expect(bench.prompt).toHaveText('Complete and re-checked');
});

test('a meter that fell asleep: the leads are asked together again, and what is doubtful is asked anew', async ({
  page,
}) => {
  await page.clock.install();
  const bench = new Bench(page);
  await bench.startReal(4, '1');
  await bench.answer('Enter');
  await bench.type('2');
  await bench.answer('Enter');
  await page.clock.fastForward(11 * 60_000);
  await expect(bench.prompt).toHaveText('Leads together again');
  await expect(page.getByTestId('prompt-small')).toContainText('gone to sleep');
  await page.keyboard.press('Space');
  const doubtful = page.getByRole('alert').filter({ hasText: 'doubtful' });
  await expect(doubtful).toContainText('3 readings are doubtful');
  await bench.answer('Enter');
  await doubtful.getByRole('button', { name: 'Ask just those again' }).click();
  await expect(doubtful).toHaveCount(0);
  await expect(bench.prompt).toHaveText('Red to 1, black over 2 to 4');
});

test('a pedal learns by being pressed: one answers, the other undoes when it is held', async ({ page }) => {
  const bench = new Bench(page);
  await bench.startReal(3, '1');
  await page.keyboard.press('?');
  const panel = page.getByRole('region', { name: 'Pedals and keys of your own' });
  const learn = async (place: number, key: string) => {
    await panel.getByRole('button', { name: 'Learn' }).nth(place).click();
    await page.keyboard.press(key);
    await expect(panel.getByText(key, { exact: true })).toBeVisible();
  };
  await learn(0, 'F6');
  await learn(1, 'F7');
  await panel.getByRole('button', { name: 'Learn' }).nth(2).click();
  await page.keyboard.press('a');
  await expect(panel.getByRole('alert')).toContainText('already used for typing');
  await page.getByRole('button', { name: 'Close' }).click();
  await bench.answer('F6');
  await expect(bench.prompt).toHaveText('Red to 1, black over 2, 3');
  // The pedal steps through the sweep touch by touch.
  await expect(page.getByTestId('prompt-small')).toContainText('Now 2:');
  await bench.answer('F7');
  await expect(page.getByTestId('prompt-small')).toContainText('Now 3:');
  await bench.answer('F7');
  await expect(bench.prompt).toHaveText('Red to 2, black to 3');
  for (let repeat = 0; repeat < 6; repeat += 1) await page.keyboard.down('F7');
  await page.keyboard.up('F7');
  await expect(bench.prompt).toHaveText('Red to 1, black over 2, 3');
});
