import { mappedSwitch, seedJob } from '../seeded-job.js';
import { expect, ownServer, test } from '../served.js';

const AMMETER = 'Ammeter selector, idle transformers shorted';

test('an ammeter selector is named, and an empty bench compares with a kind and says which would do', async ({
  page,
}) => {
  await ownServer(async (served) => {
    const address = await seedJob(served, 'Selector of a switchboard meter', (newId) =>
      mappedSwitch(newId, {
        labels: 'a b c d e',
        positions: [['0', 'a-b-c-e'], ['1', 'a-d b-c-e'], ['2', 'b-d a-c-e'], ['3', 'c-d a-b-e']], // prettier-ignore
      }),
    );
    const go = (where: string) => page.goto(served.base + address.replace(/map$/, where));
    await go('table');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(AMMETER);

    await go('verify');
    await page.getByRole('combobox', { name: 'An ordinary kind' }).click();
    await page.getByRole('option', { name: `${AMMETER.toLowerCase()}: OFF, L1, L2, L3` }).click();
    await expect(page.getByRole('group', { name: 'Pattern' })).toContainText('pass');

    // Nothing is in the library: kinds are told by wiring alone, and none of them can be chosen.
    await go('match');
    const would = page.getByRole('region', { name: 'Common kinds with this wiring' });
    await expect(would.getByRole('listitem').first()).toHaveText(AMMETER);
    await expect(page.getByRole('button', { name: 'Choose' })).toBeHidden();
  });
});
