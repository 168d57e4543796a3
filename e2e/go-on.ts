import type { Page } from '@playwright/test';
import type { Served } from './served.js';

/** Goes to another page of the application as its links do; only where the application is not there it is loaded. */
export async function goOn(page: Page, { base }: Served, path: string): Promise<void> {
  if (!page.url().startsWith(base) || (await page.locator('#root').count()) === 0)
    return void (await page.goto(path));
  await page.evaluate((to) => {
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate', { state: null }));
  }, path);
}
