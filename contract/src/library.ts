import type { Difference, MatchResult, NearMiss, Subject } from '@which-way/core/match';
import { ACTUATOR_FORMS, type EntryId, type KnownSwitch } from '@which-way/core/switch';
import { Transform, Type } from 'class-transformer';
import { IsBoolean, IsIn, IsInt, IsNumber, IsOptional, IsString, Max, MaxLength, Min } from 'class-validator';
import { Count, CountOrNull, Fields, FieldsOrNull, List, Text, TextOrNull, YesNo } from './answered.js';

/** An address says yes and no in letters. */
const asBoolean = ({ value }: { value: unknown }): unknown =>
  value === 'true' ? true : value === 'false' ? false : value;

/** What of the library is asked for; all of it that is said has to hold. */
export class LibraryQuery {
  /** Beginnings of words; all of them. */
  @IsOptional()
  @IsString()
  @MaxLength(120)
  search?: string;

  /** Exactly so many. */
  @IsOptional()
  @Type(() => Number)
  @IsInt()
  @Min(0)
  @Max(1000)
  terminals?: number;

  /** Exactly so many. */
  @IsOptional()
  @Type(() => Number)
  @IsInt()
  @Min(0)
  @Max(1000)
  positions?: number;

  @IsOptional()
  @IsIn(['switch', 'part'])
  kind?: KnownSwitch['kind'];

  /** Where the page begins. */
  @IsOptional()
  @Type(() => Number)
  @IsInt()
  @Min(0)
  @Max(10_000_000)
  from?: number;

  /** Entries of a page. */
  @IsOptional()
  @Type(() => Number)
  @IsInt()
  @Min(1)
  @Max(200)
  size?: number;

  /** Rated for at least so much that only heats. */
  @IsOptional()
  @Type(() => Number)
  @IsNumber()
  @Min(0)
  @Max(1e7)
  amps?: number;

  /** Rated for at least so much motor. */
  @IsOptional()
  @Type(() => Number)
  @IsNumber()
  @Min(0)
  @Max(1e7)
  motorAmps?: number;

  /** Rated for at least so many volts AC. */
  @IsOptional()
  @Type(() => Number)
  @IsNumber()
  @Min(0)
  @Max(1e7)
  voltsAc?: number;

  /** Rated for at least so many volts DC. */
  @IsOptional()
  @Type(() => Number)
  @IsNumber()
  @Min(0)
  @Max(1e7)
  voltsDc?: number;

  /** Costs at most so much. */
  @IsOptional()
  @Type(() => Number)
  @IsNumber()
  @Min(0)
  @Max(1e7)
  mostPrice?: number;

  /** Stated to be in stock. */
  @IsOptional()
  @Transform(asBoolean)
  @IsBoolean()
  inStock?: boolean;

  /** Some position springs back. */
  @IsOptional()
  @Transform(asBoolean)
  @IsBoolean()
  springs?: boolean;

  @IsOptional()
  @IsIn(ACTUATOR_FORMS)
  form?: string;

  @IsOptional()
  @IsIn(['full', 'mini', 'micro', 'electronic'])
  disconnection?: string;
}

/** A requirement as it travels: what the page knows, readings that are not sent yet included. */
export interface MatchQuestion {
  /** The nets in every position, over all terminals. */
  pattern: number[][];
  /** Places of the terminals that a replacement has to serve. */
  terminals: number[];
  /** Per pair of those the positions in which the fact is known, one bit each, in words of 32 positions; null when all are. */
  known: number[] | null;
  /** Per pair the positions in which its joining does not matter; null: all of it matters. */
  free: number[] | null;
  /** Other ways that are as good: nets and pairs that do not matter, over the same terminals. */
  also: { pattern: number[][]; free: number[] | null }[];
  /** Pairs of places that must never meet. */
  never: [number, number][];
  /**
   * Junctions that may be added, at most; whether positions may lie unused between, whether there may be more of them than are
   * used, and whether it has to spring back where the old one does.
   */
  rules: { jumpers: number; gaps: boolean; spares: boolean; returns: boolean };
  /** So many at most are told one by one: 0 to 60. */
  told: number;
  /** Only entries with these words; empty: all. */
  words: string;
  subject: Subject;
}

/** What a list shows of an entry. */
export class LibraryHead {
  @Text()
  id: EntryId;

  @Text()
  kind: KnownSwitch['kind'];

  @Text()
  name: string;

  @TextOrNull()
  maker: string | null;

  @Text()
  family: string;

  @Count()
  terminals: number;

  @Count()
  positions: number;
}

/** A page of the library. */
export class LibraryPage {
  @List()
  entries: LibraryHead[];

  /** How many fit the search in all. */
  @Count()
  count: number;

  /** Goes into `from` of the next page; null on the last. */
  @CountOrNull()
  next: number | null;
}

/** An entry of the library with what came out for it. */
export class MatchedEntry {
  @Fields()
  known: KnownSwitch;

  @Fields()
  result: MatchResult;

  /** Safety first; of one that is ruled out only what is lost by name. */
  @List()
  differences: Difference[];

  /** What it falls short of by one thing; null: more than that, or not looked at. */
  @FieldsOrNull()
  near: NearMiss | null;

  /** Which of the ways that were asked for it does: 0 is the first, then those of `also`. */
  @Count()
  way: number;
}

/** What a search through the library has found, one line of several: each holds only what was not told before. */
export class MatchAnswer {
  /** Those that were not told before. */
  @List()
  fresh: MatchedEntry[];

  /** The list as it is now, best first; of those that may do and those that do not a certain number at most. Each was told, here or before. */
  @List()
  order: EntryId[];

  /** Compared pair by pair. */
  @Count()
  looked: number;

  /** All of the library; those too small are ruled out by their size without being looked at. */
  @Count()
  all: number;

  /** By kind of result. */
  @Fields()
  counts: Record<MatchResult['kind'], number>;

  /**
   * Those that are not ruled out, up to a number, each by the last 12 characters of its id: so that it can be said how many come and
   * go. Only of the whole answer.
   */
  @List()
  does: string[];

  /** Whether the whole library was looked at; else it is what was found so far. */
  @YesNo()
  done: boolean;
}

/** An entry, whole, as far as a page leans on it; its full shape is `KnownSwitch` of the core. */
export class KnownEntry {
  @Text()
  id: string;

  @Text()
  name: string;
}
