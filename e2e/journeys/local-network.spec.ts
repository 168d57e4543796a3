import { connect, createServer, type AddressInfo } from 'node:net';
import { devices } from '@playwright/test';
import { expect, Served, test } from '../served.js';
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
    await expect(async () => {
      await page.getByLabel('The shop’s code').fill(code.toLowerCase());
      await page.getByRole('button', { name: 'Open the bench' }).click();
      await expect(page.getByRole('heading', { name: 'On the bench' })).toBeVisible({ timeout: 2000 });
    }).toPass();

    await page.getByRole('button', { name: 'Map a switch now' }).click();
    await page.getByLabel('How many terminals?').fill('3');
    await page.getByRole('button', { name: 'It is out of the machine: start' }).click();
    await expect(page.getByTestId('prompt')).toHaveText('Hold the leads together');
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
