import { expect, test } from '../served.js';
import { Bench } from '../at-the-bench.js';

test('a mains job with a charged suppressor and a pen as proof: the Map stays shut, says why, then opens', async ({
  page,
}) => {
  const bench = new Bench(page);
  await page.goto('/');
  await page.getByRole('button', { name: 'Map a switch' }).click();
  await page.getByLabel('How many terminals?').fill('3');
  await page.getByRole('button', { name: 'It is still in the machine' }).click();
  await page.getByRole('button', { name: /^Plug-in mains/ }).click();
  const list = page.getByRole('list', { name: 'Safety list' });
  const row = (text: string) => list.getByRole('listitem').filter({ hasText: text });
  // Nothing is proved, or answered at all, before it is isolated.
  await expect(row('Prove dead')).toContainText('Do line 1 first.');
  await row('Pull the plug').getByRole('button', { name: 'Done' }).click();
  await row('More than one feed').getByRole('button', { name: 'Not applicable' }).click();
  await expect(row('More than one feed').getByRole('button', { name: 'Save the reason' })).toBeDisabled();
  await row('More than one feed').getByLabel('Why not?').fill('one cord, nothing else goes in');
  await row('More than one feed').getByRole('button', { name: 'Save the reason' }).click();
  await row('Lock it off').getByRole('button', { name: 'Done' }).click();
  await expect(row('Pull the plug')).toContainText('Done');
  await row('Prove the tester on').getByRole('radio', { name: 'Pen-type detector' }).click();
  await row('Prove the tester on').getByLabel('On which known source?').fill('the bench socket');
  await expect(row('Prove the tester on')).toContainText('A pen-type detector doesn’t prove it’s dead');
  await row('Prove the tester on').getByRole('radio', { name: 'Two-pole voltage tester' }).click();
  await row('Prove the tester on').getByRole('button', { name: 'It showed the voltage' }).click();
  await page.getByLabel('Volts from L to N').fill('38');
  await page.getByLabel('Volts from L to N').press('Enter');
  await expect(page.getByRole('alert')).toContainText('38 V from L to N: it is not dead');
  await expect(page.getByRole('button', { name: 'I answer for this list' })).toBeDisabled();
  await bench.go('Map');
  await expect(page.getByRole('alert')).toContainText('Mapping is locked');
  await page.getByRole('link', { name: 'Continue the safety list' }).click();

  // The suppressor had a charge: it went through the resistor, and only then the tester is proved again.
  await expect(row('Prove the tester again')).not.toContainText('on the bench socket');
  await page.getByRole('button', { name: /^Remove L to N: 38 V/ }).click();
  await page.getByLabel('Volts from L to N').fill('0,2');
  await page.getByLabel('Volts from L to N').press('Enter');
  await row('Prove the tester again').getByRole('button', { name: 'It showed the voltage' }).click();
  await expect(row('Prove the tester again')).toContainText('on the bench socket');
  await row('stored energy').getByLabel('Volts found').fill('38');
  await row('stored energy').getByLabel('Volts after the resistor').fill('0.6');
  await row('stored energy').getByRole('button', { name: 'Save' }).click();
  await row('Dial on ohms').getByRole('button', { name: 'Done' }).click();
  await page.getByLabel('Who did it?').fill('Ada of the bench');
  await page.getByRole('button', { name: 'I answer for this list' }).click();
  await page.getByRole('link', { name: 'Go to the Map' }).click();
  await expect(bench.prompt).toHaveText('Hold the leads together');
  await expect(page.getByText('In circuit: the wires are still on')).toBeVisible();

  // With the wires on a closed is kept and counts for nothing; off, it counts.
  await bench.answer('Enter');
  await page.keyboard.type('1-2=0,3');
  await page.keyboard.press('Enter');
  await page.getByRole('tab', { name: 'Readings' }).click();
  await expect(page.getByText('in circuit: no proof')).toBeVisible();
  await page.getByRole('tab', { name: 'Truth table so far' }).click();
  await page.getByRole('button', { name: 'The wires are off now' }).click();
  await page.keyboard.type('1-2=0,3');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^1–2 at Position 1: Closed/ })).toBeVisible();
  await page.getByRole('button', { name: 'It had power again' }).click();
  await expect(page.getByRole('alert')).toContainText('so dead is no longer proven');
});

test('a box without earth: nought against its bare metal proves nothing, a long lead does', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Map a switch' }).click();
  await page.getByLabel('How many terminals?').fill('2');
  await page.getByRole('button', { name: 'It is still in the machine' }).click();
  await page.getByRole('button', { name: /^Fixed mains/ }).click();
  const live = page.getByRole('region', { name: 'Before it is switched off' });
  const read = async (label: string, volts: string) => {
    await page.getByLabel(label, { exact: true }).fill(volts);
    await page.getByLabel(label, { exact: true }).press('Enter');
    await expect(page.getByText(`${label.replace(/^.*from /, '')}: ${volts} V AC`).first()).toBeVisible();
  };
  await live.getByRole('button', { name: 'Earth is not here' }).click();
  await live.getByLabel('No earth here').check();
  await live.getByRole('button', { name: '+ the bare box' }).click();
  await read('Live volts from L to Box', '42');
  await page.getByRole('button', { name: 'All 3 are so' }).click();
  await read('Volts from L to Box', '0');
  await read('Volts from N to Box', '0');
  const shut = page.getByRole('alert');
  await expect(shut).toContainText('0 V against Box proves nothing');
  await expect(shut).toContainText('Not proved dead: N.');
  await live.getByRole('button', { name: '+ earth on a long lead' }).click();
  await read('Live volts from L to Earth on a lead', '231');
  await read('Volts from L to Earth on a lead', '0');
  await read('Volts from N to Earth on a lead', '0.1');
  await expect(shut).not.toContainText('0 V against');
  await expect(shut).not.toContainText('Not proved dead');
  await page.reload();
  await expect(page.getByText('L to Earth on a lead: 231 V AC')).toBeVisible();
});

test('a corded tool that is dead: each conductor of its cord, a look at the brushes, and: not the switch', async ({
  page,
}) => {
  const bench = new Bench(page);
  await bench.startReal(2, '2');
  await bench.go('Tag wires');
  await bench.part('Is it the switch?');
  await page.getByRole('button', { name: /^Motor with brushes/ }).click();
  const chain = page.getByRole('list', { name: 'Supply path' });
  const back = page.getByRole('list', { name: 'The way back' });
  await expect(chain.getByRole('button')).toHaveCount(8);
  await chain.getByRole('button', { name: /^Electronics/ }).click();
  await page.getByRole('button', { name: 'Not in this machine' }).click();
  await expect(chain.getByRole('button')).toHaveCount(7);

  // The whole machine first; then the cord, one conductor at a time.
  const next = page.getByTestId('next-test');
  await expect(next).toHaveText('Pin to pin at the plug');
  await page.getByRole('button', { name: 'Fail', exact: true }).click();
  for (const cord of [chain, back]) {
    await cord.getByRole('button', { name: /^Cord/ }).click();
    await page.getByLabel(/^Flexed while/).check();
    await page.getByRole('button', { name: 'Pass', exact: true }).click();
    await expect(cord.getByRole('button', { name: /^Cord.*passed/ })).toBeVisible();
  }

  // The hidden fault is a brush spring: whoever looks there sees it, and every stretch with the brushes in it fails.
  const order = ['Plug', 'Fuse', 'Cord', 'Terminals', 'Switch', 'Brushes', 'Motor'];
  const outcome = page.getByRole('heading', { name: 'Not the switch: Brushes: spring off its seat' });
  for (let guard = 0; guard < 20 && !(await outcome.isVisible()); guard += 1) {
    const asked = (await next.textContent()) ?? '';
    if (asked === 'Look at: Brushes') {
      await page.getByRole('radio', { name: 'spring off its seat' }).click();
    } else if (asked.startsWith('Look at')) {
      const all = page.getByRole('button', { name: /^All \d are good/ });
      await ((await all.isVisible()) ? all : page.getByRole('radio', { name: 'Good' })).click();
    } else {
      const [from = asked, to = asked] = /^From (.+) to (.+)$/.exec(asked)?.slice(1) ?? [];
      const place = (name: string) => (name.endsWith(', return') ? order.length : order.indexOf(name));
      const bad = place(from) <= 5 && place(to) >= 5;
      const good = asked === 'Switch' ? 'Reads low in ohms' : 'Pass';
      await page.getByRole('button', { name: bad ? 'Fail' : good, exact: true }).click();
    }
    await expect(async () => {
      const now = (await outcome.isVisible()) ? 'found' : (await next.allTextContents()).join();
      expect(now).not.toBe(asked);
    }).toPass();
  }
  await expect(outcome).toBeVisible();
  await expect(chain.getByRole('button', { name: /^Brushes.*visibly faulty/ })).toBeVisible();
  await expect(chain.getByRole('button', { name: /^Switch.*passed/ })).toBeVisible();

  await page.getByLabel('Length in metres').fill('5');
  await page.getByLabel('Size').fill('2.08');
  await expect(
    page.getByText('5 m loops to 83 milliohm, far ends joined: this meter cannot tell.'),
  ).toBeVisible();
  await page.goto('/');
  await expect(page.getByText('Not the switch: the fault is elsewhere').first()).toBeVisible();
});
