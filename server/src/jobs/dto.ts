import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import type { JobChange, NewJob } from '@which-way/contract';
import { simulatedSwitchProblems } from '@which-way/core/formats';
import type { SimulatedSwitch } from '@which-way/core/simulated';
import { BATCH_EVENTS, TITLE_LETTERS, type JobId, type Problem } from '@which-way/core/switch';
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
  IsUUID,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateBy,
  ValidateIf,
} from 'class-validator';
import { inWords } from '../errors/refusal.js';

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

/** May be left out; null is not the same as left out. */
const IfGiven = (): PropertyDecorator => ValidateIf((_, value) => value !== undefined);

const NOT_BLANK = /\S/;
const notBlank = { message: 'must have a letter or a number in it' };

export class NewJobDto implements NewJob {
  @ApiProperty({ format: 'uuid', description: 'Made by the sender, so that sending twice makes one job.' })
  @IsUUID()
  id: JobId;

  @ApiProperty({ maxLength: TITLE_LETTERS })
  @IsString()
  @Matches(NOT_BLANK, notBlank)
  @MaxLength(TITLE_LETTERS)
  title: string;

  @ApiPropertyOptional({ maxLength: TITLE_LETTERS })
  @IfGiven()
  @IsString()
  @MaxLength(TITLE_LETTERS)
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
  @Max(Number.MAX_SAFE_INTEGER)
  version: number;

  @ApiPropertyOptional({ maxLength: TITLE_LETTERS })
  @IfGiven()
  @IsString()
  @Matches(NOT_BLANK, notBlank)
  @MaxLength(TITLE_LETTERS)
  title?: string;

  @ApiPropertyOptional({ maxLength: TITLE_LETTERS })
  @IfGiven()
  @IsString()
  @MaxLength(TITLE_LETTERS)
  place?: string;

  @ApiPropertyOptional()
  @IfGiven()
  @IsBoolean()
  outOfMachine?: boolean;

  @ApiPropertyOptional({ description: 'Put away: not in the list unless asked for.' })
  @IfGiven()
  @IsBoolean()
  archived?: boolean;
}

/** Events are looked at one by one, against the published JSON Schema: see docs/file-format.md. */
export class PostEventsDto {
  @ApiProperty({ minimum: 0, description: 'Cursor up to which the sender has seen the log.' })
  @IsInt()
  @Min(0)
  @Max(Number.MAX_SAFE_INTEGER)
  after: number;

  @ApiProperty({
    type: 'array',
    maxItems: BATCH_EVENTS * 5,
    items: { type: 'object', additionalProperties: true },
  })
  @IsArray()
  @ArrayMaxSize(BATCH_EVENTS * 5)
  events: unknown[];
}

export class AfterQuery {
  @ApiPropertyOptional({ minimum: 0 })
  @IsOptional()
  @Type(() => Number)
  @IsInt()
  @Min(0)
  @Max(Number.MAX_SAFE_INTEGER)
  after?: number;
}

export class SearchQuery {
  @ApiPropertyOptional({ maxLength: 120 })
  @IsOptional()
  @IsString()
  @MaxLength(120)
  search?: string;

  @ApiPropertyOptional({ enum: ['true', 'false'], description: 'Lists the jobs that are put away.' })
  @IsOptional()
  @IsIn(['true', 'false'])
  archived?: string;
}
