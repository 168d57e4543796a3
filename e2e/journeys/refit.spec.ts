import type { Deed } from '@which-way/core/log';
import { devices } from '@playwright/test';
import { heater } from '../heater.js';
import { machineDeeds } from '../machine-deeds.js';
import { mappedSwitch, seedJob } from '../seeded-job.js';
import { expect, ownServer, test } from '../served.js';

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

test('a door is never bridged: refused while it springs open, asked where nobody has said, and joined once a person answers', async ({
  page,
  served,
}) => {
  const drum = (form: 'push' | 'key', springs: boolean) => (newId: Parameters<typeof mappedSwitch>[0]) => {
    const deeds = mappedSwitch(newId, {
      labels: 'C NO',
      form,
      positions: [['OPEN', ''], ['SHUT', 'C-NO']], // prettier-ignore
    });
    const [described] = deeds;
    if (described?.kind !== 'restructured' || described.change.change !== 'described') throw new Error();
    const [open, shut] = described.change.actuators[0]?.positions ?? [];
    if (!open || !shut) throw new Error('two positions');
    const sprung: Deed = {
      kind: 'restructured',
      change: {
        change: 'position-posed',
        ...{ position: shut.id, rests: 'momentary', returnsTo: open.id, pose: null },
      },
      basedOn: null,
    };
    return [
      ...deeds,
      ...(springs ? [sprung] : []),
      ...machineDeeds(newId, described, {
        supplies: { mains: { kind: 'L' }, back: { kind: 'N', volts: null } },
        loads: { drum: { kind: 'motor' } },
        wires: { C: 'mains', NO: 'drum.1' },
        ties: { 'drum.2': 'back' },
      }),
    ];
  };
  const jumper = (address: string) => page.goto(address.replace(/map$/, 'refit/jumper'));
  await jumper(await seedJob(served, 'Drum with a door', drum('push', true)));
  await expect(page.getByText('Refused: this contact springs open')).toContainText(
    'It may guard against drum.',
  );
  await expect(page.getByText(/^Join /)).toHaveCount(0);
  await expect(page.getByText(/^Without power instead: plug out/)).toBeVisible();

  await jumper(await seedJob(served, 'Drum with a key', drum('key', false)));
  await expect(page.getByText('Does this contact stop or guard anything?')).toBeVisible();
  await expect(page.getByText(/^Join /)).toHaveCount(0);
  await page.getByRole('button', { name: "Yes, or I don't know" }).click();
  await expect(page.getByText("Don't bridge it.", { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Answer again' }).click();
  await page.getByRole('button', { name: 'No, nothing' }).click();
  await expect(page.getByText(/^Join /)).toContainText('off C with');
  await expect(page.getByText('The plug is now your off switch.')).toBeVisible();
});

test('a check of a large switch says how far it is; stopped, it is no pass, and it can be worked out after all', async ({
  page,
  served,
}) => {
  test.setTimeout(300_000);
  const ways = Array.from({ length: 14 }, (_, way) => `${way + 2}`);
  const address = await seedJob(served, 'Large selector', (newId) => {
    const deeds = mappedSwitch(newId, {
      labels: ['1', ...ways, '16', '17', '18'].join(' '),
      // Progressive: one more way is closed at each.
      positions: Array.from({ length: 18 }, (_, at) => [`P${at}`, ['1', ...ways.slice(0, at)].join('-')]),
    });
    const wires = Object.fromEntries(
      ['1', ...ways].map((lug) => [lug, lug === '1' ? 'mains' : `load${lug}.1`]),
    );
    return [
      ...deeds,
      ...machineDeeds(newId, deeds[0], {
        supplies: { mains: { kind: 'L' }, back: { kind: 'N', volts: null } },
        loads: Object.fromEntries(ways.map((lug) => [`load${lug}`, { watts: 60 }])),
        wires,
        ties: Object.fromEntries(ways.map((lug) => [`load${lug}.2`, 'back'])),
      }),
    ];
  });
  // However quick the machine is, the bar is stopped as soon as it is there.
  await page.addInitScript(() => {
    const seen = new MutationObserver(() => {
      const named = (name: string) =>
        [...document.querySelectorAll('button')].find((one) => one.textContent === name);
      // A job that is still coming in may ask for another check: that one is stopped too.
      if (named('Calculate')) seen.disconnect();
      else setTimeout(() => named('Stop')?.click());
    });
    seen.observe(document, { childList: true, subtree: true });
  });
  await page.goto(address.replace(/map$/, 'refit/check'));
  await expect(page.getByText('The readings aren’t calculated, so the check can’t pass.')).toBeVisible();
  await page.getByRole('button', { name: 'Calculate' }).click();
  await expect(page.getByText(/^\d+ readings/)).toBeVisible({ timeout: 60_000 });
});
