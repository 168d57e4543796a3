import { Global, Module, type DynamicModule } from '@nestjs/common';
import { ServeStaticModule } from '@nestjs/serve-static';
import { BackupModule } from './backup/backup.module.js';
import { StoreModule } from './database/store.module.js';
import { HealthModule } from './health/health.module.js';
import { JobsModule } from './jobs/jobs.module.js';
import { LanModule } from './lan/lan.module.js';
import { LibraryModule } from './library/library.module.js';
import { LiveModule } from './live/live.module.js';
import { MeterModule } from './meter/meter.module.js';
import { PhotosModule } from './photos/photos.module.js';
import { SERVING, type Serving } from './serving.js';
import { ShareModule } from './share/share.module.js';
import { ShopModule } from './shop/shop.module.js';
import { TransferModule } from './transfer/transfer.module.js';
import { WorksModule } from './works/works.module.js';

@Global()
@Module({})
export class AppModule {
  static for(serving: Serving): DynamicModule {
    const pages = serving.pages
      ? [
          ServeStaticModule.forRoot({
            rootPath: serving.pages,
            exclude: ['/api/{*splat}', '/shared/{*splat}'],
          }),
        ]
      : [];
    return {
      module: AppModule,
      imports: [
        StoreModule.for(serving),
        HealthModule,
        JobsModule,
        LanModule,
        LibraryModule,
        TransferModule,
        PhotosModule,
        ShareModule,
        ShopModule,
        WorksModule,
        LiveModule,
        MeterModule,
        BackupModule,
        ...pages,
      ],
      providers: [{ provide: SERVING, useValue: serving }],
      exports: [SERVING],
    };
  }
}
