import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import type { JobChange, NewJob, PostEvents } from '@which-way/contract';
import { deedProblems, simulatedSwitchProblems } from '@which-way/core/formats';
import type { SimulatedSwitch } from '@which-way/core/simulated';
import {
  EVENT_SCHEMA,
  type Deed,
  type DeviceId,
  type EventId,
  type JobEvent,
  type JobId,
} from '@which-way/core/switch';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  Equals,
  IsArray,
  IsBoolean,
  IsInt,
  IsISO8601,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateBy,
  ValidateNested,
} from 'class-validator';
import { inWords } from '../errors/refusal.js';
import type { Problem } from '@which-way/core/switch';

/** Lets a core check speak through class-validator. */
function PassesCheck(name: string, check: (value: unknown) => Problem[]): PropertyDecorator {
  return ValidateBy({
    name,
    validator: {
      validate: (value) => value === null || check(value).length === 0,
      defaultMessage: (args) => {
        const found = check(args?.value).slice(0, 3).map(inWords);
        return found
          .map(({ message, hint }) => `${message} ${hint}`)
          .join(' ')
          .replace(/\.$/, '');
      },
    },
  });
}

export class NewJobDto implements NewJob {
  @ApiProperty({ format: 'uuid', description: 'Made by the sender, so that sending twice makes one job.' })
  @IsUUID()
  id: JobId;

  @ApiProperty({ maxLength: 120 })
  @IsString()
  @MinLength(1)
  @MaxLength(120)
  title: string;

  @ApiPropertyOptional({ maxLength: 120 })
  @IsOptional()
  @IsString()
  @MaxLength(120)
  place?: string;

  @ApiProperty()
  @IsBoolean()
  outOfMachine: boolean;

  @ApiPropertyOptional({ type: 'object', additionalProperties: true, nullable: true })
  @IsOptional()
  @IsObject()
  @PassesCheck('isSimulatedSwitch', simulatedSwitchProblems)
  simulation?: SimulatedSwitch | null;
}

export class JobChangeDto implements JobChange {
  @ApiProperty({ description: 'The version of the job that the sender saw.' })
  @IsInt()
  @Min(1)
  version: number;

  @ApiPropertyOptional({ maxLength: 120 })
  @IsOptional()
  @IsString()
  @MinLength(1)
  @MaxLength(120)
  title?: string;

  @ApiPropertyOptional({ maxLength: 120 })
  @IsOptional()
  @IsString()
  @MaxLength(120)
  place?: string;

  @ApiPropertyOptional()
  @IsOptional()
  @IsBoolean()
  outOfMachine?: boolean;
}

/** The envelope of an event; its body is checked against the published JSON Schema. */
export class EventDto implements JobEvent {
  @ApiProperty({ format: 'uuid' })
  @IsUUID()
  id: EventId;

  @ApiProperty({ format: 'uuid', description: 'One writer: a tab from load to unload.' })
  @IsUUID()
  device: DeviceId;

  @ApiProperty({ minimum: 1, description: "Counts this device's events of this job." })
  @IsInt()
  @Min(1)
  sequence: number;

  @ApiProperty({ minimum: 1, description: 'Logical clock.' })
  @IsInt()
  @Min(1)
  @Max(Number.MAX_SAFE_INTEGER)
  clock: number;

  @ApiProperty({ format: 'date-time' })
  @IsISO8601({ strict: true })
  @MaxLength(40)
  at: string;

  @ApiProperty({ enum: [EVENT_SCHEMA] })
  @Equals(EVENT_SCHEMA)
  schema: number;

  @ApiProperty({ type: 'object', additionalProperties: true, description: 'See docs/file-format.md.' })
  @IsObject()
  @PassesCheck('isDeed', deedProblems)
  what: Deed;
}

export class PostEventsDto implements PostEvents {
  @ApiProperty({ minimum: 0, description: 'Cursor up to which the sender has seen the log.' })
  @IsInt()
  @Min(0)
  after: number;

  @ApiProperty({ type: [EventDto] })
  @IsArray()
  @ArrayMaxSize(500)
  @ValidateNested({ each: true })
  @Type(() => EventDto)
  events: EventDto[];
}

export class AfterQuery {
  @ApiPropertyOptional({ minimum: 0 })
  @IsOptional()
  @Type(() => Number)
  @IsInt()
  @Min(0)
  after?: number;
}

export class SearchQuery {
  @ApiPropertyOptional({ maxLength: 120 })
  @IsOptional()
  @IsString()
  @MaxLength(120)
  search?: string;
}
