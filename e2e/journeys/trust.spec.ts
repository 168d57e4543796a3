import type { JobSummary, JobWithEvents } from '@which-way/contract';
import { createWriter } from '@which-way/core/log';
import { newIdFrom, seededRandom } from '@which-way/core/switch';
import { readFileSync } from 'node:fs';
import { Bench } from '../at-the-bench.js';
import { picture } from '../pictures.js';
import { expect, ownServer, test } from '../served.js';

test('a full disk is said as such and loses nothing: answers and a photo wait, and are there when it has room again, after a restart too', async ({
  browser,
}) => {
  await ownServer(async (served) => {
    const page = await (await browser.newContext({ baseURL: served.base })).newPage();
    const bench = new Bench(page);
    await bench.startReal(5, '2');
    await bench.answer('Enter');
    await bench.answer('Space');
    await expect(bench.save).toHaveText('Saved');
    served.diskFull(true);
    await bench.answer('Space');
    await bench.answer('Space');
    await expect(bench.save).toHaveText(/Waiting: \d+ not saved yet/);
    await bench.save.hover();
    await expect(page.getByRole('tooltip')).toContainText('disk is full');
    await bench.go('Intake');
    await page.getByLabel('Add photos').setInputFiles(await picture('taken.jpg'));
    await expect(page.getByRole('list', { name: 'Photos' }).getByRole('listitem')).toHaveCount(1);
    await expect(bench.save).toHaveText(/Waiting/);
    const before = await served.get<JobWithEvents>(`/api/jobs/${bench.jobId()}`);
    await page.reload();
    await expect(bench.save).toHaveText(/Waiting/);
    served.diskFull(false);
    await expect(bench.save).toHaveText('Saved', { timeout: 30_000 });
    const saved = await served.get<JobWithEvents>(`/api/jobs/${bench.jobId()}`);
    expect(saved.events.slice(0, before.events.length)).toEqual(before.events);
    expect(saved.events.filter(({ what }) => what.kind === 'answered')).toHaveLength(3);
    await served.kill();
    await served.start();
    expect(await served.get<JobWithEvents>(`/api/jobs/${bench.jobId()}`)).toEqual(saved);
    await page.reload();
    await page.locator('img[src*="/api/photos/"]').first().waitFor();
    await page.context().close();
  });
});

test('where the browser keeps nothing, work is said to be in this open page alone, and is sent when the server is back', async ({
  browser,
}) => {
  await ownServer(async (served) => {
    const page = await (await browser.newContext({ baseURL: served.base })).newPage();
    await page.addInitScript(() => {
      Object.defineProperty(window, 'indexedDB', {
        get: () => {
          throw new DOMException('Storage is not allowed here.', 'SecurityError');
        },
      });
    });
    const bench = new Bench(page);
    await bench.startReal(4, '2');
    await bench.answer('Enter');
    await expect(bench.save).toHaveText('Saved');
    await served.kill();
    await bench.answer('Space');
    await expect(bench.save).toHaveText(/Only in this open page: \d+\. Do not close it/);
    let asked = '';
    page.once('dialog', (dialog) => {
      asked = dialog.type();
      void dialog.dismiss();
    });
    await page.close({ runBeforeUnload: true });
    await expect.poll(() => asked).toBe('beforeunload');
    await served.start();
    await expect(bench.save).toHaveText('Saved', { timeout: 20_000 });
    const { events } = await served.get<JobWithEvents>(`/api/jobs/${bench.jobId()}`);
    expect(events.filter(({ what }) => what.kind === 'answered')).toHaveLength(1);
    await page.context().close();
  });
});

test('an event that an older version left behind and the server will not have is read, mended and saved; the rest goes on', async ({
  page,
  served,
}) => {
  const bench = new Bench(page);
  await bench.startReal(3, '2');
  await bench.answer('Enter');
  await expect(bench.save).toHaveText('Saved');
  const stored = await served.get<JobWithEvents>(`/api/jobs/${bench.jobId()}`);
  const [described] = stored.events;
  const change = described?.what.kind === 'restructured' ? described.what.change : null;
  const position = change?.change === 'described' ? change.actuators[0]?.positions[1]?.id : null;
  if (!position) throw new Error('the switch has no second position');
  const writer = createWriter({
    newId: newIdFrom(seededRandom(Date.now() % 2 ** 31)),
    now: () => new Date().toISOString(),
  });
  const name = 'the one where the pilot lamp glows and the motor hums';
  const event = writer.write(stored.events, {
    kind: 'restructured',
    change: { change: 'position-renamed', position, name },
    basedOn: described?.id ?? null,
  });
  await page.evaluate(
    ({ kept, job }) =>
      new Promise<void>((resolve, reject) => {
        const opening = indexedDB.open('which-way');
        opening.onerror = () => reject(new Error('not opened'));
        opening.onsuccess = () => {
          const transaction = opening.result.transaction('waiting', 'readwrite');
          transaction.objectStore('waiting').put({ id: kept.id, job, order: kept.clock, event: kept });
          transaction.oncomplete = () => {
            opening.result.close();
            resolve();
          };
        };
      }),
    { kept: JSON.parse(JSON.stringify(event)) as { id: string; clock: number }, job: bench.jobId() },
  );
  await page.reload();
  await expect(page.getByText('Not saved: the name of a position.')).toBeVisible();
  await expect(bench.save).toHaveText('Failed: 1 not saved');
  const field = page.getByLabel('What it should be, at most 40: 13 too many');
  await expect(field).toHaveValue(name);
  await bench.answer('Space');
  await field.fill('motor hums');
  await page.getByRole('button', { name: 'Save the fixed version' }).click();
  await expect(bench.save).toHaveText('Saved');
  const after = await served.get<JobWithEvents>(`/api/jobs/${bench.jobId()}`);
  const left = after.events.filter(({ what }) => what.kind === 'left-out');
  expect(left.map(({ device, sequence }) => [device, sequence])).toEqual([[event.device, event.sequence]]);
  expect(after.events.filter(({ what }) => what.kind === 'answered')).toHaveLength(1);
  await page.reload();
  await expect(page.getByText('motor hums').first()).toBeVisible();
});

test('backed up, the disk lost, put back: the same bench, its photos too', async ({ browser }) => {
  await ownServer(async (served) => {
    await served.load('jobs.json');
    await served.load('library.json');
    await served.loadPhotos();
    const bench = async () => ({
      jobs: (await served.get<JobSummary[]>('/api/jobs')).map(({ id, number, title }) => [id, number, title]),
      library: await served.get('/api/library'),
    });
    const before = await bench();
    const page = await (await browser.newContext({ baseURL: served.base })).newPage();
    await page.goto('/');
    await expect(page.getByText('Never backed up.')).toBeVisible();
    await page.getByRole('button', { name: 'Back up' }).click();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: /^Save which-way-backup-.*\.zip/ }).click(),
    ]);
    const file = readFileSync(await download.path());
    await expect(page.getByText(/^Last backup/)).toBeVisible();

    await served.wipe();
    await served.start();
    await page.reload();
    await expect(page.getByText('The bench is empty.')).toBeVisible();
    const put = (name: string, buffer: Buffer) =>
      page.getByLabel('Backup to restore').setInputFiles({ name, mimeType: 'application/zip', buffer });
    await put('half.zip', file.subarray(0, file.length / 2));
    await expect(
      page.getByText(/The backup wasn’t restored\. The file is damaged or was cut off/),
    ).toBeVisible();
    await put('whole.zip', file);
    await expect(page.getByText('Table radio, band switch')).toBeVisible();
    expect(await bench()).toEqual(before);
    const photo = (await served.get<{ id: string }[]>('/api/jobs'))
      .map(({ id }) => id)
      .map(async (id) => (await served.get<JobWithEvents>(`/api/jobs/${id}`)).events);
    const photos = (await Promise.all(photo))
      .flat()
      .flatMap(({ what }) => (what.kind === 'photo-taken' ? [what.photo] : []));
    expect(photos.length).toBeGreaterThan(0);
    for (const { id, width } of photos) {
      const shown = await page.evaluate(async (url) => {
        const bitmap = await createImageBitmap(await (await fetch(url)).blob());
        return bitmap.width;
      }, `/api/photos/${id}`);
      expect(shown).toBe(width);
    }
    await page.context().close();
  });
});

test('two devices on one job hear of each other by themselves: readings, a photo, and that it is deleted', async ({
  browser,
}) => {
  await ownServer(async (served) => {
    const page = await (await browser.newContext({ baseURL: served.base })).newPage();
    const phone = await (await browser.newContext({ baseURL: served.base })).newPage();
    const bench = new Bench(page);
    await bench.startReal(4, '2');
    await phone.goto(page.url());
    await expect(phone.getByTestId('prompt')).toHaveText('Hold the leads together');
    await bench.answer('Enter');
    await bench.type('3');
    await bench.answer('Enter');
    const closed = /^1–3 at Position 1: Closed/;
    await expect(page.getByRole('button', { name: closed })).toBeVisible();
    await expect(bench.save).toHaveText('Saved');
    await expect(phone.getByRole('button', { name: closed })).toBeVisible();
    await phone.goto(page.url().replace(/\/map$/, '/intake'));
    await bench.go('Intake');
    await phone.getByLabel('Add photos').setInputFiles(await picture('taken.jpg'));
    await expect(page.getByRole('list', { name: 'Photos' }).getByRole('button')).toHaveCount(1);
    await phone.goto('/');
    await phone.getByRole('button', { name: 'More for job 1' }).click();
    await phone.getByRole('menuitem', { name: 'Delete…' }).click();
    await phone.getByRole('button', { name: 'Delete', exact: true }).click();
    await expect(phone.getByText('The bench is empty.')).toBeVisible();
    await expect(page.getByText('This job was deleted.')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Export them' })).toBeVisible();
    await page.context().close();
    await phone.context().close();
  });
});
