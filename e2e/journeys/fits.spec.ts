import type { JobSummary } from '@which-way/contract';
import type { Browser, Page } from '@playwright/test';
import { goOn } from '../go-on.js';
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
    const go: Seen['go'] = async (job, view = '') => {
      const path = `/${job.about === 'system' ? 'systems' : 'jobs'}/${job.id}/${view}`;
      // Within a job as its links go; the page that was there before is told apart.
      if (of === job) {
        await page.evaluate(() => document.querySelector('main')?.setAttribute('data-before', ''));
        await goOn(page, served, path);
      } else await page.goto(path);
      of = job;
      await page.locator('main:not([data-before]) :is(h1, h2, [role=status], p)').first().waitFor();
      // What comes from beside the page has come when its size stays.
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
      return `${job.title} ${view}`;
    };
    await work({ page, jobs: await served.get<JobSummary[]>('/api/jobs'), go });
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
    if (!isSeen || inSentence || one.matches('[role=checkbox]') || one.closest('svg, table, [role=grid]'))
      continue;
    if (Math.min(width, height) < 43.5)
      found.push(
        `${one.getAttribute('aria-label') ?? one.textContent}: ${width.toFixed()} x ${height.toFixed()}`,
      );
  }
  return found;
};

for (const [device, size] of [
  ['a phone', { width: 390, height: 844 }],
  ['a tablet', { width: 768, height: 1024 }],
] as const)
  test(`on ${device} nothing hangs out sideways, and whatever is pressed is as large as a fingertip`, async ({
    browser,
  }) => {
    await demoAt(browser, size, async ({ page, jobs, go }) => {
      const wrong: string[] = [];
      for (const job of jobs.filter(({ title }) =>
        /^(Pier beacon|Pottery kiln|Table radio|Reading lamp)/.test(title),
      ))
        for (const view of job.about === 'system' ? [''] : VIEWS) {
          const where = await go(job, view);
          wrong.push(...(await page.evaluate(tooSmall)).map((one) => `${where}: ${one}`));
        }
      expect(wrong).toEqual([]);
    });
  });
