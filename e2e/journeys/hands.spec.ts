import { describeSwitch, newPosition, settingAt, type Actuator } from '@which-way/core/switch';
import { type Deed } from '@which-way/core/log';
import { looksSound } from '../looks-sound.js';
import type { Page } from '@playwright/test';
import { Bench } from '../at-the-bench.js';
import { seedJob } from '../seeded-job.js';
import { expect, test } from '../served.js';

/** Enter until the words are there, clicking on and at last hitting the stop where positions are sought. */
async function enterUntil(bench: Bench, words: RegExp, most = 200): Promise<void> {
  const { page } = bench;
  for (let act = 0; act < most; act += 1) {
    const prompt = (await bench.prompt.textContent()) ?? '';
    if (words.test(prompt) || words.test((await bench.said()) ?? '')) return;
    if (!/click on/.test(prompt)) await bench.answer('Enter');
    else {
      await page.keyboard.press('ArrowRight');
      await bench.thought();
      if (!/at its stop/.test((await bench.said()) ?? '')) continue;
      await page.keyboard.press('Escape');
      await bench.answer('End');
    }
  }
  throw new Error(`never came to ${String(words)}`);
}

/** Practice with a switch and a fault for certain, the same at every run. */
async function practise(page: Page, which: string, wrong: string): Promise<Bench> {
  const bench = new Bench(page);
  await page.addInitScript(() => {
    const drawn = crypto.getRandomValues.bind(crypto);
    crypto.getRandomValues = (array) =>
      array instanceof Uint32Array && array.length === 1 ? array.fill(11) : drawn(array);
  });
  await page.goto('/practice');
  await bench.pick(/^Which/, which);
  await bench.pick(/^Always include/, wrong);
  return bench;
}

test('a dead clip is caught before anything is read with it, and the map is complete and true', async ({
  page,
}) => {
  const bench = await practise(page, '2-pole 4-way selector', 'One clip was dead');
  await page.getByRole('button', { name: 'Put it on the bench' }).click();
  await bench.answer('Enter');
  await page.keyboard.press('/');
  await expect(page.getByRole('radio', { name: 'By time', exact: false }).first()).toBeFocused();
  for (let step = 0; step < 2; step += 1) await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('radio', { name: /with 8 clips/ })).toBeFocused();
  await expect(page.getByRole('radio', { name: /with 8 clips/ })).toBeChecked();
  await page.keyboard.press('Escape');
  await enterUntil(bench, /Red clips on/);
  await expect(page.getByTestId('tie-red')).toBeAttached();
  await looksSound(page, 'the Map');
  await enterUntil(bench, /was silent/);
  await expect(bench.prompt).toContainText('on again');
  // Before the clips come off each is touched once more: what was read with them is proved only then.
  await enterUntil(bench, /^Touch the clips? on .* once more/);
  await expect(page.getByTestId('prompt-small')).toContainText('wiggle the clip');
  await enterUntil(bench, /The map is complete/);
  await page.getByRole('link', { name: 'simulated switch' }).click();
  await expect(page.getByText('The map is complete, and it is the switch.')).toBeVisible();
});

test('fingers on the tips: a leak-like value is read again with the hands off before it counts, on a switch drawn up', async ({
  page,
}) => {
  const bench = await practise(page, 'Draw one', 'Fingers were on both tips');
  const put = page.getByRole('button', { name: 'Put it on the bench' });
  await page.getByLabel('Lugs').fill('3');
  await page.getByLabel('Position 1').fill('1-9');
  await put.click();
  await expect(page.getByRole('alert')).toContainText('Position 1: “1-9” names nothing that joins');
  await page.getByLabel('Position 1').fill('1-2');
  await page.getByLabel('Position 2').fill('1-3');
  await looksSound(page, 'the Map');
  await put.click();
  await bench.answer('Enter');
  await enterUntil(bench, /^Again: black to/);
  await expect(page.getByTestId('prompt-small')).toContainText('Hands off the tips');
  await looksSound(page, 'the Map');
  await enterUntil(bench, /The map is complete/);
  await page.getByRole('link', { name: 'simulated switch' }).click();
  await expect(page.getByText('The map is complete, and it is the switch.')).toBeVisible();
});

test('two parts of 20 ohm sound in a chain and not across: parts in series; read in ohms and accepted, nothing joins', async ({
  page,
}) => {
  const bench = new Bench(page);
  await bench.startReal(3, '1');
  await bench.answer('Enter');
  await bench.type('2');
  await bench.answer('Enter');
  await expect(bench.prompt).toHaveText('The map is complete');
  // By what it was told, 2 and 3 are apart. On the bench they sound.
  await bench.type('2-3');
  await bench.thought();
  await page.keyboard.press('Enter');
  const panel = page.getByRole('alert').filter({ hasText: 'Contradiction' });
  await expect(panel).toContainText('may also be parts in series');
  // Enter reads the one most in doubt again, in ohms, until nothing contradicts any more.
  for (let guard = 0; guard < 4 && (await panel.count()) > 0; guard += 1) {
    await bench.answer('Enter');
    await expect(bench.prompt).toContainText('Again: black to');
    await bench.type('20');
    await bench.thought();
  }
  await expect(panel).toHaveCount(0);
  for (const pair of ['1-2', '2-3']) await bench.type(`${pair}=20`).then(() => page.keyboard.press('Escape'));
  const part = page.getByRole('button', { name: 'It is a part, no contact' });
  for (let guard = 0; guard < 4 && (await part.count()) > 0; guard += 1) await part.first().press('Enter');
  await expect(page.getByText(/look at again/i)).toHaveCount(0);
  await expect(page.getByText('Nothing joins so far.')).toBeVisible();
});

test('two handles, one of which springs back: it says what to hold, how long, and that a clip is needed', async ({
  page,
  served,
}) => {
  const bench = new Bench(page);
  const address = await seedJob(served, 'Two levers', (newId): Deed[] => {
    const change = describeSwitch(
      { terminals: 3, positions: 2, form: 'lever', layout: 'one-row', positionNames: ['REST', 'START'] },
      newId,
    );
    const [first] = change.actuators;
    const [rest, start] = first?.positions ?? [];
    const [off, jog] = [newPosition('OFF', newId), newPosition('JOG', newId)];
    const second: Actuator = {
      id: newId(),
      name: 'Second',
      form: 'lever',
      positions: [off, jog],
      closed: 'declared',
    };
    if (!first || !rest || !start) throw new Error('a lever has two positions');
    const posed = (position: typeof rest, returnsTo: typeof rest): Deed => ({
      kind: 'restructured',
      change: {
        change: 'position-posed',
        position: position.id,
        rests: 'momentary',
        returnsTo: returnsTo.id,
        pose: null,
      },
      basedOn: null,
    });
    const held = settingAt(first.id, start.id, newId);
    const both = { ...held, at: { ...held.at, [second.id]: jog.id } };
    return [
      { kind: 'restructured', change, basedOn: null },
      {
        kind: 'restructured',
        change: { change: 'actuator-added', actuator: second, home: off.id, settings: [both] },
        basedOn: null,
      },
      posed(start, rest),
      posed(jog, off),
    ];
  });
  await page.goto(address);
  await bench.answer('Enter');
  await expect(bench.prompt).toHaveText('Red to 1, black over 2, 3');
  await bench.answer('Space');
  await bench.answer('Space');
  const small = page.getByTestId('prompt-small');
  await expect(page.getByTestId('turn')).toContainText('START');
  await expect(small).toContainText('hold the handle at START, OFF');
  await expect(small).toContainText('a clip on red frees a hand');
  await looksSound(page, 'the Map');
  await bench.type('2');
  await bench.answer('Enter');
  await expect(small).toContainText('hold both handles');
  await expect(small).toContainText('clip black, two hands are not enough');
  await bench.type('3');
  await bench.answer('Enter');
  await expect(bench.prompt).toHaveText('The map is complete');
});

test('a one-pole on-off comes from the bench to its pass in at most 12 inputs', async ({ page }) => {
  const bench = new Bench(page);
  let inputs = 0;
  const key = async (name: string) => {
    inputs += 1;
    await bench.thought();
    await page.keyboard.press(name);
  };
  /** A typed value is one input, with the key that ends it. */
  const value = async (text: string) => {
    inputs += 1;
    await bench.thought();
    await bench.type(text);
  };
  await page.goto('/');
  await page.getByRole('heading', { name: 'On the bench' }).waitFor();
  inputs += 1;
  await page.keyboard.press('n');
  inputs += 1;
  await bench.type('2');
  await expect(bench.prompt).toHaveText('Hold the leads together');
  inputs += 1;
  await page.getByText('Ohms', { exact: true }).click();
  await expect(page.getByTestId('prompt-small')).toContainText('Dial on ohms');
  await value('0.2');
  await expect(bench.prompt).toHaveText('Red to 1, black to 2');
  await value('0.3');
  await expect(bench.prompt).toHaveText('Move it one click on');
  await key('ArrowRight');
  await expect(page.getByText('Position 2').first()).toBeVisible();
  await key('End');
  await expect(bench.prompt).toHaveText('Black to 2');
  await key(' ');
  await expect(bench.prompt).toHaveText('The map is complete');
  inputs += 1;
  await bench.go('Verify');
  inputs += 1;
  await page.getByRole('button', { name: '1-pole on-off' }).click();
  await expect(page.getByTestId('verdict')).toHaveText(
    'Wiring and contacts pass. Insulation and mechanics not tested.',
  );
  expect(inputs).toBeLessThanOrEqual(12);
});
