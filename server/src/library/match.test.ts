import type { MatchAnswer } from '@which-way/contract';
import { STOPS_NOTHING } from '@which-way/core/match';
import type { EntryId } from '@which-way/core/switch';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { serve, type Served } from '../testing/served.js';

let served: Served;
beforeAll(async () => (served = await serve()));
afterAll(() => served.close());

describe('an entry of the library', () => {
  it('is kept, found by words and in a match, and takes the place of the one with its id', async () => {
    const id = '0b8d0a52-51d4-4c0e-9d6e-2f6f0a3c1a11';
    const entry = {
      ...{ id, kind: 'switch', name: 'Harbour crane, slewing lever', maker: null, family: '', form: 'lever' },
      terminals: ['1', '2'],
      positions: [
        { name: 'OFF', rests: 'maintained', joined: [] },
        { name: 'ON', rests: 'momentary', joined: [['1', '2']] },
      ],
      note: null,
      facts: { marking: '16(4)A 250V~' },
    };
    const put = (body: object, at = id) => served.call('PUT', `/api/library/${at}`, body);
    expect((await put(entry)).status).toBe(200);
    expect((await put({ ...entry, note: 'Mapped twice.' })).status).toBe(200);
    const page = (await served.call('GET', '/api/library?search=slewing')).body as { count: number };
    expect(page.count).toBe(1);
    expect((await served.call('GET', `/api/library/${id}`)).body).toMatchObject({ note: 'Mapped twice.' });
    const wrong = await put({ ...entry, facts: { operations: 'many' } });
    expect([wrong.status, (wrong.body as { path: string }).path]).toEqual([422, 'facts.operations']);
    expect((await put(entry, '0b8d0a52-51d4-4c0e-9d6e-2f6f0a3c1a12')).status).toBe(422);

    const question = {
      pattern: [
        [0, 1],
        [0, 0],
      ],
      ...{ terminals: [0, 1], known: null, free: null, also: [], never: [], words: '', told: 60 },
      rules: { jumpers: 0, gaps: false, spares: true, returns: false },
      subject: {
        positions: [{ rests: 'maintained' }, { rests: 'maintained' }],
        ...{ loads: [], mostWires: 1, facts: {}, brake: false, offLeftOut: false },
        ...{ startsAt: [], stopsAt: STOPS_NOTHING },
      },
    };
    const match = async (asked: object) => {
      const response = await fetch(`${served.base}/api/library/match`, {
        ...{ method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(asked) },
      });
      const lines = (await response.text()).trim().split('\n');
      const told = lines.map((line) => JSON.parse(line) as MatchAnswer);
      const last = told.at(-1) as MatchAnswer;
      return { ...last, candidates: told.flatMap(({ fresh }) => fresh) };
    };
    const { candidates, done, does, order } = await match(question);
    expect([done, does.includes(id.slice(-12)), order.includes(id as EntryId)]).toEqual([true, true, true]);
    // Each is told once.
    expect(new Set(candidates.map(({ known }) => known.id)).size).toBe(candidates.length);
    const mine = candidates.find(({ known }) => known.id === id);
    expect(mine?.differences.map(({ code }) => code)).toContain('spring-gained');
    // Where it must spring back like the old one, a part that doesn't is no match.
    const strict = await match({ ...question, rules: { ...question.rules, returns: true } });
    expect(strict.candidates.find(({ known }) => known.id === id)?.result).toMatchObject({
      because: 'returns',
    });
    for (const [path, body] of [
      ['never', { ...question, never: [[0, 7]] }],
      ['rules', { ...question, rules: { ...question.rules, jumpers: 9 } }],
      ['told', { ...question, told: 61 }],
      ['subject', { ...question, subject: { positions: [] } }],
      ['subject', { ...question, subject: { ...question.subject, startsAt: undefined } }],
      ['subject', { ...question, subject: { ...question.subject, startsAt: [2] } }],
    ] as const) {
      const refused = await served.call('POST', '/api/library/match', body);
      expect([refused.status, (refused.body as { path: string }).path]).toEqual([400, path]);
    }
  });
});
