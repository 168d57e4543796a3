import { IsIn, IsOptional, IsString, MaxLength } from 'class-validator';
import { Count, List, Text, YesNo } from './answered.js';
import { TroubleTold } from './error.js';

export class FileQuery {
  /** Name of the file, for people. */
  @IsOptional()
  @IsString()
  @MaxLength(200)
  name?: string;
}

export class AgainQuery {
  /** Whether jobs that were deleted here come back. */
  @IsOptional()
  @IsIn(['true', 'false'])
  again?: string;
}

export class TakeQuery extends AgainQuery {
  /** Whether the shop's settings are taken over too. */
  @IsOptional()
  @IsIn(['true', 'false'])
  shop?: string;
}

export class Imported {
  @Count()
  jobsAdded: number;

  @Count()
  jobsMerged: number;

  @Count()
  eventsAdded: number;

  @Count()
  entriesAdded: number;

  @Count()
  entriesChanged: number;

  @Count()
  photosAdded: number;

  /** Events that clashed with some that came in meanwhile, and were left. */
  @Count()
  eventsLeft: number;

  /** Whether the shop's settings were taken over. */
  @YesNo()
  shopTaken: boolean;
}

/** Something of a file that is not taken in: what, where, and why. */
export class SetAside extends TroubleTold {
  /** What it is: 'an event of Table radio, band switch'. */
  @Text()
  of: string;
}

/** An entry that is put together with one of the same maker and number. */
export class MergedInto {
  @Text()
  name: string;

  @Text()
  into: string;

  /** Facts in which the two differ: those of the newer one count. */
  @List()
  changed: string[];
}

/** What a file would bring, before it is taken in. */
export class ImportPreview {
  @Text()
  name: string;

  @Count()
  jobsNew: number;

  @Count()
  jobsJoined: number;

  @Count()
  events: number;

  @Count()
  entries: number;

  /** The first ones of the entries whose maker and number are here already: put together with those. */
  @List()
  merged: MergedInto[];

  @Count()
  mergedCount: number;

  @Count()
  photos: number;

  /** The first ones of its jobs that were deleted here: they come back only where a person says so. */
  @List()
  deleted: { title: string; when: string }[];

  @Count()
  deletedCount: number;

  /** `same`: as this bench has them; `other`: they would replace the shop's own. */
  @Text()
  shop: 'none' | 'first' | 'same' | 'other';

  /** The first ones of those that are set aside. */
  @List()
  setAside: SetAside[];

  @Count()
  setAsideCount: number;
}
