import type { ApiError, Shop } from '@which-way/contract';
import { ORDINARY_METER } from '@which-way/core/log';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { serve, type Served } from '../testing/served.js';

let served: Served;
beforeAll(async () => {
  served = await serve();
});
afterAll(() => served.close());

it('the shop keeps its own lists and notes; what must stay stays, and a stale change is refused', async () => {
  const { body } = await served.call('GET', '/api/shop');
  const shop: Shop = body;
  expect(shop.version).toBe(0);
  const own = { kind: 'own', text: 'Put the guard back', why: null };
  const meter = { ...ORDINARY_METER, name: 'The grey one', leadOhms: 0.2 };
  const changed = {
    ...shop,
    meters: [meter],
    name: 'Pepperquay Repair Room',
    safetyLists: { ...shop.safetyLists, fixed: [...shop.safetyLists.fixed, own] },
    codeNotes: { ...shop.codeNotes, fixed: 'Only a licensed electrician here.' },
  };
  expect(await served.call('PUT', '/api/shop', changed)).toMatchObject({ status: 200, body: { version: 1 } });
  expect((await served.call('GET', '/api/shop')).body).toEqual({ ...changed, version: 1 });
  expect(await served.call('PUT', '/api/shop', changed)).toMatchObject({
    status: 409,
    body: { code: 'stale' },
  });

  const thinned = { ...changed, version: 1, safetyLists: { ...shop.safetyLists, fixed: [own] } };
  const refused: { status: number; body: ApiError } = await served.call('PUT', '/api/shop', thinned);
  expect([refused.status, refused.body.code, refused.body.path]).toEqual([
    422,
    'line-stays',
    'safetyLists.fixed',
  ]);
  expect(await served.call('PUT', '/api/shop', { ...changed, cat: 1 })).toMatchObject({
    status: 400,
    body: { code: 'unknown-field' },
  });
  for (const [meters, path] of [
    [[meter, meter], 'meters'],
    [[{ ...meter, percent: 80 }], 'meters.0.percent'],
    [[{ name: 'half' }], 'meters.0'],
  ] as const) {
    const told: { status: number; body: ApiError } = await served.call('PUT', '/api/shop', {
      ...changed,
      version: 1,
      meters,
    });
    expect([told.status, told.body.path.startsWith(path)]).toEqual([422, true]);
  }
  expect(await served.call('PUT', '/api/shop', { ...changed, version: 1, codeNotes: {} })).toMatchObject({
    status: 422,
    body: { path: 'codeNotes.plug-in' },
  });
});
