import { afterEach, describe, expect, it, vi } from 'vitest';
import { LiveStream, type Heard } from './live-stream.js';

/** A stream in the hands of the test. */
class Opened extends EventTarget {
  static last: Opened;
  closed = false;
  constructor(readonly path: string) {
    super();
    Opened.last = this;
  }
  close(): void {
    this.closed = true;
  }
  brings(kind: string, data: string): void {
    this.dispatchEvent(new MessageEvent(kind, { data }));
  }
}

afterEach(() => vi.unstubAllGlobals());

function open(heard: Heard) {
  vi.stubGlobal('EventSource', Opened);
  const other = vi.fn();
  const stream = new LiveStream(() => '/api/stream', heard, other);
  stream.start();
  return { stream, source: Opened.last, other };
}

describe('the stream', () => {
  it('hands on what can be read and passes over what cannot, without leaving the rest', () => {
    const log = vi.fn();
    const { stream, source } = open({ log });
    const message = { job: 'j', events: [], cursor: 4, changed: { id: 'j' } };
    source.brings('log', '{"job":"j","eve');
    source.brings('log', JSON.stringify({ ...message, cursor: '4' }));
    source.brings('log', JSON.stringify({ ...message, events: null }));
    expect(log).not.toHaveBeenCalled();
    source.brings('log', JSON.stringify(message));
    expect(log.mock.calls).toEqual([[message]]);
    stream.stop();
    expect(source.closed).toBe(true);
    source.brings('log', JSON.stringify(message));
    expect(log).toHaveBeenCalledTimes(1);
  });

  it('says when another store stands behind the server, and not at the first one', () => {
    const { stream, source, other } = open({});
    source.brings('hello', '{"store":"one"}');
    source.brings('hello', '{"store":"one"}');
    expect(other).not.toHaveBeenCalled();
    source.brings('hello', '{"store":"two"}');
    expect(other).toHaveBeenCalledTimes(1);
    stream.stop();
  });
});
