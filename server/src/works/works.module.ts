import { Controller, Delete, Get, HttpCode, Module, Param, Res } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Work } from '@which-way/contract';
import type { Response } from 'express';
import { createReadStream } from 'node:fs';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { OurIdPipe } from '../errors/our-id.pipe.js';
import { notFound } from '../errors/refusal.js';
import { Works } from './works.js';

/** Name of the file that work leaves in its folder. */
export const RESULT = 'result';

@ApiTags('long work')
@Controller('api/works')
export class WorksController {
  constructor(private readonly works: Works) {}

  @Get()
  @ApiOperation({ summary: 'Long work, running and ended, with its progress.' })
  list(): Work[] {
    return this.works.list();
  }

  @Get(':id')
  @ApiOperation({ summary: 'One of them.' })
  get(@Param('id', OurIdPipe) id: string): Work {
    return this.works.get(id);
  }

  @Delete(':id')
  @HttpCode(200)
  @ApiOperation({
    summary: 'Cancels it, and undoes what it did; work that has ended is forgotten with its file.',
  })
  cancel(@Param('id', OurIdPipe) id: string): Work {
    return this.works.cancel(id);
  }

  @Get(':id/file')
  @ApiOperation({ summary: 'The file that it made.' })
  async file(@Param('id', OurIdPipe) id: string, @Res() response: Response): Promise<void> {
    const { file } = this.works.get(id);
    if (!file) throw notFound('file of this work', id);
    response.set({
      'content-type': 'application/zip',
      'content-length': String(file.bytes),
      'content-disposition': `attachment; filename="${file.name}"`,
      'cache-control': 'no-store',
    });
    await pipeline(createReadStream(join(this.works.folderOf(id), RESULT)), response).catch(() => undefined);
  }
}

@Module({ controllers: [WorksController] })
export class WorksModule {}
