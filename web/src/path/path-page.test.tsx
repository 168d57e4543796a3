import { layPath } from '@which-way/core/path';
import type { Deed, PathLink, PathTest, TestResult } from '@which-way/core/log';
import { describe, expect, it } from 'vitest';
import { newId } from '../job/new-id.js';
import { fill, press, row, screen, tick, until, within } from '../testing/acts.js';
import { renderJob } from '../testing/rendered-job.js';
import { PathPage } from './path-page.js';

const links = layPath('lamp', newId);
const laid: Deed = { kind: 'path-laid', links };
const tested = (from: number, to: number, result: TestResult, flexed = true): Deed => {
  const test: PathTest = {
    id: newId(),
    links: links.slice(from, to + 1).map(({ id }) => id),
    result,
    flexed,
    ohms: null,
  };
  return { kind: 'path-tested', test };
};
const kinds = (list: readonly PathLink[] | undefined) => list?.map(({ kind }) => kind);
const chain = () => screen.getByRole('list', { name: 'Supply path' });

describe('the supply path on the screen', () => {
  it('is laid from a preset, and edited by tapping', async () => {
    const { written } = await renderJob(<PathPage />, []);
    press(/^Boat or vehicle/);
    await until(() =>
      expect(kinds(written('path-laid')[0]?.links)).toEqual([
        'battery',
        'fuse',
        'terminals',
        'switch',
        'motor',
      ]),
    );
    press('Lamp');
    await until(() =>
      expect(kinds(written('path-laid')[1]?.links)).toEqual([
        'battery',
        'fuse',
        'terminals',
        'switch',
        'motor',
        'lamp',
      ]),
    );
    press(/^Motor/, chain());
    press('Not in this machine');
    await until(() =>
      expect(kinds(written('path-laid')[2]?.links)).toEqual([
        'battery',
        'fuse',
        'terminals',
        'switch',
        'lamp',
      ]),
    );
    press(/^Lamp/, chain());
    press('Move it towards the supply');
    await until(() =>
      expect(kinds(written('path-laid')[3]?.links)).toEqual([
        'battery',
        'fuse',
        'terminals',
        'lamp',
        'switch',
      ]),
    );
  });

  it('names a second link of a kind, so that the two are told apart', async () => {
    const { written } = await renderJob(<PathPage />, [laid]);
    press('Terminals', screen.getByRole('region', { name: 'Add a link' }));
    await until(() =>
      expect(
        written('path-laid')[0]
          ?.links.filter(({ kind }) => kind === 'terminals')
          .map(({ name }) => name),
      ).toEqual([null, 'Terminals 2']),
    );
    expect(within(chain()).getByRole('button', { name: /^Terminals 2/ })).toBeVisible();
  });

  it('writes down what was proposed with its result, and whether it was flexed', async () => {
    const { written } = await renderJob(<PathPage />, [laid]);
    const stretch = screen.getByTestId('next-test').textContent;
    tick(/^Flexed while/);
    press('Comes and goes');
    await until(() =>
      expect(written('path-tested')[0]?.test).toMatchObject({ result: 'unsteady', flexed: true }),
    );
    expect(row('comes and goes, flexed').textContent).toContain(stretch ?? '');
  });

  it('does not clear a cord that passed at rest', async () => {
    await renderJob(<PathPage />, [laid, tested(2, 2, 'pass', false)]);
    expect(within(chain()).getByRole('button', { name: /^Cord\s*passed at rest, not flexed/ })).toBeVisible();
    expect(screen.getByRole('heading', { name: 'Still looking' })).toBeVisible();
  });

  it('asks for the switch itself when the fault is elsewhere, and only then says not the switch', async () => {
    const { written } = await renderJob(<PathPage />, [laid, tested(1, 1, 'fail')]);
    expect(
      screen.getByRole('heading', { name: 'The fault is elsewhere; the switch is not tested' }),
    ).toBeVisible();
    expect(screen.getByTestId('next-test').textContent).toBe('Switch');
    press('Pass', screen.getByRole('region', { name: 'Test next' }));
    await until(() => expect(written('path-tested')).toHaveLength(1));
    expect(screen.getByRole('heading', { name: 'Not the switch' })).toBeVisible();
    expect(screen.queryByTestId('next-test')).toBeNull();
    press('Take back', row('Fuse: fail'));
    await until(() => expect(screen.getByRole('heading', { name: 'Still looking' })).toBeVisible());
  });

  it('says that it comes and goes when all parts of a bad stretch pass one by one', async () => {
    await renderJob(<PathPage />, [laid, tested(0, 1, 'fail'), tested(0, 0, 'pass'), tested(1, 1, 'pass')]);
    expect(screen.getByText(/Flex and turn each link while you measure it/)).toBeVisible();
  });

  it('says what a cord should read, and when the meter cannot tell or the size cannot be read', async () => {
    await renderJob(<PathPage />, [laid]);
    fill('Length in metres', '5');
    fill('Size', '2.08');
    expect(
      screen.getByText(/5 m loops to 83 milliohm, far ends joined: this meter cannot tell/),
    ).toBeVisible();
    fill('Length in metres', '40');
    fill('Size', '3G0.75');
    expect(screen.getByText(/40 m loops to 1839 milliohm.*this meter can tell/)).toBeVisible();
    fill('Size', 'thick');
    expect(screen.getByText(/Give the size as mm² or gauge/)).toBeVisible();
  });
});
