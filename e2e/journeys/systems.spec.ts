import type { Page } from '@playwright/test';
import { Bench } from '../at-the-bench.js';
import { machineDeeds, type SeededMachine } from '../machine-deeds.js';
import { mappedSwitch, seedJob } from '../seeded-job.js';
import { expect, test, type Served } from '../served.js';

const supplies = { L: { kind: 'L' as const }, N: { kind: 'N' as const, volts: null } };

/** A job of which switch and wires are known, and what it should do. */
const wired = (
  served: Served,
  title: string,
  of: Parameters<typeof mappedSwitch>[1],
  machine: Partial<SeededMachine>,
) =>
  seedJob(served, title, (newId) => {
    const deeds = mappedSwitch(newId, of);
    return [...deeds, ...machineDeeds(newId, deeds[0], { supplies, loads: {}, wires: {}, ...machine })];
  });

/** Says what a loose end goes to. */
async function goes(page: Page, from: RegExp, to: string | RegExp): Promise<void> {
  await page.getByRole('region', { name: 'What goes where' }).getByRole('combobox', { name: from }).click();
  await page
    .getByRole('option', { name: to, exact: typeof to === 'string' })
    .first()
    .click();
}

test('stairs with two switches: the lamp changes with either, one is welded, and it is said which', async ({
  page,
  served,
}) => {
  const changeover = { labels: '1 2 3', form: 'toggle' as const };
  const down = await wired(
    served,
    'Foot of the stairs',
    { ...changeover, positions: [['LEFT', '1-2'], ['RIGHT', '1-3']] }, // prettier-ignore
    { wires: { 1: 'L', 2: 'elsewhere', 3: 'elsewhere' } },
  );
  const up = await wired(
    served,
    'Head of the stairs',
    { ...changeover, positions: [['LEFT', '1-2'], ['RIGHT', '1-2-3']] }, // prettier-ignore
    {
      ...{ loads: { lamp: { kind: 'lamp' as const, watts: 40 } }, ties: { 'lamp.2': 'N' } },
      wires: { 1: 'lamp.1', 2: 'elsewhere', 3: 'elsewhere' },
    },
  );
  const bench = new Bench(page);
  for (const address of [down, up]) {
    await page.goto(address.replace(/map$/, 'verify'));
    await page.getByLabel('From the diagram, one position per line').fill('LEFT: 1-2\nRIGHT: 1-3');
    await page.getByRole('button', { name: 'Use it', exact: true }).click();
    await expect(bench.save).toHaveText('Saved');
  }
  await page.goto('/');
  await page.getByRole('button', { name: 'Combine switches' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Start' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Which switches work together?');
  await bench.pick('A switch of the bench', /Foot of the stairs/);
  await bench.pick('A switch of the bench', /Head of the stairs/);
  // What is not said is not known, and no lamp burns by a guess.
  const table = page.getByRole('table', { name: 'What each load does' });
  await expect(table.getByRole('row').nth(1)).toContainText('not known');
  await goes(page, /Foot, wire 2/, /Head, wire 2/);
  await goes(page, /Foot, wire 3/, /Head, wire 3/);
  await expect(bench.save).toHaveText('Saved');
  await expect(page.getByText('lamp runs whenever')).toBeVisible();
  await page.getByRole('radio', { name: 'as they should be' }).click();
  await expect(page.getByText('lamp changes whenever either of Foot and Head moves.')).toBeVisible();

  // The complaint: with the upper one to the right it cannot be put out.
  const seen = page.getByRole('region', { name: 'What was seen' });
  const head = page.getByRole('list', { name: 'Switches and devices' }).getByRole('listitem').nth(1);
  await head.getByRole('radio', { name: 'RIGHT' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    'Foot at LEFT, Head at RIGHT: everything off',
  );
  await seen.getByRole('group', { name: 'lamp' }).getByRole('button', { name: 'on', exact: true }).click();
  await seen.getByRole('button', { name: 'Everything else worked' }).click();
  await expect(
    seen.getByRole('list', { name: 'What may explain it' }).getByRole('listitem').first(),
  ).toContainText('Head: 2–1 does not open: welded, or bridged');
  await expect(bench.save).toHaveText('Saved');

  // It stands on the bench as what it is, opens there, and is undone like a job.
  await page.goto('/');
  await expect(page.getByText('2 switches in one machine')).toBeVisible();
  await page.getByRole('link', { name: /Switches of one machine/ }).click();
  await expect(seen.getByRole('list', { name: 'Seen' }).getByRole('listitem')).toHaveCount(4);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(seen.getByRole('list', { name: 'Seen' }).getByRole('listitem')).toHaveCount(1);
  // Put away, nothing of a switch counts.
  const jobs = (await (await fetch(`${served.base}/api/jobs`)).json()) as {
    id: string;
    title: string;
    version: number;
  }[];
  const foot = jobs.find(({ title }) => title === 'Foot of the stairs');
  await fetch(`${served.base}/api/jobs/${foot?.id}`, {
    ...{ method: 'PATCH', headers: { 'content-type': 'application/json' } },
    body: JSON.stringify({ version: foot?.version, archived: true }),
  });
  await expect(page.getByText('It doesn’t count: it is archived.')).toBeVisible();
  await expect(table.getByRole('row').nth(1)).toContainText('not known');
});

test('a pump by hand, off or by its float: the float belongs to the system, and is turned by itself', async ({
  page,
  served,
}) => {
  const address = await wired(
    served,
    'Pump panel',
    { labels: '1 2 3', positions: [['HAND', '1-2'], ['OFF', ''], ['AUTO', '1-3']] }, // prettier-ignore
    {
      ...{ loads: { pump: { kind: 'resistive' as const, watts: 300 } }, ties: { 'pump.2': 'N' } },
      wires: { 1: 'L', 2: 'pump.1', 3: 'elsewhere' },
    },
  );
  await page.goto(address.replace(/map$/, 'table/machine'));
  await page.getByRole('button', { name: 'Join it with another switch' }).click();
  const bench = new Bench(page);
  await page.getByRole('button', { name: 'A float, thermostat, door or relay' }).click();
  await page.getByRole('button', { name: 'Add it' }).click();
  await goes(page, /Pump panel, wire 3/, 'Float, pin C');
  await goes(page, /Float, pin 2/, 'pump, end 1');
  await expect(bench.save).toHaveText('Saved');
  const table = page.getByRole('table', { name: 'What each load does' });
  await expect(table.getByRole('row')).toHaveCount(7);
  await expect(table.getByRole('row').nth(5)).toHaveText(/AUTO.*water low.*off/);
  await expect(table.getByRole('row').nth(6)).toHaveText(/AUTO.*water high.*full/);
  await expect(table.getByRole('row').nth(4)).toHaveText(/OFF.*water high.*off/);
  await page.reload();
  await expect(table.getByRole('row').nth(6)).toHaveText(/AUTO.*water high.*full/);
  // The switch itself has its three positions still, and knows what it is part of.
  await page.goto(address.replace(/map$/, 'table/machine'));
  await expect(page.getByRole('table', { name: 'What each load does' }).getByRole('row')).toHaveCount(4);
  await page.getByRole('region', { name: 'With other switches' }).getByRole('link').click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    'Pump panel at HAND, Float at water low: pump full, 300 W',
  );
});
