import { Bench } from '../at-the-bench.js';
import { machineDeeds } from '../machine-deeds.js';
import { hold, keepEntry, mappedSwitch, seedJob } from '../seeded-job.js';
import { expect, test } from '../served.js';

const AC = { mains: { kind: 'L' as const }, back: { kind: 'N' as const, volts: null } };

test('a three-heat selector: wires get ends by taps, watts by setting, and an open element is the suspect', async ({
  page,
  served,
}) => {
  const heater = { watts: 400 };
  const address = await seedJob(served, 'Kiln with one cold element', (newId) => {
    const deeds = mappedSwitch(newId, {
      labels: 'L N A B C',
      positions: [['OFF', ''], ['LOW', 'L-A N-C'], ['MEDIUM', 'L-A N-B'], ['HIGH', 'L-B N-A-C']], // prettier-ignore
    });
    return [
      ...deeds,
      ...machineDeeds(newId, deeds[0], {
        ...{ supplies: AC, loads: { One: heater, Two: heater } },
        wires: { L: 'mains', N: 'back', A: '', B: '', C: '' },
      }),
    ];
  });
  const bench = new Bench(page);
  await page.goto(address.replace(/map$/, 'table/machine'));
  // No wire leads to a load yet.
  await expect(page.getByText('We don’t know where the wires go yet.')).toBeVisible();
  await page.getByRole('link', { name: 'Wires and jumpers' }).click();
  await page.getByRole('heading', { level: 1, name: 'Wires and jumpers' }).waitFor({ state: 'attached' });
  const wires = page.getByRole('region', { name: 'Wires', exact: true });
  const end = async (tag: string, ...ends: string[]) => {
    await wires
      .getByRole('button', { name: new RegExp(`^${tag}\\b`) })
      .first()
      .click();
    for (const one of ends) await wires.getByRole('button', { name: one, exact: true }).click();
    await wires.getByRole('button', { name: 'Done' }).click();
  };
  await end('3', 'One, end 1');
  await end('4', 'One, end 2', 'Two, end 1');
  await expect(bench.save).toHaveText('Saved');
  await page.goto(address.replace(/map$/, 'table/machine'));
  const table = page.getByRole('table', { name: 'What each load does' });
  // The end of wire 5 is not said, so nothing is claimed of what hangs on it: no load lights by guess.
  await expect(table.getByRole('row', { name: /^LOW/ })).toContainText('not known');
  await expect(page.getByText(/Tag 5: where it ends is not said/)).toBeVisible();
  await page.goto(address.replace(/map$/, 'tag/wires'));
  await end('5', 'Two, end 2');
  await page.goto(address.replace(/map$/, 'table/machine'));
  const heading = page.getByRole('heading', { level: 1 });
  await expect(heading).toHaveText('At OFF: everything off');
  await page.keyboard.press('ArrowRight');
  await expect(heading).toHaveText('At LOW: One and Two at 25 %, 200 W');
  for (const [setting, watts] of [
    ['MEDIUM', '400 W'],
    ['HIGH', '800 W'],
  ] as const)
    // prettier-ignore
    await expect(table.getByRole('row', { name: new RegExp(`^${setting}`) })).toContainText(watts);

  // The complaint: on HIGH the second stays cold, all else as it should but what hangs on it.
  const seen = page.getByRole('region', { name: 'What was seen' });
  const say = async (load: string, setting: string, what: string) => {
    await seen.getByRole('combobox', { name: `${load} at ${setting}` }).click();
    await page.getByRole('option', { name: what, exact: true }).click();
  };
  await say('Two', 'HIGH', 'off');
  await expect(seen.getByRole('group', { name: /^(Look|Probe|Try) next$/ })).toBeVisible();
  await say('One', 'LOW', 'off');
  await say('Two', 'LOW', 'off');
  await seen.getByRole('button', { name: 'Everything else worked' }).click();
  // The map has read every contact: N to C closes, so it is the element, and not the switch.
  await expect(
    seen.getByRole('list', { name: 'What may explain it' }).getByRole('listitem').first(),
  ).toContainText('Two is open: burnt out');
  await expect(seen.getByText('Then it is not the switch.')).toBeVisible();
  await expect(bench.save).toHaveText('Saved');
  await page.keyboard.press('Control+z');
  await expect(seen.getByRole('button', { name: 'Everything else worked' })).toBeVisible();
});

/** A winch of 12 V on a reversing switch: the address of its Map. */
const winch = (served: Parameters<typeof seedJob>[0], title: string, positions: [string, string][]) =>
  seedJob(served, title, (newId) => {
    const deeds = mappedSwitch(newId, { labels: 'P M A B', positions });
    const current = 'DC' as const;
    return [
      ...deeds,
      ...machineDeeds(newId, deeds[0], {
        supplies: { battery: { kind: '+', volts: 12, current }, minus: { kind: '0', volts: null, current } },
        loads: { Winch: { kind: 'motor', make: 'permanent-magnet', volts: 12, current } },
        wires: { P: 'battery', M: 'minus', A: 'Winch.+', B: 'Winch.-' },
      }),
    ];
  });

test('a reversing motor: a candidate whose brake contact is lost says so first and is barred; what the machine needs finds another pattern', async ({
  page,
  served,
}) => {
  await keepEntry(served, 1, 'Brake gone', {
    terminals: ['p', 'm', 'a', 'b'],
    positions: [hold('FWD', ['p', 'a'], ['m', 'b']), hold('STOP'), hold('REV', ['p', 'b'], ['m', 'a'])],
  });
  await keepEntry(served, 2, 'Brake on minus', {
    terminals: ['p', 'm', 'a', 'b'],
    positions: [
      hold('FWD', ['p', 'a'], ['m', 'b']),
      hold('STOP', ['m', 'a', 'b']),
      hold('REV', ['p', 'b'], ['m', 'a']),
    ],
  });
  const address = await winch(served, 'Winch, forward and back', [['FORWARD', 'P-A M-B'], ['BRAKE', 'A-B'], ['BACK', 'P-B M-A']]); // prettier-ignore
  await page.goto(address.replace(/map$/, 'table/machine'));
  const table = page.getByRole('table', { name: 'What each load does' });
  for (const [setting, does] of [
    ['FORWARD', 'full'],
    ['BRAKE', 'braked'],
    ['BACK', 'reversed'],
  ] as const)
    // prettier-ignore
    await expect(table.getByRole('row', { name: new RegExp(`^${setting}`) })).toContainText(does);

  await page.goto(address.replace(/map$/, 'match'));
  const find = async (name: string) => {
    const filters = page.getByRole('button', { name: /^Filters/ });
    if ((await filters.getAttribute('aria-expanded')) === 'false') await filters.click();
    await page.getByRole('searchbox', { name: 'Filter by name' }).fill(name);
    await page.getByRole('button', { name: new RegExp(`^${name}`) }).click();
  };
  // Whether A and B join at BRAKE is said not to matter: then a switch without the brake does what matters, and that is told.
  await page.getByRole('button', { name: /^Filters/ }).click();
  await page.getByText('What matters').click();
  const bench = new Bench(page);
  await bench.pick('One terminal', 'A');
  await bench.pick('The other terminal', 'B');
  await bench.pick('In which position', 'at BRAKE');
  await page.getByRole('button', { name: 'does not matter' }).click();
  await find('Brake gone');
  const safety = page.getByRole('region', { name: 'Safety differences' });
  await expect(safety.getByText('Brake lost: Winch is no longer braked where it was.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Choose this one' })).toBeDisabled();

  // Both ends on minus brake as well: another pattern, the same in this machine.
  await page.getByRole('radio', { name: 'what the machine needs' }).click();
  await find('Brake on minus');
  await expect(page.getByText('1 more part would do than with “as mapped”.')).toBeVisible();
  await expect(page.getByText(/^does the same in this machine, not the same switch/).last()).toBeVisible();
  await expect(safety).toHaveCount(0);
});

test('an isolator with two batteries: what they share is asked, and decides whether joining them hurts', async ({
  page,
  served,
}) => {
  const address = await seedJob(served, 'Battery isolator', (newId) => {
    const deeds = mappedSwitch(newId, {
      labels: 'A B C',
      positions: [['OFF', ''], ['HOUSE', 'A-C'], ['BOTH', 'A-B-C'], ['ENGINE', 'B-C']], // prettier-ignore
    });
    const battery = { kind: '+' as const, volts: 12, current: 'DC' as const };
    return [
      ...deeds,
      ...machineDeeds(newId, deeds[0], {
        supplies: { house: battery, engine: battery, minus: { kind: '0', volts: null, current: 'DC' } },
        loads: { lamp: { kind: 'lamp', watts: 20, volts: 12, current: 'DC' } },
        wires: { A: 'house', B: 'engine', C: 'lamp.1' },
        ties: { 'lamp.2': 'minus' },
      }),
    ];
  });
  await page.goto(address.replace(/map$/, 'table/machine'));
  const share = page.getByRole('region', { name: 'What the sources share' });
  await expect(page.getByRole('heading', { name: 'Not known to be safe' })).toBeVisible();
  await expect(page.getByText(/At BOTH house and engine are joined/)).toBeVisible();
  await expect(share).toContainText('house and engine: one source, or two?');
  // Two that share nothing have a minus each: there is one.
  await share.getByRole('button', { name: 'Two, nothing shared' }).click();
  await expect(share).toContainText('Add the second minus first');
  await share.getByRole('button', { name: 'Two, one minus' }).click();
  await expect(
    page.getByText(/At BOTH house and engine are joined. Two batteries in parallel/),
  ).toBeVisible();
  // The bypass joins them too: refused until it is said that this is meant.
  await share.getByRole('checkbox').check();
  await expect(page.getByText('You said that is on purpose. Both need a fuse.')).toBeVisible();
  await expect(page.getByText('Good to know')).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByText(/Two batteries in parallel/)).toBeVisible();
});

test('a winch that turns the wrong way both times: the swapped pair is the first suspect, before the switch', async ({
  page,
  served,
}) => {
  const address = await winch(served, 'Winch after somebody had it open', [['IN', 'P-A M-B'], ['STOP', ''], ['OUT', 'P-B M-A']]); // prettier-ignore
  await page.goto(address.replace(/map$/, 'table/machine'));
  const seen = page.getByRole('region', { name: 'What was seen' });
  await seen.getByRole('button', { name: 'wrong way' }).click();
  const likely = seen.getByRole('list', { name: 'What may explain it' });
  await expect(likely.getByRole('listitem').first()).toContainText(/^Wires . and . are swapped/);
  await expect(likely.getByRole('listitem').first()).toContainText('explains 2 of 2');
});
