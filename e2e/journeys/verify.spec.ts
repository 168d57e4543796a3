import { expect, test } from '../served.js';
import { Bench } from '../at-the-bench.js';

test('an on-off with a dirty contact: failed, cleaned, before and after, passed as far as tested, signed, and opened again', async ({
  page,
}) => {
  const bench = new Bench(page);
  await bench.startReal(2, '2');
  await page.getByRole('button', { name: 'Ohms', exact: true }).click();
  const typed = async (text: string) => {
    await page.keyboard.type(text);
    await page.keyboard.press('Enter');
  };
  await typed('0,2');
  await expect(bench.prompt).toHaveText('Red to 1, black to 2');
  await bench.answer('Space');
  await typed('1,9');
  await expect(bench.prompt).toHaveText('The map is complete');
  await expect(page.getByRole('region', { name: 'What it is' })).toContainText('1-pole on-off');

  await bench.go('Verify');
  const verdict = page.getByTestId('verdict');
  const text = page.getByLabel('As the diagram says, a position a line');
  await text.fill('Position 1: -\nPosition 2: 1-9');
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByRole('alert')).toContainText('Line 2: there is no terminal “9”');
  await text.fill('Position 1: -\nPosition 2: 1-2');
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(verdict).toHaveText('Failed');
  await expect(page.getByRole('region', { name: 'Verdict' })).toContainText('high resistance');

  // Cleaned: what was read before is kept, and counts no more.
  await bench.go('Map');
  await page.getByRole('button', { name: 'The switch' }).click();
  await page.getByRole('button', { name: 'cleaned' }).click();
  await page.keyboard.press('Escape');
  await expect(bench.prompt).not.toHaveText('The map is complete');
  for (let position = 0; position < 2; position += 1) {
    const before = (await page.getByTestId('prompt-small').textContent()) ?? '';
    await typed(before.includes('Position 2') ? '0,4' : 'OL');
    await expect(page.getByTestId('prompt-small')).not.toHaveText(before);
  }
  await expect(bench.prompt).toHaveText('The map is complete');
  await bench.go('Verify');
  await expect(verdict).toHaveText('Passed as far as tested');
  await expect(page.getByRole('region', { name: 'Before and after' })).toContainText('closed, 0.2 Ω');

  await page.getByLabel('Signed by').fill('Ada');
  await page.getByRole('button', { name: 'Sign the verdict as it stands' }).click();
  const signed = page.getByRole('region', { name: 'Sign-off' });
  await expect(signed).toContainText('Ada signed “Passed as far as tested”');
  await expect(signed.getByRole('button', { name: 'Sign the verdict as it stands' })).toHaveCount(0);
  await bench.go('Map');
  await typed('1-2=0,4');
  await expect(bench.save).toHaveText('Saved');
  await bench.go('Verify');
  await expect(signed).toContainText('it is open again');
});
