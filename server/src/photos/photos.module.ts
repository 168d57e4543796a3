import { Controller, Get, HttpCode, Module, Param, Put, Query, Req, Res } from '@nestjs/common';
import { ApiConsumes, ApiOperation, ApiTags } from '@nestjs/swagger';
import { SizeQuery, type StoredPhoto } from '@which-way/contract';
import { PHOTO_BYTES, PHOTO_MEGABYTES } from '@which-way/core/schema';
import { type PhotoId } from '@which-way/core/switch';
import type { Request, Response } from 'express';
import { Writer } from '../database/writer.js';
import { OurIdPipe } from '../errors/our-id.pipe.js';
import { notFound } from '../errors/refusal.js';
import { SERVING, type Serving } from '../serving.js';
import { PhotoFolder, PhotoStore, tooLarge } from './photo-store.js';
import { sendPhoto } from './send-photo.js';

@ApiTags('photos')
@Controller('api/photos')
export class PhotosController {
  constructor(
    private readonly photos: PhotoStore,
    private readonly writer: Writer,
  ) {}

  @Put(':id')
  @HttpCode(200)
  @ApiConsumes('image/*')
  @ApiOperation({
    summary: `Adds a photo, up to ${PHOTO_MEGABYTES} MB, as the body. It is turned upright and kept without metadata.`,
  })
  async put(@Param('id', OurIdPipe) id: PhotoId, @Req() request: Request): Promise<StoredPhoto> {
    if (Number(request.headers['content-length'] ?? 0) > PHOTO_BYTES) {
      request.resume();
      throw tooLarge();
    }
    const stored = await this.photos.put(id, request);
    this.writer.standsWhereItStood();
    return stored;
  }

  @Get(':id')
  @ApiOperation({ summary: 'A photo, or its thumbnail with ?size=thumb, as JPEG.' })
  async read(
    @Param('id', OurIdPipe) id: PhotoId,
    @Query() { size = 'full' }: SizeQuery,
    @Res() response: Response,
  ): Promise<void> {
    const found = await this.photos.read(id, size);
    if (!found) throw notFound('photo', id);
    await sendPhoto(found, response);
  }
}

@Module({
  controllers: [PhotosController],
  providers: [
    {
      provide: PhotoStore,
      inject: [SERVING],
      useFactory: async ({ photos }: Serving) => {
        const folder = new PhotoFolder(photos);
        await folder.tidy();
        return folder;
      },
    },
  ],
  exports: [PhotoStore],
})
export class PhotosModule {}
