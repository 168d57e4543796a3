import type {
  ApiError,
  JobChange,
  LibraryQuery,
  MatchAnswer,
  MatchQuestion,
  MeterClaim,
  MeterSetting,
  NewJob,
  PostEvents,
  ShopChange,
} from '@which-way/contract';
import { shapes, type Shape } from './answers.js';
import type { JobId, KnownSwitch, PhotoId } from '@which-way/core/switch';
import { CLIENT_TEXT } from '@which-way/words/screens/api/client';

/** The server answered, and refused. */
export class RefusedError extends Error {
  constructor(
    readonly status: number,
    readonly error: ApiError,
  ) {
    super(error.message);
  }
}

/** The server did not answer. */
export class NoServerError extends Error {
  constructor() {
    super(CLIENT_TEXT.theServerDoesNotAnswer);
  }
}

/** Refusals that pass: not signed in any more, too busy, just being taken in. */
const PASSING: ReadonlySet<number> = new Set([401, 408, 429]);

/** Whether it is worth sending the same again later. */
export const isPassing = ({ status, error }: RefusedError): boolean =>
  status >= 500 || PASSING.has(status) || error.code === 'being-taken-in';

const PATIENCE_MS = 10_000;
/** A search of a large library may take long; whoever asked can leave. */
const SEARCH_MS = 120_000;

/** Asks the server, and looks at what comes back before anyone reads it. Throws RefusedError or NoServerError. */
async function request<Answer>(shape: Shape<Answer>, path: string, init: RequestInit = {}): Promise<Answer> {
  let response: Response;
  try {
    response = await fetch(path, { signal: AbortSignal.timeout(PATIENCE_MS), ...init });
  } catch {
    throw new NoServerError();
  }
  const text = await response.text();
  if (response.ok) return readAnswer(shape, text, path);
  throw new RefusedError(response.status, readError(text, response.status));
}

/**
 * Asks for an answer that comes a line at a time, each a whole one that is better than the last. Gives the last; an answer that
 * breaks off is none.
 */
async function requestLines<Answer extends { done: boolean }>(
  shape: Shape<Answer>,
  path: string,
  init: RequestInit,
  heard: (soFar: Answer) => void,
): Promise<Answer> {
  let response: Response;
  try {
    response = await fetch(path, init);
  } catch {
    throw new NoServerError();
  }
  if (!response.ok)
    throw new RefusedError(response.status, readError(await response.text(), response.status));
  const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader();
  let [text, last]: [string, Answer | null] = ['', null];
  const take = (line: string) => {
    const trouble = line.startsWith('{"error"') ? troubleOf(line) : null;
    if (trouble) throw new RefusedError(500, readError(trouble, 500));
    last = readAnswer(shape, line, path);
    if (!last.done) heard(last);
  };
  try {
    for (;;) {
      const piece = await reader?.read();
      if (!piece || piece.done) break;
      text += piece.value;
      const lines = text.split('\n');
      text = lines.pop() ?? '';
      lines.filter(Boolean).forEach(take);
    }
  } catch (error) {
    throw error instanceof RefusedError ? error : new NoServerError();
  }
  const whole = last as Answer | null;
  if (!whole?.done) throw new NoServerError();
  return whole;
}

/** The trouble that a line tells of; null: it is an answer. */
function troubleOf(line: string): string | null {
  const told: unknown = JSON.parse(line);
  return typeof told === 'object' && told !== null && 'error' in told ? JSON.stringify(told.error) : null;
}

/** An answer that has another shape than was asked for is refused as such, before it can be taken for the bench's. */
function readAnswer<Answer>(shape: Shape<Answer>, text: string, path: string): Answer {
  let answer: unknown;
  try {
    answer = JSON.parse(text);
  } catch {
    throw new RefusedError(502, notOurs(CLIENT_TEXT.answerNotJson(path), ''));
  }
  const fault = shape(answer);
  if (fault === null) return answer as Answer;
  throw new RefusedError(502, notOurs(CLIENT_TEXT.answerWithout(path, fault), fault));
}

/** Something stands between the page and the server, or they are of two versions. */
const notOurs = (message: string, path: string): ApiError => ({
  code: 'no-answer',
  message,
  path,
  hint: CLIENT_TEXT.reloadThePage,
});

function readError(text: string, status: number): ApiError {
  try {
    const parsed: unknown = JSON.parse(text);
    if (typeof parsed === 'object' && parsed !== null && 'message' in parsed && 'hint' in parsed) {
      return parsed as ApiError;
    }
  } catch {
    // Not JSON: something between us and the server answered.
  }
  return notOurs(CLIENT_TEXT.theAnswerWasNotFrom(status), '');
}

const sending = (method: string, body: unknown): RequestInit => ({
  method,
  headers: { 'content-type': 'application/json' },
  body: typeof body === 'string' ? body : JSON.stringify(body),
});

/** A file as it is: it is waited for as long as it takes. */
const sendingFile = (file: File): RequestInit => ({
  method: 'POST',
  headers: { 'content-type': 'application/octet-stream' },
  body: file,
  signal: null,
});

/** The server's doors. Each throws RefusedError or NoServerError. */
export const api = {
  health: () => request(shapes.health, '/api/health'),
  seenMissing: () => request(shapes.anything, '/api/health/missing', { method: 'DELETE' }),
  signOut: () => request(shapes.anything, '/api/sign-out', { method: 'POST' }),
  devices: () => request(shapes.devices, '/api/sessions'),
  endDevice: (id: string) => request(shapes.anything, `/api/sessions/${id}`, { method: 'DELETE' }),
  jobs: (search: string, archived = false) =>
    request(shapes.jobs, `/api/jobs?search=${encodeURIComponent(search)}&archived=${archived}`),
  makeJob: (job: NewJob) => request(shapes.job, '/api/jobs', sending('POST', job)),
  openJob: (id: JobId, after = 0) => request(shapes.jobWithEvents, `/api/jobs/${id}?after=${after}`),
  changeJob: (id: JobId, change: JobChange) =>
    request(shapes.job, `/api/jobs/${id}`, sending('PATCH', change)),
  gone: (ids: JobId[]) => request(shapes.gone, '/api/jobs/gone', sending('POST', { ids })),
  postEvents: (id: JobId, body: PostEvents) =>
    request(shapes.posted, `/api/jobs/${id}/events`, sending('POST', body)),
  shareOf: (id: JobId) => request(shapes.share, `/api/jobs/${id}/share`),
  makeShare: (id: JobId) => request(shapes.share, `/api/jobs/${id}/share`, { method: 'POST' }),
  endShare: (id: JobId) => request(shapes.share, `/api/jobs/${id}/share`, { method: 'DELETE' }),
  deleteJob: (id: JobId) => request(shapes.anything, `/api/jobs/${id}`, { method: 'DELETE' }),
  library: (question: LibraryQuery) =>
    request(
      shapes.library,
      `/api/library?${new URLSearchParams(
        Object.entries(question).flatMap(([name, value]) =>
          value === undefined ? [] : [[name, String(value)]],
        ),
      )}`,
    ),
  entry: (id: string) => request(shapes.known, `/api/library/${id}`),
  keepEntry: (entry: KnownSwitch) =>
    request(shapes.anything, `/api/library/${entry.id}`, sending('PUT', entry)),
  alike: (terminals: number, positions: number) =>
    request(shapes.knownList, `/api/library/alike?terminals=${terminals}&positions=${positions}`),
  /** Hears what was found so far, and gives the whole of it at last. */
  match: (question: MatchQuestion, signal: AbortSignal, heard: (soFar: MatchAnswer) => void) =>
    requestLines(
      shapes.match,
      '/api/library/match',
      { ...sending('POST', question), signal: AbortSignal.any([signal, AbortSignal.timeout(SEARCH_MS)]) },
      heard,
    ),
  meter: () => request(shapes.meter, '/api/meter'),
  setMeter: (setting: MeterSetting) => request(shapes.meter, '/api/meter', sending('PUT', setting)),
  claimMeter: (claim: MeterClaim) => request(shapes.meterNow, '/api/meter/claim', sending('POST', claim)),
  leadsOfStandIn: (ohms: number | null) =>
    request(shapes.anything, '/api/meter/leads', sending('POST', { ohms })),
  shop: () => request(shapes.shop, '/api/shop'),
  changeShop: (shop: ShopChange) => request(shapes.shop, '/api/shop', sending('PUT', shop)),
  /** Photos are large and networks slow: it is waited for a good while. */
  putPhoto: (id: PhotoId, picture: Blob) =>
    request(shapes.photo, `/api/photos/${id}`, {
      method: 'PUT',
      headers: { 'content-type': picture.type.startsWith('image/') ? picture.type : 'image/jpeg' },
      body: picture,
      signal: AbortSignal.timeout(180_000),
    }),
  works: () => request(shapes.works, '/api/works'),
  work: (id: string) => request(shapes.work, `/api/works/${id}`),
  endWork: (id: string) => request(shapes.work, `/api/works/${id}`, { method: 'DELETE' }),
  lookThrough: (file: File) =>
    request(
      shapes.work,
      `/api/imports?name=${encodeURIComponent(file.name.slice(0, 200))}`,
      sendingFile(file),
    ),
  takeIn: (id: string, { shop, again }: { shop: boolean; again: boolean }) =>
    request(shapes.work, `/api/imports/${id}/take?shop=${shop}&again=${again}`, { method: 'POST' }),
  exportAll: () => request(shapes.work, '/api/export', { method: 'POST' }),
  backUp: () => request(shapes.work, '/api/backup', { method: 'POST' }),
  restore: (file: File) => request(shapes.work, '/api/restore', sendingFile(file)),
};

/** What to tell a person about something that was thrown. */
export function toldOf(error: unknown): { message: string; hint: string } {
  if (error instanceof RefusedError) return { message: error.error.message, hint: error.error.hint };
  if (error instanceof NoServerError) return { message: error.message, hint: CLIENT_TEXT.startItAgainItIs };
  return { message: error instanceof Error ? error.message : String(error), hint: CLIENT_TEXT.reloadThePage };
}
