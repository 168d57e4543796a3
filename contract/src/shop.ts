import type { MeterProfile, SupplyKind } from '@which-way/core/log';
import type { SafetyLists } from '@which-way/core/safety';
import { MOST_SHOP_METERS, SHOP_NAME_LETTERS } from '@which-way/core/schema';
import { ArrayMaxSize, IsArray, IsInt, IsObject, IsString, Max, MaxLength, Min } from 'class-validator';
import { Count, Fields, List, Text } from './answered.js';

/** What the shop has set for itself. */
export class Shop {
  /** Counts its changes; a stale one is refused. */
  @Count()
  version: number;

  @Text()
  name: string;

  @Fields()
  safetyLists: SafetyLists;

  /** What local codes ask for, in the shop's own words. */
  @Fields()
  codeNotes: Record<SupplyKind, string>;

  /** Meters of its own. */
  @List()
  meters: MeterProfile[];
}

/** A change of all of it, made on a version. */
export class ShopChange {
  @IsInt()
  @Min(0)
  @Max(Number.MAX_SAFE_INTEGER)
  version: number;

  @IsString()
  @MaxLength(SHOP_NAME_LETTERS)
  name: string;

  /** Lines of the list by supply. */
  @IsObject()
  safetyLists: SafetyLists;

  /** Notes on local codes by supply. */
  @IsObject()
  codeNotes: Record<SupplyKind, string>;

  /** Meters of its own, each with a name of its own. */
  @IsArray()
  @ArrayMaxSize(MOST_SHOP_METERS)
  meters: MeterProfile[];
}
