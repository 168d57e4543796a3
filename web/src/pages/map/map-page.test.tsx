import { newTerminal, type PartId, type TerminalId } from '@which-way/core/switch';
import { type Deed, type Value } from '@which-way/core/log';
import { describe, expect, it } from 'vitest';
import { newId } from '../../job/new-id.js';
import { aSwitch } from '../../testing/a-switch.js';
import { fireEvent, openTab, pick, press, screen, until, within } from '../../testing/acts.js';
import { renderJob } from '../../testing/rendered-job.js';
import { MapPage } from './map-page.js';

const OPEN: Value = { kind: 'over' };
const CLOSED: Value = { kind: 'ohms', ohms: 0.4 };

const key = (...keys: string[]) => keys.forEach((one) => fireEvent.keyDown(document.body, { key: one }));
const type = (text: string) => key(...text, 'Enter');
const prompt = () => screen.getByTestId('prompt').textContent ?? '';
const prompted = (words: string) => until(() => expect(prompt()).toBe(words));

describe('the Map by keyboard', () => {
  it('goes from the zero over sweeps to the end, by tone', async () => {
    const { described } = aSwitch(4, 1);
    const { written } = await renderJob(<MapPage />, [described]);
    await prompted('Hold the leads together');
    key('Enter');
    await prompted('Red to 1, black over 2 to 4');
    type('3');
    key('Enter');
    // What parts from 1 parts from 3 too, so that 3 is not asked again.
    await prompted('Red to 2, black to 4');
    key(' ');
    await prompted('The map is complete');
    await until(() => expect(written('answered')).toHaveLength(2));
    const readings = written('answered').flatMap(({ readings: list }) => list);
    expect(readings.map(({ value }) => value.kind === 'tone' && value.sounded)).toEqual([
      false,
      true,
      false,
      false,
    ]);
    expect(screen.getByRole('button', { name: /^1–3 at Position 1: Closed, by tone/ })).toBeVisible();
  });

  it('leaves keys to a row of tabs that has the focus, and takes them again after', async () => {
    const { described, checked } = aSwitch(3, 1);
    const { written } = await renderJob(<MapPage />, [described, checked]);
    await prompted('Red to 1, black over 2, 3');
    const tab = screen.getByRole('tab', { name: 'Coverage' });
    for (const pressed of ['ArrowDown', 'Backspace', '2', 'Enter', ' '])
      fireEvent.keyDown(tab, { key: pressed });
    expect(prompt()).toBe('Red to 1, black over 2, 3');
    expect(screen.queryByTestId('typed')).toBeNull();
    expect([...written('skipped'), ...written('answered'), ...written('withdrawn')]).toEqual([]);
    key(' ');
    await until(() => expect(written('answered')).toHaveLength(1));
  });

  it('takes typed ohms with a comma, says what it cannot read, and takes nothing then', async () => {
    const { described, checked } = aSwitch(2, 1);
    const { written } = await renderJob(<MapPage />, [described, checked]);
    press('Ohms');
    type('soft');
    expect(screen.getByRole('status').textContent).toContain('soft');
    expect(written('answered')).toEqual([]);
    key('Escape');
    type('0,4');
    await prompted('The map is complete');
    await until(() =>
      expect(written('answered')[0]?.readings[0]?.value).toEqual({ kind: 'ohms', ohms: 0.4 }),
    );
  });

  it('undoes and brings back an act, and a skip comes again at the end', async () => {
    const { described, checked } = aSwitch(3, 1);
    await renderJob(<MapPage />, [described, checked]);
    await prompted('Red to 1, black over 2, 3');
    key(' ');
    await prompted('Red to 2, black to 3');
    key('Backspace');
    await prompted('Red to 1, black over 2, 3');
    fireEvent.keyDown(document.body, { key: 'Backspace', shiftKey: true });
    await prompted('Red to 2, black to 3');
    key('ArrowDown');
    await prompted('One pair was skipped');
    press('Ask them now');
    await prompted('Red to 2, black to 3');
  });

  it('finds positions on the way, and closes the list at the stop', async () => {
    const { described, checked, approached } = aSwitch(2, null);
    const { written } = await renderJob(<MapPage />, [described, checked, approached({ order: 'position' })]);
    key(' ');
    await prompted('Turn one click on');
    key('ArrowRight');
    await prompted('Black to 2');
    expect(screen.getByTestId('prompt-small').textContent).toContain('handle stays at Position 2');
    key(' ');
    await prompted('Turn one click on');
    key('End');
    await prompted('The map is complete');
    await until(() =>
      expect(written('restructured').map(({ change }) => change.change)).toEqual([
        'position-added',
        'positions-closed',
      ]),
    );
  });
});

describe('the Map and what lies around the switch', () => {
  const parts = (ids: readonly TerminalId[]): Deed => ({
    kind: 'part-declared',
    part: {
      id: newId<PartId>(),
      form: 'lamp',
      terminals: [ids[0] as TerminalId, ids[1] as TerminalId],
      ohms: 40,
      note: '',
      on: true,
      removed: false,
    },
  });

  it('shows declared paths as what may answer instead of a contact', async () => {
    const { described, ids } = aSwitch(2, 1);
    await renderJob(<MapPage />, [described, parts(ids)]);
    openTab('Coverage');
    const list = screen.getByRole('region', { name: 'Declared paths' });
    expect(within(list).getByRole('listitem').textContent).toBe('1–2 lamp, 40 Ω still on');
    expect(screen.getByRole('img', { name: 'Declared: lamp 40 Ω' })).toBeVisible();
  });

  it('takes a reading between closed and open for a part that is declared on the spot', async () => {
    const { described, checked, read, ids } = aSwitch(2, 1);
    const { written } = await renderJob(<MapPage />, [
      described,
      checked,
      read([0], [1], { kind: 'ohms', ohms: 120 }),
    ]);
    await prompted('Look again at 1–2');
    pick('Declare what lies across 1–2', 'coil');
    await prompted('The map is complete');
    await until(() =>
      expect(written('part-declared')[0]?.part).toMatchObject({ form: 'coil', terminals: ids, on: true }),
    );
    openTab('Coverage');
    expect(screen.getByRole('region', { name: 'Declared paths' }).textContent).toContain('coil, 120 Ω');
  });

  it('asks for the wires to come off when only pairs are left that closed in circuit', async () => {
    const { described, checked, read } = aSwitch(2, 1);
    const { written } = await renderJob(<MapPage />, [
      described,
      checked,
      read([0], [1], CLOSED, { inCircuit: true }),
    ]);
    await prompted('Take the wires off');
    press('The wires are off');
    await prompted('Black to 2');
    await until(() => expect(written('wires-off')).toEqual([{ kind: 'wires-off', off: true }]));
  });

  it('is shut with all reasons while the switch is in a machine that nobody made safe', async () => {
    const { described } = aSwitch(2, 1);
    const { job } = await renderJob(<MapPage />, [described], { outOfMachine: false });
    expect(screen.getByRole('alert').textContent).toContain('no safety list has been started');
    expect(screen.queryByTestId('prompt')).toBeNull();
    press('It is out of the machine now');
    await prompted('Hold the leads together');
    expect(job.outOfMachine).toBe(true);
  });

  it('draws the frame and leaves it out of the pattern', async () => {
    const { described, checked } = aSwitch(2, 1);
    const frame: Deed = {
      kind: 'restructured',
      change: { change: 'terminal-added', terminal: { ...newTerminal('FRAME', newId), role: 'frame' } },
      basedOn: null,
    };
    await renderJob(<MapPage />, [described, checked, frame]);
    expect(screen.getByRole('button', { name: /^Terminal FRAME/ })).toBeVisible();
    await prompted('Red to 1, black to 2');
    key(' ');
    await prompted('The map is complete');
  });

  it('says that the screen may go dark where the browser cannot help it', async () => {
    const { described } = aSwitch(2, 1);
    await renderJob(<MapPage />, [described]);
    await until(() =>
      expect(screen.getByText('The screen may go dark. Set the device to stay awake.')).toBeVisible(),
    );
  });
});

describe('doubt on the Map', () => {
  it('re-checks when asked, and is taken back by undo', async () => {
    const { described, checked, read } = aSwitch(2, 1);
    const { written } = await renderJob(<MapPage />, [described, checked, read([0], [1], CLOSED)]);
    await prompted('The map is complete');
    press('Re-check');
    await prompted('Red to 2, black to 1');
    key('Backspace');
    await prompted('The map is complete');
    press('Re-check');
    press('Tone');
    key('Enter');
    await prompted('Complete and re-checked');
    await until(() => expect(written('recheck-begun')).toHaveLength(2));
  });

  it('names the readings of a contradiction that a bundle is part of, and says that there may be others', async () => {
    const { described, checked, read } = aSwitch(3, 1);
    await renderJob(<MapPage />, [
      described,
      checked,
      read([0], [1, 2], CLOSED),
      read([0], [1], OPEN),
      read([0], [2], OPEN),
    ]);
    const panel = screen.getByText('Contradiction at Position 1').closest('section');
    expect(panel?.textContent).toContain('1 to 2+3');
    expect(panel?.textContent).toContain('there may be others');
    expect(within(panel as HTMLElement).getAllByTestId('reading')).toHaveLength(3);
    press('Take out', within(panel as HTMLElement).getAllByTestId('reading')[0]);
    await until(() => expect(screen.queryByText('Contradiction at Position 1')).toBeNull());
  });

  it('offers the reading most in doubt to be taken again by one key, and what is read then settles it', async () => {
    const { described, checked, read } = aSwitch(3, 1);
    const tone: Value = { kind: 'tone', sounded: true };
    await renderJob(<MapPage />, [
      described,
      checked,
      read([0], [1], CLOSED),
      read([1], [2], tone),
      read([0], [2], OPEN),
    ]);
    await prompted('Readings disagree');
    expect(screen.getByTestId('prompt-small').textContent).toContain('Most in doubt: 2–3');
    expect(screen.queryByText(/unlike the other positions/)).toBeNull();
    key('Enter');
    await prompted('Again: black to 3');
    type('OL');
    await prompted('The map is complete');
  });

  it('proves a cell by its readings, and lets the pair be read again', async () => {
    const { described, checked, read } = aSwitch(3, 1);
    const { written } = await renderJob(<MapPage />, [
      described,
      checked,
      read([0], [1], CLOSED),
      read([1], [2], OPEN),
    ]);
    press(/^1–2 at Position 1: Closed/);
    const inspector = screen.getByTestId('inspector');
    expect(within(inspector).getAllByTestId('reading')).toHaveLength(1);
    press('Read again', within(inspector).getByTestId('reading'));
    await prompted('Again: black to 2');
    key('Enter');
    press('Tone');
    key(' ');
    await until(() =>
      expect(written('superseded')[0]?.replacement?.value).toEqual({ kind: 'tone', sounded: false }),
    );
  });
});
