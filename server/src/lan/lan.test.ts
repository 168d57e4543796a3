import { request } from 'node:http';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { SignedInDevice } from '@which-way/contract';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { requestFromElsewhere, type Elsewhere } from '../testing/from-elsewhere.js';
import { serve, type Served } from '../testing/served.js';
import { Access } from './access.js';
import { isLoopback } from './gate.js';
import { Patience } from './patience.js';

let served: Served;
beforeAll(async () => {
  served = await serve(undefined, true);
});
afterAll(() => served.close());

const fromElsewhere = (method: string, path: string, said: Elsewhere = {}) =>
  requestFromElsewhere(served.base, method, path, said);
const code = async () => (await served.note('access')).split(' ')[0] ?? '';
const signIn = (typed: string, from?: string) =>
  fromElsewhere('POST', '/sign-in', { body: `code=${encodeURIComponent(typed)}`, ...(from ? { from } : {}) });

describe('in the local network', () => {
  it('nothing but the sign-in page answers without the code', async () => {
    for (const path of ['/api/jobs', '/api/health', '/api/docs', '/api/photos/x']) {
      const answer = await fromElsewhere('GET', path);
      expect([answer.status, JSON.parse(answer.text)]).toEqual([
        401,
        expect.objectContaining({ code: 'sign-in-needed' }),
      ]);
    }
    expect((await fromElsewhere('POST', '/api/jobs', { body: 'x=1' })).status).toBe(401);
    const page = await fromElsewhere('GET', '/jobs/anything');
    expect([page.status, page.headers['location']]).toEqual([303, '/sign-in']);
    const form = await fromElsewhere('GET', '/sign-in?code=%3Cscript%3E');
    expect(form.status).toBe(200);
    expect(form.text).not.toContain('<script');
    expect((await fromElsewhere('GET', '/api/jobs', { cookie: 'which-way=9999999999.00' })).status).toBe(401);
  });

  it('the code lets in, written as people write it, and the cookie is for this site alone', async () => {
    const answer = await signIn((await code()).toLowerCase().replace('-', ' '), '127.0.0.10');
    expect(answer.status).toBe(303);
    const [cookie = ''] = (answer.headers['set-cookie'] ?? []) as string[];
    expect(cookie).toMatch(/HttpOnly.*SameSite=Strict/i);
    const [pair = ''] = cookie.split(';');
    expect((await fromElsewhere('GET', '/api/jobs', { cookie: pair })).status).toBe(200);
  });

  it('wrong codes are slowed down, the right one too while it waits', async () => {
    const from = '127.0.0.11';
    const right = await code();
    const wrongThenRight = async () => {
      expect((await signIn('AAAA-AAAA', from)).status).toBe(403);
      return signIn(right, from);
    };
    // A machine that stood still for a second has waited already: then once more.
    let next = await wrongThenRight();
    for (let tries = 0; tries < 5 && next.status === 303; tries += 1) next = await wrongThenRight();
    expect(next.status).toBe(429);
    expect(Number(next.headers['retry-after'])).toBeGreaterThan(0);
    expect(next.text).toMatch(
      /A wrong code was tried from here\. Wait (a second|\d+ seconds), then try again\./,
    );
  });

  it('this machine itself stays open', async () => {
    expect((await served.call('GET', '/api/health')).status).toBe(200);
    expect([isLoopback('::ffff:127.0.0.1'), isLoopback('192.168.1.7'), isLoopback(undefined)]).toEqual([
      true,
      false,
      false,
    ]);
  });

  it('another name for this machine is still refused', async () => {
    expect((await served.call('GET', '/api/health', undefined, {})).status).toBe(200);
    const { port } = new URL(served.base);
    const status = await new Promise((resolve) =>
      request(
        { host: '127.0.0.1', port, path: '/api/health', headers: { host: 'evil.example' } },
        (response) => resolve(response.statusCode),
      ).end(),
    );
    expect(status).toBe(403);
  });
});

describe('patience with wrong codes', () => {
  it('doubles from a second to five minutes for one address, and never locks out one that was not wrong', () => {
    let now = 0;
    const patience = new Patience(() => now);
    const waits = Array.from({ length: 12 }, () => {
      patience.wrong('a');
      return patience.waitOf('a');
    });
    expect(waits).toEqual([1, 2, 4, 8, 16, 32, 64, 128, 256, 300, 300, 300]);
    expect(patience.waitOf('b')).toBe(0);
    now += 299_000;
    expect(patience.waitOf('a')).toBe(1);
    for (let wrong = 0; wrong < 12; wrong += 1) patience.wrong(`other ${wrong}`);
    expect(patience.waitOf('never seen')).toBe(0);
    expect(patience.waitOf('other 11')).toBeGreaterThan(1);
    now += 31 * 60_000;
    expect(patience.waitOf('a')).toBe(0);
  });
});

describe('sessions', () => {
  const enter = async (from: string) => {
    const answer = await signIn(await code(), from);
    const [cookie = ''] = (answer.headers['set-cookie'] ?? []) as string[];
    return cookie.split(';')[0] ?? '';
  };
  const status = async (cookie: string) => (await fromElsewhere('GET', '/api/health', { cookie })).status;
  const devices = async (cookie: string) =>
    JSON.parse((await fromElsewhere('GET', '/api/sessions', { cookie })).text) as SignedInDevice[];

  it('are listed, and each is ended by itself: by signing out, or by another device', async () => {
    const [phone, tablet, laptop] = [
      await enter('127.0.0.20'),
      await enter('127.0.0.21'),
      await enter('127.0.0.22'),
    ];
    const list = await devices(phone);
    expect(list.filter(({ own }) => own)).toEqual([expect.objectContaining({ address: '127.0.0.20' })]);
    expect(JSON.stringify(list)).not.toContain(phone.split('=')[1]);
    expect((await fromElsewhere('POST', '/api/sign-out', { cookie: tablet })).status).toBe(200);
    expect([await status(phone), await status(tablet), await status(laptop)]).toEqual([200, 401, 200]);
    const other = list.find(({ address }) => address === '127.0.0.22');
    expect((await fromElsewhere('DELETE', `/api/sessions/${other?.id}`, { cookie: phone })).status).toBe(200);
    expect([await status(phone), await status(laptop)]).toEqual([200, 401]);
    expect((await served.call('DELETE', `/api/sessions/${other?.id}`)).status).toBe(404);
  });

  it('end after thirty days, and at once with a new code', async () => {
    const cookie = await enter('127.0.0.23');
    const clock = vi.spyOn(Date, 'now').mockReturnValue(Date.now() + 31 * 86_400_000);
    expect(await status(cookie)).toBe(401);
    clock.mockRestore();
    expect(await status(cookie)).toBe(200);
    expect(await status('which-way=' + 'a'.repeat(43))).toBe(401);
  });

  it('outlast a restart', async () => {
    const place = mkdtempSync(join(tmpdir(), 'which-way-lan-'));
    const first = await serve(place, true);
    const right = (await first.note('access')).trim();
    const answer = await requestFromElsewhere(first.base, 'POST', '/sign-in', { body: `code=${right}` });
    const [cookie = ''] = (answer.headers['set-cookie'] ?? []) as string[];
    await first.stop();
    const again = await serve(place, true);
    const read = await requestFromElsewhere(again.base, 'GET', '/api/jobs', {
      cookie: cookie.split(';')[0] ?? '',
    });
    expect(read.status).toBe(200);
    await again.close();
  });

  it('of an earlier version are over, and the sign-in page says why', async () => {
    const cookie = `which-way=1799999999.${'0a'.repeat(32)}`;
    expect(await status(cookie)).toBe(401);
    const page = await fromElsewhere('GET', '/sign-in', { cookie });
    expect(page.text).toContain('Which Way was updated, and every device was signed out once.');
    expect((await fromElsewhere('GET', '/sign-in')).text).not.toContain('was updated');
  });
});

it('the code is accepted as people write it', () => {
  const access = new Access('ABCD-2345');
  expect([access.accepts(' abcd2345 '), access.accepts('ABCD-2346'), access.accepts('')]).toEqual([
    true,
    false,
    false,
  ]);
});
