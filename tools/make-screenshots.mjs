// Takes the pictures in docs/screenshots from a fresh demo. Run after `npm run build`; the result is committed.
import { chromium } from '@playwright/test';
import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromiumPath } from './chromium.mjs';
import { root } from './fresh-work.mjs';

/** Headless, and without connections of its own. */
const chromiumArguments = JSON.parse(
  readFileSync(new URL('../e2e/chromium-arguments.json', import.meta.url), 'utf8'),
);

const data = mkdtempSync(join(tmpdir(), 'which-way-shots-'));
const server = spawn(process.execPath, ['server/bundle/main.js', '--demo', '--data', data], { cwd: root });
const base = await new Promise((resolve) =>
  server.stdout.on('data', (chunk) => {
    const address = /http:\/\/127\.0\.0\.1:\d+/.exec(String(chunk))?.[0];
    if (address) resolve(address);
  }),
);
const browser = await chromium.launch({
  executablePath: chromiumPath() ?? undefined,
  args: chromiumArguments,
});

async function pageOf(width, height, colorScheme = 'light') {
  const context = await browser.newContext({
    viewport: { width, height },
    colorScheme,
    reducedMotion: 'reduce',
    baseURL: base,
  });
  return context.newPage();
}
const shoot = async (page, name, ready) => {
  await page.getByText(ready).first().waitFor();
  await page.evaluate(() => document.fonts.ready);
  await page.screenshot({ path: join(root, 'docs', 'screenshots', `${name}.png`) });
};
const openJob = async (page, title) => {
  await page.goto('/');
  await page.getByText(title).first().click();
  await page.getByTestId('save-state').waitFor();
};
const step = (page, name) =>
  page.getByRole('navigation', { name: 'Steps of this job' }).getByRole('link', { name }).click();

const page = await pageOf(1280, 800);
await page.goto('/');
// Where each job stands is worked out beside the bench.
await page.getByText('Desk fan').first().waitFor();
await page.getByText('Calculating…').first().waitFor({ state: 'hidden' });
await shoot(page, 'bench', 'Desk fan');
await openJob(page, 'Pottery kiln');
// The demo was left a while ago: the meter is checked first.
await page.getByText('Leads together again').waitFor();
await page.keyboard.type('0,2');
await page.keyboard.press('Enter');
await page.getByText('Leads together again').waitFor({ state: 'hidden' });
await shoot(page, 'map', 'pairs settled');
await openJob(page, 'Table radio');
await step(page, 'Truth table');
await shoot(page, 'table', 'Seen from the terminal side');
await step(page, 'Intake');
await shoot(page, 'intake', 'Other switches controlling');
await page.getByRole('link', { name: 'Markings' }).click();
await shoot(page, 'markings', 'rests on a guess');
await step(page, 'Tag wires');
await page.getByRole('link', { name: 'Wires and jumpers' }).click();
await shoot(page, 'wires', 'Tag labels, PDF');
await openJob(page, 'Bilge pump');
await shoot(page, 'safe', 'Local rules come first');
await openJob(page, 'Pottery kiln');
await step(page, 'Tag wires');
await page.getByRole('link', { name: 'Is it the switch?' }).click();
await shoot(page, 'path', 'Still looking');
await openJob(page, 'Desk fan');
await shoot(page, 'verify', 'Compared with');
await openJob(page, 'Harbour launch');
await step(page, 'Match');
await shoot(page, 'match', 'possible of');

await page.goto('/');
await page.getByRole('button', { name: 'Map a switch' }).click();
await page.getByLabel('How many terminals?').fill('6');
await page.keyboard.press('Enter');
await page.getByText('Hold the leads together').waitFor();
for (const keys of [
  ['Enter'],
  ['2', 'Enter', '5', 'Enter', 'Enter'],
  ['2', '-', '5', '=', 'O', 'L', 'Enter'],
]) {
  for (const key of keys) await page.keyboard.press(key);
  await page.waitForFunction(() => !document.querySelector('[data-testid=typed]'));
}
await shoot(page, 'contradiction', 'Contradiction at');

await page.goto('/practice');
await page.getByRole('button', { name: 'Start the lesson' }).click();
await page.getByText('Hold the leads together').waitFor();
for (const [key, next] of [
  ['Enter', 'Red to 1'],
  ['Enter', 'one click on'],
]) {
  await page.keyboard.press(key);
  await page.getByTestId('prompt').filter({ hasText: next }).waitFor();
}
await shoot(page, 'practice', 'First lesson: ');

await openJob(page, 'Pottery kiln');
await step(page, 'Truth table');
await page.getByRole('link', { name: 'In the machine' }).click();
await page.getByRole('radio', { name: 'as it should be' }).click();
await page.getByRole('button', { name: 'LOW', exact: true }).click();
await shoot(page, 'machine', 'At LOW');

await openJob(page, 'Pier beacon, both');
await shoot(page, 'system', 'Which of them is bad?');
await openJob(page, 'Pier beacon, switch at the shore');
await step(page, 'Refit');
await shoot(page, 'refit', 'Transfer card');
await openJob(page, 'Reading lamp');
await page.getByRole('link', { name: 'Before power', exact: true }).click();
await shoot(page, 'check', 'Stop: something');
await openJob(page, 'Market stall heater');
await page.getByRole('link', { name: 'Report', exact: true }).click();
await page.frameLocator('iframe').getByText('Complaint').first().waitFor();
await shoot(page, 'report', 'What it holds');

for (const [name, width, height, theme] of [
  ['map-tablet-dark', 768, 1024, 'dark'],
  ['map-phone', 390, 844, 'light'],
]) {
  const small = await pageOf(width, height, theme);
  await openJob(small, 'Pottery kiln');
  await shoot(small, name, 'pairs settled');
}
await browser.close();
server.kill('SIGTERM');
