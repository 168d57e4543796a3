// What pages cost that hold much: a crowded system, and the report of ten thousand readings.
import { statSync } from 'node:fs';
import { createWriter, ORDINARY_METER } from '@which-way/core/log';
import { describeSwitch, newIdFrom, seededRandom } from '@which-way/core/switch';
import { withBrowser } from './bench-served.mjs';
import { crowded } from './bench-system.mjs';

const newId = newIdFrom(seededRandom(5150));
const READINGS = 10_000;

const jobOf = (id, title, events, more = {}) => ({
  ...{ id, title, place: '', outOfMachine: true, simulation: null, created: '2026-01-05T09:00:00.000Z' },
  ...{ events, ...more },
});

/** Takes jobs in as a file is. */
async function takeIn(base, jobs) {
  const file = { format: 'which-way', version: 2, shop: null, jobs, library: [] };
  const response = await fetch(`${base}/api/import`, {
    ...{ method: 'POST', headers: { 'content-type': 'application/json' } },
    body: JSON.stringify(file),
  });
  if (!response.ok) throw new Error(await response.text());
}

/** In the page: milliseconds from a click to the frame after it. */
const clickToPaint = (element) =>
  new Promise((resolve) => {
    const began = performance.now();
    element.click();
    requestAnimationFrame(() => {
      const { port1, port2 } = new MessageChannel();
      port1.onmessage = () => resolve(performance.now() - began);
      port2.postMessage(0);
    });
  });

/** One step of a handle, until it is painted, with 4,096 combinations beside it. */
async function benchHandle({ note, atMost, round }, browser, base) {
  const { members, events } = crowded();
  const id = newId();
  await takeIn(base, [
    ...members.map(({ job, events: of }, at) => jobOf(job, `Selector ${at + 1}`, of)),
    jobOf(id, 'All three', events, { about: 'system' }),
  ]);
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${base}/systems/${id}`);
  const cards = page.getByRole('list', { name: 'Switches and devices' }).getByRole('listitem');
  await cards.nth(2).locator('svg').first().waitFor();
  await page.waitForTimeout(3000);
  const took = [];
  for (let step = 0; step < 24; step += 1) {
    // A tap on the drawing turns the handle on by one.
    const drawn = cards.nth(step % 3).locator('div.cursor-pointer');
    took.push(await drawn.evaluate(clickToPaint));
    await page.waitForTimeout(150);
  }
  await page.close();
  took.sort((one, other) => one - other);
  const area = 'system';
  atMost(area, 'a step of a handle until it is painted, median', round(took[12], 1), 'ms', 50);
  note(area, 'the same, slowest of twenty', round(took[22], 1), 'ms');
}

/** A switch of 24 terminals in 8 positions, read pair by pair, and again, until there are ten thousand readings. */
function muchRead() {
  const writer = createWriter({ newId, now: () => '2026-01-05T10:00:00.000Z' });
  const change = describeSwitch({ terminals: 24, positions: 8, form: 'rotary', layout: 'list' }, newId);
  const events = [];
  // Thousands of events: the writer is handed the last one only, which is all that it looks at.
  const add = (what) => events.push(writer.write(events.slice(-1), what));
  add({ kind: 'restructured', change, basedOn: null });
  add({ kind: 'meter-checked', leadsTogether: { kind: 'ohms', ohms: 0.2 }, meter: ORDINARY_METER });
  const terminals = change.terminals.map(({ id }) => id);
  const pairs = change.settings.flatMap(({ id: setting }, way) =>
    terminals.flatMap((red, a) =>
      terminals.slice(a + 1).map((black, b) => {
        const value = a === 0 && b === way ? { kind: 'ohms', ohms: 0.1 } : { kind: 'over' };
        return { setting, red: [red], black: [black], value };
      }),
    ),
  );
  for (let at = 0; at < READINGS; at += 1)
    add({
      ...{ kind: 'answered', act: 'pair', prompt: null, source: 'typed', inCircuit: false },
      readings: [{ id: newId(), ...pairs[at % pairs.length] }],
    });
  return { id: newId(), events };
}

/** In the page: notes how long the longest stretch was in which nothing could be drawn. */
const watchStretches = () => {
  window.longest = 0;
  new PerformanceObserver((list) => {
    for (const { duration } of list.getEntries()) window.longest = Math.max(window.longest, duration);
  }).observe({ type: 'longtask' });
};

/** The report of ten thousand readings: the page of it, the paper, and how long the screen stood still. */
async function benchReport({ note, atMost, round }, browser, base) {
  const { id, events } = muchRead();
  await takeIn(base, [jobOf(id, 'Much read', events)]);
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${base}/jobs/${id}/refit/sign`);
  await page.getByRole('link', { name: 'Report', exact: true }).waitFor();
  await page.waitForTimeout(8000);
  await page.evaluate(watchStretches);
  const area = 'report';
  let began = performance.now();
  await page.getByRole('link', { name: 'Report', exact: true }).click();
  await page.locator('iframe[title="The report as it is"]').waitFor({ timeout: 60_000 });
  atMost(area, '10,000 readings: the page', round((performance.now() - began) / 1000), 's', 3);
  await page.waitForTimeout(3000);
  const stood = await page.evaluate(() => window.longest);
  atMost(area, '10,000 readings: the screen stood still for at most', round(stood, 0), 'ms', 50);
  await page.evaluate(() => (window.longest = 0));
  began = performance.now();
  const [download] = await Promise.all([
    page.waitForEvent('download', { timeout: 180_000 }),
    page.getByRole('button', { name: 'PDF, A4' }).click(),
  ]);
  atMost(area, '10,000 readings: the PDF', round((performance.now() - began) / 1000), 's', 20);
  const held = await page.evaluate(() => window.longest);
  atMost(area, '10,000 readings: the screen stood still for the PDF for at most', round(held, 0), 'ms', 50);
  note(area, '10,000 readings: the PDF', round(statSync(await download.path()).size / 1e6), 'MB');
  await page.close();
}

export const benchPages = (out) =>
  withBrowser(out, async (browser, base) => {
    await benchHandle(out, browser, base);
    await benchReport(out, browser, base);
  });
