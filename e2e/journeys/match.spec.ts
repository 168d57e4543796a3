import { Bench } from '../at-the-bench.js';
import { hold, keepEntry, loadNamed, mappedSwitch, seedJob } from '../seeded-job.js';
import { expect, ownServer, test } from '../served.js';

test('a spring-return motor trigger that never closes: by what it should do, safety first, answered, chosen; and a near miss', async ({
  page,
  served,
}) => {
  await keepEntry(served, 1, 'Latching rocker 16', {
    terminals: ['a', 'b', 'c', 'd', 'e'],
    positions: [hold('0', ['a', 'c'], ['d', 'e']), hold('I', ['a', 'b'])],
    facts: { marking: '16(4)A 250V~', disconnection: 'micro' },
  });
  await keepEntry(served, 2, 'Two contacts, no rest', {
    terminals: ['a', 'b', 'c', 'd', 'e'],
    positions: [hold('0', ['a', 'c']), { ...hold('I', ['a', 'b']), rests: 'momentary' }],
  });
  const address = await seedJob(served, 'Hedge trimmer trigger', (newId) => {
    const deeds = mappedSwitch(newId, {
      labels: '1 2 3 4 5',
      positions: [
        ['REST', '1-3 4-5'],
        ['PRESSED', ''],
      ],
      form: 'trigger',
    });
    const [described] = deeds;
    if (described?.kind !== 'restructured' || described.change.change !== 'described') return deeds;
    // The second position springs back to the first.
    const [handle] = described.change.actuators;
    const [rest, pressed] = handle?.positions ?? [];
    if (!handle || !rest || !pressed) return deeds;
    const sprung = { ...pressed, rests: 'momentary' as const, returnsTo: rest.id };
    const change = { ...described.change, actuators: [{ ...handle, positions: [rest, sprung] }] };
    const motor = {
      ...{ id: newId<never>(), name: 'Motor', kind: 'motor' as const, amps: 5, watts: null, volts: 230 },
      ...{ current: 'AC' as const, removed: false },
    };
    return [{ ...described, change }, ...deeds.slice(1), { kind: 'load-named', load: motor }];
  });
  await page.goto(address);
  const bench = new Bench(page);
  await page.getByRole('heading', { level: 1, name: 'Map' }).waitFor({ state: 'attached' });
  await bench.go('Verify');
  await page.getByLabel('From the diagram, one position per line').fill('REST: 1-3 4-5\nPRESSED: 1-2');
  await page.getByRole('button', { name: 'Use it' }).click();
  await expect(page.getByTestId('verdict')).toContainText('Fails: pattern');

  await bench.go('Match');
  await page.getByRole('button', { name: /^Filters/ }).click();
  const should = page.getByRole('radio', { name: 'as it should be' });
  await expect(should).toHaveAttribute('data-state', 'on');
  await page
    .getByRole('list', { name: 'Library, best first' })
    .getByRole('button', { name: /Latching rocker 16/ })
    .click();
  const safety = page.getByRole('region', { name: 'Safety differences' });
  await expect(safety).toContainText('PRESSED sprang back, and here it stays');
  await expect(safety).toContainText('Motor: it is rated for less than it takes.');
  const choose = page.getByRole('button', { name: 'Choose this one' });
  await expect(choose).toBeDisabled();
  await safety.getByRole('button', { name: /^Accept: Motor/ }).click();
  await expect(choose).toBeDisabled();
  // What stopped on release wants a reason.
  await expect(safety.getByRole('button', { name: /^Accept: Spring return lost: PRESSED/ })).toBeDisabled();
  await safety
    .getByLabel(/^Why that is accepted: Spring return lost: PRESSED/)
    .fill('a foot switch in the lead stops it');
  await safety.getByRole('button', { name: /^Accept: Spring return lost: PRESSED/ }).click();
  await choose.click();
  await expect(page.getByRole('button', { name: 'Chosen. Undo' })).toBeVisible();
  await expect(bench.save).toHaveText('Saved');
  await page.reload();
  await expect(safety).toContainText('accepted: a foot switch in the lead stops it');

  await page.getByText(/^Ruled out: \d+/).click();
  await expect(page.getByRole('list', { name: 'Ruled out' })).toContainText(/near: /);
});

test('an ammeter selector that shorts: one that breaks first is refused, with what opens; one that shorts too is not', async ({
  page,
  served,
}) => {
  const address = await seedJob(served, 'Ammeter selector', (newId) => {
    const deeds = mappedSwitch(newId, {
      labels: 'C 1 2 3',
      positions: [['R', 'C-1'], ['S', 'C-2'], ['T', 'C-3']], // prettier-ignore
    });
    const [described] = deeds;
    if (described?.kind !== 'restructured' || described.change.change !== 'described')
      throw new Error('no switch');
    const { terminals, settings } = described.change;
    const [throws, between] = [terminals.slice(1, 3), settings.slice(0, 2)].map((some) =>
      some.map(({ id }) => id),
    );
    return [
      ...deeds,
      loadNamed(newId, {
        name: 'Transformer',
        kind: 'signal',
        make: 'current-transformer',
        amps: 1,
        volts: 1,
      }),
      {
        kind: 'passing-probed',
        passing: { throws, settings: between, way: 'up', passes: 5, seen: true } as never,
      },
    ];
  });
  const way = { terminals: ['a', 'b', 'c', 'd'] };
  const positions = [hold('1', ['a', 'b']), hold('2', ['a', 'c']), hold('3', ['a', 'd'])];
  const stated = (makesBeforeBreaks: boolean) => ({
    ...way,
    positions,
    facts: { makesBeforeBreaks, minimum: { volts: 0.1, milliamps: 1 } },
  });
  await keepEntry(served, 11, 'Selector that breaks first', stated(false));
  await keepEntry(served, 12, 'Selector that shorts', stated(true));
  await page.goto(address.replace(/map$/, 'match'));
  await page.getByRole('button', { name: /^Filters/ }).click();
  const find = page.getByRole('searchbox', { name: 'Filter by name' });
  await find.fill('Selector that breaks');
  await page.getByRole('heading', { level: 2, name: 'Selector that breaks first' }).waitFor();
  await expect(
    page
      .getByRole('region', { name: /Safety differences/ })
      .getByText('The old one makes before it breaks. This one breaks first: a gap between positions.'),
  ).toBeVisible();
  await expect(page.getByRole('button', { name: 'Choose this one' })).toBeDisabled();
  await find.fill('Selector that shorts');
  await page.getByRole('heading', { level: 2, name: 'Selector that shorts' }).waitFor();
  await expect(page.getByRole('region', { name: /Safety differences/ })).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Choose this one' })).toBeEnabled();
});

test('ten thousand parts: those that do come in while it is looked on, each told once', async ({
  browser,
}) => {
  await ownServer(async (served) => {
    const parts = Array.from({ length: 10_000 }, (_, at) => {
      const terminals = Array.from({ length: 3 + (at % 6) }, (_lug, lug) => String(lug + 1));
      return {
        ...{
          id: crypto.randomUUID(),
          kind: 'part',
          name: `Part ${at}`,
          maker: null,
          family: '',
          form: 'rotary',
        },
        ...{ terminals, note: null },
        positions: [
          { name: '1', rests: 'maintained', joined: [['1', '2']] },
          { name: '2', rests: 'maintained', joined: at % 3 === 0 ? [['1', '3']] : [] },
        ],
      };
    });
    const file = { format: 'which-way', version: 2, jobs: [], library: parts };
    const taken = await fetch(`${served.base}/api/import`, {
      ...{ method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(file) },
    });
    expect(taken.status).toBe(200);
    const address = await seedJob(
      served,
      'Changeover',
      (newId) =>
      mappedSwitch(newId, { labels: 'A B C', positions: [['UP', 'A-B'], ['DOWN', 'A-C']] }), // prettier-ignore
    );
    const page = await (await browser.newContext({ baseURL: served.base })).newPage();
    const answered = page.waitForResponse((response) => response.url().endsWith('/api/library/match'));
    await page.goto(address.replace(/map$/, 'match'));
    await expect(page.getByText(/^3334 possible of 10000/)).toBeVisible();
    const lines = (await (await answered).text()).trim().split('\n');
    expect(lines.length).toBeGreaterThan(1);
    const told = lines.flatMap((line) =>
      (JSON.parse(line) as { fresh: { known: { id: string } }[] }).fresh.map(({ known }) => known.id),
    );
    expect(new Set(told).size).toBe(told.length);
    expect(told.length).toBeLessThan(200);
  });
});
