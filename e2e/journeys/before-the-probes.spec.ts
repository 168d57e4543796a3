import type { JobWithEvents } from '@which-way/contract';
import type { Page } from '@playwright/test';
import { expect, Served, test } from '../served.js';
import { Bench } from '../at-the-bench.js';
import { pdfText } from '../pdf-text.js';
import { picture } from '../pictures.js';

test('from the complaint to tagged wires, with two photos, a boxed marking and its decoding', async ({
  page,
  served,
}) => {
  const bench = new Bench(page);
  await bench.startReal(4, '3');
  await bench.go('Intake');
  await page.getByLabel('What it came from').fill('A table lamp with two brightnesses');
  await page.getByLabel('The complaint, in the owner’s words').fill('Only the bright one works.');
  await page.getByLabel('Where the other switch is').fill('The wall socket’s own switch');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByRole('region', { name: 'Sister switches' })).toContainText(
    'The wall socket’s own switch',
  );

  await bench.part('Markings');
  await page
    .getByLabel('Add photos')
    .setInputFiles([await picture('front.jpg'), await picture('back.jpg', 600, 800)]);
  await expect(
    page.getByRole('list', { name: 'Photos' }).getByRole('button', { name: /^Photo/ }),
  ).toHaveCount(2);
  await expect(bench.save).toHaveText('Saved');

  const loupe = page.getByRole('region', { name: 'Loupe' });
  for (let press = 0; press < 10; press += 1) await loupe.getByRole('button', { name: 'Larger' }).click();
  await expect(loupe.getByLabel('Enlarged')).toHaveText('12×');
  await loupe.getByLabel('Invert').check();
  await expect(loupe.getByRole('img')).toHaveCSS('filter', /invert\(1\)/);
  await loupe.getByRole('button', { name: 'The whole photo' }).click();
  await expect(loupe.getByLabel('Enlarged')).toHaveText('1.0×');
  await loupe.getByRole('button', { name: 'Box a marking' }).click();
  const sheet = await loupe.getByRole('img').boundingBox();
  if (!sheet) throw new Error('no photo');
  await page.mouse.move(sheet.x + sheet.width * 0.3, sheet.y + sheet.height * 0.4);
  await page.mouse.down();
  await page.mouse.move(sheet.x + sheet.width * 0.7, sheet.y + sheet.height * 0.6, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByRole('img', { name: 'The marking on the photo' })).toBeVisible();
  await page.getByLabel('Marking as read').fill('6(2)A 250V~ T85');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('What it says')).toContainText('6 A resistive, 2 A for motors');
  await expect(loupe.getByRole('button', { name: '6(2)A 250V~ T85' })).toBeVisible();

  await bench.go('Tag wires');
  await bench.part('Wires and jumpers');
  for (const [index, code] of ['BN, brown', 'BU, blue'].entries()) {
    await bench.terminal(String(index + 1)).click();
    await page.getByRole('button', { name: `A wire on ${index + 1}` }).click();
    await page.getByRole('button', { name: code }).click();
    await page.getByRole('button', { name: 'Done' }).click();
  }
  await expect(page.getByRole('img', { name: 'Tag 1 BN' })).toBeVisible();
  await expect(page.getByRole('img', { name: 'Tag 2 BU' })).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Tag labels, PDF' }).click();
  const labels = await pdfText(await (await download).path());
  // Each tag twice: it folds around its wire.
  for (const words of ['on 1 BN', 'on 2 BU'])
    expect(labels.replace(/\s+/g, ' ').split(words)).toHaveLength(3);

  await expect(bench.save).toHaveText('Saved');
  await page.reload();
  await expect(page.getByRole('img', { name: 'Tag 2 BU' })).toBeVisible();
  const { events } = await served.get<JobWithEvents>(`/api/jobs/${bench.jobId()}`);
  const photos = events.flatMap(({ what }) => (what.kind === 'photo-taken' ? [what.photo] : []));
  expect(photos.map(({ width, height }) => [width, height])).toEqual([
    [800, 600],
    [600, 800],
  ]);
  for (const { id } of photos) expect((await page.request.get(`/api/photos/${id}`)).status()).toBe(200);
});

test('jumpers and foreign paths appear on the Map; flipping the view mirrors lugs and handle and changes no reading', async ({
  page,
  served,
}) => {
  const bench = new Bench(page);
  await bench.startReal(4, '3');
  await bench.go('Tag wires');
  await bench.part('Wires and jumpers');
  const parts = page.getByRole('region', { name: 'Jumpers and parts' });
  await bench.terminal('1').click();
  await bench.terminal('4').click();
  await parts.getByRole('button', { name: 'Declare' }).click();
  await bench.pick('What', 'lamp', parts);
  await parts.getByRole('button', { name: 'Declare' }).click();
  await expect(parts.getByRole('alert')).toContainText('two terminals that it bridges');
  await bench.pick('From', '2', parts);
  await bench.pick('To', '3', parts);
  await parts.getByLabel('Ohms').fill('forty');
  await parts.getByRole('button', { name: 'Declare' }).click();
  await expect(parts.getByRole('alert')).toContainText('“forty” isn’t ohms');
  await parts.getByLabel('Ohms').fill('40');
  await parts.getByRole('button', { name: 'Declare' }).click();

  await bench.go('Map');
  await page.getByRole('tab', { name: 'Coverage' }).click();
  const declared = page.getByRole('region', { name: 'Declared paths' });
  await expect(declared.getByRole('listitem')).toHaveText([
    /^1–4 jumper.*taken off$/,
    /^2–3 lamp, 40 Ω.*still on$/,
  ]);
  await expect(page.getByRole('img', { name: 'Declared: lamp 40 Ω' })).toBeVisible();
  await page.getByRole('button', { name: 'What is it?' }).click();
  await page.getByRole('button', { name: 'Knob', exact: true }).click();
  await page.keyboard.press('Escape');
  await bench.answer('Enter');
  await bench.type('3');
  await bench.answer('Enter');
  await expect(bench.save).toHaveText('Saved');

  const across = async (label: string) => (await bench.terminal(label).boundingBox())?.x ?? 0;
  const count = async () => (await served.get<JobWithEvents>(`/api/jobs/${bench.jobId()}`)).events.length;
  const before = { one: await across('1'), two: await across('2'), events: await count() };
  const prompt = await bench.prompt.textContent();
  expect(before.one).toBeLessThan(before.two);
  await expect(page.getByRole('img', { name: /^Handle at .*terminal side$/ })).toBeVisible();
  await expect(page.getByText('It turns anticlockwise as seen here')).toBeVisible();
  await page.getByRole('button', { name: /^Seen from the terminal side/ }).click();
  await expect(page.getByRole('button', { name: /^Seen from the front/ })).toBeVisible();
  expect(await across('1')).toBeGreaterThan(await across('2'));
  await expect(page.getByText('It turns clockwise as seen here')).toBeVisible();
  await expect(page.getByRole('img', { name: /^Handle at .*from the front$/ })).toBeVisible();
  await expect(bench.prompt).toHaveText(prompt ?? '');
  await page.getByRole('tab', { name: 'Truth table so far' }).click();
  await expect(page.getByRole('button', { name: /^1–3 at Position 1: Closed/ })).toBeVisible();
  expect(await count()).toBe(before.events);
});

test('a switch on wafers with gaps, a second handle, a frame and labels that skip numbers', async ({
  page,
}) => {
  const bench = new Bench(page);
  await bench.startReal(4, '2');
  await bench.go('Tag wires');
  await page.getByLabel('Labels as on the part, in order').fill('1-2, 7-9');
  await page.getByRole('button', { name: 'Relabel' }).click();
  await expect(page.getByRole('alert')).toHaveText('That is 5 labels for 4 terminals.');
  await page.getByLabel('Labels as on the part, in order').fill('1-2, 7-8');
  await page.getByRole('button', { name: 'Relabel' }).click();
  await expect(bench.terminal('8')).toBeVisible();
  await page.getByRole('button', { name: 'Add frame (metal case)' }).click();
  await expect(bench.terminal('FRAME')).toBeVisible();

  await page.getByText('Layout', { exact: true }).click();
  await page.getByRole('radio', { name: 'Wafers' }).click();
  await expect(page.getByText('not placed yet')).toBeVisible();
  await page.getByRole('button', { name: 'Fill the free places in order' }).click();
  await expect(page.getByText('not placed yet')).toHaveCount(0);
  const top = await bench.terminal('1').boundingBox();
  const second = await bench.terminal('2').boundingBox();
  expect(top && second && second.x > top.x && second.y > top.y).toBe(true);

  await page.getByRole('button', { name: 'Add another handle' }).click();
  await bench.pick('What it is', 'Push and pull');
  await page.getByLabel(/^Its positions/).fill('in, out');
  await expect(page.getByText('2 more settings to map.')).toBeVisible();
  await page.getByRole('button', { name: 'Add it' }).click();
  await bench.go('Map');
  await expect(page.getByRole('button', { name: /^P1, in/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^P2, out/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /^Push and pull at in/ })).toBeVisible();
  await page.keyboard.press('Backspace');
  await expect(page.getByRole('button', { name: /^Position 2/ })).toBeVisible();
});

test('a strip log is written forwards and read backwards', async ({ page }) => {
  const bench = new Bench(page);
  await bench.startReal(2, '2');
  await bench.go('Tag wires');
  await bench.part('Strip log');
  const step = async (first: boolean, text: string, loose: string) => {
    await page.getByRole('button', { name: first ? 'Write down the first step' : 'Next step' }).click();
    await page.getByLabel('What comes off').fill(text);
    await page.getByRole('button', { name: 'Add fasteners' }).click();
    await page.getByLabel('Length in mm').fill('long');
    await page.getByLabel('Place').fill('left side');
    await page.getByLabel('Loose parts').fill(loose);
    await page.getByRole('button', { name: 'Save the step' }).click();
    await expect(page.getByRole('alert')).toContainText('“long” is not a length in mm');
    await page.getByLabel('Length in mm').fill('12');
    await page.getByRole('button', { name: 'Save the step' }).click();
  };
  await step(true, 'Cover', '');
  await step(false, 'Detent plate', 'two balls and a spring');
  await page.getByRole('radio', { name: 'Back together' }).click();
  const steps = page.getByRole('list', { name: 'Steps, last first' }).locator(':scope > li');
  await expect(steps).toHaveText([/Detent plate.*Goes in here: two balls and a spring/, /Cover/]);
  await expect(steps.first()).toContainText('1 screw, 12 mm, left side');
});

test('the shop keeps its own list and code notes, and a job begins with them', async ({ page }) => {
  const served = new Served();
  await served.start();
  try {
    await shopJourney(page, served.base);
  } finally {
    await served.end();
  }
});

async function shopJourney(page: Page, base: string): Promise<void> {
  await page.goto(`${base}/shop`);
  await page.getByRole('button', { name: 'One more line' }).click();
  await page.getByRole('button', { name: 'Save the lists' }).click();
  await expect(page.getByRole('alert')).toContainText('A line of the shop’s own needs words.');
  await page.getByLabel('What to do').last().fill('Put the guard back on');
  await page.getByLabel('Local codes: what applies here').fill('Our insurer wants two people present.');
  await page.getByRole('button', { name: 'Save the lists' }).click();
  await expect(page.getByText('The safety checklists are saved.')).toBeVisible();
  await page.goto(base);
  await page.getByRole('heading', { name: 'On the bench' }).waitFor();
  await page.keyboard.press('n');
  await page.getByLabel('How many terminals?').fill('2');
  await page.getByRole('button', { name: 'It is still in the machine' }).click();
  await page.getByRole('button', { name: /^Plug-in mains/ }).click();
  await expect(page.getByText('Our insurer wants two people present.')).toBeVisible();
  await expect(page.getByRole('list', { name: 'Safety list' })).toContainText('Put the guard back on');
}
