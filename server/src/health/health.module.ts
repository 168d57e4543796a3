import { Controller, Delete, Get, HttpCode, Inject, Module, Req } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Health } from '@which-way/contract';
import type { Request } from 'express';
import { dirname } from 'node:path';
import { Backroom } from '../backroom/backroom.js';
import { lastBackup } from '../backup/backed-up.js';
import { MISSING } from '../database/take-stock.js';
import { Writer } from '../database/writer.js';
import { isLoopback } from '../lan/gate.js';
import { SERVING, type Serving } from '../serving.js';

@ApiTags('health')
@Controller('api/health')
export class HealthController {
  constructor(
    private readonly backroom: Backroom,
    private readonly writer: Writer,
    @Inject(SERVING) private readonly serving: Serving,
  ) {}

  @Get()
  @ApiOperation({
    summary: 'Answers when the database can be read; says when it was backed up, and what it misses.',
  })
  async health(@Req() request: Request): Promise<Health> {
    const missing = await this.backroom.read((desk) => desk.note(MISSING));
    return {
      status: 'ok',
      version: this.serving.version,
      demo: this.serving.demo,
      backedUp: lastBackup(dirname(this.serving.database)),
      missing: missing === null ? null : (JSON.parse(missing) as Health['missing']),
      signedIn: this.serving.lan && !isLoopback(request.socket.remoteAddress),
    };
  }

  @Delete('missing')
  @HttpCode(200)
  @ApiOperation({ summary: 'Notes that somebody has seen how many events are missing.' })
  async seen(): Promise<{ seen: true }> {
    await this.writer.write((manager) => manager.query('DELETE FROM note WHERE key = ?', [MISSING]));
    return { seen: true };
  }
}

@Module({ controllers: [HealthController] })
export class HealthModule {}
