import type { KnownSwitch } from '@which-way/core/switch';
import type {
  Health,
  Job,
  JobSummary,
  JobWithEvents,
  MatchAnswer,
  LibraryPage,
  PostedEvents,
  ShareAnswer,
  Shop,
  SignedInDevice,
  StoredPhoto,
  StreamMessages,
  Work,
} from '@which-way/contract';
/** What a field of an answer may hold, as far as the pages lean on it. */
type Held = 'text' | 'number' | 'yes-no' | 'list' | 'fields';
type Fields<Answer> = Partial<Record<keyof Answer & string, Held>>;

/** Why an answer is not what was asked for: the first field that is missing or holds something else. Null: it is. */
export type Fault = string | null;
/** Looks whether an answer has the shape that the pages read; it says nothing about what is true. */
export interface Shape<Answer> {
  (answer: unknown): Fault;
  /** What an answer without a fault is; never there while the program runs. */
  readonly answer?: Answer;
}

const HELD: Record<Held, (value: unknown) => boolean> = {
  text: (value) => typeof value === 'string',
  number: (value) => typeof value === 'number',
  'yes-no': (value) => typeof value === 'boolean',
  list: Array.isArray,
  fields: (value) => typeof value === 'object' && value !== null && !Array.isArray(value),
};

/** An answer with these fields; what stands beside them is a newer server's business. */
function having<Answer>(fields: Fields<Answer>): Shape<Answer> {
  return (answer) => {
    if (!HELD.fields(answer)) return 'the whole';
    const wrong = Object.entries(fields).find(
      ([name, held]) => !HELD[held as Held]((answer as Record<string, unknown>)[name]),
    );
    return wrong?.[0] ?? null;
  };
}

/** A list of such answers; the place is said with the field. */
const listOf =
  <Answer>(shape: Shape<Answer>): Shape<Answer[]> =>
  (answer) => {
    if (!Array.isArray(answer)) return 'the whole';
    for (const [place, one] of answer.entries()) {
      const fault = shape(one);
      if (fault !== null) return `${place}.${fault}`;
    }
    return null;
  };

const JOB: Fields<Job> = { id: 'text', number: 'number', title: 'text', place: 'text', version: 'number' };
const job = having<Job>(JOB);
const known = having<KnownSwitch>({ id: 'text', name: 'text' });

const log = having<JobWithEvents>({ job: 'fields', events: 'list', unreadable: 'list', cursor: 'number' });
const jobWithEvents: Shape<JobWithEvents> = (answer) => {
  const fault = log(answer);
  if (fault !== null) return fault;
  const within = job((answer as JobWithEvents).job);
  return within === null ? null : `job.${within}`;
};

/** The shapes of what the stream brings. */
export const streamShapes: { [Kind in keyof StreamMessages]: Shape<StreamMessages[Kind]> } = {
  hello: having<StreamMessages['hello']>({ store: 'text' }),
  log: having<StreamMessages['log']>({ job: 'text', events: 'list', cursor: 'number', changed: 'fields' }),
  gone: having<StreamMessages['gone']>({ job: 'text' }),
  bench: having<StreamMessages['bench']>({ at: 'text' }),
  work: having<Work>({ id: 'text', kind: 'text', state: 'text' }),
};

/** The shapes that the server's doors answer with. */
export const shapes = {
  health: having<Health>({ status: 'text', version: 'text', demo: 'yes-no', signedIn: 'yes-no' }),
  job,
  jobs: listOf(having<JobSummary>(JOB)),
  jobWithEvents,
  posted: having<PostedEvents>({ stored: 'list', refused: 'list', events: 'list', cursor: 'number' }),
  library: having<LibraryPage>({ entries: 'list', count: 'number' }),
  known,
  knownList: listOf<KnownSwitch>(known),
  match: having<MatchAnswer>({ candidates: 'list', looked: 'number', all: 'number', counts: 'fields' }),
  shop: having<Shop>({ version: 'number', name: 'text', safetyLists: 'fields', codeNotes: 'fields' }),
  photo: having<StoredPhoto>({ id: 'text', width: 'number', height: 'number' }),
  work: having<Work>({ id: 'text', kind: 'text', state: 'text' }),
  works: listOf<Work>(having<Work>({ id: 'text', kind: 'text', state: 'text' })),
  devices: listOf(having<SignedInDevice>({ id: 'text', device: 'text', address: 'text', own: 'yes-no' })),
  share: having<ShareAnswer>({ links: 'list', lan: 'yes-no' }),
  gone: having<{ gone: string[] }>({ gone: 'list' }),
  /** Nothing is read of it. */
  anything: () => null,
};
