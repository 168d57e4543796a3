import { expect, test } from '../served.js';
import { Bench } from '../at-the-bench.js';

test('a complaint and a marking are kept through a reload, and the marking is decoded with its doubts', async ({
  page,
}) => {
  const bench = new Bench(page);
  await bench.startReal(3, '1');
  await bench.go('Intake');
  await page.getByLabel('The complaint, in the owner’s words').fill('Only long wave plays.');
  await expect(page.getByRole('link', { name: /^Intake\s*, done/ })).toBeVisible();

  await bench.part('Markings');
  await page.getByRole('button', { name: 'Read a marking' }).click();
  await page.getByLabel('Marking as read').fill('16(4)A 250V~ # 5E4');
  await page.keyboard.press('Enter');
  const said = page.getByLabel('What it says');
  await expect(said).toContainText('16 A resistive, 4 A for motors');
  await expect(said).toContainText('50,000 operations');
  await expect(said).toContainText('unreadable: look at this character again');
  await expect(page.getByText('Not marked: lamp load, kind of disconnection.')).toBeVisible();

  await page.getByRole('button', { name: '6: certain' }).click();
  await expect(said).toContainText('rests on a guess');
  await page.getByRole('button', { name: '6: guess' }).click();
  await expect(said).not.toContainText('16 A resistive');
  await expect(bench.save).toHaveText('Saved');

  await page.reload();
  await expect(page.getByLabel('Marking as read')).toHaveValue('16(4)A 250V~ # 5E4');
  await expect(page.getByRole('button', { name: '6: unreadable' })).toBeVisible();

  // Undo on the Map is about probing: it leaves the notes alone.
  await bench.go('Map');
  await page.keyboard.press('Backspace');
  await bench.go('Intake');
  await expect(page.getByLabel('The complaint, in the owner’s words')).toHaveValue('Only long wave plays.');
  await bench.part('Markings');
  await page.getByRole('button', { name: 'Remove' }).click();
  await expect(page.getByLabel('Marking as read')).toHaveCount(0);
});
