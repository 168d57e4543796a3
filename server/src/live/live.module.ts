import { Controller, Headers, Module, Query, Sse } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { StreamQuery } from '@which-way/contract';
import type { Observable } from 'rxjs';
import { Live, type StreamMessage } from './live.js';

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
