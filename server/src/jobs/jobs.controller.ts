import {
  Body,
  Controller,
  Delete,
  Get,
  Header,
  HttpCode,
  Param,
  Patch,
  Post,
  Query,
  Res,
} from '@nestjs/common';
import type { Response } from 'express';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { AfterQuery, JobChange, JobIds, NewJob, PostEvents, SearchQuery } from '@which-way/contract';
import type { Job, PostedEvents } from '@which-way/contract';
import { OurIdPipe } from '../errors/our-id.pipe.js';
import { JobsService } from './jobs.service.js';

const JSON_TYPE = ['content-type', 'application/json; charset=utf-8'] as const;

@ApiTags('jobs')
@Controller('api/jobs')
export class JobsController {
  constructor(private readonly jobs: JobsService) {}

  @Get()
  @Header(...JSON_TYPE)
  @ApiOperation({ summary: 'Jobs on the bench, newest first, each with where it is on its route.' })
  list(@Query() { search, archived }: SearchQuery): Promise<string> {
    return this.jobs.list(search, archived === 'true');
  }

  @Post()
  @ApiOperation({ summary: 'Makes a job. Sending the same id twice makes one.' })
  create(@Body() fresh: NewJob): Promise<Job> {
    return this.jobs.create(fresh);
  }

  @Post('gone')
  @HttpCode(200)
  @ApiOperation({
    summary: 'Of these jobs the ones that were deleted: whoever has a copy of one forgets it.',
  })
  async gone(
    @Body() { ids }: JobIds,
    @Res({ passthrough: true }) response: Response,
  ): Promise<{ gone: string[] }> {
    const gone = await this.jobs.deletedOf(ids);
    // Photos are kept by the browser for a year otherwise.
    if (gone.length > 0) response.set('clear-site-data', '"cache"');
    return { gone };
  }

  @Get(':id')
  @Header(...JSON_TYPE)
  @ApiOperation({ summary: 'A job with its log, or with what came after a cursor.' })
  open(@Param('id', OurIdPipe) id: string, @Query() { after }: AfterQuery): Promise<string> {
    return this.jobs.open(id, after);
  }

  @Patch(':id')
  @ApiOperation({
    summary: 'Changes title, place, whether the switch is out of the machine, or archives the job.',
  })
  change(@Param('id', OurIdPipe) id: string, @Body() change: JobChange): Promise<Job> {
    return this.jobs.change(id, change);
  }

  @Delete(':id')
  @HttpCode(200)
  @ApiOperation({ summary: 'Deletes a job with its log; late events of it are answered with job-deleted.' })
  async remove(@Param('id', OurIdPipe) id: string): Promise<{ deleted: string }> {
    await this.jobs.remove(id);
    return { deleted: id };
  }

  @Post(':id/events')
  @HttpCode(200)
  @ApiOperation({
    summary: 'Appends to the log. Each event is answered on its own: stored, or refused with the reason.',
  })
  post(@Param('id', OurIdPipe) id: string, @Body() events: PostEvents): Promise<PostedEvents> {
    return this.jobs.post(id, events);
  }

  @Get(':id/export')
  @Header(...JSON_TYPE)
  @Header('content-disposition', 'attachment; filename="which-way-job.json"')
  @ApiOperation({ summary: 'One job as a file; of a damaged one what can be read.' })
  exportJob(@Param('id', OurIdPipe) id: string): Promise<string> {
    return this.jobs.exportJob(id);
  }
}
