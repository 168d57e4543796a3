import { Module } from '@nestjs/common';
import { PhotosModule } from '../photos/photos.module.js';
import { EventLog } from './event-log.js';
import { JobsController } from './jobs.controller.js';
import { JobsService } from './jobs.service.js';
import { Summaries } from './summaries.js';
import { Tidying } from './tidying.js';

@Module({
  imports: [PhotosModule],
  controllers: [JobsController],
  providers: [JobsService, EventLog, Summaries, Tidying],
  exports: [EventLog, JobsService, Summaries],
})
export class JobsModule {}
