import type { StreamMessages } from '@which-way/contract';
import { streamShapes } from '../../api/answers.js';

/** What is done with each message; those that a page does not ask for are passed over. */
export type Heard = { [Kind in keyof StreamMessages]?: (message: StreamMessages[Kind]) => void };

/** What cannot be read is passed over: nothing is lost by it, since the next request asks from where the page is. */
function read(kind: keyof StreamMessages, data: string): unknown {
  try {
    const message: unknown = JSON.parse(data);
    return streamShapes[kind](message) === null ? message : null;
  } catch {
    return null;
  }
}

const KINDS = ['hello', 'log', 'gone', 'bench', 'meter', 'work'] as const;

/**
 * The stream from the server of one open page. Closed while the page is hidden, since a browser has six connections for all
 * pages; opened again from where it was. Where the browser has no streams, nothing is heard and the page asks as it always did.
 */
export class LiveStream {
  #source: EventSource | null = null;
  #store: string | null = null;
  readonly #onVisible = () => (document.visibilityState === 'hidden' ? this.#shut() : this.#open());

  /**
   * @param path asked at each opening: it carries the cursor.
   * @param onOtherStore another database stands behind the server than before.
   */
  constructor(
    private readonly path: () => string,
    private readonly heard: Heard,
    private readonly onOtherStore: () => void,
  ) {}

  start(): void {
    if (typeof EventSource === 'undefined') return;
    document.addEventListener('visibilitychange', this.#onVisible);
    if (document.visibilityState !== 'hidden') this.#open();
  }

  stop(): void {
    if (typeof EventSource === 'undefined') return;
    document.removeEventListener('visibilitychange', this.#onVisible);
    this.#shut();
  }

  #shut(): void {
    this.#source?.close();
    this.#source = null;
  }

  #open(): void {
    if (this.#source) return;
    const source = new EventSource(this.path());
    this.#source = source;
    for (const kind of KINDS)
      source.addEventListener(kind, (event) => {
        if (this.#source === source) this.#hear(kind, (event as MessageEvent<string>).data);
      });
  }

  #hear(kind: (typeof KINDS)[number], data: string): void {
    const message = read(kind, data);
    if (message === null) return;
    if (kind === 'hello') {
      const { store } = message as StreamMessages['hello'];
      const other = this.#store !== null && this.#store !== store;
      this.#store = store;
      if (other) this.onOtherStore();
    }
    const hear = this.heard[kind] as ((message: unknown) => void) | undefined;
    hear?.(message);
  }
}
