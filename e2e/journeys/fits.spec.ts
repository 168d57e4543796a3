import type { JobSummary } from '@which-way/contract';
import type { Browser, Page } from '@playwright/test';
import { goOn } from '../go-on.js';
import { firstScreen, LOOKS, tooDeep } from '../look-over.js';
import { expect, ownServer, test } from '../served.js';

/** Views that are seen whole at 1280 x 800: their parts may scroll, the page doesn't. */
const WHOLE = ['map', 'table', 'verify', 'match', 'refit', 'refit/check', 'refit/function'];
/** All that is looked at on a phone and a tablet. */
const VIEWS = [
  ...WHOLE,
  ...['intake', 'safe', 'tag', 'tag/path', 'tag/wires', 'tag/strip', 'tag/fit', 'table/machine'],
  ...['refit/jumper', 'refit/sign', 'refit/report'],
];

interface Seen {
  page: Page;
  jobs: JobSummary[];
  /** Goes to a view of a job, or to a system, and waits until it stands; what it is, in words. */
  go: (job: JobSummary, view?: string) => Promise<string>;
  /** Goes to a page beside the jobs. */
  goTo: (path: string) => Promise<string>;
}

/** The jobs of the demo, at a size. */
async function demoAt(
  browser: Browser,
  size: { width: number; height: number },
  work: (seen: Seen) => Promise<void>,
): Promise<void> {
  await ownServer(async (served) => {
    await served.load('library.json');
    await served.load('jobs.json');
    const context = await browser.newContext({
      ...{ baseURL: served.base, viewport: size, hasTouch: size.width < 1024 },
    });
    const page = await context.newPage();
    let of: JobSummary | null = null;
    /** Until it stands, and what comes from beside it has come: its size stays. */
    const stands = async () => {
      await page.locator('main:not([data-before]) :is(h1, h2, [role=status], p)').first().waitFor();
      await expect(page.getByText(/^(Loading|Opening)/)).toHaveCount(0);
      let before = -1;
      await expect
        .poll(
          async () => {
            const [was, now] = [before, await page.evaluate(() => document.body.scrollHeight)];
            before = now;
            return now === was;
          },
          { intervals: [150] },
        )
        .toBe(true);
    };
    const goTo: Seen['goTo'] = async (path) => {
      await page.goto(path);
      await stands();
      return path;
    };
    const go: Seen['go'] = async (job, view = '') => {
      const path = `/${job.about === 'system' ? 'systems' : 'jobs'}/${job.id}/${view}`;
      // Within a job as its links go; the page that was there before is told apart.
      if (of === job) {
        await page.evaluate(() => document.querySelector('main')?.setAttribute('data-before', ''));
        await goOn(page, served, path);
      } else await page.goto(path);
      of = job;
      await stands();
      return `${job.title} ${view}`;
    };
    await work({ page, jobs: await served.get<JobSummary[]>('/api/jobs'), go, goTo });
    await context.close();
  });
}

test('no page of the main steps scrolls at 1280 x 800, for any job of the demo', async ({ browser }) => {
  await demoAt(browser, { width: 1280, height: 800 }, async ({ page, jobs, go }) => {
    expect(jobs.length).toBeGreaterThan(10);
    const scrolls: string[] = [];
    for (const job of jobs)
      for (const view of job.about === 'system' ? [''] : WHOLE) {
        const where = await go(job, view);
        const over = await page.evaluate(() => document.documentElement.scrollHeight - innerHeight);
        if (over > 0) scrolls.push(`${where}: ${over} px`);
      }
    expect(scrolls).toEqual([]);
  });
});

/** What is smaller than a fingertip, or hangs out of the page. What stands in a sentence is as high as its line. */
const tooSmall = () => {
  const found: string[] = [];
  const across = document.documentElement.scrollWidth - innerWidth;
  if (across > 0) found.push(`hangs out by ${across} px`);
  for (const one of document.querySelectorAll(
    'main button, main a, main summary, header a, nav a, nav summary',
  )) {
    const { width, height } = one.getBoundingClientRect();
    const isSeen = width > 0 && getComputedStyle(one).visibility !== 'hidden';
    const inSentence = one.matches('a') && getComputedStyle(one).display === 'inline';
    // A tick is pressed by the whole line that it labels.
    if (
      !isSeen ||
      inSentence ||
      one.matches('[role=checkbox], [role=radio]') ||
      one.closest('svg, table, [role=grid]')
    )
      continue;
    if (Math.min(width, height) < 43.5)
      found.push(
        `${one.getAttribute('aria-label') ?? one.textContent}: ${width.toFixed()} x ${height.toFixed()}`,
      );
  }
  return found;
};

const SIZES = {
  'a laptop': { width: 1280, height: 800 },
  'a tablet': { width: 768, height: 1024 },
  'a phone': { width: 390, height: 844 },
};
/** Jobs between which most that can be shown is: two decks, a frame, loads, a system, many parts of a name. */
const LOOKED_AT = /^(Pier beacon, both|Pottery kiln|Table radio|Reading lamp)/;
const BESIDE_JOBS = ['/', '/settings', '/library', '/practice'];

for (const [device, size] of Object.entries(SIZES))
  test(`on ${device}, in both themes, everything can be read, made out and pressed, and the answer is in the first screen`, async ({
    browser,
  }) => {
    await demoAt(browser, size, async ({ page, jobs, go, goTo }) => {
      const wrong: string[] = [];
      const look = async (where: string) => {
        for (const colorScheme of ['light', 'dark'] as const) {
          await page.emulateMedia({ colorScheme });
          const looks = LOOKS[colorScheme];
          for (const seen of colorScheme === 'light' && size.width < 1024 ? [...looks, tooSmall] : looks)
            wrong.push(...(await page.evaluate(seen)).map((one) => `${where}, ${colorScheme}: ${one}`));
        }
      };
      for (const path of BESIDE_JOBS) await look(await goTo(path));
      for (const job of jobs.filter(({ title }) => LOOKED_AT.test(title)))
        for (const view of job.about === 'system' ? [''] : VIEWS) await look(await go(job, view));
      expect(wrong).toEqual([]);
    });
  });

/** Views from which something opens over the page. */
const WITH_DOORS = ['map', 'table', 'table/machine', 'verify', 'match', 'refit/function'];

// What is folded on a page is looked at with all the rest, above.
test('no control of what opens over a page is further away than two taps', async ({ browser }) => {
  await demoAt(browser, SIZES['a laptop'], async ({ page, jobs, go }) => {
    const far: string[] = [];
    let opened = 0;
    for (const job of jobs.filter(({ title }) => LOOKED_AT.test(title)))
      for (const view of job.about === 'system' ? [''] : WITH_DOORS) {
        const where = await go(job, view);
        const doors = page.locator('main [aria-haspopup]:not([role=combobox]):visible');
        for (let at = 0; at < (await doors.count()); at += 1) {
          await doors.nth(at).click();
          const over = page.locator('[role=dialog], [role=menu]');
          await over.waitFor();
          opened += 1;
          far.push(...(await page.evaluate(tooDeep)).map((one) => `${where}: ${one}`));
          await page.keyboard.press('Escape');
          await expect(over).toHaveCount(0);
        }
      }
    expect(opened).toBeGreaterThan(10);
    expect(far).toEqual([]);
  });
});

/** What a view may ask to be taken in at load. A table that differs says at each cell how. */
const MOST: Record<string, { words: number; controls: number }> = {
  verify: { words: 120, controls: 35 },
  match: { words: 250, controls: 40 },
  tag: { words: 180, controls: 35 },
};
/** The Map by job: no more than before the other pages were made to answer first. */
const MOST_ON_MAP: Record<string, { words: number; controls: number }> = {
  'Reading lamp': { words: 148, controls: 37 },
  'Market stall': { words: 140, controls: 38 },
  'Pottery kiln': { words: 174, controls: 43 },
  'Stage guitar': { words: 165, controls: 75 },
  'Table radio': { words: 200, controls: 66 },
};
const ofMap = (title: string) =>
  Object.entries(MOST_ON_MAP).find(([start]) => title.startsWith(start))?.[1] ?? { words: 0, controls: 0 };
const QUIET = /^(Table radio|Stage guitar|Reading lamp|Pottery kiln|Market stall)/;

test('the first screen of a step asks little to be taken in', async ({ browser }) => {
  await demoAt(browser, SIZES['a laptop'], async ({ page, jobs, go }) => {
    const over: string[] = [];
    for (const job of jobs.filter(({ title }) => QUIET.test(title)))
      for (const [view, most] of [...Object.entries(MOST), ['map', ofMap(job.title)] as const]) {
        const where = await go(job, view);
        const { words, controls } = await page.evaluate(firstScreen);
        if (words > most.words || controls > most.controls)
          over.push(`${where}: ${words} words, ${controls} controls`);
      }
    expect(over).toEqual([]);
  });
});
