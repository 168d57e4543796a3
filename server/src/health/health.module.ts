import { Controller, Get, Inject, Module } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Health } from '@which-way/contract';
import { DataSource } from 'typeorm';
import { SERVING, type Serving } from '../serving.js';

@ApiTags('health')
@Controller('api/health')
export class HealthController {
  constructor(
    private readonly source: DataSource,
    @Inject(SERVING) private readonly serving: Serving,
  ) {}

  @Get()
  @ApiOperation({ summary: 'Answers when the database can be read.' })
  async health(): Promise<Health> {
    await this.source.query('SELECT 1');
    return { status: 'ok', version: this.serving.version, demo: this.serving.demo };
  }
}

@Module({ controllers: [HealthController] })
export class HealthModule {}
