import { Controller, Get, Module, Param, ParseUUIDPipe } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { KnownSwitch } from '@which-way/core/switch';
import { LibraryService } from './library.service.js';

@ApiTags('library')
@Controller('api/library')
export class LibraryController {
  constructor(private readonly library: LibraryService) {}

  @Get()
  @ApiOperation({ summary: 'All known switches and parts.' })
  list(): Promise<KnownSwitch[]> {
    return this.library.list();
  }

  @Get(':id')
  @ApiOperation({ summary: 'One entry.' })
  open(@Param('id', ParseUUIDPipe) id: string): Promise<KnownSwitch> {
    return this.library.open(id);
  }
}

@Module({ controllers: [LibraryController], providers: [LibraryService], exports: [LibraryService] })
export class LibraryModule {}
