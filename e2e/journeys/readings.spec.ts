import type { Page } from '@playwright/test';
import { expect, test } from '../served.js';
import { Bench } from '../at-the-bench.js';

test('typed ohms, undo and redo, skip, and a correction from the tape', async ({ page }) => {
  const bench = new Bench(page);
  await bench.startReal(3, '1');
  await page.getByRole('button', { name: 'Ohms' }).click();
  await bench.type('7');
  await expect(page.getByRole('status')).toContainText('too much for leads alone');
  await bench.answer('0', ',', '2', 'Enter');
  await expect(bench.prompt).toHaveText('Red to 1, black over 2, 3');

  await bench.type('9=0,3');
  await expect(page.getByRole('status')).toContainText('no terminal “9”');
  await page.keyboard.press('Escape');
  await bench.type('2=zero');
  await expect(page.getByRole('status')).toContainText('isn’t a value');
  await page.keyboard.press('Escape');
  await bench.type('2=0,5');
  await bench.answer('Enter');
  const cell = page.getByRole('button', { name: /^1–2 at Position 1/ });
  await expect(cell).toHaveAttribute('data-state', 'closed');
  await cell.click();
  await expect(page.getByTestId('inspector')).toContainText('Closed: measured');
  await expect(page.getByTestId('inspector')).toContainText('0.3 Ω closed');
  await page.getByTestId('inspector').getByRole('button', { name: 'Close' }).click();
  await expect(bench.prompt).toHaveText('The map is complete');

  await bench.answer('Backspace');
  await expect(bench.prompt).toHaveText('Red to 1, black over 2, 3');
  await expect(cell).toHaveCount(0);
  await bench.answer('Shift+Backspace');
  await expect(cell).toHaveAttribute('data-state', 'closed');

  // 2 to 3 follows: by way of 1. Its proof is the two readings.
  await bench.type('2-3');
  await page.keyboard.press('ArrowDown');
  await page.getByRole('tab', { name: 'Readings' }).click();
  await page.getByText('red 1, black over 2, 3').first().click();
  await page
    .getByTestId('reading')
    .filter({ hasText: '1 to 2' })
    .getByRole('button', { name: 'Read again' })
    .click();
  await expect(bench.prompt).toHaveText('Again: black to 2');
  await bench.type('2k2');
  await page.getByRole('tab', { name: 'Truth table so far' }).click();
  await expect(cell).toHaveAttribute('data-state', 'look-again');
  await expect(bench.prompt).not.toHaveText('The map is complete');
});

/** A skipped prompt stays unknown until it is asked again. */
async function skippedAndAskedAgain(page: Page): Promise<void> {
  const bench = new Bench(page);
  await bench.startReal(3, '1');
  await bench.answer('Enter');
  await bench.answer('ArrowDown');
  await expect(bench.prompt).toHaveText('Red to 2, black to 3');
  await bench.answer('Space');
  await expect(bench.prompt).toHaveText('2 pairs were skipped');
  await page.getByRole('button', { name: 'Ask them now' }).click();
  await expect(bench.prompt).toHaveText('Red to 1, black over 2, 3');
  await bench.type('3');
  await bench.answer('Enter');
  await expect(bench.prompt).toHaveText('The map is complete');
}

/** A contradiction is shown with all its suspects, and a re-read of one settles it. */
async function contradictionSettled(page: Page): Promise<void> {
  const bench = new Bench(page);
  await bench.startReal(3, '1');
  await bench.answer('Enter');
  await bench.type('2');
  await bench.type('3');
  await bench.answer('Enter');
  await expect(bench.prompt).toHaveText('The map is complete');
  await bench.type('2-3');
  await expect(bench.prompt).toHaveText('Red to 2, black to 3');
  await bench.answer('Space');
  const panel = page.getByRole('alert').filter({ hasText: 'Contradiction at Position 1' });
  await expect(panel.getByTestId('reading')).toHaveCount(3);
  await expect(panel).toContainText('parts in series');
  await expect(page.getByRole('button', { name: '1–2 at Position 1: Disputed' })).toBeVisible();
  await bench.go('Match');
  await expect(page.getByText('no match is built on a dispute')).toBeVisible();
  await bench.go('Map');
  await panel
    .getByTestId('reading')
    .filter({ hasText: '1 to 3' })
    .getByRole('button', { name: 'Read again' })
    .click();
  await expect(bench.prompt).toHaveText('Again: black to 3');
  await page.keyboard.press('Space');
  await expect(panel).toHaveCount(0);
  await expect(bench.prompt).toHaveText('The map is complete');
  await expect(
    page.getByRole('button', { name: '1–2 at Position 1: Closed, by tone: measured' }),
  ).toBeVisible();
}

/** A switch that is still in the machine keeps the Map shut and says why. */
async function shutInTheMachine(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'Map a switch' }).click();
  await page.getByLabel('How many terminals?').fill('3');
  await page.getByRole('button', { name: 'It is still in the machine' }).click();
  await expect(page.getByRole('heading', { name: 'Make safe' })).toBeVisible();
  await new Bench(page).go('Map');
  await expect(page.getByText('Mapping is locked: the switch is still in the machine.')).toBeVisible();
  await expect(page.getByTestId('prompt')).toHaveCount(0);
  await page.getByRole('button', { name: 'It is out of the machine now' }).click();
  await expect(page.getByTestId('prompt')).toHaveText('Hold the leads together');
}

/** The re-check asks what would have hidden a slip, and a slip in it is shown with its suspects. */
async function recheckShowsASlip(page: Page): Promise<void> {
  const bench = new Bench(page);
  await bench.startReal(3, '1');
  await bench.answer('Enter');
  await bench.type('3');
  await bench.answer('Enter');
  await expect(bench.prompt).toHaveText('The map is complete');
  await expect(page.getByTestId('prompt-small')).toContainText('the re-check takes 3 touches');
  await bench.go('Truth table');
  await expect(page.getByText('Not re-checked: a single slip would not have shown.')).toBeVisible();
  await bench.go('Map');
  await page.getByRole('button', { name: 'Re-check' }).click();
  await expect(bench.prompt).toHaveText('Red to 3, black to 1');
  await bench.answer('Space');
  await expect(page.getByText('Contradiction at Position 1')).toBeVisible();
  await page.keyboard.press('Backspace');
  await expect(page.getByText('Contradiction at Position 1')).toHaveCount(0);
  await expect(bench.prompt).toHaveText('Red to 3, black to 1');
  await bench.answer('Enter');
  await expect(bench.prompt).toHaveText('Red to 2, black to 1');
  await bench.answer('Space');
  await expect(bench.prompt).toHaveText('Complete and re-checked');
  await page.reload();
  await expect(bench.prompt).toHaveText('Complete and re-checked');
  await bench.go('Truth table');
  await expect(page.getByText('Re-checked: any single wrong reading would have shown.')).toBeVisible();
}

test('a meter set by hand to 200 ohm: its zero anew, OL is as silent as a beeper, and 5k is refused', async ({
  page,
}) => {
  const bench = new Bench(page);
  await bench.startReal(2, '1');
  await bench.go('Map');
  await expect(bench.prompt).toHaveText('Hold the leads together');
  await page.getByRole('button', { name: 'Ohms', exact: true }).click();
  await page.keyboard.type('0,2');
  await page.keyboard.press('Enter');
  await page.keyboard.press('/');
  await page.keyboard.press('r');
  await page.keyboard.press('Escape');
  await expect(bench.prompt).toHaveText('Leads together again');
  await expect(page.getByText('Another range has another zero')).toBeVisible();
  await page.keyboard.type('0,3');
  await page.keyboard.press('Enter');
  await expect(bench.prompt).toContainText('Red to 1, black to 2');
  await page.keyboard.type('5k');
  await page.keyboard.press('Enter');
  await expect(page.getByText('A meter set to 200 Ω cannot show 5 kΩ')).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Space');
  await page.getByRole('tab', { name: 'Readings' }).click();
  await expect(page.getByText('above 200 Ω, open, as silent')).toBeVisible();
});

test('skipped prompts, a contradiction, a shut Map, a slip in the re-check: each is shown and settled', async ({
  page,
}) => {
  await skippedAndAskedAgain(page);
  await contradictionSettled(page);
  await shutInTheMachine(page);
  await recheckShowsASlip(page);
});
