import { expect, test } from '../served.js';
import { Bench } from '../at-the-bench.js';

test('an on-off with a dirty contact: failed, cleaned, before and after, contacts pass, signed, and opened again', async ({
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
  await typed('OL');
  await expect(bench.prompt).toHaveText('Handle to Position 2');
  await typed('1,9');
  await expect(bench.prompt).toHaveText('The map is complete');
  await expect(page.getByRole('region', { name: 'What it is' })).toContainText('1-pole on-off');

  await bench.go('Verify');
  const verdict = page.getByTestId('verdict');
  const text = page.getByLabel('From the diagram, one position per line');
  await text.fill('Position 1: -\nPosition 2: 1-9');
  await page.getByRole('button', { name: 'Use it' }).click();
  await expect(page.getByRole('alert')).toContainText('Line 2: there is no terminal “9”');
  await text.fill('Position 1: -\nPosition 2: 1-2');
  await page.getByRole('button', { name: 'Use it' }).click();
  await expect(verdict).toHaveText('Fails: contacts.');
  await expect(page.getByRole('group', { name: 'Contacts', exact: true })).toContainText('high resistance');

  // Cleaned: what was read before is kept, and counts no more.
  await bench.go('Map');
  await page.getByRole('button', { name: 'The switch' }).click();
  await page.getByRole('button', { name: 'cleaned' }).click();
  await page.keyboard.press('Escape');
  await expect(bench.prompt).not.toHaveText('The map is complete');
  for (let position = 0; position < 2; position += 1) {
    const before = (await page.getByTestId('prompt-small').textContent()) ?? '';
    await typed(before.includes('Now Position 2') ? '0,4' : 'OL');
    await expect(page.getByTestId('prompt-small')).not.toHaveText(before);
  }
  await expect(bench.prompt).toHaveText('The map is complete');
  await bench.go('Verify');
  await expect(verdict).toHaveText('Wiring and contacts pass. Insulation and mechanics not tested.');
  await expect(page.getByRole('group', { name: 'Before and after' })).toContainText('closed, 0.2 Ω');

  const signed = page.getByRole('group', { name: 'Sign-off' });
  await signed.getByText('not signed').click();
  await page.getByLabel('Signed by').fill('Ada');
  await page.getByRole('button', { name: 'Sign the verdict as it stands' }).click();
  await expect(signed).toContainText(
    'Ada signed “Wiring and contacts pass. Insulation and mechanics not tested.”',
  );
  await expect(signed.getByRole('button', { name: 'Sign the verdict as it stands' })).toHaveCount(0);
  await bench.go('Map');
  await typed('1-2=0,4');
  await expect(bench.save).toHaveText('Saved');
  await bench.go('Verify');
  await expect(signed).toContainText('it is open again');
});

test('an on-off by ear: an answer that is no pass, its contact in ohms by one button, then a pass', async ({
  page,
}) => {
  const bench = new Bench(page);
  await bench.startReal(2, '2');
  await bench.answer('Enter', 'Space');
  await bench.answer('Enter');
  await expect(bench.prompt).toHaveText('The map is complete');
  await bench.go('Verify');
  await page.getByRole('button', { name: '1-pole on-off' }).click();
  const verdict = page.getByTestId('verdict');
  await expect(verdict).toHaveText('Wiring agrees by ear; contacts not measured.');
  await page.getByRole('button', { name: 'Read 1 closed contact in ohms' }).click();
  // The Map asks for that contact, in ohms, where it is closed; the leads come together first, for their zero.
  await page.getByRole('heading', { level: 1, name: 'Map' }).waitFor({ state: 'attached' });
  await expect(page.getByRole('button', { name: 'Ohms', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await bench.type('0,3');
  await page.keyboard.press('Enter');
  await expect(bench.prompt).toHaveText('The map is complete');
  await bench.go('Verify');
  await expect(verdict).toHaveText('Wiring and contacts pass. Insulation and mechanics not tested.');
  await page.getByRole('link', { name: 'Test the insulation' }).click();
  await page.getByLabel('Between', { exact: true }).fill('contacts to the frame');
  await page.getByLabel('Test volts DC').fill('500');
  await page.getByLabel('Megohms', { exact: true }).fill('200');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await page.getByRole('link', { name: 'Check the mechanics' }).click();
  await page.getByRole('button', { name: /^All \d+ in order/ }).click();
  await expect(verdict).toHaveText('Passes: pattern, contacts, insulation and mechanics.');
});

test('a correct selector passes its wiring with no question; a failed one says so first to its owner', async ({
  page,
}) => {
  const bench = new Bench(page);
  await bench.startSimulated(/Two-pole three-way slide/, '3', '7');
  await bench.probeOn();
  await expect(bench.prompt).toHaveText('The map is complete');
  await bench.go('Verify');
  await page.getByRole('button', { name: /3-way/ }).first().click();
  const verdict = page.getByTestId('verdict');
  await expect(verdict).toHaveText(/^Wiring (and contacts pass|agrees)/);
  await expect(verdict).not.toContainText('question');
  // The same switch against another table: it fails, and its owner reads that first.
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await page.getByRole('button', { name: 'Remove comparison' }).click();
  await page
    .getByLabel('From the diagram, one position per line')
    .fill('Position 1: 1-2\nPosition 2: 1-2\nPosition 3: 1-2');
  await page.getByRole('button', { name: 'Use it' }).click();
  await expect(verdict).toContainText('Fails: pattern');
  await bench.go('Truth table');
  await page.getByRole('button', { name: 'Export' }).click();
  await page.getByRole('menuitem', { name: /owner/ }).click();
  await expect(page.getByText(/^This switch fails: pattern/)).toBeVisible();
});
