import { expect, type Page } from '@playwright/test';

/** A switch by the labels of its terminals: in each position, as it is called, which of them join as one net. */
export type Truth = Record<string, readonly string[]>;

/**
 * Reads the check before power to its end or until it stops, with hands that have the wires of two lugs the wrong way round where
 * `swapped` says so: what they read is told by where each wire sits.
 */
export async function readCheck(
  page: Page,
  truth: Truth,
  swapped: readonly [string, string] | null,
): Promise<void> {
  const lugOf = (end: string) => {
    const label = end.replace(/^(tag|terminal|lug)\s+/i, '').trim();
    if (!swapped || !/^tag/i.test(end.trim())) return label;
    return label === swapped[0] ? swapped[1] : label === swapped[1] ? swapped[0] : label;
  };
  const prompt = page.getByTestId('prompt');
  while (await prompt.isVisible()) {
    const words = (await prompt.textContent()) ?? '';
    const at = ((await page.getByTestId('turn').textContent()) ?? '').replace('At ', '');
    const [one = '', other = ''] = words.split(' to ').map(lugOf);
    const net = truth[at] ?? [];
    const closed = one === other || (net.includes(one) && net.includes(other));
    await page.keyboard.press(closed ? 'Enter' : 'Space');
    await expect(
      page
        .getByTestId('turn')
        .or(page.getByText(/^All read as they should|^Stop: something/))
        .first(),
    ).toBeVisible();
    await expect
      .poll(
        async () => `${await page.getByTestId('turn').allTextContents()}${await prompt.allTextContents()}`,
      )
      .not.toBe(`At ${at}${words}`);
  }
}

/** Puts a figure of the records before power down. */
export async function record(page: Page, label: string, shown: string): Promise<void> {
  const field = page.getByLabel(`${label}, ohms`);
  await field.fill(shown);
  await field.press('Enter');
}
