import { createWriter, type JobEvent } from '@which-way/core/log';
import { partitionFromGroups } from '@which-way/core/partition';
import { simulatePattern } from '@which-way/core/simulated';
import { describeSwitch, newIdFrom, seededRandom } from '@which-way/core/switch';
import { Bench } from '../at-the-bench.js';
import { expect, test } from '../served.js';
import type { Served } from '../served.js';

/** A practice switch with its positions said; the address of its Map. */
async function practise(served: Served, terminals: number, ...settings: number[][][]): Promise<string> {
  const newId = newIdFrom(seededRandom(Date.now() % 2 ** 31));
  const hidden = simulatePattern(
    settings.map((groups) => partitionFromGroups(terminals, groups)),
    'by ear',
    5,
    true,
  );
  const id = newId<never>();
  const change = describeSwitch(
    { terminals, positions: settings.length, form: 'rotary', layout: 'one-row' },
    newId,
  );
  const writer = createWriter({ newId, now: () => new Date().toISOString() });
  const events: JobEvent[] = [writer.write([], { kind: 'restructured', change, basedOn: null })];
  for (const [path, body] of [
    ['/api/jobs', { id, title: 'By ear', outOfMachine: true, simulation: hidden }],
    [`/api/jobs/${String(id)}/events`, { after: 0, events }],
  ] as const) {
    const response = await fetch(served.base + path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (!response.ok) throw new Error(await response.text());
  }
  return `/jobs/${String(id)}/map`;
}

test('four lugs and two positions are mapped by beep and pedal alone, as heard', async ({ page, served }) => {
  const address = await practise(served, 4, [[0, 1]], [[0, 1], [2, 3]]); // prettier-ignore
  const bench = new Bench(page);
  await page.goto(address);
  await page.getByRole('button', { name: 'Listen' }).click();
  await expect(page.getByRole('group', { name: 'Listening for the beeper' })).toBeVisible();
  if (process.env['SHOT']) await page.screenshot({ path: '/tmp/ear1.png' });
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
