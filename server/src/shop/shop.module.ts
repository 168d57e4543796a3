import { Body, Controller, Get, Module, Put } from '@nestjs/common';
import { ApiOperation, ApiProperty, ApiTags } from '@nestjs/swagger';
import type { Shop, ShopChange } from '@which-way/contract';
import type { SafetyLists } from '@which-way/core/safety';
import { SHOP_NAME_LETTERS } from '@which-way/core/schema';
import { type SupplyKind } from '@which-way/core/log';
import { IsInt, IsObject, IsString, Max, MaxLength, Min } from 'class-validator';
import { ShopService } from './shop.service.js';

export class ShopChangeDto implements ShopChange {
  @ApiProperty({ description: 'The version that the sender saw.' })
  @IsInt()
  @Min(0)
  @Max(Number.MAX_SAFE_INTEGER)
  version: number;

  @ApiProperty({ maxLength: SHOP_NAME_LETTERS })
  @IsString()
  @MaxLength(SHOP_NAME_LETTERS)
  name: string;

  @ApiProperty({ type: 'object', additionalProperties: true, description: 'Lines of the list by supply.' })
  @IsObject()
  safetyLists: SafetyLists;

  @ApiProperty({ type: 'object', additionalProperties: true, description: 'Notes on local codes by supply.' })
  @IsObject()
  codeNotes: Record<SupplyKind, string>;
}

@ApiTags('shop')
@Controller('api/shop')
export class ShopController {
  constructor(private readonly shop: ShopService) {}

  @Get()
  @ApiOperation({ summary: 'What the shop has set for itself: its name, safety lists and code notes.' })
  read(): Promise<Shop> {
    return this.shop.read();
  }

  @Put()
  @ApiOperation({ summary: 'Changes it. Standard lines of a list can be reworded and moved, not left out.' })
  change(@Body() change: ShopChangeDto): Promise<Shop> {
    return this.shop.change(change);
  }
}

@Module({ controllers: [ShopController], providers: [ShopService] })
export class ShopModule {}
