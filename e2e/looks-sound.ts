import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { AxeResults, RunOptions } from 'axe-core';
import { expect, type Page } from '@playwright/test';

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/** What axe finds on the page as it stands; it is brought there once for each document. */
async function violations(page: Page, options: RunOptions): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe);
  return page.evaluate(
    (how) =>
      (window as unknown as { axe: { run(on: object, how: object): Promise<AxeResults> } }).axe
        // The report stands in a frame that runs nothing, not even what looks at it; it is looked at by itself.
        .run({ exclude: [['iframe']] }, { ...how, resultTypes: ['violations'], iframes: false })
        .then((found) => found.violations.map(({ id, nodes }) => `${id} ${nodes[0]?.html}`)),
    options,
  );
}

/** Looks a page over for accessibility, as axe's rules say, in the theme that it has. */
export async function looksSound(page: Page, view: string): Promise<void> {
  expect((await violations(page, {})).map((found) => `${view}: ${found}`)).toEqual([]);
}

/** The same in the light theme, and its colours in the dark one: nothing else differs between them. */
export async function looksSoundInBoth(page: Page, view: string): Promise<void> {
  await page.emulateMedia({ colorScheme: 'light' });
  await looksSound(page, `${view}, light`);
  await page.emulateMedia({ colorScheme: 'dark' });
  const found = await violations(page, { runOnly: ['color-contrast'] });
  expect(found.map((one) => `${view}, dark: ${one}`)).toEqual([]);
}
