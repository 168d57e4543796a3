import { connect, createServer, type AddressInfo } from 'node:net';
import { devices } from '@playwright/test';
import { expect, Served, test } from '../served.js';
import { heater } from '../heater.js';
import { picture } from '../pictures.js';

/** A way in from another address than this machine's own: what a phone in the local network looks like to the server. */
async function fromElsewhere(port: number) {
  const way = createServer((phone) => {
    const server = connect({ host: '127.0.0.1', port, localAddress: '127.0.0.9' });
    phone.pipe(server).pipe(phone);
    phone.on('error', () => server.destroy());
    server.on('error', () => phone.destroy());
  });
  await new Promise<void>((resolve) => way.listen(0, '127.0.0.1', resolve));
  return { base: `http://127.0.0.1:${(way.address() as AddressInfo).port}`, close: () => way.close() };
}

test('a phone signs in with the shop’s code, and its photo is on the bench', async ({ browser }) => {
  const served = new Served(['--lan']);
  await served.start();
  const phone = await fromElsewhere(Number(new URL(served.base).port));
  const context = await browser.newContext({ ...devices['Pixel 7'], baseURL: phone.base });
  try {
    await expect.poll(() => served.said).toMatch(/code(?: for later is|:) [A-Z0-9]{4}-[A-Z0-9]{4}/);
    const code = /[A-Z0-9]{4}-[A-Z0-9]{4}/.exec(served.said)?.[0] ?? '';
    const page = await context.newPage();
    await page.goto('/jobs/whatever');
    await expect(page).toHaveURL(/\/sign-in$/);
    await page.getByLabel('The shop’s code').fill('AAAA-AAAA');
    await page.getByRole('button', { name: 'Open the bench' }).click();
    await expect(page.getByRole('alert')).toContainText('That is not the code.');
    // The wrong code has to be waited out; how long the bench takes to show is another thing.
    await expect(async () => {
      const answer = page.waitForResponse((response) => response.request().method() === 'POST');
      await page.getByLabel('The shop’s code').fill(code.toLowerCase());
      await page.getByRole('button', { name: 'Open the bench' }).click();
      expect((await answer).status()).toBe(303);
    }).toPass();
    await expect(page.getByRole('heading', { name: 'On the bench' })).toBeVisible();

    await page.getByRole('button', { name: 'Map a switch' }).click();
    await page.getByLabel('How many terminals?').fill('3');
    await page.getByRole('button', { name: 'It is out of the machine: start' }).click();
    await expect(page.getByTestId('prompt')).toHaveText('Hold the leads together');
    await page.getByText(/^Map · 4 of 8$/).click();
    await page.getByRole('link', { name: /^Intake/ }).click();
    await page.getByLabel('Camera').setInputFiles(await picture('taken.jpg'));
    await expect(page.getByRole('list', { name: 'Photos' }).getByRole('button')).toHaveCount(1);
    await expect(page.getByTestId('save-state')).toHaveText('Saved');
    const jobs = await served.get<{ id: string }[]>('/api/jobs');
    expect(jobs).toHaveLength(1);
  } finally {
    await context.close();
    phone.close();
    await served.end();
  }
});

test('a link opens its one job to be read on a phone without the code, follows it, and can be ended', async ({
  browser,
}) => {
  const served = new Served(['--lan']);
  await served.start();
  const phone = await fromElsewhere(Number(new URL(served.base).port));
  const context = await browser.newContext({ ...devices['Pixel 7'], baseURL: phone.base });
  const bench = await browser.newContext({ baseURL: served.base });
  try {
    const address = await heater(served, 'Heater with a link');
    const id = address.split('/')[2] ?? '';
    const page = await bench.newPage();
    await page.goto(`/jobs/${id}/refit/report`);
    await page.getByRole('button', { name: 'Create a read-only link' }).click();
    await expect(page.getByRole('button', { name: 'End the link' })).toBeVisible();
    const { share } = await served.get<{ share: { token: string } }>(`/api/jobs/${id}/share`);
    const small = await context.newPage();
    await small.goto(`/shared/${share.token}`);
    await expect(small.getByText('Transfer card: 0 of 3 done')).toBeVisible();
    await expect(small.getByRole('heading', { level: 1 })).toContainText('Heater with a link');
    await page.goto(`/jobs/${id}/refit`);
    // The printed card has the link under the address that is chosen for it.
    const qr = page.getByRole('img', { name: new RegExp(`QR code of http.*/shared/${share.token}$`) });
    await page.emulateMedia({ media: 'print' });
    await expect(qr).toBeVisible();
    await page.emulateMedia({ media: 'screen' });
    await expect(qr).toBeHidden();
    await page.getByRole('combobox', { name: 'QR code on the printed card' }).click();
    await page.getByRole('option', { name: 'none' }).click();
    await page.emulateMedia({ media: 'print' });
    await expect(qr).toBeHidden();
    await page.emulateMedia({ media: 'screen' });
    await page.getByRole('checkbox', { name: 'Tag 2 from 2 to 2' }).click();
    // It asks again by itself.
    await expect(small.getByText('Transfer card: 1 of 3 done')).toBeVisible({ timeout: 60_000 });
    await expect(small.getByRole('button', { name: /Done/ })).toHaveCount(0);
    // Nothing else opens by it.
    await small.goto('/');
    await expect(small).toHaveURL(/\/sign-in$/);
    await page.goto(`/jobs/${id}/refit/report`);
    await page.getByRole('button', { name: 'End the link' }).click();
    await expect(page.getByRole('button', { name: 'Create a read-only link' })).toBeVisible();
    await small.goto(`/shared/${share.token}`);
    await expect(small.getByText('This link has ended.')).toBeVisible();
  } finally {
    await Promise.all([context.close(), bench.close()]);
    phone.close();
    await served.end();
  }
});
