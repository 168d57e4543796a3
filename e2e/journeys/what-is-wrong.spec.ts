import { Bench } from '../at-the-bench.js';
import { mappedSwitch, seedJob } from '../seeded-job.js';
import { expect, test } from '../served.js';

test('what it is and what is wrong: shared throws, a bridge, one detent off, a leak to the frame', async ({
  page,
  served,
}) => {
  const bench = new Bench(page);
  const open = async (title: string, ...[of]: [Parameters<typeof mappedSwitch>[1]]) => {
    await page.goto(await seedJob(served, title, (newId) => mappedSwitch(newId, of)));
    await page.getByRole('heading', { level: 1, name: 'Map' }).waitFor({ state: 'attached' });
  };
  const expected = async (text: string) => {
    await bench.go('Verify');
    await page.getByLabel('From the diagram, one position per line').fill(text);
    await page.getByRole('button', { name: 'Use it' }).click();
  };
  const likeliest = page.getByRole('group', { name: 'Likeliest' });

  // Two moving contacts of one pole share a throw: 7 goes to 6 or 8, 5 goes to 6 or 4.
  await open('Eight lugs', {
    labels: '1 2 3 4 5 6 7 8',
    positions: [
      ['LEFT', '7-6 5-4 1-2'],
      ['CENTRE', ''],
      ['RIGHT', '7-8 5-6 1-3'],
    ],
  });
  await bench.go('Truth table');
  const words = page.getByRole('region', { name: 'Table' });
  await expect(words).toContainText('1 pole with 2 moving contacts, 5, 7, that share 6');
  await expect(words).toContainText('7: 6 at LEFT, nothing at CENTRE, 8 at RIGHT');
  await expect(words).toContainText('5: 4 at LEFT, nothing at CENTRE, 6 at RIGHT');

  // A changeover whose throws are bridged: asked calmly first, condemned beside what it should do.
  await open('Bridged changeover', {
    labels: '1 2 3',
    positions: [
      ['BOW', '1-2-3'],
      ['STERN', '1-2-3'],
    ],
    unread: ['2-3 at BOW'],
  });
  await bench.go('Truth table');
  await expect(page.getByRole('region', { name: 'Is this intended?' })).toContainText('Is this intended?');
  await expected('BOW: 2-1\nSTERN: 2-3');
  await expect(likeliest).toContainText('1 and 3 are bridged');
  await expect(page.getByLabel('Differences')).toContainText(
    'At BOW, 2 and 3 should be apart and join (follows from the readings 2–1 and 1–3).',
  );

  // Put together one detent off: with the tie that no reading tells, and the reading that would tell the rest.
  await open('Fan, one detent off', {
    labels: 'C 1 2 3',
    positions: [
      ['OFF', 'C-3'],
      ['1', ''],
      ['2', 'C-1'],
      ['3', 'C-2'],
    ],
    unread: ['C-2 at 3', 'C-3 at OFF', '1-3 at OFF', '2-3 at OFF'],
  });
  await expected('OFF: -\n1: C-1\n2: C-2\n3: C-3');
  await expect(likeliest).toContainText('one detent off');
  const telling = likeliest.getByRole('button', { name: /it tells most/ });
  const asked = /Read (\S+)–(\S+) at (\S+):/.exec((await telling.textContent()) ?? '') ?? [];
  await telling.click();
  await page.getByRole('heading', { level: 1, name: 'Map' }).waitFor({ state: 'attached' });
  await expect(bench.prompt).toHaveText(`Red to ${asked[1]}, black to ${asked[2]}`);

  // Without OFF a shift and a rotor that stands turned show the same: a tie, and what tells.
  await open('Selector, rebuilt', {
    labels: 'C 1 2 3',
    positions: [
      ['A', 'C-3'],
      ['B', 'C-1'],
      ['D', 'C-2'],
    ],
  });
  await expected('A: C-1\nB: C-2\nD: C-3');
  await expect(likeliest).toContainText('one detent off');
  await expect(likeliest).toContainText('or: 1 to 3 are rotated');
  await expect(likeliest).toContainText('where the flat, key or marked lug is');
  // A look tells them apart: the mark that belongs by 1 lies by 3, so the contacts were put in turned.
  const marks = page.getByRole('group', { name: 'Marks on the part' });
  await marks.getByText('can tell these causes apart').click();
  const contacts = marks.getByRole('region', { name: 'Flat, key or marked lug of the contacts' });
  await contacts.getByRole('button', { name: /^Terminal 1\b/ }).click();
  await expect(contacts.getByRole('status')).toHaveText('Now tap the lug where it is.');
  await contacts.getByRole('button', { name: /^Terminal 3\b/ }).click();
  await expect(marks).toContainText('The mark on the contacts should be at lug 1; it is at lug 3.');
  await expect(likeliest).toContainText('1 to 3 are rotated');
  await expect(likeliest).not.toContainText('one detent off');
  await marks.getByRole('button', { name: 'Remove' }).click();
  await expect(likeliest).toContainText('one detent off');
  // The stop a position late: the handle was put on wrong.
  const handle = marks.getByRole('region', { name: 'Stop or flat of the handle' });
  await handle.getByRole('radiogroup', { name: 'It should be at' }).getByText('A').click();
  await handle.getByRole('radiogroup', { name: 'It is at' }).getByText('B').click();
  await expect(likeliest).toContainText('one detent off');
  await expect(likeliest).not.toContainText('rotated');

  // One false join in one position: it is repeated before anything is condemned, and repeated away.
  await open('Selector, a slip', {
    labels: 'C 1 2 3',
    positions: [
      ['A', 'C-1'],
      ['B', 'C-2 1-3'],
      ['D', 'C-3'],
    ],
  });
  await expected('A: C-1\nB: C-2\nD: C-3');
  await expect(likeliest).toContainText('Repeat 1–3 at B. If it stays: 1 and 3 are joined at B.');
  await likeliest.getByRole('button', { name: 'Repeat it on the Map' }).click();
  await page.getByRole('heading', { level: 1, name: 'Map' }).waitFor({ state: 'attached' });
  await expect(bench.prompt).toContainText('Again: black to 3');
  await bench.type('OL');
  await expect(bench.prompt).toHaveText('The map is complete');
  await bench.go('Verify');
  await expect(page.getByTestId('verdict')).toContainText('Wiring');
  await expect(likeliest).toHaveCount(0);

  // A terminal that joins the frame is a hazard, whatever the pattern says.
  await open('Leak', { labels: '1 2 F', frame: 'F', positions: [['OFF', '2-F'], ['ON', '1-2-F']] }); // prettier-ignore
  await expected('OFF: -\nON: 1-2');
  await expect(page.getByTestId('verdict')).toContainText('Fails: ');
  await expect(page.getByRole('group', { name: 'Insulation', exact: true })).toContainText(
    'is joined to the frame or earth: a hazard',
  );
});

test('it fails sometimes: twenty strokes with two misses, then the new part measured beside it', async ({
  page,
}) => {
  await page.clock.install();
  const bench = new Bench(page);
  const typed = async (text: string) => {
    await page.keyboard.type(text);
    await page.keyboard.press('Enter');
  };
  const map = async () => {
    await expect(bench.prompt).toHaveText('Hold the leads together');
    await typed('0,2');
    for (let position = 0; position < 2; position += 1) {
      await expect(bench.prompt).toContainText(/black to 2|Handle to Position/i);
      const small = (await page.getByTestId('prompt-small').textContent()) ?? '';
      await typed(small.includes('Position 2') ? '0,4' : 'OL');
      await expect(page.getByTestId('prompt-small')).not.toHaveText(small);
    }
    await expect(bench.prompt).toHaveText('The map is complete');
  };
  await bench.startReal(2, '2');
  await page.getByRole('button', { name: 'Ohms', exact: true }).click();
  await map();
  // From the bench to its verdict in ten inputs: n, 2, 2, Enter; ohms; three values; Verify; what it should be.
  await bench.go('Verify');
  await page.getByRole('button', { name: '1-pole on-off' }).click();
  await expect(page.getByTestId('verdict')).toHaveText(
    'Wiring and contacts pass. Insulation and mechanics not tested.',
  );
  await bench.go('Intake');
  await page
    .getByRole('region', { name: 'Kind of complaint' })
    .getByRole('button', { name: /sometimes/i })
    .click();
  await bench.go('Verify');
  const verdict = page.getByTestId('verdict');
  await expect(verdict).toContainText('Not every contact was worked 20 times');
  await page.getByRole('button', { name: 'Start' }).click();
  for (const cycle of ['4', '12']) {
    while ((await page.getByTestId('cycle').textContent()) !== cycle) await page.clock.fastForward(2000);
    await page.keyboard.press('Space');
  }
  await expect(page.getByText('2 missed, 0 stuck, 0 dropped out')).toBeVisible();
  await page.keyboard.press('Enter');
  await page.getByLabel('Actual number of cycles').fill('20');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'Runs' })).toContainText(
    '2 missed of 20, on the bench: the rate is below 29 % (95 %).',
  );
  await expect(verdict).toContainText('Fails now and then');
  await expect(page.getByRole('group', { name: 'Contacts', exact: true })).toContainText(
    'failed under repeated operation',
  );

  await page.getByText('no other switch measured').click();
  await page.getByRole('button', { name: 'Measure another beside this one' }).click();
  await page.getByRole('link', { name: /^Job \d+: The new part beside job/ }).click();
  await page.getByRole('heading', { level: 1, name: 'Map' }).waitFor({ state: 'attached' });
  await map();
  await bench.go('Verify');
  await expect(page.getByTestId('beside-count')).toHaveText('No difference, 2 alike.');
  await expect(page.getByTestId('verdict')).toHaveText(
    'Wiring and contacts pass. Insulation and mechanics not tested.',
  );
});
