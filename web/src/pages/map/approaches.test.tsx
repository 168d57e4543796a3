import type { Value } from '@which-way/core/log';
import { describe, expect, it } from 'vitest';
import { aSwitch } from '../../testing/a-switch.js';
import { fill, fireEvent, openTab, screen, until, within } from '../../testing/acts.js';
import { renderJob } from '../../testing/rendered-job.js';
import { handsFree } from '../../parts/hands/hands-free.js';
import { MapPage } from './map-page.js';

const key = (...keys: string[]) => keys.forEach((one) => fireEvent.keyDown(document.body, { key: one }));
const type = (text: string) => key(...text, 'Enter');
const prompt = () => screen.getByTestId('prompt').textContent ?? '';
const prompted = (words: string) => until(() => expect(prompt()).toBe(words));

describe('other ways of mapping', () => {
  it('holds a pair and asks in which positions it sounded: by number, and none by one key', async () => {
    const { described, checked, approached } = aSwitch(3, 3);
    const { written } = await renderJob(<MapPage />, [described, checked, approached({ order: 'pair' })]);
    await prompted('Red to 1, black to 2. Turn: which beeped?');
    type('9');
    expect(screen.getByText(/There is no position “9”/)).toBeVisible();
    key('Escape');
    type('2');
    expect(screen.getByRole('button', { name: /Position 2.*beeped/ })).toBeVisible();
    key('Enter');
    await prompted('Black to 3. Turn: which beeped?');
    key(' ');
    await until(() => expect(written('answered')).toHaveLength(2));
    const [first] = written('answered');
    expect(first?.act).toBe('turn');
    expect(first?.readings.map(({ value }) => value.kind === 'tone' && value.sounded)).toEqual([
      false,
      true,
      false,
    ]);
  });

  it('says which clips go on and off, has each touched once, and asks a silent one again', async () => {
    const { described, checked, approached, ids } = aSwitch(7, 2);
    const { written } = await renderJob(<MapPage />, [
      described,
      checked,
      approached({ order: 'time', clips: 8 }),
    ]);
    await prompted('Red to 1, black to 2. Turn: which beeped?');
    key(' ');
    await prompted('Red clips on 1, 2');
    expect(screen.getByTestId('prompt-small').textContent).toContain(
      'Then touch black to 1, 2. Each must beep',
    );
    expect(screen.getByTestId('tie-red')).toBeVisible();
    type('2');
    key('Enter');
    await prompted('Clip 2 on again');
    expect(screen.getByRole('status').textContent).toContain('The clip on 2 was silent');
    await until(() =>
      expect(written('clips-touched')).toEqual([
        {
          kind: 'clips-touched',
          red: ids.slice(0, 2),
          black: [],
          silent: [ids[1]],
          touched: ids.slice(0, 2),
        },
      ]),
    );
    type('1');
    expect(screen.getByRole('status').textContent).toContain('That clip is already proven');
    key('Escape', 'Enter');
    await prompted('Black to 3. Turn: which beeped?');
    key(' ');
    await prompted('Red clips on 3');
    await until(() => expect(written('answered').at(-1)?.act).toBe('bundle'));
    key('Enter');
    await prompted('Black to 4. Turn: which beeped?');
    key('ArrowDown');
    // Who passes a bundle over is asked for pairs; what was read with is touched before it comes off.
    await prompted('Touch the clips on 1, 2 once more');
    key('Enter');
    await until(() => expect(prompt()).toContain('Red to'));
  });

  it('is chosen at the slash, and the prompt that is shown stays', async () => {
    const { described, checked, approached } = aSwitch(4, 2);
    const { written } = await renderJob(<MapPage />, [described, checked, approached({ order: 'position' })]);
    await prompted('Red to 1, black over 2 to 4');
    key('/');
    const panel = await screen.findByRole('dialog', { name: 'How to map' });
    fireEvent.click(within(panel).getByRole('radio', { name: /^Pair first/ }));
    await until(() => expect(written('approached')).toHaveLength(1));
    expect(prompt()).toBe('Red to 1, black over 2 to 4');
    fill('Clips at hand', 'six', panel);
    expect(within(panel).getByRole('alert').textContent).toContain('a whole number from 0 to 64');
    fill('Clips at hand', '6', panel);
    await until(() =>
      expect(written('approached').at(-1)?.approach).toMatchObject({ order: 'pair', clips: 6 }),
    );
    // The number that was given is the one that is used, also after an order without clips.
    fireEvent.click(within(panel).getByRole('radio', { name: /^By time, with 6 clips/ }));
    await until(() => expect(written('approached').at(-1)?.approach.clips).toBe(6));
    fireEvent.click(within(panel).getByRole('radio', { name: /^By time [^,]/ }));
    await until(() => expect(written('approached').at(-1)?.approach.clips).toBe(0));
    fireEvent.click(within(panel).getByRole('radio', { name: /^By time, with 6 clips/ }));
    await until(() => expect(written('approached').at(-1)?.approach.clips).toBe(6));
  });

  it('takes every choice by a second key, and closes so that the next key is for the prompt', async () => {
    const { described, checked, approached } = aSwitch(4, 2);
    const { written } = await renderJob(<MapPage />, [described, checked, approached({ order: 'position' })]);
    await prompted('Red to 1, black over 2 to 4');
    const inPanel = async (...keys: string[]) => {
      key('/');
      const panel = await screen.findByRole('dialog', { name: 'How to map' });
      keys.forEach((one) => fireEvent.keyDown(panel, { key: one }));
      return panel;
    };
    const closed = () => until(() => expect(screen.queryByRole('dialog', { name: 'How to map' })).toBeNull());
    await inPanel('2');
    await closed();
    await until(() => expect(written('approached').at(-1)?.approach).toMatchObject({ order: 'pair' }));
    await inPanel('7');
    await until(() => expect(written('approached').at(-1)?.approach.extent).toBe('working-pairs'));
    await closed();
    await inPanel('t');
    await closed();
    expect(screen.getByRole('button', { name: 'Tone', pressed: true })).toBeVisible();

    const panel = await inPanel('x', '9', 'c');
    const clips = within(panel).getByLabelText('Clips at hand');
    expect(document.activeElement).toBe(clips);
    // What is typed there is no choice any more.
    fireEvent.keyDown(clips, { key: '1' });
    expect(written('approached').at(-1)?.approach.extent).toBe('working-pairs');
    fireEvent.keyDown(panel, { key: 'q' });
    expect(document.activeElement).toBe(within(panel).getByLabelText(/^Quick check/));
    fireEvent.keyDown(panel, { key: 's' });
    expect(document.activeElement).toBe(within(panel).getByLabelText('Move one lead'));
    fill('Move one lead', 'soon', panel);
    expect(within(panel).getByRole('alert').textContent).toContain('Type seconds from 0 to 120');
    fill('Move one lead', '4,5', panel);
    await until(() => expect(written('approached').at(-1)?.approach.hands?.moveLead).toBe(4.5));
  });

  it('begins a quick check of the named pairs, and stands out of the way of its prompt', async () => {
    const { described, checked, approached } = aSwitch(4, 2);
    const { written } = await renderJob(<MapPage />, [described, checked, approached({ order: 'position' })]);
    await prompted('Red to 1, black over 2 to 4');
    key('/');
    const panel = await screen.findByRole('dialog', { name: 'How to map' });
    const pairs = within(panel).getByLabelText(/^Quick check/);
    fireEvent.change(pairs, { target: { value: '1-2, 3-9' } });
    fireEvent.submit(pairs.closest('form') as Element);
    // A pair that is not there is told where it was typed: nothing begins.
    expect(within(panel).getByRole('alert').textContent).toContain('9');
    fireEvent.change(pairs, { target: { value: '1-2' } });
    fireEvent.submit(pairs.closest('form') as Element);
    await until(() => expect(screen.queryByRole('dialog', { name: 'How to map' })).toBeNull());
    expect(written('pairs-named').at(-1)?.pairs).toHaveLength(1);
  });

  it('leaves a value between closed and open not known, once it was read three times', async () => {
    const { described, checked, read } = aSwitch(2, 1);
    const middle: Value = { kind: 'ohms', ohms: 4700 };
    const twice = [read([0], [1], middle), read([0], [1], middle)];
    const { written } = await renderJob(<MapPage />, [described, checked, ...twice]);
    await prompted('Look again at 1–2');
    expect(screen.getByTestId('prompt-small').textContent).not.toContain('leave it as not known');
    expect(screen.queryByRole('button', { name: 'Leave it as not known' })).toBeNull();
    type('1-2=4700');
    fireEvent.click(await screen.findByRole('button', { name: 'Leave it as not known' }));
    await prompted('One pair is left as not known');
    expect(written('explained')).toMatchObject([{ as: 'not-known' }]);
  });

  it('working pairs end by saying what is not known, and go on to everything', async () => {
    const { described, checked, approached } = aSwitch(3, 1);
    const { written } = await renderJob(<MapPage />, [
      described,
      checked,
      approached({ extent: 'working-pairs' }),
    ]);
    await prompted('Red to 1, black over 2, 3');
    type('2');
    key('Enter');
    await until(() => expect(written('answered')).toHaveLength(1));
  });
});

describe('what is looked at again', () => {
  it('says what to try and what it may be, and takes what a person accepts', async () => {
    const { described, checked, read } = aSwitch(2, 1);
    const middle: Value = { kind: 'ohms', ohms: 470 };
    const { written } = await renderJob(<MapPage />, [
      described,
      checked,
      read([0], [1], middle),
      read([0], [1], middle),
    ]);
    await prompted('Look again at 1–2');
    expect(screen.getByTestId('prompt-small').textContent).not.toContain('leave it as not known');
    const panel = screen.getByRole('alert');
    expect(panel.textContent).toContain('it repeats, 470 Ω 2 times');
    fireEvent.click(within(panel).getByRole('button', { name: 'It is a part, no contact' }));
    await until(() => expect(written('explained').at(-1)?.as).toBe('part'));
    // Two readings part them now.
    await prompted('Complete and re-checked');
  });

  it('keeps a flicker as unsteady by one key', async () => {
    const { described, checked } = aSwitch(2, 1);
    const { written } = await renderJob(<MapPage />, [described, checked]);
    await prompted('Red to 1, black to 2');
    key('~');
    await until(() => expect(written('answered').at(-1)?.readings[0]?.value).toEqual({ kind: 'unsteady' }));
  });

  it('has the sense and a clamp for a sprung handle beside the ways of mapping', async () => {
    const { described, checked, change, approached } = aSwitch(3, 2);
    const [rest, held] = change.actuators[0]?.positions ?? [];
    const { written } = await renderJob(<MapPage />, [
      described,
      checked,
      approached({ order: 'position' }),
      {
        kind: 'restructured',
        change: {
          change: 'position-posed',
          position: rest?.id as never,
          rests: 'momentary',
          returnsTo: held?.id as never,
          pose: null,
        },
        basedOn: null,
      },
    ]);
    const small = () => screen.getByTestId('prompt-small').textContent ?? '';
    await until(() => expect(small()).toContain('a clip on red frees a hand'));
    key('/');
    const panel = await screen.findByRole('dialog', { name: 'How to map' });
    fireEvent.click(within(panel).getByLabelText('tone'));
    expect(screen.getByRole('button', { name: 'Tone', pressed: true, hidden: true })).toBeVisible();
    fireEvent.click(within(panel).getByLabelText(/^A clamp or tape holds the handle/));
    await until(() => expect(written('approached')[0]?.approach.hands).toMatchObject({ holdMomentary: 0 }));
    await until(() => expect(small()).toContain('clamp the handle at Position 1'));
  });

  it('counts what is known for each position, and opens a pair of the matrix', async () => {
    const { described, checked, read } = aSwitch(3, 1);
    await renderJob(<MapPage />, [described, checked, read([0], [1], { kind: 'tone', sounded: true })]);
    openTab('Coverage');
    fireEvent.click(screen.getByRole('button', { name: '1 and 2: Closed, by tone: measured' }));
    expect(screen.getByTestId('inspector').textContent).toContain('Closed, by tone: measured');
  });
});

describe('a pedal for none', () => {
  const pedal = (event: 'keyDown' | 'keyUp', repeat = false, on: Element = document.body) =>
    fireEvent[event](on, { key: 'F7', repeat });

  it('answers on being let go and undoes once when it is held; learning it answers nothing', async () => {
    const { described, checked } = aSwitch(3, 1);
    const { written } = await renderJob(<MapPage />, [described, checked]);
    await prompted('Red to 1, black over 2, 3');
    key('?');
    const learning = within(await screen.findByRole('region', { name: 'Pedals and keys of your own' }));
    fireEvent.click(learning.getAllByRole('button', { name: 'Learn' })[1] as HTMLElement);
    pedal('keyDown');
    pedal('keyUp');
    expect(handsFree.getState().keys.no).toBe('F7');
    pedal('keyDown', true);
    pedal('keyUp');
    fireEvent.click(screen.getByRole('button', { name: 'Close' }));
    expect(written('answered')).toHaveLength(0);
    expect(prompt()).toBe('Red to 1, black over 2, 3');

    // It steps through the sweep touch by touch.
    const now = () => screen.getByTestId('prompt-small').textContent ?? '';
    expect(now()).toContain('Now 2:');
    pedal('keyDown');
    expect(now()).toContain('Now 2:');
    pedal('keyUp');
    expect(now()).toContain('Now 3:');
    expect(screen.getByRole('button', { name: 'Terminal 3, touch this one now' })).toBeVisible();
    // Held, it takes back one touch.
    pedal('keyDown');
    for (let repeat = 0; repeat < 9; repeat += 1) pedal('keyDown', true);
    pedal('keyUp');
    expect(now()).toContain('Now 2:');
    const press = () => {
      pedal('keyDown');
      pedal('keyUp');
    };
    press();
    press();
    await prompted('Red to 2, black to 3');
    pedal('keyDown');
    for (let repeat = 0; repeat < 9; repeat += 1) pedal('keyDown', true);
    pedal('keyUp');
    await prompted('Red to 1, black over 2, 3');
    await until(() => expect(written('withdrawn')).toHaveLength(1));
    expect(written('answered')).toHaveLength(1);
  });
});
