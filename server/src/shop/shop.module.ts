import { Body, Controller, Get, Module, Put } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { ShopChange, type Shop } from '@which-way/contract';
import { ShopService } from './shop.service.js';

@ApiTags('shop')
@Controller('api/shop')
export class ShopController {
  constructor(private readonly shop: ShopService) {}

  @Get()
  @ApiOperation({
    summary: 'What the shop has set for itself: its name, safety lists, code notes and meters.',
  })
  read(): Promise<Shop> {
    return this.shop.read();
  }

  @Put()
  @ApiOperation({ summary: 'Changes it. Standard lines of a list can be reworded and moved, not left out.' })
  change(@Body() change: ShopChange): Promise<Shop> {
    return this.shop.change(change);
  }
}

@Module({ controllers: [ShopController], providers: [ShopService] })
export class ShopModule {}
