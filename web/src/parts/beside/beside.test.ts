import { expose } from 'comlink';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { until } from '../../testing/until.js';
import { Beside, BesideBroke } from './beside.js';

interface Desk {
  add(number: number): number | Promise<number>;
}

afterEach(() => vi.unstubAllGlobals());

/** A worker in this very thread: an event target whose messages go to a desk, or nowhere while it has none. */
class Thread extends EventTarget {
  static ended = 0;
  readonly #port: MessagePort;

  constructor(desk: Desk | null) {
    super();
    const { port1, port2 } = new MessageChannel();
    if (desk) expose(desk, port2);
    this.#port = port1;
    this.#port.onmessage = ({ data }: MessageEvent) =>
      this.dispatchEvent(new MessageEvent('message', { data }));
  }

  postMessage(...what: Parameters<MessagePort['postMessage']>) {
    this.#port.postMessage(...what);
  }

  terminate() {
    Thread.ended += 1;
    this.#port.close();
  }
}

function opening(desk: Desk | null) {
  Thread.ended = 0;
  vi.stubGlobal('Worker', Thread);
  const threads: Thread[] = [];
  return {
    threads,
    open: () => {
      const thread = new Thread(desk);
      threads.push(thread);
      return thread as unknown as Worker;
    },
  };
}

const NEVER = new Promise<number>(() => undefined);
const standIn = async (): Promise<Desk> => ({ add: (number) => number + 100 });

describe('work beside the screen', () => {
  it('answers, and gives on what the work throws', async () => {
    const { open, threads } = opening({
      add: (number) => {
        if (number < 0) throw new Error('below zero');
        return number + 1;
      },
    });
    const beside = new Beside<Desk>({ open, standIn });
    expect(threads).toHaveLength(0);
    expect(await beside.ask((desk) => desk.add(1))).toBe(2);
    await expect(beside.ask((desk) => desk.add(-1))).rejects.toThrow('below zero');
    expect(threads).toHaveLength(1);
    beside.end();
    expect(Thread.ended).toBe(1);
  });

  it.each([
    ['it is not there (404)', new Event('error')],
    ['it throws while it is loaded', Object.assign(new Event('error'), { message: 'x is not defined' })],
    ['it says what cannot be read', new Event('messageerror')],
  ])('is done by the stand-in where %s, and each later question at once', async (_, event) => {
    const { open, threads } = opening(null);
    const broke = vi.fn();
    const beside = new Beside<Desk>({ open, standIn, broke });
    const asked = [beside.ask((desk) => desk.add(1)), beside.ask((desk) => desk.add(2))];
    await until(() => expect(threads).toHaveLength(1));
    threads[0]?.dispatchEvent(event);
    expect(await Promise.all(asked)).toEqual([101, 102]);
    expect(await beside.ask((desk) => desk.add(3))).toBe(103);
    expect(broke).toHaveBeenCalledTimes(1);
    expect(threads).toHaveLength(1);
  });

  it('is refused without a stand-in, with the reason', async () => {
    const { open, threads } = opening(null);
    const beside = new Beside<Desk>({ open });
    const asked = beside.ask((desk) => desk.add(1));
    await until(() => expect(threads).toHaveLength(1));
    threads[0]?.dispatchEvent(Object.assign(new Event('error'), { message: 'no memory' }));
    await expect(asked).rejects.toThrow(new BesideBroke('no memory'));
    vi.unstubAllGlobals();
    vi.stubGlobal('Worker', undefined);
    await expect(new Beside<Desk>({ open }).ask((desk) => desk.add(1))).rejects.toThrow(BesideBroke);
  });

  it('refuses what is in work when it is ended', async () => {
    const { open } = opening({ add: () => NEVER });
    const beside = new Beside<Desk>({ open, standIn });
    const asked = beside.ask((desk) => desk.add(1));
    beside.end();
    await expect(asked).rejects.toThrow('ended');
    await expect(beside.ask((desk) => desk.add(1))).rejects.toThrow('ended');
  });

  it('works for nobody: a question that is taken back ends the worker, and the next opens another', async () => {
    let calls = 0;
    const { open, threads } = opening({ add: (number) => (++calls === 1 ? NEVER : number) });
    const beside = new Beside<Desk>({ open, standIn });
    const left = new AbortController();
    const asked = beside.ask((desk) => desk.add(1), left.signal);
    await until(() => expect(calls).toBe(1));
    left.abort(new Error('no more'));
    await expect(asked).rejects.toThrow('no more');
    expect(Thread.ended).toBe(1);
    expect(await beside.ask((desk) => desk.add(7))).toBe(7);
    expect(threads).toHaveLength(2);
    await expect(beside.ask((desk) => desk.add(1), left.signal)).rejects.toThrow('no more');
  });

  it('tells a desk first what it has to know, also the stand-in; one that keeps it is asked in turns and goes on', async () => {
    const heard: number[] = [];
    let release: (() => void) | null = null;
    const desk: Desk = {
      add: (number) => {
        heard.push(number);
        return number === 1 ? new Promise((resolve) => (release = () => resolve(1))) : number;
      },
    };
    const { open, threads } = opening(desk);
    const first = async (told: { add(number: number): Promise<number> }) => void (await told.add(0));
    const beside = new Beside<Desk>({ open, standIn: async () => desk, first, keeps: true });
    const left = new AbortController();
    const one = beside.ask((told) => told.add(1));
    const between = beside.ask((told) => told.add(2), left.signal);
    const last = beside.ask((told) => told.add(3));
    await until(() => expect(release).not.toBeNull());
    left.abort(new Error('no more'));
    (release as unknown as () => void)();
    expect(await one).toBe(1);
    await expect(between).rejects.toThrow('no more');
    expect(await last).toBe(3);
    expect(heard).toEqual([0, 1, 3]);
    expect(Thread.ended).toBe(0);
    threads[0]?.dispatchEvent(new Event('error'));
    expect(await beside.ask((told) => told.add(4))).toBe(4);
    expect(heard).toEqual([0, 1, 3, 0, 4]);
  });
});
