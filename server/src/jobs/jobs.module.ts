import { Module } from '@nestjs/common';
import { EventLog } from './event-log.js';
import { JobsController } from './jobs.controller.js';
import { JobsService } from './jobs.service.js';
import { Summaries } from './summaries.js';

@Module({
  controllers: [JobsController],
  providers: [JobsService, EventLog, Summaries],
  exports: [EventLog, JobsService, Summaries],
})
export class JobsModule {}
