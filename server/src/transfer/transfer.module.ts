import { Body, Controller, Get, Header, HttpCode, Module, Param, ParseUUIDPipe, Post } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Imported } from '@which-way/contract';
import type { ProjectFile } from '@which-way/core/formats';
import { JobsModule } from '../jobs/jobs.module.js';
import { LibraryModule } from '../library/library.module.js';
import { TransferService } from './transfer.service.js';

@ApiTags('files')
@Controller('api')
export class TransferController {
  constructor(private readonly transfer: TransferService) {}

  @Post('import')
  @HttpCode(200)
  @ApiOperation({ summary: 'Takes in a Which Way file, whole or not at all.' })
  @ApiBody({ schema: { type: 'object', additionalProperties: true } })
  import(@Body() file: unknown): Promise<Imported> {
    return this.transfer.import(file);
  }

  @Get('export')
  @Header('content-disposition', 'attachment; filename="which-way.json"')
  @ApiOperation({ summary: 'All jobs and the library as one file.' })
  exportAll(): Promise<ProjectFile> {
    return this.transfer.exportAll();
  }

  @Get('jobs/:id/export')
  @Header('content-disposition', 'attachment; filename="which-way-job.json"')
  @ApiOperation({ summary: 'One job as a file.' })
  exportJob(@Param('id', ParseUUIDPipe) id: string): Promise<ProjectFile> {
    return this.transfer.exportJob(id);
  }
}

@Module({
  imports: [JobsModule, LibraryModule],
  controllers: [TransferController],
  providers: [TransferService],
})
export class TransferModule {}
