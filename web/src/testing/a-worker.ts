import { vi } from 'vitest';
import type { WorkerAnswer, WorkerQuestion } from '../map/planner.worker.js';

/** A worker that does nothing by itself: what it was asked, and a way to let it answer or break. */
export class FakeWorker {
  static made: FakeWorker[] = [];
  readonly asked: WorkerQuestion[] = [];
  onmessage: ((event: { data: WorkerAnswer }) => void) | null = null;
  onerror: (() => void) | null = null;
  ended = false;

  constructor() {
    FakeWorker.made.push(this);
  }

  postMessage(question: WorkerQuestion): void {
    this.asked.push(structuredClone(question));
  }

  terminate(): void {
    this.ended = true;
  }
}

/** Puts it in the browser's place; what was made before is forgotten. */
export function withFakeWorkers(): void {
  FakeWorker.made = [];
  vi.stubGlobal('Worker', FakeWorker);
}

/** The newest one that was made. */
export function theWorker(): FakeWorker {
  const newest = FakeWorker.made.at(-1);
  if (!newest) throw new Error('no worker was made');
  return newest;
}
