import { AxeBuilder } from '@axe-core/playwright';
import { expect, test } from '../served.js';
import { Bench } from '../at-the-bench.js';

/** Opens the choice of how to map by keyboard, goes some ways down or up in it, and comes back to the probes. */
async function choose(bench: Bench, steps: number): Promise<void> {
  const { page } = bench;
  await page.keyboard.press('/');
  const panel = page.getByRole('dialog', { name: 'How to map' });
  await expect(panel.getByRole('radio', { checked: true })).toBeFocused();
  for (let step = 0; step < Math.abs(steps); step += 1)
    await page.keyboard.press(steps > 0 ? 'ArrowDown' : 'ArrowUp');
  await page.keyboard.press('Escape');
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
  await page.keyboard.press('Enter');
  await expect(bench.prompt).toHaveText('Red to 1, black over 2 to 12');
  const asked: string[] = [];
  for (let way = 0; way < 7; way += 1) {
    if (way > 0) await choose(bench, 1);
    // The prompt that is shown stays; the choice is for the next one.
    for (let act = 0; act < 2; act += 1) {
      asked.push((await bench.prompt.textContent()) ?? '');
      await bench.answer('Enter');
    }
  }
  expect(asked.some((words) => words.includes('Turn: which sounded?'))).toBe(true);
  expect(asked.some((words) => words.includes('clip on'))).toBe(true);
  await choose(bench, -1);
  await probe(bench);
  await expect(bench.prompt).toHaveText('The map is complete');
  await bench.go('Truth table');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('2 poles, 4 positions');
  await expect(page.getByText('264 of 264 pairs settled')).toBeVisible();
});

test('nine terminals, positions unknown: a practice switch is found to be what it is, and told how it went', async ({
  page,
}) => {
  const bench = new Bench(page);
  await page.goto('/practice');
  await expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  await page.getByRole('combobox', { name: /^Which/ }).selectOption({ label: '1-pole 8-way selector' });
  await page.getByRole('button', { name: 'Put it on the bench' }).click();
  await expect(bench.prompt).toHaveText('Hold the leads together');
  await bench.answer('Enter');
  for (let position = 1; ; position += 1) {
    await probe(bench);
    if (position === 8) break;
    await bench.answer('ArrowRight');
  }
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('status').filter({ hasText: 'at its stop' })).toBeVisible();
  await page.keyboard.press('Escape');
  await bench.answer('End');
  await expect(bench.prompt).toHaveText('The map is complete');
  await page.getByRole('link', { name: 'simulated switch' }).click();
  await expect(page.getByText('The map is complete, and it is the switch.')).toBeVisible();
  await expect(page.getByText('288 of 288 pairs')).toBeVisible();
  await expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  await bench.go('Truth table');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('1 pole, 8 positions');
});

test('one wrong answer shows in the re-check, and what it looks like is said to be no proof', async ({
  page,
}) => {
  const bench = new Bench(page);
  await bench.startReal(6, '2');
  await bench.answer('Enter');
  // Two poles: 1 with 2 then 3, 4 with 5 then 6. At the first position 5 is missed.
  await bench.type('2');
  await bench.answer('Enter');
  for (let guard = 0; guard < 40; guard += 1) {
    const words = (await bench.prompt.textContent()) ?? '';
    if (/complete/.test(words)) break;
    const second = (await page.getByTestId('prompt-small').textContent())?.includes('Position 2') ?? false;
    const sounding = second ? { 1: '3', 4: '6' } : {};
    const red =
      /Red to (\d)/.exec(words)?.[1] ??
      (await page.getByTestId('prompt-small').textContent())?.match(/red stays on (\d)/)?.[1];
    const hit = sounding[Number(red) as 1 | 4];
    const black = words.replace(/^.*black (over|to) /i, '');
    const within = hit !== undefined && (black.includes(hit) || /(\d) to (\d)/.test(black));
    if (!within) await bench.answer('Space');
    else if (/over/.test(words)) {
      await bench.type(hit);
      await bench.answer('Enter');
    } else await bench.answer('Enter');
  }
  await expect(bench.prompt).toHaveText('The map is complete');
  await page.getByRole('button', { name: 'Re-check' }).click();
  await expect(page.getByText(/^Re-check: \d+ touches more/)).toBeVisible();
  // Read 4 and 5 at the first position again: they join.
  await page
    .getByRole('button', { name: /Position 1/ })
    .first()
    .click();
  await bench.type('4-5');
  await bench.answer('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'Contradiction at Position 1' })).toBeVisible();
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
  await expect(panel.getByRole('alert')).toContainText('needed for typing');
  await page.getByRole('button', { name: 'Close' }).click();
  await bench.answer('F6');
  await expect(bench.prompt).toHaveText('Red to 1, black over 2, 3');
  await bench.answer('F7');
  await expect(bench.prompt).toHaveText('Red to 2, black to 3');
  for (let repeat = 0; repeat < 6; repeat += 1) await page.keyboard.down('F7');
  await page.keyboard.up('F7');
  await expect(bench.prompt).toHaveText('Red to 1, black over 2, 3');
});
