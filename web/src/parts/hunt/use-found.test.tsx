import {
  NO_EVIDENCE,
  NOTHING_FOUND,
  type HuntEvidence,
  type FoundFaults,
  type Circuit,
} from '@which-way/core/machine';
import { act, cleanup, renderHook } from '@testing-library/react';
import { expose } from 'comlink';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { until } from '../../testing/until.js';
import { useFound } from './use-found.js';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const HUNTED = { circuit: { loads: [] } as unknown as Circuit, healthy: [] };
const looks = (count: number): HuntEvidence => ({
  ...NO_EVIDENCE,
  seen: Array.from({ length: count }, () => ({ setting: 's', load: 'l', seen: 'off' }) as never),
});
const found = (count: number): FoundFaults => ({ ...NOTHING_FOUND, looks: count });

/** A thread in this one, which answers when it is told to. */
function aThread() {
  const asked: number[] = [];
  const waiting: (() => void)[] = [];
  let ended = 0;
  class Thread {
    readonly #port: MessagePort;
    constructor() {
      const { port1, port2 } = new MessageChannel();
      expose(
        {
          of: () => undefined,
          found: ({ seen }: HuntEvidence) =>
            new Promise((resolve) => {
              asked.push(seen.length);
              waiting.push(() => resolve(found(seen.length)));
            }),
        },
        port2,
      );
      this.#port = port1;
    }
    postMessage(...what: Parameters<MessagePort['postMessage']>) {
      this.#port.postMessage(...what);
    }
    addEventListener(kind: 'message', listener: (event: MessageEvent) => void) {
      this.#port.addEventListener(kind, listener);
      this.#port.start();
    }
    removeEventListener(kind: 'message', listener: (event: MessageEvent) => void) {
      this.#port.removeEventListener(kind, listener);
    }
    terminate() {
      ended += 1;
      this.#port.close();
    }
  }
  vi.stubGlobal('Worker', Thread);
  return {
    asked,
    answer: () => waiting.shift()?.(),
    ended: () => ended,
  };
}

describe('what was found, worked out beside the screen', () => {
  it('while it is at work only what was asked last waits, and until then what was found before is shown', async () => {
    const thread = aThread();
    const { result, rerender, unmount } = renderHook(({ evidence }) => useFound(HUNTED, evidence), {
      initialProps: { evidence: looks(1) },
    });
    expect(result.current).toMatchObject({ looks: 0, busy: true });
    await until(() => expect(thread.asked).toEqual([1]));
    for (const count of [2, 3, 4]) rerender({ evidence: looks(count) });
    thread.answer();
    await until(() => expect(thread.asked).toEqual([1, 4]));
    thread.answer();
    await until(() => expect(result.current).toMatchObject({ looks: 4, busy: false }));
    rerender({ evidence: looks(5) });
    expect(result.current).toMatchObject({ looks: 4, busy: true });
    unmount();
    expect(thread.ended()).toBe(1);
  });

  it('asks nothing before something was seen, and nothing of a machine that is not there', () => {
    const thread = aThread();
    const { result, rerender } = renderHook(({ hunted, evidence }) => useFound(hunted, evidence), {
      initialProps: { hunted: HUNTED as typeof HUNTED | null, evidence: NO_EVIDENCE },
    });
    expect(result.current).toMatchObject({ looks: 0, busy: false });
    rerender({ hunted: null, evidence: looks(2) });
    expect(result.current).toMatchObject({ looks: 0, busy: false });
    expect(thread.asked).toEqual([]);
  });

  it('goes on here when the thread breaks', async () => {
    const broken: EventTarget[] = [];
    vi.stubGlobal(
      'Worker',
      class extends EventTarget {
        constructor() {
          super();
          broken.push(this);
        }
        postMessage() {
          return undefined;
        }
        terminate() {
          return undefined;
        }
      },
    );
    const machine = {
      ...HUNTED.circuit,
      leads: [],
      terminals: [],
      supplies: [],
      nodes: 0,
      open: new Set<number>(),
    };
    const hunted = { circuit: machine as unknown as Circuit, healthy: [] };
    const evidence = looks(1);
    const { result } = renderHook(() => useFound(hunted, evidence));
    expect(result.current).toMatchObject({ looks: 0, busy: true });
    await until(() => expect(broken).toHaveLength(1));
    act(() => void broken.at(-1)?.dispatchEvent(new Event('error')));
    await until(() => expect(result.current).toMatchObject({ looks: 1, busy: false }));
  });
});
