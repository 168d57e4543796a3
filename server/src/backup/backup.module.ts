import { Controller, HttpCode, Module, Post, Req } from '@nestjs/common';
import { ApiConsumes, ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Work } from '@which-way/contract';
import type { Request } from 'express';
import { LanModule } from '../lan/lan.module.js';
import { BackupService } from './backup.service.js';

@ApiTags('backup')
@Controller('api')
export class BackupController {
  constructor(private readonly backups: BackupService) {}

  @Post('backup')
  @HttpCode(202)
  @ApiOperation({ summary: 'Makes a backup of everything as one zip. Long work.' })
  backUp(): Work {
    return this.backups.backUp();
  }

  @Post('restore')
  @HttpCode(202)
  @ApiConsumes('application/zip')
  @ApiOperation({
    summary: 'Restores a backup onto an empty bench, after checking all of it. Long work.',
  })
  restore(@Req() request: Request): Promise<Work> {
    return this.backups.restore(request);
  }
}

@Module({ imports: [LanModule], controllers: [BackupController], providers: [BackupService] })
export class BackupModule {}
