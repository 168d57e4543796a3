import type { Work } from '@which-way/contract';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import type { Live } from '../live/live.js';
import { Works } from './works.js';

const works = () =>
  new Works(join(mkdtempSync(join(tmpdir(), 'which-way-works-')), 'works'), {
    work: () => undefined,
  } as unknown as Live);
const turn = () => new Promise((resolve) => setImmediate(resolve));

/** Work that goes on until it is told to end. */
const endless = () => {
  let end = (): void => undefined;
  const ended = new Promise<void>((resolve) => (end = resolve));
  return { run: () => ended.then((): Partial<Work> => ({})), end };
};

it('a backup waits for no import, an import for no backup; one waits for its like', async () => {
  const all = works();
  const [first, second] = [endless(), endless()];
  const [taking, after] = [all.begin('import', first.run), all.begin('export', second.run)];
  const backup = all.begin('backup', () => Promise.resolve({}));
  await turn();
  expect([taking, after, backup].map(({ id }) => all.get(id).state)).toEqual(['running', 'waiting', 'done']);
  first.end();
  await turn();
  expect([taking, after].map(({ id }) => all.get(id).state)).toEqual(['done', 'running']);
  second.end();
});

it('a restore waits for everything before it, and everything after it for the restore', async () => {
  const all = works();
  const [taking, backing, putting] = [endless(), endless(), endless()];
  all.begin('import', taking.run);
  all.begin('backup', backing.run);
  const restore = all.begin('restore', putting.run);
  const later = [all.begin('backup', endless().run), all.begin('import', endless().run)];
  const states = () => [restore, ...later].map(({ id }) => all.get(id).state);
  await turn();
  taking.end();
  await turn();
  expect(states()).toEqual(['waiting', 'waiting', 'waiting']);
  backing.end();
  await turn();
  expect(states()).toEqual(['running', 'waiting', 'waiting']);
  putting.end();
  await turn();
  expect(states()).toEqual(['done', 'running', 'running']);
});
