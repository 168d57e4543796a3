import type { Locator, Page } from '@playwright/test';
import { practise } from '../practice-job.js';
import { expect, test } from '../served.js';

/** A double-pole on-off switch: which lugs join in which of its two positions. */
const JOINED = [['1–3', '2–4'], []]; // prettier-ignore

/** What a hand does that has no keys: it taps, and types a number where a field asks for one. Each counts once. */
class Finger {
  count = 0;
  constructor(readonly page: Page) {}

  async tap(what: Locator): Promise<void> {
    this.count += 1;
    await what.first().tap();
  }

  async button(name: string | RegExp): Promise<void> {
    await this.tap(this.page.getByRole('button', { name }));
  }

  async enter(field: Locator, text: string): Promise<void> {
    this.count += 1;
    await field.fill(text);
  }
}

const idle = (page: Page) =>
  expect(page.getByRole('region', { name: 'What to do next' })).toHaveAttribute('aria-busy', 'false');

/** What is to be touched is above the prompt, whole. */
async function inSight(page: Page, lugs: readonly string[]): Promise<void> {
  const prompt = await page.getByRole('region', { name: 'What to do next' }).boundingBox();
  for (const lug of lugs) {
    const box = await page.getByRole('button', { name: new RegExp(`^Terminal ${lug}\\b`) }).boundingBox();
    expect(box && prompt && box.y >= 0 && box.y + box.height <= prompt.y + 1, `lug ${lug}`).toBe(true);
  }
}

/** Answers a prompt from the switch in the hand; false: there is nothing more to answer. */
async function answer(finger: Finger, hand: { at: number; red: string }): Promise<boolean> {
  const { page } = finger;
  await idle(page);
  const prompt = (await page.getByTestId('prompt').innerText()).replaceAll('\n', ' ');
  const small = (await page.getByTestId('prompt-small').innerText()).replaceAll('\n', ' ');
  if (prompt === 'The map is complete') return false;
  const ohms = page.getByRole('textbox', { name: 'Ohms' });
  if (prompt === 'Hold the leads together') {
    await finger.enter(ohms, '0.2');
    await finger.button('Enter');
    return true;
  }
  if (/one click on/.test(prompt)) {
    if (hand.at === JOINED.length - 1) await finger.button(/^Hit the stop/);
    else {
      hand.at += 1;
      await finger.button(/^New position/);
    }
    return true;
  }
  hand.at = Number(/Position (\d)/.exec(small)?.[1] ?? hand.at + 1) - 1;
  hand.red = /red(?: to| stays on| on)? (\d)/i.exec(`${prompt} ${small}`)?.[1] ?? hand.red;
  const [, from, to, list] = /black (?:over|to) (\d)(?: to (\d))?(?:, ([\d, ]+))?/i.exec(prompt) ?? [];
  if (!from) throw new Error(`not understood: ${prompt} / ${small}`);
  const upTo = Number(to ?? from);
  const blacks = [
    ...Array.from({ length: upTo - Number(from) + 1 }, (_, step) => String(Number(from) + step)),
    ...(list?.match(/\d/g) ?? []),
  ];
  await inSight(page, [hand.red, ...blacks]);
  const isJoined = (black: string) => JOINED[hand.at]?.includes([hand.red, black].sort().join('–'));
  const found = blacks.filter((black) => isJoined(black));
  const isSweep = /black over/i.test(prompt);
  for (const black of found) {
    if (isSweep && (await page.getByRole('combobox', { name: 'For' }).count()) > 0) {
      await finger.tap(page.getByRole('combobox', { name: 'For' }));
      await finger.tap(page.getByRole('option', { name: black, exact: true }));
    }
    const recent = page.getByRole('group', { name: /recent/i }).getByRole('button', { name: '0.3 Ω' });
    if ((await recent.count()) > 0) await finger.tap(recent);
    else {
      await finger.enter(ohms, '0.3');
      await finger.button('Enter');
    }
  }
  if (isSweep) await finger.button(found.length > 0 ? /read, rest OL/ : /^All OL/);
  else if (found.length === 0) await finger.button(/^OL/);
  return true;
}

for (const [device, size] of [
  ['a phone', { width: 390, height: 844 }],
  ['a tablet', { width: 768, height: 1024 }],
  ['a touch laptop', { width: 1280, height: 800 }],
] as const)
  test(`on ${device} a switch is mapped by touch alone in ohms, to its pass`, async ({ browser, served }) => {
    const context = await browser.newContext({
      baseURL: served.base,
      viewport: size,
      hasTouch: true,
      isMobile: true,
    });
    const page = await context.newPage();
    const finger = new Finger(page);
    await page.goto('/');
    await finger.button(/^Map a switch/);
    await finger.enter(page.getByLabel('How many terminals?'), '4');
    await finger.button(/out of the machine: start/);
    await expect(page.getByTestId('prompt')).toHaveText('Hold the leads together');
    await finger.button('Ohms');
    const hand = { at: 0, red: '1' };
    let guard = 0;
    while (guard < 60 && (await answer(finger, hand))) guard += 1;
    await expect(page.getByTestId('prompt')).toHaveText('The map is complete');

    const folded = page.getByText(/^Map · 4 of 8/);
    if (await folded.isVisible()) await finger.tap(folded);
    await finger.tap(page.getByRole('link', { name: 'Verify' }));
    await finger.button('2-pole on-off');
    await expect(page.getByTestId('verdict')).toHaveText(
      'Wiring and contacts pass. Insulation and mechanics not tested.',
    );
    const box = await page.getByTestId('verdict').boundingBox();
    expect((box?.y ?? size.height) + (box?.height ?? 0)).toBeLessThan(size.height);
    test.info().annotations.push({ type: 'inputs', description: String(finger.count) });
    await context.close();
  });

test('where lugs lie closer than fingertips a tap offers the nearest, each as large as a fingertip', async ({
  browser,
  served,
}) => {
  const address = await practise(served, 24, [[0, 1]]); // prettier-ignore
  const size = { width: 390, height: 844 };
  const context = await browser.newContext({ baseURL: served.base, viewport: size, hasTouch: true });
  const page = await context.newPage();
  await page.goto(address);
  await idle(page);
  await page.getByText('Tone', { exact: true }).tap();
  await page.getByRole('button', { name: /^It beeps|^Measure/ }).tap();
  await expect(page.getByTestId('prompt')).toContainText('black over');
  await page.getByRole('button', { name: /^Terminal 5\b/ }).tap({ force: true });
  const near = page.getByRole('dialog', { name: 'Which terminal?' });
  await expect(near.getByRole('button')).toHaveCount(6);
  for (const one of await near.getByRole('button').all()) {
    const box = await one.boundingBox();
    expect(Math.min(box?.width ?? 0, box?.height ?? 0)).toBeGreaterThanOrEqual(44);
  }
  await near.getByRole('button', { name: '5', exact: true }).tap();
  await expect(near).toHaveCount(0);
  await expect(
    page.getByRole('button', { name: /^Terminal 5, .*(OL|Ω|touch|beep|joined|open)/i }),
  ).toBeVisible();
  await context.close();
});
