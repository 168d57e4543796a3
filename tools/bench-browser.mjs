// What the Map screen costs in a real browser: from a key to the frame that shows the next prompt, and memory.
import { createMapper } from '@which-way/core/continuity';
import { answerTo, handleAt, planNext } from '@which-way/core/planner';
import { truthfulValues } from '@which-way/core/simulated';
import { createWriter, ORDINARY_METER, PLAIN_APPROACH } from '@which-way/core/log';
import { describeSwitch, newIdFrom, seededRandom } from '@which-way/core/switch';
import { withBrowser } from './bench-served.mjs';

/** A job of 48 terminals in 24 positions, two poles of 24 ways, some way into its map. */
function begun(order, acts) {
  const newId = newIdFrom(seededRandom(acts + order.length));
  const writer = createWriter({ newId, now: () => new Date().toISOString() });
  const change = describeSwitch({ terminals: 48, positions: 24, form: 'rotary', layout: 'list' }, newId);
  const events = [];
  const add = (what) => events.push(writer.write(events, what));
  add({ kind: 'restructured', change, basedOn: null });
  const check = () =>
    add({ kind: 'meter-checked', leadsTogether: { kind: 'ohms', ohms: 0.2 }, meter: ORDINARY_METER });
  check();
  add({ kind: 'approached', approach: { ...PLAIN_APPROACH, order } });
  const truth = (way) =>
    Array.from({ length: 48 }, (_, at) => (at % 24 === way ? 47 - ((47 - at) % 24) : at));
  const terminals = change.terminals.map(({ id }) => id);
  const mapper = createMapper();
  for (let act = 0; act < acts; act += 1) {
    const map = mapper(events);
    const plan = planNext(map, handleAt(map));
    if (plan.kind === 'check-meter') check();
    if (plan.kind !== 'ask') continue;
    const prompt = { id: newId(), ask: plan.ask };
    add({ kind: 'prompt-shown', prompt });
    const truthAt = (setting) => truth(change.settings.findIndex(({ id }) => id === setting));
    const values = truthfulValues(plan.ask, { terminals, settings: map.settings }, truthAt, {
      closed: () => ({ kind: 'tone', sounded: true }),
      open: () => ({ kind: 'tone', sounded: false }),
    });
    add(answerTo(prompt, { values, source: 'typed', inCircuit: false }, newId));
  }
  return { id: newId(), events };
}

/** Runs in the page: milliseconds from each key to the frame in which the prompt had changed and was painted. */
function listen() {
  const took = [];
  let pressed = null;
  const painted = () =>
    new Promise((resolve) =>
      requestAnimationFrame(() => {
        const { port1, port2 } = new MessageChannel();
        port1.onmessage = () => resolve(performance.now());
        port2.postMessage(0);
      }),
    );
  addEventListener('keydown', () => (pressed = performance.now()), true);
  const region = document.querySelector('[aria-label="What to do next"]');
  new MutationObserver(async () => {
    if (pressed === null || region.getAttribute('aria-busy') === 'true') return;
    const began = pressed;
    pressed = null;
    took.push((await painted()) - began);
  }).observe(region, { subtree: true, childList: true, characterData: true, attributes: true });
  window.took = took;
}

/** Presses through some answers on a big map by an order, and notes what it took. */
async function benchOrder({ note, atMost, round }, browser, base, order, target) {
  const { id, events } = begun(order, 60);
  const post = async (path, body) => {
    const response = await fetch(base + path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (!response.ok) throw new Error(await response.text());
    return response.json();
  };
  await post('/api/jobs', { id, title: 'Bench', outOfMachine: true, simulation: null });
  let cursor = 0;
  for (let from = 0; from < events.length; from += 50)
    ({ cursor } = await post(`/api/jobs/${id}/events`, {
      after: cursor,
      events: events.slice(from, from + 50),
    }));
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${base}/jobs/${id}/map`);
  const prompt = page.getByTestId('prompt');
  await prompt.waitFor();
  await page.waitForTimeout(1500);
  await page.evaluate(listen);
  let answers = 0;
  for (; answers < 24; answers += 1) {
    const words = await prompt.textContent();
    await page.keyboard.press(/^Leads together/.test(words) ? 'Enter' : 'Space');
    // A sweep over such a switch takes the hands minutes; the worker has looked ahead by then.
    await page.waitForTimeout(order === 'position' ? 1000 : 2500);
  }
  const took = (await page.evaluate(() => window.took)).sort((one, other) => one - other);
  const session = await page.context().newCDPSession(page);
  await session.send('HeapProfiler.collectGarbage');
  await session.send('Performance.enable');
  const { metrics } = await session.send('Performance.getMetrics');
  const heap = metrics.find(({ name }) => name === 'JSHeapUsedSize').value / 1e6;
  const area = 'screen';
  note(area, `48 x 24, ${order}: answers timed`, took.length, 'answers');
  atMost(
    area,
    `48 x 24, ${order}: ms from key to painted prompt, median`,
    round(took[took.length >> 1], 1),
    'ms',
    target,
  );
  note(
    area,
    `48 x 24, ${order}: the same, slowest of twenty`,
    round(took[Math.floor(took.length * 0.95)], 1),
    'ms',
  );
  note(area, `48 x 24, ${order}: heap of the page after it`, round(heap, 1), 'MB');
  await page.close();
}

/** Answer-to-paint and memory of the Map at 48 terminals in 24 positions, in headless Chromium. */
export const benchBrowser = (out) =>
  withBrowser(out, async (browser, base) => {
    for (const order of ['position', 'time']) await benchOrder(out, browser, base, order, 50);
  });
