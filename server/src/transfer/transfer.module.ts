import { Controller, HttpCode, Module, Param, Post, Query, Req } from '@nestjs/common';
import { ApiBody, ApiConsumes, ApiOperation, ApiTags } from '@nestjs/swagger';
import { AgainQuery, FileQuery, TakeQuery, type Imported, type Work } from '@which-way/contract';
import type { Request } from 'express';
import { OurIdPipe } from '../errors/our-id.pipe.js';
import { JobsModule } from '../jobs/jobs.module.js';
import { PhotosModule } from '../photos/photos.module.js';
import { TransferService } from './transfer.service.js';

@ApiTags('files')
@Controller('api')
export class TransferController {
  constructor(private readonly transfer: TransferService) {}

  @Post('import')
  @HttpCode(200)
  @ApiOperation({ summary: 'Imports a Which Way file of up to 25 MB, whole or not at all.' })
  @ApiBody({ schema: { type: 'object', additionalProperties: true } })
  import(@Req() request: Request, @Query() { again }: AgainQuery): Promise<Imported> {
    return this.transfer.import(request, again === 'true');
  }

  @Post('imports')
  @HttpCode(202)
  @ApiConsumes('application/octet-stream')
  @ApiOperation({
    summary: 'Checks a Which Way file of any size (JSON, or zip with photos): long work.',
  })
  look(@Req() request: Request, @Query() { name }: FileQuery): Promise<Work> {
    return this.transfer.receive(request, name ?? 'a file');
  }

  @Post('imports/:id/take')
  @HttpCode(202)
  @ApiOperation({
    summary: 'Imports what was checked, without what was set aside: all of it together, or nothing.',
  })
  take(@Param('id', OurIdPipe) id: string, @Query() { shop, again }: TakeQuery): Work {
    return this.transfer.take(id, { shop: shop === 'true', again: again === 'true' });
  }

  @Post('export')
  @HttpCode(202)
  @ApiOperation({ summary: 'Everything as one zip: jobs, library, the shop’s settings, photos. Long work.' })
  exportAll(): Work {
    return this.transfer.exportAll();
  }
}

@Module({
  imports: [JobsModule, PhotosModule],
  controllers: [TransferController],
  providers: [TransferService],
  exports: [TransferService],
})
export class TransferModule {}
