import { devices } from '@playwright/test';
import { Bench } from '../at-the-bench.js';
import { heater } from '../heater.js';
import { machineDeeds } from '../machine-deeds.js';
import { pdfText } from '../pdf-text.js';
import { mappedSwitch, seedJob } from '../seeded-job.js';
import { expect, ownServer, test } from '../served.js';

test('back in the machine: a swapped pair is caught before power; measured, tried, signed, reported', async ({
  page,
  served,
}, info) => {
  const address = await heater(served, 'Heater that goes back');
  const bench = new Bench(page);
  await page.goto(address.replace(/map$/, 'intake'));
  await page
    .getByLabel(/complaint/i)
    .first()
    .fill('Smells hot on HIGH.');
  await page.keyboard.press('Tab');
  await page.getByRole('link', { name: 'Refit' }).click();
  await expect(bench.prompt).toHaveText('Tag 1 from 1 to 1');
  for (const tag of ['Tag 2 from 2 to 2', 'Tag 3 from 3 to 3']) {
    await page.keyboard.press('Space');
    await expect(bench.prompt).toHaveText(tag);
  }
  await page.keyboard.press('Space');
  await expect(page.getByText('Every line of the card is done.')).toBeVisible();
  await page.getByRole('link', { name: 'Now the check before power' }).click();

  // Hands that have 2 and 3 the wrong way round: what they read is told by where each wire sits.
  const lugOf = (end: string, swapped: boolean) => {
    const number = end.replace(/\D/g, '');
    return swapped && end.startsWith('tag') ? ({ 2: '3', 3: '2' }[number] ?? number) : number;
  };
  const joins: Record<string, string[]> = { OFF: [], LOW: ['1', '2'], HIGH: ['1', '3'] };
  const readAll = async (swapped: boolean) => {
    const prompt = page.getByTestId('prompt');
    while (await prompt.isVisible()) {
      const words = (await prompt.textContent()) ?? '';
      const at = ((await page.getByTestId('turn').textContent()) ?? '').replace('At ', '');
      const [one = '', other = ''] = words
        .toLowerCase()
        .split(' to ')
        .map((end) => lugOf(end, swapped));
      const closed =
        one === other || (joins[at]?.includes(one) === true && joins[at]?.includes(other) === true);
      await page.keyboard.press(closed ? 'Space' : 'Enter');
      await expect(
        page
          .getByTestId('turn')
          .or(page.getByText(/^All read as it must be|^Stop: something/))
          .first(),
      ).toBeVisible();
      await expect(page.getByText(`At ${at}${words}`)).toHaveCount(0);
      await expect
        .poll(
          async () => `${await page.getByTestId('turn').allTextContents()}${await prompt.allTextContents()}`,
        )
        .not.toBe(`At ${at}${words}`);
    }
  };
  await expect(page.getByTestId('prompt')).toBeVisible();
  await readAll(true);
  await expect(page.getByText('Stop: something is not where it should be')).toBeVisible();
  await expect(page.getByRole('list', { name: 'What may be wrong' })).toContainText(
    'Tag 2 and tag 3 are swapped',
  );
  // Put right, all of it is read again.
  await page.getByRole('button', { name: 'It is put right: read all of it again' }).click();
  await expect(page.getByTestId('prompt')).toBeVisible();
  await readAll(false);
  await expect(page.getByText('All read as it must be')).toBeVisible();

  await page.getByLabel('Instrument').fill('insulation tester');
  await page.getByLabel('Measured by').fill('Ada');
  const record = async (label: string, shown: string) => {
    const field = page.getByLabel(`${label}, ohms`);
    await field.fill(shown);
    await field.press('Enter');
  };
  await record('Earth pin to case', 'much');
  await expect(page.getByRole('alert').filter({ hasText: 'Ohms as a figure' })).toBeVisible();
  await record('Earth pin to case', '0.5');
  await expect(page.getByText('0.5 Ω, at most 0.3 Ω: outside')).toBeVisible();
  await page.getByRole('button', { name: 'Take back: Earth pin to case' }).click();
  await record('Earth pin to case', '0.1');
  await record('Live parts together to earth, LOW', '200M');
  await expect(page.getByText('200 MΩ, at least 1 MΩ')).toBeVisible();

  await page.getByRole('link', { name: 'Function test' }).click();
  const line = (name: RegExp) => page.getByRole('group', { name });
  await line(/^HIGH: rear: full/)
    .getByRole('button', { name: 'fails' })
    .click();
  await expect(page.getByText('One thing fails')).toBeVisible();
  await line(/^HIGH: rear: full/)
    .getByRole('button', { name: 'as it should' })
    .click();
  await page.getByRole('button', { name: 'All else was tried, and works' }).click();

  await page.getByRole('link', { name: 'Sign-off' }).click();
  const stands = page.getByRole('list', { name: 'How it stands' });
  await expect(stands.getByRole('listitem')).toHaveText([/done/, /done/, /not done/, /done/]);
  await expect(page.getByText(/Cord alone, live parts to earth/)).toBeVisible();
  await page.getByLabel('Defect', { exact: true }).fill('A scratched knob');
  await page.getByLabel('Accepted because').fill('only looks');
  await page.getByRole('button', { name: 'It stays' }).click();
  await page.getByLabel('Advice to the owner').fill('Keep it dry.');
  await page.keyboard.press('Tab');
  await page.getByLabel('Signed by').fill('Ada');
  await page.getByRole('button', { name: 'Sign it as it stands' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Signed by Ada, not all of it done');
  await expect(bench.save).toHaveText('Saved');

  // The report: what is seen is what is taken away, as a page and on paper.
  await page.getByRole('link', { name: 'Report' }).click();
  const seen = page.frameLocator('iframe').locator('body');
  await expect(seen).toContainText('Smells hot on HIGH.');
  await expect(seen).toContainText('A scratched knob. Accepted: only looks');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'PDF, A4' }).click();
  const path = info.outputPath('report.pdf');
  await (await download).saveAs(path);
  const paper = await pdfText(path);
  const words = await seen.locator('h1, h2, li, td').allTextContents();
  expect(words.length).toBeGreaterThan(40);
  for (const one of words) expect(paper.replace(/\s/g, '')).toContain(one.replace(/\s/g, ''));
  // What is left out stays left out.
  await page.getByLabel('Readings').click();
  await expect(seen.getByRole('heading', { name: 'Readings' })).toHaveCount(0);
  await expect(bench.save).toHaveText('Saved');
  await page.reload();
  await expect(seen).toContainText('Smells hot on HIGH.');
  await expect(seen.getByRole('heading', { name: 'Readings' })).toHaveCount(0);
  // The shape of a report reopens nothing; a tick that is taken back does.
  await page.getByRole('link', { name: 'Wires back' }).click();
  await page.getByRole('checkbox', { name: 'Tag 2 from 2 to 2' }).click();
  await page.getByRole('link', { name: 'Sign-off' }).click();
  await expect(page.getByText('it is open again')).toBeVisible();
});

test('the card on a phone while the server is away: ticks wait, and meet those of another device', async ({
  browser,
}) => {
  await ownServer(async (served) => {
    const address = await heater(served, 'Heater under the stall');
    const small = await (
      await browser.newContext({
        ...devices['Pixel 5'],
        ...{ viewport: { width: 390, height: 844 }, baseURL: served.base },
      })
    ).newPage();
    const wide = await (await browser.newContext({ baseURL: served.base })).newPage();
    const card = address.replace(/map$/, 'refit');
    for (const one of [small, wide]) {
      await one.goto(card);
      await expect(one.getByTestId('prompt')).toHaveText('Tag 1 from 1 to 1');
    }
    await served.kill('SIGKILL');
    await small.getByRole('button', { name: /^Done/ }).tap();
    await expect(small.getByTestId('prompt')).toHaveText('Tag 2 from 2 to 2');
    await expect(small.getByTestId('save-state')).not.toHaveText('Saved');
    await wide.getByRole('checkbox', { name: 'Tag 3 from 3 to 3' }).click();
    await served.start();
    for (const one of [small, wide]) {
      await expect(one.getByTestId('save-state')).toHaveText('Saved');
      await expect(one.getByText('Transfer card: 2 of 3 done')).toBeVisible();
    }
    // Nothing hangs out of a phone.
    const across = await small.evaluate(() => document.documentElement.scrollWidth);
    expect(across).toBeLessThanOrEqual(390);
    await Promise.all([small.context().close(), wide.context().close()]);
  });
});

test('wires joined instead of the switch: refused where two supplies would meet, and past a cut-out', async ({
  page,
  served,
}) => {
  const address = await seedJob(served, 'Blower with a change-over', (newId) => {
    const deeds = mappedSwitch(newId, {
      labels: '1 2 3',
      positions: [['RUN', '1-2'], ['BAD', '1-3']], // prettier-ignore
    });
    return [
      ...deeds,
      ...machineDeeds(newId, deeds[0], {
        supplies: { mains: { kind: 'L' }, back: { kind: 'N', volts: null } },
        loads: { blower: {} },
        wires: { 1: 'mains', 2: 'blower.1', 3: 'back' },
        ties: { 'blower.2': 'back' },
      }),
    ];
  });
  await page.goto(address.replace(/map$/, 'refit/jumper'));
  await expect(page.getByText('Refused: mains and back would meet.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'It runs', exact: true })).toBeDisabled();
  await page.getByLabel('Tried by').fill('Ada');
  await page.getByRole('button', { name: 'It runs', exact: true }).click();
  await expect(page.getByText('So the rest works in this position')).toBeVisible();
});
