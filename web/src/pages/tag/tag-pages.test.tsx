import { describeSwitch } from '@which-way/core/switch';
import { newWire, structureOf, readLog, type Deed, type StripStep, type Wire } from '@which-way/core/log';
import { describe, expect, it } from 'vitest';
import { newId } from '../../job/new-id.js';
import { choose, fill, fireEvent, pick, press, row, screen, tick, until } from '../../testing/acts.js';
import { renderJob } from '../../testing/rendered-job.js';
import { FitPage } from './strip/fit-page.js';
import { StripPage } from './strip/strip-page.js';
import { TerminalsPage } from './terminals/terminals-page.js';
import { WiresPage } from './wires/wires-page.js';

const change = describeSwitch({ terminals: 4, positions: 3, form: 'rotary', layout: 'two-rows' }, newId);
const described: Deed = { kind: 'restructured', change, basedOn: null };
const [one, two] = change.terminals;
const wire = (tag: string, more: Partial<Wire> = {}): Deed => ({
  kind: 'wire-tagged',
  wire: { ...newWire(tag, newId), color: 'BK', ...more },
});
const terminal = (label: string) => screen.getByRole('button', { name: new RegExp(`^Terminal ${label}\\b`) });

describe('terminals and handle', () => {
  it('are described from labels that skip numbers, where the job has no switch yet', async () => {
    const { events, written } = await renderJob(<TerminalsPage />, []);
    fill('How many terminals, or their labels?', 'one');
    press('Lay them out');
    expect(screen.getByRole('alert').textContent).toContain('from 2 to 48, or their labels');
    fill('How many terminals, or their labels?', '1-3, 7');
    press('Lay them out');
    await until(() => expect(written('restructured')).toHaveLength(1));
    expect(structureOf(readLog(events)).terminals.map(({ label }) => label)).toEqual(['1', '2', '3', '7']);
    expect(structureOf(readLog(events)).actuators[0]?.closed).toBeNull();
  });

  it('may swap labels at once, and say what is wrong with a list', async () => {
    const { events, written } = await renderJob(<TerminalsPage />, [described]);
    const labels = () => structureOf(readLog(events)).terminals.map(({ label }) => label);
    const relabel = (text: string) => {
      fill('Labels as on the part, in order', text);
      press('Relabel');
    };
    relabel('4-1');
    expect(screen.getByRole('alert').textContent).toContain('runs backwards');
    relabel('1 1 2 3');
    expect(screen.getByRole('alert').textContent).toContain('is there twice');
    relabel('2 1 4 3');
    await until(() => expect(labels()).toEqual(['2', '1', '4', '3']));
    expect(written('restructured')).toHaveLength(1);
  });

  it('keep two that count: a terminal may be a tie lug, or the frame while enough are left', async () => {
    const { written } = await renderJob(<TerminalsPage />, [
      {
        kind: 'restructured',
        change: describeSwitch({ terminals: 2, positions: 1, form: 'push', layout: 'one-row' }, newId),
        basedOn: null,
      },
    ]);
    fireEvent.click(terminal('1'));
    choose('FRAME');
    expect(screen.getByRole('alert').textContent).toBe('A switch needs at least two terminals.');
    choose('Tie lug');
    await until(() =>
      expect(written('restructured')[0]?.change).toMatchObject({ change: 'terminal-role', role: 'dummy' }),
    );
    expect(screen.getByText(/It is probed all the same/)).toBeVisible();
  });

  it('lie on wafers with gaps after one press, and can be put elsewhere', async () => {
    const { events, written } = await renderJob(<TerminalsPage />, [described]);
    fireEvent.click(screen.getByText('Layout'));
    choose('Wafers');
    await until(() => expect(screen.getByText('not placed yet')).toBeVisible());
    press('Fill the free places in order');
    await until(() => expect(structureOf(readLog(events)).placed).toHaveLength(4));
    expect(
      structureOf(readLog(events)).placed.map(({ spot }) => (spot.on === 'wafers' ? spot.clock : -1)),
    ).toEqual([0, 1, 2, 3]);
    expect(screen.queryByText('not placed yet')).toBeNull();
    expect(written('restructured').map(({ change: { change: kind } }) => kind)).toEqual([
      'laid-out',
      'placed',
    ]);
  });

  it('are said where the handle points, what springs back, and what the front says', async () => {
    const { events } = await renderJob(<TerminalsPage />, [described]);
    const positions = () => structureOf(readLog(events)).actuators[0]?.positions ?? [];
    fireEvent.click(screen.getByText('Handle'));
    fill('What the front says at position 1', 'OFF');
    await until(() => expect(positions()[0]?.name).toBe('OFF'));
    fill('Degrees at position 2', 'east');
    expect(positions()[1]?.pose).toBeNull();
    fill('Degrees at position 2', '90');
    await until(() => expect(positions()[1]?.pose).toEqual({ kind: 'angle', degrees: 90 }));
    pick('Position 3 rests or springs back', 'springs to 2');
    await until(() =>
      expect(positions()[2]).toMatchObject({ rests: 'momentary', returnsTo: positions()[1]?.id }),
    );
    press('Endless');
    await until(() => expect(structureOf(readLog(events)).actuators[0]?.closed).toBe('round'));
  });

  it('take one more position of a handle, in every combination of the others', async () => {
    const { events } = await renderJob(<TerminalsPage />, [described]);
    press('Add another handle');
    press('Add it');
    await until(() => expect(structureOf(readLog(events)).settings).toHaveLength(6));
    fireEvent.click(screen.getByText('Not said yet, 2 positions'));
    fireEvent.click(screen.getAllByRole('button', { name: 'One more position' })[1] as HTMLElement);
    await until(() => expect(structureOf(readLog(events)).settings).toHaveLength(9));
    const { actuators, settings } = structureOf(readLog(events));
    expect(actuators[1]?.positions).toHaveLength(3);
    expect(new Set(settings.map(({ at }) => Object.values(at).join())).size).toBe(9);
  });

  it('take one more handle with every combination, or only with the others at their first', async () => {
    const { events } = await renderJob(<TerminalsPage />, [described]);
    press('Add another handle');
    expect(screen.getByText('3 more settings to map.')).toBeVisible();
    tick('Every combination matters');
    expect(screen.getByText('1 more setting to map.')).toBeVisible();
    press('Add it');
    await until(() => expect(structureOf(readLog(events)).settings).toHaveLength(4));
    const { actuators, settings } = structureOf(readLog(events));
    expect(actuators.map(({ form }) => form)).toEqual(['rotary', 'unsaid']);
    expect(settings.every(({ at }) => Object.keys(at).length === 2)).toBe(true);
  });
});

describe('wires and jumpers', () => {
  it('get the next tag on the terminal that was tapped, two colours, and a warning when live', async () => {
    const { written } = await renderJob(<WiresPage />, [described, wire('4')]);
    fireEvent.click(terminal('2'));
    press('A wire on 2');
    await until(() => expect(written('wire-tagged')[0]?.wire).toMatchObject({ tag: '5', terminal: two?.id }));
    press('GN, green');
    press('YE, yellow');
    await until(() => expect(written('wire-tagged').at(-1)?.wire.color).toBe('GNYE'));
    tick(/^Live though/);
    press('Done');
    await until(() => expect(row('live though GNYE, green and yellow: re-mark')).toBeVisible());
    expect(screen.getByRole('img', { name: 'Tag 5 GNYE, live: re-mark' })).toBeVisible();
  });

  it('have tags of their own: one that is there is refused, and the old one stays', async () => {
    const { written } = await renderJob(<WiresPage />, [described, wire('1'), wire('2')]);
    press(/^2/, screen.getByRole('region', { name: 'Wires' }));
    fill('Tag', '1');
    expect(screen.getByRole('alert').textContent).toBe('There is a tag 1 already.');
    expect(written('wire-tagged')).toEqual([]);
  });

  it('on one dummy lug are called a splice', async () => {
    await renderJob(<WiresPage />, [
      described,
      {
        kind: 'restructured',
        change: { change: 'terminal-role', terminal: one?.id as never, role: 'dummy' },
        basedOn: null,
      },
      wire('1', { terminal: one?.id ?? null }),
      wire('2', { terminal: one?.id ?? null }),
    ]);
    expect(row('holds tags 1 and 2: a tie lug used as a splice')).toBeVisible();
  });

  it('are bridged between two tapped terminals; a jumper is off by then, a lamp is still on', async () => {
    const { written } = await renderJob(<WiresPage />, [described]);
    fireEvent.click(terminal('1'));
    fireEvent.click(terminal('2'));
    press('Declare');
    await until(() =>
      expect(written('part-declared')[0]?.part).toMatchObject({
        form: 'jumper',
        terminals: [one?.id, two?.id],
        on: false,
      }),
    );
    const parts = screen.getByRole('region', { name: 'Jumpers and parts' });
    pick('From', '1', parts);
    pick('To', '1', parts);
    press('Declare');
    expect(screen.getByRole('alert').textContent).toContain('two different terminals');
    pick('To', '2', parts);
    pick('What', 'lamp', parts);
    fill('Ohms', '2k2', parts);
    press('Declare');
    await until(() =>
      expect(written('part-declared')[1]?.part).toMatchObject({ form: 'lamp', ohms: 2200, on: true }),
    );
    press('Remove', row(/jumper/));
    await until(() =>
      expect(written('part-declared').at(-1)?.part).toMatchObject({ form: 'jumper', removed: true }),
    );
  });
});

describe('the strip log', () => {
  const step = (text: string): Deed => {
    const body: StripStep = { id: newId(), text, photo: null, fasteners: [], loose: '', removed: false };
    return { kind: 'stripped', step: body };
  };

  it('is read backwards to put it together', async () => {
    await renderJob(<StripPage />, [step('Cover'), step('Knob'), step('Nut')]);
    choose('Back together');
    expect(screen.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual([
      expect.stringContaining('Nut'),
      expect.stringContaining('Knob'),
      expect.stringContaining('Cover'),
    ]);
  });

  it('refuses a step without words or photo, and counts that are none', async () => {
    const { written } = await renderJob(<StripPage />, []);
    press('Write down the first step');
    press('Save the step');
    const told = (words: string) =>
      until(() => expect(screen.getByRole('alert').textContent).toContain(words));
    await told('Write what comes off, or take a photo of it.');
    fill('What comes off', 'Cover');
    press('Add fasteners');
    fill('How many', '0');
    press('Save the step');
    await told('is not a count from 1 to 99');
    fill('How many', '3');
    press('Save the step');
    await until(() =>
      expect(written('stripped')[0]?.step).toMatchObject({
        text: 'Cover',
        fasteners: [{ count: 3, kind: 'screw', length: null }],
      }),
    );
  });

  it('can be changed and taken out step by step', async () => {
    const { written } = await renderJob(<StripPage />, [step('Cover')]);
    press('Change');
    press('Remove the step');
    await until(() => expect(written('stripped')[0]?.step.removed).toBe(true));
    expect(screen.queryAllByRole('listitem')).toEqual([]);
  });
});

describe('what must fit', () => {
  it('is unknown until it is measured, and unknown again when it is emptied', async () => {
    const { written } = await renderJob(<FitPage />, []);
    expect(screen.getByText(/10 of 10 are unknown/)).toBeVisible();
    fill(/^Depth behind the panel/, '31');
    await until(() =>
      expect(written('measured')[0]?.fact).toEqual({ field: 'depth', value: '31', how: 'measured' }),
    );
    expect(screen.getByText(/9 of 10 are unknown/)).toBeVisible();
    choose('From the marking', row(/Depth behind/));
    await until(() => expect(written('measured')[1]?.fact.how).toBe('marking'));
    fill(/^Depth behind the panel/, '');
    await until(() =>
      expect(written('measured')[2]?.fact).toEqual({ field: 'depth', value: '', how: 'unknown' }),
    );
  });
});
