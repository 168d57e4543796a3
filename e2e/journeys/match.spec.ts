import { Bench } from '../at-the-bench.js';
import { hold, keepEntry, mappedSwitch, seedJob } from '../seeded-job.js';
import { expect, test } from '../served.js';

test('a spring-return motor trigger that never closes: by what it should do, safety first, answered, chosen; and a near miss', async ({
  page,
  served,
}) => {
  await keepEntry(served, 1, 'Latching rocker 16', {
    terminals: ['a', 'b', 'c', 'd', 'e'],
    positions: [hold('0', ['a', 'c'], ['d', 'e']), hold('I', ['a', 'b'])],
    facts: { marking: '16(4)A 250V~', disconnection: 'micro' },
  });
  await keepEntry(served, 2, 'Two contacts, no rest', {
    terminals: ['a', 'b', 'c', 'd', 'e'],
    positions: [hold('0', ['a', 'c']), { ...hold('I', ['a', 'b']), rests: 'momentary' }],
  });
  const address = await seedJob(served, 'Hedge trimmer trigger', (newId) => {
    const deeds = mappedSwitch(newId, {
      labels: '1 2 3 4 5',
      positions: [
        ['REST', '1-3 4-5'],
        ['PRESSED', ''],
      ],
      form: 'trigger',
    });
    const [described] = deeds;
    if (described?.kind !== 'restructured' || described.change.change !== 'described') return deeds;
    // The second position springs back to the first.
    const [handle] = described.change.actuators;
    const [rest, pressed] = handle?.positions ?? [];
    if (!handle || !rest || !pressed) return deeds;
    const sprung = { ...pressed, rests: 'momentary' as const, returnsTo: rest.id };
    const change = { ...described.change, actuators: [{ ...handle, positions: [rest, sprung] }] };
    const motor = {
      ...{ id: newId<never>(), name: 'Motor', kind: 'motor' as const, amps: 5, watts: null, volts: 230 },
      ...{ current: 'AC' as const, removed: false },
    };
    return [{ ...described, change }, ...deeds.slice(1), { kind: 'load-named', load: motor }];
  });
  await page.goto(address);
  const bench = new Bench(page);
  await page.getByRole('heading', { level: 1, name: 'Map' }).waitFor({ state: 'attached' });
  await bench.go('Verify');
  await page.getByLabel('From the diagram, one position per line').fill('REST: 1-3 4-5\nPRESSED: 1-2');
  await page.getByRole('button', { name: 'Use it' }).click();
  await expect(page.getByTestId('verdict')).toContainText('Fails: pattern');

  await bench.go('Match');
  await page.getByRole('button', { name: /^Filters/ }).click();
  const should = page.getByRole('radio', { name: 'as it should be' });
  await expect(should).toHaveAttribute('data-state', 'on');
  await page
    .getByRole('list', { name: 'Library, best first' })
    .getByRole('button', { name: /Latching rocker 16/ })
    .click();
  const safety = page.getByRole('region', { name: 'Safety differences' });
  await expect(safety).toContainText('PRESSED sprang back, and here it stays');
  await expect(safety).toContainText('Motor: it is rated for less than it takes.');
  const choose = page.getByRole('button', { name: 'Choose this one' });
  await expect(choose).toBeDisabled();
  await safety.getByRole('button', { name: /^Accept: Motor/ }).click();
  await expect(choose).toBeDisabled();
  // What stopped on release wants a reason.
  await expect(safety.getByRole('button', { name: /^Accept: Spring return lost: PRESSED/ })).toBeDisabled();
  await safety
    .getByLabel(/^Why that is accepted: Spring return lost: PRESSED/)
    .fill('a foot switch in the lead stops it');
  await safety.getByRole('button', { name: /^Accept: Spring return lost: PRESSED/ }).click();
  await choose.click();
  await expect(page.getByRole('button', { name: 'Chosen. Take it back' })).toBeVisible();
  await expect(bench.save).toHaveText('Saved');
  await page.reload();
  await expect(safety).toContainText('accepted: a foot switch in the lead stops it');

  await page.getByText(/^Ruled out: \d+$/).click();
  await expect(page.getByRole('list', { name: 'Ruled out' })).toContainText(/near: /);
});
