import type {
  Health,
  Job,
  JobsGone,
  JobSummary,
  JobWithEvents,
  KnownSwitch,
  LibraryPage,
  MatchAnswer,
  MeterAnswer,
  MeterNow,
  PostedEvents,
  ShareAnswer,
  Shop,
  SignedInDevice,
  StoredPhoto,
  StreamMessages,
  Work,
} from '@which-way/contract';
import * as made from './checkers.js';

/** Why an answer is not what was asked for: the first field that is missing or holds something else. Null: it is. */
export type Fault = string | null;
/** Looks whether an answer has the shape that the pages read; it says nothing about what is true. */
export interface Shape<Answer> {
  (answer: unknown): Fault;
  /** What an answer without a fault is; never there while the program runs. */
  readonly answer?: Answer;
}

/** A checker as it is made at build from a class of the contract. */
interface Checker {
  (answer: unknown): boolean;
  errors?: { instancePath: string; params: { missingProperty?: string } }[] | null;
}

const { checkJob, checkKnownEntry, checkWork, ...checkers } = made as unknown as Record<
  `check${string}`,
  Checker
> &
  Record<'checkJob' | 'checkKnownEntry' | 'checkWork', Checker>;

/** An answer that its class describes; what stands beside its fields is a newer server's business. */
const shapeOf =
  <Answer>(checker: Checker | undefined): Shape<Answer> =>
  (answer) => {
    if (!checker || checker(answer)) return null;
    const [error] = checker.errors ?? [];
    const path = (error?.instancePath ?? '').slice(1).replaceAll('/', '.');
    return [path, error?.params.missingProperty ?? ''].filter(Boolean).join('.') || 'the whole';
  };

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

const job = shapeOf<Job>(checkJob);
const known = shapeOf<KnownSwitch>(checkKnownEntry);
const work = shapeOf<Work>(checkWork);

const log = shapeOf<JobWithEvents>(checkers.checkJobWithEvents);
const jobWithEvents: Shape<JobWithEvents> = (answer) => {
  const fault = log(answer);
  if (fault !== null) return fault;
  const within = job((answer as JobWithEvents).job);
  return within === null ? null : `job.${within}`;
};

/** The shapes of what the stream brings. */
export const streamShapes: { [Kind in keyof StreamMessages]: Shape<StreamMessages[Kind]> } = {
  hello: shapeOf(checkers.checkStreamHello),
  log: shapeOf(checkers.checkStreamLog),
  gone: shapeOf(checkers.checkStreamGone),
  bench: shapeOf(checkers.checkStreamBench),
  meter: shapeOf(checkers.checkMeterNow),
  work,
};

/** The shapes that the server's doors answer with. */
export const shapes = {
  health: shapeOf<Health>(checkers.checkHealth),
  job,
  jobs: listOf(shapeOf<JobSummary>(checkers.checkJobSummary)),
  jobWithEvents,
  posted: shapeOf<PostedEvents>(checkers.checkPostedEvents),
  library: shapeOf<LibraryPage>(checkers.checkLibraryPage),
  known,
  knownList: listOf<KnownSwitch>(known),
  match: shapeOf<MatchAnswer>(checkers.checkMatchAnswer),
  shop: shapeOf<Shop>(checkers.checkShop),
  meter: shapeOf<MeterAnswer>(checkers.checkMeterAnswer),
  meterNow: shapeOf<MeterNow>(checkers.checkMeterNow),
  photo: shapeOf<StoredPhoto>(checkers.checkStoredPhoto),
  work,
  works: listOf(work),
  devices: listOf(shapeOf<SignedInDevice>(checkers.checkSignedInDevice)),
  share: shapeOf<ShareAnswer>(checkers.checkShareAnswer),
  gone: shapeOf<JobsGone>(checkers.checkJobsGone),
  /** Nothing is read of it. */
  anything: () => null,
};
