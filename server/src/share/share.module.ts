import {
  Controller,
  Delete,
  Get,
  Header,
  HttpCode,
  Inject,
  Module,
  Param,
  Post,
  Req,
  Res,
} from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { JobShare, JobWithEvents, ShareAnswer } from '@which-way/contract';
import { readLog, reportPhotosOf } from '@which-way/core/log';
import type { PhotoId } from '@which-way/core/switch';
import type { Request, Response } from 'express';
import { toString } from 'qrcode';
import { OurIdPipe } from '../errors/our-id.pipe.js';
import { notFound, refused } from '../errors/refusal.js';
import { JobsModule } from '../jobs/jobs.module.js';
import { JobsService } from '../jobs/jobs.service.js';
import { ownAddresses } from '../lan/own-hosts.js';
import { PhotoStore } from '../photos/photo-store.js';
import { PhotosModule } from '../photos/photos.module.js';
import { sendPhoto } from '../photos/send-photo.js';
import { SERVING, type Serving } from '../serving.js';
import { Shares } from './shares.js';

@ApiTags('share')
@Controller('api')
export class ShareController {
  constructor(
    private readonly shares: Shares,
    private readonly jobs: JobsService,
    private readonly photos: PhotoStore,
    @Inject(SERVING) private readonly serving: Serving,
  ) {}

  @Get('jobs/:id/share')
  @ApiOperation({ summary: 'The link by which others may read this job; null without one.' })
  async of(@Param('id', OurIdPipe) id: string, @Req() request: Request): Promise<ShareAnswer> {
    return this.#answer(await this.shares.of(id), request);
  }

  @Post('jobs/:id/share')
  @HttpCode(200)
  @ApiOperation({ summary: 'Makes a link to read this job, for thirty days; ends the one before it.' })
  async make(@Param('id', OurIdPipe) id: string, @Req() request: Request): Promise<ShareAnswer> {
    await this.jobs.open(id, Number.MAX_SAFE_INTEGER);
    return this.#answer(await this.shares.make(id), request);
  }

  @Delete('jobs/:id/share')
  @HttpCode(200)
  @ApiOperation({ summary: 'Ends the link: whoever has it reads nothing more.' })
  async end(@Param('id', OurIdPipe) id: string, @Req() request: Request): Promise<ShareAnswer> {
    await this.shares.end(id);
    return this.#answer(null, request);
  }

  @Get('shared/:token')
  @Header('content-type', 'application/json; charset=utf-8')
  @Header('cache-control', 'no-store')
  @ApiOperation({ summary: 'The job that a link opens, with its log; nothing of any other.' })
  async read(@Param('token') token: string): Promise<string> {
    const job = await this.shares.jobOf(token);
    if (job === null) throw refused(404, 'share-ended');
    return this.jobs.open(job, 0);
  }

  @Get('shared/:token/photos/:id')
  @ApiOperation({ summary: 'A photo that the report of this job shows, by its link; no other.' })
  async photo(
    @Param('token') token: string,
    @Param('id', OurIdPipe) id: PhotoId,
    @Res() response: Response,
  ): Promise<void> {
    const job = await this.shares.jobOf(token);
    if (job === null) throw refused(404, 'share-ended');
    const { events } = JSON.parse(await this.jobs.open(job, 0)) as JobWithEvents;
    const shown = reportPhotosOf(readLog(events)).some((photo) => photo.id === id);
    const found = shown ? await this.photos.read(id, 'full') : null;
    if (!found) throw notFound('photo', id);
    await sendPhoto(found, response, false);
  }

  /** The link under every address at which this machine is reached, with its QR code. */
  async #answer(share: JobShare | null, request: Request): Promise<ShareAnswer> {
    const port = request.socket.localPort ?? 80;
    const hosts = this.serving.lan ? ownAddresses() : [];
    const links = share
      ? await Promise.all(
          hosts.map(async (host) => {
            const address = `http://${host}:${port}/shared/${share.token}`;
            return { address, qr: await toString(address, { type: 'svg', margin: 1 }) };
          }),
        )
      : [];
    return { share, links, lan: this.serving.lan };
  }
}

@Module({ imports: [JobsModule, PhotosModule], controllers: [ShareController], providers: [Shares] })
export class ShareModule {}
