import { layPath } from '@which-way/core/path';
import type { Deed, PathLink, PathTest, TestResult } from '@which-way/core/log';
import { describe, expect, it } from 'vitest';
import { newId } from '../../job/new-id.js';
import { choose, fill, press, row, screen, tick, until, within } from '../../testing/acts.js';
import { renderJob } from '../../testing/rendered-job.js';
import { PathPage } from './path-page.js';

const { nodes, links } = layPath('lamp', newId);
const laid: Deed = { kind: 'path-laid', nodes, links };
const tested = (from: number, to: number, result: TestResult, flexed = true): Deed => {
  const test: PathTest = {
    id: newId(),
    links: links.slice(from, to + 1).map(({ id }) => id),
    way: 'through',
    result,
    flexed,
    ohms: null,
    by: 'ohms',
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
        'terminals',
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
        'terminals',
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
        'terminals',
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
        'terminals',
      ]),
    );
  });

  it('names a second link of a kind, so that the two are told apart', async () => {
    const { written } = await renderJob(<PathPage />, [laid]);
    press('Terminals', screen.getByRole('region', { name: 'Add a link' }));
    await until(() =>
      expect(
        written('path-laid')[0]
          ?.links.filter(({ kind, conductor }) => kind === 'terminals' && conductor === 'feed')
          .map(({ name }) => name),
      ).toEqual([null, 'Terminals 2']),
    );
    expect(within(chain()).getByRole('button', { name: /^Terminals 2/ })).toBeVisible();
  });

  it('writes down what was proposed with its result, and whether it was flexed', async () => {
    const { written } = await renderJob(<PathPage />, [laid]);
    tick(/^Flexed while/);
    press('Comes and goes');
    await until(() =>
      expect(written('path-tested')[0]?.test).toMatchObject({ result: 'unsteady', flexed: true }),
    );
    expect(row('comes and goes, flexed').textContent).toContain('From Plug to Plug, return');
  });

  it('does not clear a cord that passed at rest', async () => {
    await renderJob(<PathPage />, [laid, tested(2, 2, 'pass', false)]);
    expect(within(chain()).getByRole('button', { name: /^Cord\s*passed at rest, not flexed/ })).toBeVisible();
    expect(screen.getByRole('heading', { name: 'Still looking' })).toBeVisible();
  });

  it('asks for the switch itself when the fault is elsewhere, and only then says not the switch', async () => {
    const { written } = await renderJob(<PathPage />, [laid, tested(1, 1, 'fail')]);
    expect(
      screen.getByRole('heading', { name: 'The fault is elsewhere; the switch isn’t proven yet' }),
    ).toBeVisible();
    expect(screen.getByTestId('next-test').textContent).toBe('Switch');
    // A beep clears no switch: it is asked for once more, in ohms.
    press('Only beeps', screen.getByRole('region', { name: 'Test next' }));
    await until(() => expect(written('path-tested')[0]?.test).toMatchObject({ result: 'pass', by: 'tone' }));
    expect(screen.getByText(/It passed by beep only/)).toBeVisible();
    expect(screen.queryByRole('button', { name: 'Only beeps' })).toBeNull();
    press('Reads low in ohms', screen.getByRole('region', { name: 'Test next' }));
    await until(() => expect(written('path-tested')).toHaveLength(2));
    expect(screen.getByRole('heading', { name: 'Not the switch' })).toBeVisible();
    expect(screen.queryByTestId('next-test')).toBeNull();
    press('Remove answer', row('Fuse: fail'));
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

  it('proposes nothing on ohms while it is not made safe, and the pins of the plug first once it is', async () => {
    await renderJob(<PathPage />, [laid], { outOfMachine: false });
    expect(screen.getByText('First make it safe')).toBeVisible();
    expect(screen.queryByTestId('next-test')).toBeNull();
  });

  it('says what the load should read pin to pin, by its nameplate once it is typed', async () => {
    await renderJob(<PathPage />, [laid]);
    expect(screen.getByTestId('next-test').textContent).toBe('Pin to pin at the plug');
    expect(screen.getByText(/as such loads usually do \(common practice\)/)).toBeVisible();
    fill('Nameplate volts', '230');
    fill('watts', '60');
    expect(screen.getByText(/^The load: 55.1 Ω to 110 Ω, cold, by its nameplate/)).toBeVisible();
  });

  it('takes what is visibly faulty for a fault, with its words, and takes it back', async () => {
    const { written } = await renderJob(<PathPage />, [laid, tested(4, 4, 'pass')]);
    press(/^Plug\s*not tested/, chain());
    press('All 3 are good');
    await until(() => expect(written('path-looked')).toHaveLength(3));
    choose('pins burnt', row('Pins clean and bright'));
    await until(() =>
      expect(screen.getByRole('heading', { name: 'Not the switch: Plug: pins burnt' })).toBeVisible(),
    );
    press('Remove answer', row('Pins clean and bright'));
    await until(() => expect(screen.getByRole('heading', { name: 'Still looking' })).toBeVisible());
  });

  it('writes down a short to the other conductor as a fault of its own', async () => {
    const { written } = await renderJob(<PathPage />, [laid]);
    press(/^Cord\s*not tested/, chain());
    press('Not open', screen.getByRole('region', { name: 'Beside it' }).firstChild as HTMLElement);
    await until(() =>
      expect(written('path-tested')[0]?.test).toMatchObject({ way: 'across', result: 'fail' }),
    );
    expect(within(chain()).getByRole('button', { name: /^Cord\s*short or leak/ })).toBeVisible();
  });
});
