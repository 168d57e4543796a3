import { describe, expect, it } from 'vitest';
import { serve } from '../testing/served.js';
import { Backroom } from './backroom.js';

const ENTRY = new URL('../../bundle/backroom/backroom.worker.js', import.meta.url);

describe('a backroom that is closed while its workers open the database', () => {
  it('waits until they have let go of it: a worker that is cut off there takes the whole program down', async () => {
    const served = await serve();
    for (let time = 0; time < 6; time += 1) {
      const backroom = new Backroom(served.database, ENTRY);
      await backroom.read((desk) => desk.lastRow());
      for (let turn = 0; turn < 50; turn += 1) {
        void backroom.letGo();
        void backroom.read((desk) => desk.lastRow());
      }
      await new Promise((resolve) => setTimeout(resolve, 3 * time));
      await backroom.leave();
      expect(backroom.unanswered).toBe(0);
    }
    await served.close();
  });

  it('waits for a worker that is still loading; after that, no question is answered', async () => {
    const served = await serve();
    const backroom = new Backroom(served.database, ENTRY);
    void backroom.read((desk) => desk.lastRow());
    await backroom.leave();
    let answered = false;
    void backroom.read((desk) => desk.lastRow()).then(() => (answered = true));
    await new Promise((resolve) => setTimeout(resolve, 200));
    expect([answered, backroom.unanswered]).toEqual([false, 0]);
    await served.close();
  });
});
