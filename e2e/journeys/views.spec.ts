import type { JobSummary } from '@which-way/contract';
import { goOn } from '../go-on.js';
import { looksSoundInBoth } from '../looks-sound.js';
import { expect, ownServer, test, type Served } from '../served.js';

const VIEWS: [title: string, path: string, ready: string][] = [
  ['Table radio, band switch', 'intake', 'The complaint'],
  ['Table radio, band switch', 'intake/markings', 'Tap a character'],
  ['Pottery kiln, three-heat selector', 'intake/worth', 'It would come out even with'],
  ['Bilge pump panel, manual-off-auto', 'safe', 'Local rules come first'],
  ['Bilge pump panel, manual-off-auto', 'tag/path', 'First make it safe'],
  ['Table radio, band switch', 'tag', 'Layout'],
  ['Table radio, band switch', 'tag/wires', 'Tag labels, PDF'],
  ['Table radio, band switch', 'tag/strip', 'Nut of the band switch'],
  ['Table radio, band switch', 'tag/fit', 'Bolt spacing'],
  ['Pottery kiln, three-heat selector', 'map', 'Truth table so far'],
  ['Table radio, band switch', 'table', 'Seen from the terminal side'],
  ['Desk fan, five speed keys', 'verify', 'Compared with'],
  ['Stage guitar, five-way selector', 'match', 'Larkspur lever five'],
  ['Bilge pump panel, manual-off-auto', 'map', 'Mapping is locked'],
  ['Reading lamp, knob with two bulbs', 'refit', 'Every line of the card is done'],
  ['Reading lamp, knob with two bulbs', 'refit/check', 'Stop: something is not where it should be'],
  ['Harbour launch, bow or stern lamp', 'refit/jumper', 'A few seconds only'],
  ['Market stall heater, two-heat rocker', 'refit/function', 'after ten minutes'],
  ['Market stall heater, two-heat rocker', 'refit/sign', 'Signed off by Imke'],
  ['Market stall heater, two-heat rocker', 'refit/report', 'What it holds'],
];

/** A bench with all of the demo, and the jobs on it. */
async function demoBench(work: (served: Served, jobs: JobSummary[]) => Promise<void>): Promise<void> {
  await ownServer(async (served) => {
    await served.load('library.json');
    await served.load('jobs.json');
    await served.loadPhotos();
    await work(served, await served.get<JobSummary[]>('/api/jobs'));
  });
}

// Two stretches, so that both cores have some.
for (const stretch of [0, 1]) {
  test(`views of the demo, stretch ${stretch + 1} of 2, are without accessibility violations in either theme`, async ({
    browser,
  }) => {
    await demoBench(async (served, jobs) => {
      const page = await (await browser.newContext({ baseURL: served.base })).newPage();
      for (const [title, path, ready] of VIEWS.filter((_, at) => at % 2 === stretch)) {
        const job = jobs.find((one) => one.title === title);
        await goOn(page, served, `/jobs/${job?.id}/${path}`);
        await expect(page.getByText(ready).first()).toBeVisible();
        await looksSoundInBoth(page, `${title} ${path}`);
        const report = page.getByTitle('The report as it is');
        if ((await report.count()) === 0) continue;
        await page.setContent((await report.getAttribute('srcdoc')) ?? '');
        await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
        await looksSoundInBoth(page, 'the report by itself');
      }
      await page.context().close();
    });
  });
}

test('bench, system, shop and a link are without accessibility violations in either theme', async ({
  browser,
}) => {
  await demoBench(async (served, jobs) => {
    const page = await (await browser.newContext({ baseURL: served.base })).newPage();
    await page.goto('/');
    await expect(page.getByText('Desk fan, five speed keys')).toBeVisible();
    await looksSoundInBoth(page, 'bench');
    await page.getByRole('button', { name: 'Map a switch' }).click();
    await looksSoundInBoth(page, 'start');
    await page.goto(`/systems/${jobs.find(({ about }) => about === 'system')?.id}`);
    await expect(page.getByText('Which of them is bad?')).toBeVisible();
    await looksSoundInBoth(page, 'system');
    await page.goto('/shop');
    await expect(page.getByText('One more line')).toBeVisible();
    await looksSoundInBoth(page, 'shop');
    await page.goto('/settings');
    for (const line of ['Bench meter', 'Your meters', 'Sounds and speech', 'Files and backups', 'About'])
      await page.getByText(line, { exact: true }).click();
    await expect(page.getByText('On this device only.', { exact: true })).toBeVisible();
    await looksSoundInBoth(page, 'settings');
    const heater = jobs.find(({ title }) => title.startsWith('Market stall heater'));
    const made = await fetch(`${served.base}/api/jobs/${heater?.id}/share`, { method: 'POST' });
    const { share } = (await made.json()) as { share: { token: string } };
    await page.goto(`/shared/${share.token}`);
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Market stall heater');
    await looksSoundInBoth(page, 'a link');
    await page.context().close();
  });
});

test('the prompt can be read at arm’s length: cap height 40 px or more, contrast 7 to 1 or more', async ({
  page,
}) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'On the bench' })).toBeVisible();
  await page.keyboard.press('n');
  await page.getByLabel('How many terminals?').fill('5');
  await page.keyboard.press('Enter');
  const prompt = page.getByTestId('prompt');
  await expect(prompt).toHaveText('Hold the leads together');
  const measured = await prompt.evaluate(async (element) => {
    await document.fonts.ready;
    const style = getComputedStyle(element);
    const context = document.createElement('canvas').getContext('2d');
    if (!context) throw new Error('no canvas');
    context.font = `${style.fontWeight} ${style.fontSize} ${style.fontFamily}`;
    let behind: Element | null = element;
    while (behind && getComputedStyle(behind).backgroundColor === 'rgba(0, 0, 0, 0)')
      behind = behind.parentElement;
    const light = (color: string) => {
      context.fillStyle = color;
      context.fillRect(0, 0, 1, 1);
      const channels = [...context.getImageData(0, 0, 1, 1).data].slice(0, 3).map((channel) => {
        const part = channel / 255;
        return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
      });
      return 0.2126 * (channels[0] ?? 0) + 0.7152 * (channels[1] ?? 0) + 0.0722 * (channels[2] ?? 0);
    };
    const cap = context.measureText('H').actualBoundingBoxAscent;
    const lights = [light(style.color), light(getComputedStyle(behind ?? element).backgroundColor)].sort(
      (one, other) => other - one,
    );
    return { cap, contrast: ((lights[0] ?? 0) + 0.05) / ((lights[1] ?? 0) + 0.05) };
  });
  expect(measured.cap).toBeGreaterThanOrEqual(40);
  // Contrast ratio as WCAG 2.2 defines it.
  expect(measured.contrast).toBeGreaterThanOrEqual(7);
});
