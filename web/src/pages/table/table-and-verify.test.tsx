import type { Deed } from '@which-way/core/log';
import type { TerminalId } from '@which-way/core/switch';
import { describe, expect, it } from 'vitest';
import { aSwitch } from '../../testing/a-switch.js';
import { fill, fireEvent, press, row, screen, until } from '../../testing/acts.js';
import { renderJob } from '../../testing/rendered-job.js';
import { VerifyPage } from '../verify/verify-page.js';
import { TablePage } from './table-page.js';

const { change, described, checked, read: readIn, ids: all } = aSwitch(3, 2, ['UP', 'DOWN']);
const ids = all as [TerminalId, TerminalId, TerminalId];
const read = (setting: number, red: number, black: number, closed: boolean): Deed =>
  readIn([red], [black], closed ? { kind: 'ohms', ohms: 0.5 } : { kind: 'over' }, { setting });
const BEGUN: Deed[] = [described, checked];
/** A changeover: 1 goes to 2 when up, to 3 when down. */
const CHANGEOVER = [
  ...BEGUN,
  read(0, 0, 1, true),
  read(0, 0, 2, false),
  read(1, 0, 2, true),
  read(1, 0, 1, false),
];

describe('the truth table', () => {
  it('leads to the Map while there is nothing to show', async () => {
    await renderJob(<TablePage />, BEGUN);
    expect(screen.getByText('There is no table yet.')).toBeVisible();
    expect(screen.getByRole('link', { name: 'Go to the Map' })).toBeVisible();
  });

  it('says that it is not complete, and leaves what is not known hatched', async () => {
    await renderJob(<TablePage />, CHANGEOVER.slice(0, 4));
    expect(screen.getByText(/3 of 6 pairs settled.*The map is not complete\./s)).toBeVisible();
    const cell = screen.getByRole('button', { name: '1–2 at DOWN: Not known' });
    expect(cell.dataset['state']).toBe('unknown');
    expect(screen.queryByText(/[Rr]e-checked/)).toBeNull();
  });

  it('is complete with its ohms, the lead zero off, and says that a single slip would not have shown', async () => {
    await renderJob(<TablePage />, CHANGEOVER);
    expect(screen.getByText(/6 of 6 pairs settled/).textContent).toContain(
      'Not re-checked: a single slip would not have shown.',
    );
    expect(screen.getAllByText('0.3 Ω')).toHaveLength(2);
    press(/^1–2 at UP: Closed/);
    expect(screen.getByTestId('inspector').textContent).toContain('Closed: measured');
  });

  it('is re-checked when no reading stands alone', async () => {
    const twice = CHANGEOVER.slice(2).flatMap((deed) => [deed]);
    const again = [read(0, 1, 0, true), read(0, 2, 0, false), read(1, 2, 0, true), read(1, 1, 0, false)];
    await renderJob(<TablePage />, [...BEGUN, ...twice, ...again]);
    expect(screen.getByText(/Re-checked: any single wrong reading would have shown\./)).toBeVisible();
  });
});

describe('the comparison', () => {
  const expected = (up: TerminalId[][], down: TerminalId[][]): Deed => ({
    kind: 'expected',
    table: {
      source: { kind: 'drawn' },
      settings: [up, down].map((joined, index) => ({
        setting: change.settings[index]?.id as never,
        joined,
        unsaid: [],
      })),
    },
  });

  it('agrees only when every pair in every position is settled and agrees', async () => {
    await renderJob(<VerifyPage />, [...CHANGEOVER, expected([[ids[0], ids[1]]], [[ids[0], ids[2]]])]);
    expect(screen.getByTestId('outcome').textContent).toContain('Pattern: agrees in every pair and position');
    expect(screen.getByTestId('verdict').textContent).toBe(
      'Wiring and contacts pass. Insulation and mechanics not tested.',
    );
    expect(screen.getByRole('group', { name: 'Insulation' }).textContent).toContain('not tested');
  });

  it('is no pass while something is not tested', async () => {
    await renderJob(<VerifyPage />, [
      ...CHANGEOVER.slice(0, 4),
      expected([[ids[0], ids[1]]], [[ids[0], ids[2]]]),
    ]);
    expect(screen.getByTestId('outcome').textContent).toContain('This is not a pass: finish the map first.');
  });

  it('says each difference as a sentence, and follows a cell that is clicked in', async () => {
    const { written } = await renderJob(<VerifyPage />, [
      ...CHANGEOVER,
      expected([[ids[0], ids[2]]], [[ids[0], ids[2]]]),
    ]);
    expect(screen.getByTestId('outcome').textContent).toContain('Pattern: differs, 1 missing and 1 extra');
    // Folded behind its line, and opened by it.
    expect(screen.getByText('At UP, 1 and 3 should join and are apart (measured).')).not.toBeVisible();
    fireEvent.click(screen.getByText('2 differences'));
    expect(screen.getByText('At UP, 1 and 3 should join and are apart (measured).')).toBeVisible();
    expect(screen.getByText('At UP, 1 and 2 should be apart and join (measured).')).toBeVisible();
    press('Change');
    press('1–3 at UP: should be closed');
    await until(() => expect(written('expected')).toHaveLength(1));
    expect(screen.getByTestId('outcome').textContent).toContain('0 missing and 1 extra');
  });
});

describe('the limit of contacts', () => {
  it('is what its field shows: Enter keeps it once, leaving the field unchanged keeps nothing', async () => {
    const limit: Deed = {
      kind: 'limit-set',
      limit: { school: 'load', amps: 4, volts: null, kind: 'resistive', current: 'AC', of: null },
    };
    const { written } = await renderJob(<VerifyPage />, [...CHANGEOVER, limit]);
    const amps = () => screen.getByLabelText<HTMLInputElement>('Amps of the load');
    amps().focus();
    fireEvent.change(amps(), { target: { value: '8' } });
    fireEvent.keyDown(amps(), { key: 'Enter' });
    await until(() => expect(written('limit-set')).toMatchObject([{ limit: { school: 'load', amps: 8 } }]));
    await until(() => expect(amps().value).toBe('8'));
    amps().focus();
    fireEvent.blur(amps());
    expect(written('limit-set')).toHaveLength(1);
  });
});

describe('what it is, and what is wrong with it', () => {
  const BRIDGED = [
    ...BEGUN,
    read(0, 0, 1, true),
    read(0, 0, 2, false),
    read(1, 0, 2, true),
    read(1, 0, 1, true),
  ];

  it('stands first in the trade’s words', async () => {
    await renderJob(<TablePage />, CHANGEOVER);
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('1-pole changeover, common 1');
    expect(
      screen.getByText(/^Contact form C or D\. A meter can’t show whether it breaks before it makes/),
    ).toBeVisible();
    expect(screen.queryByRole('region', { name: 'Is this intended?' })).toBeNull();
  });

  it('names nothing while a fact is missing', async () => {
    await renderJob(<TablePage />, CHANGEOVER.slice(0, 4));
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Not yet known: 3 pairs at DOWN');
  });

  it('asks of a bridged changeover first whether that is meant, and takes the answer back', async () => {
    const { written } = await renderJob(<TablePage />, BRIDGED);
    const odd = () => screen.getByRole('region', { name: 'Is this intended?' });
    expect(odd().textContent).toContain('1 is joined to 2 and to 3 at once at DOWN.');
    press('No, it’s the fault', row('1 is joined to 2 and to 3'));
    await until(() =>
      expect(written('odd-answered')[0]?.answers).toEqual([
        {
          about: {
            code: 'both-closed',
            terminals: [ids[0], ids[1], ids[2]],
            settings: [change.settings[1]?.id],
          },
          answer: 'fault',
        },
      ]),
    );
    await until(() => expect(screen.getByText('is the fault')).toBeInTheDocument());
  });

  it('puts the pair to be read again on the Map’s prompt', async () => {
    const { written } = await renderJob(<TablePage />, BRIDGED);
    press('Read it again', row('1 is joined to 2 and to 3'));
    await until(() =>
      expect(written('prompt-shown')[0]?.prompt.ask).toMatchObject({
        kind: 'pair',
        red: ids[0],
        black: ids[1],
      }),
    );
  });

  it('marks at Verify the cells of what a person called the fault, also where the table agrees', async () => {
    const [up, down] = change.settings.map(({ id }) => id);
    await renderJob(<VerifyPage />, [
      ...BRIDGED,
      {
        kind: 'expected',
        table: {
          source: { kind: 'drawn' },
          settings: [
            { setting: up as never, joined: [[ids[0], ids[1]]], unsaid: [] },
            { setting: down as never, joined: [ids], unsaid: [] },
          ],
        },
      },
      {
        kind: 'odd-answered',
        answers: [
          { about: { code: 'both-closed', terminals: ids, settings: [down as never] }, answer: 'fault' },
        ],
      },
    ]);
    for (const cell of ['1–2 at UP: agrees', '1–2 at DOWN: fault', '1–3 at UP: agrees', '1–3 at DOWN: fault'])
      expect(screen.getByRole('button', { name: `${cell}. How it is known` })).toBeVisible();
    // The same where the table is changed.
    press('Change');
    expect(screen.getByRole('button', { name: 'How 1–2 at DOWN is known' }).textContent).toBe('fault');
    expect(screen.getByRole('button', { name: 'How 1–2 at UP is known' }).textContent).toBe('agrees');
  });

  it('finds at Verify what explains the differences, from a table that was typed in', async () => {
    const { written } = await renderJob(<VerifyPage />, BRIDGED);
    fill('From the diagram, one position per line', 'UP: 1-2\nDOWN 1-3');
    press('Use it');
    expect(screen.getByText(/^Line 2: “DOWN 1-3” has no position before a colon/)).toBeVisible();
    fill('From the diagram, one position per line', 'UP: 1-2\nDOWN: 1-3');
    press('Use it');
    await until(() => expect(written('expected')).toHaveLength(1));
    await until(() =>
      expect(
        screen.getByText(/^Repeat 1–2 at DOWN. If it stays: contact 1–2 never opens: welded, or bridged.$/),
      ).toBeVisible(),
    );
    expect(screen.getByText('It explains every difference.')).toBeVisible();
  });
});
