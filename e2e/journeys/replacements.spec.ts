import { Bench } from '../at-the-bench.js';
import { hold, keepEntry, loadNamed, mappedSwitch, seedJob } from '../seeded-job.js';
import { expect, ownServer, test } from '../served.js';

test('an intermediate switch out of a two-pole changeover with two junctions: what comes by it is said, each is answered, chosen', async ({
  page,
  served,
}) => {
  // Common practice: the two outer contacts of a changeover of two poles, joined crosswise, reverse two wires.
  await keepEntry(served, 1, 'Two-pole changeover', {
    terminals: ['1', '2', '3', '4', '5', '6'],
    positions: [hold('UP', ['2', '1'], ['5', '4']), hold('DOWN', ['2', '3'], ['5', '6'])],
  });
  await keepEntry(served, 2, 'Single changeover', {
    terminals: ['1', '2', '3'],
    positions: [hold('UP', ['2', '1']), hold('DOWN', ['2', '3'])],
  });
  const address = await seedJob(served, 'Stair light, the one in the middle', (newId) =>
    mappedSwitch(newId, {
      labels: 'A B C D',
      positions: [
        ['STRAIGHT', 'A-C B-D'],
        ['CROSSED', 'A-D B-C'],
      ],
      form: 'rocker',
    }),
  );
  const bench = new Bench(page);
  await page.goto(address.replace(/map$/, 'match'));
  const list = page.getByRole('list', { name: 'Library, best first' });
  const status = page.getByRole('status').filter({ hasText: ' possible of ' });
  await page.getByRole('button', { name: /^Filters/ }).click();
  await page.getByRole('searchbox', { name: 'Filter by name' }).fill('Two-pole changeover');
  await expect(status).toContainText('0 possible of 1');
  await page.getByText('How far it may be adapted').click();
  await page.getByRole('radio', { name: 'up to 2' }).click();
  await expect(page.getByTestId('change')).toHaveText('1 comes: Two-pole changeover.');
  await list.getByRole('button', { name: /Two-pole changeover/ }).click();
  await expect(page.getByRole('table', { name: 'Terminal by terminal' })).toContainText(
    'joined by a junction',
  );
  await expect(page.getByRole('img', { name: /^The old one and Two-pole changeover/ })).toBeVisible();
  const choose = page.getByRole('button', { name: 'Choose this one' });
  await expect(choose).toBeDisabled();
  const safety = page.getByRole('region', { name: 'Safety differences' });
  await safety.getByRole('button', { name: /^Accept: 2 junctions are added/ }).click();
  await choose.click();
  await expect(page.getByRole('button', { name: 'Chosen. Undo' })).toBeVisible();
  await expect(bench.save).toHaveText('Saved');

  // Tightened again it goes, by name; and what does not matter is said, which is no longer ‘the same wiring’.
  await page.getByRole('radio', { name: 'none', exact: true }).click();
  await expect(page.getByTestId('change')).toHaveText('1 goes: Two-pole changeover.');
  await page.getByText('What matters').click();
  await page.getByRole('checkbox', { name: 'B', exact: true }).click();
  await expect(page.getByTestId('change')).toHaveText('1 comes: Two-pole changeover.');
  await expect(list).toContainText('does what matters');
});

test('ratings: direct current with AC figures alone, none at all, a signal; an offer that conflicts is rejected, the price of another goes into the sum', async ({
  page,
  served,
}) => {
  const onOff = { terminals: ['1', '2'], positions: [hold('OFF'), hold('ON', ['1', '2'])] };
  await keepEntry(served, 1, 'Alternating only', { ...onOff, facts: { marking: '16(4)A 250V~', price: 3 } });
  await keepEntry(served, 2, 'Nothing stated', onOff);
  await keepEntry(served, 3, 'Silver, sixteen amps', {
    ...onOff,
    facts: { minimum: { volts: 12, milliamps: 100 } },
  });
  const plain = (newId: Parameters<Parameters<typeof seedJob>[2]>[0]) =>
    mappedSwitch(newId, { labels: '1 2', positions: [['OFF', ''], ['ON', '1-2']], form: 'rocker' }); // prettier-ignore
  const direct = await seedJob(served, 'Battery cart, 48 volts', (newId) => [
    ...plain(newId),
    loadNamed(newId, { name: 'Heater', kind: 'resistive', amps: 4, volts: 48, current: 'DC' }),
    { kind: 'measured', fact: { field: 'bushing', value: '12 mm', how: 'measured' } },
  ]);
  await page.goto(direct.replace(/map$/, 'match'));
  const list = page.getByRole('list', { name: 'Library, best first' });
  const [safety, asked] = [
    page.getByRole('region', { name: 'Safety differences' }),
    page.getByRole('group', { name: 'Questions for the seller' }),
  ];
  const find = async (name: string) => {
    const filters = page.getByRole('button', { name: /^Filters/ });
    if ((await filters.getAttribute('aria-expanded')) === 'false') await filters.click();
    await page.getByRole('searchbox', { name: 'Filter by name' }).fill(name);
    await list.getByRole('button', { name: new RegExp(`^${name}`) }).click();
  };
  await find('Alternating only');
  await expect(safety).toContainText('Heater: only AC ratings are stated, and it is DC');
  await expect(asked).toContainText('Heater: what is it rated for');
  await find('Nothing stated');
  await expect(asked).toContainText('Heater: what is it rated for');
  await expect(safety).toHaveCount(0);

  const offers = page.getByRole('group', { name: 'Offers' });
  const write = async (seller: string, price: string, fact: string, value: string) => {
    const form = offers.getByRole('form', { name: 'A new offer' });
    if (!(await form.isVisible())) await offers.getByText('none yet').click();
    await form.getByLabel('Seller').fill(seller);
    await form.getByLabel('Price').fill(price);
    await form.getByRole('combobox', { name: 'What it states' }).click();
    await page.getByRole('option', { name: fact, exact: true }).click();
    await form.getByLabel('As it is stated').fill(value);
    await form.getByRole('button', { name: 'Use that' }).click();
    await form.getByRole('button', { name: 'Add the offer' }).click();
  };
  await write('Quay stores', '4', 'bushing (mm)', '19');
  const bad = offers.getByRole('listitem', { name: 'Offer of Quay stores' });
  await expect(bad).toContainText('19 mm, and 12 mm must fit');
  await expect(bad.getByRole('button', { name: 'Accept' })).toBeDisabled();
  await bad.getByRole('button', { name: /^Reject it/ }).click();
  await expect(bad).toContainText('Rejected: ');
  await write('Slip chandlers', '6.50', 'bushing (mm)', '15/32 in');
  const good = offers.getByRole('listitem', { name: 'Offer of Slip chandlers' });
  await good.getByRole('button', { name: 'Copy the questions' }).click();
  await expect(good).toContainText('Asked on');
  await good.getByRole('button', { name: 'Accept' }).click();
  await page.goto(direct.replace(/map$/, 'intake/worth'));
  await expect(page.getByRole('textbox', { name: /^The part/ })).toHaveValue('6.5');

  const signal = await seedJob(served, 'Mixer, a signal', (newId) => [
    ...plain(newId),
    loadNamed(newId, { name: 'Microphone', kind: 'signal', amps: 0.0001, volts: 1, current: 'DC' }),
  ]);
  await page.goto(signal.replace(/map$/, 'match'));
  await find('Silver, sixteen amps');
  await expect(safety).toContainText('Microphone: it is less than its contacts need to stay clean');
});

test('switches that do this, from the bench; like another of the library; the new part is measured before it is fitted', async ({
  page,
  served,
}) => {
  await keepEntry(served, 1, 'Fan speeds', {
    terminals: ['L', '1', '2', '3'],
    positions: [hold('0'), hold('1', ['L', '1']), hold('2', ['L', '2']), hold('3', ['L', '3'])],
  });
  await page.goto('/library');
  await page.getByText('By what it does').click();
  const said = page.getByLabel(/^What it joins/);
  await said.fill('A: 1-2\nB 1-3');
  await page.getByRole('button', { name: 'Switches that do this' }).click();
  await expect(page.getByRole('alert')).toContainText('Line 2: “B 1-3” has no colon');
  await said.fill('LOW: 1-2 ?2-3\nHIGH: 1-3');
  await page.getByRole('button', { name: 'Switches that do this' }).click();
  await expect(page.getByRole('list', { name: 'Switches that do this' })).toContainText('Fan speeds');
  await page.getByText('By what is stated').click();
  await page.getByLabel('A motor, at least').fill('9999');
  await expect(page.getByText('0 found.')).toBeVisible();

  const address = await seedJob(served, 'A fan with a dead switch', (newId) =>
    mappedSwitch(newId, {
      labels: 'L 1 2 3',
      positions: [['0', ''], ['1', ''], ['2', ''], ['3', '']], // prettier-ignore
    }),
  );
  await page.goto(address.replace(/map$/, 'match'));
  await page.getByRole('radio', { name: 'like another' }).click();
  await new Bench(page).pick('A library entry', /^Fan speeds/);
  await expect(page.getByText('same wiring, like Fan speeds')).toBeVisible();
  await page.getByRole('button', { name: /^Filters/ }).click();
  await page.getByRole('searchbox', { name: 'Filter by name' }).fill('Fan speeds');
  await page.getByRole('heading', { level: 2, name: 'Fan speeds' }).waitFor();
  await page.getByText('same wiring doesn’t mean it fits').click();
  await page.getByRole('button', { name: 'Measure the new part' }).click();
  await page.getByRole('link', { name: /^Fan speeds, for job/ }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Map' })).toBeAttached();
});

/** Ten thousand in the deep tests: what is shown of them is the same. */
const ROWS = process.env['WHICH_WAY_DEEP'] ? 10_000 : 1_500;

test('a large catalogue: mended in place, left, taken in, while readings are being saved and none is lost', async ({
  browser,
}) => {
  await ownServer(async (served) => {
    const page = await (await browser.newContext({ baseURL: served.base })).newPage();
    const address = await seedJob(
      served,
      'Readings meanwhile',
      (newId) =>
    mappedSwitch(newId, { labels: '1 2', positions: [['OFF', ''], ['ON', '1-2']] }), // prettier-ignore
    );
    const rows = Array.from({ length: ROWS }, (_, at) =>
      [
        `Part ${at}`,
        at % 2 ? '1 2 3' : '1 2',
        at % 2 ? 'UP: 1-2; DOWN: 1-3' : 'OFF: ; ON: 1-2',
        at === 17 || at === 1400 ? 'many' : '10000',
      ].join(','),
    );
    const buffer = Buffer.from(['name,terminals,positions,operations', ...rows].join('\n'));
    await page.goto('/library');
    const set = () =>
      page
        .getByLabel('A catalogue as a CSV file')
        .setInputFiles({ name: 'parts.csv', mimeType: 'text/csv', buffer });
    await set();
    const status = page.getByRole('region', { name: 'Import a catalogue' }).getByRole('status');
    await expect(status).toHaveText(`${ROWS - 2} rows are good, 2 have a mistake.`);
    await page.getByLabel(/^Row 19: /).fill('5000');
    await page.getByLabel(/^Row 19: /).blur();
    await expect(status).toHaveText(`${ROWS - 1} rows are good, 1 has a mistake.`);
    await page.getByRole('button', { name: `Import ${ROWS - 1} rows` }).click();
    const work = page.getByRole('region', { name: 'Long work' });
    await expect(work).toContainText(`${ROWS - 1} library entries`);
    await work.getByRole('button', { name: 'Cancel' }).click();
    await expect(work).toHaveCount(0);
    await page.goto('/library');
    await expect(page.getByText('0 found.')).toBeVisible();
    await set();
    await page.getByRole('button', { name: `Import ${ROWS - 2} rows` }).click();

    // A reading every few milliseconds, from another device, while it is taken in.
    const job = address.split('/')[2] ?? '';
    let [going, sent, sequence, after] = [true, 0, 0, 0];
    const device = crypto.randomUUID();
    const readings = (async () => {
      while (going || sent < 20) {
        sequence += 1;
        const event = {
          ...{
            id: crypto.randomUUID(),
            device,
            sequence,
            clock: 1000 + sequence,
            at: new Date().toISOString(),
            schema: 1,
          },
          what: { kind: 'noted', field: 'tried', text: `reading ${sequence}` },
        };
        const response = await fetch(`${served.base}/api/jobs/${job}/events`, {
          ...{ method: 'POST', headers: { 'content-type': 'application/json' } },
          body: JSON.stringify({ after, events: [event] }),
        });
        const text = await response.text();
        expect(response.status, text).toBe(200);
        after = (JSON.parse(text) as { cursor: number }).cursor;
        sent += 1;
        await new Promise((resolve) => setTimeout(resolve, 5));
      }
    })();
    await work.getByRole('button', { name: 'Import', exact: true }).click();
    await expect(work).toContainText(`${ROWS - 2} new library entries`, { timeout: 300_000 });
    going = false;
    await readings;
    const opened = (await (await fetch(`${served.base}/api/jobs/${job}`)).json()) as {
      events: { device: string }[];
    };
    expect(opened.events.filter((event) => event.device === device)).toHaveLength(sent);
    await page.goto('/library');
    await expect(page.getByText(`100 of ${ROWS - 2} are listed: type more to narrow.`)).toBeVisible();
  });
});
