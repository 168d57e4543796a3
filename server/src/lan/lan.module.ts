import { Controller, Delete, Get, HttpCode, Module, Param, Req } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { SignedInDevice } from '@which-way/contract';
import type { Request } from 'express';
import { OurIdPipe } from '../errors/our-id.pipe.js';
import { notFound } from '../errors/refusal.js';
import { cookieOf } from './cookie.js';
import { Sessions } from './sessions.js';

@ApiTags('local network')
@Controller('api/sessions')
export class SessionsController {
  constructor(private readonly sessions: Sessions) {}

  @Get()
  @ApiOperation({ summary: 'The devices that are signed in with the shop’s code.' })
  list(@Req() request: Request): SignedInDevice[] {
    const own = this.sessions.of(cookieOf(request))?.id;
    return this.sessions.list().map((session) => ({ ...session, own: session.id === own }));
  }

  @Delete(':id')
  @HttpCode(200)
  @ApiOperation({ summary: 'Signs one of them out.' })
  async end(@Param('id', OurIdPipe) id: string): Promise<{ ended: string }> {
    if (!(await this.sessions.end(id))) throw notFound('signed-in device', id);
    return { ended: id };
  }
}

@Module({ controllers: [SessionsController], providers: [Sessions], exports: [Sessions] })
export class LanModule {}
