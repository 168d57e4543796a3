import { linesForJob, standardLists } from '@which-way/core/safety';
import type { Deed, SafetyAnswer } from '@which-way/core/log';
import { describe, expect, it } from 'vitest';
import { newId } from '../../job/new-id.js';
import { choose, fill, press, row, screen, send, tick, until } from '../../testing/acts.js';
import { renderJob } from '../../testing/rendered-job.js';
import { givenOnce } from '../../parts/safety/given-once.js';
import { SafePage } from './safe-page.js';

const lines = linesForJob(standardLists(), 'extra-low', newId);
const begun: Deed = {
  kind: 'safety-begun',
  list: { supply: 'extra-low', lines, codeNote: 'Two people present.' },
};
const answered = (index: number, answer: SafetyAnswer): Deed => ({
  kind: 'safety-answered',
  line: lines[index]?.id as never,
  answer,
});
const ALL: Deed[] = [
  begun,
  answered(0, { kind: 'done', note: '' }),
  answered(1, { kind: 'dead', volts: 0.1, everyPosition: true }),
  answered(2, { kind: 'discharged', before: 12, after: 0.2 }),
  answered(3, { kind: 'done', note: '' }),
];

/** The list begun, and its first line done: it is isolated. */
const ISOLATED = ALL.slice(0, 2);

describe('the safety list on the screen', () => {
  it('is one tap for a switch that is out of the machine', async () => {
    const { job, written } = await renderJob(<SafePage />, [], { outOfMachine: false });
    expect(screen.getByText('Mapping is locked')).toBeVisible();
    press('It is out of the machine');
    await until(() => expect(job.outOfMachine).toBe(true));
    await until(() => expect(screen.getByText('Mapping is unlocked')).toBeVisible());
    press('It is still in the machine after all');
    await until(() => expect(job.outOfMachine).toBe(false));
    await until(() => expect(written('wires-off').map(({ off }) => off)).toEqual([true, false]));
    expect(screen.getByText('Mapping is locked')).toBeVisible();
  });

  it('begins with the lines of the supply, from the shop’s own list', async () => {
    const { written } = await renderJob(<SafePage />, [], { outOfMachine: false });
    await until(() =>
      expect(screen.getByRole('button', { name: /^Fixed mains/ }).closest('fieldset')?.disabled).toBe(false),
    );
    press(/^Fixed mains/);
    await until(() => expect(written('safety-begun')).toHaveLength(1));
    expect(written('safety-begun')[0]?.list.lines.map(({ kind }) => kind)).toEqual(
      standardLists().fixed.map(({ kind }) => kind),
    );
    expect(row('Lock it off, keep the key')).toBeVisible();
  });

  it('shows the shop’s note on codes, takes volts with a comma, and refuses what are no volts', async () => {
    const { written } = await renderJob(<SafePage />, ISOLATED, { outOfMachine: false });
    expect(screen.getByText('Two people present.')).toBeVisible();
    const discharge = row('stored energy');
    fill('Volts found', '38', discharge);
    fill('Volts after the resistor', 'none', discharge);
    expect(discharge.textContent).toContain('Volts such as 0,4 or -38.');
    press('Save', discharge);
    fill('Volts after the resistor', '0,4', discharge);
    press('Save', discharge);
    await until(() =>
      expect(written('safety-answered').map(({ answer }) => answer)).toEqual([
        { kind: 'discharged', before: 38, after: 0.4 },
      ]),
    );
  });

  it('keeps the signature shut until all is right, and then says who and when', async () => {
    const { written } = await renderJob(<SafePage />, ALL.slice(0, 4), { outOfMachine: false });
    localStorage.clear();
    fill('Who did it?', 'Ada');
    const sign = () => screen.getByRole<HTMLButtonElement>('button', { name: /I answer for this list/ });
    press('Answer again', row('stored energy'));
    await until(() => expect(sign().disabled).toBe(true));
    fill('Volts found', '12', row('stored energy'));
    fill('Volts after the resistor', '0,2', row('stored energy'));
    press('Save', row('stored energy'));
    await until(() => expect(sign().disabled).toBe(false));
    press('All done, and I answer for this list');
    await until(() => expect(written('safety-signed')).toEqual([{ kind: 'safety-signed', by: 'Ada' }]));
    expect(screen.getByText('Mapping is unlocked')).toBeVisible();
  });

  it('wants a reason for not applicable, and lets no proof be left out', async () => {
    const { written } = await renderJob(<SafePage />, ISOLATED, { outOfMachine: false });
    expect(row('Prove dead').textContent).not.toContain('Not applicable');
    const discharge = row('stored energy');
    press('Not applicable', discharge);
    fill('Why not?', '  ', discharge);
    press('Save the reason', discharge);
    fill('Why not?', 'no capacitor in it', discharge);
    press('Save the reason', discharge);
    await until(() =>
      expect(written('safety-answered').map(({ answer }) => answer)).toEqual([
        { kind: 'not-applicable', reason: 'no capacitor in it' },
      ]),
    );
  });

  it('warns when the list is old, and shuts the Map when it had power again', async () => {
    const { written } = await renderJob(<SafePage />, [...ALL, { kind: 'safety-signed', by: 'Ada' }], {
      written: '2026-01-05T10:00:00.000Z',
      outOfMachine: false,
    });
    expect(screen.getByText(/The list is \d+ hours old/)).toBeVisible();
    tick('The wires are off the switch');
    await until(() => expect(written('wires-off')).toEqual([{ kind: 'wires-off', off: true }]));
    press('It had power again');
    await until(() => expect(screen.getByText(/so dead is no longer proven/)).toBeVisible());
  });

  it('records a live measurement only with a reason, a person, and the dial on volts', async () => {
    const { written } = await renderJob(<SafePage />, [], { outOfMachine: false });
    press('Record a live measurement');
    fill('Between which points, in which position', 'L to N at HIGH');
    fill('Volts', '231');
    fill('Why it cannot be done dead', 'the fault shows hot only');
    press('Save the record');
    expect(screen.getByText('Still needed: the competent person; the dial on volts.')).toBeVisible();
    fill('Competent person', 'Grace');
    tick(/^Dial on volts/);
    press('Save the record');
    await until(() => expect(written('live-recorded')[0]?.record).toMatchObject({ volts: 231, by: 'Grace' }));
    expect(screen.getByText('Mapping is locked')).toBeVisible();
  });

  it('does not take a pen as proof, and says why', async () => {
    const fixed = linesForJob(standardLists(), 'plug-in', newId);
    givenOnce.setState({ tester: null, source: '' });
    const { written } = await renderJob(
      <SafePage />,
      [
        { kind: 'safety-begun', list: { supply: 'plug-in', lines: fixed, codeNote: '' } },
        { kind: 'safety-answered', line: fixed[0]?.id as never, answer: { kind: 'done', note: '' } },
      ],
      { outOfMachine: false },
    );
    const line = row('Prove the tester on');
    choose('Pen-type detector', line);
    fill('On which known source?', 'socket', line);
    expect(line.textContent).toContain('A pen-type detector doesn’t prove it’s dead');
    fill('Volts from L to N', '0');
    press('Save', row('Prove dead'));
    await until(() => expect(written('safety-answered')).toHaveLength(1));
    expect(screen.getByText(/lines are not answered yet/)).toBeVisible();
  });

  it('is done in seven taps or typed values for a plug in sight, once tester and source were given', async () => {
    givenOnce.setState({ tester: 'two-pole', source: 'the bench socket', who: 'Ada' });
    const { written } = await renderJob(<SafePage />, [], { outOfMachine: false });
    await until(() =>
      expect(screen.getByRole('button', { name: /^Plug-in/ }).closest('fieldset')?.disabled).toBe(false),
    );
    press(/^Plug-in mains/);
    await until(() => expect(row('Pull the plug and keep it in sight')).toBeVisible());
    expect(row('Prove dead').textContent).toContain('Do line 1 first.');
    press('All 3 are so');
    await until(() => expect(written('safety-answered-together')).toHaveLength(1));
    press('It showed the voltage', row('Prove the tester on'));
    await until(() => fill('Volts from L to N', '0'));
    send('Volts from L to N');
    await until(() => press('It showed the voltage', row('Prove the tester again')));
    // No tap writes volts that nobody measured.
    await until(() => press('Not measured', row('stored energy')));
    await until(() => expect(written('safety-answered')).toHaveLength(4));
    expect(screen.getByText('Mapping is locked')).toBeVisible();
    press('All done, and I answer for this list');
    await until(() => expect(screen.getByText('Mapping is unlocked')).toBeVisible());
    expect(screen.getByText(/Stored energy was not measured/)).toBeVisible();
    expect(
      written('safety-answered-together')
        .flatMap(({ answers }) => answers)
        .map(({ answer }) => answer.kind),
    ).toEqual(['done', 'done', 'done', 'done']);
    await until(() => expect(written('safety-signed')).toEqual([{ kind: 'safety-signed', by: 'Ada' }]));
  });

  it('is done in twelve for two conductors and an earth that are wired in, live readings and signature included', async () => {
    givenOnce.setState({ tester: 'two-pole', source: 'the bench socket', who: 'Ada' });
    await renderJob(<SafePage />, [], { outOfMachine: false });
    await until(() =>
      expect(screen.getByRole('button', { name: /^Fixed/ }).closest('fieldset')?.disabled).toBe(false),
    );
    let inputs = 0;
    const tap = async (name: string | RegExp, words?: string) => {
      inputs += 1;
      await until(() => press(name, words === undefined ? undefined : row(words)));
    };
    const volts = async (label: string, typed: string) => {
      inputs += 1;
      await until(() => fill(label, typed));
      send(label);
    };
    await tap(/^Fixed mains/);
    await volts('Live volts from L to Earth', '231');
    await tap('All 3 are so');
    await tap('It showed the voltage', 'Prove the tester on');
    await volts('Volts from L to Earth', '0');
    await volts('Volts from N to Earth', '0,1');
    await volts('Volts from L to N', '0');
    await tap('It showed the voltage', 'Prove the tester again');
    await tap('Not measured', 'stored energy');
    await tap('All done, and I answer for this list');
    await until(() => expect(screen.getByText('Mapping is unlocked')).toBeVisible());
    expect(inputs).toBeLessThanOrEqual(12);
  });

  it.each([
    [false, null],
    [true, /it's still live: stop/],
  ])('isolated %s: warns where a live reading would be typed', async (isolated, warning) => {
    const fixed = linesForJob(standardLists(), 'fixed', newId);
    const list = { kind: 'safety-begun', list: { supply: 'fixed', lines: fixed, codeNote: '' } } as const;
    const line = fixed[0]?.id as never;
    const done = { kind: 'safety-answered', line, answer: { kind: 'done', note: '' } } as const;
    await renderJob(<SafePage />, isolated ? [list, done] : [list], { outOfMachine: false });
    expect(screen.getByText(/^Before it is switched off:/)).toBeVisible();
    if (warning) expect(screen.getByText(warning)).toBeVisible();
    else expect(screen.queryByText(/still live: stop/)).toBeNull();
  });

  it('says of nought against an unproved box that it counts for nothing', async () => {
    givenOnce.setState({ tester: 'two-pole', source: 'the bench socket' });
    const fixed = linesForJob(standardLists(), 'fixed', newId);
    const dead = fixed.find(({ kind }) => kind === 'prove-dead')?.id as never;
    const between = (one: string): [string, string] => [one, 'Box'];
    const after = ['L', 'N'].map((one) => ({
      ...{ between: between(one), position: null, volts: 0, lowImpedance: true },
      current: 'AC' as const,
    }));
    const points = [
      ...['L', 'N'].map((name) => ({ name, is: 'conductor' as const })),
      { name: 'Box', is: 'box' as const },
    ];
    await renderJob(
      <SafePage />,
      [
        { kind: 'safety-begun', list: { supply: 'fixed', lines: fixed, codeNote: '' } },
        { kind: 'safety-answered', line: fixed[0]?.id as never, answer: { kind: 'done', note: '' } },
        {
          kind: 'safety-answered',
          line: dead,
          answer: { kind: 'proof', points, positions: [], noEarth: true, before: [], after },
        },
      ],
      { outOfMachine: false },
    );
    expect(screen.getByText(/0 V against Box proves nothing/)).toBeVisible();
    expect(screen.getByText('Not proved dead: L.')).toBeVisible();
  });

  it('takes out of the machine with one line for what stays behind', async () => {
    const { written } = await renderJob(<SafePage />, [], { outOfMachine: true });
    press('All capped or tagged');
    await until(() => expect(written('ends-capped')).toEqual([{ kind: 'ends-capped', ends: 'capped' }]));
    await until(() => expect(screen.getByText('All capped or tagged.')).toBeVisible());
  });

  it('stops at a store of high voltage', async () => {
    await renderJob(<SafePage />, [begun], { outOfMachine: false });
    press(/^It stores high voltage/);
    press('Picture tube');
    await until(() => expect(screen.getByText(/^Stop: not with this tool/)).toBeVisible());
  });

  it('lets a plug have three conductors: dead is proved only once each was read', async () => {
    givenOnce.setState({ tester: 'two-pole', source: 'the bench socket', who: 'Ada' });
    const plug = linesForJob(standardLists(), 'plug-in', newId);
    const { written } = await renderJob(
      <SafePage />,
      [
        { kind: 'safety-begun', list: { supply: 'plug-in', lines: plug, codeNote: '' } },
        { kind: 'safety-answered', line: plug[0]?.id as never, answer: { kind: 'done', note: '' } },
      ],
      { outOfMachine: false },
    );
    fill('One more conductor', 'L2');
    press('Add');
    await until(() => fill('Volts from L to N', '0'));
    send('Volts from L to N');
    await until(() => expect(written('safety-answered')).toHaveLength(2));
    await until(() => expect(screen.getByText('Not proved dead: L2.')).toBeVisible());
    await until(() => fill('Volts from L to L2', '0'));
    send('Volts from L to L2');
    await until(() => expect(written('safety-answered')).toHaveLength(3));
    await until(() => expect(screen.queryByText('Not proved dead: L2.')).toBeNull());
    expect(written('safety-answered-together')).toEqual([]);
  });
});
