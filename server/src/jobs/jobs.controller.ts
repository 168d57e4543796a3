import { Body, Controller, Get, HttpCode, Param, ParseUUIDPipe, Patch, Post, Query } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Job, JobSummary, JobWithEvents, PostedEvents } from '@which-way/contract';
import { AfterQuery, JobChangeDto, NewJobDto, PostEventsDto, SearchQuery } from './dto.js';
import { JobsService } from './jobs.service.js';

@ApiTags('jobs')
@Controller('api/jobs')
export class JobsController {
  constructor(private readonly jobs: JobsService) {}

  @Get()
  @ApiOperation({ summary: 'Jobs on the bench, newest first, each with where it is on its route.' })
  list(@Query() { search }: SearchQuery): Promise<JobSummary[]> {
    return this.jobs.list(search);
  }

  @Post()
  @ApiOperation({ summary: 'Makes a job. Sending the same id twice makes one.' })
  create(@Body() fresh: NewJobDto): Promise<Job> {
    return this.jobs.create(fresh);
  }

  @Get(':id')
  @ApiOperation({ summary: 'A job with its log, or with what came after a cursor.' })
  open(@Param('id', ParseUUIDPipe) id: string, @Query() { after }: AfterQuery): Promise<JobWithEvents> {
    return this.jobs.open(id, after);
  }

  @Patch(':id')
  @ApiOperation({ summary: 'Changes title, place, or whether the switch is out of the machine.' })
  change(@Param('id', ParseUUIDPipe) id: string, @Body() change: JobChangeDto): Promise<Job> {
    return this.jobs.change(id, change);
  }

  @Post(':id/events')
  @HttpCode(200)
  @ApiOperation({ summary: 'Appends to the log. Sending an event twice stores it once.' })
  post(@Param('id', ParseUUIDPipe) id: string, @Body() events: PostEventsDto): Promise<PostedEvents> {
    return this.jobs.post(id, events);
  }
}
