import type { SpokenDriver, WiredMode, WiredReading } from '@which-way/core/sense/meter';
import { IsIn, IsInt, IsObject, IsOptional, IsString, Matches, Max, MaxLength, Min } from 'class-validator';
import { Count, Fields, FieldsOrNull, List, Text, TextOrNull, YesNo } from './answered.js';

/** How a meter is reached; `none`: there is none. The two stand-ins are simulated meters that ship with the application. */
export const METER_KINDS = [
  'none',
  'scpi-tcp',
  'scpi-serial',
  'lines-serial',
  'stand-in-scpi',
  'stand-in-lines',
] as const;
export type MeterKind = (typeof METER_KINDS)[number];

/** Letters of a host name or an address. */
const HOST_LETTERS = 253;
/** Letters of the name of a serial port. */
const DEVICE_LETTERS = 200;

/** The meter of the bench, set on the server's own machine. */
export class MeterSetting {
  @IsIn(METER_KINDS)
  kind: MeterKind;

  /** Of a socket: its host; empty else. */
  @IsString()
  @MaxLength(HOST_LETTERS)
  @Matches(/^[A-Za-z0-9.:-]*$/)
  host: string;

  /** Of a socket: its port. */
  @IsInt()
  @Min(1)
  @Max(65_535)
  port: number;

  /** Of a serial port: its name; empty else. */
  @IsString()
  @MaxLength(DEVICE_LETTERS)
  device: string;

  /** Of a serial port: bits a second. */
  @IsInt()
  @Min(300)
  @Max(4_000_000)
  baud: number;

  /** What a SCPI meter is set to. */
  @IsIn(['two-wire', 'four-wire', 'continuity'])
  mode: WiredMode;

  /** How a handheld that only talks writes its lines. */
  @IsOptional()
  @IsObject()
  driver?: SpokenDriver;
}

/**
 * `off`: none is set; `connecting`; `ready`: it measures; `late`: it has not answered for a while; `lost`: it is gone, and is tried again.
 */
export type MeterStanding = 'off' | 'connecting' | 'ready' | 'late' | 'lost';

/** The meter as it is now, streamed to every page. */
export class MeterNow {
  @Text()
  standing: MeterStanding;

  /** Who it says it is; empty while nobody knows. */
  @Text()
  name: string;

  @Text()
  kind: MeterKind;

  @Text()
  mode: WiredMode;

  /** The device that takes its readings, by the name it gives itself; null: none. */
  @FieldsOrNull()
  holder: { id: string; name: string } | null;

  @Fields()
  reading: WiredReading;

  /** Milliseconds of the server's clock. */
  @Count()
  at: number;

  /** Why it is lost, or what its own queue of errors says. */
  @TextOrNull()
  trouble: string | null;
}

/** A device that takes the readings. */
export class MeterClaim {
  @IsString()
  @Matches(/^[\w-]{8,64}$/)
  id: string;

  @IsString()
  @MaxLength(60)
  name: string;

  /** false: it gives them back. */
  @IsIn([true, false])
  takes: boolean;
}

/** What lies between the leads of a simulated meter, and whether it is switched on; what is left out stays. */
export class StandInLeads {
  /** null: nothing, they are apart. */
  @IsOptional()
  @Min(0)
  @Max(1e12)
  ohms?: number | null;

  @IsOptional()
  @IsIn([true, false])
  on?: boolean;
}

/** What the page of the meter shows. */
export class MeterAnswer {
  @Fields()
  setting: MeterSetting;

  @Fields()
  now: MeterNow;

  /** What came last, a line each, printable letters only. */
  @List()
  lines: string[];

  /** Serial ports that there are; empty where they can't be listed. */
  @List()
  ports: string[];

  /** Asked from the server's own machine: it may be set here. */
  @YesNo()
  mayBeSet: boolean;
}
