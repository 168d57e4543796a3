import { describe, expect, it } from 'vitest';
import type { Deed } from '@which-way/core/log';
import type { KnownSwitch, SettingId, TerminalId } from '@which-way/core/switch';
import { newId } from '../../job/new-id.js';
import { aHeater } from '../../testing/a-heater.js';
import { fill, fireEvent, press, screen, until, within } from '../../testing/acts.js';
import { renderJob } from '../../testing/rendered-job.js';
import { CheckPage } from './power/check-page.js';
import { FunctionPage } from './function/function-page.js';
import { TransferPage } from './card/transfer-page.js';

const { deeds, wires, ids, change } = aHeater();

/** What a prompt of the check asks to hold the leads on. */
const asked = () => screen.getByTestId('prompt').textContent ?? '';

describe('the check before power', () => {
  it('reads to its end where every wire sits right, under names that outlast a rename', async () => {
    const { written } = await renderJob(<CheckPage />, deeds);
    await until(() => expect(asked()).not.toBe(''));
    for (let guard = 0; guard < 20 && screen.queryByTestId('prompt'); guard += 1) {
      const at = screen.getByTestId('turn').textContent;
      const way = at === 'At LOW' ? '2' : '3';
      const [one = '', other = ''] = asked().match(/\d/g) ?? [];
      press(one === other || [one, other].toSorted().join() === `1,${way}` ? /^It joins/ : /^It does not/);
    }
    expect(screen.getByText(/^All read as they should/)).toBeVisible();
    await until(() => expect(written('check-read').length).toBeGreaterThan(2));
    const read = written('check-read');
    const names = new Set([...wires.map(({ id }) => `wire ${id}`), ...ids.map((id) => `terminal ${id}`)]);
    for (const { setting, ends } of read) {
      expect(change.settings.map(({ id }) => id)).toContain(setting);
      expect(ends.every((end) => names.has(end))).toBe(true);
    }
  });

  it('with two wires swapped it stops, asks for what tells most, and names the swap', async () => {
    await renderJob(<CheckPage />, deeds);
    await until(() => expect(asked()).not.toBe(''));
    const swapped = { '2': '3', '3': '2' } as Record<string, string>;
    let told = 0;
    for (let guard = 0; guard < 20 && screen.queryByTestId('prompt'); guard += 1) {
      if (screen.queryByText('This reading tells most about what may be wrong.')) told += 1;
      const way = screen.getByTestId('turn').textContent === 'At LOW' ? '2' : '3';
      const [one = '', other = ''] = asked()
        .split(' to ')
        .map((end) => {
          const label = /\d/.exec(end)?.[0] ?? '';
          return /tag/i.test(end) ? (swapped[label] ?? label) : label;
        });
      press(one === other || [one, other].toSorted().join() === `1,${way}` ? /^It joins/ : /^It does not/);
    }
    expect(screen.getByText('Stop: something is not where it should be')).toBeVisible();
    expect(screen.getByRole('list', { name: 'What may be wrong' }).textContent).toContain('swapped');
    expect(
      within(screen.getByRole('list', { name: 'What may be wrong' })).getAllByRole('listitem'),
    ).toHaveLength(1);
    expect(told).toBeGreaterThan(0);
  });

  it('keeps a record of insulation by its setting, and refuses what is no figure', async () => {
    const { written } = await renderJob(<CheckPage />, deeds);
    fill('Instrument', 'insulation tester');
    fill('Measured by', 'Ada');
    const field = 'Live parts together to earth, LOW, ohms';
    const line = screen.getByLabelText(field).closest('form') as HTMLElement;
    fill(field, 'a lot');
    press('Save', line);
    expect(screen.getByRole('alert').textContent).toContain('Ohms as a figure');
    fill(field, '200M');
    press('Save', line);
    expect(screen.getByText(/200 MΩ, at least 1 MΩ/)).toBeVisible();
    await until(() =>
      expect(written('power-recorded').map(({ record }) => [record.setting, record.ohms])).toEqual([
        [change.settings[0]?.id, 2e8],
      ]),
    );
  });
});

describe('the function test', () => {
  it('what fails asks what it does instead, ranks what explains it, and forgets both when it works after all', async () => {
    const { written } = await renderJob(<FunctionPage />, deeds);
    const line = screen.getByRole('group', { name: 'HIGH: rear: full' });
    press('fails', line);
    expect(screen.getByText(/Choose beside it what the load does instead/)).toBeVisible();
    const instead = screen.getByRole('group', { name: 'What rear does instead' });
    expect(within(instead).queryByRole('button', { name: 'the wrong way' })).toBeNull();
    press('off', instead);
    const list = screen.getByRole('list', { name: 'What may explain it' });
    expect(
      within(list)
        .getAllByRole('listitem')
        .map(({ textContent }) => textContent),
    ).toContainEqual(expect.stringContaining('rear is open'));
    // A live reading beside it leaves what it does as it was said.
    press('Live reading', line);
    fill('What the instrument showed', '229 V across it');
    fill('Why live, and who is competent', 'the element is suspect; Ada');
    press('Save the record');
    await until(() =>
      expect(written('function-tried').at(-1)?.tried).toMatchObject([
        { result: 'fails', does: 'off', live: '229 V across it' },
      ]),
    );
    press('as it should', line);
    expect(screen.queryByText('One thing fails')).toBeNull();
    await until(() => expect(written('function-tried').at(-1)?.tried[0]).not.toHaveProperty('does'));
  });
});

it('a failing line that is of no load asks for nothing that cannot be said', async () => {
  await renderJob(<FunctionPage />, deeds);
  press('fails', screen.getByRole('group', { name: /^warm/ }));
  expect(screen.getByText('One thing fails')).toBeVisible();
  expect(screen.queryByText(/Say beside it/)).toBeNull();
  expect(screen.getByText(/^It isn’t a load in a position/)).toBeVisible();
});

describe('wires back', () => {
  it('one wire at a time, ticked, and not done after all', async () => {
    const { written } = await renderJob(<TransferPage />, deeds);
    expect(asked()).toBe('Tag 1 from 1 to 1');
    press(/^Done/);
    expect(asked()).toBe('Tag 2 from 2 to 2');
    fireEvent.click(screen.getByRole('checkbox', { name: 'Tag 3 from 3 to 3' }));
    expect(screen.getByText('Transfer card: 2 of 3 done')).toBeVisible();
    fireEvent.click(screen.getByRole('checkbox', { name: 'Tag 3 from 3 to 3' }));
    await until(() =>
      expect(written('line-ticked').map(({ line, done }) => [line, done])).toEqual([
        [`wire ${wires[0]?.id}`, true],
        [`wire ${wires[2]?.id}`, true],
        [`wire ${wires[2]?.id}`, false],
      ]),
    );
  });

  it('a wire that may sit on either of two joined lugs of a part is put where the hand says', async () => {
    const [low, high] = change.settings.map(({ id }) => id) as [SettingId, SettingId];
    const part: KnownSwitch = {
      ...{
        id: newId(),
        kind: 'part',
        name: 'Larkspur two',
        maker: null,
        family: '',
        form: 'rotary',
        note: null,
      },
      terminals: ['A', 'B', 'C', 'D'],
      positions: [
        { name: 'I', rests: 'maintained', joined: [['A', 'B']] },
        { name: 'II', rests: 'maintained', joined: [['D', 'C']] },
      ],
    };
    const lugs = [[0, 'A'], [0, 'D'], [1, 'B'], [2, 'C']] as const; // prettier-ignore
    const chosen: Deed = {
      kind: 'chosen',
      replacement: {
        ...{ entry: newId(), name: part.name, source: 'as-mapped', accepted: [], part },
        terminals: lugs.map(([place, to]) => ({ from: ids[place] as TerminalId, to })),
        positions: [
          { from: low, to: 'I' },
          { from: high, to: 'II' },
        ],
      },
    };
    const { written } = await renderJob(<TransferPage />, [...deeds, chosen]);
    expect(asked()).toBe('Jumper from A to D');
    press(/^Done/);
    expect(asked()).toBe('Tag 1 from 1 to A');
    press('Put it on D', screen.getByRole('group', { name: 'Another lug' }));
    expect(screen.getByRole('checkbox', { name: 'Tag 1 from 1 to D' })).toBeVisible();
    await until(() =>
      expect(written('wire-laid').map(({ wire, lug }) => [wire, lug])).toEqual([[wires[0]?.id, 'D']]),
    );
  });
});
