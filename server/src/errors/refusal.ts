import type { ApiError } from '@which-way/contract';
import type { Problem } from '@which-way/core/switch';
import { problemWords, refusalWords, type RefusalCode } from '@which-way/words/refusals';

/** Thrown to refuse a request: an HTTP status and the one error shape. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly body: ApiError,
  ) {
    super(body.message);
  }

  /** As a message that crosses from a worker thread, where only the message of an error arrives. */
  toWire(): Error {
    return new Error(`${WIRE}${JSON.stringify({ status: this.status, body: this.body })}`);
  }

  static fromWire(message: string): Refusal | null {
    if (!message.startsWith(WIRE)) return null;
    const { status, body } = JSON.parse(message.slice(WIRE.length)) as Pick<Refusal, 'status' | 'body'>;
    return new Refusal(status, body);
  }
}

const WIRE = 'refusal ';

/** Refuses for a reason of the server's own. */
export function refused(
  status: number,
  code: RefusalCode,
  params: Problem['params'] = {},
  path = '',
): Refusal {
  return new Refusal(status, told(code, params, path));
}

/** A reason of the server's own in the one error shape. */
export function told(code: RefusalCode, params: Problem['params'] = {}, path = ''): ApiError {
  const [message, hint] = refusalWords(code, params);
  return { code, message, path, hint };
}

/** Puts a problem into the one error shape. */
export function inWords(problem: Problem): ApiError {
  const { code, path, params } = problem;
  const [message, hint] = problemWords(problem);
  const most = code.startsWith('schema-max') ? params['limit'] : undefined;
  const limit = typeof most === 'number' ? { limit: most } : {};
  return { code, message: path === '' ? message : `${path}: ${message}`, path, hint, ...limit };
}

/** Refuses with the first problem, the others beside it. */
export function refuse(status: number, problems: readonly Problem[]): Refusal {
  const [first, ...more] = problems.map(inWords);
  if (!first) throw new Error('nothing to refuse');
  return new Refusal(status, more.length > 0 ? { ...first, more } : first);
}

export const notFound = (what: string, id: string): Refusal => refused(404, 'not-found', { what, id });
