import { ID_PATTERN } from '@which-way/core/schema';
import type { JobEvent } from '@which-way/core/log';
import { Type } from 'class-transformer';
import { IsInt, IsOptional, Matches, Min } from 'class-validator';
import { Count, Fields, List, Text } from './answered.js';
import type { Job } from './jobs.js';
import type { MeterNow } from './meter.js';
import type { Work } from './works.js';

export class StreamQuery {
  /** The job that the page has open. */
  @IsOptional()
  @Matches(new RegExp(ID_PATTERN))
  job?: string;

  /** The cursor up to which the page has seen its log. */
  @IsOptional()
  @Type(() => Number)
  @IsInt()
  @Min(0)
  after?: number;
}

/** First of all; another store than before: everything is to be loaded again. */
export class StreamHello {
  @Text()
  store: string;
}

/** What came into the log of the open job. */
export class StreamLog {
  @Text()
  job: string;

  @List()
  events: JobEvent[];

  @Count()
  cursor: number;

  @Fields()
  changed: Job;
}

/** The job is gone. */
export class StreamGone {
  @Text()
  job: string;
}

/** Something in the list on the bench is another than before. */
export class StreamBench {
  @Text()
  at: string;
}

/** What the stream of an open page brings, besides a word now and then that it is alive. */
export interface StreamMessages {
  hello: StreamHello;
  log: StreamLog;
  gone: StreamGone;
  bench: StreamBench;
  work: Work;
  meter: MeterNow;
}
