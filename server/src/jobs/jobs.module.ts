import { Module } from '@nestjs/common';
import { OneAtATime } from '../database/one-at-a-time.js';
import { EventLog } from './event-log.js';
import { JobsController } from './jobs.controller.js';
import { JobsService } from './jobs.service.js';

@Module({
  controllers: [JobsController],
  providers: [JobsService, EventLog, OneAtATime],
  exports: [JobsService, EventLog, OneAtATime],
})
export class JobsModule {}
