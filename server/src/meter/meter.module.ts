import { Body, Controller, Get, HttpCode, Module, Post, Put, Req } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { MeterAnswer, MeterClaim, MeterSetting, StandInLeads, type MeterNow } from '@which-way/contract';
import { spokenDriverProblems } from '@which-way/core/formats';
import type { Request } from 'express';
import { refuse, refused } from '../errors/refusal.js';
import { isLoopback } from '../lan/gate.js';
import { MeterService } from './meter.service.js';

const isHere = ({ socket }: Request): boolean => isLoopback(socket.remoteAddress);

@ApiTags('meter')
@Controller('api/meter')
export class MeterController {
  constructor(private readonly meter: MeterService) {}

  @Get()
  @ApiOperation({
    summary: 'The meter of the bench: how it is reached, what it says, the last lines that came.',
  })
  read(@Req() request: Request): Promise<MeterAnswer> {
    return this.meter.read(isHere(request));
  }

  @Put()
  @ApiOperation({ summary: 'Sets how it is reached; from the server’s own machine only.' })
  async set(@Body() setting: MeterSetting, @Req() request: Request): Promise<MeterAnswer> {
    if (!isHere(request)) throw refused(403, 'set-it-there');
    if (setting.kind === 'scpi-tcp' && setting.host === '') throw refused(422, 'no-host', {}, 'host');
    if (setting.kind.endsWith('-serial') && setting.device === '')
      throw refused(422, 'no-port', {}, 'device');
    const problems = setting.driver === undefined ? [] : spokenDriverProblems(setting.driver);
    if (problems.length > 0) throw refuse(422, problems);
    await this.meter.set(setting);
    return this.meter.read(true);
  }

  @Post('claim')
  @HttpCode(200)
  @ApiOperation({ summary: 'A device takes the readings from now on, or gives them back.' })
  claim(@Body() claim: MeterClaim): MeterNow {
    return this.meter.claim(claim);
  }

  @Post('leads')
  @HttpCode(200)
  @ApiOperation({
    summary:
      'What lies between the leads of the simulated meter, and its power switch; refused where a real one is set.',
  })
  lead(@Body() leads: StandInLeads): StandInLeads {
    if (!this.meter.lead(leads)) throw refused(409, 'no-stand-in');
    return leads;
  }
}

@Module({ controllers: [MeterController], providers: [MeterService] })
export class MeterModule {}
