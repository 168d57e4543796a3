import type { JobAbout, JobEvent } from '@which-way/core/log';
import { JOB_ABOUT } from '@which-way/core/log';
import type { Route } from '@which-way/core/route';
import { BATCH_EVENTS } from '@which-way/core/schema';
import type { SimulatedSwitch } from '@which-way/core/simulated';
import type { EventId, JobId, PhotoId } from '@which-way/core/switch';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsObject,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { Count, Fields, FieldsOrNull, List, Text, TextOrNull, YesNo } from './answered.js';
import type { ApiError } from './error.js';
import { IfGiven, IsOurId, IsPlace, IsSimulatedSwitch, IsTitle } from './rules.js';

/** A job without its log. */
export class Job {
  @Text()
  id: JobId;

  /** Counts up in the shop: what people say. */
  @Count()
  number: number;

  @Text()
  title: string;

  @Text()
  place: string;

  @YesNo()
  outOfMachine: boolean;

  @FieldsOrNull()
  simulation: SimulatedSwitch | null;

  @Text()
  created: string;

  /** When its last event or change was stored. */
  @Text()
  updated: string;

  /** Put away: not in the list unless asked for. */
  @YesNo()
  archived: boolean;

  /** What its log is of. */
  @Text()
  about: JobAbout;

  /** Counts changes of the fields above; a stale one is refused. */
  @Count()
  version: number;
}

/** A job in the list on the bench. */
export class JobSummary extends Job {
  /** null where the job cannot be read. */
  @FieldsOrNull()
  route: Route | null;

  /** Name of the setting that `route.next` speaks of, if it has one. */
  @TextOrNull()
  settingName: string | null;

  /** Why the job, or a part of it, cannot be read; null when it can. */
  @TextOrNull()
  trouble: string | null;

  /** Of a system: the jobs of its switches. */
  @IfGiven()
  @List()
  members?: JobId[];

  /** The job has gone on since this was worked out; it is being worked out again. */
  @YesNo()
  stale: boolean;
}

/** What of it is worked out of the job's log. */
export type DerivedSummary = Pick<JobSummary, 'route' | 'settingName' | 'trouble' | 'members'>;

/** An event that is stored and cannot be read: damaged, or written by a newer Which Way. */
export class UnreadableEvent {
  @Text()
  id: string;

  /** When it was written, as far as that can be read. */
  @Text()
  at: string;

  @Text()
  code: 'damaged' | 'event-too-new' | 'kind-not-known';

  @Text()
  message: string;
}

export class NewJob {
  @IsOurId()
  id: JobId;

  @IsTitle()
  title: string;

  @IfGiven()
  @IsPlace()
  place?: string;

  @IsBoolean()
  outOfMachine: boolean;

  @IsOptional()
  @IsObject()
  @IsSimulatedSwitch()
  simulation?: SimulatedSwitch | null;

  /** Absent: a switch. */
  @IfGiven()
  @IsIn(JOB_ABOUT)
  about?: JobAbout;
}

export class JobChange {
  /** The version of the job that the sender saw. */
  @IsInt()
  @Min(1)
  @Max(Number.MAX_SAFE_INTEGER)
  version: number;

  @IfGiven()
  @IsTitle()
  title?: string;

  @IfGiven()
  @IsPlace()
  place?: string;

  @IfGiven()
  @IsBoolean()
  outOfMachine?: boolean;

  @IfGiven()
  @IsBoolean()
  archived?: boolean;
}

/** Some jobs, such as those that a browser has copies of. */
export class JobIds {
  @IsArray()
  @ArrayMaxSize(2000)
  @IsString({ each: true })
  @MaxLength(36, { each: true })
  ids: string[];
}

/** Of the jobs that were asked for the ones that are gone. */
export class JobsGone {
  @List()
  gone: string[];
}

/** What goes into a log. Each event is looked at by itself, against the published JSON Schema: a bad one spoils no other. */
export class PostEvents {
  /** The cursor up to which the sender has seen the log. */
  @IsInt()
  @Min(0)
  @Max(Number.MAX_SAFE_INTEGER)
  after: number;

  @IsArray()
  @ArrayMaxSize(BATCH_EVENTS * 5)
  events: JobEvent[];
}

export class AfterQuery {
  @IsOptional()
  @Type(() => Number)
  @IsInt()
  @Min(0)
  @Max(Number.MAX_SAFE_INTEGER)
  after?: number;
}

export class SearchQuery {
  @IsOptional()
  @IsString()
  @MaxLength(120)
  search?: string;

  @IsOptional()
  @IsIn(['true', 'false'])
  archived?: string;
}

/** A job with its log as far as it is stored. */
export class JobWithEvents {
  @Fields()
  job: Job;

  /** The ones that can be read. */
  @List()
  events: JobEvent[];

  /** Empty in a sound job; otherwise what is derived from the rest is not to be trusted. */
  @List()
  unreadable: UnreadableEvent[];

  /** Goes into `after` of the next request: nothing after it has been seen. */
  @Count()
  cursor: number;
}

/** What became of each event that was sent, and what the sender had not seen. */
export class PostedEvents {
  /** On the disk now, the ones that were there already included. */
  @List()
  stored: EventId[];

  @List()
  refused: { id: EventId; error: ApiError }[];

  /** Photos that these events speak of and whose pixels are not here: whoever still has them sends them again. */
  @List()
  photosWanted: PhotoId[];

  /** Events after the sender's cursor, its own included. */
  @List()
  events: JobEvent[];

  @Count()
  cursor: number;
}
