import { Controller, Delete, Get, HttpCode, Inject, Module, Param, Post, Req, Res } from '@nestjs/common';
import { ApiOperation, ApiProduces, ApiTags } from '@nestjs/swagger';
import type { JobShare, ShareAnswer } from '@which-way/contract';
import type { PhotoId } from '@which-way/core/switch';
import type { Request, Response } from 'express';
import { toString } from 'qrcode';
import { linkTroublePage } from '@which-way/words/report/link';
import { Backroom } from '../backroom/backroom.js';
import type { SharedPage } from '../backroom/shared-report.js';
import { OurIdPipe } from '../errors/our-id.pipe.js';
import { notFound, refused } from '../errors/refusal.js';
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
    return this.#answer(await this.shares.make(id), request);
  }

  @Delete('jobs/:id/share')
  @HttpCode(200)
  @ApiOperation({ summary: 'Ends the link: whoever has it reads nothing more.' })
  async end(@Param('id', OurIdPipe) id: string, @Req() request: Request): Promise<ShareAnswer> {
    await this.shares.end(id);
    return this.#answer(null, request);
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

/** What a link opens: a page that is made here, and the photos on it. */
@ApiTags('share')
@Controller('shared')
export class LinkController {
  constructor(
    private readonly shares: Shares,
    private readonly backroom: Backroom,
    private readonly photos: PhotoStore,
  ) {}

  @Get(':token')
  @ApiProduces('text/html')
  @ApiOperation({ summary: 'The report that a link opens, as a page; the log itself is not in it.' })
  async read(@Param('token') token: string, @Res() response: Response): Promise<void> {
    const job = await this.shares.jobOf(token);
    const page: SharedPage =
      job === null
        ? { trouble: 'ended' }
        : await this.backroom.report<SharedPage>((desk) => desk.sharedPage(job, `/shared/${token}/photos/`));
    response.set('cache-control', 'no-store').type('html');
    if ('html' in page) response.send(page.html);
    else response.status(404).send(linkTroublePage(page.trouble));
  }

  @Get(':token/photos/:id')
  @ApiProduces('image/jpeg')
  @ApiOperation({ summary: 'A photo that the report of this job shows, by its link; no other.' })
  async photo(
    @Param('token') token: string,
    @Param('id', OurIdPipe) id: PhotoId,
    @Res() response: Response,
  ): Promise<void> {
    const job = await this.shares.jobOf(token);
    if (job === null) throw refused(404, 'share-ended');
    const shown = await this.backroom.report((desk) => desk.sharedPhoto(job, id));
    const found = shown ? await this.photos.read(id, 'full') : null;
    if (!found) throw notFound('photo', id);
    await sendPhoto(found, response, false);
  }
}

@Module({ imports: [PhotosModule], controllers: [ShareController, LinkController], providers: [Shares] })
export class ShareModule {}
