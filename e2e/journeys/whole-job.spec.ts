import type { JobWithEvents } from '@which-way/contract';
import type { Page } from '@playwright/test';
import { Bench } from '../at-the-bench.js';
import { readCheck, record, type Truth } from '../back-in-machine.js';
import { facesOf, pdfText } from '../pdf-text.js';
import { expect, test, type Served } from '../served.js';

/** The hidden switch: its common, its two ways, and what joins in each position. */
async function hiddenSwitch(served: Served, bench: Bench) {
  const { job } = await served.get<JobWithEvents>(`/api/jobs/${bench.jobId()}`);
  const contacts = job.simulation?.contacts ?? [];
  const nets = [0, 1, 2].map((position) =>
    contacts
      .filter(({ closedIn }) => closedIn.includes(position))
      .flatMap(({ a, b }) => [String(a + 1), String(b + 1)]),
  );
  const truth: Truth = Object.fromEntries(nets.map((net, at) => [`Position ${at + 1}`, net]));
  const closing = nets.flatMap((net, at) => (net.length > 0 ? [at] : []));
  const [first = [], second = []] = closing.map((at) => nets[at]);
  const common = first.find((label) => second.includes(label)) ?? '';
  const ways = [first, second].map((net) => net.find((label) => label !== common) ?? '');
  return { truth, common, ways, at: closing.map((at) => `Position ${at + 1}`) };
}

/** Says on Wires and jumpers what comes in and what is fed, and puts a wire on each lug with its far end. */
async function tagWires(page: Page, bench: Bench, ends: Record<string, string>): Promise<void> {
  const things = page.getByRole('region', { name: 'Supplies and loads' });
  await things.getByLabel('V', { exact: true }).fill('230');
  await things.getByRole('button', { name: 'Add the supply' }).click();
  await bench.pick('Which supply', /^N\b/, things);
  await things.getByRole('button', { name: 'Add the supply' }).click();
  for (const [name, watts] of [
    ['front', '300'],
    ['rear', '600'],
  ] as const) {
    await things.getByLabel('What the load is').fill(name);
    await things.getByLabel('W', { exact: true }).fill(watts);
    await things.getByLabel('V at the load').fill('230');
    await things.getByRole('button', { name: 'Add the load' }).click();
    await bench.pick(`Where ${name}, end 2 goes without the switch`, 'straight to N', things);
  }
  const wires = page.getByRole('region', { name: 'Wires', exact: true });
  for (const label of ['1', '2', '3']) {
    await bench.terminal(label).click();
    await wires.getByRole('button', { name: `A wire on ${label}` }).click();
    await wires.getByRole('button', { name: ends[label] ?? '', exact: true }).click();
    await wires.getByRole('button', { name: 'Done' }).click();
  }
}

test('a whole job: from the complaint over the map to the signed report, with a swapped pair of wires caught before power', async ({
  page,
  served,
}, info) => {
  const bench = new Bench(page);
  await bench.startSimulated(/Manual-off-auto/, '3', '5');
  const { truth, common, ways, at } = await hiddenSwitch(served, bench);
  await bench.answer('Enter');
  await bench.probeOn();
  for (let guard = 0; guard < 6 && /^Turn/.test((await bench.prompt.textContent()) ?? ''); guard += 1) {
    await bench.answer('ArrowRight');
    await bench.probeOn();
  }
  await expect(bench.prompt).toHaveText('The map is complete');

  await bench.go('Intake');
  await page
    .getByLabel(/complaint/i)
    .first()
    .fill('Smells hot on full heat.');
  await page.keyboard.press('Tab');
  await bench.go('Tag wires');
  await bench.part('Wires and jumpers');
  await tagWires(page, bench, {
    [common]: 'L',
    [ways[0] ?? '']: 'front, end 1',
    [ways[1] ?? '']: 'rear, end 1',
  });

  // What the switch is for: each way feeds its load.
  await bench.go('Truth table');
  await page.getByRole('link', { name: 'In the machine' }).click();
  const does = page.getByRole('table', { name: 'What each load does' });
  await expect(does.getByRole('row', { name: new RegExp(`^${at[0]}`) })).toContainText('300 W');
  await expect(does.getByRole('row', { name: new RegExp(`^${at[1]}`) })).toContainText('600 W');

  await bench.go('Verify');
  await page.getByRole('button', { name: 'Fill it in by hand' }).click();
  await page.getByRole('button', { name: 'Everything else should be open' }).click();
  for (const [position, net] of Object.entries(truth)) {
    const [a, b] = net.toSorted();
    if (a && b)
      await page
        .getByRole('button', { name: new RegExp(`^${a}–${b} at ${position}:.*should be open$`) })
        .click();
  }
  await expect(page.getByTestId('outcome')).toContainText('agrees in every pair and position');
  await page.getByRole('group', { name: 'Sign-off' }).getByText('not signed').click();
  await page.getByLabel('Signed by').fill('Ada');
  await page.getByRole('button', { name: 'Sign the verdict as it stands' }).click();

  await page.getByRole('link', { name: 'Refit', exact: true }).click();
  for (const label of ['1', '2', '3']) {
    await expect(bench.prompt).toHaveText(`Tag ${label} from ${label} to ${label}`);
    await page.keyboard.press('Enter');
  }
  await expect(page.getByText('Every line of the card is done.')).toBeVisible();
  await page.getByRole('link', { name: 'Now the check before power' }).click();
  await expect(page.getByTestId('prompt')).toBeVisible();
  const [one = '', other = ''] = ways.toSorted();
  await readCheck(page, truth, [one, other]);
  await expect(page.getByText('Stop: something is not where it should be')).toBeVisible();
  await expect(page.getByRole('list', { name: 'What may be wrong' })).toContainText(
    `Tag ${one} and tag ${other} are swapped`,
  );
  // Put right, all of it is read again.
  await page.getByRole('button', { name: 'Fixed: read everything again' }).click();
  await expect(page.getByTestId('prompt')).toBeVisible();
  await readCheck(page, truth, null);
  await expect(page.getByText('All read as they should')).toBeVisible();

  await page.getByLabel('Instrument').fill('insulation tester');
  await page.getByLabel('Measured by').fill('Ada');
  await record(page, 'Earth pin to case', 'much');
  await expect(page.getByRole('alert').filter({ hasText: 'Ohms as a figure' })).toBeVisible();
  await record(page, 'Earth pin to case', '0.5');
  await expect(page.getByText('0.5 Ω, at most 0.3 Ω: outside')).toBeVisible();
  await page.getByRole('button', { name: 'Remove: Earth pin to case' }).click();
  await record(page, 'Earth pin to case', '0.1');
  await record(page, `Live parts together to earth, ${at[0]}`, '200M');
  await expect(page.getByText('200 MΩ, at least 1 MΩ')).toBeVisible();

  await page.getByRole('link', { name: 'Function test', exact: true }).click();
  const line = page.getByRole('group', { name: new RegExp(`^${at[1]}: rear: full`) });
  await line.getByRole('button', { name: 'fails' }).click();
  await expect(page.getByText('One thing fails')).toBeVisible();
  // What it does instead ranks what explains it: its wire sounded in the check, its contact on the Map.
  await page
    .getByRole('group', { name: 'What rear does instead' })
    .getByRole('button', { name: 'off' })
    .click();
  await expect(
    page.getByRole('list', { name: 'What may explain it' }).getByRole('listitem').first(),
  ).toContainText('rear is open: burnt out');
  await line.getByRole('button', { name: 'as it should' }).click();
  // Stop lines are answered one by one, the loads of a position together; what is left is answered by its key.
  const tried = page.getByRole('region', { name: 'What is tried' });
  const rest = tried.getByRole('button', { name: /^The rest as it should/ });
  const stops = tried.getByRole('region', { name: 'Stop, brake and release, one by one' }).getByRole('group');
  await expect(rest).toHaveCount(0);
  for (const stop of await stops.all()) await stop.getByRole('button', { name: 'as it should' }).click();
  for (let left = await rest.count(); left > 0; left -= 1) {
    await rest.first().click();
    await expect(rest).toHaveCount(left - 1);
  }
  const status = page.getByText(/^\d+ of \d+ tried$/);
  while (!/^(\d+) of \1 tried$/.test(await status.innerText())) {
    const before = await status.innerText();
    await page.keyboard.press('Enter');
    await expect(status).not.toHaveText(before);
  }

  await page.getByRole('link', { name: 'Sign-off', exact: true }).click();
  const stands = page.getByRole('list', { name: 'How it stands' });
  await expect(stands.getByRole('listitem')).toHaveText([/done/, /done/, /not done/, /done/]);
  await expect(page.getByText(/Cord alone, live parts to earth/)).toBeVisible();
  await page.getByLabel('Defect', { exact: true }).fill('A scratched knob');
  await page.getByLabel('Accepted because').fill('only looks');
  await page.getByRole('button', { name: 'It stays' }).click();
  await page.getByLabel('Advice to the owner').fill('Keep it dry.');
  await page.keyboard.press('Tab');
  await page.getByLabel('Signed by').fill('Ada');
  await page.getByRole('button', { name: 'Sign it as it stands' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Signed by Ada, some checks not done');
  await expect(bench.save).toHaveText('Saved');

  // The report: what is seen is what is taken away, as a page and on paper.
  await page.getByRole('link', { name: 'Report', exact: true }).click();
  const seen = page.frameLocator('iframe').locator('body');
  await expect(seen).toContainText('Smells hot on full heat.');
  await expect(seen).toContainText('A scratched knob. Accepted: only looks');
  await expect(seen).toContainText('Ada signed');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'PDF, A4' }).click();
  const path = info.outputPath('report.pdf');
  await (await download).saveAs(path);
  const paper = await pdfText(path);
  // On the page and on paper: the product's own typeface, and a second one for signs that it lacks.
  expect(facesOf(path)).toEqual(
    expect.arrayContaining([
      'AtkinsonHyperlegibleNext-Bold',
      'AtkinsonHyperlegibleNext-Regular',
      'DejaVuSans',
    ]),
  );
  expect(paper).toContain('Ω');
  const source = await page.locator('iframe').getAttribute('srcdoc');
  expect(source?.match(/url\("data:font\/woff;base64,d09GR/g)).toHaveLength(2);
  const words = await seen.locator('h1, h2, li, td').allTextContents();
  expect(words.length).toBeGreaterThan(40);
  for (const text of words) expect(paper.replace(/\s/g, '')).toContain(text.replace(/\s/g, ''));
  // What is left out stays left out.
  await page.getByLabel('Readings').click();
  await expect(seen.getByRole('heading', { name: 'Readings' })).toHaveCount(0);
  await expect(bench.save).toHaveText('Saved');
  await page.reload();
  await expect(seen).toContainText('Smells hot on full heat.');
  await expect(seen.getByRole('heading', { name: 'Readings' })).toHaveCount(0);
  // The shape of a report reopens nothing; a tick that is taken back does.
  await page.getByRole('link', { name: 'Wires back', exact: true }).click();
  await page.getByRole('checkbox', { name: 'Tag 2 from 2 to 2' }).click();
  await page.getByRole('link', { name: 'Sign-off', exact: true }).click();
  await expect(page.getByText('it is open again')).toBeVisible();
});
