import { ID_PATTERN } from '@which-way/core/schema';
import { Controller, Headers, Module, Query, Sse } from '@nestjs/common';
import { ApiOperation, ApiPropertyOptional, ApiTags } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import { IsInt, IsOptional, Matches, Min } from 'class-validator';
import type { Observable } from 'rxjs';
import { Live, type StreamMessage } from './live.js';

export class StreamQuery {
  @ApiPropertyOptional({ format: 'uuid', description: 'The job that the page has open.' })
  @IsOptional()
  @Matches(new RegExp(ID_PATTERN))
  job?: string;

  @ApiPropertyOptional({ minimum: 0, description: 'Cursor up to which the page has seen its log.' })
  @IsOptional()
  @Type(() => Number)
  @IsInt()
  @Min(0)
  after?: number;
}

@ApiTags('live')
@Controller('api/stream')
export class LiveController {
  constructor(private readonly live: Live) {}

  @Sse()
  @ApiOperation({
    summary:
      'Server-sent events: what comes into the log of a job, changes on the bench, progress of long work.',
  })
  stream(
    @Query() { job, after = 0 }: StreamQuery,
    @Headers('last-event-id') seen?: string,
  ): Observable<StreamMessage> {
    const resumed = Number(seen);
    return this.live.stream(job ?? null, Number.isSafeInteger(resumed) && resumed > after ? resumed : after);
  }
}

@Module({ controllers: [LiveController] })
export class LiveModule {}
