import type { JobWithEvents } from '@which-way/contract';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { Bench } from '../at-the-bench.js';
import { beepsAsWav } from '../sound-file.js';
import { practise, practiseFaulty } from '../practice-job.js';
import { mappedSwitch, seedJob } from '../seeded-job.js';
import { expect, test } from '../served.js';

const chromiumArguments = JSON.parse(
  readFileSync(new URL('../chromium-arguments.json', import.meta.url), 'utf8'),
) as string[];

test('four lugs and two positions are mapped by beep and pedal alone, as heard', async ({ page, served }) => {
  const address = await practise(served, 4, [[0, 1]], [[0, 1], [2, 3]]); // prettier-ignore
  const bench = new Bench(page);
  await page.goto(address);
  await page.getByRole('button', { name: 'Listen' }).click();
  await expect(page.getByRole('group', { name: 'Listening for the beeper' })).toBeVisible();
  const prompt = page.getByTestId('prompt');
  const done = page.getByText('The map is complete');
  let pedals = 0;
  for (let turn = 0; turn < 60 && !(await done.isVisible()); turn += 1) {
    const before = await prompt.innerText();
    // The simulated hands touch; where nothing sounds in two seconds the pedal says so.
    const went = await expect(prompt).not.toHaveText(before, { timeout: 2000 }).then(() => true, () => false); // prettier-ignore
    if (went || (await done.isVisible())) continue;
    await page.keyboard.press(' ');
    pedals += 1;
  }
  await expect(done).toBeVisible();
  await expect(bench.save).toHaveText('Saved');
  const kept = await fetch(`${served.base}/api${address.replace(/\/map$/, '')}`);
  const answers = await kept.text();
  expect(answers).toContain('"source":"heard"');
  expect(answers).not.toContain('"source":"typed"');
  expect(pedals).toBeGreaterThan(0);
});

test('a practice switch is mapped without a key: silence counts after the time that was chosen', async ({
  page,
  served,
}) => {
  await page.goto(await practise(served, 3, [[0, 1]], [[0, 2]])); // prettier-ignore
  await page.getByRole('button', { name: 'Listen' }).click();
  await page.getByRole('button', { name: 'Options' }).click();
  await page.getByRole('combobox', { name: 'Silent after' }).click();
  await page.getByRole('option', { name: 'Silent after 1.5 s' }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByText('The map is complete')).toBeVisible({ timeout: 60_000 });
  // By ear the wiring is known, and nothing of how good the contacts are.
  await page.getByRole('link', { name: 'See the truth table' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('changeover');
});

/** Goes pair first, and listens. */
async function listenPairFirst(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^Position first/ }).click();
  await page.getByRole('radio', { name: /^Pair first/ }).click();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Listen' }).click();
}

test('the first lesson with sound needs no key: it listens at once, and not again after a reload', async ({
  page,
  served,
}) => {
  await page.goto(`${served.base}/practice`);
  await page.getByRole('button', { name: 'With sound, no keys' }).click();
  await expect(page.getByRole('group', { name: 'Listening for the beeper' })).toBeVisible();
  await expect(page.getByText('What beeps is joined; 1.5 s of silence counts as open.')).toBeVisible();
  await expect(page.getByText('The map is complete')).toBeVisible({ timeout: 60_000 });
  await page.reload();
  await expect(page.getByText('The map is complete')).toBeVisible();
  await expect(page.getByRole('group', { name: 'Listening for the beeper' })).toHaveCount(0);
});

test('a pair is held while the handle turns: the pedal says where it is, the ear what sounds there', async ({
  page,
  served,
}) => {
  await page.goto(await practise(served, 3, [[0, 1]], [], [[0, 2]])); // prettier-ignore
  await listenPairFirst(page);
  const done = page.getByText('The map is complete');
  const prompt = page.getByTestId('prompt');
  const there = page.getByRole('button', { name: /It’s there/ });
  let held = 0;
  for (let turn = 0; turn < 40 && !(await done.isVisible()); turn += 1) {
    const before = await prompt.innerText();
    const moved = () => expect(prompt).not.toHaveText(before, { timeout: 2000 }).then(() => true, () => false); // prettier-ignore
    // What is touched may beep by itself; while the pair is held the pedal alone goes on.
    if (await there.isVisible()) held += 1;
    else if (await moved()) continue;
    await page.keyboard.press(' ');
    await moved();
  }
  expect(held).toBeGreaterThanOrEqual(3);
  await expect(done).toBeVisible();
  await page.getByRole('link', { name: 'See the truth table' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('1-pole changeover, centre off, common 1');
});

test('a contact that flickers while the pair is held is unsteady by ear: counted, and never a pass', async ({
  page,
  served,
}) => {
  const address = await practiseFaulty(served, { kind: 'unsteady' }, 2, [], [[0, 1]]); // prettier-ignore
  await page.goto(address);
  await listenPairFirst(page);
  const flickered = page.getByText(
    'The beep dropped out 2 times: unsteady. Gaps shorter than 60 ms aren’t heard.',
  );
  for (let turn = 0; turn < 12 && !(await flickered.isVisible()); turn += 1) {
    await page.keyboard.press(' ');
    await flickered.waitFor({ timeout: 2500 }).catch(() => undefined);
  }
  await expect(flickered).toBeVisible();
  await expect(page.getByText('The map is complete')).toBeHidden();
  await expect(new Bench(page).save).toHaveText('Saved');
  const job = await served.get<JobWithEvents>(`/api${address.replace(/\/map$/, '')}`);
  const said = job.events.flatMap(({ what }) => (what.kind === 'answered' ? what.readings : []));
  expect(said.map(({ value }) => value.kind)).toContain('unsteady');
  expect(said.some(({ value }) => value.kind === 'tone' && value.sounded)).toBe(false);
});

test('a microphone that is refused is said, and so is what listening needs', async ({ page, served }) => {
  const address = await seedJob(
    served,
    'A lever from a lathe',
    (newId) =>
    mappedSwitch(newId, { labels: 'a b c', positions: [['UP', ''], ['DOWN', '']], unread: ['a-b at DOWN'] }), // prettier-ignore
  );
  await page.goto(address);
  await page.getByRole('button', { name: 'Listen' }).click();
  const lesson = page.getByRole('dialog', { name: 'Teach it your beeper' });
  await expect(lesson).toContainText('Only this device listens; no sound is kept or sent.');
  await lesson.getByRole('button', { name: 'Begin' }).click();
  await expect(lesson.getByRole('alert')).toContainText(/microphone/);
});

test('forty beeps that come through the microphone are heard, each once', async ({ served }) => {
  const folder = mkdtempSync(join(tmpdir(), 'which-way-ear-'));
  const times = Array.from({ length: 40 }, (_, at) => 8000 + 400 * at + 37 * (at % 3));
  writeFileSync(join(folder, 'beeps.wav'), beepsAsWav(times, 160, 2400, 28));
  const browser = await chromium.launch({
    executablePath: process.env['WHICH_WAY_CHROMIUM'] ?? '/usr/bin/chromium',
    args: [
      ...chromiumArguments,
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-audio-capture=${join(folder, 'beeps.wav')}%noloop`,
    ],
  });
  try {
    const page = await browser.newPage();
    const address = await seedJob(
      served,
      'A lever from a press',
      (newId) =>
      mappedSwitch(newId, { labels: 'a b', positions: [['UP', ''], ['DOWN', '']] }), // prettier-ignore
    );
    // Taught before, as this browser keeps it.
    const taught = { pitchHz: 2400, level: 0.19, delayMs: 120, leastMs: 60, holdMs: 60, silentOhms: null };
    await page.addInitScript(
      (kept) => localStorage.setItem('taught-ears', kept),
      JSON.stringify({ state: { byMeter: { 'Handheld, 0.1 ohm': taught } }, version: 0 }),
    );
    await page.goto(served.base + address);
    await page.getByRole('button', { name: 'Listen' }).click();
    const listening = page.getByRole('group', { name: 'Listening for the beeper' });
    await expect(listening).toBeVisible();
    // Counted where it is heard: a page that is held up paints some of them together.
    const heard = listening.locator('[data-heard]');
    await expect(heard).toHaveAttribute('data-heard', '40', { timeout: 60_000 });
    await page.waitForTimeout(2000);
    await expect(heard).toHaveAttribute('data-heard', '40');
  } finally {
    await browser.close();
    rmSync(folder, { recursive: true, force: true });
  }
});
