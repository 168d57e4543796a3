import type { Deed } from '@which-way/core/log';
import type { MarkingId, PhotoId } from '@which-way/core/switch';
import { describe, expect, it, vi } from 'vitest';
import { newId } from '../../job/new-id.js';
import { pictureTrouble } from '../../parts/photos/picture-trouble.js';
import { fill, fireEvent, press, screen, tick, until } from '../../testing/acts.js';
import { renderJob } from '../../testing/rendered-job.js';
import { StoryPage } from './intake-page.js';
import { MarkingsPage } from './markings-page.js';
import { WorthPage } from './worth-page.js';

describe('the story', () => {
  it('is kept field by field, and only when something changed', async () => {
    const { written } = await renderJob(<StoryPage />, [{ kind: 'noted', field: 'machine', text: 'A lamp' }]);
    fill('What it came from', 'A lamp');
    fill('Money limit', '25');
    await until(() =>
      expect(written('noted')).toEqual([{ kind: 'noted', field: 'money-limit', text: '25' }]),
    );
  });

  it('names sister switches, and makes one a job that names this one back', async () => {
    const { written } = await renderJob(<StoryPage />, []);
    fill('Where the other switch is', 'The foot pedal');
    press('Note it');
    await until(() => expect(written('sister-noted')[0]?.sister.text).toBe('The foot pedal'));
    press('Make it a job');
    await until(() => expect(screen.getByRole('link', { name: 'Open its job' })).toBeVisible());
    await until(() => expect(written('sister-noted').at(-1)?.sister.job).not.toBeNull());
  });
});

describe('markings', () => {
  const photo = newId<PhotoId>();
  const taken: Deed = {
    kind: 'photo-taken',
    photo: { id: photo, purpose: 'marking', caption: '', width: 800, height: 600, removed: false },
  };
  const boxed: Deed = {
    kind: 'transcribed',
    marking: { id: newId<MarkingId>(), runs: [], box: { photo, x: 0.25, y: 0.5, width: 0.5, height: 0.1 } },
  };

  it('show the boxed part of the photo above what is typed', async () => {
    const { written } = await renderJob(<MarkingsPage />, [taken, boxed]);
    expect(screen.getByRole('img', { name: 'The marking on the photo' }).getAttribute('viewBox')).toBe(
      '200 300 400 60',
    );
    fill('Marking as read', '6A 250V~');
    await until(() =>
      expect(written('transcribed')[0]?.marking).toMatchObject({
        runs: [{ text: '6A 250V~', sure: 'certain' }],
      }),
    );
    expect(written('transcribed')[0]?.marking.box).not.toBeNull();
    press('Remove');
    await until(() => expect(written('transcribed').at(-1)?.marking).toMatchObject({ runs: [], box: null }));
    expect(screen.queryByLabelText('Marking as read')).toBeNull();
  });

  it('point at what cannot be read, and carry doubts over when the text around them is mended', async () => {
    const { written } = await renderJob(<MarkingsPage />, []);
    press('Read a marking');
    fill('Marking as read', '16(4)A 250V~');
    await until(() => expect(written('transcribed')).toHaveLength(1));
    press('4: certain');
    press('4: guess');
    await until(() => expect(screen.getByRole('button', { name: '4: unreadable' })).toBeVisible());
    expect(screen.getByLabelText('What it says').textContent).toContain('unreadable');
    fill('Marking as read', '16(4)A 250V~ T85');
    await until(() =>
      expect(written('transcribed').at(-1)?.marking.runs).toEqual([
        { text: '16(', sure: 'certain' },
        { text: '4', sure: 'unreadable' },
        { text: ')A 250V~ T85', sure: 'certain' },
      ]),
    );
  });

  it('say so when the pixels of a photo are not on this machine', async () => {
    await renderJob(<MarkingsPage />, [taken]);
    fireEvent.error(screen.getByRole('img', { name: 'Photo of the switch' }));
    expect(screen.getByText(/This photo isn’t on this machine/)).toBeVisible();
  });

  it('removes a photo and says how to get it back', async () => {
    const { written } = await renderJob(<MarkingsPage />, [taken]);
    press('Remove this photo');
    await until(() => expect(written('photo-taken')[0]?.photo.removed).toBe(true));
  });
});

describe('a picture file', () => {
  const bitmap = (works: boolean) =>
    vi.stubGlobal('createImageBitmap', async () => {
      if (!works) throw new Error('no picture');
      return { close: () => undefined };
    });

  it('is taken when the browser can read it', async () => {
    bitmap(true);
    expect(await pictureTrouble(new File(['x'], 'a.jpg'))).toBeNull();
  });

  it('is refused with its name when it is empty, too large or no picture', async () => {
    bitmap(false);
    expect(await pictureTrouble(new File([], 'none.jpg'))).toBe('none.jpg is empty.');
    expect(await pictureTrouble(new File(['text'], 'letter.txt'))).toContain(
      'letter.txt is not a picture that can be read',
    );
    const large = new File(['x'], 'huge.png');
    Object.defineProperty(large, 'size', { value: 26 * 1024 * 1024 + 1 });
    expect(await pictureTrouble(large)).toContain('huge.png has 27 MB; up to 25 MB is allowed');
  });
});

describe('repair or replace', () => {
  it('says what is missing, then which way it leans, and keeps the limit apart', async () => {
    const { written } = await renderJob(<WorthPage />, []);
    expect(screen.getByText('Not enough information yet')).toBeVisible();
    for (const [label, value] of [
      [/^The part/, '12'],
      [/^Time/, '45'],
      [/^Rate per hour/, '24'],
      [/^Postage/, '4'],
      [/^A new machine/, '90'],
      [/^A new one lasts/, '9'],
    ] as const)
      fill(label, value);
    expect(screen.getByText('Still needed: this one would last.')).toBeVisible();
    fill(/^This one would last/, '4');
    await until(() => expect(screen.getByText('It leans to repair, by 6.00')).toBeVisible());
    fill(/^The owner’s own limit/, '30');
    await until(() => expect(screen.getByText('4.00 over the owner’s limit')).toBeVisible());
    tick(/^It is dangerous/);
    await until(() => expect(screen.getByText('Don’t keep it to save money')).toBeVisible());
    await until(() =>
      expect(written('worth-noted').at(-1)?.inputs).toMatchObject({ part: 12, limit: 30, dangerous: true }),
    );
  });

  it('refuses what is no amount, and keeps what was there', async () => {
    const { written } = await renderJob(<WorthPage />, []);
    fill(/^The part/, 'cheap');
    expect(screen.getByRole('alert').textContent).toContain('“cheap” isn’t an amount');
    expect(written('worth-noted')).toEqual([]);
    fireEvent.focus(screen.getByLabelText(/^The part/));
    fill(/^The part/, '9,50');
    await until(() => expect(written('worth-noted')[0]?.inputs.part).toBe(9.5));
    expect(screen.queryByRole('alert')).toBeNull();
  });
});
