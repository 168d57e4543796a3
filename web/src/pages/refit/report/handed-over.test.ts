import type { JobEvent } from '@which-way/core/log';
import { expect, it } from 'vitest';
import { HandedOver } from './handed-over.js';

const event = (id: string) => ({ id }) as JobEvent;
const [one, two, three] = ['1', '2', '3'].map(event) as [JobEvent, JobEvent, JobEvent];

it('each event is handed over once, and what was taken by halves goes on', () => {
  const given = new HandedOver();
  expect(given.next([one, two])).toEqual({ again: false, fresh: [one, two] });
  given.took([one]);
  expect(given.next([one, two, three])).toEqual({ again: false, fresh: [two, three] });
  given.took([two, three]);
  expect(given.next([one, two, three])).toEqual({ again: false, fresh: [] });
});

it('what was set aside meanwhile is in no report: the thread begins again without it', () => {
  const given = new HandedOver();
  given.took([one, two]);
  expect(given.next([one, three])).toEqual({ again: true, fresh: [one, three] });
  given.took([one, three]);
  expect(given.next([one, three])).toEqual({ again: false, fresh: [] });
});
