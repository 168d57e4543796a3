import type {
  ApiError,
  Imported,
  Job,
  JobChange,
  JobSummary,
  JobWithEvents,
  KnownSwitch,
  NewJob,
  PostedEvents,
  PostEvents,
  Shop,
  ShopChange,
  StoredPhoto,
} from '@which-way/contract';
import type { JobId, PhotoId } from '@which-way/core/switch';

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
    super('The server does not answer.');
  }
}

const PATIENCE_MS = 10_000;

async function request<Answer>(path: string, init: RequestInit = {}): Promise<Answer> {
  let response: Response;
  try {
    response = await fetch(path, { signal: AbortSignal.timeout(PATIENCE_MS), ...init });
  } catch {
    throw new NoServerError();
  }
  const text = await response.text();
  if (response.ok) return JSON.parse(text) as Answer;
  throw new RefusedError(response.status, readError(text, response.status));
}

function readError(text: string, status: number): ApiError {
  try {
    const parsed: unknown = JSON.parse(text);
    if (typeof parsed === 'object' && parsed !== null && 'message' in parsed && 'hint' in parsed) {
      return parsed as ApiError;
    }
  } catch {
    // Not JSON: something between us and the server answered.
  }
  return {
    code: 'no-answer',
    message: `The answer (${status}) was not from Which Way.`,
    path: '',
    hint: 'Reload the page.',
  };
}

const sending = (method: string, body: unknown): RequestInit => ({
  method,
  headers: { 'content-type': 'application/json' },
  body: typeof body === 'string' ? body : JSON.stringify(body),
});

/** The server's doors. Each throws RefusedError or NoServerError. */
export const api = {
  jobs: (search: string) => request<JobSummary[]>(`/api/jobs?search=${encodeURIComponent(search)}`),
  makeJob: (job: NewJob) => request<Job>('/api/jobs', sending('POST', job)),
  openJob: (id: JobId, after = 0) => request<JobWithEvents>(`/api/jobs/${id}?after=${after}`),
  changeJob: (id: JobId, change: JobChange) => request<Job>(`/api/jobs/${id}`, sending('PATCH', change)),
  postEvents: (id: JobId, body: PostEvents) =>
    request<PostedEvents>(`/api/jobs/${id}/events`, sending('POST', body)),
  library: () => request<KnownSwitch[]>('/api/library'),
  shop: () => request<Shop>('/api/shop'),
  changeShop: (shop: ShopChange) => request<Shop>('/api/shop', sending('PUT', shop)),
  /** Photos are large and networks slow: it is waited for a good while. */
  putPhoto: (id: PhotoId, picture: Blob) =>
    request<StoredPhoto>(`/api/photos/${id}`, {
      method: 'PUT',
      headers: { 'content-type': picture.type.startsWith('image/') ? picture.type : 'image/jpeg' },
      body: picture,
      signal: AbortSignal.timeout(180_000),
    }),
  importFile: (text: string) => request<Imported>('/api/import', { ...sending('POST', text), signal: null }),
};

/** What to tell a person about something that was thrown. */
export function toldOf(error: unknown): { message: string; hint: string } {
  if (error instanceof RefusedError) return { message: error.error.message, hint: error.error.hint };
  if (error instanceof NoServerError)
    return { message: error.message, hint: 'Start it again; it is tried again by itself.' };
  return { message: error instanceof Error ? error.message : String(error), hint: 'Reload the page.' };
}
