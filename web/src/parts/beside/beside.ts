import { wrap } from 'comlink';

/** Why a thread gives no answer any more. */
export class BesideBroke extends Error {
  override readonly name = 'BesideBroke';
}

/** A desk as it is asked from beside: what it answers comes later. */
export type AskedOf<Desk> = {
  [Name in keyof Desk]: Desk[Name] extends (...of: infer Of) => infer Answer
    ? (...of: Of) => Promise<Awaited<Answer>>
    : never;
};

interface Ways<Desk> {
  /** Opens the worker: Vite wants `new Worker(new URL(…))` to stand there in full. */
  open: () => Worker;
  /** Does the same work in the page when the worker can't be loaded or breaks. Without it, such questions are rejected. */
  standIn?: () => Promise<Desk>;
  /** What a desk is told before its first question. */
  first?: (desk: AskedOf<Desk>) => Promise<void>;
  /**
   * The desk knows something that took long to tell it: its questions are asked one after another, and it goes on where one is
   * taken back. Without it such a desk is ended: it would work for nobody.
   */
  keeps?: boolean;
  /** Called once, when the worker cannot be loaded, throws, or says what cannot be read. */
  broke?: (why: BesideBroke) => void;
}

/** A desk, and that it was told what comes first. */
interface Manned<Desk> {
  desk: AskedOf<Desk>;
  begun: Promise<void>;
}

/**
 * Work beside the screen. The worker is opened when it is first asked. Each question settles: by its answer, by what the work
 * threw, because the worker could not be loaded or broke (then the stand-in answers, if there is one), or because it is taken back.
 */
export class Beside<Desk extends object> {
  #worker: Worker | null = null;
  #manned: Manned<Desk> | null = null;
  #standIn: Promise<Manned<Desk>> | null = null;
  #broken: BesideBroke | null = null;
  #ended = false;
  /** The question before, where they are asked one after another. */
  #before: Promise<unknown> = Promise.resolve();
  readonly #ways: Ways<Desk>;
  /** One for each question without an answer: called when the worker is gone. An answer takes its own away. */
  readonly #unanswered = new Set<(why: Error) => void>();

  constructor(ways: Ways<Desk>) {
    this.#ways = ways;
  }

  /** Whether somebody ended it. */
  get ended(): boolean {
    return this.#ended;
  }

  /**
   * Asks, and gives the answer.
   * @throws what the work threw; BesideBroke if the worker broke and there is no stand-in; the signal's reason on abort; an Error after `end`.
   */
  async ask<Answer>(
    question: (desk: AskedOf<Desk>) => Promise<Answer>,
    signal?: AbortSignal,
  ): Promise<Answer> {
    if (!this.#ways.keeps) return this.#ask(question, signal);
    const mine = this.#before.then(() => this.#ask(question, signal));
    this.#before = mine.catch(() => undefined);
    return mine;
  }

  /** Ends it at once, whatever it is at: what was asked is refused. */
  end(): void {
    this.#ended = true;
    this.#close(new Error('ended'));
  }

  async #ask<Answer>(
    question: (desk: AskedOf<Desk>) => Promise<Answer>,
    signal: AbortSignal | undefined,
  ): Promise<Answer> {
    signal?.throwIfAborted();
    if (this.#ended) throw new Error('ended');
    try {
      return await this.#answer(this.#opened(), question, signal);
    } catch (error) {
      const { standIn } = this.#ways;
      if (!(error instanceof BesideBroke) || !standIn) throw error;
      this.#standIn ??= standIn().then((desk) => this.#man(desk as unknown as AskedOf<Desk>));
      return this.#answer(await this.#standIn, question, signal);
    }
  }

  #answer<Answer>(
    { desk, begun }: Manned<Desk>,
    question: (desk: AskedOf<Desk>) => Promise<Answer>,
    signal: AbortSignal | undefined,
  ): Promise<Answer> {
    return new Promise((resolve, reject) => {
      const takenBack = () => {
        this.#unanswered.delete(reject);
        reject(signal?.reason as Error);
        if (!this.#ways.keeps && this.#unanswered.size === 0) this.#close(new Error('nobody wants it'));
      };
      this.#unanswered.add(reject);
      signal?.addEventListener('abort', takenBack, { once: true });
      if (signal?.aborted) takenBack();
      begun
        .then(() => (signal?.aborted ? Promise.reject(signal.reason as Error) : question(desk)))
        .then(resolve, reject)
        .finally(() => {
          this.#unanswered.delete(reject);
          signal?.removeEventListener('abort', takenBack);
        });
    });
  }

  #man(desk: AskedOf<Desk>): Manned<Desk> {
    const begun = this.#ways.first?.(desk) ?? Promise.resolve();
    // Whoever asks hears of it.
    begun.catch(() => undefined);
    return { desk, begun };
  }

  #opened(): Manned<Desk> {
    if (this.#broken) throw this.#broken;
    if (this.#manned) return this.#manned;
    if (typeof Worker === 'undefined') throw this.#fail('there are no workers here');
    const worker = this.#ways.open();
    worker.addEventListener('error', (event) =>
      this.#fail('message' in event ? event.message : 'the worker cannot be loaded'),
    );
    worker.addEventListener('messageerror', () => this.#fail('an answer cannot be read'));
    this.#worker = worker;
    return (this.#manned = this.#man(wrap<Desk>(worker) as unknown as AskedOf<Desk>));
  }

  #fail(why: string): BesideBroke {
    if (this.#broken) return this.#broken;
    const broken = (this.#broken = new BesideBroke(why));
    this.#close(broken);
    this.#ways.broke?.(broken);
    return broken;
  }

  #close(why: Error): void {
    this.#worker?.terminate();
    this.#worker = this.#manned = null;
    const waiting = [...this.#unanswered];
    this.#unanswered.clear();
    for (const refuse of waiting) refuse(why);
  }
}
