import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import type { JobChange, NewJob } from '@which-way/contract';
import { idProblems, placeProblems, simulatedSwitchProblems, titleProblems } from '@which-way/core/formats';
import type { SimulatedSwitch } from '@which-way/core/simulated';
import { JOB_ABOUT, type JobAbout } from '@which-way/core/log';
import { BATCH_EVENTS, TITLE_LETTERS } from '@which-way/core/schema';
import { type JobId, type Problem } from '@which-way/core/switch';
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
  ValidateBy,
  ValidateIf,
} from 'class-validator';
import { inWords } from '../errors/refusal.js';

/** Lets a check of the core speak through class-validator: what a page may send is what a file may hold. */
function Passes(name: string, check: (value: unknown) => Problem[]): PropertyDecorator {
  return ValidateBy({
    name,
    validator: {
      validate: (value) => check(value).length === 0,
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

const IsOurId = (): PropertyDecorator => Passes('isOurId', idProblems);
const IsTitle = (): PropertyDecorator => Passes('isTitle', titleProblems);
const IsPlace = (): PropertyDecorator => Passes('isPlace', placeProblems);

/** May be left out; null is not the same as left out. */
const IfGiven = (): PropertyDecorator => ValidateIf((_, value) => value !== undefined);

export class NewJobDto implements NewJob {
  @ApiProperty({ format: 'uuid', description: 'Made by the sender, so that sending twice makes one job.' })
  @IsOurId()
  id: JobId;

  @ApiProperty({ maxLength: TITLE_LETTERS })
  @IsTitle()
  title: string;

  @ApiPropertyOptional({ maxLength: TITLE_LETTERS })
  @IfGiven()
  @IsPlace()
  place?: string;

  @ApiProperty()
  @IsBoolean()
  outOfMachine: boolean;

  @ApiPropertyOptional({ type: 'object', additionalProperties: true, nullable: true })
  @IsOptional()
  @IsObject()
  @Passes('isSimulatedSwitch', simulatedSwitchProblems)
  simulation?: SimulatedSwitch | null;

  @ApiPropertyOptional({ enum: JOB_ABOUT, description: 'What its log is of; a switch where it is absent.' })
  @IfGiven()
  @IsIn(JOB_ABOUT)
  about?: JobAbout;
}

export class JobChangeDto implements JobChange {
  @ApiProperty({ description: 'The version of the job that the sender saw.' })
  @IsInt()
  @Min(1)
  @Max(Number.MAX_SAFE_INTEGER)
  version: number;

  @ApiPropertyOptional({ maxLength: TITLE_LETTERS })
  @IfGiven()
  @IsTitle()
  title?: string;

  @ApiPropertyOptional({ maxLength: TITLE_LETTERS })
  @IfGiven()
  @IsPlace()
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

/** Some jobs, such as those that a browser has copies of. */
export class JobIdsDto {
  @ApiProperty({ type: 'array', maxItems: 2000, items: { type: 'string', format: 'uuid' } })
  @IsArray()
  @ArrayMaxSize(2000)
  @IsString({ each: true })
  @MaxLength(36, { each: true })
  ids: string[];
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
